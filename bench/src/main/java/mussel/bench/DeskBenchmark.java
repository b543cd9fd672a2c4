package mussel.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import javafx.animation.AnimationTimer;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.util.Duration;
import mussel.app.ForBench;
import mussel.app.demo.DemoYard;
import mussel.core.job.Station;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.core.leak.Stage;
import mussel.desktop.desk.Workshop;
import mussel.desktop.leak.LeakStation;
import mussel.desktop.shell.MusselWindow;

/**
 * Opening jobs and switching stations in the real window, once it has prepared itself as it does after its start: from the call
 * until the frame is laid out, the first time each is opened included.
 */
final class DeskBenchmark {
    private static final int ROUNDS = 40;
    private static final int HOUR = 36_000;

    private MusselWindow window;
    private List<Integer> jobs;
    private Workshop shop;

    List<Measured> run() throws IOException {
        Path log = Files.createTempDirectory("mussel-desk").resolve("demo.mussel");
        DemoYard.fill(log, Instant.parse("2026-11-23T09:00:00Z"));
        shop = ForBench.open(log, Clock.systemUTC());
        window = OnScreen.window(shop);
        CompletableFuture<Void> prepared = new CompletableFuture<>();
        Platform.runLater(() -> window.prepare(() -> prepared.complete(null)));
        long from = System.nanoTime();
        prepared.join();
        double preparing = (System.nanoTime() - from) / 1e9;
        jobs = shop.jobs().stream()
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
        double[] open = opening.stream().mapToDouble(d -> d).toArray();
        double[] go = switching.stream().mapToDouble(d -> d).toArray();
        return List.of(
                new Measured("preparing while nobody works", preparing, "s", ""),
                new Measured("opening a job, 95th percentile", Measured.quantile(open, 0.95), "ms", "under 33"),
                new Measured("switching station, 95th percentile", Measured.quantile(go, 0.95), "ms", "under 33"));
    }

    /** An hour of a hold at ten readings a second stands on the chart; twenty seconds more come in, and the time between frames is taken. */
    List<Measured> longHold() {
        OnScreen.on(() -> {
            window.open(jobs.get(0));
            window.go(Station.LEAK);
            LeakStation station = (LeakStation) window.station().orElseThrow();
            station.recorder().begin(LeakMode.PRESSURE, 0.1, "benchmark", true);
            for (int i = 1; i <= HOUR; i++) {
                station.recorder().take(reading(i));
            }
            station.recorder().flush();
            return station;
        });
        List<Double> frames = new ArrayList<>();
        CompletableFuture<Void> done = new CompletableFuture<>();
        Platform.runLater(() -> follow(frames, done));
        done.join();
        shop.journal().close();
        double[] ms = frames.stream().skip(20).mapToDouble(d -> d).toArray();
        return List.of(new Measured(
                "frames during an hour's hold, 95th percentile", Measured.quantile(ms, 0.95), "ms", "under 16.7"));
    }

    private void follow(List<Double> frames, CompletableFuture<Void> done) {
        LeakStation station = (LeakStation) window.station().orElseThrow();
        int[] taken = {HOUR};
        Timeline instrument = new Timeline(new KeyFrame(Duration.millis(100), e -> {
            station.recorder().take(reading(++taken[0]));
            if (taken[0] % 10 == 0) {
                station.recorder().flush();
            }
            station.live();
        }));
        instrument.setCycleCount(200);
        AnimationTimer timer = new AnimationTimer() {
            private long last;

            @Override
            public void handle(long now) {
                if (last > 0) {
                    frames.add((now - last) / 1e6);
                }
                last = now;
            }
        };
        instrument.setOnFinished(e -> {
            timer.stop();
            done.complete(null);
        });
        timer.start();
        instrument.play();
    }

    private static LeakReading reading(int i) {
        double kpa = 69 * Math.exp(-i / 900_000.0) + 0.05 * Math.sin(i);
        return new LeakReading(i / 10.0, Math.round(kpa * 10) / 10.0, 18, Optional.of(Stage.STILL));
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
}
