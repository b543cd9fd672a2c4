package mussel.desktop.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.CasePlace;
import mussel.core.job.Inspection;
import mussel.core.job.Scale;
import mussel.core.job.Topic;
import mussel.core.language.Messages;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.Part;
import mussel.core.sheet.PartQty;
import mussel.core.verdict.Finding;
import mussel.desktop.desk.JobNote;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** Each part that came off and what a case shows when it is open: reuse, replace, or judge after cleaning, before and after, with the reason. */
final class InspectPage extends Column {
    private static final Messages TEXT = Messages.of(InspectPage.class);

    /** Findings made with the case open; each feeds the verdict. */
    private static final List<String> OPEN_CASE = List.of(
            "lip_profile_driveshaft",
            "lip_profile_propshaft",
            "journal_groove",
            "bore_corrosion",
            "gear_teeth",
            "dog_lugs",
            "rotation_feel");

    private final Desk desk;
    private Map<String, Row> rows = new LinkedHashMap<>();
    private JobPicks picks;
    private String listed = "";

    /** The controls of one part. */
    private record Row(JobNote note, Label verdict) {}

    InspectPage(Desk desk) {
        super(10);
        this.desk = desk;
        setId("inspect");
    }

    void show(Assessment now) {
        Map<String, String> parts = parts(now);
        String wanted = now.job().id() + String.join(",", parts.keySet());
        if (!wanted.equals(listed)) {
            listed = wanted;
            build(now, parts);
        }
        picks.show(now);
        rows.forEach((id, row) -> {
            Inspection judged = Inspection.of(now.job(), id);
            row.verdict().setText(judged.verdict().title());
            row.note().show(now);
        });
    }

    /** Parts that came off and may go back, in the order they came; then what stays in the case. */
    private static Map<String, String> parts(Assessment now) {
        Map<String, String> parts = new LinkedHashMap<>();
        for (PlannedStep step : now.stripSteps()) {
            if (now.job().ticked(step.step().id()).isPresent()) {
                for (PartQty out : step.step().partsOut()) {
                    Part part = now.sheet().part(out.part()).orElseThrow();
                    if (!part.alwaysNew()) {
                        parts.put(part.id(), part.title());
                    }
                }
            }
        }
        for (CasePlace place : CasePlace.values()) {
            parts.put(place.id(), place.title());
        }
        return parts;
    }

    private void build(Assessment now, Map<String, String> parts) {
        picks = new JobPicks(desk);
        rows = new LinkedHashMap<>();
        getChildren()
                .setAll(
                        Texts.sentence(TEXT.get("inspect_page.rust_is_judged_after_cleaning_never")),
                        Texts.heading(TEXT.get("inspect_page.what_the_open_case_shows")),
                        findings(now),
                        Texts.heading(TEXT.get("inspect_page.part_by_part")));
        parts.forEach((id, title) -> getChildren().add(part(id, title)));
    }

    private FlowPane findings(Assessment now) {
        FlowPane pane = new Flow(18, 8);
        for (String id : OPEN_CASE) {
            Finding finding = now.knowledge().finding(id).orElseThrow();
            pane.getChildren().add(picks.row(Address.the(id), finding.title(), finding.outcomes(), o -> null));
        }
        return pane;
    }

    private VBox part(String id, String title) {
        Label verdict = Texts.wrapped("", "strong");
        verdict.setId("inspected-" + id);
        JobNote note = JobNote.line(desk, "why", Topic.INSPECTION.of(id));
        rows.put(id, new Row(note, verdict));
        List<String> before = new ArrayList<>(Scale.BEFORE_CLEANING.outcomes());
        FlowPane choices = new Flow(
                18,
                8,
                picks.row(Scale.BEFORE_CLEANING.of(id), Scale.BEFORE_CLEANING.label(), before, o -> null),
                picks.row(
                        Scale.AFTER_CLEANING.of(id),
                        Scale.AFTER_CLEANING.label(),
                        Scale.AFTER_CLEANING.outcomes(),
                        o -> null),
                note);
        VBox card = new Column(4, Texts.wrapped(title, "heading"), verdict, choices);
        card.getStyleClass().add("card");
        return card;
    }
}
