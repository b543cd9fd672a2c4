package mussel.app.data;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import mussel.core.book.LogCopy;
import mussel.core.book.Merge;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.measure.Problem;
import mussel.core.measure.Problems;
import mussel.desktop.desk.Incoming;
import mussel.exchange.log.LogJson;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.record.Read;
import mussel.exchange.record.Yaml;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import mussel.store.Backups;
import mussel.store.SqliteJournal;

/** Looks into a file and says what taking it in would change; takes it in whole or not at all. */
public final class Importer {
    private static final long MOST_BYTES = 8L * 1024 * 1024;

    private final SqliteJournal journal;
    private final Path dataFolder;
    private final Clock clock;

    /** An importer into a log; sheets go into the data folder. */
    public Importer(SqliteJournal journal, Path dataFolder, Clock clock) {
        this.journal = journal;
        this.dataFolder = dataFolder;
        this.clock = clock;
    }

    /** Reads a file, on any thread, and says how it would change the log. */
    public Incoming look(Path file) {
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        try {
            if (!Files.isRegularFile(file)) {
                return refused(file, List.of("is no file"));
            }
            if (name.endsWith(Backups.ENDING)) {
                return backup(file);
            }
            if (name.endsWith(".json")) {
                return isLog(file) ? log(file) : sheet(file);
            }
            if (name.endsWith(".yaml") || name.endsWith(".yml")) {
                return sheet(file);
            }
            return refused(
                    file,
                    List.of(
                            name.endsWith(".csv")
                                    ? "is a list. A hold is taken in at the station Leak hunt of its job; other lists are not read back"
                                    : "is of a kind Mussel does not read: it takes logs (.json), backups ("
                                            + Backups.ENDING + ") and sheets (.yaml, .json)"));
        } catch (IOException e) {
            return refused(file, List.of("cannot be read: " + e.getMessage()));
        }
    }

    private static Incoming refused(Path file, List<String> why) {
        return Incoming.refused(file, why);
    }

    private static boolean isLog(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return new String(in.readNBytes(400), java.nio.charset.StandardCharsets.UTF_8).contains(LogJson.FORMAT);
        }
    }

    private Incoming log(Path file) throws IOException {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            Read<LogCopy> read = LogJson.read(in);
            return read.value().map(copy -> merge(file, copy)).orElseGet(() -> refused(file, told(read.problems())));
        }
    }

    private static List<String> told(List<Problem> problems) {
        return problems.stream()
                .map(p -> p.at().isEmpty() ? p.problem() : p.toString())
                .toList();
    }

    /** A backup brings what the log does not have, its pictures too; nothing that is here goes. */
    private Incoming backup(Path file) {
        try {
            LogCopy copy = Backups.look(file, clock, inside -> new LogCopy(inside.settings(), inside.all()));
            Incoming jobs = merge(file, copy);
            return new Incoming(
                    file,
                    jobs.says(),
                    List.of(),
                    jobs.changes(),
                    () -> {
                        Backups.of(journal.file(), clock).bringPictures(file);
                        jobs.take().run();
                    },
                    jobs.then());
        } catch (JournalException e) {
            return refused(file, List.of(e.getMessage()));
        }
    }

    private Incoming merge(Path file, LogCopy copy) {
        Merge merge = journal.aside(own -> Merge.of(own, copy));
        return new Incoming(
                file, merge.says(), List.of(), merge.changes(), () -> take(copy, merge), () -> merge.settings()
                        .forEach(journal::keepSetting));
    }

    /** What was shown is what comes in: where the log has gone on since, nothing does. */
    private void take(LogCopy copy, Merge shown) {
        journal.aside(own -> {
            if (!Merge.of(own, copy).equals(shown)) {
                throw new JournalException(
                        "The logbook has gone on since that file was looked at. Look at it again; nothing was taken in.");
            }
            own.bring(shown.pieces().stream()
                    .filter(p -> p.change() != Merge.Change.HERE)
                    .map(p -> new Journal.Brought(p.job(), p.entries(), p.known()))
                    .toList());
            return null;
        });
    }

    private Incoming sheet(Path file) throws IOException {
        if (Files.size(file) > MOST_BYTES) {
            return refused(file, List.of("is larger than 8 MB; a sheet fits in far less"));
        }
        byte[] bytes = Files.readAllBytes(file);
        Read<JsonNode> tree = Yaml.tree(bytes);
        if (tree.value().isEmpty()) {
            return refused(file, told(tree.problems()));
        }
        JsonNode root = tree.value().get();
        if (root.has("steps") || root.has("gearcase") || root.has("construction")) {
            return kept(
                    file,
                    bytes,
                    SheetFiles.family(bytes),
                    s -> "families/" + s.id() + ".yaml",
                    s -> "family sheet " + s.title());
        }
        if (root.has("suppliers")) {
            return kept(file, bytes, CatalogueFiles.read(bytes), c -> "catalogue.yaml", c -> "catalogue of parts");
        }
        if (root.has("oils")) {
            return kept(file, bytes, SheetFiles.yard(bytes), y -> "yard.yaml", y -> "yard sheet of " + y.name());
        }
        return kept(file, bytes, overrides(bytes), o -> "knowledge.yaml", o -> "own numbers for the diagnosis tables");
    }

    private static Read<mussel.core.verdict.Overrides> overrides(byte[] bytes) {
        Read<mussel.core.verdict.Overrides> read = KnowledgeFiles.overrides(bytes);
        Problems problems = new Problems();
        read.value().ifPresent(own -> own.check(KnowledgeFiles.shipped(), problems));
        return problems.none() ? read : new Read<>(java.util.Optional.empty(), problems.list());
    }

    private <T> Incoming kept(
            Path file, byte[] bytes, Read<T> read, Function<T, String> name, Function<T, String> what) {
        if (read.value().isEmpty()) {
            return refused(file, told(read.problems()));
        }
        T value = read.value().get();
        Path target = dataFolder.resolve(name.apply(value));
        List<String> says = new ArrayList<>();
        String replaces = Files.exists(target)
                ? "It takes the place of the yard’s own one."
                : "The yard has none of its own yet.";
        says.add("A " + what.apply(value) + ". " + replaces);
        says.add("It counts from the next start on.");
        return new Incoming(file, says, List.of(), true, () -> keep(bytes, target), () -> {});
    }

    private static void keep(byte[] bytes, Path target) {
        try {
            Files.createDirectories(target.getParent());
            Path half = Files.createTempFile(target.getParent(), "half", ".tmp");
            Files.write(half, bytes);
            Files.move(half, target, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException e) {
            throw new JournalException("The sheet could not be kept: " + e.getMessage() + ".", e);
        }
    }
}
