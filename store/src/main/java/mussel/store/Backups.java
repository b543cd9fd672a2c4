package mussel.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.time.temporal.IsoFields;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.CRC32;
import java.util.zip.CheckedInputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import mussel.core.job.JournalException;

/**
 * Backups of a logbook: one file each that holds the journal, the yard's own sheets and, when it is to travel, the pictures. Automatic ones lie beside the logbook and
 * share one folder of pictures; they are kept by age: all of a week, one a week for two months, one a month for two years.
 */
public final class Backups {
    /** How the file of a backup ends. */
    public static final String ENDING = ".mussel-backup";

    private static final Pattern HALF_MADE = Pattern.compile("\\.mussel-backup\\.(?:half|copy)(?:-journal)?$");
    private static final String LOG = "log";
    private static final String PICTURES = "pictures/";
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss");
    private static final int STAMP_LENGTH = 17;
    /** What SQLite keeps beside a log that is open, or was when the plug was pulled. */
    private static final List<String> BESIDE = List.of("-wal", "-shm");

    private static final int ALL_DAYS = 7;
    private static final int WEEKLY_DAYS = 62;
    private static final int MONTHLY_DAYS = 731;

    private final Path log;
    private final Path folder;
    private final Clock clock;
    private final Optional<OwnSheets> sheets;

    private Backups(Path log, Clock clock, Optional<OwnSheets> sheets) {
        this.log = log.toAbsolutePath();
        this.folder = this.log.resolveSibling(this.log.getFileName() + ".backups");
        this.clock = clock;
        this.sheets = sheets;
    }

    /** The backups of a logbook alone. */
    public static Backups of(Path log, Clock clock) {
        return new Backups(log, clock, Optional.empty());
    }

    /** The backups of a logbook with the sheets a yard keeps of its own in its data folder. */
    public static Backups of(Path log, Path dataFolder, Clock clock) {
        return new Backups(log, clock, Optional.of(new OwnSheets(dataFolder)));
    }

    /**
     * A backup.
     *
     * @param file where it lies
     * @param made when it was made
     */
    public record Kept(Path file, LocalDateTime made) {}

