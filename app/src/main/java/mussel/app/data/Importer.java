package mussel.app.data;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.function.IntPredicate;
import mussel.core.book.LogSource;
import mussel.core.book.Merge;
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

    /**
     * Reads a file, on any thread, and says how it would change the log.
     *
     * @param goOn told how many jobs were read, now and then; false to stop
     * @throws JournalException when it was stopped
     */
    public Incoming look(Path file, IntPredicate goOn) {
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        try {
            if (!Files.isRegularFile(file)) {
                return refused(file, List.of("is no file"));
            }
            if (name.endsWith(Backups.ENDING)) {
                return backup(file, goOn);
            }
            if (name.endsWith(".json")) {
                return isLog(file) ? log(file, goOn) : sheet(file);
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

    private Incoming log(Path file, IntPredicate goOn) throws IOException {
        try {
            return merge(file, new JsonLog(file), goOn, () -> {});
        } catch (JsonLog.UnsoundException e) {
            return refused(file, told(e.problems()));
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    private static List<String> told(List<Problem> problems) {
        return problems.stream()
                .map(p -> p.at().isEmpty() ? p.problem() : p.toString())
                .toList();
    }

    /** A backup brings what the log does not have, its pictures too; nothing that is here goes. */
    private Incoming backup(Path file, IntPredicate goOn) {
        try {
            LogSource inside = each -> Backups.look(file, clock, kept -> {
                kept.numbers().forEach(job -> each.accept(kept.entries(job)));
                return kept.settings();
            });
            return merge(
                    file, inside, goOn, () -> Backups.of(journal.file(), clock).bringPictures(file));
        } catch (StoppedException e) {
            throw e;
        } catch (JournalException e) {
            return refused(file, List.of(e.getMessage()));
        }
    }

    private Incoming merge(Path file, LogSource copy, IntPredicate goOn, Runnable before) {
        Merge merge = journal.aside(own -> Merge.of(own, new Paced(copy, goOn)));
        return new Incoming(
                file,
                merge.says(),
                List.of(),
                merge.changes(),
                pace -> {
                    before.run();
                    journal.aside(own -> {
                        merge.bring(own, new Paced(copy, pace));
                        return null;
                    });
                },
                () -> merge.settings().forEach(journal::keepSetting));
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
        return new Incoming(file, says, List.of(), true, pace -> keep(bytes, target), () -> {});
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
