package mussel.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** Resident memory of the whole process with the demo open, as Linux counts it. */
final class MemoryBenchmark {
    private static final int SETTLE_S = 25;

    private final Path home;

    MemoryBenchmark(Path home) {
        this.home = home;
    }

    List<Measured> run() throws IOException, InterruptedException {
        return List.of(run("resident memory, demo open", "under 420", "demo"));
    }

    /** With another log open. */
    Measured run(Path log, String wanted) throws IOException, InterruptedException {
        return run("resident memory with it open", wanted, "--log", log.toString());
    }

    private Measured run(String what, String wanted, String... arguments) throws IOException, InterruptedException {
        Path data = Files.createTempDirectory("mussel-memory");
        List<String> command = new ArrayList<>(List.of(home.resolve("mussel").toString()));
        command.addAll(List.of(arguments));
        ProcessBuilder builder = new ProcessBuilder(command);
        builder.environment().put("XDG_DATA_HOME", data.toString());
        Process process = builder.redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        process.waitFor(SETTLE_S, TimeUnit.SECONDS);
        double mb = process.descendants()
                .filter(p -> p.info().command().orElse("").endsWith("java"))
                .mapToDouble(MemoryBenchmark::residentMb)
                .sum();
        process.descendants().forEach(ProcessHandle::destroy);
        process.destroy();
        return new Measured(what, mb, "MB", wanted);
    }

    /** What a process holds in memory (MB). */
    static double residentMb(ProcessHandle process) {
        try {
            return Files.readAllLines(Path.of("/proc", String.valueOf(process.pid()), "status")).stream()
                    .filter(l -> l.startsWith("VmRSS:"))
                    .mapToDouble(l -> Double.parseDouble(l.replaceAll("\\D", "")) / 1024)
                    .findFirst()
                    .orElse(Double.NaN);
        } catch (IOException e) {
            return Double.NaN;
        }
    }
}
