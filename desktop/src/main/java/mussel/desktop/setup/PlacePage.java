package mussel.desktop.setup;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mussel.core.instrument.DialIndicator;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Scale;
import mussel.core.job.SetupPlace;
import mussel.core.job.SetupPlace.LashAnswer;
import mussel.core.job.SetupPlace.School;
import mussel.core.job.SetupWork;
import mussel.core.language.Messages;
import mussel.core.measure.Explanation;
import mussel.core.sheet.SetupSheet;
import mussel.core.sheet.SetupSheet.GearPlace;
import mussel.core.shim.LashInput.Thicker;
import mussel.core.shim.ShimWords;
import mussel.desktop.desk.JobFields;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.WhyButton;
import mussel.work.desk.Desk;

/** One place of the set-up: its school, what that school needs, the stack it asks for, and for a gear the lash read with it in. */
final class PlacePage extends Column {
    private static final Messages TEXT = Messages.of(PlacePage.class);

    private static final int READINGS = 6;
    private static final int HEIGHTS = 4;

    private final Desk desk;
    private final String place;
    private final Optional<GearPlace> gear;
    private final JobFields fields;
    private final PickRow school;
    private final PickRow armOn;
    private final Label assumes = Texts.dim("");
    private final VBox marks;
    private final VBox measured;
    private final LashRing ring = new LashRing();
    private final WhyButton why;
    private final VBox words = new Column(4);
    private final VBox moves = new Column(4);
    private final Stacks stacks;
    private final VBox after;
    private final LashRing ringAfter = new LashRing();
    private final VBox wordsAfter = new Column(4);
    private final Label trouble = Texts.wrapped("", "refusal");
    private final List<Button> practice = new ArrayList<>();

    PlacePage(Desk desk, SetupSheet sheet, Optional<GearPlace> gear) {
        super(10);
        this.desk = desk;
        this.gear = gear;
        this.place = gear.map(GearPlace::id).orElse(SetupPlace.PINION);
        fields = new JobFields(desk);
        school = new PickRow(
                "school-" + place,
                Scale.SCHOOL.label(),
                gear.isPresent()
                        ? List.of(
                                Choice.text("lash", TEXT.get("place_page.measured_lash")),
                                Choice.text("reuse", TEXT.get("place_page.shims_found")))
                        : pinion(sheet));
        armOn = new PickRow(
                "arm-on-" + place,
                Scale.ARM_ON.label(),
                List.of(
                        Choice.text("gear", TEXT.get("place_page.the_gears_shaft")),
                        Choice.text("driveshaft", TEXT.get("place_page.the_driveshaft"))));
        school.keepsOne().onPick(s -> desk.choose(Scale.SCHOOL.of(place), s));
        marks = gear.isPresent() ? new Column() : marks(sheet);
        measured = gear.isPresent() ? readings(Field.LASH, "read-") : new Column();
        stacks = new Stacks(desk, place);
        why = new WhyButton("why-" + place, this::explained);
        after = new Column(
                8,
                Texts.heading(TEXT.get("place_page.with_the_new_stack_in")),
                readings(Field.LASH_AFTER, "read-after-"),
                beside(ringAfter, wordsAfter));
        after.setId("after-" + place);
        FlowPane top = new Flow(
                18,
                8,
                school,
                fields.field(Field.PRESENT_SHIM, Field.PRESENT_SHIM.of(place), TEXT.get("place_page.were_in")));
        if (gear.isPresent()) {
            armOn.keepsOne().onPick(s -> desk.choose(Scale.ARM_ON.of(place), s));
            top.getChildren().addAll(fields.field(Field.ARM, Field.ARM.of(place), "indicator's arm"), armOn);
        }
        getChildren()
                .addAll(
                        top,
                        assumes,
                        marks,
                        measured,
                        trouble,
                        beside(ring, new Column(4, words, why)),
                        moves,
                        stacks,
                        after);
    }

    /** The shim is computed from marks and height where the manual gives the constant for it. */
    private static List<Choice> pinion(SetupSheet sheet) {
        Choice found = Choice.text("reuse", TEXT.get("place_page.shims_found"));
        return sheet.pinion().constantMm().isPresent()
                ? List.of(Choice.text("marks", TEXT.get("place_page.marks_and_height")), found)
                : List.of(found);
    }

    private Optional<Explanation> explained() {
        return desk.now().setup().map(setup -> setup.place(place)).flatMap(at -> at.lash()
                .map(a -> ShimWords.whyLash(a.in(), a.out()))
                .or(() -> at.pinion().map(a -> ShimWords.whyPinion(a.in(), a.out()))));
    }

    private static HBox beside(Node picture, VBox words) {
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMinWidth(180);
        HBox row = new Row(16, picture, words);
        row.getStyleClass().add("card");
        return row;
    }

