package mussel.desktop.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.job.Inspection;
import mussel.core.job.Scale;
import mussel.core.job.Supply;
import mussel.core.language.Messages;
import mussel.core.plan.Plan.PartNeed;
import mussel.core.sheet.Goal;
import mussel.core.sheet.Part;
import mussel.core.sheet.Seal;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** The new parts of a job as they are fitted: whether each is here, which way round its seals go, ticked when it is in. */
final class PartsToFit extends Column {
    private static final Messages TEXT = Messages.of(PartsToFit.class);

    private final Desk desk;

    PartsToFit(Desk desk) {
        super(6);
        this.desk = desk;
    }

    void show(Assessment now) {
        List<Node> rows = new ArrayList<>();
        List<PartNeed> outside =
                now.plan().parts().stream().filter(p -> !inPumpKit(now, p)).toList();
        if (!outside.isEmpty() && now.sheet().means(now.goals(), Goal.Meaning.RENEWS_PUMP)) {
            String names =
                    String.join(", ", outside.stream().map(p -> title(now, p)).toList());
            rows.add(Texts.caution(TEXT.get("parts_to_fit.the_pump_kit_does_not_hold", names)));
        }
        List<Supply.Row> supply = now.supply().rows();
        for (PartNeed need : now.plan().parts()) {
            String id = need.part().part();
            VBox words = new Column(1, Texts.wrapped(need.part().qty() + " × " + title(now, need), "strong"));
            String number = now.sheet().part(id).orElseThrow().number();
            words.getChildren()
                    .add(Texts.dim(TEXT.get(
                            "parts_to_fit.sheet_number",
                            number,
                            (need.kit().isEmpty()
                                    ? TEXT.get("parts_to_fit.in_no_kit")
                                    : TEXT.get("parts_to_fit.in", need.kit())),
                            need.why(),
                            supply.stream()
                                    .filter(r -> r.part().equals(id))
                                    .findFirst()
                                    .map(PartsToFit::here)
                                    .orElse(""))));
            HBox row = card(now, id, words);
            for (Seal seal : now.sheet().seals()) {
                if (seal.part().equals(id)) {
                    words.getChildren()
                            .add(Texts.sentence(seal.title() + ": " + seal.orientation() + " " + seal.depth()));
                    if (!seal.lips().isEmpty()) {
                        row.getChildren().add(1, new SealGlyph(seal));
                    }
                }
            }
            if (isImpeller(now, id)) {
                words.getChildren().add(Texts.sentence(trail(now)));
                row.getChildren()
                        .add(1, new VaneTrail(now.sheet().construction().driveshaftTurns()));
            }
            rows.add(row);
        }
        for (Part part : judged(now)) {
            String why = Inspection.of(now.job(), part.id()).why();
            rows.add(card(
                    now,
                    part.id(),
                    new Column(
                            1,
                            Texts.wrapped(part.qty() + " × " + part.title(), "strong"),
                            Texts.dim(TEXT.get(
                                    "parts_to_fit.judged_to_be_replaced", (why.isEmpty() ? "" : ": " + why))))));
        }
        getChildren().setAll(rows);
    }

    private HBox card(Assessment now, String part, VBox words) {
        PickRow fitted =
                new PickRow("fitted-" + part, "", List.of(Choice.text("yes", TEXT.get("parts_to_fit.fitted"))));
        fitted.show(now.job().choice(Scale.FITTED.of(part)));
        fitted.onPick(yes -> desk.choose(Scale.FITTED.of(part), yes));
        fitted.setMinWidth(USE_PREF_SIZE);
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMinWidth(150);
        HBox row = new Row(12, words, fitted);
        row.getStyleClass().add("card");
        return row;
    }

    private static String trail(Assessment now) {
        String way =
                switch (now.sheet().construction().driveshaftTurns()) {
                    case CLOCKWISE -> "clockwise";
                    case COUNTER_CLOCKWISE -> "counter-clockwise";
                    case UNKNOWN -> TEXT.get("parts_to_fit.as_the_flywheel_runs");
                };
        return TEXT.get("parts_to_fit.every_vane_trails_turn_the_driveshaft", way);
    }

    private static String here(Supply.Row row) {
        int got = row.taken() + row.here();
        return got >= row.need()
                ? TEXT.get("parts_to_fit.here")
                : row.taken() + row.ordered() >= row.need()
                        ? TEXT.get("parts_to_fit.on_its_way")
                        : TEXT.get("parts_to_fit.not_here_not_ordered_to_get", (row.need() - got));
    }

    /** Parts judged to be replaced that the plan does not renew anyway. */
    static List<Part> judged(Assessment now) {
        return now.sheet().parts().stream()
                .filter(p -> Inspection.of(now.job(), p.id()).verdict() == Inspection.Verdict.REPLACE)
                .filter(p -> now.plan().parts().stream()
                        .noneMatch(n -> n.part().part().equals(p.id())))
                .toList();
    }

    /** Whether a part is the wheel of vanes. */
    private static boolean isImpeller(Assessment now, String part) {
        return now.sheet().part(part).flatMap(Part::form).equals(Optional.of(Part.Form.WHEEL));
    }

    private static boolean inPumpKit(Assessment now, PartNeed need) {
        return now.sheet().kits().stream()
                .filter(k -> k.contains().stream().anyMatch(c -> isImpeller(now, c.part())))
                .flatMap(k -> k.contains().stream())
                .anyMatch(c -> c.part().equals(need.part().part()));
    }

    private static String title(Assessment now, PartNeed need) {
        return now.sheet().part(need.part().part()).orElseThrow().title();
    }
}
