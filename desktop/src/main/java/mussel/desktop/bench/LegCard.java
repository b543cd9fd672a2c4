package mussel.desktop.bench;

import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import mussel.core.job.BenchLine;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.Region;
import mussel.desktop.cutaway.Thumbnail;
import mussel.desktop.kit.Texts;

/** One leg on the bench: its picture, what is next, how far it is. */
final class LegCard extends Button {
    private static final double PICTURE = 0.27;
    private static final double WIDTH = 218;

    LegCard(BenchLine line, List<Region> outline, String sister, YardUnits units, Consumer<Integer> onOpen) {
        setId("leg-" + line.job());
        getStyleClass().add("leg-card");
        setPrefWidth(WIDTH);
        setMinWidth(WIDTH);
        setMaxWidth(WIDTH);
        if (!line.waiting()) {
            getStyleClass().add("can-work");
        }
        VBox content = new VBox(3);
        StackPane picture = new StackPane(new Thumbnail(outline, line.oil(), PICTURE));
        picture.setPrefHeight(132);
        picture.setMinHeight(132);
        String hours = line.hours().isPresent()
                ? Display.exact(Kind.RUNNING, line.hours().getAsDouble(), units)
                : "hours not read";
        Label next = Texts.wrapped(
                line.waiting() ? "Waits: " + line.waits() : line.next(), line.waiting() ? "plain" : "strong");
        next.setMinHeight(40);
        next.setPrefHeight(40);
        next.setMaxHeight(40);
        next.setAlignment(Pos.TOP_LEFT);
        String promised = line.promised().isEmpty() ? "" : "promised " + line.promised();
        String foot = sister.isEmpty() ? promised : promised.isEmpty() ? sister : sister + ", " + promised;
        content.getChildren()
                .addAll(
                        picture,
                        shortened(line.leg().title(), "heading"),
                        shortened(line.family() + " · " + hours + " · job " + line.job(), "dim"),
                        next,
                        floats(line),
                        shortened(line.current().title() + (foot.isEmpty() ? "" : " · " + foot), "dim"));
        setGraphic(content);
        setAccessibleText(line.leg().title() + ", " + line.family() + ", " + next.getText());
        setOnAction(e -> onOpen.accept(line.job()));
    }

    private static Label shortened(String text, String style) {
        Label label = new Label(text);
        label.getStyleClass().add(style);
        label.setMaxWidth(WIDTH - 24);
        return label;
    }

    /** The longline in small: a float a station. */
    private static Node floats(BenchLine line) {
        HBox floats = new HBox(9);
        floats.setAlignment(Pos.CENTER_LEFT);
        line.states().forEach((station, state) -> {
            boolean here = station == line.current() && line.open();
            Circle round = new Circle(here ? 6.5 : 4.5);
            round.getStyleClass().addAll("float", "is-" + state.name().toLowerCase(Locale.ROOT));
            if (here) {
                round.getStyleClass().add("is-here");
            }
            floats.getChildren().add(round);
        });
        floats.setMinHeight(16);
        return floats;
    }
}
