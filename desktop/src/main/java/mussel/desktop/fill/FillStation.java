package mussel.desktop.fill;

import java.util.List;
import java.util.OptionalDouble;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import mussel.core.fill.FillInput;
import mussel.core.fill.FillResult;
import mussel.core.fill.FillWords;
import mussel.core.job.Assessment;
import mussel.core.job.Field;
import mussel.core.job.OilGrade;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.sheet.Step;
import mussel.desktop.cutaway.OilPaint;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.desk.ManualValues;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.WhyButton;
import mussel.desktop.plan.StepList;
import mussel.work.desk.Desk;

/** New oil: how much, from which bottles, where to stop, and whether what went in is what should have. */
public final class FillStation implements StationView {
    private static final Messages TEXT = Messages.of(FillStation.class);

    private final JobFields fields;
    private final JobPicks picks;
    private final VBox sheet = new Column(12);
    private final Label how = Texts.dim("");
    private final VBox grade = new Column(3);
    private final Label need = Texts.wrapped("", "large");
    private final Label use = Texts.sentence("");
    private final Label check = Texts.wrapped("", "strong");
    private final BottleGlyph bottle = new BottleGlyph();
    private final VBox problems = new Column(4);
    private final HBox answer;
    private final StepList steps;
    private final ManualValues manual;

    /** The station of a job. */
    public FillStation(Desk desk) {
        fields = new JobFields(desk);
        picks = new JobPicks(desk);
        steps = new StepList(desk, Assessment::isFilling);
        manual = new ManualValues(desk, Station.FILL);
        sheet.getStyleClass().add("station");
        FlowPane bottles = new Flow(26, 8);
        for (FillInput.Bottle b : desk.shop().yard().bottles(FillInput.Holds.GEAR_OIL)) {
            String size = TEXT.get(
                    "fill_station.of",
                    b.name(),
                    Display.exact(Kind.VOLUME, b.ml(), desk.shop().yard().reads()));
            HBox pair = new Row(
                    8,
                    fields.field(
                                    Field.BOTTLE_HAVE,
                                    Field.BOTTLE_HAVE.of(b.name()),
                                    TEXT.get("fill_station.whole_owned"))
                            .optional(),
                    fields.field(
                                    Field.BOTTLE_OPENED,
                                    Field.BOTTLE_OPENED.of(b.name()),
                                    TEXT.get("fill_station.in_an_opened"))
                            .optional());
            bottles.getChildren().add(new Column(2, Texts.wrapped(size, "strong"), pair));
        }
        WhyButton why =
                new WhyButton("why-fill", () -> desk.now().fill().words().map(FillWords::whyNeed));
        VBox figures = new Column(6, need, use, why);
        answer = new Row(18, bottle, figures);
        answer.getStyleClass().add("card");
        sheet.getChildren()
                .addAll(
                        Texts.title(TEXT.get("fill_station.fill")),
                        how,
                        manual,
                        picks.oils(Scale.OIL_NEW),
                        grade,
                        bottles,
                        problems,
                        answer,
                        new Row(18, fields.field(Field.PUMPED), check),
                        steps);
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
        manual.show(now);
        fields.show(now);
        picks.show(now);
        steps.show(now);
        OptionalDouble capacity = now.sheet().oil().capacityMl();
        String fitting = now.sheet().construction().fitting();
        how.setText(TEXT.get(
                "fill_station.fill_the_makers_manual_outranks_it",
                (Step.says(now.sheet().oil().grade())
                        ? TEXT.get(
                                "fill_station.the_sheet_asks_for",
                                now.sheet().oil().grade())
                        : TEXT.get("fill_station.nobody_has_read_the_grade_of")),
                (capacity.isPresent()
                        ? TEXT.get(
                                "fill_station.to_the_vent",
                                Display.exact(
                                        Kind.VOLUME,
                                        capacity.getAsDouble(),
                                        now.yard().reads()))
                        : TEXT.get("fill_station.what_it_holds_is_not_known")),
                switch (now.sheet().construction().fill()) {
                    case DRAIN -> TEXT.get("fill_station.from_the_bottom_through_the_drain");
                    case FILL_HOLE -> TEXT.get("fill_station.through_the_fill_hole");
                    case UNKNOWN -> TEXT.get("fill_station.from_the_bottom_or_through_a");
                },
                (Step.says(fitting) ? TEXT.get("fill_station.fitting", fitting) : ""),
                now.sheet().origin(),
                now.yard().habits().map(h -> " " + h.refitting()).orElse("")));
        grade(now);
        problems.getChildren()
                .setAll(now.fill().problems().stream()
                        .map(p -> Texts.wrapped(
                                p.at().substring(1).replace('/', ' ').replace('_', ' ') + " " + p.problem() + ".",
                                "refusal"))
                        .toList());
        answer.setVisible(now.fill().result().isPresent());
        check.setText("");
        now.fill().result().ifPresent(result -> show(now, result));
    }

    /** The oil that goes in against the sheet's grade, and whether any goes in at all. */
    private void grade(Assessment now) {
        OilGrade held = now.oilGrade();
        grade.getChildren()
                .setAll(
                        held.match() == OilGrade.Match.RIGHT
                                ? Texts.sentence(held.says())
                                : Texts.caution(held.says()));
        boolean staysIn = !now.goals().isEmpty()
                && now.fillSteps().isEmpty()
                && now.job().reading(Field.DRAINED).isEmpty();
        if (staysIn) {
            grade.getChildren().setAll(Texts.sentence(TEXT.get("fill_station.for_this_work_the_oil_stays")));
        }
    }

    private void show(Assessment now, FillResult result) {
        FillWords words = now.fill().words().orElseThrow();
        need.setText(TEXT.get(
                "fill_station.in_all",
                Display.estimate(Kind.VOLUME, result.needMl(), now.yard().reads())));
        List<String> lines = result.pour().stream()
                .map(p -> TEXT.get(
                        "fill_station.pour_from_the",
                        Display.estimate(Kind.VOLUME, p.givesMl(), now.yard().reads()),
                        (p.origin() == FillResult.Origin.OPENED
                                ? "opened "
                                : p.origin() == FillResult.Origin.BOUGHT ? "bought " : ""),
                        p.name()))
                .toList();
        String cost = result.cost() > 0
                ? TEXT.get("fill_station.to_buy", now.yard().money().exact(result.cost()))
                : TEXT.get("fill_station.nothing_to_buy");
        use.setText(String.join("\n", lines) + (lines.isEmpty() ? "" : "\n") + words.leave() + "\n" + cost);
        check.setText(words.check());
        if (!result.pour().isEmpty()) {
            FillResult.Pour last = result.pour().get(result.pour().size() - 1);
            bottle.show(
                    last.holdsMl(),
                    last.leavesMl(),
                    OilPaint.fresh(now.oil().fill().dye()),
                    last.name(),
                    Display.estimate(Kind.VOLUME, last.leavesMl(), now.yard().reads()));
        }
    }
}
