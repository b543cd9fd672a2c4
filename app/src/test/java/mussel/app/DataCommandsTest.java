package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import mussel.app.data.Importer;
import mussel.app.demo.DemoYard;
import mussel.core.job.Entry;
import mussel.core.job.Job;
import mussel.core.job.LegRef;
import mussel.core.job.Settings;
import mussel.core.library.Size;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.sheet.SheetFiles;
import mussel.store.Backups;
import mussel.store.FileStore;
import mussel.store.SqliteJournal;
import mussel.work.shop.ImportPreview;
import mussel.work.shop.Workshop;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

class DataCommandsTest {
    private static final Instant DAY = Instant.parse("2026-11-23T09:00:00Z");

    @TempDir
    static Path demoFolder;

    @TempDir
    Path folder;

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    @BeforeAll
    static void fill() {
        DemoYard.fill(demo(), DAY);
    }

    private static Path demo() {
        return demoFolder.resolve("demo.mussel");
    }

    private int run(Path log, String... args) {
        CommandLine command = Main.command();
        command.setOut(new PrintWriter(out));
        command.setErr(new PrintWriter(err));
        String[] all = new String[args.length + 2];
        all[0] = "--log";
        all[1] = log.toString();
        System.arraycopy(args, 0, all, 2, args.length);
        return command.execute(all);
    }

    private static List<List<Entry>> entries(Path log) {
        try (SqliteJournal journal = SqliteJournal.read(log, Clock.systemUTC())) {
            return journal.all();
        }
    }

    /** A leg the yard has described goes with the log: out as JSON and as a backup, in where it is not known. */
    @Test
    void sheetsOfTheYardsOwnGoWithTheLog() {
        Path mine = folder.resolve("mine.mussel");
        Workshop shop = Yards.open(new FileStore(mine, Clock.systemUTC()), SheetFiles.shipped());
        SpecSheet sheet = shop.sheets().describe("Nameless 40", Size.MID, Map.of("drive", "pin"));
        shop.takeIn(new LegRef("l", "Byssus", LegRef.Position.SINGLE, sheet.id()));
        shop.journal().close();
        Path json = folder.resolve("mine.json");
        Path backup = folder.resolve("mine.mussel-backup");
        assertThat(run(mine, "export", "--format", "json", "--out", json.toString()))
                .isZero();
        assertThat(run(mine, "backup", "--out", backup.toString()))
                .as(err.toString())
                .isZero();
        for (Path file : List.of(json, backup)) {
            Path theirs = folder.resolve("theirs-" + file.getFileName() + ".mussel");
            assertThat(run(theirs, "import", file.toString()))
                    .as(err.toString())
                    .isZero();
            Workshop there = Yards.open(new FileStore(theirs, Clock.systemUTC()), SheetFiles.shipped());
            assertThat(there.families()).contains(sheet);
            there.journal().close();
        }
    }

    private Path copy() throws IOException {
        return Files.copy(demo(), folder.resolve("copy.mussel"));
    }

    @Test
    void exportWipeImportGivesTheSameLog() throws IOException {
        Path json = folder.resolve("log.json");
        assertThat(run(demo(), "export", "--format", "json", "--out", json.toString()))
                .as(err.toString())
                .isZero();
        Path fresh = folder.resolve("fresh.mussel");
        assertThat(run(fresh, "import", json.toString())).as(err.toString()).isZero();
        assertThat(entries(fresh)).isEqualTo(entries(demo()));
        try (SqliteJournal there = SqliteJournal.read(fresh, Clock.systemUTC());
                SqliteJournal here = SqliteJournal.read(demo(), Clock.systemUTC())) {
            assertThat(there.settings()).containsAllEntriesOf(here.settings());
            assertThat(there.book().jobs()).isEqualTo(here.book().jobs());
        }
        Path again = folder.resolve("again.json");
        run(fresh, "export", "--format", "json", "--out", again.toString());
        assertThat(again).hasSameTextualContentAs(json);
        assertThat(run(fresh, "import", "--dry-run", json.toString())).isZero();
        assertThat(out.toString()).contains("0 new jobs, 0 with new entries, 0 added as separate jobs");
    }

