package mussel.store;

import java.io.IOException;
import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;

/**
 * The rows of a database file whose tree can no longer be walked: every page is looked at by itself, and what has the shape of a leaf of a table is
 * read cell by cell. After "Database File Format" of the SQLite documentation, sections 1.6 (b-tree pages), 2.1 (record format) and 4 (the
 * write-ahead log). No library opens a damaged file so.
 */
final class RawPages implements AutoCloseable {
    private static final int PAGE = 4_096;
    /** The number of a row of a table without row ids. */
    static final long NO_NUMBER = Long.MIN_VALUE;

    private static final int LEAF_OF_A_TABLE = 0x0D;
    /** Tables without row ids lie in the leaves of an index. */
    private static final int LEAF_OF_AN_INDEX = 0x0A;

    private static final int MOST_IN_AN_INDEX = (PAGE - 12) * 64 / 255 - 23;
    private static final int FILE_HEADER = 100;
    private static final int WAL_HEADER = 32;
    private static final int FRAME_HEADER = 24;
    private static final int MOST_PAYLOAD = 64 * 1024 * 1024;
    private static final int MOST_COLUMNS = 40;

    private final FileChannel main;
    private final Optional<FileChannel> wal;
    private final Map<Integer, Long> inWal = new HashMap<>();

    RawPages(Path file) throws IOException {
        main = FileChannel.open(file, StandardOpenOption.READ);
        Path beside = file.resolveSibling(file.getFileName() + "-wal");
        wal = Files.isRegularFile(beside)
                ? Optional.of(FileChannel.open(beside, StandardOpenOption.READ))
                : Optional.empty();
    }

    /** Hands over each row found, by its number, as often as it is found: first those of the file, then those of the write-ahead log. */
    void rows(BiConsumer<Long, List<Object>> row) throws IOException {
        long pages = (main.size() + PAGE - 1) / PAGE;
        for (int page = 1; page <= pages; page++) {
            leaf(read(main, (page - 1L) * PAGE), page == 1 ? FILE_HEADER : 0, row);
        }
        if (wal.isPresent()) {
            frames(wal.get(), row);
        }
    }

    private void frames(FileChannel log, BiConsumer<Long, List<Object>> row) throws IOException {
        ByteBuffer head = read(log, 0, WAL_HEADER);
        if (head.limit() < WAL_HEADER) {
            return;
        }
        long salts = head.getLong(16);
        List<Long> frames = new ArrayList<>();
        for (long at = WAL_HEADER; at + FRAME_HEADER + PAGE <= log.size(); at += FRAME_HEADER + PAGE) {
            ByteBuffer frame = read(log, at, FRAME_HEADER);
            if (frame.getLong(8) != salts) {
                break;
            }
            frames.add(at + FRAME_HEADER);
            inWal.put(frame.getInt(0), at + FRAME_HEADER);
        }
        for (long at : frames) {
            leaf(read(log, at), 0, row);
        }
    }

    private static ByteBuffer read(FileChannel channel, long at) throws IOException {
        return read(channel, at, PAGE);
    }

    private static ByteBuffer read(FileChannel channel, long at, int bytes) throws IOException {
        ByteBuffer buffer = ByteBuffer.allocate(bytes);
        while (buffer.hasRemaining() && channel.read(buffer, at + buffer.position()) > 0) {
            continue;
        }
        return buffer.flip();
    }

    private void leaf(ByteBuffer page, int header, BiConsumer<Long, List<Object>> row) throws IOException {
        int kind = page.limit() < header + 8 ? 0 : page.get(header) & 0xFF;
        if (kind != LEAF_OF_A_TABLE && kind != LEAF_OF_AN_INDEX) {
            return;
        }
        int cells = page.getShort(header + 3) & 0xFFFF;
        for (int i = 0; i < cells && header + 8 + 2 * i + 2 <= page.limit(); i++) {
            int at = page.getShort(header + 8 + 2 * i) & 0xFFFF;
            if (at >= header + 8 && at < page.limit()) {
                try {
                    if (kind == LEAF_OF_A_TABLE) {
                        cell(page, at, row);
                    } else {
                        indexed(page, at, row);
                    }
                } catch (IndexOutOfBoundsException | BufferUnderflowException e) {
                    // This cell is damaged; the next one may be whole.
                    continue;
                }
            }
        }
    }

