package mussel.desktop.book;

import java.util.OptionalDouble;
import java.util.function.BiConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import mussel.core.job.Yard;
import mussel.core.language.Messages;
import mussel.core.measure.Kind;
import mussel.core.measure.Range;
import mussel.core.measure.YardUnits;
import mussel.desktop.kit.QuantityField;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;

/** Something on its way to the shelf: how many came, and how many of those go back. */
final class ComingRow extends Row {
    private static final Messages TEXT = Messages.of(ComingRow.class);

    private static final double COUNT = 124;

    private OptionalDouble came;
    private OptionalDouble back = OptionalDouble.empty();

    /**
     * What came.
     *
     * @param here how many came
     * @param back how many of those go back
     */
    record Came(int here, int back) {}

    ComingRow(int number, Yard.Coming parcel, String title, BiConsumer<Yard.Coming, Came> onCame) {
        super(10);
        setAlignment(Pos.BOTTOM_LEFT);
        came = OptionalDouble.of(parcel.count());
        Label what = Texts.sentence(
                TEXT.get("coming_row.from_here_on", parcel.count(), title, parcel.supplier(), parcel.due()));
        what.setMinWidth(0);
        what.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(what, Priority.ALWAYS);
        QuantityField here = new QuantityField("came-" + number, "came", Kind.COUNT, Range.of(0, parcel.count()));
        QuantityField wrong = new QuantityField(
                "back-" + number, TEXT.get("coming_row.of_these_back"), Kind.COUNT, Range.of(0, parcel.count()));
        Button take = new Button(TEXT.get("coming_row.take_in"));
        take.setId("take-in-" + number);
        take.setMinWidth(Region.USE_PREF_SIZE);
        take.setAccessibleText(TEXT.get("coming_row.take_in_2", title));
        here.optional()
                .onEnter((typed, value) -> {
                    came = OptionalDouble.of(Math.round(value));
                    here.show(came, YardUnits.METRIC);
                    usable(take);
                })
                .onClear(() -> {
                    came = OptionalDouble.empty();
                    usable(take);
                });
        wrong.optional()
                .onEnter((typed, value) -> {
                    back = OptionalDouble.of(Math.round(value));
                    wrong.show(back, YardUnits.METRIC);
                    usable(take);
                })
                .onClear(() -> {
                    back = OptionalDouble.empty();
                    usable(take);
                });
        for (QuantityField each : new QuantityField[] {here, wrong}) {
            each.setMinWidth(COUNT);
            each.setPrefWidth(COUNT);
            each.setMaxWidth(COUNT);
        }
        here.show(came, YardUnits.METRIC);
        take.setOnAction(e -> onCame.accept(parcel, new Came((int) came.orElse(0), (int) back.orElse(0))));
        getChildren().addAll(what, here, wrong, take);
    }

    /** More cannot go back than came. */
    private void usable(Button take) {
        take.setDisable(came.isEmpty() || came.getAsDouble() < 1 || back.orElse(0) > came.getAsDouble());
    }
}
