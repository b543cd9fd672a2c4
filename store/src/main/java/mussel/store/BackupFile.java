package mussel.store;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import mussel.core.job.JournalException;
import mussel.core.job.Settings;
import mussel.core.language.Messages;
import mussel.exchange.file.Durable;
import mussel.exchange.file.InFile;
import mussel.exchange.file.Scratch;

/**
 * One backup as a file: the journal first, then sheets and pictures. It is looked through before a byte of it is written anywhere: no name that a
 * backup does not have, nothing larger than it can be.
 */
final class BackupFile {
    private static final Messages TEXT = Messages.of(BackupFile.class);

    private static final String LOG = "log";
    private static final String PICTURES = "pictures/";
    private static final long LOG_UNSUSPECTED = 64L * 1024 * 1024;
    private static final long MOST_SHRUNK = 100;
    private static final long MOST_SHEET = 8L * 1024 * 1024;
    private static final int MOST_ENTRIES = 500_000;

    private final Path file;

    BackupFile(Path file) {
        this.file = file;
    }

    /** Writes a backup, whole or not at all, and reads it back. */
    static void write(Path file, Path log, Optional<OwnSheets> sheets, List<Path> pictures) throws IOException {
        Path folder = Scratch.folder();
        try {
            Path copy = folder.resolve(LOG);
            copyLog(log, copy);
            Durable.write(file, out -> {
                ZipOutputStream zip = new ZipOutputStream(out);
                put(zip, LOG, copy);
                for (Path sheet : sheets.map(OwnSheets::files).orElse(List.of())) {
                    put(zip, sheets.orElseThrow().entry(sheet), sheet);
                }
                for (Path picture : pictures) {
                    put(zip, PICTURES + picture.getFileName(), picture);
                }
                zip.finish();
            });
            Path back = new BackupFile(file).unpack(folder.resolve("back"));
            if (Files.mismatch(copy, back) >= 0) {
                Files.delete(file);
                throw new JournalException(TEXT.get("backup_file.the_backup_does_not_read_as", file));
            }
        } finally {
            Scratch.remove(folder);
        }
    }

    /** A copy of the journal as it stands, while others may be writing. */
    private static void copyLog(Path log, Path copy) {
        try (Connection reading = LogConnections.reading(log);
                Statement statement = reading.createStatement()) {
            statement.execute("VACUUM INTO '" + copy.toString().replace("'", "''") + "'");
        } catch (SQLException e) {
            // What fails is mostly the place the copy goes to, and then the logbook itself is sound.
            throw new JournalException(
                    SqlWork.isFull(e)
                            ? TEXT.get("backup_file.there_is_no_room_for_a", copy.getParent())
                            : TEXT.get("backup_file.the_logbook_could_not_be_copied", log, SqlWork.plain(e)),
                    e);
        }
    }

    /** Copies the log as it is at one moment; false where it is too damaged for that. */
    static boolean copied(Path log, Path copy) {
        try {
            copyLog(log, copy);
            return true;
        } catch (JournalException e) {
            return false;
        }
    }

