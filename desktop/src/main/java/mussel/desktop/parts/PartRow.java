package mussel.desktop.parts;

import java.util.OptionalDouble;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Supply;
import mussel.core.measure.Kind;
import mussel.core.measure.Range;
import mussel.desktop.desk.Desk;
import mussel.desktop.kit.QuantityField;
import mussel.desktop.kit.Texts;

/** One part the job needs: how many, what lies on the shelf, what was taken, ordered and has come. */
final class PartRow extends HBox {
    private final Desk desk;
    private final Label what = Texts.wrapped("", "strong");
    private final Label state = Texts.sentence("");
    private final QuantityField shelf;
    private final Button take = new Button();
    private Supply.Row shown;

    PartRow(Desk desk) {
        super(10);
        this.desk = desk;
        getStyleClass().add("part-row");
        setAlignment(Pos.CENTER_LEFT);
        what.setPrefWidth(190);
        what.setMinWidth(150);
        state.setPrefWidth(190);
        state.setMinWidth(120);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        shelf = new QuantityField("shelf", "", Kind.COUNT, Range.of(0, 100_000)).onEnter((typed, value) -> {
            desk.shop().countShelf(desk.job(), shown.part(), (int) Math.round(value));
            desk.refresh();
        });
        shelf.setMinWidth(64);
        shelf.setPrefWidth(64);
        shelf.setMaxWidth(64);
        shelf.text().setAccessibleText("on the shelf");
        Label lies = Texts.dim("on the shelf");
        lies.setMinWidth(Region.USE_PREF_SIZE);
        take.setOnAction(e -> toggle());
        take.setMinWidth(92);
        getChildren().addAll(what, state, gap, lies, shelf, take);
    }

    private void toggle() {
        if (shown.taken() > 0) {
            desk.note(new Fact.Cleared(Field.FROM_SHELF.of(shown.part())));
            return;
        }
        int qty = Math.min(shown.open(), shown.onShelf());
        desk.read(Field.FROM_SHELF.of(shown.part()), qty, qty + " from the shelf");
    }

    void show(Assessment now, Supply.Row row) {
        shown = row;
        setId("part-" + row.part());
        what.setText((row.need() > 1 ? row.need() + " × " : "") + row.title());
        String number = now.sheet()
                .part(row.part())
                .map(p -> p.number())
                .filter(n -> !n.equals("-"))
                .map(n -> n + "; ")
                .orElse("");
        state.setText(number + state(row));
        shelf.show(OptionalDouble.of(row.onShelf()), now.yard().units());
        take.setId("take-" + row.part());
        take.setText(row.taken() > 0 ? "Put back" : "Take");
        take.setAccessibleText((row.taken() > 0 ? "Put back " : "Take from the shelf: ") + row.title());
        take.setDisable(row.taken() == 0 && (row.onShelf() == 0 || row.open() == 0));
    }

    private static String state(Supply.Row row) {
        if (row.taken() + row.here() >= row.need()) {
            return row.taken() >= row.need() ? "taken from the shelf" : "here";
        }
        if (row.taken() + row.ordered() >= row.need()) {
            return "on its way" + (row.taken() > 0 ? ", " + row.taken() + " taken" : "");
        }
        return row.open() + " still to be had";
    }
}
