package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import mussel.core.book.Merge;
import mussel.core.job.Address;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Journal;
import mussel.core.job.LegRef;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Another process takes a log in, restores one or backs one up and is killed without warning, at any moment of it and often in its last: nothing is
 * lost, nothing is there twice, nothing is there by half.
 */
@Tag("attack")
class KilledWorkTest {
    private static final Clock CLOCK = Clock.systemUTC();
    private static final Instant BEGUN = Instant.parse("2026-11-20T08:00:00Z");
    private static final int THEIRS = 24;
    private static final int MINE = 5;
    private static final long LAST_NANOS = TimeUnit.MILLISECONDS.toNanos(50);

    @TempDir
    static Path shared;

    @TempDir
    Path folder;

    private static Path theirs;
    private static Path backup;

    @BeforeAll
    static void fill() {
        theirs = shared.resolve("theirs.mussel");
        filled(theirs, THEIRS, "theirs");
        backup = shared.resolve("theirs.mussel-backup");
        Backups.of(theirs, CLOCK).everything(backup, false);
    }

    private static void filled(Path log, int jobs, String whose) {
        try (SqliteJournal journal = SqliteJournal.open(log, CLOCK)) {
            journal.bring(Map.of(), into -> {
                for (int job = 1; job <= jobs; job++) {
                    LegRef leg = new LegRef(whose + job, "Byssus " + job, LegRef.Position.SINGLE, "wren-8");
                    List<Entry> entries = new ArrayList<>();
                    for (int i = 0; i <= 30; i++) {
                        Fact fact = i == 0
                                ? new Fact.Opened(leg)
                                : Fact.Read.byHand(Address.the("drained"), 100 + i, i + " ml");
                        entries.add(new Entry(job * 100L + i, job, BEGUN, "a", fact));
                    }
                    into.accept(new Journal.Brought(job, entries, Map.of()));
                }
            });
            journal.keepSetting("yard_name", whose);
        }
    }

    /** Runs the work once to the end, then again and again with a kill, each on a log of its own; {@code after} looks at what is left. */
    private void killed(String work, int times, After after) throws IOException, InterruptedException {
        Attack attack = new Attack("kills in " + work);
        long whole = 0;
        Random random = new Random(times);
        for (int i = 0; i <= times; i++) {
            Path log = Files.createDirectory(folder.resolve(work + i)).resolve("mine.mussel");
            filled(log, MINE, "mine");
            Process process = working(work, log);
            try (BufferedReader out =
                    new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
                assertThat(out.readLine()).isEqualTo("begun");
                long begun = System.nanoTime();
                if (i == 0) {
                    assertThat(out.readLine()).isEqualTo("done");
                    whole = System.nanoTime() - begun;
                } else {
                    long at = random.nextBoolean()
                            ? (long) (random.nextDouble() * whole)
                            : whole - LAST_NANOS + (long) (random.nextDouble() * 1.5 * LAST_NANOS);
                    LockSupport.parkNanos(Math.max(0, at - (System.nanoTime() - begun)));
                    process.destroyForcibly();
                }
            }
            process.waitFor();
            attack.attempt(work + " killed the " + i + "th time", () -> after.look(log));
        }
        attack.over();
    }

    private interface After {
        void look(Path log) throws IOException;
    }

    private static Process working(String work, Path log) throws IOException {
        return new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        System.getProperty("java.class.path"),
                        Worker.class.getName(),
                        work,
                        log.toString(),
                        work.equals("restore") ? backup.toString() : theirs.toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
    }

    private static void sound(Path log) {
        assertThat(Integrity.of(log, CLOCK).troubles()).isEmpty();
    }

    @Test
    void anImportIsInWholeOrNotAtAll() throws IOException, InterruptedException {
        killed("import", Attack.times(4, 100), log -> {
            try (SqliteJournal journal = SqliteJournal.open(log, CLOCK)) {
                List<List<Entry>> all = journal.all();
                assertThat(all.size()).isIn(MINE, MINE + THEIRS);
                assertThat(all).allMatch(job -> job.size() == 31);
                assertThat(journal.setting("learn_priors", "-")).isEqualTo(all.size() == MINE ? "-" : "on");
                journal.append(1, "a", new Fact.Ticked("later", true));
            }
            sound(log);
        });
    }

    @Test
    void aRestoreLeavesTheOldOrTheNewLogWhole() throws IOException, InterruptedException {
        killed("restore", Attack.times(4, 100), log -> {
            try (SqliteJournal journal = SqliteJournal.open(log, CLOCK)) {
                List<List<Entry>> all = journal.all();
                // The worker made one more entry before it began, which only the write-ahead file had.
                boolean old = all.size() == MINE;
                assertThat(all.size()).isIn(MINE, THEIRS);
                assertThat(all.get(0)).hasSize(old ? 32 : 31);
                assertThat(all.subList(1, all.size())).allMatch(job -> job.size() == 31);
            }
            sound(log);
            boolean saved = Backups.of(log, CLOCK).kept().stream()
                    .anyMatch(k -> Backups.look(
                            k.file(),
                            CLOCK,
                            inside -> inside.numbers().size() == MINE
                                    && inside.entries(1).size() == 32));
            try (SqliteJournal journal = SqliteJournal.read(log, CLOCK)) {
                assertThat(saved || journal.numbers().size() == MINE)
                        .as("what was there is there still")
                        .isTrue();
            }
        });
    }

    @Test
    void aBackupIsThereWholeOrNotAtAll() throws IOException, InterruptedException {
        killed("backup", Attack.times(4, 100), log -> {
            for (Backups.Kept kept : Backups.of(log, CLOCK).kept()) {
                assertThat(Backups.<Integer>look(
                                kept.file(), CLOCK, inside -> inside.numbers().size()))
                        .isEqualTo(MINE);
            }
            sound(log);
        });
    }

    /** Does one piece of work and says when it begins and when it is done. */
    static final class Worker {
        private Worker() {}

        public static void main(String[] args) throws IOException {
            Path log = Path.of(args[1]);
            switch (args[0]) {
                case "import" -> {
                    try (SqliteJournal theirs = SqliteJournal.read(Path.of(args[2]), CLOCK);
                            SqliteJournal mine = SqliteJournal.open(log, CLOCK)) {
                        mussel.core.book.LogSource source = each -> {
                            theirs.numbers().forEach(job -> each.accept(theirs.entries(job)));
                            return Map.of("learn_priors", "on");
                        };
                        Merge merge = Merge.of(mine, source);
                        System.out.println("begun");
                        merge.bring(mine, source);
                        System.out.println("done");
                    }
                }
                case "restore" -> {
                    leaveWaiting(log);
                    System.out.println("begun");
                    Backups.of(log, CLOCK).restore(Path.of(args[2]));
                    System.out.println("done");
                }
                default -> {
                    System.out.println("begun");
                    Backups.of(log, CLOCK).daily();
                    System.out.println("done");
                }
            }
        }

        /** Leaves a log as a pulled plug does: its last entry only in the write-ahead file. */
        private static void leaveWaiting(Path log) throws IOException {
            Path wal = log.resolveSibling(log.getFileName() + "-wal");
            Path kept = log.resolveSibling("kept");
            try (SqliteJournal journal = SqliteJournal.open(log, CLOCK)) {
                journal.append(1, "a", new Fact.Ticked("last", true));
                Files.copy(wal, kept);
                Files.copy(log, log.resolveSibling("kept-log"));
            }
            Files.copy(log.resolveSibling("kept-log"), log, java.nio.file.StandardCopyOption.REPLACE_EXISTING);
            Files.move(kept, wal);
        }
    }
}
