package mussel.app;

import java.nio.file.Path;
import java.time.Clock;
import java.util.Collections;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.image.Image;
import javafx.stage.Screen;
import javafx.stage.Stage;
import mussel.core.book.OpenLog;
import mussel.core.job.BenchLine;
import mussel.core.job.JournalException;
import mussel.core.job.Station;
import mussel.core.language.Messages;
import mussel.desktop.shell.Look;
import mussel.desktop.shell.MusselWindow;
import mussel.desktop.shell.Refusal;
import mussel.exchange.file.Scratch;
import mussel.store.Backups;
import mussel.store.FileStore;
import mussel.work.shop.Workshop;
import mussel.work.shop.Workshop.Catalogue;

/** The window. What it shows is loaded while the window system starts. */
public final class MusselApp extends Application {
    private static final Messages TEXT = Messages.of(MusselApp.class);

    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;
    private static final double LEAST_WIDTH = 1000;
    private static final double LEAST_HEIGHT = 640;
    private static final int MOST_TOLD = 4;

    private static CompletableFuture<Opened> opening;
    private static Path logbook;
    private static int exitCode = Main.FAILED;

    private Stage stage;
    private MusselWindow window;
    private Workshop shop;
    /** The watch over the chains and whether the application has stopped: the one is begun by whoever fetches, the other ends it. */
    private final Watching watching = new Watching();

    /** Begins to open a logbook, and the log file before it; the window takes it when it is there. */
    static void prepare(Path log) {
        logbook = log;
        opening = CompletableFuture.supplyAsync(() -> {
            Logging.toFileIn(DataFolder.path());
            Logging.quieten();
            return Opened.of(log);
        });
    }

    /**
     * A logbook that is open, with all that is known before the window stands.
     *
     * @param journal the logbook
     * @param catalogue the families, which are still on their way
     * @param shop the shop over both
     */
    private record Opened(OpenLog journal, CompletableFuture<Catalogue> catalogue, Workshop shop) {
        static Opened of(Path log) {
            Clock clock = Clock.systemDefaultZone();
            FileStore store = new FileStore(log, clock);
            OpenLog journal = store.openOrRead();
            CompletableFuture<Catalogue> catalogue = new CompletableFuture<>();
            return new Opened(journal, catalogue, Yards.over(journal, store, catalogue));
        }
    }

    /** What the process is to end with: 0 once the window stood on its logbook. */
    static int exitCode() {
        return exitCode;
    }

    /** What nobody foresaw reaches the user as a sentence; the window stays, and what was entered before is kept. */
    private void unforeseen(Thread thread, Throwable e) {
        String sentence = Logging.keep(TEXT.get("mussel_app.in", thread.getName()), e);
        Platform.runLater(() -> {
            if (window != null) {
                window.tell(sentence);
            }
        });
    }

    @Override
    public void start(Stage primary) {
        stage = primary;
        Thread.setDefaultUncaughtExceptionHandler(this::unforeseen);
        Thread.currentThread().setUncaughtExceptionHandler(this::unforeseen);
        Look.loadType();
        stage.setTitle(TEXT.get("mussel_app.mussel"));
        stage.setMinWidth(LEAST_WIDTH);
        stage.setMinHeight(LEAST_HEIGHT);
        double width = Math.min(WIDTH, Screen.getPrimary().getVisualBounds().getWidth());
        double height = Math.min(HEIGHT, Screen.getPrimary().getVisualBounds().getHeight());
        stage.setScene(new Scene(opened(), width, height));
        if (window == null) {
            stage.show();
            return;
        }
        stage.show();
        String startup = System.getProperty("mussel.startup", "");
        afterNextFrame(() -> {
            if (!startup.isEmpty()) {
                report("ready_ms");
                openOne("tour".equals(startup));
            }
            inBackground(this::fetch);
        });
    }

    /** The window over the logbook, or why that could not be opened and what can be done. */
    private Parent opened() {
        try {
            shop = opening.join().shop();
            window = new MusselWindow(shop, Look.of(shop.journal()));
            readOnly(opening.join().journal().whyReadOnly());
            if (!opening.join().journal().noticed().isEmpty()) {
                window.tellToo(opening.join().journal().noticed());
            }
            exitCode = 0;
            return window;
        } catch (RuntimeException e) {
            Throwable cause = e instanceof CompletionException && e.getCause() != null ? e.getCause() : e;
            String sentence = cause instanceof JournalException
                    ? cause.getMessage()
                    : TEXT.get(
                            "mussel_app.mussel_could_not_start",
                            Logging.keep(TEXT.get("mussel_app.at_the_start"), cause));
            Terminal.on(Logging.ERR).println(sentence);
            exitCode = Main.REFUSED;
            return new Refusal(sentence, new Rescues(logbook), this::again);
        }
    }

