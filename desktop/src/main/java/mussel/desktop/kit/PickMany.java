package mussel.desktop.kit;

import java.util.List;
import java.util.Set;
import java.util.function.BiConsumer;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import mussel.core.language.Messages;
import mussel.desktop.kit.PickRow.Choice;

/** Things of which several may hold at once: one tile each. With a tile focused the figures pick; picking a picked one takes it back. */
public final class PickMany extends Column implements Question {
    private static final Messages TEXT = Messages.of(PickMany.class);

    private static final double GAP = 5;

    private final FlowPane tiles = new Flow(GAP, GAP);
    private boolean showing;

    /**
     * The tiles under a caption.
     *
     * @param id the row's id; a tile's is this, a dash and the choice's
     * @param label the caption
     * @param choices what may be picked
     * @param onPick called with a choice's id and whether it is picked now
     */
    public PickMany(String id, String label, List<Choice> choices, BiConsumer<String, Boolean> onPick) {
        setId(id);
        getStyleClass().add("pick-row");
        Label caption = new Words(label);
        caption.getStyleClass().add("caption");
        for (int i = 0; i < choices.size(); i++) {
            Choice choice = choices.get(i);
            ToggleButton tile = new ToggleButton(choice.label());
            tile.setUserData(choice.id());
            tile.setId(id + "-" + choice.id().replace(' ', '-'));
            tile.getStyleClass().addAll("tile", "text-tile");
            tile.setAccessibleText(TEXT.get("pick_many.key", label, choice.label(), (i + 1)));
            tile.selectedProperty().addListener((o, was, is) -> {
                if (!showing) {
                    onPick.accept(choice.id(), is);
                }
            });
            tiles.getChildren().add(tile);
        }
        TileKeys.on(tiles, false);
        getChildren().addAll(caption, tiles);
    }

    @Override
    public boolean open() {
        return tiles.getChildren().stream().noneMatch(n -> ((ToggleButton) n).isSelected());
    }

    @Override
    public Node stop() {
        return tiles.getChildren().get(0);
    }

    /** Shows which are picked. */
    public void show(Set<String> picked) {
        showing = true;
        tiles.getChildren().forEach(n -> ((ToggleButton) n).setSelected(picked.contains((String) n.getUserData())));
        showing = false;
    }
}
