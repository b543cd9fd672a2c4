package mussel.desktop.estimate;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import mussel.core.brief.Brief.Handle;
import mussel.core.estimate.EstimateInput.Doubtful;
import mussel.core.estimate.EstimateWords;
import mussel.core.job.Assessment;
import mussel.core.job.Consent;
import mussel.core.job.Field;
import mussel.core.job.OneVisit;
import mussel.core.job.RepairWorth;
import mussel.core.job.Scale;
import mussel.core.job.Topic;
import mussel.core.job.YardHabits;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Money;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.JobNote;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.desk.Paper;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** Whether it is worth doing: repair, exchange and leaving it on one scale, what may come on top, and where the answer flips. */
public final class EstimateStation implements StationView {
    private static final Messages TEXT = Messages.of(EstimateStation.class);

    private final Desk desk;
    private final JobFields fields;
    private final JobPicks picks;
    private final VBox sheet = new Column(12);
    private final Label advice = Texts.wrapped("", "strong");
    private final Label range = Texts.sentence("");
    private final CostAxis bars = new CostAxis();
    private final VBox doubtful = new Column(3);
    private final VBox flips = new Column(3);
    private final JobNote consentBy;
    private final Label consentSaid = Texts.sentence("");
    private final Column beyond = new Column(2);
    private final VBox body;
    private final Label nothing =
            Texts.sentence("No repairs yet. Choose them at Diagnosis or Strip-down to get an estimate.");
    private final Label visit = Texts.wrapped("", "strong");
    private final Label held = Texts.dim("");
    private final Label origin = Texts.dim("");
    private final Label printed = Texts.dim("");
    private final Button print = new Button("Print estimate");

    /** The station of a job. */
    public EstimateStation(Desk desk) {
        this.desk = desk;
        fields = new JobFields(desk);
        picks = new JobPicks(desk);
        consentBy = JobNote.line(desk, TEXT.get("estimate_station.said_by"), Topic.CONSENT_BY.address());
        print.setId("print-estimate");
        print.setOnAction(e -> Paper.place(
                        desk.shop(), sheet, "Estimate", "estimate-" + desk.job().id() + ".pdf")
                .ifPresent(this::print));
        FlowPane given = new Flow(
                12,
                6,
                fields.field(Field.PARTS_COST),
                fields.field(Field.TOOLS_COST),
                fields.field(Field.REPAIR_LIFE),
                fields.field(Field.REPAIR_DAYS),
                fields.field(Field.DOWNTIME_COST));
        FlowPane decided = new Flow(
                18,
                8,
                picks.row(Scale.CORE_BACK),
                picks.bound(
                        Scale.OWNER_SAYS.address(),
                        Scale.OWNER_SAYS.label(),
                        List.of(
                                Choice.text("repair", TEXT.get("estimate_station.repair_it")),
                                Choice.text("exchange", TEXT.get("estimate_station.exchange_it")),
                                Choice.text("leave", TEXT.get("estimate_station.leave_it")))));
        Flow asked = new Flow(
                12,
                8,
                picks.row(Scale.CONSENT)
                        .optional()
                        .onPick(answer -> desk.note(new Consent(desk.now()).entered(answer))),
                fields.field(Field.CONSENT_LIMIT).optional(),
                picks.row(Scale.CONSENT_HOW).optional(),
                consentBy);
        consentSaid.setId("consent-said");
        HBox paper = new Row(12, print, printed);
        paper.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        body = new Column(
                12,
                visit,
                advice,
                range,
                held,
                bars,
                decided,
                Texts.heading(TEXT.get("estimate_station.what_the_owner_says_to_it")),
                asked,
                consentSaid,
                beyond,
                paper,
                Texts.heading(TEXT.get("estimate_station.what_goes_in")),
                given,
                origin,
                doubtful,
                flips);
        sheet.getStyleClass().add("station");
        sheet.getChildren().addAll(Texts.title(TEXT.get("estimate_station.estimate")), nothing, body);
    }

