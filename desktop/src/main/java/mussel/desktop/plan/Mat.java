package mussel.desktop.plan;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.job.Topic;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.Part;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Place;
import mussel.desktop.kit.Texts;

/** The mat: every part in the order and grouping it came off, with how it lay. What is still on the leg is an empty outline. */
final class Mat extends VBox {
    private static final PseudoClass OFF = PseudoClass.getPseudoClass("off");

    Mat() {
        super(10);
        getStyleClass().add("mat");
    }

    void show(Assessment now) {
        getChildren().clear();
        Map<Place, FlowPane> groups = new TreeMap<>();
        int number = 1;
        for (PlannedStep planned : now.plan().of(Phase.DOWN, Phase.STRIP)) {
            boolean off = now.job().ticked(planned.step().id()).isPresent();
            String found =
                    now.job().note(Topic.AS_FOUND.of(planned.step().id())).orElse("");
            for (PartQty out : planned.step().partsOut()) {
                Part part = now.sheet().part(out.part()).orElseThrow();
                groups.computeIfAbsent(part.group(), g -> new FlowPane(6, 6))
                        .getChildren()
                        .add(piece(number++, part, out, off, found));
            }
        }
        if (groups.isEmpty()) {
            getChildren().add(Texts.dim("Nothing comes off yet: choose what is to be done."));
        }
        groups.forEach((place, pieces) -> {
            Label heading = Texts.heading(place.title());
            getChildren().add(new VBox(4, heading, pieces));
        });
        int loose = now.plan().of(Phase.DOWN, Phase.STRIP).stream()
                .flatMap(s -> s.step().partsOut().stream())
                .filter(p -> now.sheet().part(p.part()).orElseThrow().loose())
                .mapToInt(PartQty::qty)
                .sum();
        if (loose > 0) {
            getChildren()
                    .add(Texts.sentence(
                            loose + " small loose pieces in all must be on this mat before the leg goes back."));
        }
    }

    private static Node piece(int number, Part part, PartQty out, boolean off, String found) {
        VBox piece = new VBox(1);
        piece.getStyleClass().add("piece");
        piece.pseudoClassStateChanged(OFF, off);
        piece.setPrefWidth(172);
        piece.getChildren()
                .add(Texts.wrapped(number + "  " + (out.qty() > 1 ? out.qty() + " × " : "") + part.title(), "strong"));
        if (out.hasHow()) {
            piece.getChildren().add(Texts.dim(out.how()));
        }
        if (!found.isEmpty() && off) {
            piece.getChildren().add(Texts.wrapped("As found: " + found, "plain"));
        }
        List<String> flags = new java.util.ArrayList<>();
        if (part.alwaysNew()) {
            flags.add("always new");
        }
        if (part.loose()) {
            flags.add("loose, count it");
        }
        flags.add(off ? "on the mat" : "still on the leg");
        piece.getChildren().add(Texts.dim(String.join("; ", flags)));
        return piece;
    }
}