    @Test
    void oneJobGoesToAnotherYardAndItsRetractionsFollow() throws IOException {
        Path log = copy();
        int job;
        try (SqliteJournal journal = SqliteJournal.open(log, Clock.systemUTC())) {
            job = journal.benchLines().open().get(0).job();
            Entry last = journal.entries(job).get(journal.entries(job).size() - 1);
            journal.append(job, "bench", new mussel.core.job.Fact.Retracted(last.seq()));
        }
        Path json = folder.resolve("job.json");
        assertThat(run(log, "export", "--format", "json", "--job", String.valueOf(job), "--out", json.toString()))
                .isZero();
        Path other = folder.resolve("other.mussel");
        DemoYard.fill(other, DAY.plusSeconds(86_400));
        assertThat(run(other, "import", json.toString())).as(err.toString()).isZero();
        List<List<Entry>> all = entries(other);
        List<Entry> brought = all.get(all.size() - 1);
        List<Entry> original = entries(log).get(job - 1);
        assertThat(brought).hasSameSizeAs(original);
        assertThat(mussel.core.job.Job.of(brought).readings())
                .isEqualTo(mussel.core.job.Job.of(original).readings());
        assertThat(run(log, "import", json.toString())).isZero();
        assertThat(entries(log)).hasSize(all.size() - 1);
    }

    @Test
    void whatIsBrokenIsRefusedWholeWithItsLine() throws IOException {
        Path json = folder.resolve("log.json");
        run(demo(), "export", "--format", "json", "--out", json.toString());
        Files.writeString(
                json, Files.readString(json).replaceFirst("\"oil_water\",\"of\":\"\"", "\"oil_wader\",\"of\":\"\""));
        Path fresh = folder.resolve("fresh.mussel");
        assertThat(run(fresh, "import", json.toString())).isEqualTo(2);
        assertThat(err.toString())
                .contains("log.json: line ")
                .contains("is no scale")
                .doesNotContain("Exception");
        assertThat(fresh).doesNotExist();
    }

    @Test
    void whatIsStoppedOrHasGoneOnMeanwhileIsNotTakenIn() throws IOException {
        Path json = folder.resolve("log.json");
        run(demo(), "export", "--format", "json", "--out", json.toString());
        Path here = folder.resolve("here.mussel");
        try (SqliteJournal journal = SqliteJournal.open(here, Clock.systemUTC())) {
            Importer importer = new Importer(journal, new FileStore(journal.file(), Clock.systemUTC()), folder);
            assertThatThrownBy(() -> importer.look(json, done -> false)).hasMessageContaining("Stopped");
            List<Integer> told = new ArrayList<>();
            ImportPreview stopped = importer.look(json, told::add);
            assertThat(told).isNotEmpty().isSorted();
            assertThatThrownBy(() -> stopped.take().accept(done -> done < 10)).hasMessageContaining("Stopped");
            assertThat(journal.numbers())
                    .as("the half that was in is taken back")
                    .isEmpty();

            ImportPreview outdated = importer.look(json, done -> true);
            journal.open(new LegRef("l", "Byssus", LegRef.Position.SINGLE, "wren-8"), "bench");
            assertThatThrownBy(() -> outdated.take().accept(done -> true)).hasMessageContaining("changed");
            assertThat(journal.numbers()).containsExactly(1);

            ImportPreview changed = importer.look(json, done -> true);
            Files.writeString(
                    json, Files.readString(json).replaceFirst("\"outcome\":\"milky\"", "\"outcome\":\"streaks\""));
            assertThatThrownBy(() -> changed.take().accept(done -> true)).hasMessageContaining("changed");
            Files.writeString(json, "{");
            assertThatThrownBy(() -> changed.take().accept(done -> true)).hasMessageContaining("has changed");
            assertThat(journal.numbers()).containsExactly(1);
        }
    }

