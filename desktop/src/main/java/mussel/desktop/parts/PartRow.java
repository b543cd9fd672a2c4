package mussel.desktop.parts;

import java.util.OptionalDouble;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.OrderTable;
import mussel.core.job.Supply;
import mussel.core.language.Messages;
import mussel.core.measure.Kind;
import mussel.core.measure.Range;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.QuantityField;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.Words;
import mussel.work.desk.Desk;

/** One line of the table of parts: the part and what it is for, where it comes from, its price, when it is here, and the shelf. */
final class PartRow extends Row {
    private static final Messages TEXT = Messages.of(PartRow.class);

    private final Desk desk;
    private final Label what = Texts.wrapped("", "strong");
    private final Label purpose = Texts.wrapped("", "small-dim");
    private final Label from = Texts.sentence("");
    private final Label left = Texts.wrapped("", "left-out");
    private final Label price = new Words();
    private final Label when = Texts.wrapped("", "plain");
    private final QuantityField shelf;
    private final Button take = new Button();
    private Supply.Row shown;

    PartRow(Desk desk) {
        super(8);
        this.desk = desk;
        getStyleClass().add("part-row");
        setAlignment(Pos.CENTER_LEFT);
        shelf = new QuantityField("shelf", "", Kind.COUNT, Range.of(0, 100_000))
                .onEnter((typed, value) -> {
                    desk.shop().countShelf(desk.job(), shown.part(), (int) Math.round(value));
                    desk.refresh();
                })
                .optional();
        shelf.getStyleClass().add("in-table");
        shelf.text().setAccessibleText(TEXT.get("part_row.on_the_shelf"));
        left.managedProperty().bind(left.textProperty().isNotEmpty());
        take.setOnAction(e -> toggle());
        take.getStyleClass().add("in-table");
        columns(this, new Column(0, what, purpose), new Column(0, from, left), price, when, shelf, take);
    }

    /** The head of the table. */
    static Node head() {
        HBox head = new Row(8);
        head.getStyleClass().add("table-head");
        columns(
                head,
                Texts.dim(TEXT.get("part_row.part_and_what_for")),
                Texts.dim(TEXT.get("part_row.from")),
                Texts.dim(TEXT.get("part_row.price")),
                Texts.dim(TEXT.get("part_row.here")),
                Texts.dim(TEXT.get("part_row.shelf")),
                Texts.dim(""));
        return head;
    }

    private static void columns(
            HBox row, Region what, Region from, Region price, Region when, Region shelf, Region take) {
        for (Region wide : new Region[] {what, from}) {
            HBox.setHgrow(wide, Priority.ALWAYS);
            wide.setMinWidth(0);
            wide.setPrefWidth(100);
            wide.setMaxWidth(Double.MAX_VALUE);
        }
        price.getStyleClass().add("col-price");
        when.getStyleClass().add("col-when");
        shelf.getStyleClass().add("col-shelf");
        take.getStyleClass().add("col-take");
        row.getChildren().addAll(what, from, price, when, shelf, take);
    }

    private void toggle() {
        if (shown.taken() > 0) {
            desk.note(new Fact.Cleared(Field.FROM_SHELF.of(shown.part())));
            return;
        }
        int qty = Math.min(shown.open(), shown.onShelf());
        desk.read(Field.FROM_SHELF.of(shown.part()), qty, TEXT.get("part_row.from_the_shelf", qty));
    }

    void show(Assessment now, OrderTable.Line line) {
        Supply.Row row = line.row();
        shown = row;
        what.setText((row.need() > 1 ? row.need() + " × " : "") + row.title());
        purpose.setText(line.number().isEmpty() ? line.purpose() : line.number() + " · " + line.purpose());
        from.setText(
                line.from().isEmpty()
                        ? (row.open() > 0 ? TEXT.get("part_row.to_be_had", row.open()) : "")
                        : line.from());
        left.setText(line.left());
        price.setText(
                line.price().isPresent() ? now.yard().money().exact(line.price().getAsDouble()) : "");
        when.setText(line.when());
        shelf.show(OptionalDouble.of(row.onShelf()), now.yard().reads());
        take.setId("take-" + row.part());
        take.setText(row.taken() > 0 ? TEXT.get("part_row.put_back") : TEXT.get("part_row.take"));
        take.setAccessibleText(
                (row.taken() > 0 ? TEXT.get("part_row.put_back_2") : TEXT.get("part_row.take_from_the_shelf"))
                        + row.title());
        boolean can = row.taken() > 0 || row.onShelf() > 0 && row.open() > 0;
        take.setDisable(!can);
        take.setVisible(can);
    }
}
