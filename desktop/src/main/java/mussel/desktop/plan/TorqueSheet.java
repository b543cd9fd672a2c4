package mussel.desktop.plan;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.measure.TorqueUnit;
import mussel.core.sheet.Fastener;
import mussel.core.sheet.Step;
import mussel.desktop.kit.Texts;

/** Every fastener group that is closed again, with its torque: the range, and the middle to aim at, in all units. */
final class TorqueSheet extends VBox {
    private static final List<TorqueUnit> UNITS =
            List.of(TorqueUnit.NM, TorqueUnit.LBF_IN, TorqueUnit.LBF_FT, TorqueUnit.KGF_M);

    TorqueSheet() {
        super(8);
    }

    void show(Assessment now) {
        getChildren()
                .setAll(now.plan().fasteners().stream().map(f -> card(now, f)).toList());
        getChildren()
                .add(Texts.dim("Snug, wipe dry, then torque. Aim at the middle. "
                        + now.sheet().origin() + ". The maker's manual for the exact unit outranks these values."));
    }

    private static Node card(Assessment now, Fastener fastener) {
        GridPane grid = new GridPane(10, 1);
        UNITS.forEach(unit -> {
            ColumnConstraints quarter = new ColumnConstraints();
            quarter.setPercentWidth(100.0 / UNITS.size());
            grid.getColumnConstraints().add(quarter);
        });
        int column = 0;
        for (TorqueUnit unit : UNITS) {
            Label middle = Texts.wrapped(fastener.torque().range().middle(unit), column == 0 ? "large" : "strong");
            grid.add(middle, column, 0);
            grid.add(Texts.dim(fastener.torque().range().range(unit)), column, 1);
            column++;
        }
        String secured = Step.says(fastener.secured()) ? "; " + fastener.secured() : "";
        VBox card = new VBox(
                3,
                Texts.wrapped(fastener.count() + " × " + fastener.title() + ", " + fastener.thread(), "strong"),
                grid,
                Texts.dim("Sheet page " + fastener.page() + secured
                        + (fastener.isHidden() ? ". Hidden: " + fastener.hidden() : "")));
        card.getStyleClass().add("card");
        return card;
    }
}
