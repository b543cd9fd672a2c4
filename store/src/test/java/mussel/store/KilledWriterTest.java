package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import mussel.core.job.Address;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.LegRef;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Another process writes entries and is killed without warning, again and again on one log: every entry it had reported
 * must be there, once, and the next writer goes on from there.
 */
@Tag("attack")
class KilledWriterTest {
    /** Eight moments, or five hundred in a whole attack, which take some minutes. */
    private static final int KILLS = Attack.times(8, 500);

    private static final int LONGEST_MICROS = 250_000;

    @TempDir
    Path folder;

    @Test
    void everyReportedEntrySurvivesEveryKill() throws IOException, InterruptedException {
        Path file = folder.resolve("killed.mussel");
        Path reports = folder.resolve("reports.txt");
        Random random = new Random(KILLS);
        int safe = 0;
        for (int kill = 0; kill < KILLS; kill++) {
            Process writer = writing(file, reports);
            while (lines(reports).isEmpty() && !writer.waitFor(2, TimeUnit.MILLISECONDS)) {
                continue;
            }
            TimeUnit.MICROSECONDS.sleep(random.nextInt(LONGEST_MICROS));
            assertThat(writer.isAlive()).as("the writer still writes").isTrue();
            writer.destroyForcibly().waitFor();
            List<String> reported = lines(reports);
            int last = Integer.parseInt(reported.get(reported.size() - 1));
            assertThat(reported).as("goes on where the log ends").first().isEqualTo(String.valueOf(safe + 1));

            try (SqliteJournal journal = SqliteJournal.open(file, Clock.systemUTC())) {
                List<Entry> entries = journal.entries(1);
                assertThat(entries).as("kill %d", kill).hasSizeBetween(last + 1, last + 2);
                for (int i = Math.max(1, safe); i < entries.size(); i++) {
                    assertThat(entries.get(i).fact()).isEqualTo(Writer.reading(i));
                }
                safe = entries.size() - 1;
            }
        }
        try (SqliteJournal journal = SqliteJournal.open(file, Clock.systemUTC())) {
            assertThat(journal.entries(1).stream().skip(1).map(Entry::fact))
                    .containsExactlyElementsOf(IntStream.rangeClosed(1, safe)
                            .mapToObj(Writer::reading)
                            .toList());
        }
        assertThat(Integrity.of(file, Clock.systemUTC()).troubles()).isEmpty();
        System.out.println("ATTACK kills while entries are made: " + KILLS + " tried, 0 failed");
    }

    private static Process writing(Path file, Path reports) throws IOException {
        return new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        System.getProperty("java.class.path"),
                        Writer.class.getName(),
                        file.toString())
                .redirectOutput(reports.toFile())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
    }

    /** The whole lines reported so far: one that was cut by the kill does not count. */
    private static List<String> lines(Path reports) throws IOException {
        if (!Files.exists(reports)) {
            return List.of();
        }
        String text = Files.readString(reports);
        return text.substring(0, text.lastIndexOf('\n') + 1).lines().toList();
    }

    /** Goes on writing readings where the log ends until it is killed, reporting each one once it is safe. */
    static final class Writer {
        private Writer() {}

        static Fact reading(int i) {
            return Fact.Read.byHand(Address.the("drained"), i, i + " ml");
        }

        public static void main(String[] args) {
            SqliteJournal journal = SqliteJournal.open(Path.of(args[0]), Clock.systemUTC());
            int job = 1;
            if (journal.entries(job).isEmpty()) {
                journal.open(new LegRef("l1", "Byssus", LegRef.Position.SINGLE, "wren-8"), "a");
            }
            for (int i = journal.entries(job).size(); i < 100_000; i++) {
                journal.append(job, "a", reading(i));
                System.out.println(i);
                System.out.flush();
            }
        }
    }
}
