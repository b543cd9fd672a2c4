package mussel.desktop.kit;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Pane;
import mussel.core.language.Messages;

/**
 * A scale to pick from: one tile an outcome, from benign to severe. With a tile focused the figures pick and go on, arrows move, Enter picks and
 * goes on, and Delete, or picking the picked one with Space or the mouse, clears it: not answered.
 */
public final class PickRow extends Column implements Question {
    private static final Messages TEXT = Messages.of(PickRow.class);

    /** Rows with more text than this may wrap (characters). */
    private static final int ONE_LINE = 44;

    private static final double GAP = 5;

    private final ToggleGroup group = new ToggleGroup();
    private final Pane tiles;
    private boolean showing;
    private boolean keepsOne;
    private boolean needed = true;
    private Consumer<Optional<String>> onPick = outcome -> {};

    /** A row of choices under a caption; an empty caption takes no room. */
    public PickRow(String id, String label, List<Choice> choices) {
        setId(id);
        getStyleClass().add("pick-row");
        if (!label.isEmpty()) {
            Label caption = new Words(label);
            caption.getStyleClass().add("caption");
            getChildren().add(caption);
        }
        int text = choices.stream().mapToInt(c -> c.label().length()).sum();
        tiles = text > ONE_LINE ? new Flow(GAP, GAP) : new Row(GAP);
        for (int i = 0; i < choices.size(); i++) {
            tiles.getChildren().add(tile(label, choices.get(i), i + 1));
        }
        getChildren().add(tiles);
        TileKeys.on(tiles, true);
        group.selectedToggleProperty().addListener((o, was, is) -> {
            if (keepsOne && is == null && !showing) {
                showing = true;
                group.selectToggle(was);
                showing = false;
            } else if (!showing) {
                onPick.accept(Optional.ofNullable(is).map(t -> (String) t.getUserData()));
            }
        });
    }

    /**
     * One outcome.
     *
     * @param id as it is kept
     * @param label as it is read
     * @param picture what stands on the tile; null for text alone
     */
    public record Choice(String id, String label, Node picture) {
        /** A tile with text alone. */
        public static Choice text(String id, String label) {
            return new Choice(id, label, null);
        }
    }

    /** A choice that need not be made: it is never what the focus goes on to. */
    public PickRow optional() {
        return needed(false);
    }

    /** Whether the choice waits to be made while it is not. */
    public PickRow needed(boolean yes) {
        needed = yes;
        return this;
    }

    @Override
    public boolean open() {
        return needed && group.getSelectedToggle() == null;
    }

    @Override
    public Node stop() {
        Object picked = group.getSelectedToggle();
        return picked == null ? tiles.getChildren().get(0) : (Node) picked;
    }

    /** Called with the outcome picked, or empty when it was cleared. */
    public PickRow onPick(Consumer<Optional<String>> handler) {
        onPick = handler;
        return this;
    }

    /** From the first pick on, one stays picked: for questions that always have an answer. */
    public PickRow keepsOne() {
        keepsOne = true;
        return this;
    }

    /** Stands in one line as long as there is so much room (px). */
    public PickRow wide(double room) {
        if (tiles instanceof FlowPane flow) {
            flow.setPrefWrapLength(room);
        }
        return this;
    }

    /** Shows the job's choice. */
    public void show(Optional<String> outcome) {
        showing = true;
        group.getToggles().stream()
                .filter(t -> outcome.isPresent() && t.getUserData().equals(outcome.get()))
                .findFirst()
                .ifPresentOrElse(group::selectToggle, () -> group.selectToggle(null));
        showing = false;
    }

    /** Puts other pictures on the tiles, as when the oil in the jars has another dye. */
    public void repaint(Function<String, Node> picture) {
        group.getToggles().stream().map(ToggleButton.class::cast).forEach(tile -> {
            tile.setGraphic(picture.apply((String) tile.getUserData()));
            tile.getStyleClass().remove("text-tile");
        });
    }

    private ToggleButton tile(String label, Choice choice, int number) {
        ToggleButton tile = new ToggleButton(choice.label(), choice.picture());
        tile.setContentDisplay(ContentDisplay.TOP);
        tile.setWrapText(choice.picture() == null);
        tile.setUserData(choice.id());
        tile.setId(getId() + "-" + choice.id());
        tile.getStyleClass().add("tile");
        if (choice.picture() == null) {
            tile.getStyleClass().add("text-tile");
        }
        tile.setToggleGroup(group);
        tile.setAccessibleText(TEXT.get("pick_row.key", label, choice.label(), number));
        return tile;
    }
}
