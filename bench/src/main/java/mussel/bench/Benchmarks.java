package mussel.bench;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import mussel.exchange.record.Json;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs all measurements; prints them as a table and keeps them as JSON. */
public final class Benchmarks {
    private Benchmarks() {}

    /** Takes the project's folder, the JSON file to write and, where not all is wanted: engines, work, visit, practice, start, memory, desk, keys, --log with a number of jobs, or --soak with minutes and a number of open legs. */
    public static void main(String[] args) throws IOException, InterruptedException, RunnerException {
        Path home = Path.of(args[0]);
        Path out = Path.of(args[1]);
        List<String> wanted = List.of(args).subList(2, args.length);
        List<Measured> all = new ArrayList<>();
        int soak = wanted.indexOf("--soak");
        if (soak >= 0) {
            double minutes = Double.parseDouble(wanted.get(soak + 1));
            all.addAll(new SoakBenchmark(Integer.parseInt(wanted.get(soak + 2)), minutes).run());
        }
        int log = wanted.indexOf("--log");
        if (log >= 0) {
            all.addAll(new LogBenchmark(home, Integer.parseInt(wanted.get(log + 1))).run());
        }
        if (wanted.isEmpty() || wanted.contains("engines")) {
            all.addAll(engines());
            all.addAll(verdict());
        }
        if (wanted.isEmpty() || wanted.contains("work")) {
            all.addAll(new WorkBenchmark().run());
        }
        if (wanted.isEmpty() || wanted.contains("visit")) {
            all.addAll(new VisitBenchmark().run());
        }
        if (wanted.isEmpty() || wanted.contains("practice")) {
            all.addAll(new PracticeBenchmark().run());
        }
        if (wanted.isEmpty() || wanted.contains("start")) {
            all.addAll(new StartBenchmark(home).run());
        }
        if (wanted.isEmpty() || wanted.contains("memory")) {
            all.addAll(new MemoryBenchmark(home).run());
        }
        if (wanted.isEmpty() || wanted.contains("desk")) {
            DeskBenchmark desk = new DeskBenchmark();
            all.addAll(desk.run());
            all.addAll(desk.longHold());
        }
        if (wanted.isEmpty() || wanted.contains("keys")) {
            all.addAll(new KeysBenchmark().run());
        }
        table(all);
        Files.createDirectories(out.getParent());
        Files.writeString(out, Json.mapper().writerWithDefaultPrettyPrinter().writeValueAsString(json(all)));
        System.out.println("As JSON: " + out);
        System.exit(0);
    }

    private static final Map<String, String> WANTED = Map.of("drain", "under 1000", "expand", "under 30000");

    private static List<Measured> engines() throws RunnerException {
        return new Runner(new OptionsBuilder()
                        .include(EngineBenchmark.class.getSimpleName())
                        .build())
                .run().stream()
                        .map(r -> new Measured(
                                r.getPrimaryResult().getLabel() + ", warm mean",
                                r.getPrimaryResult().getScore(),
                                "µs",
                                WANTED.getOrDefault(r.getPrimaryResult().getLabel(), "")))
                        .toList();
    }

    private static List<Measured> verdict() throws RunnerException {
        return new Runner(new OptionsBuilder()
                        .include(VerdictBenchmark.class.getSimpleName())
                        .build())
                .run().stream()
                        .map(r -> new Measured(
                                r.getPrimaryResult().getLabel() + ", 99th percentile",
                                r.getPrimaryResult().getStatistics().getPercentile(99),
                                "ms",
                                r.getPrimaryResult().getLabel().equals("verdict") ? "under 16" : "under 60"))
                        .toList();
    }

    private static void table(List<Measured> all) {
        System.out.printf("%n%-46s %12s %-4s %s%n", "measured", "figure", "unit", "wanted");
        for (Measured m : all) {
            System.out.printf(Locale.ROOT, "%-46s %12.2f %-4s %s%n", m.name(), m.value(), m.unit(), m.wanted());
        }
    }

    private static ObjectNode json(List<Measured> all) {
        ObjectNode root = Json.mapper().createObjectNode();
        root.put("java", System.getProperty("java.version"));
        root.put("cores", Runtime.getRuntime().availableProcessors());
        ArrayNode measured = root.putArray("measured");
        all.forEach(m -> measured.add(Json.mapper().<ObjectNode>valueToTree(m)));
        return root;
    }
}
