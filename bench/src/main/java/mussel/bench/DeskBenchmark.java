package mussel.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.stage.Stage;
import mussel.app.StationsForBench;
import mussel.app.demo.DemoYard;
import mussel.core.job.Station;
import mussel.desktop.desk.Workshop;
import mussel.desktop.shell.Look;
import mussel.desktop.shell.MusselWindow;

/** Opening jobs and switching stations in the real window: from the call until the frame is laid out. */
final class DeskBenchmark {
    private static final int ROUNDS = 40;

    List<Measured> run() throws IOException {
        Path log = Files.createTempDirectory("mussel-desk").resolve("demo.mussel");
        DemoYard.fill(log, Instant.parse("2026-11-23T09:00:00Z"));
        Workshop shop = StationsForBench.open(log, Clock.systemUTC());
        Platform.startup(() -> {});
        Platform.setImplicitExit(false);
        MusselWindow window = on(() -> {
            Look.loadType();
            MusselWindow made = new MusselWindow(shop, Look.of(shop.journal()), StationsForBench.stations());
            Stage stage = new Stage();
            stage.setScene(new Scene(made, 1280, 800));
            stage.show();
            return made;
        });
        List<Integer> jobs = shop.jobs().stream()
                .filter(j -> j.job().tagged().isEmpty())
                .map(j -> j.job().id())
                .toList();
        List<Double> opening = new ArrayList<>();
        List<Double> switching = new ArrayList<>();
        for (int round = 0; round < ROUNDS; round++) {
            int job = jobs.get(round % jobs.size());
            opening.add(timed(window, () -> window.open(job)));
            for (Station station : Station.values()) {
                switching.add(timed(window, () -> window.go(station)));
            }
        }
        double[] open = opening.stream().skip(3).mapToDouble(d -> d).toArray();
        double[] go = switching.stream().skip(18).mapToDouble(d -> d).toArray();
        shop.journal().close();
        return List.of(
                new Measured("opening a job, 95th percentile", Measured.quantile(open, 0.95), "ms", "under 50"),
                new Measured("switching station, 95th percentile", Measured.quantile(go, 0.95), "ms", "under 50"));
    }

    /** From the call until the frame is styled and laid out, the wait for the frame included. */
    private static double timed(MusselWindow window, Runnable action) {
        CompletableFuture<Double> done = new CompletableFuture<>();
        Platform.runLater(() -> {
            Scene scene = window.getScene();
            long from = System.nanoTime();
            action.run();
            Runnable[] listener = new Runnable[1];
            listener[0] = () -> {
                scene.removePostLayoutPulseListener(listener[0]);
                done.complete((System.nanoTime() - from) / 1e6);
            };
            scene.addPostLayoutPulseListener(listener[0]);
            Platform.requestNextPulse();
        });
        return done.join();
    }

    private static <T> T on(Callable<T> work) {
        CompletableFuture<T> result = new CompletableFuture<>();
        Platform.runLater(() -> {
            try {
                result.complete(work.call());
            } catch (Exception e) {
                result.completeExceptionally(e);
            }
        });
        return result.join();
    }
}
