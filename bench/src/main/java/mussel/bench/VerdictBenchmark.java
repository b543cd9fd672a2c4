package mussel.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import mussel.core.verdict.Context;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Tables;
import mussel.core.verdict.VerdictEngine;
import mussel.core.verdict.VerdictInput;
import mussel.core.verdict.VerdictResult;
import mussel.exchange.verdict.KnowledgeFiles;
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

/** The verdict over random half-answered sets on the shipped tables, both groups. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(value = 1, jvmArgs = "-Xmx512m")
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class VerdictBenchmark {
    private static final int SETS = 512;

    private final List<VerdictInput> sets = new ArrayList<>();
    private Tables tables;
    private int at;

    /** Draws the sets from a fixed seed. */
    @Setup
    public void draw() {
        tables = Tables.of(KnowledgeFiles.shipped(), Context.empty());
        Random random = new Random(20261123);
        for (int i = 0; i < SETS; i++) {
            Map<String, String> made = new LinkedHashMap<>();
            for (Finding finding : tables.knowledge().findings()) {
                boolean twice = finding.id().equals("volume_less") && "yes".equals(made.get("volume_more"));
                if (random.nextBoolean() && !twice) {
                    made.put(
                            finding.id(),
                            finding.outcomes()
                                    .get(random.nextInt(finding.outcomes().size())));
                }
            }
            sets.add(new VerdictInput(Optional.empty(), made, 72, List.of(), Map.of()));
        }
    }

    private VerdictInput next() {
        at = (at + 1) % SETS;
        return sets.get(at);
    }

    /** Posterior, evidence and decisions. */
    @Benchmark
    public VerdictResult verdict() {
        return VerdictEngine.withoutChecks(tables, next());
    }

    /** The same with all looks ranked. */
    @Benchmark
    public VerdictResult verdictWithLooks() {
        return VerdictEngine.run(tables, next());
    }
}
