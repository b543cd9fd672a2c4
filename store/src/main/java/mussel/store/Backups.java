package mussel.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
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
import mussel.core.book.LogKind;
import mussel.core.book.OpenLog;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.exchange.file.Durable;
import mussel.exchange.file.OutFile;
import mussel.exchange.file.Scratch;

/**
 * Backups of a logbook: one file each that holds the journal, the yard's own sheets and, when it is to travel, the pictures. Automatic ones lie beside the logbook and
 * share one folder of pictures; they are kept by age: all of a week, one a week for two months, one a month for two years, and the latest seven whatever the clock says.
 */
public final class Backups {
    private static final Messages TEXT = Messages.of(Backups.class);

    /** How the file of a backup ends. */
    public static final String ENDING = ".mussel-backup";

    private static final Pattern HALF_MADE =
            Pattern.compile("\\.mussel-backup\\.(?:half|copy)(?:-journal)?$|^\\.mussel-.*\\.half$");
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss");
    private static final int STAMP_LENGTH = 17;
    /** What SQLite keeps beside a log that is open, or was when the plug was pulled. */
    private static final List<String> BESIDE = List.of("-wal", "-shm");

    private static final int LEAST = 7;
    private static final int ALL_DAYS = 7;
    private static final int WEEKLY_DAYS = 62;
    private static final int MONTHLY_DAYS = 731;
    private static final int LONG_DAYS = 400;

    private final Path log;
    private final Path folder;
    private final Clock clock;
    private final Optional<OwnSheets> sheets;

    private Backups(Path log, Clock clock, Optional<OwnSheets> sheets) {
        this.log = LogFile.real(log);
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
            throw new JournalException(TEXT.get("backups.the_backups_in_cannot_be_listed", folder, Durable.why(e)), e);
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
        boolean odd = oddClock().isPresent();
        Path made = beside("daily");
        if (!odd) {
            prune();
        }
        return Optional.of(made);
    }

    /**
     * What is odd about the clock, in a sentence: it is behind what was already entered or backed up, or far ahead of it. No backup is let go
     * meanwhile.
     */
    public Optional<String> oddClock() {
        LocalDateTime now = LocalDateTime.now(clock);
        Optional<LocalDateTime> last = Stream.concat(
                        kept().stream().map(Kept::made).limit(1), lastEntry().stream())
                .max(Comparator.naturalOrder());
        return last.flatMap(l -> {
            String days = TEXT.get("backups.the_clock_of_this_machine_says", now.toLocalDate(), l.toLocalDate());
            if (now.isBefore(l.minusDays(1))) {
                return Optional.of(TEXT.get("backups.it_goes_back_in_time_set", days));
            }
            return ChronoUnit.DAYS.between(l, now) > LONG_DAYS
                    ? Optional.of(TEXT.get("backups.if_that_is_not_so_long", days))
                    : Optional.empty();
        });
    }

    private Optional<LocalDateTime> lastEntry() {
        try (Connection reading = LogConnections.reading(log);
                Statement statement = reading.createStatement();
                ResultSet row = statement.executeQuery("SELECT at FROM entry ORDER BY seq DESC LIMIT 1")) {
            return row.next()
                    ? Optional.of(LocalDateTime.ofInstant(java.time.Instant.parse(row.getString(1)), clock.getZone()))
                    : Optional.empty();
        } catch (SQLException | JournalException | DateTimeParseException e) {
            return Optional.empty();
        }
    }

