package mussel.exchange.calc;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.util.List;
import mussel.core.language.Messages;
import mussel.core.measure.Problem;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;

/** The command {@code calc}: one object or a stream of lines in, the same out. */
public final class Calc {
    private static final Messages TEXT = Messages.of(Calc.class);

    /** All went well. */
    public static final int OK = 0;
    /** Something in the input was refused. */
    public static final int REFUSED = 2;

    private final Engine engine;
    private final PrintStream out;
    private final PrintStream err;

    /** Runs an engine between streams. */
    public Calc(Engine engine, PrintStream out, PrintStream err) {
        this.engine = engine;
        this.out = out;
        this.err = err;
    }

    /** Reads one object, writes one object, or a line per problem on the error stream. Returns the exit code. */
    public int single(InputStream in) throws IOException {
        Read<ObjectNode> answer = run(in.readNBytes(Json.MOST_BYTES + 1));
        if (answer.value().isPresent()) {
            out.println(write(answer.value().get()));
            return OK;
        }
        answer.problems().forEach(p -> err.println(p));
        return REFUSED;
    }

    /** Reads an object a line and answers each in its place; a bad line does not stop the rest. Returns the exit code. */
    public int lines(InputStream in) throws IOException {
        int code = OK;
        ByteArrayOutputStream line = new ByteArrayOutputStream();
        byte[] block = new byte[65_536];
        int read;
        while ((read = in.read(block)) >= 0) {
            int start = 0;
            for (int i = 0; i < read; i++) {
                if (block[i] == '\n') {
                    keep(line, block, start, i);
                    code = Math.max(code, answerLine(line));
                    start = i + 1;
                }
            }
            keep(line, block, start, read);
        }
        code = Math.max(code, answerLine(line));
        out.flush();
        return code;
    }

    /** Gathers a line, but never much more than is accepted. */
    private static void keep(ByteArrayOutputStream line, byte[] block, int from, int to) {
        if (line.size() <= Json.MOST_BYTES) {
            line.write(block, from, to - from);
        }
    }

    /** Whatever fails inside an engine is this input's failure and no other's. */
    private Read<ObjectNode> run(byte[] input) {
        try {
            return engine.run(input);
        } catch (RuntimeException | StackOverflowError | OutOfMemoryError e) {
            System.getLogger("mussel").log(System.Logger.Level.ERROR, "In the engine " + engine.name(), e);
            return Read.refused(TEXT.get("calc.could_not_be_worked_out_its", engine.name()));
        }
    }

    private int answerLine(ByteArrayOutputStream gathered) {
        byte[] line = gathered.toByteArray();
        gathered.reset();
        if (line.length == 0 || (line.length == 1 && line[0] == '\r')) {
            return OK;
        }
        Read<ObjectNode> answer = run(line);
        out.println(write(answer.value().orElseGet(() -> errors(answer.problems()))));
        return answer.value().isPresent() ? OK : REFUSED;
    }

    private static ObjectNode errors(List<Problem> problems) {
        ObjectNode answer = Json.mapper().createObjectNode();
        ArrayNode errors = answer.putArray("errors");
        problems.forEach(p -> errors.addObject().put("at", p.at()).put("problem", p.problem()));
        return answer;
    }

    private static String write(ObjectNode node) {
        try {
            return Json.mapper().writeValueAsString(node);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }
}
