package mussel.desktop.pump;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Field;
import mussel.core.job.PumpHabit;
import mussel.core.job.PumpWork;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import mussel.core.job.Topic;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.pump.PumpInput.Extent;
import mussel.core.pump.PumpResult.Judged;
import mussel.core.pump.PumpResult.PartVerdict;
import mussel.core.pump.PumpResult.Rule;
import mussel.core.pump.PumpWords;
import mussel.core.sheet.PumpPolicy;
import mussel.core.sheet.PumpSheet;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.JobNote;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.desk.ManualValues;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Marks;
import mussel.desktop.kit.Pages;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.WhyButton;
import mussel.work.desk.Desk;

/** The water pump: the impeller as a wheel to mark, its plate, housing, hub and key, the telltale, and what each part comes to. */
public final class PumpStation implements StationView {
    private static final Messages TEXT = Messages.of(PumpStation.class);

    private static final double VANE_WIDTH = 326;
    /** The finding of oil that has crept up onto the plate. */
    private static final String RING = "ring_under_impeller";

    private final Desk desk;
    private final JobFields fields;
    private final JobPicks picks;
    private final VBox sheet = new Column(12);
    private final Pages wheels = new Pages();
    private final Map<Integer, ImpellerWheel> wheelOf = new HashMap<>();
    private final Pages vane = new Pages();
    private final Map<Integer, VaneCard> vanes = new HashMap<>();
    private final VBox verdicts = new Column(6);
    private final VBox lost;
    private final JobNote found;
    private final TelltaleCard telltale;
    private final FlowChart chart = new FlowChart();
    private final PickRow policy;
    private final PickRow extent;
    private final Label habit = Texts.dim("");
    private final Label limits = Texts.dim("");
    private final ManualValues manual;
    private int picked = 1;

    /** The station of a job. */
    public PumpStation(Desk desk) {
        this.desk = desk;
        manual = new ManualValues(desk, Station.PUMP);
        fields = new JobFields(desk);
        picks = new JobPicks(desk);
        telltale = new TelltaleCard(desk);
        found = JobNote.line(desk, TEXT.get("pump_station.where_the_piece_was_found"), Topic.PIECE_FOUND.address());
        lost = new Column(6, Texts.caution(PumpWords.missingPiece()), found);
        lost.getStyleClass().addAll("card", "card-water");
        policy = habitRow("pump-policy", "Renewed", PumpPolicy.values());
        extent = habitRow("pump-extent", TEXT.get("pump_station.how_much"), Extent.values());
        policy.onPick(p -> p.ifPresent(id -> setHabit(PumpPolicy.valueOf(id.toUpperCase(Locale.ROOT)), null)));
        extent.onPick(x -> x.ifPresent(id -> setHabit(null, Extent.valueOf(id.toUpperCase(Locale.ROOT)))));
        vane.setPrefWidth(VANE_WIDTH);
        sheet.getStyleClass().add("station");
        sheet.getChildren()
                .addAll(
                        Texts.title(TEXT.get("pump_station.pump")),
                        new Flow(14, 10, new Column(8, wheels, seen()), vane),
                        lost,
                        verdicts,
                        new Flow(
                                18,
                                8,
                                picks.row(
                                        Address.the(PumpWork.HUB_BOND),
                                        TEXT.get("pump_station.hub_bond_a_vane_pulled"),
                                        List.of("sound", "lifting", "slipped"),
                                        o -> null),
                                picks.row(
                                        Address.the(PumpWork.PUMP_KEY),
                                        TEXT.get("pump_station.key_or_pin"),
                                        List.of("sound", "worn", "sheared"),
                                        o -> null),
                                picks.row(
                                        Scale.RUBBER.address(),
                                        Scale.RUBBER.label(),
                                        Scale.RUBBER.outcomes(),
                                        o -> null),
                                picks.row(
                                        Scale.HOUSING_STATE.address(),
                                        Scale.HOUSING_STATE.label(),
                                        Scale.HOUSING_STATE.outcomes(),
                                        o -> null),
                                picks.row(
                                        Address.the(RING),
                                        TEXT.get("pump_station.under_the_impeller"),
                                        List.of("none", "film", "ring"),
                                        o -> null)),
                        Texts.dim(PumpWords.underTheImpeller()),
                        new Flow(
                                12,
                                6,
                                fields.field(Field.FACE_WEAR),
                                fields.field(Field.PLATE_GROOVE),
                                fields.field(Field.PLATE_WARP),
                                fields.field(Field.HOUSING_GROOVE),
                                fields.field(Field.IMPELLER_AGE).wide()),
                        limits,
                        manual,
                        Texts.heading(TEXT.get("pump_station.telltale_by_bucket_and_stopwatch")),
                        telltale,
                        chart,
                        new WhyButton("why-flow", () -> desk.now()
                                .pump()
                                .input()
                                .geometry()
                                .map(g -> desk.now().pump().words().whyFlow())),
                        Texts.heading(TEXT.get("pump_station.the_yards_habit")),
                        new Flow(18, 8, policy, extent),
                        habit);
        pick(1);
    }

