package mussel.exchange.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mussel.core.plan.PlanInput;
import mussel.core.plan.Planning;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What would have to be undone again is done before: lash before new lips, the shift of a split case before test, propeller and oil. */
class LashBeforeLipsTest {
    static Stream<SpecSheet> families() {
        return SheetFiles.shipped().stream();
    }

    private static List<String> steps(SpecSheet sheet, List<String> goals) {
        PlanInput in = new PlanInput(sheet.id(), goals, 0, false, Optional.empty(), List.of(), 1);
        return new Planning().of(in, sheet).steps().stream().map(s -> s.id()).toList();
    }

    @ParameterizedTest
    @MethodSource("families")
    void lashIsMeasuredBeforeNewLipsAndRingsGoIn(SpecSheet sheet) {
        List<String> steps = steps(sheet, List.of("gears", "driveshaft_seals", "propshaft_seals"));
        assertThat(steps).containsSubsequence("lash_check", "prop_seals_in", "prop_carrier_in");
        assertThat(steps).containsSubsequence("lash_check", "seals_in", "carrier_in");
    }

    @ParameterizedTest
    @MethodSource("families")
    void theShiftOfASplitCaseIsFeltBeforeWhatWouldBeUndoneAgain(SpecSheet sheet) {
        List<String> steps = steps(sheet, List.of("propshaft_seals"));
        boolean split = sheet.part("skeg_half").isPresent();
        assertThat(steps.contains("shift_felt")).isEqualTo(split);
        if (split) {
            assertThat(steps).containsSubsequence("prop_carrier_in", "shift_felt", "hold_again", "prop_on", "fill_up");
        }
    }
}