    @Test
    void aBackupThatIsStoppedBringsNoSheetEither() throws IOException {
        Path home = folder.resolve("home");
        Files.createDirectories(home);
        Files.writeString(home.resolve("knowledge.yaml"), "priors: []\n");
        Path backup = folder.resolve("yard.mussel-backup");
        Backups.of(demo(), home, Clock.systemUTC()).everything(backup, false);
        Path data = folder.resolve("data");
        try (SqliteJournal journal = SqliteJournal.open(folder.resolve("here.mussel"), Clock.systemUTC())) {
            ImportPreview incoming = new Importer(journal, new FileStore(journal.file(), Clock.systemUTC()), data)
                    .look(backup, done -> true);
            assertThat(incoming.says()).anyMatch(s -> s.startsWith("Sheet knowledge.yaml: comes in"));
            assertThatThrownBy(() -> incoming.take().accept(done -> false)).hasMessageContaining("Stopped");
            assertThat(data.resolve("knowledge.yaml")).doesNotExist();
            assertThat(journal.numbers()).isEmpty();
            incoming.take().accept(done -> true);
            assertThat(data.resolve("knowledge.yaml")).exists();
            assertThat(journal.numbers()).isNotEmpty();
        }
    }

    @Test
    void oneLegGoesToAnotherYardByItsName() throws IOException {
        Path json = folder.resolve("leg.json");
        assertThat(run(demo(), "export", "--format", "json", "--leg", "spat lass, PORT", "--out", json.toString()))
                .as(err.toString())
                .isZero();
        Path fresh = folder.resolve("fresh.mussel");
        assertThat(run(fresh, "import", json.toString())).as(err.toString()).isZero();
        List<List<Entry>> leg = entries(demo()).stream()
                .filter(job -> Job.of(job).leg().title().equals("Spat Lass, port"))
                .toList();
        assertThat(leg).hasSizeGreaterThan(1);
        assertThat(entries(fresh)).isEqualTo(leg);
        try (SqliteJournal there = SqliteJournal.read(fresh, Clock.systemUTC())) {
            assertThat(there.settings()).as("the yard's settings stay at home").doesNotContainKey("yard_name");
        }
        assertThat(run(demo(), "export", "--format", "json", "--leg", "Nobody", "--out", json.toString()))
                .isEqualTo(2);
        assertThat(err.toString()).contains("There is no leg “Nobody”");
        assertThat(run(demo(), "export", "--format", "json", "--leg", "x", "--job", "1", "--out", json.toString()))
                .as("one or the other")
                .isEqualTo(2);
    }

    @Test
    void aSheetSaysWhatIsDifferentInItAndOnWhichLineItIsWrong() throws IOException {
        try (SqliteJournal journal = SqliteJournal.open(folder.resolve("here.mussel"), Clock.systemUTC())) {
            Path data = folder.resolve("data");
            Importer importer = new Importer(journal, new FileStore(journal.file(), Clock.systemUTC()), data);
            String shipped = new String(
                    SheetFiles.class.getResourceAsStream("yard.yaml").readAllBytes(), StandardCharsets.UTF_8);
            Path yard = Files.writeString(
                    folder.resolve("yard.yaml"), shipped.replace("labour_per_h: 72", "labour_per_h: 80"));
            ImportPreview first = importer.look(yard, done -> true);
            assertThat(first.says())
                    .anyMatch(says -> says.startsWith("Shop settings of Wrackness Yard. They apply here from now on"))
                    .contains("Labour rate: €80.00, was €72.00");
            first.take().accept(done -> true);
            first.then().run();
            assertThat(data.resolve("yard.yaml")).as("it is entries now").doesNotExist();
            assertThat(journal.setting(Settings.YARD + "labour_per_h", "")).isEqualTo("80.0");
            assertThat(importer.look(yard, done -> true).changes())
                    .as("Nothing new in this file")
                    .isFalse();
            Files.writeString(yard, shipped);
            assertThat(importer.look(yard, done -> true).says()).contains("Labour rate: €72.00, was €80.00");
            Files.writeString(yard, shipped.replace("downtime_per_day: 60", "downtime_per_day: sixty"));
            assertThat(importer.look(yard, done -> true).refused())
                    .singleElement()
                    .asString()
                    .startsWith("line ")
                    .contains("/downtime_per_day");
            Files.writeString(yard, shipped.replace("frost_from: \"11-15\"", "frost_from: \"15-11\""));
            assertThat(importer.look(yard, done -> true).refused())
                    .singleElement()
                    .asString()
                    .contains("/frost_from: is “15-11”; write month and day like 11-01");
        }
    }

