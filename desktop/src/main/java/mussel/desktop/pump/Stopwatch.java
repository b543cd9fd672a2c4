package mussel.desktop.pump;

import java.util.Locale;
import java.util.function.DoubleConsumer;
import javafx.animation.AnimationTimer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import mussel.core.language.Messages;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Words;

/** A stopwatch for a gloved thumb: one large button that starts and stops, the seconds beside it. */
final class Stopwatch extends Row {
    private static final Messages TEXT = Messages.of(Stopwatch.class);

    private static final double NANOS = 1e9;

    private final Button button = new Button("Start stopwatch");
    private final Label seconds = new Words("0.0 s");
    private final AnimationTimer timer = new AnimationTimer() {
        @Override
        public void handle(long nanos) {
            seconds.setText(String.format(Locale.ROOT, "%.1f s", (System.nanoTime() - started) / NANOS));
        }
    };
    private long started;
    private boolean running;

    /** A stopwatch that hands over the seconds when it is stopped. */
    Stopwatch(DoubleConsumer onStopped) {
        super(10);
        setAlignment(Pos.CENTER_LEFT);
        button.setId("stopwatch");
        seconds.getStyleClass().add("large");
        button.setMinWidth(USE_PREF_SIZE);
        seconds.setMinWidth(72);
        button.setOnAction(e -> {
            if (running) {
                double took = (System.nanoTime() - started) / NANOS;
                halt();
                onStopped.accept(took);
            } else {
                started = System.nanoTime();
                running = true;
                button.setText(TEXT.get("stopwatch.stop"));
                timer.start();
            }
        });
        getChildren().addAll(button, seconds);
    }

    /** Stops without handing anything over, as when the job leaves the desk. */
    boolean running() {
        return running;
    }

    void halt() {
        timer.stop();
        running = false;
        button.setText(TEXT.get("stopwatch.start_the_stopwatch"));
    }
}
