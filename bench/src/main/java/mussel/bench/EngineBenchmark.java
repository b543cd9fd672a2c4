package mussel.bench;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import mussel.app.demo.DemoYard;
import mussel.core.book.OpenLog;
import mussel.core.drain.DrainEngine;
import mussel.core.drain.DrainInput;
import mussel.core.drain.DrainResult;
import mussel.core.fill.FillEngine;
import mussel.core.fill.FillInput;
import mussel.core.fill.FillResult;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Job;
import mussel.core.job.Surroundings;
import mussel.core.plan.Plan;
import mussel.core.plan.Planner;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Judge;
import mussel.exchange.library.Expansion;
import mussel.exchange.library.Library;
import mussel.exchange.sheet.KeptSheet;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import mussel.store.FileStore;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What runs at each keystroke: an engine, and everything that is computed for a job. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(value = 1, jvmArgs = "-Xmx512m")
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class EngineBenchmark {
    private DrainInput drain;
    private FillInput fill;
    private SpecSheet sheet;
    private Surroundings surroundings;
    private List<Entry> entries;
    private Job job;
    private JsonNode compact;
    private String kept;

    /** Takes the demo's milky leg. */
    @Setup
    public void takeTheDemosMilkyLeg() {
        sheet = SheetFiles.shipped().get(0);
        compact = SheetFiles.compact(sheet.id()).orElseThrow();
        kept = KeptSheet.of(sheet).text();
        surroundings = new Surroundings(
                SheetFiles.shippedYard(),
                new Judge(KnowledgeFiles.shipped()),
                List.of(),
                java.time.LocalDate.of(2026, 11, 23));
        entries = demoEntries();
        job = Job.of(entries);
        drain = Assessment.of(job, sheet, surroundings).drain().input().orElseThrow();
        fill = new FillInput(
                430,
                25,
                60,
                15,
                List.of(new FillInput.Bottle("tube", 250, 7.5, 0, 0), new FillInput.Bottle("litre", 1000, 19, 0, 0)),
                OptionalDouble.empty());
    }

    private static List<Entry> demoEntries() {
        try {
            Path log = Files.createTempDirectory("mussel-bench").resolve("demo.mussel");
            DemoYard.fill(log, Instant.parse("2026-11-23T09:00:00Z"));
            try (OpenLog journal = new FileStore(log, Clock.systemUTC()).read()) {
                return journal.entries(5);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A compact sheet made into the full one, as when a figure of the manual is typed. */
    @Benchmark
    public SpecSheet expand() {
        return Expansion.expand(compact, Library.shipped()).value().orElseThrow();
    }

    /** A sheet under the name its content gives it, as a job keeps it. */
    @Benchmark
    public KeptSheet keep() {
        return KeptSheet.of(sheet);
    }

    /** The sheet of a job that was tagged, read back. */
    @Benchmark
    public SpecSheet readBack() {
        return KeptSheet.read(kept).value().orElseThrow();
    }

    /** The drain engine. */
    @Benchmark
    public DrainResult drain() {
        return DrainEngine.run(drain);
    }

    /** The fill engine. */
    @Benchmark
    public FillResult fill() {
        return FillEngine.run(fill);
    }

    /** The plan for every goal. */
    @Benchmark
    public Plan plan() {
        return Planner.plan(sheet, List.of("impeller", "pump_kit", "driveshaft_seals"));
    }

    /** Folding a job's journal. */
    @Benchmark
    public Job fold() {
        return Job.of(entries);
    }

    /** Everything that one keystroke recomputes. */
    @Benchmark
    public Assessment keystroke() {
        return Assessment.of(Job.of(entries), sheet, surroundings);
    }
}