    /** Makes a backup beside the logbook now, as before it is changed in a way that cannot be undone. */
    public Path beside(String why) {
        try {
            Durable.folders(folder);
            Durable.keepPrivate(folder);
            Path file = unused(LocalDateTime.now(clock).format(STAMP) + "-" + why);
            BackupFile.write(file, log, sheets, List.of());
            PictureFolder shared = PictureFolder.in(sharedPictures());
            for (Path picture : PictureFolder.beside(log).sound()) {
                if (!shared.has(picture.getFileName().toString())) {
                    shared.put(picture.getFileName().toString(), Files.readAllBytes(picture));
                }
            }
            return file;
        } catch (IOException e) {
            throw new JournalException(TEXT.get("backups.no_backup_could_be_made_in", folder, Durable.why(e)), e);
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

    /**
     * Writes everything into one file, pictures too, for another machine or a shelf.
     *
     * @param replace whether a backup of that name may be replaced
     */
    public void everything(Path file, boolean replace) {
        Path target = OutFile.of(file, OutFile.Kind.BACKUP, replace).path();
        if (!Files.exists(log)) {
            throw new JournalException(TEXT.get("backups.there_is_no_logbook_yet", log));
        }
        try {
            BackupFile.write(target, log, sheets, PictureFolder.beside(log).sound());
        } catch (IOException e) {
            throw new JournalException(TEXT.get("backups.no_backup_could_be_written_to", file, Durable.why(e)), e);
        }
    }

    private Path sharedPictures() {
        return folder.resolve("pictures");
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
            throw new JournalException(TEXT.get("backups.the_backups_in_cannot_be_tidied", folder, Durable.why(e)), e);
        }
    }

    /** Lets backups go that their age does not keep. */
    private void prune() {
        LocalDate today = LocalDate.now(clock);
        Set<String> held = new HashSet<>();
        int latest = 0;
        for (Kept kept : kept()) {
            LocalDate day = kept.made().toLocalDate();
            long age = today.toEpochDay() - day.toEpochDay();
            String span = age <= ALL_DAYS
                    ? kept.file().toString()
                    : age <= WEEKLY_DAYS
                            ? day.get(IsoFields.WEEK_BASED_YEAR) + "w" + day.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR)
                            : day.getYear() + "m" + day.getMonthValue();
            boolean first = held.add(span);
            latest++;
            if (latest > LEAST && (age > MONTHLY_DAYS || !first)) {
                try {
                    Files.delete(kept.file());
                } catch (IOException e) {
                    throw new JournalException(
                            TEXT.get("backups.the_old_backup_could_not_be", kept.file(), Durable.why(e)), e);
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
        return new BackupFile(backup).unpack(into);
    }

    /**
     * Looks into the journal of a backup, brought up to date on the way; the backup stays as it is.
     *
     * @throws JournalException with a sentence when it is no backup, or a damaged one
     */
    public static <T> T look(Path backup, Clock clock, Function<OpenLog, T> ask) {
        Path aside = Scratch.folder();
        try (OpenLog inside = SqliteJournal.open(unpack(backup, aside.resolve("log")), clock)) {
            return ask.apply(inside);
        } finally {
            Scratch.remove(aside);
        }
    }

    /** Puts the pictures of a backup beside the logbook; a bad one here gives way to a good one. Returns what is wrong with them. */
    public List<String> bringPictures(Path backup) {
        try {
            return restorePictures(backup);
        } catch (IOException e) {
            throw new JournalException(TEXT.get("backups.the_pictures_of_could_not_be", backup, Durable.why(e)), e);
        }
    }

    /** The names of the pictures that come with a backup, also those of the folder it shares with others. */
    public static Set<String> pictures(Path backup) {
        try {
            Set<String> names = new HashSet<>(new BackupFile(backup).pictures());
            for (Path shared : PictureFolder.in(backup.toAbsolutePath().resolveSibling("pictures"))
                    .sound()) {
                names.add(shared.getFileName().toString());
            }
            return names;
        } catch (IOException e) {
            throw new JournalException(TEXT.get("backups.the_pictures_of_could_not_be_2", backup, Durable.why(e)), e);
        }
    }

    /** Puts the sheets of a backup that can be read into the data folder; those that are there already stay. */
    public void bringSheets(Path backup) {
        sheets(backup, true);
    }

    /** What becomes of the yard's own sheets in a backup; nothing where it has none. */
    public List<SheetInBackup> meets(Path backup) {
        return sheets(backup, false);
    }

    private List<SheetInBackup> sheets(Path backup, boolean bring) {
        try {
            return sheets.isEmpty() ? List.of() : new BackupFile(backup).sheets(sheets.get(), bring);
        } catch (IOException e) {
            throw new JournalException(TEXT.get("backups.the_sheets_of_could_not_be", backup, Durable.why(e)), e);
        }
    }

    /**
     * What became of a log that was put in the place of another.
     *
     * @param before where what was there is kept now; empty where nothing was
     * @param says what else is to be told
     */
    public record Restored(Optional<Path> before, List<String> says) {
        /** Keeps its own copy. */
        public Restored {
            says = List.copyOf(says);
        }
    }

    /**
     * Puts a backup in place of the logbook, which must not be open anywhere. What is there now is backed up before; where it is too damaged
     * for that, it is set aside as it is. Whatever ends it in between, one of the two lies there whole.
     *
     * @throws JournalException with a sentence when the backup is damaged or the logbook is open; nothing has changed then
     */
    public Restored restore(Path backup) {
        return replace(
                fresh -> apart(
                        backup,
                        LogFile.kind(new BackupFile(backup).unpack(fresh)).orElse(LogKind.YARD)),
                () -> {
                    List<String> says = new ArrayList<>(restorePictures(backup));
                    sheets(backup, true);
                    return says;
                });
    }

    /**
     * A practice log takes the place of a practice log only, and a yard's log that of a yard's.
     *
     * @throws JournalException with a sentence where the two would cross
     */
    public void apart(Path backup, LogKind inside) {
        boolean practice = inside == LogKind.PRACTICE;
        if (practice != LogFile.isPractice(log)) {
            throw new JournalException(
                    practice
                            ? TEXT.get("backups.is_a_backup_of_a_practice", backup, log)
                            : TEXT.get("backups.is_a_backup_of_a_shops", backup, log));
        }
    }

    /** Puts a log that was brought out of a damaged one in its place; the damaged one is set aside. */
    public Restored putSalvaged(Path salvaged) {
        return replace(
                fresh -> {
                    Files.copy(salvaged, fresh);
                    Durable.sync(fresh);
                },
                List::of);
    }

    private interface Fresh {
        void put(Path fresh) throws IOException;
    }

    private interface Beside {
        List<String> bring() throws IOException;
    }

    private Restored replace(Fresh make, Beside beside) {
        Path fresh = log.resolveSibling(log.getFileName() + ".restored");
        try {
            Durable.folders(log.getParent());
            FileChannel held = LogLock.take(log);
            try (held) {
                Files.deleteIfExists(fresh);
                make.put(fresh);
                Durable.keepPrivate(fresh);
                Durable.sync(fresh);
                Optional<Path> before = Files.exists(log) ? Optional.of(putBy()) : Optional.empty();
                List<String> says = beside.bring();
                Durable.replace(fresh, log);
                LogFile.keepPrivate(log);
                return new Restored(before, says);
            }
        } catch (IOException e) {
            throw new JournalException(TEXT.get("backups.the_backup_could_not_be_put", Durable.why(e)), e);
        } finally {
            fresh.toFile().delete();
        }
    }

    /**
     * Keeps what is there now: as a backup, or, where it cannot be read any more, as the files it lies in. After it nothing waits in a write-ahead
     * file, which would be played into what comes in its place.
     */
    private Path putBy() throws IOException {
        Path kept;
        boolean readable = false;
        try {
            LogFile.inspectWhole(log);
            kept = beside("before-restore");
            readable = true;
        } catch (JournalException unreadable) {
            kept = setAside();
        }
        if (readable) {
            settle();
        }
        for (String ending : BESIDE) {
            Files.deleteIfExists(log.resolveSibling(log.getFileName() + ending));
        }
        Durable.syncFolder(log);
        return kept;
    }

    /** Brings what waits in the write-ahead file into the log, so that the log alone is whole. */
    private void settle() {
        try (Connection writing = LogConnections.writing(log);
                Statement statement = writing.createStatement();
                ResultSet row = statement.executeQuery("PRAGMA wal_checkpoint(TRUNCATE)")) {
            if (!row.next() || row.getInt(1) != 0) {
                throw new IllegalStateException();
            }
        } catch (SQLException | IllegalStateException e) {
            throw new JournalException(TEXT.get("backups.the_logbook_is_being_read_by", log), e);
        }
    }

    private Path setAside() throws IOException {
        Path aside = log.resolveSibling(
                log.getFileName() + ".set-aside-" + LocalDateTime.now(clock).format(STAMP));
        for (String ending : List.of("-wal", "-shm", "")) {
            Path part = log.resolveSibling(log.getFileName() + ending);
            Path copy = aside.resolveSibling(aside.getFileName() + ending);
            if (Files.exists(part)) {
                Durable.write(copy, out -> Files.copy(part, out));
            }
        }
        return aside;
    }

    private List<String> restorePictures(Path backup) throws IOException {
        PictureFolder here = PictureFolder.beside(log);
        List<String> says = new ArrayList<>(new BackupFile(backup).bringPictures(here));
        PictureFolder shared = PictureFolder.in(backup.toAbsolutePath().resolveSibling("pictures"));
        for (Path picture : shared.sound()) {
            String name = picture.getFileName().toString();
            if (!here.has(name)) {
                here.put(name, Files.readAllBytes(picture));
            }
        }
        return says;
    }
}
