package mussel.app.data;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.MissingNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntPredicate;
import java.util.function.Predicate;
import mussel.core.book.LogSource;
import mussel.core.book.Merge;
import mussel.core.book.OpenLog;
import mussel.core.job.Decisions;
import mussel.core.job.JournalException;
import mussel.core.job.Settings;
import mussel.core.job.Yard;
import mussel.core.language.Messages;
import mussel.core.measure.Problem;
import mussel.core.measure.Problems;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Overrides;
import mussel.core.yard.YardDecisions;
import mussel.exchange.file.Durable;
import mussel.exchange.file.InFile;
import mussel.exchange.library.Library;
import mussel.exchange.library.SheetChanges;
import mussel.exchange.log.LogJson;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.record.Changes;
import mussel.exchange.record.Json;
import mussel.exchange.record.Lines;
import mussel.exchange.record.Read;
import mussel.exchange.record.Yaml;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import mussel.exchange.yard.YardTables;
import mussel.store.Backups;
import mussel.store.FileStore;
import mussel.store.PictureFolder;
import mussel.store.SheetInBackup;
import mussel.work.shop.ImportPreview;

/** Looks into a file and says what taking it in would change; takes it in whole or not at all. */
public final class Importer {
    private static final Messages TEXT = Messages.of(Importer.class);

    private static final long MOST_BYTES = 8L * 1024 * 1024;

    private final OpenLog journal;
    private final Path here;
    private final Path dataFolder;
    private final Clock clock;

    /** An importer into a log; sheets go into the data folder. */
    public Importer(OpenLog journal, FileStore store, Path dataFolder) {
        this.here = store.file();
        this.clock = store.clock();
        this.journal = journal;
        this.dataFolder = dataFolder;
    }

