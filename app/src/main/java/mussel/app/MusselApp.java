package mussel.app;

import java.nio.file.Path;
import java.time.Clock;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import javafx.stage.Screen;
import javafx.stage.Stage;
import mussel.core.job.JournalException;
import mussel.core.job.Station;
import mussel.desktop.desk.Desk;
import mussel.desktop.desk.StationView;
import mussel.desktop.desk.Workshop;
import mussel.desktop.desk.Workshop.Catalogue;
import mussel.desktop.drain.DrainStation;
import mussel.desktop.estimate.EstimateStation;
import mussel.desktop.fill.FillStation;
import mussel.desktop.job.IntakeStation;
import mussel.desktop.leak.LeakStation;
import mussel.desktop.log.TagStation;
import mussel.desktop.parts.PartsStation;
import mussel.desktop.plan.BuildStation;
import mussel.desktop.plan.StripStation;
import mussel.desktop.pump.PumpStation;
import mussel.desktop.shell.Look;
import mussel.desktop.shell.MusselWindow;
import mussel.desktop.verdict.VerdictStation;
import mussel.store.PictureFolder;
import mussel.store.SqliteJournal;

/** The window. What it shows is loaded while the window system starts. */
public final class MusselApp extends Application {
    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;
    private static final double LEAST_WIDTH = 1000;
    private static final double LEAST_HEIGHT = 640;

    private static CompletableFuture<SqliteJournal> opening;
    private static Clock clock;
    private static Path logbook;

    private final CompletableFuture<Catalogue> catalogue = new CompletableFuture<>();
    private MusselWindow window;
    private Workshop shop;

    /** Begins to open a logbook; the window takes it when it is there. */
    static void prepare(Path log, Clock by) {
        clock = by;
        logbook = log;
        opening = CompletableFuture.supplyAsync(() -> SqliteJournal.open(log, by));
    }

    /** The stations there are, each made for a desk when it is first opened. */
    static Map<Station, Function<Desk, StationView>> stations() {
        Map<Station, Function<Desk, StationView>> stations = new EnumMap<>(Station.class);
        stations.put(Station.INTAKE, IntakeStation::new);
        stations.put(Station.DRAIN, DrainStation::new);
        stations.put(Station.LEAK, LeakStation::new);
        stations.put(Station.VERDICT, VerdictStation::new);
        stations.put(Station.PUMP, PumpStation::new);
        stations.put(Station.ESTIMATE, EstimateStation::new);
        stations.put(Station.PARTS, PartsStation::new);
        stations.put(Station.STRIP, StripStation::new);
        stations.put(Station.BUILD, BuildStation::new);
        stations.put(Station.FILL, FillStation::new);
        stations.put(Station.TAG, TagStation::new);
        return stations;
    }

    @Override
    public void start(Stage stage) {
        Look.loadType();
        stage.setTitle("Mussel");
        stage.setMinWidth(LEAST_WIDTH);
        stage.setMinHeight(LEAST_HEIGHT);
        try {
            shop = Yards.over(opening.join(), PictureFolder.beside(logbook), clock, catalogue);
            window = new MusselWindow(shop, Look.of(shop.journal()), stations());
            double width = Math.min(WIDTH, Screen.getPrimary().getVisualBounds().getWidth());
            double height =
                    Math.min(HEIGHT, Screen.getPrimary().getVisualBounds().getHeight());
            stage.setScene(new Scene(window, width, height));
        } catch (CompletionException e) {
            String sentence = e.getCause() instanceof JournalException journal
                    ? journal.getMessage()
                    : "Mussel could not start: " + e.getCause().getMessage()
                            + ". The log in the data folder says more.";
            java.util.logging.Logger.getLogger("mussel").log(java.util.logging.Level.SEVERE, "At the start", e);
            stage.setScene(new Scene(refusal(sentence), 720, 220));
        }
        stage.show();
        boolean reporting = Boolean.getBoolean("mussel.startup");
        afterNextFrame(() -> {
            if (reporting) {
                report("ready_ms");
                openOne();
            }
            CompletableFuture.runAsync(this::fetch);
        });
    }

    /** Runs work when the events of the frame to come are through. */
    private static void afterNextFrame(Runnable work) {
        Platform.runLater(() -> Platform.runLater(work));
    }

    /** The families, once the bench stands: a leg clicked before they have come waits for them. */
    private void fetch() {
        try {
            Families families = Families.load(DataFolder.families());
            Tabled tables = Tabled.load(DataFolder.path());
            Supplied supplied = Supplied.load(DataFolder.path());
            catalogue.complete(Yards.catalogue(families.sheets(), families.own(), tables, supplied));
            Platform.runLater(() -> {
                Stream.of(families.refused(), tables.refused(), supplied.refused())
                        .flatMap(List::stream)
                        .findFirst()
                        .ifPresent(window::tell);
                window.refreshBench();
            });
        } catch (RuntimeException e) {
            catalogue.completeExceptionally(e);
        }
    }

    private static StackPane refusal(String sentence) {
        Label label = new Label(sentence);
        label.setWrapText(true);
        label.setStyle("-fx-font-family: B612; -fx-font-size: 16px; -fx-padding: 30;");
        System.err.println(sentence);
        return new StackPane(label);
    }

    /** For the launcher's class archive and the start benchmark: a leg is opened as by a click at once, then the window goes. */
    private void openOne() {
        shop.journal().benchLines().open().stream()
                .findFirst()
                .ifPresent(line -> Platform.runLater(() -> {
                    window.open(line.job());
                    afterNextFrame(() -> {
                        report("job_ms");
                        Platform.exit();
                    });
                }));
    }

    private static void report(String what) {
        long started =
                ProcessHandle.current().info().startInstant().orElseThrow().toEpochMilli();
        System.out.println(what + " " + (System.currentTimeMillis() - started));
    }

    @Override
    public void stop() {
        if (window != null) {
            window.leave();
        }
        if (shop != null) {
            shop.journal().close();
        }
    }
}