    private static void put(ZipOutputStream zip, String name, Path file) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        Files.copy(file, zip);
        zip.closeEntry();
    }

    /**
     * Looks at every name and size in it.
     *
     * @throws JournalException with a sentence when it is no backup, or one that nobody made with Mussel
     */
    private void lookThrough(ZipFile zip) {
        if (zip.getEntry(LOG) == null) {
            throw new JournalException(TEXT.get("backup_file.is_no_backup_of_mussel_nothing", file));
        }
        if (zip.size() > MOST_ENTRIES) {
            throw new JournalException(TEXT.get("backup_file.holds_more_than_files_nothing_was", file, MOST_ENTRIES));
        }
        zip.stream().forEach(this::lookAt);
    }

    private static boolean isPicture(String name) {
        return name.startsWith(PICTURES) && Settings.isPicture(name.substring(PICTURES.length()));
    }

    private void lookAt(ZipEntry entry) {
        String name = entry.getName();
        boolean picture = isPicture(name);
        if (!name.equals(LOG) && !picture && !OwnSheets.isSheet(name)) {
            String shown = name.length() > 80 ? name.substring(0, 80) + "…" : name;
            throw new JournalException(
                    TEXT.get("backup_file.holds_which_no_backup_of_mussel", file, shown.replaceAll("\\p{Cntrl}", "?")));
        }
        long bytes = entry.getSize();
        long most = picture ? PictureFolder.MOST_BYTES : name.equals(LOG) ? Long.MAX_VALUE : MOST_SHEET;
        boolean swells = name.equals(LOG)
                && bytes > LOG_UNSUSPECTED
                && bytes / Math.max(1, entry.getCompressedSize()) > MOST_SHRUNK;
        if (bytes < 0 || bytes > most || swells) {
            throw new JournalException(TEXT.get(
                    "backup_file.holds_that_would_take_once_unpacked",
                    file,
                    name,
                    (bytes < 0 ? TEXT.get("backup_file.nobody_knows_how_much") : InFile.size(bytes))));
        }
    }

    /**
     * Takes the journal out of it.
     *
     * @throws JournalException with a sentence when it is no backup, or a damaged one
     */
    Path unpack(Path into) {
        Optional<String> refused = InFile.refused(file, Long.MAX_VALUE);
        if (refused.isPresent()) {
            throw new JournalException(TEXT.get("backup_file.nothing_was_changed", file, refused.get()));
        }
        try (ZipFile zip = new ZipFile(file.toFile())) {
            lookThrough(zip);
            room(zip.getEntry(LOG).getSize(), into);
            copy(zip, zip.getEntry(LOG), into);
        } catch (ZipException | IllegalArgumentException e) {
            // The zip library throws the second where a name in the list is no text.
            unpackWithoutList(into, e);
        } catch (IOException e) {
            throw new JournalException(
                    TEXT.get("backup_file.cannot_be_read_nothing_was_changed", file, Durable.why(e)), e);
        }
        return sound(into);
    }

    /** Where a system does not tell what is free, as in some containers, the disk says it itself when it is full. */
    private void room(long bytes, Path into) {
        long free = Durable.folderOf(into).toFile().getUsableSpace();
        if (free > 0 && bytes > free) {
            throw new JournalException(
                    TEXT.get("backup_file.the_logbook_in_takes_and_are", file, InFile.size(bytes), InFile.size(free)));
        }
    }

    /** The list of its files is damaged: the journal, which comes first, may be whole all the same. */
    private void unpackWithoutList(Path into, Exception why) {
        JournalException damaged = new JournalException(TEXT.get("backup_file.is_no_backup_of_mussel_or", file), why);
        try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(file))) {
            ZipEntry first = zip.getNextEntry();
            if (first == null || !first.getName().equals(LOG)) {
                throw damaged;
            }
            long most = Math.max(LOG_UNSUSPECTED, MOST_SHRUNK * Files.size(file));
            try (OutputStream out = Files.newOutputStream(into)) {
                bounded(zip, out, most);
            }
            if (zip.read() >= 0) {
                throw damaged;
            }
        } catch (IOException | IllegalArgumentException e) {
            into.toFile().delete();
            damaged.addSuppressed(e);
            throw damaged;
        }
    }

    private static void bounded(InputStream in, OutputStream out, long most) throws IOException {
        byte[] block = new byte[65_536];
        long left = most;
        int read;
        while ((read = in.read(block)) > 0) {
            left -= read;
            if (left < 0) {
                throw new ZipException(TEXT.get("backup_file.more_than_it_says"));
            }
            out.write(block, 0, read);
        }
    }

    private Path sound(Path unpacked) {
        try {
            if (LogFile.inspectWhole(unpacked) > 0) {
                return unpacked;
            }
        } catch (JournalException e) {
            throw new JournalException(TEXT.get("backup_file.holds_no_logbook_this_program_reads", file), e);
        }
        throw new JournalException(TEXT.get("backup_file.holds_an_empty_journal_nothing_was", file));
    }

    /** Copies one file out, no more of it than it says, whose sum must be right: a zip file is read without anybody comparing it. */
    private static void copy(ZipFile zip, ZipEntry entry, Path into) throws IOException {
        Durable.write(into, out -> copy(zip, entry, out));
    }

    private static void copy(ZipFile zip, ZipEntry entry, OutputStream out) throws IOException {
        CRC32 sum = new CRC32();
        try (InputStream in = zip.getInputStream(entry)) {
            bounded(in, new java.util.zip.CheckedOutputStream(out, new Summing(sum)), entry.getSize());
        }
        if (sum.getValue() != entry.getCrc()) {
            throw new ZipException(TEXT.get("backup_file.the_sum_of_is_wrong", entry.getName()));
        }
    }

    /** Hands the sum on to the caller, who compares it. */
    private record Summing(CRC32 sum) implements java.util.zip.Checksum {
        @Override
        public void update(int b) {
            sum.update(b);
        }

        @Override
        public void update(byte[] b, int off, int len) {
            sum.update(b, off, len);
        }

        @Override
        public long getValue() {
            return sum.getValue();
        }

        @Override
        public void reset() {
            sum.reset();
        }
    }

    private static Optional<byte[]> bytes(ZipFile zip, ZipEntry entry) {
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            copy(zip, entry, out);
            return Optional.of(out.toByteArray());
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    /** The names of its pictures. */
    List<String> pictures() throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            lookThrough(zip);
            return zip.stream()
                    .map(ZipEntry::getName)
                    .filter(BackupFile::isPicture)
                    .map(name -> name.substring(PICTURES.length()))
                    .toList();
        }
    }

    /** Puts its pictures into a folder; a bad one here gives way to a good one. Returns what is wrong with them, in sentences. */
    List<String> bringPictures(PictureFolder here) throws IOException {
        List<String> says = new ArrayList<>();
        try (ZipFile zip = new ZipFile(file.toFile())) {
            lookThrough(zip);
            for (ZipEntry entry :
                    zip.stream().filter(e -> isPicture(e.getName())).toList()) {
                String name = entry.getName().substring(PICTURES.length());
                if (!here.has(name)) {
                    Optional<byte[]> content = bytes(zip, entry);
                    if (content.isEmpty() || !here.put(name, content.get())) {
                        says.add(TEXT.get("backup_file.the_picture_in_the_backup_is", name));
                    }
                }
            }
        } catch (ZipException | IllegalArgumentException e) {
            says.add(TEXT.get("backup_file.the_list_of_files_in_the"));
        }
        return says;
    }

    /** What becomes of its sheets in sentences; and, where they are to be brought, brings them. */
    List<SheetInBackup> sheets(OwnSheets here, boolean bring) throws IOException {
        List<SheetInBackup> says = new ArrayList<>();
        try (ZipFile zip = new ZipFile(file.toFile())) {
            lookThrough(zip);
            for (ZipEntry entry :
                    zip.stream().filter(e -> OwnSheets.isSheet(e.getName())).toList()) {
                Optional<byte[]> content = bytes(zip, entry);
                says.add(
                        content.isPresent()
                                ? here.meet(entry.getName(), content.get(), bring)
                                : new SheetInBackup(
                                        false,
                                        TEXT.get(
                                                "backup_file.sheet_damaged_in_the_backup_left",
                                                OwnSheets.name(entry.getName()))));
            }
        } catch (ZipException | IllegalArgumentException e) {
            return says;
        }
        return says;
    }
}
