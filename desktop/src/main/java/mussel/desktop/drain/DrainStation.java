package mussel.desktop.drain;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mussel.core.drain.DrainWords;
import mussel.core.job.Assessment;
import mussel.core.job.Field;
import mussel.core.job.MissingValue;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import mussel.core.job.Yard;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.Problem;
import mussel.core.sheet.Plug;
import mussel.core.sheet.SpecSheet;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.desk.ManualValues;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.WhyButton;
import mussel.work.desk.Desk;

/** What ran out: its look, its volume and weight, the magnets and the washers; and at once what that means. */
public final class DrainStation implements StationView {
    private static final Messages TEXT = Messages.of(DrainStation.class);

    private final Desk desk;
    private final JobFields fields;
    private final VBox sheet = new Column(10);
    private final ManualValues manual;
    private final Label subtitle = Texts.dim("");
    private final JobPicks picks;
    private PickRow waterRow;
    private PickRow heatRow;
    private PickRow metalRow;
    private Optional<Yard.Dye> painted = Optional.empty();
    private final Label balanceText = Texts.wrapped("", "strong");
    private final BalanceStrip balance = new BalanceStrip();
    private final Label waterText = Texts.wrapped("", "strong");
    private final WaterStrip water = new WaterStrip();
    private final Label waitText = Texts.sentence("");
    private final Label frostText = Texts.sentence("");
    private final VBox balanceCard;
    private final VBox waterCard;
    private final VBox waitCard;
    private final VBox problems = new Column(4);
    private final VBox plugs = new Column(8);
    private final PropellerCard propeller;
    private final Map<Plug, Button> withoutMagnet = new HashMap<>();
    private final Map<Plug, Node> plugsOf = new HashMap<>();

    /** The station of a job. */
    public DrainStation(Desk desk) {
        this.desk = desk;
        this.fields = new JobFields(desk);
        this.picks = new JobPicks(desk);
        balanceCard = card("card", balanceText, balance, why("why-balance", DrainWords::whyExpected));
        waterCard = card("card", waterText, water, why("why-water", DrainWords::whyWater));
        waterCard.getStyleClass().add("card-water");
        waitCard = card("card", waitText, null, why("why-wait", DrainWords::whyWait));
        waitCard.getStyleClass().add("card-info");
        waitCard.getChildren().add(beside(frostText, why("why-frost", DrainWords::whyFrost)));
        manual = new ManualValues(desk, Station.DRAIN, m -> !m.at().equals(MissingValue.RUNOUT));
        propeller = new PropellerCard(desk, fields, picks);
        problems.getStyleClass().add("problems");
        sheet.getStyleClass().add("station");
        sheet.getChildren()
                .addAll(
                        Texts.title(TEXT.get("drain_station.drain")),
                        subtitle,
                        manual,
                        looks(),
                        volumes(),
                        problems,
                        balanceCard,
                        waterCard,
                        metals(),
                        plugs,
                        Texts.heading(TEXT.get("drain_station.settled_weighed_rested")),
                        jarAndVent(),
                        waitCard,
                        propeller,
                        Texts.dim(TEXT.get("drain_station.a_clean_magnet_says_nothing_about")));
    }

    @Override
    public Node node() {
        return sheet;
    }

    private Node looks() {
        waterRow = picks.row(Scale.OIL_WATER);
        heatRow = picks.row(Scale.OIL_HEAT);
        return new Flow(14, 8, waterRow, heatRow);
    }

    private Node metals() {
        metalRow = picks.row(Scale.OIL_METAL);
        PickRow crack = picks.row(Scale.VENT_CRACK);
        PickRow type = picks.row(Scale.OIL_TYPE);
        return new Flow(18, 8, metalRow, new Column(8, crack, type));
    }

    private Node volumes() {
        FlowPane row = new Flow(8, 6);
        row.getChildren()
                .addAll(
                        fields.field(Field.DRAINED),
                        fields.field(Field.FREE_WATER),
                        fields.field(Field.OIL_TEMP),
                        fields.field(Field.MINUTES),
                        fields.field(Field.MASS).optional());
        return row;
    }

    private Node jarAndVent() {
        FlowPane row = new Flow(8, 6);
        row.getChildren()
                .addAll(
                        fields.field(Field.JAR_TOTAL).optional(),
                        fields.field(Field.JAR_WATER).optional(),
                        fields.field(Field.JAR_EMULSION).optional(),
                        fields.field(Field.MEASURED_TEMP).optional(),
                        fields.field(Field.REST).optional(),
                        picks.row(Scale.VENT).optional());
        return row;
    }

    /** The rows of a leg's plugs; plugs that are alike are one row, whatever leg has them. */
    private void plugs(SpecSheet sheet) {
        List<Node> rows = sheet.plugs().stream()
                .map(plug -> plugsOf.computeIfAbsent(plug, this::plug))
                .toList();
        if (!plugs.getChildren().equals(rows)) {
            plugs.getChildren().setAll(rows);
        }
    }