    @Test
    void aDamagedLogbookIsRestoredFromTheCommandLine() throws IOException {
        Path log = copy();
        Path backup = folder.resolve("yard.mussel-backup");
        run(log, "backup", "--out", backup.toString());
        Files.write(log, new byte[5_000]);
        assertThat(run(log, "check")).isEqualTo(2);
        assertThat(run(log, "restore", "--dry-run", backup.toString()))
                .as(err.toString())
                .isZero();
        assertThat(out.toString()).contains("cannot be compared").contains("set aside");
        assertThat(log).hasBinaryContent(new byte[5_000]);
        assertThat(run(log, "restore", backup.toString())).isZero();
        assertThat(entries(log)).isEqualTo(entries(demo()));
        assertThat(out.toString()).contains(".set-aside-");
        assertThat(err.toString()).doesNotContain("Exception");
    }

    @Test
    void listsAndCalendarCoverTheYard() throws IOException {
        Path lists = folder.resolve("lists");
        assertThat(run(demo(), "export", "--format", "csv", "--out", lists.toString()))
                .isZero();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get();
        try (var reader = Files.newBufferedReader(lists.resolve("jobs.csv"))) {
            List<CSVRecord> jobs = format.parse(reader).getRecords();
            assertThat(jobs).hasSize(entries(demo()).size()).allMatch(CSVRecord::isConsistent);
        }
        Path calendar = folder.resolve("due.ics");
        assertThat(run(demo(), "export", "--format", "ics", "--out", calendar.toString()))
                .isZero();
        assertThat(calendar).content().contains("BEGIN:VEVENT", "SUMMARY:Gear oil");
        assertThat(run(demo(), "due")).isZero();
        assertThat(out.toString()).contains("Spat Lass, port", "Due by hours: ");
    }

    @Test
    void checkBackupAndRestore() throws IOException {
        Path log = copy();
        assertThat(run(log, "check")).isZero();
        assertThat(out.toString()).contains("sound.");
        Path backup = folder.resolve("yard.mussel-backup");
        assertThat(run(log, "backup", "--out", backup.toString())).isZero();
        try (SqliteJournal journal = SqliteJournal.open(log, Clock.systemUTC())) {
            journal.append(1, "bench", new mussel.core.job.Fact.Ticked("later", true));
        }
        assertThat(run(log, "restore", "--dry-run", backup.toString()))
                .as(err.toString())
                .isZero();
        assertThat(out.toString()).contains("After restoring, 1 job has lost 1 of its entries");
        assertThat(entries(log).get(0))
                .anyMatch(e -> e.fact() instanceof mussel.core.job.Fact.Ticked t
                        && t.step().equals("later"));
        assertThat(run(log, "restore", backup.toString())).isZero();
        assertThat(entries(log)).isEqualTo(entries(demo()));
        assertThat(run(log, "restore", folder.resolve("missing").toString())).isEqualTo(2);
        assertThat(err.toString()).doesNotContain("Exception");
    }
}
