package mussel.exchange.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mussel.core.plan.Plan;
import mussel.core.plan.PlanEngine;
import mussel.core.plan.PlanInput;
import mussel.core.plan.PlanWords;
import mussel.core.plan.Planner;
import mussel.core.sheet.Fastener;
import mussel.core.sheet.Goal;
import mussel.core.sheet.Phase;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What a seasoned technician looks for in a sheet: the tool fits, the danger is named where it is and nowhere else, nothing old goes back. */
class SheetsOfTheTradeTest {
    private static final Pattern WRENCH = Pattern.compile("torque wrench (\\d+)-(\\d+) N·m");
    private static final Pattern SOCKET = Pattern.compile("(?:long )?socket (\\d+) mm");
    /** Across flats of the small hexagon that outboards use. */
    private static final Map<String, Integer> HEXAGON = Map.of("M5", 8, "M6", 10, "M8", 12, "M10", 14, "M12", 17);

    static Stream<SpecSheet> sheets() {
        return SheetFiles.shipped().stream();
    }

    private static List<Fastener> fasteners(SpecSheet sheet, Step step) {
        return step.fasteners().stream()
                .map(id -> sheet.fastener(id).orElseThrow())
                .toList();
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void theTorqueWrenchOfAStepFitsItsTorques(SpecSheet sheet) {
        for (Step step : sheet.steps()) {
            for (Fastener fastener : step.phase() == Phase.BUILD ? fasteners(sheet, step) : List.<Fastener>of()) {
                double low = fastener.torque().orElseThrow().range().lowNm();
                double high = fastener.torque().orElseThrow().range().highNm();
                assertThat(step.tools().stream().map(WRENCH::matcher).filter(Matcher::matches))
                        .as(sheet.id() + " " + step.id() + ", " + fastener.title())
                        .anyMatch(m -> Integer.parseInt(m.group(1)) <= low
                                && high <= Integer.parseInt(m.group(2))
                                && (low + high) / 2 >= 0.2 * Integer.parseInt(m.group(2)));
            }
        }
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void inchPoundsAreWarnedOfWhereTheSheetIsInThemAndOnlyThere(SpecSheet sheet) {
        for (Step step : sheet.steps()) {
            boolean inch = step.phase() == Phase.BUILD
                    && fasteners(sheet, step).stream()
                            .anyMatch(f -> f.torque().orElseThrow().unit() == Fastener.Unit.LBF_IN);
            assertThat(step.cautions().stream().anyMatch(c -> c.contains("Inch-pounds")))
                    .as(sheet.id() + " " + step.id())
                    .isEqualTo(inch);
        }
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void socketsMatchTheThreadsTheyTurn(SpecSheet sheet) {
        for (Step step : sheet.steps()) {
            Set<Integer> sizes = step.tools().stream()
                    .map(SOCKET::matcher)
                    .filter(Matcher::matches)
                    .map(m -> Integer.parseInt(m.group(1)))
                    .collect(Collectors.toCollection(LinkedHashSet::new));
            for (Fastener fastener : fasteners(sheet, step)) {
                boolean own = List.of("prop_nut", "pinion_nut", "carrier_ring").contains(fastener.id())
                        || sheet.plugs().stream().anyMatch(p -> p.fastener().equals(fastener.id()));
                if (!sizes.isEmpty() && !own) {
                    assertThat(sizes)
                            .as(sheet.id() + " " + step.id() + ", " + fastener.title())
                            .contains(HEXAGON.get(fastener.thread().split("x")[0]));
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void fireIsNamedWhereCleanerPenetrantOrHeatAreUsed(SpecSheet sheet) {
        for (Step step : sheet.steps()) {
            String used = String.join(" ", step.consumables()) + String.join(" ", step.tools());
            if (used.contains("cleaner") || used.contains("penetrant") || used.contains("heat gun")) {
                assertThat(step.cautions())
                        .as(sheet.id() + " " + step.id())
                        .anyMatch(c -> c.contains("Fire") && c.contains("air moving"));
            }
            boolean press = step.cautions().stream().anyMatch(c -> c.contains("the press"));
            assertThat(!press || step.tools().contains("arbor press"))
                    .as("no press where none is used: " + step.id())
                    .isTrue();
        }
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void noBushHasNumbersAndNoLashIsHeldAgainstASheetThatHasNone(SpecSheet sheet) {
        for (Step step : sheet.steps()) {
            String all = step.title() + step.detail() + step.partsIn() + step.partsOut();
            if (step.title().toLowerCase(java.util.Locale.ROOT).contains("bush")) {
                assertThat(all).doesNotContainIgnoringCase("numbers");
            }
            if (sheet.setup().isEmpty()) {
                assertThat(step.title()).doesNotContain("against the sheet");
                assertThat(step.tools()).doesNotContain("dial indicator");
            }
        }
        assertThat(sheet.substitutes())
                .noneMatch(s -> s.with().contains("feeler") || s.with().contains("seal pick"));
    }

    private static Set<String> steps(Plan plan) {
        return plan.steps().stream().map(s -> s.step().id()).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void thePumpAloneLeavesTheOilInAndWhereItMayThePropellerOn(SpecSheet sheet) {
        for (String goal : List.of("impeller", "pump_kit", "tube_seal")) {
            Set<String> steps = steps(Planner.plan(sheet, List.of(goal)));
            assertThat(steps).as(sheet.id()).contains("leg_drop").doesNotContain("oil_out", "fill_up", "prove_drips");
            assertThat(steps.contains("prop_off"))
                    .as(sheet.id())
                    .isEqualTo(sheet.id().startsWith("skua"));
        }
        assertThat(steps(Planner.plan(sheet, List.of("driveshaft_seals")))).contains("oil_out", "fill_up");
        String impeller = sheet.step("impeller_off").orElseThrow().detail();
        assertThat(impeller).contains("end faces");
        assertThat(sheet.step("impeller_in").orElseThrow().detail()).contains("dressed", "never where a lip runs");
    }

    /** Whatever takes a carrier out gives it new seals, O-rings and gaskets; every plug that was opened gets a washer. */
    @ParameterizedTest
    @MethodSource("sheets")
    void nothingOldGoesBackWhereItsCarrierWasOut(SpecSheet sheet) {
        String ds = "carrier_oring";
        String ps = sheet.id().startsWith("wren") ? "skeg_cord" : "prop_oring";
        for (String goal : List.of("gears", "bearings", "clutch_dog", "ds_cover_only", "ps_cover_only")) {
            Plan plan = Planner.plan(sheet, List.of(goal));
            Map<String, Integer> parts = plan.parts().stream()
                    .collect(
                            Collectors.toMap(p -> p.part().part(), p -> p.part().qty()));
            Set<String> steps = steps(plan);
            if (steps.contains("carrier_off")) {
                assertThat(parts)
                        .as(sheet.id() + " " + goal)
                        .containsEntry("ds_seal", 2)
                        .containsKey(ds);
            }
            if (steps.contains("prop_carrier_out")) {
                assertThat(parts)
                        .as(sheet.id() + " " + goal)
                        .containsEntry("prop_seal", 2)
                        .containsKey(ps);
            }
            assertThat(parts)
                    .as(goal)
                    .containsEntry("plug_washer", sheet.plugs().size());
        }
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void oneCoverCanBeOpenedForItsOwnRing(SpecSheet sheet) {
        Set<String> shift = steps(Planner.plan(sheet, List.of("shift_cover_only")));
        assertThat(shift).contains("shift_retainer_off", "hold_again").doesNotContain("prop_carrier_out", "seals_out");
        Set<String> prop = steps(Planner.plan(sheet, List.of("ps_cover_only")));
        assertThat(prop).contains("prop_carrier_out", "hold_again").doesNotContain("shift_retainer_off");
        assertThat(prop.contains("leg_drop"))
                .as("a split case is turned over on the bench, a carrier comes out where the leg hangs")
                .isEqualTo(sheet.part("skeg_half").isPresent());
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void theMeasuringStepOfTheLinkageFeedsItsFinding(SpecSheet sheet) {
        assertThat(sheet.step("linkage_checked").orElseThrow().finds()).containsExactly("linkage_measured");
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void aGrooveOfThePropellerShaftHasItsOwnSleeve(SpecSheet sheet) {
        Goal goal = sheet.goal("propshaft_sleeve").orElseThrow();
        assertThat(goal.fits()).extracting(f -> f.part()).contains("prop_sleeve", "prop_seal");
        assertThat(steps(Planner.plan(sheet, List.of("propshaft_sleeve"))))
                .containsSubsequence("prop_groove_measured", "prop_sleeve_on", "prop_carrier_in", "hold_again");
    }

    @Test
    void theSmallSplitCase() {
        SpecSheet wren = SheetFiles.shipped().stream()
                .filter(s -> s.id().equals("wren-8"))
                .findFirst()
                .orElseThrow();
        Set<String> steps = steps(Planner.plan(wren, List.of("propshaft_seals")));
        assertThat(steps).containsSubsequence("prop_seals_in", "prop_shaft_in", "prop_carrier_in", "shift_felt");
        Step open = wren.step("prop_carrier_out").orElseThrow();
        assertThat(open.consumables()).contains("catch pan");
        assertThat(open.detail()).contains("pin of the shift rod falls out");
        assertThat(open.partsOut()).extracting(p -> p.part()).contains("rod_pin");
        assertThat(wren.goal("carrier_orings").orElseThrow().fits())
                .as("a weeping joint gets its cord")
                .extracting(f -> f.part())
                .contains("skeg_cord");
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void theSealsDepthIsSaidOneWay(SpecSheet sheet) {
        sheet.seals().stream().filter(s -> s.part().equals("ds_seal")).forEach(seal -> {
            String step = sheet.step("seals_in").orElseThrow().detail();
            assertThat(step.contains("1.5 mm below")).isEqualTo(seal.depth().contains("1.5 mm below"));
            assertThat(step.contains("1 mm below")).isEqualTo(seal.depth().contains("1 mm below"));
        });
    }

    @Test
    void aBeadIsJoinedWetAndItsCureIsToldInThePlan() {
        SpecSheet tern = SheetFiles.shipped().get(0);
        PlanInput in = new PlanInput(tern.id(), List.of("tube_seal"), 0, false, Optional.empty(), List.of(), 1);
        assertThat(new PlanWords(in, PlanEngine.run(in, tern), tern).notes())
                .anyMatch(n -> n.contains("sealant joint, cure 12"));
    }
}
