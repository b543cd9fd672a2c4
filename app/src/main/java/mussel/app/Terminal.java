package mussel.app;

import java.io.FilterWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import mussel.exchange.record.Plain;

/** Where commands write: UTF-8 whatever the machine's own, and no control character of a name or a note ever reaches the terminal. */
final class Terminal extends FilterWriter {
    private Terminal(Writer out) {
        super(out);
    }

    static PrintWriter on(OutputStream out) {
        return new PrintWriter(new Terminal(new OutputStreamWriter(out, StandardCharsets.UTF_8)), true);
    }

    @Override
    public void write(int c) throws IOException {
        write(String.valueOf((char) c), 0, 1);
    }

    @Override
    public void write(char[] text, int from, int length) throws IOException {
        write(new String(text, from, length), 0, length);
    }

    @Override
    public void write(String text, int from, int length) throws IOException {
        String plain = Plain.lines(text.substring(from, from + length));
        out.write(plain, 0, plain.length());
    }
}
