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
                new Measured("start, ratio", bench / window, "", "at most 2.0"));
    }

    private double mussel(Path data) throws IOException, InterruptedException {
        List<String> command = flags();
        command.add("-Dorg.sqlite.lib.path=" + home.resolve("app/target/native"));
        command.add("-XX:SharedArchiveFile=" + home.resolve("app/target/mussel.jsa"));
        command.add("-Dmussel.startup=once");
        command.add("-cp");
        command.add(jars("app/target", "mussel-app-") + ":" + jars("app/target/lib", ""));
        command.addAll(List.of("mussel.app.Main", "demo"));
        return ready(new ProcessBuilder(command), data);
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
        List<String> command = flags();
        command.add(sharing);
        command.add("-cp");
        command.add(jars("bench/target", "mussel-bench-") + ":" + jars("bench/target/lib", "javafx"));
        command.add(EmptyWindow.Launcher.class.getName());
        return command;
    }

    /** Java with the flags the launcher gives it. */
    private List<String> flags() throws IOException {
        List<String> command = new ArrayList<>(List.of("java"));
        String launcher = Files.readString(home.resolve("mussel"));
        String flags = launcher.substring(launcher.indexOf("flags=(") + 7);
        for (String flag :
                flags.substring(0, flags.indexOf(')')).replace("\"", "").split("\\s+")) {
            command.add(flag);
        }
        return command;
    }

    /** The jars of a folder whose names begin so or, where that is all they have in common, hold the word; in order, as a class path. */
    private String jars(String folder, String named) throws IOException {
        try (var files = Files.list(home.resolve(folder))) {
            return String.join(
                    ":",
                    files.map(Path::toString)
                            .filter(f -> f.endsWith(".jar")
                                    && f.substring(f.lastIndexOf('/') + 1).contains(named))
                            .sorted()
                            .toList());
        }
    }

    /**
     * Runs it with that data folder and answers with how long it took until it said that its window was ready (ms), by this process's own
     * clock: the moment a process says it began can be a second off on a machine whose clock was set.
     */
    static double ready(ProcessBuilder process, Path data) throws IOException, InterruptedException {
        process.environment().putAll(Map.of("XDG_DATA_HOME", data.toString(), "GDK_GL", "disable"));
        process.redirectError(ProcessBuilder.Redirect.DISCARD);
        long begun = System.nanoTime();
        Process running = process.start();
        double ms = Double.NaN;
        try (BufferedReader out =
                new BufferedReader(new InputStreamReader(running.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                if (line.startsWith("ready_ms ")) {
                    ms = (System.nanoTime() - begun) / 1e6;
                }
            }
        }
        running.waitFor();
        return ms;
    }
}
