package mussel.desktop.bench;

import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import mussel.core.job.Assessment;
import mussel.core.job.Field;
import mussel.core.job.Topic;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.desktop.cutaway.Cutaway;
import mussel.desktop.kit.Texts;

/** One leg on the bench: its picture, what is next, how far it is. */
final class LegCard extends Button {
    private static final double PICTURE = 0.27;
    private static final double WIDTH = 218;

    LegCard(Assessment now, String sister, Consumer<Integer> onOpen) {
        setId("leg-" + now.job().id());
        getStyleClass().add("leg-card");
        setPrefWidth(WIDTH);
        setMinWidth(WIDTH);
        setMaxWidth(WIDTH);
        String waits = now.job().note(Topic.WAITS_FOR.address()).orElse("");
        if (waits.isEmpty()) {
            getStyleClass().add("can-work");
        }
        VBox content = new VBox(3);
        StackPane picture = new StackPane(Cutaway.thumbnail(now, PICTURE));
        picture.setPrefHeight(132);
        picture.setMinHeight(132);
        content.getChildren().add(picture);
        content.getChildren().add(shortened(now.job().leg().title(), "heading"));
        String hours = now.job().reading(Field.ENGINE_HOURS).isPresent()
                ? Display.exact(
                        Kind.RUNNING,
                        now.job().reading(Field.ENGINE_HOURS).getAsDouble(),
                        now.yard().units())
                : "hours not read";
        content.getChildren()
                .add(shortened(
                        now.sheet().title() + " · " + hours + " · job "
                                + now.job().id(),
                        "dim"));
        Label next = Texts.wrapped(
                waits.isEmpty() ? now.nextAction() : "Waits: " + waits, waits.isEmpty() ? "strong" : "plain");
        next.setMinHeight(40);
        next.setPrefHeight(40);
        next.setMaxHeight(40);
        next.setAlignment(javafx.geometry.Pos.TOP_LEFT);
        content.getChildren().add(next);
        content.getChildren().add(line(now));
        String promised = now.job()
                .note(Topic.PROMISED.address())
                .map(p -> "promised " + p)
                .orElse("");
        String foot = sister.isEmpty() ? promised : promised.isEmpty() ? sister : sister + ", " + promised;
        content.getChildren().add(shortened(now.current().title() + (foot.isEmpty() ? "" : " · " + foot), "dim"));
        setGraphic(content);
        setAccessibleText(now.job().leg().title() + ", " + now.sheet().title() + ", " + next.getText());
        setOnAction(e -> onOpen.accept(now.job().id()));
    }

    private static Label shortened(String text, String style) {
        Label label = new Label(text);
        label.getStyleClass().add(style);
        label.setMaxWidth(WIDTH - 24);
        return label;
    }

    /** The longline in small: a float a station. */
    private static Node line(Assessment now) {
        HBox floats = new HBox(9);
        floats.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        now.states().forEach((station, state) -> {
            boolean here = station == now.current() && now.job().tagged().isEmpty();
            Circle round = new Circle(here ? 6.5 : 4.5);
            round.getStyleClass().addAll("float", "is-" + state.name().toLowerCase(java.util.Locale.ROOT));
            if (here) {
                round.getStyleClass().add("is-here");
            }
            floats.getChildren().add(round);
        });
        floats.setMinHeight(16);
        return floats;
    }

    static boolean sisters(Assessment a, Assessment b) {
        return a.job().id() != b.job().id()
                && a.job().leg().boat().equals(b.job().leg().boat())
                && !a.job().leg().position().equals(b.job().leg().position());
    }
}
