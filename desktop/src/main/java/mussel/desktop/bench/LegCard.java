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
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.SVGPath;
import mussel.core.job.BenchLine;
import mussel.core.job.Station;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.Region;
import mussel.desktop.cutaway.Thumbnail;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;

/** One leg on the bench: its picture, what is next or what it waits for, how far it is. A click, Enter or Space opens its job. */
final class LegCard extends Row {
    private static final Messages TEXT = Messages.of(LegCard.class);

    /** The least width of a card (px at the plain size of type). */
    static final double LEAST_WIDTH = 296;

    private static final double PICTURE = 0.2;
    private static final double PICTURE_WIDTH = 76;
    /** The room for words beside the picture of the narrowest card (px at the plain size of type). */
    static final double LEAST_WORDS = 196;

    private static final double HEIGHT = 136;
    private static final double BETWEEN = 4;

    private final Runnable open;

    /**
     * A card.
     *
     * @param first whether it is the one to go on with: it alone wears the warm colour
     * @param words the room for words beside the picture (px)
     */
    LegCard(
            BenchLine line,
            List<Region> outline,
            String sister,
            YardUnits units,
            boolean first,
            double type,
            double words,
            Consumer<Integer> onOpen) {
        super(8);
        open = () -> onOpen.accept(line.job());
        setId("leg-" + line.job());
        getStyleClass().add("leg-card");
        if (first) {
            getStyleClass().add("can-work");
        }
        if (line.waiting()) {
            getStyleClass().add("waits");
        }
        setMinHeight(HEIGHT * type);
        StackPane picture = new StackPane(new Thumbnail(outline, line.oil(), PICTURE * type));
        picture.setMinWidth(PICTURE_WIDTH * type);
        picture.setPrefWidth(PICTURE_WIDTH * type);
        String hours = line.hours().isPresent()
                ? Display.exact(Kind.RUNNING, line.hours().getAsDouble(), units)
                : TEXT.get("leg_card.hours_not_read");
        String next = line.waiting()
                ? TEXT.get("leg_card.waits", line.waits())
                : line.next().says();
        StackPane nextBox = new StackPane(Texts.bare(next, words, line.waiting() ? "plain" : "strong"));
        nextBox.getStyleClass().add("next");
        nextBox.setAlignment(Pos.TOP_LEFT);
        VBox.setVgrow(nextBox, Priority.ALWAYS);
        String promised = line.promised().isEmpty() ? "" : TEXT.get("leg_card.promised", line.promised());
        String foot = sister.isEmpty() ? promised : promised.isEmpty() ? sister : sister + ", " + promised;
        VBox says = new Column(
                3,
                Texts.bare(line.leg().title(), words, "heading"),
                Texts.bare(TEXT.get("leg_card.job", line.family(), hours, line.job()), words, "dim"),
                nextBox,
                floats(line),
                Texts.bare(line.current().title() + (foot.isEmpty() ? "" : " · " + foot), words, "dim"));
        getChildren().addAll(picture, says);
        setAccessibleRole(AccessibleRole.BUTTON);
        setAccessibleText(
                line.leg().title() + ", " + line.family() + ", " + next + (foot.isEmpty() ? "" : ", " + foot));
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

    /** Opens its job. */
    void open() {
        open.run();
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
            double radius = here ? 6 : 4;
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
