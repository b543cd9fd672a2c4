package mussel.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** The cold start of the whole process until the bench answers, beside an empty window's with the same flags, environment and class sharing. */
final class StartBenchmark {
    private static final int RUNS = 9;

    private final Path home;

    StartBenchmark(Path home) {
        this.home = home;
    }

    List<Measured> run() throws IOException, InterruptedException {
        Path data = Files.createTempDirectory("mussel-start");
        mussel(data);
        double[] mussel = new double[RUNS];
        double[] empty = new double[RUNS];
        for (int i = 0; i < RUNS; i++) {
            mussel[i] = mussel(data);
            empty[i] = empty(data);
        }
        double bench = Measured.quantile(mussel, 0.5);
        double window = Measured.quantile(empty, 0.5);
        return List.of(
                new Measured("start, bench answers (median of " + RUNS + ")", bench, "ms", ""),
                new Measured("start, empty window, same flags", window, "ms", ""),
                new Measured("start, ratio", bench / window, "", "at most 1.25"));
    }

    private double mussel(Path data) throws IOException, InterruptedException {
        ProcessBuilder process = new ProcessBuilder(home.resolve("mussel").toString(), "demo");
        process.environment().put("MUSSEL_JAVA_OPTS", "-Dmussel.startup=once");
        return ready(process, data);
    }

    /** The empty window has a class archive of its own, made in the same way. */
    private double empty(Path data) throws IOException, InterruptedException {
        Path archive = data.resolve("empty.jsa");
        if (!Files.exists(archive)) {
            ready(new ProcessBuilder(command("-XX:ArchiveClassesAtExit=" + archive)), data);
        }
        return ready(new ProcessBuilder(command("-XX:SharedArchiveFile=" + archive)), data);
    }

    private List<String> command(String sharing) throws IOException {
        List<String> command = new ArrayList<>(List.of("java"));
        String launcher = Files.readString(home.resolve("mussel"));
        String flags = launcher.substring(launcher.indexOf("flags=(") + 7);
        for (String flag :
                flags.substring(0, flags.indexOf(')')).replace("\"", "").split("\\s+")) {
            command.add(flag);
        }
        command.add(sharing);
        command.add("-cp");
        command.add(home.resolve("bench/target/mussel-bench-0.1.0.jar") + ":" + jars());
        command.add(EmptyWindow.Launcher.class.getName());
        return command;
    }

    private String jars() throws IOException {
        try (var files = Files.list(home.resolve("bench/target/lib"))) {
            return String.join(
                    ":",
                    files.map(Path::toString)
                            .filter(f -> f.contains("javafx"))
                            .sorted()
                            .toList());
        }
    }

    /** Runs it with that data folder and answers with what it says of when its window was ready (ms). */
    static double ready(ProcessBuilder process, Path data) throws IOException, InterruptedException {
        process.environment().putAll(Map.of("XDG_DATA_HOME", data.toString(), "GDK_GL", "disable"));
        process.redirectError(ProcessBuilder.Redirect.DISCARD);
        Process running = process.start();
        double ms = Double.NaN;
        try (BufferedReader out =
                new BufferedReader(new InputStreamReader(running.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                if (line.startsWith("ready_ms ")) {
                    ms = Double.parseDouble(line.substring("ready_ms ".length()));
                }
            }
        }
        running.waitFor();
        return ms;
    }
}