    private VBox marks(SetupSheet sheet) {
        FlowPane stamped = new Flow(12, 6);
        sheet.pinion().marks().forEach(m -> stamped.getChildren()
                .add(new Column(
                        2,
                        Texts.sentence(m.title()),
                        fields.field(Field.MARK, Field.MARK.of(m.id()), TEXT.get("place_page.stamped_in_1_100_mm"))
                                .wide())));
        FlowPane heights = new Flow(10, 6);
        for (int i = 1; i <= HEIGHTS; i++) {
            heights.getChildren()
                    .add(fields.field(
                                    Field.HEIGHT, Field.HEIGHT.of(String.valueOf(i)), TEXT.get("place_page.height", i))
                            .wide());
        }
        return new Column(8, stamped, heights);
    }

    private VBox readings(Field which, String id) {
        FlowPane row = new Flow(8, 6);
        for (int i = 1; i <= READINGS; i++) {
            row.getChildren().add(fields.field(which, which.of(place + "." + i), 360 * (i - 1) / READINGS + "°"));
        }
        Button simulated = new Button(TEXT.get("place_page.read_it_with_the_simulated_indicator"));
        simulated.setId(id + place);
        simulated.getStyleClass().add("simulated");
        simulated.setOnAction(e -> simulate(which));
        practice.add(simulated);
        return new Column(6, row, simulated);
    }

    private void simulate(Field which) {
        SetupWork setup = desk.now().setup().orElseThrow();
        SetupPlace now = setup.place(place);
        GearPlace at = gear.orElseThrow();
        double arm = desk.job().reading(Field.ARM.of(place)).orElse(at.pitchRadiusMm());
        double found = now.presentMm().orElse(0);
        double factor = at.teeth().factor() * (at.thicker() == Thicker.REDUCES ? -1 : 1);
        boolean onDriveshaft = desk.job().choice(Scale.ARM_ON.of(place)).equals(Optional.of("driveshaft"));
        double radius = onDriveshaft
                ? at.pitchRadiusMm() * at.teeth().pinionTeeth() / at.teeth().gearTeeth()
                : at.pitchRadiusMm();
        DialIndicator.Gear hand = new DialIndicator.Gear(
                arm,
                radius,
                (at.lash().low() + at.lash().high()) / 2,
                factor,
                found,
                which == Field.LASH || now.taken().isEmpty() ? found : now.takenMm());
        DialIndicator dial = desk.shop().instruments().dialIndicator(desk.job().id() * 53L + place.hashCode());
        List<Fact> facts = new ArrayList<>();
        for (int i = 1; i <= READINGS; i++) {
            double read = dial.read(hand, i, READINGS);
            facts.add(new Fact.Read(
                    which.of(place + "." + i),
                    read,
                    String.format(Locale.ROOT, "%.2f mm", read),
                    dial.name(),
                    dial.simulated()));
        }
        desk.note(facts);
    }

    void show(Assessment now) {
        SetupWork setup = now.setup().orElseThrow();
        SetupPlace at = setup.place(place);
        fields.show(now);
        school.show(Optional.of(at.school().name().toLowerCase(Locale.ROOT)));
        assumes.setText(SetupWork.assumes(at.school()));
        shown(marks, gear.isEmpty() && at.school() == School.MARKS);
        shown(measured, gear.isPresent());
        boolean ready = at.presentMm().isPresent()
                && now.job().reading(Field.ARM.of(place)).isPresent()
                && now.job().choice(Scale.ARM_ON.of(place)).isPresent();
        armOn.show(now.job().choice(Scale.ARM_ON.of(place)));
        practice.forEach(b -> b.setDisable(!ready));
        trouble.setText(
                gear.isPresent() && !ready
                        ? TEXT.get("place_page.enter_the_shims_that_were_in")
                        : String.join(
                                " ",
                                at.problems().stream()
                                        .map(p -> p.problem() + ".")
                                        .toList()));
        shown(trouble, !trouble.getText().isEmpty());
        answer(ring, words, at.lash(), at, at.pinion().map(p -> p.words()).orElse(List.of()));
        shown(words.getParent().getParent(), !words.getChildren().isEmpty());
        moves.getChildren()
                .setAll(
                        gear.isEmpty()
                                ? setup.pinionMoves().stream()
                                        .map(Texts::sentence)
                                        .toList()
                                : List.of());
        stacks.show(now, at);
        shown(after, gear.isPresent() && at.targetMm().isPresent());
        answer(ringAfter, wordsAfter, at.after(), at, List.of());
        shown(wordsAfter.getParent(), !wordsAfter.getChildren().isEmpty());
    }

    private static void answer(
            LashRing ring, VBox words, Optional<LashAnswer> lash, SetupPlace at, List<String> otherwise) {
        shown(ring, lash.isPresent());
        lash.ifPresent(ring::show);
        List<String> says = lash.map(LashAnswer::words).orElse(otherwise);
        List<Node> lines = new ArrayList<>();
        for (int i = 0; i < says.size(); i++) {
            lines.add(i == 0 ? Texts.wrapped(says.get(i), "strong") : Texts.sentence(says.get(i)));
        }
        if (lash.isPresent() && at.simulated()) {
            lines.add(Texts.wrapped(TEXT.get("place_page.simulated_readings_a_practice_gear_set"), "refusal"));
        }
        words.getChildren().setAll(lines);
    }

    private static void shown(Node node, boolean yes) {
        node.setVisible(yes);
        node.setManaged(yes);
    }
}
