package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;
import mussel.app.demo.DemoYard;
import mussel.core.book.LogKind;
import mussel.core.job.Fact;
import mussel.core.job.LegRef;
import mussel.exchange.record.Json;
import mussel.store.Backups;
import mussel.store.FileStore;
import mussel.store.SqliteJournal;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

/** What somebody changed by hand in a logbook, an export or a price list is named or refused, and commands cross no kinds of logs. */
class NothingWrongGetsInTest {
    @TempDir
    static Path demoFolder;

    @TempDir
    private Path folder;

    private String out = "";
    private String err = "";

    @BeforeAll
    static void fill() {
        DemoYard.fill(demo(), Instant.parse("2026-11-23T09:00:00Z"));
        Yards.open(new FileStore(demo(), Clock.systemDefaultZone())).journal().close();
    }

    private static Path demo() {
        return demoFolder.resolve("demo.mussel");
    }

    private Path copy() throws IOException {
        return Files.copy(demo(), folder.resolve("copy.mussel"));
    }

    private int run(Path log, String... args) {
        StringWriter said = new StringWriter();
        StringWriter refused = new StringWriter();
        CommandLine command = Main.command();
        command.setOut(new PrintWriter(said));
        command.setErr(new PrintWriter(refused));
        int code = command.execute(Stream.concat(Stream.of("--log", log.toString()), Stream.of(args))
                .toArray(String[]::new));
        out = said.toString();
        err = refused.toString();
        return code;
    }

