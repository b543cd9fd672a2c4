package mussel.app;

import java.nio.file.Path;
import java.time.Clock;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Function;
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
import mussel.desktop.drain.DrainStation;
import mussel.desktop.fill.FillStation;
import mussel.desktop.job.IntakeStation;
import mussel.desktop.log.TagStation;
import mussel.desktop.plan.BuildStation;
import mussel.desktop.plan.StripStation;
import mussel.desktop.shell.Look;
import mussel.desktop.shell.MusselWindow;
import mussel.store.SqliteJournal;

/** The window. What it shows is loaded while the window system starts. */
public final class MusselApp extends Application {
    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;
    private static final double LEAST_WIDTH = 1000;
    private static final double LEAST_HEIGHT = 640;

    private static CompletableFuture<Opened> opening;

    private Workshop shop;

    /**
     * What was loaded.
     *
     * @param shop the shop
     * @param refused what could not be loaded, in sentences
     */
    record Opened(Workshop shop, List<String> refused) {}

    /** Begins to load a logbook; the window takes it when it is there. */
    static void prepare(Path log, Clock clock) {
        CompletableFuture<Families> families =
                CompletableFuture.supplyAsync(() -> Families.load(DataFolder.families()));
        opening = CompletableFuture.supplyAsync(() -> SqliteJournal.open(log, clock))
                .thenCombine(
                        families,
                        (journal, known) -> new Opened(
                                Yards.over(journal, clock, known.sheets()).readAhead(), known.refused()));
    }

    /** The stations there are, each made for a desk when it is first opened. */
    static Map<Station, Function<Desk, StationView>> stations() {
        Map<Station, Function<Desk, StationView>> stations = new EnumMap<>(Station.class);
        stations.put(Station.INTAKE, IntakeStation::new);
        stations.put(Station.DRAIN, DrainStation::new);
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
            Opened opened = opening.join();
            shop = opened.shop();
            MusselWindow window = new MusselWindow(shop, Look.of(shop.journal()), stations());
            opened.refused().stream().findFirst().ifPresent(window::tell);
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
        if (Boolean.getBoolean("mussel.startup")) {
            reportStart();
        }
    }

    private static StackPane refusal(String sentence) {
        Label label = new Label(sentence);
        label.setWrapText(true);
        label.setStyle("-fx-font-family: B612; -fx-font-size: 16px; -fx-padding: 30;");
        System.err.println(sentence);
        return new StackPane(label);
    }

    /** For the launcher's class archive and the start benchmark: says when the bench answers, then leaves. */
    private static void reportStart() {
        long started =
                ProcessHandle.current().info().startInstant().orElseThrow().toEpochMilli();
        Platform.runLater(() -> Platform.runLater(() -> {
            System.out.println("ready_ms " + (System.currentTimeMillis() - started));
            Platform.exit();
        }));
    }

    @Override
    public void stop() {
        if (shop != null) {
            shop.journal().close();
        }
    }
}