    private Node seen() {
        return picks.bound(
                Scale.VANES_SEEN.address(),
                "",
                List.of(Choice.text("yes", TEXT.get("pump_station.all_looked_at_rest_sound"))));
    }

    private static <E extends Enum<E>> PickRow habitRow(String id, String label, E[] values) {
        List<Choice> choices = Stream.of(values)
                .map(v -> Choice.text(
                        v.name().toLowerCase(Locale.ROOT),
                        v.name().toLowerCase(Locale.ROOT).replace('_', ' ')))
                .toList();
        return new PickRow(id, label, choices).keepsOne();
    }

    private void setHabit(PumpPolicy when, Extent much) {
        PumpHabit was = desk.now().yard().pump();
        desk.shop()
                .setHabit(new PumpHabit(
                        when == null ? was.policy() : when, was.calendarMonths(), much == null ? was.extent() : much));
        desk.refresh();
    }

    private void pick(int number) {
        picked = number;
        Assessment now = desk.now();
        VaneCard card = vanes.computeIfAbsent(number, n -> new VaneCard(desk, n));
        card.show(now);
        vane.show(card);
        wheel(now);
    }

    /** A vane dragged to how it looks: its set is entered when it is let go. */
    private void bent(int number, double degrees, boolean done) {
        Address at = Field.VANE_SET.of(String.valueOf(number));
        if (done) {
            desk.read(
                    at,
                    degrees,
                    Display.exact(Kind.ANGLE, degrees, desk.now().yard().reads()) + ", dragged");
        }
    }

    /** The wheel has as many vanes as the family's pump. */
    private void wheel(Assessment now) {
        int count = PumpWork.vaneCount(now.sheet());
        ImpellerWheel wheel = wheelOf.computeIfAbsent(count, n -> new ImpellerWheel(n, this::pick, this::bent));
        wheels.show(wheel);
        wheel.show(now.pump().input().vanes(), picked);
    }

    @Override
    public boolean running() {
        return telltale.running();
    }

    @Override
    public Node node() {
        return sheet;
    }

    @Override
    public void show(Assessment now) {
        fields.show(now);
        picks.show(now);
        if (picked > PumpWork.vaneCount(now.sheet())) {
            pick(1);
        }
        vanes.get(picked).show(now);
        wheel(now);
        telltale.show(now);
        found.show(now);
        boolean missing = now.pump().result().missingPiece();
        lost.setVisible(missing);
        lost.setManaged(missing);
        verdicts.getChildren()
                .setAll(now.pump().result().parts().stream()
                        .map(PumpStation::row)
                        .toList());
        Optional<PumpSheet> pump = now.sheet().pump();
        boolean flow = pump.flatMap(PumpSheet::geometry).isPresent()
                && pump.get().telltaleShare().isPresent();
        chart.setVisible(flow);
        chart.setManaged(flow);
        if (flow) {
            chart.show(now.pump().result(), pump.get().telltaleShare().getAsDouble());
        }
        manual.show(now);
        limits.setText(pump.filter(p -> p.limits().isPresent())
                .map(p -> String.format(
                        Locale.ROOT,
                        "Limits: tip %.1f mm, set %.0f°, grooves %.2f mm, plate warp %.2f mm. %s%s; the maker's manual comes first.",
                        p.limits().get().tipWearMm(),
                        p.limits().get().setDeg(),
                        p.limits().get().plateGrooveMm(),
                        p.limits().get().plateWarpMm(),
                        now.sheet().origin(),
                        Texts.page(p.page())))
                .orElse(TEXT.get("pump_station.the_sheet_gives_no_limits_for")));
        PumpHabit yard = now.yard().pump();
        policy.show(Optional.of(yard.policy().name().toLowerCase(Locale.ROOT)));
        extent.show(Optional.of(yard.extent().name().toLowerCase(Locale.ROOT)));
        habit.setText(PumpWords.policy(yard.policy()) + " " + PumpWords.extent(yard.extent()));
    }

    private static Node row(Judged part) {
        Label verdict = Texts.wrapped(PumpWords.title(part.part()) + ": " + PumpWords.title(part.verdict()), "strong");
        verdict.setGraphic(
                part.verdict() == PartVerdict.REPLACE
                        ? Marks.caution()
                        : part.verdict() == PartVerdict.REUSE ? Marks.done() : Marks.open());
        verdict.getStyleClass().add("col-verdict");
        verdict.setId("pump-" + part.part());
        Label rules = Texts.sentence(
                part.rules().isEmpty()
                        ? TEXT.get("pump_station.no_rule_speaks_against_it")
                        : String.join(" ", part.rules().stream().map(Rule::says).toList()));
        HBox row = new Row(10, verdict, rules);
        row.getStyleClass().add("verdict-row");
        HBox.setHgrow(rules, Priority.ALWAYS);
        return row;
    }
}