    /** The automatic backups there are, the latest first. */
    public List<Kept> kept() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.flatMap(f -> kept(f).stream())
                    .sorted(Comparator.comparing(Kept::made).reversed())
                    .toList();
        } catch (IOException e) {
            throw new JournalException("The backups in " + folder + " cannot be listed: " + e.getMessage() + ".", e);
        }
    }

    private static Optional<Kept> kept(Path file) {
        String name = file.getFileName().toString();
        if (!name.endsWith(ENDING) || name.length() < STAMP_LENGTH) {
            return Optional.empty();
        }
        try {
            return Optional.of(new Kept(file, LocalDateTime.parse(name.substring(0, STAMP_LENGTH), STAMP)));
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    /** Makes today's backup where there is none yet, and lets old ones go. Empty where there is one, or nothing to keep. */
    public Optional<Path> daily() {
        LocalDate today = LocalDate.now(clock);
        if (!Files.exists(log)
                || kept().stream().anyMatch(k -> k.made().toLocalDate().equals(today))) {
            return Optional.empty();
        }
        sweep();
        Path made = beside("daily");
        prune();
        return Optional.of(made);
    }

    /** Makes a backup beside the logbook now, as before it is changed in a way that cannot be undone. */
    public Path beside(String why) {
        try {
            Files.createDirectories(folder);
            Path file = unused(LocalDateTime.now(clock).format(STAMP) + "-" + why);
            write(file, List.of());
            for (Path picture : pictures()) {
                Path copy = sharedPictures().resolve(picture.getFileName());
                if (!Files.exists(copy)) {
                    Files.createDirectories(copy.getParent());
                    Files.copy(picture, copy, StandardCopyOption.COPY_ATTRIBUTES);
                }
            }
            return file;
        } catch (IOException e) {
            throw new JournalException("No backup could be made in " + folder + ": " + e.getMessage() + ".", e);
        }
    }

    /** A name that no backup has yet, also where two are made within a second. */
    private Path unused(String name) {
        Path file = folder.resolve(name + ENDING);
        for (int i = 2; Files.exists(file); i++) {
            file = folder.resolve(name + "-" + i + ENDING);
        }
        return file;
    }

    /** Writes everything into one file, pictures too, for another machine or a shelf. */
    public void everything(Path file) {
        try {
            write(file.toAbsolutePath(), pictures());
        } catch (IOException e) {
            throw new JournalException("No backup could be written to " + file + ": " + e.getMessage() + ".", e);
        }
    }

    private Path sharedPictures() {
        return folder.resolve("pictures");
    }

    private List<Path> pictures() throws IOException {
        Path pictures = log.resolveSibling(log.getFileName() + ".pictures");
        if (!Files.isDirectory(pictures)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(pictures)) {
            return files.filter(f -> !f.getFileName().toString().endsWith(".tmp"))
                    .toList();
        }
    }

    private void write(Path file, List<Path> pictures) throws IOException {
        Path half = file.resolveSibling(file.getFileName() + ".half");
        Path copy = file.resolveSibling(file.getFileName() + ".copy");
        try {
            Files.deleteIfExists(copy);
            copyLog(copy);
            try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(half))) {
                put(zip, LOG, copy);
                for (Path sheet : sheets.map(OwnSheets::files).orElse(List.of())) {
                    put(zip, sheets.orElseThrow().entry(sheet), sheet);
                }
                for (Path picture : pictures) {
                    put(zip, PICTURES + picture.getFileName(), picture);
                }
            }
            Files.move(half, file, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(copy);
            Files.deleteIfExists(half);
        }
    }

    /** A copy of the journal as it stands, while others may be writing. */
    private void copyLog(Path copy) {
        try (Connection reading = SqliteJournal.reading(log);
                Statement statement = reading.createStatement()) {
            statement.execute("VACUUM INTO '" + copy.toString().replace("'", "''") + "'");
        } catch (SQLException e) {
            throw new JournalException("The logbook " + log + " could not be copied: " + SqlWork.plain(e) + ".", e);
        }
    }

    private static void put(ZipOutputStream zip, String name, Path file) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        Files.copy(file, zip);
        zip.closeEntry();
    }

    /** Clears away what a backup left behind that was cut off half made. */
    private void sweep() {
        if (!Files.isDirectory(folder)) {
            return;
        }
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(
                            f -> HALF_MADE.matcher(f.getFileName().toString()).find())
                    .toList()) {
                Files.delete(file);
            }
        } catch (IOException e) {
            throw new JournalException("The backups in " + folder + " cannot be tidied: " + e.getMessage() + ".", e);
        }
    }

    /** Lets backups go that their age does not keep. */
    private void prune() {
        LocalDate today = LocalDate.now(clock);
        Set<String> held = new HashSet<>();
        for (Kept kept : kept()) {
            LocalDate day = kept.made().toLocalDate();
            long age = today.toEpochDay() - day.toEpochDay();
            String span = age <= ALL_DAYS
                    ? kept.file().toString()
                    : age <= WEEKLY_DAYS
                            ? day.get(IsoFields.WEEK_BASED_YEAR) + "w" + day.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR)
                            : day.getYear() + "m" + day.getMonthValue();
            if (age > MONTHLY_DAYS || !held.add(span)) {
                try {
                    Files.delete(kept.file());
                } catch (IOException e) {
                    throw new JournalException(
                            "The old backup " + kept.file() + " could not be removed: " + e.getMessage() + ".", e);
                }
            }
        }
    }

    /**
     * Takes the journal out of a backup to look into it or to work from it; the file is the caller's to remove.
     *
     * @throws JournalException with a sentence when it is no backup, or a damaged one
     */
    public static Path unpack(Path backup, Path into) {
        try (ZipFile zip = new ZipFile(backup.toFile())) {
            ZipEntry entry = zip.getEntry(LOG);
            if (entry == null) {
                throw new JournalException(backup + " is no backup of Mussel. Nothing was changed.");
            }
            copy(zip, entry, into);
            sound(backup, into);
            return into;
        } catch (ZipException e) {
            throw new JournalException(backup + " is no backup of Mussel, or a damaged one. Nothing was changed.", e);
        } catch (IOException e) {
            throw new JournalException(backup + " cannot be read: " + e.getMessage() + ". Nothing was changed.", e);
        }
    }

    /**
     * Looks into the journal of a backup, brought up to date on the way; the backup stays as it is.
     *
     * @throws JournalException with a sentence when it is no backup, or a damaged one
     */
    public static <T> T look(Path backup, Clock clock, Function<SqliteJournal, T> ask) {
        try {
            Path aside = Files.createTempDirectory("mussel-backup");
            try (SqliteJournal inside = SqliteJournal.open(unpack(backup, aside.resolve(LOG)), clock)) {
                return ask.apply(inside);
            } finally {
                remove(aside);
            }
        } catch (IOException e) {
            throw new JournalException(backup + " cannot be looked into: " + e.getMessage() + ".", e);
        }
    }

    private static void remove(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(file);
            }
        }
    }

    /** Puts the pictures of a backup beside the logbook; those that are there already stay. */
    public void bringPictures(Path backup) {
        try {
            restorePictures(backup);
        } catch (IOException e) {
            throw new JournalException("The pictures of " + backup + " could not be kept: " + e.getMessage() + ".", e);
        }
    }

    /** Puts the sheets of a backup into the data folder; those that are there already stay. */
    public void bringSheets(Path backup) {
        try {
            restoreSheets(backup);
        } catch (IOException e) {
            throw new JournalException("The sheets of " + backup + " could not be kept: " + e.getMessage() + ".", e);
        }
    }

    /** In sentences, what becomes of the yard's own sheets in a backup; nothing where it has none. */
    public List<String> says(Path backup) {
        try (ZipFile zip = new ZipFile(backup.toFile())) {
            return sheets.map(own -> own.says(zip)).orElse(List.of());
        } catch (IOException e) {
            throw new JournalException(backup + " cannot be read: " + e.getMessage() + ".", e);
        }
    }

    private void restoreSheets(Path backup) throws IOException {
        if (sheets.isPresent()) {
            try (ZipFile zip = new ZipFile(backup.toFile())) {
                for (ZipEntry entry : sheets.get().missing(zip)) {
                    Path target = sheets.get().target(entry);
                    Files.createDirectories(target.getParent());
                    copy(zip, entry, target);
                }
            }
        }
    }

    /** Copies one file out of a backup, whose sum must be right: a zip file is read without anybody comparing it. */
    private static void copy(ZipFile zip, ZipEntry entry, Path into) throws IOException {
        CRC32 sum = new CRC32();
        try (InputStream in = new CheckedInputStream(zip.getInputStream(entry), sum)) {
            Files.copy(in, into, StandardCopyOption.REPLACE_EXISTING);
        }
        if (sum.getValue() != entry.getCrc()) {
            throw new ZipException("the sum of " + entry.getName() + " is wrong");
        }
    }

    private static void sound(Path backup, Path unpacked) {
        try {
            if (LogFile.inspect(unpacked) > 0) {
                return;
            }
        } catch (JournalException e) {
            throw new JournalException(
                    backup + " holds no logbook this program reads, or a damaged one. Nothing was changed.", e);
        }
        throw new JournalException(backup + " holds an empty journal. Nothing was changed.");
    }

    /**
     * Puts a backup in place of the logbook, which must not be open anywhere. What is there now is backed up before; where it is too damaged
     * for that, it is set aside as it is.
     *
     * @return where what was there is kept now; empty where nothing was
     * @throws JournalException with a sentence when the backup is damaged or the logbook is open; nothing has changed then
     */
    public Optional<Path> restore(Path backup) {
        Path fresh = log.resolveSibling(log.getFileName() + ".restored");
        try {
            Files.createDirectories(log.getParent());
            FileChannel held = SqliteJournal.lock(log);
            try (held) {
                unpack(backup, fresh);
                Optional<Path> before = Files.exists(log) ? Optional.of(putBy()) : Optional.empty();
                restorePictures(backup);
                restoreSheets(backup);
                for (String ending : BESIDE) {
                    Files.deleteIfExists(log.resolveSibling(log.getFileName() + ending));
                }
                Files.move(fresh, log, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
                return before;
            }
        } catch (IOException e) {
            throw new JournalException(
                    "The backup could not be put in place: " + e.getMessage() + ". The logbook is as it was.", e);
        } finally {
            fresh.toFile().delete();
        }
    }

    /** Keeps what is there now: as a backup, or, where it cannot be read any more, as the files it lies in. */
    private Path putBy() throws IOException {
        try {
            LogFile.inspect(log);
            return beside("before-restore");
        } catch (JournalException unreadable) {
            Path aside = log.resolveSibling(
                    log.getFileName() + ".set-aside-" + LocalDateTime.now(clock).format(STAMP));
            for (String ending : BESIDE) {
                Path part = log.resolveSibling(log.getFileName() + ending);
                if (Files.exists(part)) {
                    Files.copy(part, aside.resolveSibling(aside.getFileName() + ending));
                }
            }
            Files.copy(log, aside);
            return aside;
        }
    }

    private void restorePictures(Path backup) throws IOException {
        Path pictures = log.resolveSibling(log.getFileName() + ".pictures");
        List<Path> shared = new ArrayList<>();
        Path beside = backup.toAbsolutePath().resolveSibling("pictures");
        if (Files.isDirectory(beside)) {
            try (Stream<Path> files = Files.list(beside)) {
                files.forEach(shared::add);
            }
        }
        try (ZipFile zip = new ZipFile(backup.toFile())) {
            for (ZipEntry entry :
                    zip.stream().filter(e -> e.getName().startsWith(PICTURES)).toList()) {
                Path name = Path.of(entry.getName()).getFileName();
                Files.createDirectories(pictures);
                if (!Files.exists(pictures.resolve(name))) {
                    copy(zip, entry, pictures.resolve(name));
                }
            }
        }
        for (Path picture : shared) {
            Files.createDirectories(pictures);
            Path target = pictures.resolve(picture.getFileName());
            if (!Files.exists(target)) {
                Files.copy(picture, target);
            }
        }
    }
}