    /** Changes a log as another program does, its triggers put back afterwards. */
    private static void edit(Path log, List<String> statements) throws SQLException {
        try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + log);
                Statement statement = db.createStatement()) {
            List<String> triggers = new ArrayList<>();
            List<String> names = new ArrayList<>();
            try (ResultSet row = statement.executeQuery("SELECT name, sql FROM sqlite_master WHERE type = 'trigger'")) {
                while (row.next()) {
                    names.add(row.getString(1));
                    triggers.add(row.getString(2));
                }
            }
            for (String name : names) {
                statement.execute("DROP TRIGGER " + name);
            }
            for (String sql : statements) {
                statement.execute(sql);
            }
            for (String trigger : triggers) {
                statement.execute(trigger);
            }
        }
    }

    @Test
    void whatIsDerivedAndWasEditedIsNamedAndMadeAnew() throws Exception {
        Path log = copy();
        assertThat(run(log, "check")).as(out + err).isZero();
        edit(
                log,
                List.of(
                        "DELETE FROM visit WHERE job = 2",
                        "UPDATE visit SET title = 'Another boat' WHERE job = 3",
                        "UPDATE visit SET record = replace(record, 'a', 'b') WHERE job = 4",
                        "UPDATE visit SET upto = upto + 9 WHERE job = 5",
                        "UPDATE bench_line SET family_name = 'x' WHERE job = 6",
                        "UPDATE expectation SET found = 1 - found WHERE job = (SELECT min(job) FROM expectation)",
                        "DELETE FROM renewal WHERE job = (SELECT max(job) FROM renewal)",
                        "UPDATE search SET words = 'x' WHERE rowid = 7",
                        "DELETE FROM search WHERE rowid = 8",
                        "UPDATE visit SET record = json_set(record, '$.work', 7) WHERE job = 9",
                        "UPDATE expectation SET probability = probability / 2 WHERE job = (SELECT max(job) FROM expectation)",
                        "UPDATE bench_outline SET path = 'M0 0' WHERE family = 'tern-60' AND nr = 1",
                        "INSERT OR REPLACE INTO shelf_now VALUES ('tern-60', 'anode', 55)",
                        "UPDATE due_now SET on_day = '2031-01-01' WHERE leg = (SELECT min(leg) FROM due_now)"));
        assertThat(run(log, "check")).isEqualTo(2);
        assertThat(out)
                .contains(
                        "Job 2: the book's line",
                        "Job 3: the book's line",
                        "Job 4: the book's record",
                        "Job 5: the book's line",
                        "Job 6: the bench's line",
                        "expectations",
                        "what was renewed",
                        "Job 7: what it is found by",
                        "Job 8: what it is found by",
                        "Job 9: its record",
                        "The outline of tern-60",
                        "The shelf's count",
                        "what is due");
        // Jobs 4 and 6 for the edits above, 9 for the minutes, the last for the probability.
        assertThat(out.split("its record \\(visit, expectation\\)", -1)).hasSize(5);
        assertThat(run(log, "check", "--mend")).as(out + err).isZero();
        assertThat(out).contains("sound.");
    }

    @Test
    void aSheetThatIsGoneIsNamedWithItsJobs() throws Exception {
        Path log = copy();
        edit(log, List.of("DELETE FROM sheet"));
        assertThat(run(log, "check")).isEqualTo(2);
        assertThat(out)
                .contains("A spec sheet that jobs were worked by was deleted")
                .containsPattern("Job \\d+ was worked by the spec sheet [0-9a-f]{32}, which is not in the log");

        Path json = folder.resolve("log.json");
        assertThat(run(demo(), "export", "--format", "json", "--out", json.toString()))
                .as(err)
                .isZero();
        String text = Files.readString(json);
        String emptied = text.replaceAll("(?s)\"sheets\":\\{.*?},\"jobs\"", "\"sheets\":{},\"jobs\"");
        assertThat(emptied).isNotEqualTo(text);
        Path edited = Files.writeString(folder.resolve("edited.json"), emptied);
        Path fresh = folder.resolve("fresh.mussel");
        assertThat(run(fresh, "import", edited.toString())).isEqualTo(2);
        assertThat(err).contains("its seal does not fit");
        // An earlier version has no seal: what its jobs name and nobody has is told.
        Files.writeString(
                edited, emptied.replace("\"version\":4", "\"version\":3").replaceAll(",\"seal\":\"[0-9a-f]+\"", ""));
        assertThat(run(fresh, "import", "--dry-run", edited.toString())).as(err).isZero();
        assertThat(out).containsPattern("Job \\d+ was worked by the spec sheet .* neither here nor in the file");
        assertThat(fresh).as("a look leaves nothing behind").doesNotExist();
    }

    @Test
    void aPracticeLogAndAShopsLogNeverTakeEachOthersPlace() throws Exception {
        Path practice = folder.resolve("practice-copy.mussel");
        try (SqliteJournal journal = SqliteJournal.open(practice, Clock.systemUTC())) {
            journal.mark(LogKind.PRACTICE);
            int job = journal.open(
                            new LegRef(LegRef.PRACTICE + "1", "Practice leg", LegRef.Position.SINGLE, "tern-60"), "ann")
                    .job();
            journal.append(job, "ann", new Fact.Ticked("look", true));
        }
        Path log = copy();
        Path ofPractice = folder.resolve("p.mussel-backup");
        Path ofShop = folder.resolve("s.mussel-backup");
        assertThat(run(practice, "backup", "--out", ofPractice.toString()))
                .as(err)
                .isZero();
        assertThat(run(log, "backup", "--out", ofShop.toString())).as(err).isZero();
        for (Map.Entry<Path, Path> crossed :
                Map.of(log, ofPractice, practice, ofShop).entrySet()) {
            byte[] before = Files.readAllBytes(crossed.getKey());
            assertThat(run(crossed.getKey(), "restore", crossed.getValue().toString()))
                    .isEqualTo(2);
            assertThat(err).contains("Nothing was changed", "practice log");
            assertThat(Files.readAllBytes(crossed.getKey())).isEqualTo(before);
            assertThat(Path.of(crossed.getKey() + ".backups")).doesNotExist();
        }
        assertThat(run(practice, "check")).as(out + err).isZero();
    }

    /** The hands at a window write, a file is taken in and backups are made, all at once with the check. */
    @Test
    @Tag("attack")
    void checkBesideAWriterHasNoFalseAlarm() throws Exception {
        Integer scale = Integer.getInteger("mussel.attack");
        int rounds = scale == null ? 3 : scale / 5;
        Path log = copy();
        Path other = folder.resolve("other.mussel");
        DemoYard.fill(other, Instant.parse("2025-03-01T09:00:00Z"));
        Path json = folder.resolve("other.json");
        assertThat(run(other, "export", "--format", "json", "--out", json.toString()))
                .as(err)
                .isZero();
        AtomicBoolean over = new AtomicBoolean();
        Thread writer = new Thread(() -> {
            var shop = Yards.open(new FileStore(log, Clock.systemDefaultZone()));
            try {
                int job = shop.journal().benchLines().open().get(0).job();
                shop.data().look(json, done -> true).take().accept(done -> true);
                for (int i = 0; !over.get(); i++) {
                    shop.journal().append(job, "ann", new Fact.Ticked("step" + i % 50, i % 2 == 0));
                    // As fast as it goes for a while, then as hands write: else each check has more to read than the
                    // one before.
                    LockSupport.parkNanos(i < 2_000 ? 0 : 20_000_000);
                    if (i % 20 == 0) {
                        shop.fileEverything();
                    }
                    if (i % 200 == 0) {
                        Backups.of(log, Clock.systemDefaultZone()).beside("meanwhile");
                    }
                }
            } finally {
                shop.journal().close();
            }
        });
        writer.start();
        try {
            for (int round = 0; round < rounds; round++) {
                assertThat(run(log, "check")).as(out + err).isZero();
            }
        } finally {
            over.set(true);
            writer.join();
        }
        assertThat(run(log, "check")).as(out + err).isZero();
        System.out.println("ATTACK check beside a writer, an import and backups: " + rounds + " tried, 0 failed");
    }

    /** One change somewhere in an export: a value, a name, an order, a part left out or doubled. */
    @Test
    @Tag("attack")
    void anExportThatAHandChangedIsRefused() throws Exception {
        Integer scale = Integer.getInteger("mussel.attack");
        int edits = scale == null ? 8 : Math.max(1, scale / 5);
        Path json = folder.resolve("log.json");
        assertThat(run(demo(), "export", "--format", "json", "--out", json.toString()))
                .as(err)
                .isZero();
        byte[] sound = Files.readAllBytes(json);
        Path edited = folder.resolve("edited.json");
        Path fresh = folder.resolve("fresh.mussel");
        Random random = new Random(33);
        for (int i = 0; i < edits; i++) {
            JsonNode tree = Json.mapper().readTree(sound);
            String what = HandEdits.one(tree, random);
            Files.write(edited, Json.mapper().writeValueAsBytes(tree));
            assertThat(run(fresh, "import", edited.toString()))
                    .as("%d: %s%n%s", i, what, out)
                    .isEqualTo(2);
            assertThat(err)
                    .as(what)
                    .isNotBlank()
                    .doesNotContain("Exception")
                    .doesNotContain("null")
                    .doesNotContain("fasterxml");
            assertThat(fresh).as(what).doesNotExist();
        }
        System.out.println("ATTACK exports edited by hand: " + edits + " tried, 0 failed");
    }

    @Test
    void whatWouldBeReadOfAPriceListIsShownLineByLine() throws Exception {
        Path list = Files.writeString(
                folder.resolve("list.csv"), "Art;Net;Pack\nA1;12,50;1.000\nA2;see page 7;\nA3;1.234,00;box\nA4;7;2\n");
        assertThat(run(
                        folder.resolve("none.mussel"),
                        "prices",
                        list.toString(),
                        "--supplier",
                        "Skerry",
                        "--currency",
                        "EUR",
                        "--json"))
                .as(err)
                .isZero();
        JsonNode tree = Json.mapper().readTree(out);
        assertThat(tree.path("decimal").asText()).isEqualTo(",");
        assertThat(tree.path("lines")).hasSize(4);
        assertThat(tree.path("lines").get(0).path("price").asDouble()).isEqualTo(12.5);
        assertThat(tree.path("lines").get(0).path("pack").asInt()).isEqualTo(1000);
        assertThat(tree.path("lines").get(1).path("price").isNull()).isTrue();
        assertThat(tree.path("lines").get(1).path("problem").asText()).contains("“see page 7” is not a price");
        assertThat(tree.path("lines").get(2).path("problem").asText()).contains("box");
        assertThat(tree.path("lines").get(3).path("price").asDouble()).isEqualTo(7);
        assertThat(folder.resolve("none.mussel")).doesNotExist();
    }
}
