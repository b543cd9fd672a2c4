package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.LongStream;
import mussel.core.job.Address;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.LegRef;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Another process writes entries and is killed without warning; every entry it had reported must be there, once. */
class KilledWriterTest {
    @TempDir
    Path folder;

    /** Four moments, or as many as {@code -Dmussel.kills} says: five hundred take some minutes. */
    static LongStream moments() {
        return LongStream.rangeClosed(1, Integer.getInteger("mussel.kills", 4));
    }

    @ParameterizedTest
    @MethodSource("moments")
    void everyReportedEntrySurvivesTheKill(long seed) throws IOException, InterruptedException {
        Path file = folder.resolve("killed.mussel");
        Path reports = folder.resolve("reports.txt");
        Process writer = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-cp",
                        System.getProperty("java.class.path"),
                        Writer.class.getName(),
                        file.toString())
                .redirectOutput(reports.toFile())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        int wanted = 5 + new Random(seed).nextInt(120);
        while (reported(reports) < wanted && !writer.waitFor(5, TimeUnit.MILLISECONDS)) {
            continue;
        }
        writer.destroyForcibly().waitFor();
        int reported = reported(reports);

        try (SqliteJournal journal = SqliteJournal.open(file, Clock.systemUTC())) {
            List<Entry> entries = journal.entries(1);
            assertThat(reported).isGreaterThanOrEqualTo(wanted);
            assertThat(entries).hasSizeBetween(reported + 1, reported + 2);
            for (int i = 1; i < entries.size(); i++) {
                assertThat(entries.get(i).fact()).isEqualTo(Writer.reading(i));
            }
        }
    }

    private static int reported(Path reports) throws IOException {
        return Files.exists(reports) ? Files.readAllLines(reports).size() : 0;
    }

    /** Writes readings until it is killed, reporting each one once it is safe. */
    static final class Writer {
        private Writer() {}

        static Fact reading(int i) {
            return Fact.Read.byHand(Address.the("drained"), i, i + " ml");
        }

        public static void main(String[] args) {
            SqliteJournal journal = SqliteJournal.open(Path.of(args[0]), Clock.systemUTC());
            int job = journal.open(new LegRef("l1", "Byssus", LegRef.Position.SINGLE, "wren-8"), "a")
                    .job();
            for (int i = 1; i < 100_000; i++) {
                journal.append(job, "a", reading(i));
                System.out.println(i);
                System.out.flush();
            }
        }
    }
}