    /** Writes the owner's estimate, off the interface thread. */
    public void print(Path file) {
        Assessment now = desk.now();
        Paper.write(
                desk.shop(),
                TEXT.get("estimate_station.the_estimate"),
                file,
                () -> desk.shop().papers().estimate(now, file),
                printed::setText);
    }

    @Override
    public boolean press(Handle handle) {
        if (handle == Handle.PRINT_ESTIMATE) {
            Paper.placeAsLast(
                            desk.shop(),
                            sheet,
                            "Estimate",
                            "estimate-" + desk.job().id() + ".pdf")
                    .ifPresent(this::print);
        }
        return handle == Handle.PRINT_ESTIMATE;
    }

    /** What was said of the last print. */
    public String printed() {
        return printed.getText();
    }

    @Override
    public Node node() {
        return sheet;
    }

    @Override
    public void show(Assessment now) {
        fields.show(now);
        picks.show(now);
        consentBy.show(now);
        Consent consent = new Consent(now);
        consentSaid.setText(consent.says());
        beyond.getChildren()
                .setAll(consent.beyond().map(Texts::caution).stream().toList());
        Optional<OneVisit> both = now.visit();
        visit.setText(both.map(OneVisit::says).orElse(""));
        visit.setVisible(both.isPresent());
        visit.setManaged(both.isPresent());
        held.setText(now.own().quoted());
        held.setVisible(!held.getText().isEmpty());
        held.setManaged(held.isVisible());
        Optional<RepairWorth> worth = OneVisit.worthOf(now);
        nothing.setVisible(worth.isEmpty());
        nothing.setManaged(worth.isEmpty());
        body.setVisible(worth.isPresent());
        body.setManaged(worth.isPresent());
        worth.ifPresent(w -> show(now, w));
    }

    private void show(Assessment now, RepairWorth worth) {
        EstimateWords words = worth.words();
        advice.setText(words.advice());
        range.setText(words.range());
        bars.show(worth.words(), worth.result().options(), worth.result().cheapest());
        origin.setText(TEXT.get(
                "estimate_station.work_at_an_hour_parts",
                (now.visit().isPresent()
                        ? TEXT.get(
                                "estimate_station.on_the_mean_for_both_legs",
                                Display.workTime(worth.input().minutes().mean()))
                        : now.planWords().time()),
                now.yard().money().exact(worth.input().labourPerH()),
                now.yard().money().exact(worth.input().partsTotal()),
                (now.job().reading(Field.PARTS_COST).isPresent()
                        ? TEXT.get("estimate_station.as_typed")
                        : TEXT.get("estimate_station.the_least_each_costs_singly_in")),
                (worth.unpriced().isEmpty()
                        ? ""
                        : TEXT.get("estimate_station.no_price_is_listed_for", String.join(", ", worth.unpriced())))));
        doubtful.getChildren().clear();
        YardHabits.trace(now).ifPresent(t -> doubtful.getChildren().add(Texts.sentence(t)));
        if (!worth.input().doubtful().isEmpty()) {
            doubtful.getChildren().add(Texts.heading(TEXT.get("estimate_station.what_may_come_on_top")));
            worth.input().doubtful().stream()
                    .limit(6)
                    .map(d -> line(now.yard().money(), d))
                    .forEach(doubtful.getChildren()::add);
        }
        flips.getChildren().setAll(words.flips().stream().map(Texts::sentence).toList());
        flips.getChildren().add(Texts.dim(TEXT.get("estimate_station.these_are_estimates_what_is_found")));
    }

    private static Label line(Money money, Doubtful part) {
        return Texts.sentence(TEXT.get(
                "estimate_station.about_with_its_work_needed_in",
                part.part(),
                money.sum(part.price()),
                Math.round(100 * part.probability())));
    }
}
