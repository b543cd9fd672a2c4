package mussel.desktop.plan;

import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.language.Messages;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Place;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Texts;

/** The mat mirrored for the way back: the same drawing, each row in the order it goes in, new parts marked. */
final class MatBack extends Column {
    private static final Messages TEXT = Messages.of(MatBack.class);

    MatBack() {
        super(10);
        getStyleClass().add("mat");
    }

    void show(Assessment now) {
        getChildren().setAll(Texts.dim(TEXT.get("mat_back.the_way_back_row_by_row")));
        Place row = null;
        FlowPane pieces = new Flow(6, 6);
        int number = 1;
        boolean next = true;
        for (PlannedStep planned : now.buildSteps()) {
            boolean fitted = now.job().ticked(planned.step().id()).isPresent();
            for (PartQty in : planned.step().partsIn()) {
                Place place = now.sheet().part(in.part()).orElseThrow().group();
                if (place != row) {
                    row = place;
                    pieces = new Flow(6, 6);
                    VBox group = new Column(4, Texts.heading(place.title()), pieces);
                    group.getStyleClass().add("mat-row");
                    getChildren().add(group);
                }
                boolean isNew = now.plan().parts().stream()
                        .anyMatch(n -> n.part().part().equals(in.part()));
                MatPiece.Where where = fitted ? MatPiece.Where.AWAY : next ? MatPiece.Where.NEXT : MatPiece.Where.LIES;
                pieces.getChildren()
                        .add(new MatPiece(
                                now.sheet(),
                                number++,
                                in,
                                where,
                                false,
                                isNew ? "new" : TEXT.get("mat_back.from_the_mat")));
            }
            next &= fitted || planned.step().partsIn().isEmpty();
        }
    }
}
