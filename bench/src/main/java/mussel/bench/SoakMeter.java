package mussel.bench;

import com.sun.management.GarbageCollectionNotificationInfo;
import java.io.IOException;
import java.lang.management.GarbageCollectorMXBean;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.application.Platform;
import javax.management.NotificationEmitter;
import javax.management.openmbean.CompositeData;

/** What a process costs while it is used: processor time, pauses, memory, threads, files, and how long the interface thread does not answer. */
final class SoakMeter {
    private static final String CONCURRENT = "No GC";
    private static final long PROBE_NS = 2_000_000;
    private static final int COLLECTIONS = 4;
    private static final long REST_NS = 300_000_000;
    private static final double MEGA = 1024 * 1024;

    /** From here on an answer is looked into: what holds the interface thread is sampled. */
    private static final long HELD_MS = 20;

    private final HeapGrowth growth = new HeapGrowth();
    private final Map<String, Double> longest = new HashMap<>();
    private final Map<String, String> held = new HashMap<>();
    private volatile String doing = "";
    private volatile boolean running = true;
    private volatile boolean asked;
    private double pausedMs;
    private double longestPauseMs;
    private double residentMb;
    private long cpuNs = cpu();
    private long begunNs = System.nanoTime();
    private int rounds;

    SoakMeter() {
        for (GarbageCollectorMXBean bean : ManagementFactory.getGarbageCollectorMXBeans()) {
            ((NotificationEmitter) bean)
                    .addNotificationListener(
                            (n, ignored) ->
                                    collected(GarbageCollectionNotificationInfo.from((CompositeData) n.getUserData())),
                            null,
                            null);
        }
        Thread probe = new Thread(this::probe, "soak probe");
        probe.setDaemon(true);
        probe.start();
    }

    private synchronized void collected(GarbageCollectionNotificationInfo info) {
        boolean byUs = "System.gc()".equals(info.getGcCause());
        if (!byUs && !info.getGcCause().equals(CONCURRENT)) {
            pausedMs += info.getGcInfo().getDuration();
            longestPauseMs = Math.max(longestPauseMs, info.getGcInfo().getDuration());
        }
    }

    /** Names what is being done from now on. */
    void doing(String what) {
        doing = what;
    }

    /** Asks the interface thread again and again, and notes how long it took to answer. */
    private void probe() {
        while (running) {
            String what = doing;
            CountDownLatch answered = new CountDownLatch(1);
            long from = System.nanoTime();
            Platform.runLater(answered::countDown);
            InterfaceThreadSampler by = new InterfaceThreadSampler();
            try {
                while (!answered.await(HELD_MS, TimeUnit.MILLISECONDS)) {
                    by.look();
                }
            } catch (InterruptedException e) {
                return;
            }
            double ms = (System.nanoTime() - from) / 1e6;
            if (!asked) {
                synchronized (this) {
                    if (ms > longest.getOrDefault(what, 0.0)) {
                        longest.put(what, ms);
                        held.put(what, by.most());
                    }
                }
            }
            LockSupport.parkNanos(PROBE_NS);
        }
    }

    void round() {
        rounds++;
        residentMb = Math.max(residentMb, MemoryBenchmark.residentMb(ProcessHandle.current()));
    }

    /** The figures since the last call. The heap is collected for it; that pause does not count. */
    synchronized SoakQuarter quarter() {
        asked = true;
        double cpuS = (cpu() - cpuNs) / 1e9 / Math.max(1, rounds);
        double share = 100 * pausedMs / ((System.nanoTime() - begunNs) / 1e6);
        String slow = longest.entrySet().stream()
                .sorted(Map.Entry.<String, Double>comparingByValue(Comparator.reverseOrder()))
                .limit(6)
                .map(e -> e.getKey() + " " + Math.round(e.getValue()) + held.getOrDefault(e.getKey(), ""))
                .collect(Collectors.joining("; "));
        double worst = longest.values().stream().mapToDouble(d -> d).max().orElse(0);
        double live = liveMb();
        SoakQuarter made = new SoakQuarter(
                rounds,
                cpuS,
                longestPauseMs,
                share,
                live,
                residentMb,
                Thread.activeCount(),
                openFiles(),
                worst,
                slow,
                growth.since());
        longest.clear();
        held.clear();
        pausedMs = 0;
        longestPauseMs = 0;
        residentMb = 0;
        rounds = 0;
        cpuNs = cpu();
        begunNs = System.nanoTime();
        asked = false;
        return made;
    }

    /** A collection that comes while drawing holds the heap is passed over: the least of a few is what is left. */
    private static double liveMb() {
        double least = Double.MAX_VALUE;
        for (int i = 0; i < COLLECTIONS; i++) {
            System.gc();
            LockSupport.parkNanos(REST_NS);
            least = Math.min(
                    least,
                    ManagementFactory.getMemoryMXBean().getHeapMemoryUsage().getUsed() / MEGA);
        }
        return least;
    }

    void stop() {
        running = false;
    }

    private static long cpu() {
        return ((com.sun.management.OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean())
                .getProcessCpuTime();
    }

    private static int openFiles() {
        try (Stream<Path> open = Files.list(Path.of("/proc/self/fd"))) {
            return (int) open.count();
        } catch (IOException e) {
            return 0;
        }
    }
}
