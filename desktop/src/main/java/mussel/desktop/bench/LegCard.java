package mussel.desktop.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.AccessibleAction;
import javafx.scene.AccessibleRole;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.SVGPath;
import mussel.core.job.BenchLine;
import mussel.core.job.Station;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.Region;
import mussel.desktop.cutaway.Thumbnail;
import mussel.desktop.kit.Texts;

/** One leg on the bench: its picture, what is next, how far it is. A click, Enter or Space opens its job. */
final class LegCard extends VBox {
    private static final double PICTURE = 0.27;
    private static final double WIDTH = 218;
    private static final double WORDS = 190;
    private static final double BETWEEN = 5;

    private final Runnable open;

    LegCard(BenchLine line, List<Region> outline, String sister, YardUnits units, Consumer<Integer> onOpen) {
        super(5);
        open = () -> onOpen.accept(line.job());
        setId("leg-" + line.job());
        getStyleClass().add("leg-card");
        if (!line.waiting()) {
            getStyleClass().add("can-work");
        }
        setPrefWidth(WIDTH);
        setMinWidth(WIDTH);
        setMaxWidth(WIDTH);
        StackPane picture = new StackPane(new Thumbnail(outline, line.oil(), PICTURE));
        picture.setPrefHeight(132);
        picture.setMinHeight(132);
        String hours = line.hours().isPresent()
                ? Display.exact(Kind.RUNNING, line.hours().getAsDouble(), units)
                : "hours not read";
        String next = line.waiting() ? "Waits: " + line.waits() : line.next();
        StackPane nextBox = new StackPane(Texts.bare(next, WORDS, line.waiting() ? "plain" : "strong"));
        nextBox.getStyleClass().add("next");
        nextBox.setAlignment(Pos.TOP_LEFT);
        String promised = line.promised().isEmpty() ? "" : "promised " + line.promised();
        String foot = sister.isEmpty() ? promised : promised.isEmpty() ? sister : sister + ", " + promised;
        getChildren()
                .addAll(
                        picture,
                        Texts.bare(line.leg().title(), WORDS, "heading"),
                        Texts.bare(line.family() + " · " + hours + " · job " + line.job(), WORDS, "dim"),
                        nextBox,
                        floats(line),
                        Texts.bare(line.current().title() + (foot.isEmpty() ? "" : " · " + foot), WORDS, "dim"));
        setAccessibleRole(AccessibleRole.BUTTON);
        setAccessibleText(line.leg().title() + ", " + line.family() + ", " + next);
        setFocusTraversable(true);
        setOnMouseClicked(e -> {
            if (e.getButton() == MouseButton.PRIMARY) {
                open.run();
            }
        });
        addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
                e.consume();
                open.run();
            }
        });
    }

    @Override
    public void executeAccessibleAction(AccessibleAction action, Object... parameters) {
        if (action == AccessibleAction.FIRE) {
            open.run();
        } else {
            super.executeAccessibleAction(action, parameters);
        }
    }

    /** The longline in small: a float a station, all of one look in one shape. */
    private static Node floats(BenchLine line) {
        Map<String, StringBuilder> looks = new LinkedHashMap<>();
        double left = 0;
        for (Map.Entry<Station, Station.State> each : line.states().entrySet()) {
            boolean here = each.getKey() == line.current() && line.open();
            double radius = here ? 6.5 : 4.5;
            String look = here ? "is-here" : "is-" + each.getValue().name().toLowerCase(Locale.ROOT);
            circle(looks.computeIfAbsent(look, l -> new StringBuilder()), left, radius);
            left += 2 * radius + BETWEEN;
        }
        Group floats = new Group();
        looks.forEach((look, outline) -> {
            SVGPath shape = new SVGPath();
            shape.setContent(outline.toString());
            shape.getStyleClass().addAll("float", look);
            floats.getChildren().add(shape);
        });
        return floats;
    }

    private static void circle(StringBuilder path, double left, double radius) {
        path.append('M').append(left).append(' ').append(0);
        for (int side = 1; side >= -1; side -= 2) {
            path.append('a').append(radius).append(' ').append(radius);
            path.append(" 0 1 0 ").append(side * 2 * radius).append(" 0");
        }
        path.append('Z');
    }
}
