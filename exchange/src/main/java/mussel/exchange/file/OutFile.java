package mussel.exchange.file;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;

/**
 * A place where somebody wants something written. A logbook, what lies beside one, and anything that is not of the kind to be written is never
 * replaced; a file of the same kind only when that is said.
 */
public final class OutFile {
    private static final Messages TEXT = Messages.of(OutFile.class);

    private static final byte[] DATABASE = "SQLite format 3\0".getBytes(StandardCharsets.ISO_8859_1);
    private static final List<String> OURS =
            List.of(".mussel", ".mussel-wal", ".mussel-shm", ".mussel-journal", ".mussel.lock");
    private static final int LOOKED_AT = 4_096;

    private final Path file;

    private OutFile(Path file) {
        this.file = file.toAbsolutePath();
    }

    /** What is written. */
    public enum Kind {
        /** A page for print. */
        PDF,
        /** A log, or part of one. */
        JSON,
        /** A list. */
        CSV,
        /** A calendar. */
        CALENDAR,
        /** A compact sheet. */
        SHEET,
        /** A yard's sheet. */
        YARD,
        /** A backup. */
        BACKUP,
        /** A logbook that is made anew; it replaces nothing. */
        LOG;

        private boolean is(byte[] begin) {
            String text = new String(begin, StandardCharsets.UTF_8);
            return switch (this) {
                case PDF -> text.startsWith("%PDF-");
                case JSON -> text.strip().startsWith("{") && text.contains("mussel-log");
                case CSV ->
                    !text.isEmpty()
                            && !text.strip().startsWith("{")
                            && text.indexOf('\0') < 0
                            && text.lines().findFirst().orElse("").indexOf(',') > 0;
                case SHEET -> text.contains("mussel-sheet/");
                case YARD -> text.contains("labour_per_h:") && !text.contains("mussel-sheet/");
                case CALENDAR -> text.startsWith("BEGIN:VCALENDAR");
                case BACKUP -> isBackup(begin);
                case LOG -> false;
            };
        }

        private static boolean isBackup(byte[] begin) {
            try (ZipInputStream zip = new ZipInputStream(new java.io.ByteArrayInputStream(begin))) {
                ZipEntry first = zip.getNextEntry();
                return first != null && first.getName().equals("log");
            } catch (IOException e) {
                return false;
            }
        }
    }

    /**
     * Says whether something of a kind may be written there.
     *
     * @param replace whether a file of the same kind may be replaced
     * @throws JournalException with a sentence when not
     */
    public static OutFile of(Path file, Kind kind, boolean replace) {
        OutFile out = new OutFile(file);
        out.check(kind, replace);
        return out;
    }

    private void check(Kind kind, boolean replace) {
        String name =
                file.getFileName() == null ? "" : file.getFileName().toString().toLowerCase(Locale.ROOT);
        boolean beside = name.isEmpty() || kind != Kind.LOG && OURS.stream().anyMatch(name::endsWith);
        if (beside || insideOurs()) {
            throw refused(TEXT.get("out_file.is_a_logbooks_own_name_or"));
        }
        Path folder = Durable.folderOf(file);
        if (!Files.isDirectory(folder)) {
            throw refused(TEXT.get("out_file.cannot_be_written_there_is_no", folder));
        }
        if (!Files.exists(file, LinkOption.NOFOLLOW_LINKS)) {
            return;
        }
        if (!Files.isRegularFile(file)) {
            throw refused(TEXT.get("out_file.is_no_plain_file_choose_a"));
        }
        byte[] begin = begin();
        if (begin.length >= DATABASE.length && Arrays.equals(begin, 0, DATABASE.length, DATABASE, 0, DATABASE.length)) {
            throw refused(TEXT.get("out_file.is_a_logbook_or_another_database"));
        }
        if (begin.length > 0 && !kind.is(begin)) {
            throw refused(TEXT.get("out_file.is_there_already_and_is_not", TEXT.of(kind)));
        }
        if (!replace) {
            throw refused(TEXT.get("out_file.is_there_already_say_force_to"));
        }
    }

    /** Whether it lies among a logbook's pictures or backups. */
    private boolean insideOurs() {
        Path folder = Durable.folderOf(file);
        String name = folder.getFileName() == null ? "" : folder.getFileName().toString();
        return name.endsWith(".mussel.pictures") || name.endsWith(".mussel.backups");
    }

    private byte[] begin() {
        try (InputStream in = Files.newInputStream(file)) {
            return in.readNBytes(LOOKED_AT);
        } catch (IOException e) {
            throw refused(TEXT.get("out_file.is_there_already_and_cannot_be", Durable.why(e)));
        }
    }

    private JournalException refused(String why) {
        return new JournalException(file + " " + why + ".");
    }

    /** Where it is written. */
    public Path path() {
        return file;
    }

    /**
     * Writes it, whole or not at all.
     *
     * @throws JournalException with a sentence when it could not be written; what was there is as it was
     */
    public void write(Durable.Content content) {
        try {
            Durable.write(Files.isSymbolicLink(file) ? file.toRealPath() : file, content);
        } catch (IOException e) {
            throw new JournalException(TEXT.get("out_file.cannot_be_written", file, Durable.why(e)), e);
        }
    }
}
