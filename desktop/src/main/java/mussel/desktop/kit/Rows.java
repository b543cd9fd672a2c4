package mussel.desktop.kit;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.layout.Pane;

/** Rows of one kind that are used again: showing other words in a row is far quicker than styling a new one. */
public final class Rows<N extends Node> {
    private final Pane pane;
    private final Supplier<N> maker;
    private final List<N> made = new ArrayList<>();
    private int used;

    /** Rows in a pane that holds nothing else. */
    public Rows(Pane pane, Supplier<N> maker) {
        this.pane = pane;
        this.maker = maker;
    }

    /** Begins anew with the first row. */
    public Rows<N> begin() {
        used = 0;
        return this;
    }

    /** The next row, made where there was none. */
    public N next() {
        if (used == made.size()) {
            N row = maker.get();
            made.add(row);
            pane.getChildren().add(row);
        }
        N row = made.get(used++);
        row.setVisible(true);
        row.setManaged(true);
        return row;
    }

    /** Hides the rows that were not asked for. */
    public void end() {
        made.subList(used, made.size()).forEach(row -> {
            row.setVisible(false);
            row.setManaged(false);
        });
    }
}
