package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import mussel.core.job.Address;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Journal;
import mussel.core.job.Journal.Brought;
import mussel.core.job.LegRef;
import mussel.exchange.job.FactJson;
import mussel.exchange.record.Json;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is entered while a file is taken in, on a real logbook with a real second writer. */
class WaitingEntriesTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-11-23T09:00:00Z"), ZoneOffset.UTC);
    private static final LegRef HERE = new LegRef("h", "Spat Lass", LegRef.Position.PORT, "tern-60");
    private static final LegRef THERE = new LegRef("t", "Byssus", LegRef.Position.SINGLE, "tern-60");

    @TempDir
    Path folder;

    private final CountDownLatch begun = new CountDownLatch(1);
    private final CountDownLatch goOn = new CountDownLatch(1);
    private SqliteJournal journal;
    private Thread taking;
    private int job;

    @BeforeEach
    void open() {
        journal = SqliteJournal.open(log(), CLOCK);
        job = journal.open(HERE, "ann").job();
    }

    @AfterEach
    void close() {
        goOn.countDown();
        journal.close();
    }

    private Path log() {
        return folder.resolve("yard.mussel");
    }

    private Path waiting() {
        return folder.resolve("yard.mussel.waiting");
    }

    /** Takes in a job under the number that comes next here, and stays in the middle of it until it may go on. */
    private void takeIn() throws InterruptedException {
        List<Entry> entries = List.of(
                new Entry(1, 2, CLOCK.instant(), "bob", new Fact.Opened(THERE)),
                new Entry(2, 2, CLOCK.instant(), "bob", chosen("haze")));
        taking = new Thread(() -> journal.aside(own -> {
            own.bring(Map.of(), into -> {
                into.accept(new Brought(2, entries, Map.of()));
                begun.countDown();
                await(goOn);
            });
            return null;
        }));
        taking.start();
        await(begun);
    }

    private void takenIn() throws InterruptedException {
        goOn.countDown();
        taking.join();
    }

    private static void await(CountDownLatch latch) {
        try {
            assertThat(latch.await(60, TimeUnit.SECONDS)).isTrue();
        } catch (InterruptedException e) {
            throw new AssertionError(e);
        }
    }

    private static Fact chosen(String outcome) {
        return new Fact.Chosen(Address.the("oil_water"), outcome);
    }

    private static List<Fact> facts(List<Entry> entries) {
        return entries.stream().map(Entry::fact).toList();
    }

    @Test
    void whatCameInAfterAMarkIsToldWhoeverEnteredIt() {
        long mark = journal.since(0).mark();
        assertThat(journal.since(0).jobs()).containsExactly(job);
        assertThat(journal.since(mark).jobs()).isEmpty();
        assertThat(journal.since(Long.MAX_VALUE).mark()).isEqualTo(mark);

        journal.append(job, "ann", chosen("haze"));
        int other = journal.aside(own -> {
            own.decide("bob", new Fact.Decided("away:bob", "2026-12-24"), "away:bob", "2026-12-24");
            return own.open(THERE, "bob").job();
        });
        assertThat(journal.since(mark).jobs()).containsExactlyInAnyOrder(job, other, Journal.YARD);
        assertThat(journal.setting("away:bob", "")).as("with the setting").isEqualTo("2026-12-24");
        assertThat(journal.since(journal.since(mark).mark()).jobs()).isEmpty();
    }

    @Test
    void whatWaitsIsToldToo() throws InterruptedException {
        takeIn();
        long mark = journal.since(0).mark();
        journal.append(job, "ann", chosen("haze"));
        assertThat(journal.since(mark).jobs()).containsExactly(job);
        goOn.countDown();
        taking.join();
        journal.bringInWaiting();
        assertThat(journal.since(mark).jobs()).contains(job, 2);
    }

    @Test
    void whatIsEnteredWhileAFileComesInCountsAtOnceAndIsInTheLogAfterwards() throws Exception {
        takeIn();
        Entry milky = journal.append(job, "ann", chosen("milky"));
        journal.append(job, "ann", new Fact.Retracted(milky.seq()));
        journal.keepSetting("glove", "on");
        assertThat(facts(journal.entries(job)))
                .containsExactly(new Fact.Opened(HERE), chosen("milky"), new Fact.Retracted(milky.seq()));
        assertThat(journal.mark(job).orElseThrow().entries()).isEqualTo(3);
        assertThat(journal.setting("glove", "")).isEqualTo("on");
        assertThat(waiting()).exists();

        takenIn();
        assertThat(journal.bringInWaiting()).isTrue();
        assertThat(waiting()).doesNotExist();
        journal.close();
        journal = SqliteJournal.open(log(), CLOCK);
        assertThat(facts(journal.entries(job)))
                .containsExactly(new Fact.Opened(HERE), chosen("milky"), new Fact.Retracted(milky.seq()));
        assertThat(facts(journal.entries(2))).containsExactly(new Fact.Opened(THERE), chosen("haze"));
        assertThat(journal.setting("glove", "")).isEqualTo("on");
        assertThat(Integrity.of(log(), CLOCK).troubles()).isEmpty();
    }

    @Test
    void aJobOpenedMeanwhileKeepsItsEntriesWhereItsNumberWasTaken() throws Exception {
        takeIn();
        int opened = journal.open(HERE, "ann").job();
        journal.append(opened, "ann", chosen("streaks"));
        assertThat(facts(journal.entries(opened))).containsExactly(new Fact.Opened(HERE), chosen("streaks"));

        takenIn();
        assertThat(journal.bringInWaiting()).isTrue();
        int now = journal.numberOf(opened);
        assertThat(facts(journal.entries(now))).containsExactly(new Fact.Opened(HERE), chosen("streaks"));
        assertThat(facts(journal.entries(2))).containsExactly(new Fact.Opened(THERE), chosen("haze"));
        assertThat(journal.numbers()).containsExactly(job, 2, now);
        assertThat(Integrity.of(log(), CLOCK).troubles()).isEmpty();
    }

    @Test
    void anEntryThatWaitsSurvivesAPulledPlugAndGoesInOnce() throws Exception {
        takeIn();
        journal.append(job, "ann", chosen("milky"));
        Path after = Files.createDirectory(folder.resolve("after"));
        copyInto(after);
        // The plug is pulled a second time between the entry's commit and the end of the file that held it.
        Path again = Files.createDirectory(folder.resolve("again"));
        copyInto(again);
        Path log = after.resolve("yard.mussel");
        SqliteJournal.open(log, CLOCK).close();
        Files.copy(again.resolve("yard.mussel.waiting"), after.resolve("yard.mussel.waiting"));
        try (SqliteJournal restarted = SqliteJournal.open(log, CLOCK)) {
            assertThat(facts(restarted.entries(job))).containsExactly(new Fact.Opened(HERE), chosen("milky"));
            assertThat(restarted.numbers()).containsExactly(job);
        }
        assertThat(Integrity.of(log, CLOCK).troubles()).isEmpty();
        takenIn();
    }

    @Test
    void aJobThatGotAnotherNumberGoesInOnceToo() throws Exception {
        takeIn();
        int opened = journal.open(HERE, "ann").job();
        Entry milky = journal.append(opened, "ann", chosen("milky"));
        journal.append(opened, "ann", new Fact.Retracted(milky.seq()));
        // The plug is pulled after the commit: the file that held the entries is still there.
        Path kept = Files.createLink(folder.resolve("kept"), waiting());
        takenIn();
        assertThat(journal.bringInWaiting()).isTrue();
        int now = journal.numberOf(opened);
        List<Fact> once = facts(journal.entries(now));
        assertThat(now).isNotEqualTo(opened);
        journal.close();
        Files.move(kept, waiting());

        journal = SqliteJournal.open(log(), CLOCK);
        assertThat(journal.numbers()).containsExactly(job, 2, now);
        assertThat(facts(journal.entries(now))).isEqualTo(once).hasSize(3);
        assertThat(facts(journal.entries(2))).containsExactly(new Fact.Opened(THERE), chosen("haze"));
        assertThat(Integrity.of(log(), CLOCK).troubles()).isEmpty();
    }

    @Test
    void whatTheLogRefusesIsSetAsideAndHoldsUpNothing() throws Exception {
        journal.close();
        LegRef practice = new LegRef(LegRef.PRACTICE + "1", "Not there", LegRef.Position.SINGLE, "tern-60");
        String id = LogIdentity.id(log()).orElseThrow();
        String opened = Json.mapper().writeValueAsString(FactJson.write(new Fact.Opened(practice)));
        Files.writeString(
                waiting(),
                "{\"log\":\"" + id + "\"}\n"
                        + "{\"entries\":[{\"seq\":7,\"job\":9,\"at\":\"2026-11-23T09:00:00Z\",\"by\":\"ann\",\"fact\":"
                        + opened
                        + "}],\"settings\":{},\"sheets\":{}}\n"
                        + "{\"entries\":[],\"settings\":{\"glove\":\"on\"},\"sheets\":{}}\n");
        journal = SqliteJournal.open(log(), CLOCK);
        assertThat(journal.noticed()).contains("practice leg", "yard.mussel.waiting-refused-");
        assertThat(journal.setting("glove", "off")).isEqualTo("on");
        assertThat(journal.numbers()).containsExactly(job);
        assertThat(waiting()).doesNotExist();
        try (Stream<Path> files = Files.list(folder)) {
            assertThat(files.filter(f -> f.toString().contains(".waiting-refused-"))
                            .map(WaitingEntriesTest::text))
                    .singleElement()
                    .asString()
                    .contains("Not there");
        }
    }

    private static String text(Path file) {
        try {
            return Files.readString(file);
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private void copyInto(Path to) throws Exception {
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                if (!file.toString().endsWith("-shm") && !file.toString().endsWith(".lock")) {
                    Files.copy(file, to.resolve(file.getFileName()));
                }
            }
        }
    }

    @Test
    void whatWaitedForAnotherLogStaysOutOfThisOne() throws Exception {
        journal.close();
        Files.writeString(
                waiting(), "{\"log\":\"another\"}\n{\"entries\":[],\"settings\":{\"glove\":\"on\"},\"sheets\":{}}\n");
        journal = SqliteJournal.open(log(), CLOCK);
        assertThat(journal.setting("glove", "off")).isEqualTo("off");
        assertThat(waiting()).doesNotExist();
        try (Stream<Path> files = Files.list(folder)) {
            assertThat(files.map(Path::toString)).anyMatch(f -> f.contains(".waiting-other-"));
        }
    }

    @Test
    void aLineThatWasCutOffHoldsNothingUp() throws Exception {
        takeIn();
        journal.append(job, "ann", chosen("milky"));
        takenIn();
        Path after = Files.createDirectory(folder.resolve("cut"));
        copyInto(after);
        String id = LogIdentity.id(log()).orElseThrow();
        Files.writeString(
                after.resolve("yard.mussel.waiting"), "{\"log\":\"" + id + "\"}\n{\"entries\":[{\"seq\":9,\"jo");
        try (SqliteJournal restarted = SqliteJournal.open(after.resolve("yard.mussel"), CLOCK)) {
            assertThat(restarted.numbers()).contains(job);
        }
    }
}
