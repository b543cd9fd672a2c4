package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.TimeUnit;
import mussel.app.demo.DemoYard;
import mussel.core.book.LogKind;
import mussel.core.job.Fact;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.job.Topic;
import mussel.store.DemoLog;
import mussel.store.FileStore;
import mussel.store.SqliteJournal;
import mussel.work.desk.Desk;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import picocli.CommandLine;

/** What destroyed a log, or let something wrong into one: each tried from the command line. */
class NothingIsLostTest {
    private static final Instant DAY = Instant.parse("2026-11-23T09:00:00Z");
    private static final Clock CLOCK = Clock.systemUTC();

    @TempDir
    static Path shared;

    @TempDir
    Path folder;

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();
    private Path log;

    @BeforeAll
    static void fill() {
        DemoYard.fill(shared.resolve("demo.mussel"), DAY);
    }

    @BeforeEach
    void copy() throws IOException {
        log = Files.copy(shared.resolve("demo.mussel"), folder.resolve("yard.mussel"));
        try (SqliteJournal journal = SqliteJournal.open(log, CLOCK)) {
            journal.mark(LogKind.YARD);
        }
    }

    private int run(String... args) {
        CommandLine command = Main.command();
        command.setOut(new PrintWriter(out, true));
        command.setErr(new PrintWriter(err, true));
        String[] all = new String[args.length + 2];
        all[0] = "--log";
        all[1] = log.toString();
        System.arraycopy(args, 0, all, 2, args.length);
        return command.execute(all);
    }

