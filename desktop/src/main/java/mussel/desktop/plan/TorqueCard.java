package mussel.desktop.plan;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mussel.core.instrument.TorqueWrench;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Scale;
import mussel.core.job.TorqueWork;
import mussel.core.job.TorqueWork.Bolt;
import mussel.core.job.TorqueWork.State;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.TorqueUnit;
import mussel.core.sheet.Fastener;
import mussel.core.sheet.Step;
import mussel.core.torque.TorqueResult;
import mussel.core.torque.TorqueWords;
import mussel.desktop.desk.JobFields;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.WhyButton;
import mussel.work.desk.Desk;

/** One group of fasteners: the wrench and its setting in large figures, the bolts in their order, and what each was brought to. */
final class TorqueCard extends Column {
    private static final Messages TEXT = Messages.of(TorqueCard.class);

    private static final List<TorqueUnit> UNITS =
            List.of(TorqueUnit.NM, TorqueUnit.LBF_IN, TorqueUnit.LBF_FT, TorqueUnit.KGF_M);

    private final Desk desk;
    private final JobFields fields;
    private final String fastener;
    private final Label title = Texts.wrapped("", "strong");
    private final Label setting = Texts.wrapped("", "large");
    private final Label wrench = Texts.sentence("");
    private final Label range = Texts.dim("");
    private final Label secured = Texts.dim("");
    private final VBox warnings = new Column(3);
    private final Label glance = Texts.sentence("");
    private final BoltPattern pattern;
    private final Button pull = new Button("Torque next with the simulated wrench");
    private final PickRow threads;
    private final FlowPane drag;
    private TorqueWork shown;

    TorqueCard(Desk desk, Fastener group) {
        super(6);
        this.desk = desk;
        this.fastener = group.id();
        fields = new JobFields(desk);
        pattern = new BoltPattern(this::byHand);
        getStyleClass().add("card");
        pull.setId("pull-" + fastener);
        pull.getStyleClass().add("simulated");
        pull.setOnAction(e -> shown.next().ifPresent(b -> simulated(b.number())));
        FlowPane adapter = new Flow(
                12,
                6,
                fields.field(Field.ADAPTER, Field.ADAPTER.of(fastener), Field.ADAPTER.label()),
                fields.field(Field.ADAPTER_ANGLE, Field.ADAPTER_ANGLE.of(fastener), Field.ADAPTER_ANGLE.label()));
        drag = new Flow(fields.field(Field.PREVAILING, Field.PREVAILING.of(fastener), Field.PREVAILING.label()));
        drag.managedProperty().bind(drag.visibleProperty());
        threads = new PickRow(
                "threads-" + fastener,
                Scale.THREADS.label(),
                Scale.THREADS.outcomes().stream().map(o -> Choice.text(o, o)).toList());
        threads.keepsOne().onPick(o -> desk.choose(Scale.THREADS.of(fastener), o));
        WhyButton why = new WhyButton(
                "why-torque-" + fastener, () -> Optional.of(TorqueWords.why(shown.input(), shown.result())));
        VBox words = new Column(4, setting, wrench, range, why, adapter, drag, threads, glance, pull);
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMinWidth(220);
        getChildren().addAll(title, new Row(18, words, pattern), warnings, secured);
    }

    /** A bolt pressed: brought to the setting by hand, or opened again. */
    private void byHand(int bolt) {
        Address at = TorqueWork.address(fastener, bolt);
        if (desk.job().reading(at).isPresent()) {
            desk.note(new Fact.Cleared(at));
            return;
        }
        if (shown.result().unitAsked()) {
            // Nothing is entered for a torque whose unit is asked for.
            return;
        }
        double nm = shown.result()
                .choice()
                .map(TorqueResult.Choice::deliveredNm)
                .orElse(shown.result().target().nm());
        desk.read(at, nm, Display.significant(nm) + " N·m, clicked");
    }

