package mussel.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.function.DoubleConsumer;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;

/** The time between frames while something moves. */
final class Frames extends AnimationTimer {
    private static final int WARM = 20;

    private final int wanted;
    private final DoubleConsumer move;
    private final List<Double> ms = new ArrayList<>();
    private final CompletableFuture<double[]> done = new CompletableFuture<>();
    private long last;

    private Frames(int wanted, DoubleConsumer move) {
        this.wanted = wanted;
        this.move = move;
    }

    /**
     * The times between so many frames (ms), the first few left out; before each, something is moved on.
     *
     * @param move told how far everything is, from 0 to 1
     */
    static double[] during(int frames, DoubleConsumer move) {
        Frames timer = new Frames(frames + WARM, move);
        Platform.runLater(timer::start);
        return timer.done.join();
    }

    @Override
    public void handle(long now) {
        if (last > 0) {
            ms.add((now - last) / 1e6);
        }
        last = now;
        move.accept((double) ms.size() / wanted);
        if (ms.size() >= wanted) {
            stop();
            done.complete(ms.stream().skip(WARM).mapToDouble(d -> d).toArray());
        }
    }
}