    /**
     * Reads a file, on any thread, and says how it would change the log.
     *
     * @param goOn told how many jobs were read, now and then; false to stop
     * @throws JournalException when it was stopped
     */
    public ImportPreview look(Path file, IntPredicate goOn) {
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        try {
            Optional<String> unfit = InFile.refused(file, Long.MAX_VALUE);
            if (unfit.isPresent()) {
                return refused(file, List.of(unfit.get()));
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
                                    ? TEXT.get("importer.is_a_list_a_hold_is")
                                    : TEXT.get("importer.is_of_a_kind_mussel_does", Backups.ENDING)));
        } catch (IOException e) {
            return refused(file, List.of(TEXT.get("importer.cannot_be_read", Durable.why(e))));
        }
    }

    private static ImportPreview refused(Path file, List<String> why) {
        return ImportPreview.refused(file, why);
    }

    private static boolean isLog(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return new String(in.readNBytes(400), java.nio.charset.StandardCharsets.UTF_8).contains(LogJson.FORMAT);
        }
    }

    private ImportPreview log(Path file, IntPredicate goOn) throws IOException {
        try {
            return merge(file, new JsonLog(file), picture -> false, goOn);
        } catch (JsonLog.UnsoundException e) {
            return refused(file, told(e.problems()));
        } catch (StoppedException e) {
            throw e;
        } catch (JournalException e) {
            return refused(file, List.of(e.getMessage()));
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    private static List<String> told(List<Problem> problems) {
        return problems.stream()
                .map(p -> p.at().isEmpty() ? p.problem() : p.toString())
                .toList();
    }

    /**
     * A backup brings what the log does not have, its pictures and sheets too; nothing that is here goes. Pictures come first, since no entry
     * may name one that is not there, and sheets last, when everything is in.
     */
    private ImportPreview backup(Path file, IntPredicate goOn) {
        try {
            LogSource inside = new BackupLog(file, clock);
            Backups backups = Backups.of(here, dataFolder, clock);
            ImportPreview jobs = merge(file, inside, Backups.pictures(file)::contains, goOn);
            List<SheetInBackup> sheets = backups.meets(file);
            List<String> says = new ArrayList<>(jobs.says());
            says.addAll(
                    Math.min(1, says.size()),
                    sheets.stream().map(SheetInBackup::says).toList());
            boolean changes = jobs.changes() || sheets.stream().anyMatch(SheetInBackup::comesIn);
            return new ImportPreview(
                    file,
                    says,
                    List.of(),
                    changes,
                    pace -> {
                        backups.bringPictures(file);
                        jobs.take().accept(pace);
                        backups.bringSheets(file);
                    },
                    jobs.then());
        } catch (StoppedException e) {
            throw e;
        } catch (JournalException e) {
            return refused(file, List.of(e.getMessage()));
        }
    }

    private ImportPreview merge(Path file, LogSource copy, Predicate<String> brings, IntPredicate goOn) {
        NamedAttachments mentioned = new NamedAttachments(copy);
        Merge merge = journal.aside(own -> Merge.of(own, new ProgressLog(mentioned, goOn)));
        PictureFolder pictures = PictureFolder.beside(here);
        List<String> says = new ArrayList<>(merge.says());
        if (merge.changes()) {
            says.addAll(mentioned.missing(
                    journal.sheetNames(), name -> brings.test(name) || Files.isRegularFile(pictures.at(name))));
        }
        return new ImportPreview(
                file,
                says,
                List.of(),
                merge.changes(),
                pace -> {
                    journal.aside(own -> {
                        merge.bring(own, new ProgressLog(copy, pace));
                        return null;
                    });
                },
                () -> merge.settings().forEach(journal::keepSetting));
    }

    private ImportPreview sheet(Path file) throws IOException {
        Optional<String> unfit = InFile.refused(file, MOST_BYTES);
        if (unfit.isPresent()) {
            return refused(file, List.of(TEXT.get("importer.a_sheet_fits_in_far_less", unfit.get())));
        }
        Sheet sheet = new Sheet(file, Files.readAllBytes(file));
        Read<JsonNode> tree = Yaml.tree(sheet.bytes());
        if (tree.value().isEmpty()) {
            return refused(file, told(tree.problems()));
        }
        JsonNode root = tree.value().get();
        if (root.has("format")) {
            return compact(sheet, root);
        }
        if (root.has("steps") || root.has("gearcase") || root.has("construction")) {
            return kept(
                    sheet,
                    SheetFiles::family,
                    s -> new Place("families/" + s.id() + ".yaml", TEXT.get("importer.family_sheet", s.title())),
                    s -> SheetFiles.shipped().stream()
                            .filter(f -> f.id().equals(s.id()))
                            .findFirst());
        }
        if (root.has("oils")) {
            return yard(sheet);
        }
        if (root.has("suppliers")) {
            Place place = new Place("catalogue.yaml", TEXT.get("importer.catalogue_of_parts"));
            return kept(sheet, CatalogueFiles::read, c -> place, c -> Optional.of(CatalogueFiles.shipped()));
        }
        if (!root.isObject() || root.isEmpty()) {
            return refused(file, List.of(TEXT.get("importer.holds_nothing_neither_a_sheet_nor")));
        }
        Place place = new Place("knowledge.yaml", TEXT.get("importer.set_of_own_numbers_for_the"));
        return kept(sheet, Importer::overrides, o -> place, o -> Optional.of(Overrides.none()));
    }

    /** What a yard's sheet says is decided here, thing by thing, and counts at once. */
    private ImportPreview yard(Sheet sheet) {
        Read<Yard> read = SheetFiles.yard(sheet.bytes());
        if (read.value().isEmpty()) {
            return refused(sheet.file(), Lines.of(sheet.bytes()).told(read.problems()));
        }
        Yard value = read.value().get();
        YardDecisions here = new YardDecisions(journal, this::ownYard, YardTables.form());
        List<String> changes = here.differences(here.yard(), value);
        List<String> says = new ArrayList<>();
        says.add(TEXT.get("importer.a_yard_sheet_of_what_it", value.name()));
        says.add(TEXT.get("importer.legs_that_are_tagged_stay_as"));
        says.add(
                changes.isEmpty()
                        ? TEXT.get("importer.nothing_in_it_is_different")
                        : TEXT.get("importer.different_in_it"));
        says.addAll(changes);
        return new ImportPreview(
                sheet.file(),
                says,
                List.of(),
                !changes.isEmpty(),
                pace -> {},
                () -> here.decide(journal.setting("by", "bench"), value));
    }

    /** The yard's sheet in the data folder, else the one that ships. */
    private Yard ownYard() {
        Path own = dataFolder.resolve("yard.yaml");
        try {
            Optional<Yard> read = Files.isRegularFile(own)
                    ? SheetFiles.yard(Files.readAllBytes(own)).value()
                    : Optional.empty();
            return read.orElseGet(this::shipped);
        } catch (IOException e) {
            return shipped();
        }
    }

    private Yard shipped() {
        Yard shipped = SheetFiles.shippedYard();
        return journal.setting(Settings.DEMO, "on").equals("off") ? shipped.bare() : shipped;
    }

    /** The compact sheet of a family here: the yard's own, else the one that ships. */
    private Optional<JsonNode> compact(String family) {
        String own = journal.setting(Settings.SHEET + family, "");
        return own.isEmpty()
                ? SheetFiles.compact(family)
                : Yaml.tree(own.getBytes(StandardCharsets.UTF_8)).value();
    }

    /** A sheet over the library of procedures becomes one of the yard's own, with its history, and counts at once. */
    private ImportPreview compact(Sheet sheet, JsonNode root) {
        Read<SpecSheet> read = SheetFiles.family(sheet.bytes(), this::compact);
        if (read.value().isEmpty()) {
            return refused(sheet.file(), Lines.of(sheet.bytes()).told(read.problems()));
        }
        SpecSheet value = read.value().get();
        String key = Settings.SHEET + value.id();
        String own = journal.setting(key, "");
        Optional<JsonNode> before = compact(value.id());
        List<String> changes =
                SheetChanges.between(before.orElseGet(MissingNode::getInstance), root, Library.shipped());
        List<String> says = new ArrayList<>();
        says.add(TEXT.get(
                "importer.a_sheet_of_for_legs_of",
                value.title(),
                (!own.isEmpty()
                        ? TEXT.get("importer.it_takes_the_place_of_the")
                        : before.isPresent()
                                ? TEXT.get("importer.it_takes_the_place_of_the_2")
                                : TEXT.get("importer.the_yard_has_none_of_that"))));
        says.add(TEXT.get("importer.jobs_that_are_tagged_keep_the"));
        says.add(
                changes.isEmpty()
                        ? TEXT.get("importer.nothing_in_it_is_different")
                        : before.isPresent() ? TEXT.get("importer.different_in_it") : TEXT.get("importer.it_says"));
        says.addAll(changes);
        return new ImportPreview(
                sheet.file(), says, List.of(), !changes.isEmpty(), pace -> {}, () -> Decisions.about(journal, key)
                        .decide(journal.setting("by", "bench"), root.toString()));
    }

    /** A sheet as it came. */
    private record Sheet(Path file, byte[] bytes) {}

    /** Where a sheet is kept, and what it is. */
    private record Place(String name, String what) {}

    private static Read<Overrides> overrides(byte[] bytes) {
        Read<Overrides> read = KnowledgeFiles.overrides(bytes);
        Problems problems = new Problems();
        read.value().ifPresent(own -> own.check(KnowledgeFiles.shipped(), problems));
        return problems.none() ? read : new Read<>(Optional.empty(), problems.list());
    }

    private <T> ImportPreview kept(
            Sheet sheet,
            Function<byte[], Read<T>> reader,
            Function<T, Place> places,
            Function<T, Optional<T>> shipped) {
        Read<T> read = reader.apply(sheet.bytes());
        if (read.value().isEmpty()) {
            return refused(sheet.file(), Lines.of(sheet.bytes()).told(read.problems()));
        }
        T value = read.value().get();
        Place place = places.apply(value);
        Path target = dataFolder.resolve(place.name());
        Optional<T> own = own(target, reader);
        Optional<T> before = own.or(() -> shipped.apply(value));
        List<String> changes =
                before.map(b -> Changes.between(tree(b), tree(value))).orElse(List.of());
        List<String> says = new ArrayList<>();
        says.add("A " + place.what() + ". "
                + (own.isPresent()
                        ? "It takes the place of the yard’s own one, which is kept beside it."
                        : before.isPresent()
                                ? "It takes the place of the one that ships."
                                : "The yard has none of its own yet."));
        says.add(TEXT.get("importer.it_counts_from_the_next_start"));
        if (before.isPresent()) {
            says.add(
                    changes.isEmpty()
                            ? TEXT.get("importer.nothing_in_it_is_different")
                            : TEXT.get("importer.different_in_it"));
        }
        says.addAll(changes);
        boolean same = own.isPresent() && changes.isEmpty();
        return new ImportPreview(sheet.file(), says, List.of(), !same, pace -> keep(sheet.bytes(), target), () -> {});
    }

    private static JsonNode tree(Object sheet) {
        return Json.mapper().valueToTree(sheet);
    }

    /** The yard's own sheet as it is kept; empty where there is none that can be read. */
    private static <T> Optional<T> own(Path target, Function<byte[], Read<T>> reader) {
        try {
            return Files.exists(target) && Files.size(target) <= MOST_BYTES
                    ? reader.apply(Files.readAllBytes(target)).value()
                    : Optional.empty();
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    private static void keep(byte[] bytes, Path target) {
        try {
            Durable.folders(target.getParent());
            if (Files.exists(target)) {
                Path before = free(target);
                Durable.write(before, out -> Files.copy(target, out));
            }
            Durable.write(target, out -> out.write(bytes));
        } catch (IOException e) {
            throw new JournalException(TEXT.get("importer.the_sheet_could_not_be_kept", Durable.why(e)), e);
        }
    }

    /** A free name for what a sheet takes the place of; not one that is read as a sheet. */
    private static Path free(Path target) {
        int nr = 1;
        Path before = target.resolveSibling(target.getFileName() + ".before-" + nr);
        while (Files.exists(before)) {
            nr++;
            before = target.resolveSibling(target.getFileName() + ".before-" + nr);
        }
        return before;
    }
}
