package mussel.desktop.verdict;

import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;

/** A probability as a bar from nought to one, with the prior as a notch. */
final class ProbabilityBar extends Pane {
    private static final double HEIGHT = 16;

    private final double width;
    private final Rectangle bar = new Rectangle(0, 3, 1, HEIGHT - 6);
    private final Line notch = new Line(0, 0, 0, HEIGHT);

    ProbabilityBar(double width) {
        this.width = width;
        setMinSize(width, HEIGHT);
        setPrefSize(width, HEIGHT);
        setMaxSize(width, HEIGHT);
        Rectangle room = new Rectangle(0, 3, width, HEIGHT - 6);
        room.getStyleClass().add("probability-room");
        bar.getStyleClass().add("probability");
        notch.getStyleClass().add("expected-line");
        getChildren().addAll(room, bar, notch);
    }

    void show(double probability, double prior) {
        bar.setWidth(Math.max(1, width * probability));
        notch.setStartX(width * prior);
        notch.setEndX(width * prior);
    }
}
