package mussel.desktop.plan;

import java.util.List;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.Part;
import mussel.core.sheet.PartQty;
import mussel.desktop.kit.Texts;

/** The mat mirrored: every part in the order it goes back, new ones marked, with how it goes in. */
final class MatBack extends VBox {
    private static final PseudoClass OFF = PseudoClass.getPseudoClass("off");

    MatBack() {
        super(10);
        getStyleClass().add("mat");
    }

    void show(Assessment now) {
        getChildren().clear();
        FlowPane pieces = new FlowPane(6, 6);
        int number = 1;
        for (PlannedStep planned : now.buildSteps()) {
            boolean fitted = now.job().ticked(planned.step().id()).isPresent();
            for (PartQty in : planned.step().partsIn()) {
                pieces.getChildren().add(piece(now, number++, in, fitted));
            }
        }
        getChildren()
                .addAll(Texts.dim("In the order it goes back; solid ones still lie on the mat or in the bag."), pieces);
    }

    private static Node piece(Assessment now, int number, PartQty in, boolean fitted) {
        Part part = now.sheet().part(in.part()).orElseThrow();
        boolean isNew =
                now.plan().parts().stream().anyMatch(n -> n.part().part().equals(in.part()));
        VBox piece = new VBox(1);
        piece.getStyleClass().add("piece");
        piece.pseudoClassStateChanged(OFF, !fitted);
        piece.setPrefWidth(172);
        piece.getChildren()
                .add(Texts.wrapped(number + "  " + (in.qty() > 1 ? in.qty() + " × " : "") + part.title(), "strong"));
        if (in.hasHow()) {
            piece.getChildren().add(Texts.dim(in.how()));
        }
        piece.getChildren()
                .add(Texts.dim(
                        String.join("; ", List.of(isNew ? "new" : "from the mat", fitted ? "fitted" : "to fit"))));
        return piece;
    }
}