    /** Opens the logbook once more, as after a backup was put in its place. */
    private void again(String done) {
        prepare(logbook);
        stage.getScene().setRoot(opened());
        if (window != null) {
            window.tell(done);
            inBackground(this::fetch);
        }
    }

    private void readOnly(String why) {
        if (!why.isEmpty()) {
            window.tell(TEXT.get("mussel_app.it_is_shown_for_reading_only", why));
        }
    }

    /** The day's backup, once nothing else is wanted; what goes wrong is told, since nobody looks for a backup that is not there. */
    private void backUp() {
        if (shop.journal().readOnly()) {
            return;
        }
        try {
            Backups backups = Backups.of(logbook, DataFolder.path(), Clock.systemDefaultZone());
            backups.oddClock().ifPresent(odd -> Platform.runLater(() -> window.tellToo(odd)));
            backups.daily();
        } catch (JournalException e) {
            Platform.runLater(() -> window.tellToo(e.getMessage()));
        }
    }

    private void inBackground(Runnable work) {
        shop.background()
                .begin(
                        stop -> {
                            work.run();
                            return null;
                        },
                        done -> {},
                        e -> unforeseen(Thread.currentThread(), e));
    }

    /** Runs work when the events of the frame to come are through. */
    private static void afterNextFrame(Runnable work) {
        Platform.runLater(() -> Platform.runLater(work));
    }

    /** The families, once the bench stands: a leg clicked before they have come waits for them. */
    private void fetch() {
        try {
            SheetFolder families = SheetFolder.load(DataFolder.families());
            DiagnosisFile tables = DiagnosisFile.load(DataFolder.path());
            CatalogueFolder supplied = CatalogueFolder.load(DataFolder.path());
            OwnFiles.OwnYard yard = OwnFiles.OwnYard.load(DataFolder.path());
            opening.join()
                    .catalogue()
                    .complete(Yards.catalogue(families.sheets(), families.own(), yard.yard(), tables, supplied));
            Image icon = new Image(MusselApp.class.getResourceAsStream("mussel.png"));
            Platform.runLater(() -> {
                Stream.of(
                                shop.settingsSetAside(),
                                families.refused(),
                                tables.refused(),
                                supplied.refused(),
                                yard.refused())
                        .flatMap(List::stream)
                        .limit(MOST_TOLD)
                        .forEach(window::tellToo);
                window.refreshBench();
                stage.getIcons().add(icon);
                window.firstStart();
                if (System.getProperty("mussel.startup", "").isEmpty()) {
                    window.prepare(() -> {});
                }
            });
            if (System.getProperty("mussel.startup", "").isEmpty()) {
                Scratch.sweep();
                backUp();
                watching.begin(() -> ChainWatch.begin(
                        new FileStore(logbook, Clock.systemDefaultZone()),
                        troubles -> Platform.runLater(() -> window.tellToo(troubles))));
            }
        } catch (RuntimeException e) {
            opening.join().catalogue().completeExceptionally(e);
            unforeseen(Thread.currentThread(), e);
        }
    }

    /**
     * For the launcher's class archive and the start benchmark: a leg is opened as by a click at once, then the window goes; on a
     * tour it goes once every station of every leg has been seen.
     */
    private void openOne(boolean tour) {
        List<Integer> jobs =
                shop.journal().benchLines().open().stream().map(BenchLine::job).toList();
        Platform.runLater(() -> {
            jobs.stream().findFirst().ifPresent(window::open);
            afterNextFrame(() -> {
                report("job_ms");
                Iterator<Runnable> stops = tour ? stops(jobs).iterator() : Collections.emptyIterator();
                walk(stops);
            });
        });
    }

    private Stream<Runnable> stops(List<Integer> jobs) {
        return jobs.stream()
                .flatMap(job -> Stream.concat(
                        Stream.of(() -> window.open(job)),
                        Stream.of(Station.values()).map(station -> () -> window.go(station))));
    }

    private static void walk(Iterator<Runnable> stops) {
        if (stops.hasNext()) {
            stops.next().run();
            afterNextFrame(() -> walk(stops));
        } else {
            Platform.exit();
        }
    }

    /** One watch at a time, and none once it has ended. */
    private static final class Watching {
        private Optional<ChainWatch> watch = Optional.empty();
        private boolean ended;

        synchronized void begin(Supplier<ChainWatch> begin) {
            watch.ifPresent(ChainWatch::stop);
            watch = ended ? Optional.empty() : Optional.of(begin.get());
        }

        synchronized void end() {
            ended = true;
            watch.ifPresent(ChainWatch::stop);
        }
    }

    private static void report(String what) {
        long started =
                ProcessHandle.current().info().startInstant().orElseThrow().toEpochMilli();
        System.out.println(what + " " + (System.currentTimeMillis() - started));
    }

    @Override
    public void stop() {
        watching.end();
        if (window != null) {
            window.close();
        }
        if (shop != null) {
            shop.practice().close();
            shop.journal().close();
        }
    }
}