    private Node plug(Plug plug) {
        FlowPane row = new Flow(18, 8);
        if (plug.magnetic()) {
            row.getChildren().add(plugRow(Scale.MAGNET, plug, plug.title() + ": magnet", Glyphs::magnet));
            row.getChildren().add(without(plug));
        }
        row.getChildren().add(plugRow(Scale.WASHERS, plug, plug.title() + ": washer", Glyphs::washer));
        return row;
    }

    /** The answer to whether a plug has a magnet at all, for a leg whose sheet does not say; it is kept in the sheet. */
    private Button without(Plug plug) {
        Button none = new Button(TEXT.get("drain_station.no_magnet"));
        none.setId("no-magnet-" + plug.id());
        none.setAccessibleText(TEXT.get("drain_station.has_no_magnet", plug.title()));
        none.managedProperty().bind(none.visibleProperty());
        none.setOnAction(e -> {
            desk.shop().sheets().answer(desk.job().leg().family(), "magnet_" + plug.id(), Optional.of("false"));
            desk.said();
        });
        withoutMagnet.put(plug, none);
        return none;
    }

    private Node plugRow(Scale scale, Plug plug, String label, Function<String, Node> picture) {
        return picks.row(scale.of(plug.id()), label, scale.outcomes(), picture);
    }

    private WhyButton why(String id, Function<DrainWords, mussel.core.measure.Explanation> of) {
        return new WhyButton(id, () -> desk.now().drain().words().map(of));
    }

    private static VBox card(String style, Label text, Node strip, WhyButton why) {
        VBox card = new Column(2, beside(text, why));
        card.getStyleClass().add(style);
        if (strip != null) {
            card.getChildren().add(strip);
        }
        return card;
    }

    private static HBox beside(Label text, Node button) {
        HBox.setHgrow(text, Priority.ALWAYS);
        text.setMaxWidth(Double.MAX_VALUE);
        HBox row = new Row(8, text, button);
        row.setMinHeight(Region.USE_PREF_SIZE);
        return row;
    }

    @Override
    public void show(Assessment now) {
        manual.show(now);
        plugs(now.sheet());
        boolean own = desk.shop().sheets().describes(now.sheet().id());
        withoutMagnet.forEach((plug, none) -> none.setVisible(
                own && now.job().choice(Scale.MAGNET.of(plug.id())).isEmpty()));
        fields.show(now);
        subtitle.setText(
                subtitle(now) + now.yard().habits().map(h -> " " + h.draining()).orElse(""));
        picks.show(now);
        propeller.show(now);
        paintJars(now.oil().was().dye());
        problems.getChildren()
                .setAll(now.drain().problems().stream()
                        .map(DrainStation::problem)
                        .toList());
        problems.setVisible(!now.drain().problems().isEmpty());
        problems.setManaged(problems.isVisible());
        boolean known = now.drain().result().isPresent();
        for (VBox card : List.of(balanceCard, waterCard, waitCard)) {
            card.setVisible(known);
            card.setManaged(known);
        }
        now.drain().words().ifPresent(words -> {
            balanceText.setText(words.balance());
            balance.show(
                    now.drain().input().orElseThrow(),
                    now.drain().result().orElseThrow(),
                    now.yard().reads());
            waterText.setText(words.water());
            water.show(now.drain().result().orElseThrow().water());
            waitText.setText(words.waiting());
            frostText.setText(words.frosty() ? words.frost() : "");
            frostText.getParent().setVisible(words.frosty());
            frostText.getParent().setManaged(words.frosty());
        });
    }

    /** Fills the jars with the oil that was in this leg. */
    private void paintJars(Yard.Dye dye) {
        if (!painted.equals(Optional.of(dye))) {
            painted = Optional.of(dye);
            waterRow.repaint(o -> Glyphs.jar(dye, o, "fresh", "none"));
            heatRow.repaint(o -> Glyphs.jar(dye, "none", o, "none"));
            metalRow.repaint(o -> Glyphs.jar(dye, "none", "fresh", o));
        }
    }

    private static Node problem(Problem problem) {
        String what = problem.at().isEmpty()
                ? TEXT.get("drain_station.the_readings")
                : problem.at().substring(1).replace('_', ' ').replace('/', ' ');
        return Texts.wrapped(what + " " + problem.problem() + ".", "refusal");
    }

    private static String subtitle(Assessment now) {
        OptionalDouble typed = now.job().reading(Field.FILL);
        OptionalDouble went = typed.isPresent() ? typed : now.sheet().oil().capacityMl();
        String fill = went.isPresent()
                ? Display.exact(Kind.VOLUME, went.getAsDouble(), now.yard().reads())
                : TEXT.get("drain_station.not_known");
        String hours = now.job().reading(Field.HOURS_SINCE_FILL).isPresent()
                ? TEXT.get(
                        "drain_station.ago",
                        Display.exact(
                                Kind.RUNNING,
                                now.job().reading(Field.HOURS_SINCE_FILL).getAsDouble(),
                                now.yard().reads()))
                : "";
        boolean assumed = typed.isEmpty() && went.isPresent();
        return TEXT.get(
                "drain_station.last_fill_crack_the_vent_slowly",
                fill,
                (assumed ? TEXT.get("drain_station.the_sheets_capacity_not_measured") : ""),
                now.oil().wasNamed().orElse(TEXT.get("drain_station.oil_not_known")),
                hours);
    }
}
