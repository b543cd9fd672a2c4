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
import java.util.function.IntConsumer;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.Scene;
import mussel.app.ForBench;
import mussel.app.demo.DemoYard;
import mussel.core.job.Station;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.core.leak.Stage;
import mussel.desktop.leak.LeakStation;
import mussel.desktop.shell.MusselWindow;
import mussel.work.shop.Workshop;

/**
 * Opening jobs and switching stations in the real window, once it has prepared itself as it does after its start: from the call
 * until the frame is laid out, the first time each is opened included.
 */
final class DeskBenchmark {
    private static final int ROUNDS = 40;
    private static final int HOUR = 36_000;
    private static final int FRAMES = 1_200;
    /** Frames a second over readings a second. */
    private static final int FRAMES_A_READING = 6;

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

    /**
     * An hour of a hold at ten readings a second stands on the chart and twenty seconds more come in. Taken are the work of each frame on the interface
     * thread and the time from frame to frame, the latter beside that of the same window while nothing comes in: frames come by the screen's clock, so no
     * work at all still leaves 16.7 ms and what the clock is off.
     */
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
            station.live();
            return station;
        });
        Frames idle = new Frames(frame -> {});
        idle.follow();
        LeakStation station = (LeakStation) window.station().orElseThrow();
        int[] taken = {HOUR};
        Frames held = new Frames(frame -> {
            if (frame % FRAMES_A_READING == 0) {
                station.recorder().take(reading(++taken[0]));
                if (taken[0] % 10 == 0) {
                    station.recorder().flush();
                }
                station.live();
            }
        });
        held.follow();
        shop.journal().close();
        return List.of(
                new Measured("frames during an hour's hold, work, 95th percentile", held.work(), "ms", "under 16.7"),
                new Measured("from frame to frame, 95th percentile", held.apart(), "ms", ""),
                new Measured("the same while nothing comes in", idle.apart(), "ms", ""));
    }

    /** Twenty seconds of frames, each with the work it is given. */
    private final class Frames {
        private final List<Double> work = new ArrayList<>();
        private final List<Double> apart = new ArrayList<>();
        private final IntConsumer each;

        Frames(IntConsumer each) {
            this.each = each;
        }

        void follow() {
            CompletableFuture<Void> done = new CompletableFuture<>();
            Platform.runLater(() -> begin(done));
            done.join();
        }

        private void begin(CompletableFuture<Void> done) {
            long[] begun = {0};
            Runnable laidOut = () -> work.add((System.nanoTime() - begun[0]) / 1e6);
            Scene scene = window.getScene();
            new AnimationTimer() {
                private long last;
                private int frame;

                @Override
                public void handle(long now) {
                    begun[0] = System.nanoTime();
                    if (last > 0) {
                        apart.add((begun[0] - last) / 1e6);
                    } else {
                        scene.addPostLayoutPulseListener(laidOut);
                    }
                    last = begun[0];
                    each.accept(++frame);
                    Platform.requestNextPulse();
                    if (frame == FRAMES) {
                        stop();
                        scene.removePostLayoutPulseListener(laidOut);
                        done.complete(null);
                    }
                }
            }.start();
        }

        double work() {
            return quantile(work);
        }

        double apart() {
            return quantile(apart);
        }

        private static double quantile(List<Double> ms) {
            return Measured.quantile(ms.stream().skip(20).mapToDouble(d -> d).toArray(), 0.95);
        }
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
