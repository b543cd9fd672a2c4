package mussel.desktop.prove;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.job.Countersign;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.ProofWork;
import mussel.core.job.ProofWork.Proof;
import mussel.core.job.ProofWork.Section;
import mussel.core.job.ProofWork.State;
import mussel.core.job.Scale;
import mussel.core.job.Topic;
import mussel.core.language.Messages;
import mussel.core.sheet.Interval;
import mussel.core.sheet.Phase;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.JobNote;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Marks;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.desktop.plan.StepList;
import mussel.work.desk.Desk;

/** Proving it: the shift's truth table, the leak test again, the run, and the hour after it; what each wrong answer means. */
public final class ProveStation implements StationView {
    private static final Messages TEXT = Messages.of(ProveStation.class);

    private static final Map<String, Scale> ASKED = Map.of(
            "shift_neutral", Scale.SHIFT_NEUTRAL,
            "shift_forward", Scale.SHIFT_FORWARD,
            "shift_reverse", Scale.SHIFT_REVERSE,
            "run_telltale", Scale.RUN_TELLTALE,
            "run_ahead", Scale.RUN_AHEAD,
            "run_astern", Scale.RUN_ASTERN,
            "run_sound", Scale.RUN_SOUND,
            "drips", Scale.DRIPS);

    private final JobFields fields;
    private final JobPicks picks;
    private final VBox sheet = new Column(12);
    private final Label head = Texts.wrapped("", "strong");
    private final Label reverse = Texts.caution("");
    private final Map<Section, VBox> sections = new EnumMap<>(Section.class);
    private final Map<String, ProofLine> lines = new HashMap<>();
    private final VBox overridden;
    private final JobNote override;
    private final Label recheck = Texts.sentence("");
    private final Label leakHint = Texts.dim("");
    private final StepList steps;
    private final Desk desk;
    private final Label countersigned = Texts.sentence("");
    private final Label refused = Texts.wrapped("", "refusal");
    private final Button countersign = new Button("Countersign");
    private final Row countersigning = new Row(12, countersign, new Column(0, countersigned, refused));

    /** The station of a job. */
    public ProveStation(Desk desk) {
        this.desk = desk;
        countersign.setId("countersign");
        countersign.setMinWidth(Row.USE_PREF_SIZE);
        countersign.setOnAction(e -> countersign());
        refused.managedProperty().bind(refused.textProperty().isNotEmpty());
        countersigning.setId("countersigning");
        countersigning.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        fields = new JobFields(desk);
        picks = new JobPicks(desk);
        steps = new StepList(desk, s -> s.phase() == Phase.PROVE);
        override = JobNote.line(
                desk, TEXT.get("prove_station.tagged_all_the_same_because"), Topic.PROOF_OVERRIDE.address());
        overridden = new Column(6, Texts.caution(TEXT.get("prove_station.a_failed_proof_holds_the_tag")), override);
        overridden.getStyleClass().addAll("card", "card-water");
        for (Section section : Section.values()) {
            sections.put(section, new Column(0));
        }
        head.setId("prove-head");
        sheet.getStyleClass().add("station");
        sheet.getChildren()
                .addAll(
                        Texts.title(TEXT.get("prove_station.prove")),
                        head,
                        countersigning,
                        overridden,
                        Texts.heading(TEXT.get("prove_station.by_hand_engine_still")),
                        reverse,
                        sections.get(Section.SHIFT),
                        Texts.heading(TEXT.get("prove_station.the_leak_test_again")),
                        leakHint,
                        sections.get(Section.LEAK),
                        Texts.heading(TEXT.get("prove_station.with_the_engine_running")),
                        Texts.caution(TEXT.get("prove_station.water_on_before_the_engine_starts")),
                        sections.get(Section.RUN),
                        fields.field(Field.RUN_TEMP),
                        Texts.heading(TEXT.get("prove_station.an_hour_later_and_after_the")),
                        sections.get(Section.AFTER),
                        recheck,
                        Texts.heading(TEXT.get("prove_station.steps_of_the_sheet")),
                        steps);
    }

    /** Not by somebody who learns himself. */
    private void countersign() {
        String by = desk.shop().by();
        if (desk.shop().yard().learns(by)) {
            refused.setText(TEXT.get("prove_station.learns_and_is_at_the_bench", by));
        } else {
            refused.setText("");
            desk.note(new Fact.Countersigned(desk.shop().today()));
        }
    }

    @Override
    public List<StationView.Key> keys() {
        return StepList.keys();
    }

    @Override
    public Node node() {
        return sheet;
    }

    @Override
    public void show(Assessment now) {
        ProofWork proof = now.proof();
        for (Proof each : proof.proofs()) {
            lines.computeIfAbsent(each.id(), id -> line(each)).show(each);
        }
        lines.forEach((id, line) -> line.shown(proof.proofs().stream().anyMatch(p -> p.id().equals(id))));
        boolean held = proof.proofs().stream().anyMatch(p -> p.section() == Section.LEAK);
        leakHint.setText(
                held
                        ? TEXT.get("prove_station.held_under_leak_hunt_as_before")
                        : TEXT.get("prove_station.not_asked_for_nothing_on_the"));
        fields.show(now);
        picks.show(now);
        steps.show(now);
        override.show(now);
        reverse.setText(proof.reverseCaution());
        boolean failed = !proof.failed().isEmpty();
        overridden.setVisible(failed);
        overridden.setManaged(failed);
        head.setText(proof.head());
        Countersign waiting = Countersign.of(now);
        countersigning.setVisible(!waiting.says().isEmpty());
        countersigning.setManaged(!waiting.says().isEmpty());
        countersign.setVisible(waiting.waits());
        countersign.setManaged(waiting.waits());
        countersigned.setText(waiting.says());
        Optional<String> again = now.sheet().intervals().stream()
                .filter(i -> i.counts() == Interval.Counts.OIL_RECHECK)
                .map(Interval::title)
                .findFirst();
        recheck.setText(now.due().stream()
                .filter(d -> again.equals(Optional.of(d.what())))
                .findFirst()
                .map(d -> TEXT.get("prove_station.look_at_the_oil_again_it", d.limits()))
                .orElse(TEXT.get("prove_station.look_at_the_oil_again_after")));
    }

    private ProofLine line(Proof proof) {
        Optional<PickRow> asked = Optional.ofNullable(ASKED.get(proof.id())).map(picks::row);
        ProofLine line = new ProofLine(proof.id(), asked);
        sections.get(proof.section()).getChildren().add(line);
        return line;
    }

    /** One proof: what is asked, and what the answer means. */
    private static final class ProofLine extends Row {
        private final Label says = Texts.sentence("");

        ProofLine(String id, Optional<PickRow> asked) {
            super(14);
            setId("proof-" + id);
            setAlignment(Pos.CENTER_LEFT);
            getStyleClass().add("part-row");
            asked.ifPresent(row -> {
                row.setMinWidth(USE_PREF_SIZE);
                row.getStyleClass().add("wide-row");
                getChildren().add(row);
            });
            HBox.setHgrow(says, Priority.ALWAYS);
            says.setMaxWidth(Double.MAX_VALUE);
            getChildren().add(says);
        }

        void show(Proof proof) {
            says.setText(proof.says());
            Texts.manner(says, proof.state() == State.FAILED ? "strong" : "plain");
            says.setGraphic(
                    switch (proof.state()) {
                        case OPEN -> Marks.open();
                        case PASSED -> Marks.done();
                        case FAILED -> Marks.caution();
                    });
        }

        void shown(boolean yes) {
            setVisible(yes);
            setManaged(yes);
        }
    }
}