    /** A row of a table without row ids, as far as it lies on this page. */
    private static void indexed(ByteBuffer page, int at, BiConsumer<Long, List<Object>> row) {
        ByteBuffer in = page.duplicate().position(at);
        long payload = varint(in);
        if (payload > 0 && payload <= MOST_IN_AN_INDEX) {
            byte[] whole = new byte[(int) payload];
            in.get(whole);
            List<Object> values = record(whole);
            if (!values.isEmpty()) {
                row.accept(NO_NUMBER, values);
            }
        }
    }

    private void cell(ByteBuffer page, int at, BiConsumer<Long, List<Object>> row) throws IOException {
        ByteBuffer in = page.duplicate().position(at);
        long payload = varint(in);
        long number = varint(in);
        if (payload <= 0 || payload > MOST_PAYLOAD) {
            return;
        }
        byte[] whole = new byte[(int) payload];
        int most = PAGE - 35;
        int least = (PAGE - 12) * 32 / 255 - 23;
        int local = (int) payload;
        if (payload > most) {
            int fits = least + (int) ((payload - least) % (PAGE - 4));
            local = fits <= most ? fits : least;
        }
        in.get(whole, 0, local);
        if (local < payload && !overflow(in.getInt(), whole, local)) {
            return;
        }
        List<Object> values = record(whole);
        if (!values.isEmpty()) {
            row.accept(number, values);
        }
    }

    /** Follows the chain of pages a long row goes on in; false where it breaks off. */
    private boolean overflow(int first, byte[] whole, int from) throws IOException {
        int page = first;
        int at = from;
        while (at < whole.length) {
            if (page <= 0 || page > main.size() / PAGE + inWal.size() + 1) {
                return false;
            }
            Long frame = inWal.get(page);
            ByteBuffer next = frame == null ? read(main, (page - 1L) * PAGE) : read(wal.orElseThrow(), frame);
            int some = Math.min(PAGE - 4, whole.length - at);
            if (next.limit() < 4 + some) {
                return false;
            }
            page = next.getInt(0);
            next.position(4).get(whole, at, some);
            at += some;
        }
        return true;
    }

    /** The values of a record: null, Long, Double, String or byte[]; none where it is no record, an underflow where a value is longer than it. */
    private static List<Object> record(byte[] payload) {
        ByteBuffer in = ByteBuffer.wrap(payload);
        int header = (int) varint(in);
        if (header < 2 || header > payload.length) {
            return List.of();
        }
        List<Long> types = new ArrayList<>();
        while (in.position() < header && types.size() < MOST_COLUMNS) {
            types.add(varint(in));
        }
        in.position(header);
        List<Object> values = new ArrayList<>();
        for (long type : types) {
            values.add(value(in, type));
        }
        return in.hasRemaining() ? List.of() : values;
    }

    private static Object value(ByteBuffer in, long type) {
        if (type < 0) {
            throw new BufferUnderflowException();
        }
        if (type == 0) {
            return null;
        }
        if (type >= 12) {
            long length = (type - 12) / 2;
            if (length > in.remaining()) {
                throw new BufferUnderflowException();
            }
            byte[] bytes = new byte[(int) length];
            in.get(bytes);
            return type % 2 == 0 ? bytes : new String(bytes, StandardCharsets.UTF_8);
        }
        if (type == 7) {
            return in.getDouble();
        }
        if (type >= 8) {
            return type - 8;
        }
        int bytes = type <= 4 ? (int) type : type == 5 ? 6 : 8;
        long value = in.get();
        for (int i = 1; i < bytes; i++) {
            value = value << 8 | in.get() & 0xFF;
        }
        return value;
    }

    private static long varint(ByteBuffer in) {
        long value = 0;
        for (int i = 0; i < 8; i++) {
            int next = in.get() & 0xFF;
            value = value << 7 | next & 0x7F;
            if (next < 0x80) {
                return value;
            }
        }
        return value << 8 | in.get() & 0xFF;
    }

    @Override
    public void close() throws IOException {
        try {
            main.close();
        } finally {
            if (wal.isPresent()) {
                wal.get().close();
            }
        }
    }
}