    /** Refused in words, exit 2, and the file as it was. */
    private void refused(Path target, String... args) throws IOException {
        byte[] before = Files.isRegularFile(target) ? Files.readAllBytes(target) : new byte[0];
        assertThat(run(args)).as(String.join(" ", args)).isEqualTo(2);
        assertThat(err.toString().replace("/dev/null", ""))
                .doesNotContain("Exception")
                .doesNotContain("null")
                .isNotBlank();
        if (Files.isRegularFile(target)) {
            assertThat(target).as(String.join(" ", args)).hasBinaryContent(before);
        }
        err.getBuffer().setLength(0);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "--force"})
    void noOutputEverTakesThePlaceOfALogOrOfAnythingOfAnotherKind(String force) throws IOException {
        Path notes = Files.writeString(folder.resolve("notes.txt"), "Dear diary, 1\n");
        Path link = Files.createSymbolicLink(folder.resolve("link.json"), log);
        Path hard = Files.createLink(folder.resolve("hard.pdf"), log);
        Path empty = Files.createDirectory(folder.resolve("empty"));
        Path backups = Files.createDirectory(folder.resolve("yard.mussel.backups"));
        Path kept = Files.writeString(backups.resolve("x.mussel-backup"), "kept");
        List<Path> targets = List.of(
                log,
                notes,
                link,
                hard,
                empty,
                kept,
                folder.resolve("yard.mussel-wal"),
                folder.resolve("yard.mussel.lock"),
                Path.of("/dev/null"));
        for (Path target : targets) {
            String[][] works = {
                {"export", "--format", "json", "--out", target.toString()},
                {"export", "--format", "ics", "--out", target.toString()},
                {"report", "1", "--out", target.toString()},
                {"backup", "--out", target.toString()}
            };
            for (String[] work : works) {
                refused(target, force.isEmpty() ? work : append(work, force));
            }
        }
        refused(log, "export", "--format", "csv", "--out", log.toString());
        refused(notes, "salvage", log.toString(), "--out", notes.toString());
        assertThat(run("check")).as(out.toString()).isZero();
        assertThat(empty).isEmptyDirectory();
    }

    private static String[] append(String[] words, String more) {
        String[] all = java.util.Arrays.copyOf(words, words.length + 1);
        all[words.length] = more;
        return all;
    }

    @Test
    void whatIsThereIsReplacedOnlyWhereThatIsSaid() throws IOException {
        String[][] works = {
            {"export", "--format", "json", "--out", folder.resolve("a.json").toString()},
            {"export", "--format", "ics", "--out", folder.resolve("a.ics").toString()},
            {"export", "--format", "csv", "--out", folder.resolve("lists").toString()},
            {"report", "1", "--out", folder.resolve("a.pdf").toString()},
            {"backup", "--out", folder.resolve("a.mussel-backup").toString()}
        };
        for (String[] work : works) {
            Path target = Path.of(work[work.length - 1]);
            assertThat(run(work)).as(err.toString()).isZero();
            refused(target, work);
            assertThat(run(append(work, "--force"))).as(err.toString()).isZero();
            Path one = Files.isDirectory(target) ? target.resolve("jobs.csv") : target;
            assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(one)))
                    .isEqualTo("rw-------");
        }
        try (var left = Files.list(folder)) {
            assertThat(left.filter(f -> f.getFileName().toString().endsWith(".half")))
                    .isEmpty();
        }
    }

    @Test
    void demoDataGoesOnlyIntoDemoData() throws IOException {
        for (boolean fresh : new boolean[] {false, true}) {
            org.assertj.core.api.Assertions.assertThatThrownBy(() -> DemoCommand.seed(log, fresh))
                    .isInstanceOf(JournalException.class)
                    .hasMessageContaining("is not demo data and was not changed");
        }
        Path diary = Files.writeString(folder.resolve("diary.txt"), "Dear diary");
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> DemoCommand.seed(diary, true))
                .isInstanceOf(JournalException.class);
        assertThat(diary).hasContent("Dear diary");
        assertThat(run("check")).isZero();

        Path demo = folder.resolve("demo.mussel");
        DemoCommand.seed(demo, false);
        try (SqliteJournal journal = SqliteJournal.open(demo, CLOCK)) {
            journal.open(new LegRef("l", "Mine", LegRef.Position.SINGLE, "wren-8"), "bench");
            org.assertj.core.api.Assertions.assertThatThrownBy(() -> DemoCommand.seed(demo, true))
                    .as("it is open")
                    .hasMessageContaining("another Mussel");
        }
        DemoCommand.seed(demo, true);
        try (SqliteJournal journal = SqliteJournal.read(demo, CLOCK)) {
            assertThat(journal.numbers()).hasSize(51);
        }
        assertThat(DemoLog.is(demo)).isTrue();
        assertThat(DemoLog.is(log)).isFalse();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            value = {
                "'\"settings\":{' # '\"settings\":{\"units\":\"furlong\",' # the setting units is “furlong”",
                "'\"settings\":{' # '\"settings\":{\"colour\":\"red\",' # the setting colour is none this program knows",
                "'{\"job\":2,' # '{\"job\":2147483647,' # at most 1000000000",
                "'{\"seq\":2,' # '{\"seq\":9223372036854775807,' # at most 9007199254740991",
                "'{\"seq\":2,' # '{\"seq\":\"2\",' # seq must be a number"
            })
    void whatNoStartCouldGoOnFromIsRefusedWithNothingIn(String was, String is, String told) throws IOException {
        Path json = folder.resolve("log.json");
        run("export", "--format", "json", "--out", json.toString());
        String text = Files.readString(json);
        assertThat(text).contains(was);
        Files.writeString(json, text.replace(was, is));
        log = folder.resolve("fresh.mussel");
        assertThat(run("import", json.toString())).isEqualTo(2);
        assertThat(err.toString()).contains(told);
        assertThat(log).doesNotExist();
    }

    @Test
    void aLogWhoseEntriesStandInNoOrderBringsNotOneOfThem() throws IOException {
        Path json = folder.resolve("log.json");
        run("export", "--format", "json", "--job", "1", "--out", json.toString());
        String[] lines = Files.readString(json).split("\n");
        int first = 0;
        while (!lines[first].startsWith("{\"seq\"")) {
            first++;
        }
        String swapped = lines[first + 1];
        lines[first + 1] = lines[first + 2];
        lines[first + 2] = swapped;
        String bare = String.join("\n", lines).replaceAll("\"head\":\"[0-9a-f]+\",", "");
        Files.writeString(json, bare);
        log = folder.resolve("fresh.mussel");
        assertThat(run("import", json.toString())).isEqualTo(2);
        assertThat(err.toString()).contains("below that of the entry before it");
        assertThat(log).doesNotExist();
    }

    /** The largest numbers a file may have still leave room for whatever comes after. */
    @Test
    void theNextEntryCanFollowWhateverCameIn() throws IOException {
        Path json = folder.resolve("log.json");
        run("export", "--format", "json", "--job", "1", "--out", json.toString());
        String text = Files.readString(json)
                .replaceAll("\"head\":\"[0-9a-f]+\",", "")
                .replaceAll(",\"count\":\\{[^}]*}", "")
                .replace("\"version\":4", "\"version\":1")
                .replace("{\"job\":1,", "{\"job\":1000000000,");
        String seq = text.replaceAll("(?s).*\"seq\":(\\d+).*", "$1");
        Files.writeString(json, text.replace("\"seq\":" + seq + ",", "\"seq\":9007199254740991,"));
        log = folder.resolve("fresh.mussel");
        assertThat(run("import", json.toString())).as(err.toString()).isZero();
        try (SqliteJournal journal = SqliteJournal.open(log, CLOCK)) {
            int job = journal.open(new LegRef("l", "Next", LegRef.Position.SINGLE, "wren-8"), "bench")
                    .job();
            journal.append(journal.numbers().get(0), "bench", new Fact.Ticked("x", true));
            assertThat(job).isEqualTo(journal.numbers().get(0) + 1);
        }
        assertThat(run("check")).as(out.toString()).isZero();
        assertThat(run(
                        "export",
                        "--format",
                        "json",
                        "--out",
                        folder.resolve("again.json").toString()))
                .isZero();
        log = folder.resolve("other.mussel");
        assertThat(run("import", folder.resolve("again.json").toString()))
                .as(err.toString())
                .isZero();
    }

    @ParameterizedTest
    @ValueSource(strings = {"{}", "[]", "null", "{ }", "5"})
    void aFileThatHoldsNothingWipesNothing(String nothing) throws IOException {
        for (String name : List.of("x.json", "x.yaml")) {
            Path file = Files.writeString(folder.resolve(name), nothing);
            assertThat(run("import", file.toString())).as(name).isEqualTo(2);
        }
        assertThat(err.toString()).doesNotContain("Exception");
    }

    /** What a newer program or another hand wrote is named and set aside; the rest is worked with, checked and exported. */
    @Test
    void oneBadEntryOrSettingStandsInNobodysWay() throws Exception {
        try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + log);
                Statement sql = db.createStatement()) {
            for (String fact : List.of(
                    "{\"kind\":\"weighed\",\"kg\":4}",
                    "{\"kind\":\"chosen\",\"about\":{\"name\":\"oil_water\",\"of\":\"\"},\"outcome\":\"muddy\"}",
                    "{\"kind\":\"read\",\"about\":{\"name\":\"moonlight\",\"of\":\"\"},\"value\":1.0,\"typed\":\"1\",\"instrument\":\"x\",\"simulated\":false}",
                    "no json at all")) {
                sql.execute("INSERT INTO entry (job, at, by, fact) VALUES (1, '2026-11-23T12:00:00Z', 'x', '" + fact
                        + "')");
            }
            sql.execute("INSERT INTO entry (job, at, by, fact) VALUES (77, 'yesterday', 'x', '{\"kind\":\"ticked\"}')");
            sql.execute("INSERT OR REPLACE INTO setting VALUES ('units', 'furlong')");
            sql.execute("INSERT INTO setting VALUES ('moon', 'full')");
            sql.execute("INSERT INTO setting VALUES ('shelf:wren-8:impeller', 'many')");
        }
        assertThat(run("check")).isEqualTo(2);
        assertThat(out.toString())
                .contains("its kind is “weighed”", "chooses “muddy” on oil_water", "reads “moonlight”", "Job 77")
                .doesNotContain("Exception")
                .doesNotContain("mussel.core");
        mussel.work.shop.Workshop shop = Yards.open(new FileStore(log, CLOCK));
        try {
            assertThat(shop.yard().units()).isEqualTo(mussel.core.measure.UnitSet.METRIC);
            assertThat(shop.settingsSetAside())
                    .hasSize(3)
                    .anyMatch(s -> s.startsWith("The setting units is “furlong”"));
            assertThat(new Desk(shop, 1).now().job().unread()).hasSize(4);
            assertThat(shop.unfiled()).singleElement().asString().startsWith("Job 77 cannot be shown");
            assertThat(shop.journal().benchLines().open()).isNotEmpty();
        } finally {
            shop.journal().close();
        }
        for (String format : List.of("json", "csv", "ics")) {
            assertThat(run(
                            "export",
                            "--format",
                            format,
                            "--out",
                            folder.resolve("out." + format).toString()))
                    .as(err.toString())
                    .isZero();
        }
        assertThat(Files.readString(folder.resolve("out.json"))).contains("weighed", "no json at all");
        assertThat(run("due")).isZero();
    }

    @Test
    void noControlCharacterReachesTheTerminalTheListsOrTheCalendar() throws IOException {
        String evil = "Bell\u0007 \u001b[31mred\u001b[0m \u202Eright";
        try (SqliteJournal journal = SqliteJournal.open(log, CLOCK)) {
            int job = journal.book().due(1).get(0).job();
            LegRef was = mussel.core.job.Job.of(journal.entries(job)).leg();
            journal.append(
                    job,
                    "be\u0008nch",
                    new Fact.LegCorrected(new LegRef(was.id(), evil, was.position(), was.family())));
            journal.append(job, "be\u0008nch", new Fact.Noted(Topic.COMPLAINT.address(), evil));
        }
        Yards.open(new FileStore(log, CLOCK)).journal().close();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        CommandLine command = Main.command();
        command.setOut(Terminal.on(bytes));
        command.setErr(Terminal.on(bytes));
        command.execute("--log", log.toString(), "due");
        command.execute(
                "--log",
                log.toString(),
                "export",
                "--format",
                "csv",
                "--out",
                folder.resolve("l").toString());
        command.execute(
                "--log",
                log.toString(),
                "export",
                "--format",
                "ics",
                "--out",
                folder.resolve("l.ics").toString());
        command.execute("--log", log.toString(), "export", "--format", "json", "--leg", evil + "?", "--out", "x");
        String said = bytes.toString(StandardCharsets.UTF_8);
        String lists = Files.readString(folder.resolve("l").resolve("jobs.csv"))
                + Files.readString(folder.resolve("l").resolve("readings.csv"))
                + Files.readString(folder.resolve("l").resolve("due.csv"));
        String calendar = Files.readString(folder.resolve("l.ics"));
        assertThat(said).contains("red");
        assertThat(calendar).contains("red");
        for (String text : List.of(said, lists, calendar)) {
            assertThat(text.replaceAll("[\r\n]", "")).doesNotContainPattern("[\\p{Cntrl}\u202A-\u202E\u2066-\u2069]");
        }
        assertThat(calendar.split("\r\n")).allSatisfy(line -> assertThat(line.getBytes(StandardCharsets.UTF_8).length)
                .isLessThanOrEqualTo(75));
    }

    /** A pipe never gives an answer: whoever opens one waits for ever. */
    @Test
    void pipesDevicesAndFoldersAreRefusedAtOnce() throws Exception {
        Path pipe = folder.resolve("pipe");
        assertThat(new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor(5, TimeUnit.SECONDS))
                .isTrue();
        Path yaml = folder.resolve("pipe.yaml");
        Files.move(pipe, yaml);
        for (Path strange : List.of(yaml, folder, Path.of("/dev/zero"), folder.resolve("none.yaml"))) {
            String name = strange.toString();
            refused(strange, "import", name);
            refused(strange, "restore", name);
            refused(strange, "families", "--check", name);
            refused(strange, "knowledge", "--context", name);
            refused(
                    strange,
                    "salvage",
                    name,
                    "--out",
                    folder.resolve("out.mussel").toString());
        }
    }

    @Test
    void aDamagedLogIsSalvagedFromTheCommandLine() throws IOException {
        byte[] bytes = Files.readAllBytes(log);
        java.util.Arrays.fill(bytes, 0, 5_000, (byte) 0x5a);
        Path damaged = Files.write(folder.resolve("damaged.mussel"), bytes);
        Path saved = folder.resolve("saved.mussel");
        assertThat(run("salvage", damaged.toString(), "--out", saved.toString()))
                .as(err.toString())
                .isZero();
        assertThat(out.toString()).contains("Brought out: 51 jobs");
        log = saved;
        assertThat(run("check")).as(out.toString()).isZero();
    }

    @Test
    void aLogGoesThroughAPathOfAnyName() throws IOException {
        Path strange = Files.createDirectory(folder.resolve("Öl: \"a\" 'b'? 100 %\n#;&"));
        log = Files.move(log, strange.resolve("łog ç?.mussel"));
        Path backup = strange.resolve("ü ? .mussel-backup");
        assertThat(run("check")).as(err.toString()).isZero();
        assertThat(run("backup", "--out", backup.toString())).as(err.toString()).isZero();
        assertThat(run("restore", backup.toString())).as(err.toString()).isZero();
        try (SqliteJournal journal = SqliteJournal.open(log, CLOCK)) {
            journal.append(1, "bench", new Fact.Ticked("x", true));
        }
        assertThat(run("check")).as(out.toString()).isZero();
    }
}
