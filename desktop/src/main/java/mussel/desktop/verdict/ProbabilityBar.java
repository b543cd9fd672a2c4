package mussel.desktop.verdict;

import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;

/** A probability as a bar from nought to one, with the prior as a notch. */
final class ProbabilityBar extends Pane {
    private static final double HEIGHT = 16;

    ProbabilityBar(double probability, double prior, double width) {
        setMinSize(width, HEIGHT);
        setPrefSize(width, HEIGHT);
        setMaxSize(width, HEIGHT);
        Rectangle room = new Rectangle(0, 3, width, HEIGHT - 6);
        room.getStyleClass().add("probability-room");
        Rectangle bar = new Rectangle(0, 3, Math.max(1, width * probability), HEIGHT - 6);
        bar.getStyleClass().add("probability");
        Line notch = new Line(width * prior, 0, width * prior, HEIGHT);
        notch.getStyleClass().add("expected-line");
        getChildren().addAll(room, bar, notch);
    }
}
