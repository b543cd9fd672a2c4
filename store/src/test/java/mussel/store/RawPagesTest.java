package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Pages laid out by hand after the file format: a cell that lies about its lengths never hides the whole ones beside it. */
class RawPagesTest {
    @TempDir
    Path folder;

    /** A row numbered 7 with the text "lip". */
    private static final int[] WHOLE = {5, 7, 2, 13 + 2 * 3, 'l', 'i', 'p'};

    /** The same with a text of 2^34 bytes, of 2^27 bytes, and of a length below zero. */
    private static final int[][] LIES = {
        {8, 7, 6, 0x81, 0x80, 0x80, 0x80, 0x80, 0x0D, 'l', 'i'},
        {7, 7, 5, 0x81, 0x80, 0x80, 0x80, 0x0D, 'l', 'i'},
        {12, 7, 10, 0xFF, 0xFF, 0xFF, 0xFF, 0xFF, 0xFF, 0xFF, 0xFF, 0xFF, 'l', 'i'}
    };

    @Test
    void aCellThatLiesHidesNoneBesideIt() throws IOException {
        for (int[] lie : LIES) {
            Path file = Files.write(folder.resolve("page.mussel"), page(lie, WHOLE));
            List<Object> found = new ArrayList<>();
            try (RawPages pages = new RawPages(file)) {
                pages.rows((number, values) -> found.add(number + " " + values));
            }
            assertThat(found).containsExactly("7 [lip]");
        }
    }

    private static byte[] page(int[]... cells) {
        ByteBuffer page = ByteBuffer.allocate(2 * 4_096);
        int start = 4_096;
        page.put(start, (byte) 0x0D).putShort(start + 3, (short) cells.length);
        int at = 4_096;
        for (int i = 0; i < cells.length; i++) {
            at -= cells[i].length;
            page.putShort(start + 8 + 2 * i, (short) at);
            for (int j = 0; j < cells[i].length; j++) {
                page.put(start + at + j, (byte) cells[i][j]);
            }
        }
        return page.array();
    }
}