    private void simulated(int bolt) {
        TorqueWrench practice =
                desk.shop().instruments().torqueWrench(desk.job().id() * 101L + fastener.hashCode());
        double nm = shown.result()
                .choice()
                .map(TorqueResult.Choice::deliveredNm)
                .orElse(shown.result().target().nm());
        double accuracy = shown.result()
                .choice()
                .map(c -> (c.highNm() - c.deliveredNm()) / c.deliveredNm())
                .orElse(0.04);
        double reached = nm;
        for (int i = 0; i < bolt; i++) {
            reached = practice.pull(nm, accuracy);
        }
        desk.note(new Fact.Read(
                TorqueWork.address(fastener, bolt),
                reached,
                Display.significant(reached) + " N·m",
                practice.name(),
                practice.simulated()));
    }

    void show(Assessment now, TorqueWork work) {
        shown = work;
        fields.show(now);
        Fastener group = work.fastener();
        drag.setVisible(group.locknut());
        title.setText(group.named());
        threads.show(Optional.of(work.input().condition().name().toLowerCase(Locale.ROOT)));
        TorqueResult out = work.result();
        setting.setText(out.choice()
                .map(c -> number(c.setting()) + " " + c.unit().symbol())
                .orElse(
                        out.unitAsked()
                                ? TEXT.get("torque_card.which_unit_is_it_in")
                                : TEXT.get("torque_card.no_wrench_keeps_this_range")));
        wrench.setText(out.choice().map(c -> words(now, c, out)).orElseGet(() -> why(out)));
        range.setText(
                String.join("; ", UNITS.stream().map(u -> work.range().range(u)).toList()));
        warnings.getChildren()
                .setAll(out.warnings().stream().map(Texts::caution).toList());
        if (group.hand() == Fastener.Hand.LEFT) {
            warnings.getChildren().add(0, Texts.caution(TEXT.get("torque_card.left_hand_thread_it_tightens_counter")));
        }
        long simulated = work.bolts().stream().filter(Bolt::simulated).count();
        glance.setText(TEXT.get(
                "torque_card.of_done",
                work.count(State.DONE),
                work.bolts().size(),
                (work.count(State.UNDER) > 0 ? TEXT.get("torque_card.under", work.count(State.UNDER)) : ""),
                (work.count(State.OVER) > 0
                        ? TEXT.get("torque_card.over_back_off_and_start_again", work.count(State.OVER))
                        : ""),
                (simulated > 0 ? TEXT.get("torque_card.by_a_simulated_wrench_which_tightens", simulated) : "")));
        pattern.show(work);
        pull.setDisable(work.next().isEmpty() || out.unitAsked());
        secured.setText(TEXT.get(
                "torque_card.sheet_page",
                group.page(),
                (Step.says(group.secured()) ? "; " + group.secured() : ""),
                (group.isHidden() ? TEXT.get("torque_card.hidden", group.hidden()) : "")));
    }

    private static String words(Assessment now, TorqueResult.Choice choice, TorqueResult out) {
        boolean overdue = now.yard().wrenches().stream()
                .filter(w -> w.wrench().id().equals(choice.wrench()))
                .anyMatch(w -> w.overdue(now.today()));
        String stage = out.stages().size() > 1 && out.stages().get(0).setting().isPresent()
                ? TEXT.get(
                        "torque_card.first_all_to_then_this",
                        number(out.stages().get(0).setting().getAsDouble()),
                        choice.unit().symbol())
                : "";
        return TEXT.get(
                "torque_card.on_the_n_m_reach_the",
                choice.wrench(),
                Display.significant(choice.deliveredNm()),
                Display.significant(choice.lowNm()),
                Display.significant(choice.highNm()),
                stage,
                (overdue ? TEXT.get("torque_card.its_calibration_is_overdue") : ""));
    }

    private static String why(TorqueResult out) {
        if (out.unitAsked()) {
            return "";
        }
        return out.refused().isEmpty()
                ? TEXT.get("torque_card.the_yards_sheet_lists_no_wrenches")
                : String.join(
                        " ",
                        out.refused().stream()
                                .map(r -> TEXT.get("torque_card.the", r.wrench(), r.why()))
                                .toList());
    }

    private static String number(double setting) {
        return setting == Math.rint(setting) ? String.valueOf((long) setting) : Display.significant(setting);
    }
}
