package mussel.desktop.setup;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.job.Field;
import mussel.core.job.Scale;
import mussel.core.job.SetupPlace;
import mussel.core.job.SetupWork;
import mussel.core.job.Station;
import mussel.core.language.Messages;
import mussel.core.measure.Kind;
import mussel.core.measure.Range;
import mussel.core.sheet.SetupSheet;
import mussel.core.sheet.SetupSheet.GearPlace;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.desk.ManualValues;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Marks;
import mussel.desktop.kit.Pages;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.QuantityField;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** Shims and lash: the pinion first, then each gear, then what the assembled shafts say; and the drawer of shims. */
public final class SetupStation implements StationView {
    private static final Messages TEXT = Messages.of(SetupStation.class);

    private static final String CHECKS = "checks";
    private static final String DRAWER = "drawer";

    private static final String ESTIMATED =
            " Pressure and spiral angle of the teeth, how far the lash may differ around, what a thicker"
                    + " shim does and the sizes of shims are estimates: after each change read the lash again, and go by that.";

    private final Desk desk;
    private final VBox sheet = new Column(12);
    private final Label head = Texts.sentence("");
    private final ManualValues manual;
    private final Pages families = new Pages();
    private final Map<SetupSheet, Family> familyOf = new HashMap<>();

    /** The station of a job. */
    public SetupStation(Desk desk) {
        this.desk = desk;
        sheet.setId("setup-station");
        sheet.getStyleClass().add("station");
        manual = new ManualValues(desk, Station.SETUP);
        sheet.getChildren().addAll(Texts.title("Set-up"), head, manual, families);
    }

    @Override
    public Node node() {
        return sheet;
    }

    @Override
    public void show(Assessment now) {
        families.setVisible(now.setup().isPresent());
        manual.show(now);
        if (now.setup().isEmpty()) {
            head.setText(TEXT.get("setup_station.the_sheet_of_this_family_has"));
            return;
        }
        SetupWork setup = now.setup().get();
        head.setText(TEXT.get(
                "setup_station.the_makers_manual_for_the_exact",
                (setup.called()
                        ? TEXT.get("setup_station.new_gears_bearings_or_housing_mean")
                        : TEXT.get("setup_station.nothing_that_is_to_be_done")),
                now.sheet().origin(),
                Texts.page(setup.sheet().page()),
                (now.sheet().isEstimate("/setup") ? ESTIMATED : "")));
        Family family = familyOf.computeIfAbsent(setup.sheet(), Family::new);
        families.show(family);
        family.show(now, setup);
    }

    /** The pages of one family. */
    private final class Family extends Column {
        private final PickRow view;
        private final Pages pages = new Pages();
        private final Map<String, PlacePage> places = new HashMap<>();
        private final VBox checks = new Column(10);
        private final VBox says = new Column(4);
        private final JobFields fields = new JobFields(desk);
        private final JobPicks picks = new JobPicks(desk);
        private final VBox drawer = new Column(10);
        private final Map<Double, QuantityField> counts = new HashMap<>();
        private String shown = SetupPlace.PINION;

        Family(SetupSheet setup) {
            super(12);
            List<Choice> choices = new ArrayList<>();
            choices.add(Choice.text(SetupPlace.PINION, TEXT.get("setup_station.pinion")));
            setup.gears().forEach(g -> choices.add(Choice.text(g.id(), g.title())));
            choices.add(Choice.text(CHECKS, TEXT.get("setup_station.turned_by_hand")));
            choices.add(Choice.text(DRAWER, TEXT.get("setup_station.drawer")));
            view = new PickRow("setup-view", "", choices);
            view.keepsOne().onPick(which -> {
                shown = which.orElse(SetupPlace.PINION);
                SetupStation.this.show(desk.now());
            });
            places.put(SetupPlace.PINION, new PlacePage(desk, setup, Optional.empty()));
            setup.gears().forEach(g -> places.put(g.id(), new PlacePage(desk, setup, Optional.of(g))));
            checksPage(setup);
            drawerPage(setup);
            getChildren().addAll(view, pages);
        }

        private void checksPage(SetupSheet setup) {
            FlowPane figures = new Flow(12, 6);
            if (setup.rolling().isPresent()) {
                figures.getChildren().add(fields.field(Field.ROLLING));
            }
            if (setup.endPlay().isPresent()) {
                figures.getChildren().add(fields.field(Field.END_PLAY));
            }
            checks.getChildren()
                    .addAll(Texts.dim(TEXT.get("setup_station.seals_in_no_propeller_twenty_turns")), figures);
            for (GearPlace gear : setup.gears()) {
                checks.getChildren()
                        .add(picks.row(
                                Scale.CONTACT.of(gear.id()),
                                TEXT.get("setup_station.teeth_bear", gear.title()),
                                Scale.CONTACT.outcomes(),
                                ToothGlyph::of));
            }
            checks.getChildren().add(says);
        }

        private void drawerPage(SetupSheet setup) {
            FlowPane sizes = new Flow(14, 10);
            for (double mm : setup.shimsMm()) {
                QuantityField count = new QuantityField(
                                "drawer-" + Math.round(mm * 1_000),
                                String.format(java.util.Locale.ROOT, "%.2f mm", mm),
                                Kind.COUNT,
                                Range.of(0, 1_000))
                        .onEnter((typed, value) -> {
                            desk.shop().countShelf(desk.job(), SetupSheet.shimId(mm), (int) Math.round(value));
                            desk.refresh();
                        });
                counts.put(mm, count);
                sizes.getChildren().add(count);
            }
            drawer.getChildren().addAll(Texts.dim(TEXT.get("setup_station.pieces_of_each_size_in_the")), sizes);
        }

        void show(Assessment now, SetupWork setup) {
            view.show(Optional.of(shown));
            if (shown.equals(CHECKS)) {
                pages.show(checks);
                fields.show(now);
                picks.show(now);
                says.getChildren()
                        .setAll(setup.checks().stream().map(this::line).toList());
            } else if (shown.equals(DRAWER)) {
                pages.show(drawer);
                setup.drawer().forEach((mm, left) -> counts.get(mm)
                        .show(OptionalDouble.of(left), now.yard().reads()));
            } else {
                PlacePage page = places.get(shown);
                pages.show(page);
                page.show(now);
            }
        }

        private Label line(SetupWork.Check check) {
            Label line = Texts.wrapped(check.says(), check.ok() ? "plain" : "strong");
            line.setGraphic(check.ok() ? Marks.done() : Marks.caution());
            return line;
        }
    }
}
