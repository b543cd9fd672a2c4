package mussel.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class AmountReaderTest {
    private static final Range ANY = Range.of(-1e9, 1e9);

    private static Typed read(String text, Kind kind) {
        return AmountReader.read(text, kind, YardUnits.METRIC, ANY);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "9 psi; PRESSURE; 62.05281563851",
                "9psi; PRESSURE; 62.05281563851",
                "20 inHg; PRESSURE; 67.72778",
                "0.5 bar; PRESSURE; 50",
                "-50; PRESSURE; -50",
                "70 in-lb; TORQUE; 7.908938031933",
                "70 lbf·in; TORQUE; 7.908938031933",
                "70 in lbs; TORQUE; 7.908938031933",
                "12 ft-lb; TORQUE; 16.26981538",
                "1 kgf.m; TORQUE; 9.80665",
                "1,2 l; VOLUME; 1200",
                "1.2 L; VOLUME; 1200",
                "452; VOLUME; 452",
                "1 310 ml; VOLUME; 1310",
                "1 1/2 qt; VOLUME; 1419.529419",
                "1/2 l; VOLUME; 500",
                "16 fl oz; VOLUME; 473.176473",
                "14 thou; LENGTH; 0.3556",
                "0,12; LENGTH; 0.12",
                ".35 mm; LENGTH; 0.35",
                "3/8 in; LENGTH; 9.525",
                "64 °F; TEMPERATURE; 17.7777777778",
                "-40 F; TEMPERATURE; -40",
                "−9 °C; TEMPERATURE; -9",
                "293.15 K; TEMPERATURE; 20",
                "1 h 20 min; DURATION; 80",
                "90 s; DURATION; 1.5",
                "1.5 h; DURATION; 90",
                "2 years; MONTHS; 24",
                "1 310 h; RUNNING; 1310",
                "3; COUNT; 3",
                "15 oz; MASS; 425.242846875"
            })
    void readsWhatPeopleType(String text, Kind kind, double canonical) {
        assertThat(read(text, kind)).isInstanceOfSatisfying(Typed.Understood.class, u -> assertThat(u.value())
                .isCloseTo(canonical, within(Math.abs(canonical) * 1e-9 + 1e-9)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "nonsense; VOLUME; is not a volume",
                "1.234,5 ml; VOLUME; two decimal marks",
                "12 parsec; VOLUME; no unit known",
                "70 in-lb; VOLUME; measures a torque",
                "9 psi; TORQUE; measures a pressure",
                "12 ml 30 ml; VOLUME; more than one figure",
                "1 20 min; DURATION; unit missing",
                "1/0 l; VOLUME; divides by nothing",
                "NaN; VOLUME; is not a volume",
                "1e5; VOLUME; no unit known",
                "--5; VOLUME; is not a volume",
                "ml; VOLUME; is not a volume",
                "2e12 l; VOLUME; no unit known",
                "99999999999999; VOLUME; outside what can be",
                "5 apples; COUNT; no unit known"
            })
    void refusesInWords(String text, Kind kind, String says) {
        assertThat(read(text, kind)).isInstanceOfSatisfying(Typed.Refused.class, r -> assertThat(r.sentence())
                .contains(says)
                .endsWith("."));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "   ", "\t"})
    void blankIsNotMeasuredAndNeverZero(String text) {
        assertThat(read(text, Kind.LENGTH)).isInstanceOf(Typed.Blank.class);
    }

    @Test
    void aMarkBeforeJustThreeDigitsIsAskedAboutUnlessOneReadingAloneCanBe() {
        for (String text : List.of("1,200 ml", "1.200 ml")) {
            assertThat(AmountReader.read(text, Kind.VOLUME, YardUnits.METRIC, Range.above(0, 40_000)))
                    .isInstanceOfSatisfying(Typed.Refused.class, r -> {
                        assertThat(r.sentence()).contains("two ways", "Write 1.2 or 1200 ml");
                        assertThat(r.ways()).extracting(Typed.Understood::value).containsExactly(1.2, 1_200.0);
                    });
            assertThat(AmountReader.read(text, Kind.VOLUME, YardUnits.METRIC, Range.above(0, 645)))
                    .as("a case of 430 ml gives no litre")
                    .isEqualTo(new Typed.Understood(1.2, 1.2, "ml"));
            assertThat(AmountReader.read(text, Kind.VOLUME, YardUnits.METRIC, Range.of(100, 40_000)))
                    .isEqualTo(new Typed.Understood(1_200, 1_200, "ml"));
        }
        assertThat(AmountReader.read("60.125", Kind.TORQUE, YardUnits.METRIC, Range.of(0, 100_000)))
                .as("never silently")
                .isInstanceOf(Typed.Refused.class);
        for (String plain : List.of("0.125 mm", "1.25 mm", "12.5 N·m", "1 200 ml", "1200 ml", "1.2005 l")) {
            Kind kind = plain.contains("mm") ? Kind.LENGTH : plain.contains("N") ? Kind.TORQUE : Kind.VOLUME;
            assertThat(AmountReader.read(plain, kind, YardUnits.METRIC, Range.of(0, 100_000)))
                    .as(plain)
                    .isInstanceOf(Typed.Understood.class);
        }
    }

    @Test
    void whatLiesOutsideTheRangeIsRefusedWithItsBounds() {
        Typed typed = AmountReader.read("2 l", Kind.VOLUME, YardUnits.METRIC, Range.above(0, 500));
        assertThat(typed).isEqualTo(new Typed.Refused("2000 ml is outside what can be: above 0 ml, at most 500 ml."));
    }

    @Test
    void aBareFigureIsInTheYardsUnit() {
        Typed typed = AmountReader.read("9", Kind.PRESSURE, YardUnits.US, ANY);
        assertThat(typed).isInstanceOfSatisfying(Typed.Understood.class, u -> {
            assertThat(u.value()).isCloseTo(62.0528, within(1e-3));
            assertThat(u.unit()).isEqualTo("psi");
        });
    }

    @ParameterizedTest
    @CsvSource({
        "1200 rpm, SPEED, 1200",
        "22 deg, ANGLE, 22",
        "22°, ANGLE, 22",
        "54.5 s, TIMED, 54.5",
        "1.5 min, TIMED, 90",
        "2 weeks, DAYS, 14",
        "'12,50', MONEY, 12.5",
        "180, MONEY, 180"
    })
    void theUnitsOfTheWorkAreRead(String typed, Kind kind, double value) {
        assertThat(read(typed, kind)).isInstanceOfSatisfying(Typed.Understood.class, u -> assertThat(u.value())
                .isCloseTo(value, within(1e-9)));
    }

    @Test
    void aVeryLongTextIsRefused() {
        assertThat(read("9".repeat(50_000_00), Kind.VOLUME)).isInstanceOf(Typed.Refused.class);
    }

    @Property
    void whatIsShownReadsBackTheSame(@ForAll @DoubleRange(min = -5000, max = 5000) double raw, @ForAll Kind kind) {
        double value = Math.rint(raw * 10) / 10;
        String shown = Display.exact(kind, value, YardUnits.METRIC);
        double tolerance = kind == Kind.DURATION && Math.abs(value) >= 120 ? 0.31 : 1e-9;
        assertThat(read(shown, kind)).isInstanceOfSatisfying(Typed.Understood.class, u -> assertThat(u.value())
                .as(shown)
                .isCloseTo(value, within(tolerance)));
    }

    @Property
    void conversionToTheYardsUnitAndBackLosesNothing(
            @ForAll @DoubleRange(min = -1000, max = 1000) double value, @ForAll Kind kind, @ForAll UnitSet set) {
        YardUnits units = YardUnits.of(set);
        assertThat(units.toCanonical(kind, units.fromCanonical(kind, value))).isCloseTo(value, within(1e-8));
    }
}
