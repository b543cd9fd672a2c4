package mussel.desktop.book;

import java.util.OptionalDouble;
import java.util.function.ObjIntConsumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import mussel.core.book.ShelfPlan;
import mussel.core.language.Messages;
import mussel.core.measure.Kind;
import mussel.core.measure.Range;
import mussel.core.measure.YardUnits;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.QuantityField;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.Words;

/** A part on the shelf: how many lie there, how many are to stay, and what is missing for what. */
final class ShelfRow extends Row {
    private static final Messages TEXT = Messages.of(ShelfRow.class);

    private final Label what = Texts.wrapped("", "strong");
    private final Label number = Texts.wrapped("", "small-dim");
    private final QuantityField here;
    private final QuantityField least;
    private final Label missing = new Words();
    private final Label why = Texts.dim("");
    private ShelfPlan.Line shown;

    ShelfRow(ObjIntConsumer<ShelfPlan.Line> onCount, ObjIntConsumer<ShelfPlan.Line> onLeast) {
        super(8);
        getStyleClass().add("part-row");
        setAlignment(Pos.CENTER_LEFT);
        here = field("here", onCount, 100_000);
        least = field("least", onLeast, 10_000);
        columns(this, new Column(0, what, number), here, least, missing, why);
    }

    private QuantityField field(String id, ObjIntConsumer<ShelfPlan.Line> on, double most) {
        QuantityField field = new QuantityField("shelf-" + id, "", Kind.COUNT, Range.of(0, most))
                .onEnter((typed, value) -> on.accept(shown, (int) Math.round(value)))
                .onClear(() -> on.accept(shown, 0))
                .optional();
        field.getStyleClass().addAll("in-table", "col-count");
        return field;
    }

    static Node head() {
        HBox head = new Row(8);
        head.getStyleClass().add("table-head");
        columns(
                head,
                Texts.dim(TEXT.get("shelf_row.part")),
                Texts.dim(TEXT.get("shelf_row.here")),
                Texts.dim(TEXT.get("shelf_row.at_least")),
                Texts.dim(TEXT.get("shelf_row.missing")),
                Texts.dim(TEXT.get("shelf_row.for_what")));
        return head;
    }

    private static void columns(HBox row, Region what, Region here, Region least, Region missing, Region why) {
        for (Region wide : new Region[] {what, why}) {
            HBox.setHgrow(wide, Priority.ALWAYS);
            wide.setMinWidth(0);
            wide.setPrefWidth(100);
            wide.setMaxWidth(Double.MAX_VALUE);
        }
        here.getStyleClass().add("col-count");
        least.getStyleClass().add("col-count");
        missing.getStyleClass().add("col-price");
        row.getChildren().addAll(what, here, least, missing, why);
    }

    void show(ShelfPlan.Line line, YardUnits units, boolean named) {
        shown = line;
        what.setText(line.title());
        number.setText(named ? line.number() + " · " + line.leg() : line.number());
        here.setId("here-" + line.family() + "-" + line.part());
        least.setId("least-" + line.family() + "-" + line.part());
        here.text().setAccessibleText(TEXT.get("shelf_row.on_the_shelf", line.title()));
        least.text().setAccessibleText(TEXT.get("shelf_row.at_least_2", line.title()));
        here.show(OptionalDouble.of(Math.max(0, line.here())), units);
        least.show(line.least() > 0 ? OptionalDouble.of(line.least()) : OptionalDouble.empty(), units);
        missing.setText(line.gap() > 0 ? String.valueOf(line.gap()) : "");
        String coming = line.coming() > 0 ? TEXT.get("shelf_row.on_the_way", line.coming()) : "";
        why.setText(line.why().isEmpty() || coming.isEmpty() ? line.why() + coming : line.why() + "; " + coming);
    }
}
