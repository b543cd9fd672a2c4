package mussel.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import javafx.geometry.Orientation;
import javafx.scene.control.ScrollBar;
import mussel.app.ForBench;
import mussel.core.book.LogBook;
import mussel.core.book.OpenLog;
import mussel.desktop.shell.MusselWindow;
import mussel.store.FileStore;
import mussel.work.shop.Workshop;

/** A log of many jobs: how soon it is open, how soon a search answers, how much memory it takes. */
final class LogBenchmark {
    private static final int QUERIES = 400;
    private static final int OPENINGS = 5;
    private static final int FRAMES = 600;

    private final Path home;
    private final int jobs;

    LogBenchmark(Path home, int jobs) {
        this.home = home;
        this.jobs = jobs;
    }

    List<Measured> run() throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("mussel-log");
        Path log = folder.resolve("large.mussel");
        long from = System.nanoTime();
        new LogGenerator().fill(log, jobs);
        double generated = seconds(from);
        long filing = System.nanoTime();
        try (var journal = filed(log)) {
            journal.setting("", "");
        }
        double filed = seconds(filing);
        List<LogBook.Query> queries = queries();
        double[] searches = new double[QUERIES];
        double life;
        try (OpenLog journal = new FileStore(log, Clock.systemUTC()).read()) {
            queries.forEach(journal.book()::search);
            for (int i = 0; i < QUERIES; i++) {
                long begun = System.nanoTime();
                journal.book().search(queries.get(i));
                searches[i] = (System.nanoTime() - begun) / 1e6;
            }
            long begun = System.nanoTime();
            journal.book().visits("leg-0");
            life = (System.nanoTime() - begun) / 1e6;
        }
        double[] openings = new double[OPENINGS];
        for (int i = 0; i < OPENINGS; i++) {
            openings[i] = opens(log);
        }
        double[] shell = SqliteShell.timed(log, queries);
        double[] frames = scrolled(log);
        Measured memory = new MemoryBenchmark(home).run(log, "under 400");
        return List.of(
                new Measured("log of " + jobs + " jobs, generated", generated, "s", ""),
                new Measured("its bench and book made", filed, "s", ""),
                new Measured("its size", Files.size(log) / 1e6, "MB", ""),
                new Measured(
                        "its window opens (median of " + OPENINGS + ")",
                        Measured.quantile(openings, 0.5),
                        "ms",
                        "under 2000"),
                new Measured(
                        "search, 95th percentile of " + QUERIES, Measured.quantile(searches, 0.95), "ms", "under 50"),
                new Measured("search, median", Measured.quantile(searches, 0.5), "ms", ""),
                new Measured(
                        "the same in the sqlite3 shell, 95th percentile", Measured.quantile(shell, 0.95), "ms", ""),
                new Measured("all searches, as many times the shell’s", sum(searches) / sum(shell), "", "under 2"),
                new Measured("life of a leg with 200 jobs read", life, "ms", ""),
                new Measured(
                        "frames while it is scrolled, 95th percentile",
                        Measured.quantile(frames, 0.95),
                        "ms",
                        "under 32"),
                memory);
    }

    private static List<LogBook.Query> queries() {
        Random random = new Random(7);
        List<LogBook.Query> queries = new ArrayList<>();
        for (int i = 0; i < QUERIES; i++) {
            queries.add(new LogBook.Query(
                    LogGenerator.typed(random),
                    random.nextInt(4) == 0 ? LogBook.State.TAGGED : LogBook.State.ANY,
                    random.nextInt(4) == 0 ? Optional.of("tern-60") : Optional.empty(),
                    random.nextInt(6) == 0 ? Optional.of(2015) : Optional.empty()));
        }
        return queries;
    }

    private static double sum(double[] ms) {
        return Arrays.stream(ms).sum();
    }

    /** The life of the leg with the most jobs, from its last job to its first and back. */
    private static double[] scrolled(Path log) {
        Workshop shop = ForBench.open(log, Clock.systemUTC());
        try {
            MusselWindow window = OnScreen.window(shop);
            ScrollBar bar = OnScreen.on(() -> {
                window.showBook(Optional.of("leg-0"));
                window.applyCss();
                window.layout();
                return (ScrollBar) window.lookup("#life-jobs").lookupAll(".scroll-bar").stream()
                        .filter(b -> ((ScrollBar) b).getOrientation() == Orientation.VERTICAL)
                        .findFirst()
                        .orElseThrow();
            });
            return Frames.during(FRAMES, share -> bar.setValue(1 - Math.abs(2 * share - 1)));
        } finally {
            OnScreen.on(() -> {
                shop.journal().close();
                return shop;
            });
        }
    }

    private static double seconds(long from) {
        return (System.nanoTime() - from) / 1e9;
    }

    private static mussel.core.job.Journal filed(Path log) {
        return ForBench.open(log, Clock.systemUTC()).journal();
    }

    private double opens(Path log) throws IOException, InterruptedException {
        ProcessBuilder process = new ProcessBuilder(home.resolve("mussel").toString(), "--log", log.toString());
        process.environment().put("MUSSEL_JAVA_OPTS", "-Dmussel.startup=once");
        return StartBenchmark.ready(process, log.getParent());
    }
}
