package mussel.store;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import mussel.exchange.log.Chain;
import mussel.exchange.sheet.KeptSheet;

/** The sheets that jobs were worked by: deflated, each under the name its content gives it, so that one that was changed is found out by itself. */
final class SheetTable {
    /** A sheet is a tenth of this; whatever unpacks to more is none. */
    private static final int MOST_BYTES = 8_000_000;

    private final EntryStatements log;
    private final Rows rows;
    private final SqlWork work;

    SheetTable(EntryStatements log, Rows rows, SqlWork work) {
        this.log = log;
        this.rows = rows;
        this.work = work;
    }

    /** Keeps a sheet under its name, inside a transaction that is open; one that is there already stays. */
    void keep(String name, String text) throws SQLException {
        if (log.one("SELECT 1 FROM sheet WHERE name = ?", row -> row.getInt(1), name)
                .isPresent()) {
            return;
        }
        log.change("INSERT INTO sheet (name, content) VALUES (?, ?)", name, packed(text));
        byte[] sum = log.one("SELECT sheets FROM seal", row -> row.getBytes(1)).orElseThrow();
        log.change("UPDATE seal SET sheets = ?", Chain.sum(sum, SealMigration.sheetDigest(name)));
    }

    /** A sheet as it was put in; empty where there is none of that name, or it is not what was put in. */
    Optional<String> text(String name) {
        return work.read(() -> log.one("SELECT content FROM sheet WHERE name = ?", row -> row.getBytes(1), name))
                .flatMap(content -> unpacked(name, content));
    }

    List<String> names() {
        return rows.query("SELECT name FROM sheet ORDER BY name", row -> row.getString(1));
    }

    private static byte[] packed(String text) throws SQLException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (GZIPOutputStream out = new GZIPOutputStream(bytes)) {
            out.write(text.getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new SQLException(e);
        }
        return bytes.toByteArray();
    }

    /** The text of a packed sheet, where it fits its name. */
    static Optional<String> unpacked(String name, byte[] content) {
        try (GZIPInputStream in = new GZIPInputStream(new ByteArrayInputStream(content))) {
            String text = new String(in.readNBytes(MOST_BYTES), StandardCharsets.UTF_8);
            return Optional.of(text).filter(t -> KeptSheet.nameOf(t).equals(name));
        } catch (IOException e) {
            return Optional.empty();
        }
    }
}
