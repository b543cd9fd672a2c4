package mussel.exchange.library;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.LinkedHashMap;
import java.util.Map;
import mussel.core.library.Size;
import mussel.core.measure.Problem;
import mussel.core.sheet.SetupSheet.Limits;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.record.Read;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LashToldTest {
    private static final Map<String, String> ALL = Map.of(
            "forward", "0.15-0.30 mm",
            "reverse", "16-30 thou",
            "pinion_teeth", "13",
            "gear_teeth", "26",
            "pitch_radius", "33 mm");

    private static Read<SpecSheet> told(Map<String, String> values) {
        ObjectNode begun =
                Compact.begin("n-40", "N 40", Size.MID, Map.of()).value().orElseThrow();
        Map<String, String> placed = new LinkedHashMap<>();
        values.forEach((what, value) -> placed.put("/values/lash/" + what, value));
        return Expansion.expand(Compact.told(begun, placed, "12"), Library.shipped());
    }

    @Test
    void whatIsPrintedAndCountedMakesASetUp() {
        SpecSheet sheet = told(ALL).value().orElseThrow();
        assertThat(sheet.setup()).hasValueSatisfying(setup -> {
            assertThat(setup.pinion().constantMm()).as("nobody has read it").isEmpty();
            assertThat(setup.gears().get(0).lash()).isEqualTo(new Limits(0.15, 0.3));
            assertThat(setup.gears().get(1).lash().low()).isBetween(0.4063, 0.4065);
            assertThat(setup.gears().get(0).teeth().gearTeeth()).isEqualTo(26);
            assertThat(setup.page()).isEqualTo("12");
        });
        assertThat(sheet.isEstimate("/setup")).as("its angles are").isTrue();
    }

    @Test
    void untilAllOfItIsThereThereIsNone() {
        for (String left : ALL.keySet()) {
            Map<String, String> some = new LinkedHashMap<>(ALL);
            some.remove(left);
            assertThat(told(some).value().orElseThrow().setup())
                    .as("without " + left)
                    .isEmpty();
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    forward      | 0.30-0.15 mm | reversed
                    forward      | 0.2 mm       | two figures with a hyphen
                    reverse      | 0.40-0.75    | like 0.15-0.30 mm
                    reverse      | 1-9 mm       | 3 mm
                    pinion_teeth | 13.5         | count the teeth
                    gear_teeth   | 260          | count the teeth
                    pitch_radius | wide         | cannot be read
                    """)
    void whatIsNoFigureIsNamed(String what, String value, String why) {
        Map<String, String> wrong = new LinkedHashMap<>(ALL);
        wrong.put(what, value);
        assertThat(told(wrong).problems())
                .extracting(Problem::toString)
                .singleElement()
                .asString()
                .contains("/values/lash/" + what, why);
    }
}
