package mussel.core.drain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import mussel.core.drain.DrainResult.SourceName;
import mussel.core.drain.DrainResult.Verdict;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.Gearcase;
import org.junit.jupiter.api.Test;

/** Rules of the bench for what comes out of a case, each with a case beside it that stays as it was. */
class DrainRulesTest {
    private static final DrainInput.Oil OIL = new DrainInput.Oil(165, 15.6, 0.898);
    private static final Gearcase CASE = new Gearcase(1.6, 0.12, 0.18, 6);

    private double fill = 430;
    private boolean measured = true;
    private double free;
    private OptionalDouble freeU = OptionalDouble.empty();
    private double temp = 18;
    private double minutes = 60;
    private Optional<OilLook> look = Optional.empty();

    private DrainInput drained(double ml) {
        return new DrainInput(
                fill,
                measured ? OptionalDouble.of(fill) : OptionalDouble.empty(),
                18,
                ml,
                5,
                OptionalDouble.empty(),
                free,
                freeU,
                temp,
                minutes,
                true,
                Water.SEA,
                OIL,
                CASE,
                look,
                Optional.empty(),
                OptionalDouble.empty(),
                2,
                OptionalDouble.empty(),
                OptionalDouble.of(-9),
                OptionalDouble.empty());
    }

    private DrainResult of(double ml) {
        return DrainEngine.run(drained(ml));
    }

    private DrainWords words(double ml) {
        return new DrainWords(drained(ml), of(ml), YardUnits.METRIC);
    }

    @Test
    void aColdCaseThatStillRunsSaysNothingOfMoreAndNothingOfWater() {
        temp = 2;
        minutes = 10;
        DrainResult cold = of(400);
        assertThat(cold.balance().running()).isTrue();
        assertThat(cold.balance().excessMl()).as("far more than ran out so far").isGreaterThan(100);
        assertThat(cold.balance().verdict()).isEqualTo(Verdict.AS_EXPECTED);
        assertThat(cold.water().source(SourceName.BALANCE))
                .hasValueSatisfying(s -> assertThat(s.used()).isFalse());
        assertThat(cold.water().fraction()).isEmpty();
    }

    @Test
    void moreThanWentInIsMoreWhileItRunsAndAfter() {
        minutes = 10;
        assertThat(of(470).balance().verdict()).isEqualTo(Verdict.MORE_THAN_FILLED);
        minutes = 60;
        assertThat(of(470).balance().verdict()).isEqualTo(Verdict.MORE_THAN_FILLED);
        assertThat(words(470).balance()).contains("40 ml more drained than filled");
    }

    @Test
    void fiveThousandDrainsBelowWhatWentInAreNeverMore() {
        SplittableRandom random = new SplittableRandom(35);
        for (int i = 0; i < 5_000; i++) {
            fill = 60 + 2_000 * random.nextDouble();
            measured = random.nextBoolean();
            temp = -15 + 60 * random.nextDouble();
            minutes = 1 + 200 * random.nextDouble();
            double ml = fill * (0.2 + 0.8 * random.nextDouble());
            assertThat(of(ml).balance().verdict())
                    .as("%s ml of %s at %s for %s min", ml, fill, temp, minutes)
                    .isNotEqualTo(Verdict.MORE_THAN_FILLED);
        }
    }

    @Test
    void lessIsSaidOnlyOnceItHasRunOut() {
        minutes = 10;
        assertThat(of(220).balance().verdict()).isEqualTo(Verdict.AS_EXPECTED);
        assertThat(words(220).balance()).contains("still draining");
        minutes = 60;
        assertThat(of(220).balance().verdict()).isEqualTo(Verdict.LESS_THAN_FILLED);
    }

    @Test
    void aFillThatNobodyMeasuredIsKnownToEightPercent() {
        assertThat(of(360).balance().verdict()).isEqualTo(Verdict.LESS_THAN_FILLED);
        measured = false;
        assertThat(of(360).balance().verdict()).isEqualTo(Verdict.AS_EXPECTED);
        assertThat(of(300).balance().verdict()).isEqualTo(Verdict.LESS_THAN_FILLED);
    }

    @Test
    void freeWaterIsReadOffACupAndNoShareIsNarrowerThanThat() {
        free = 12;
        look = Optional.of(OilLook.NONE);
        DrainResult.WaterShare cup = of(390).water();
        double width = cup.high().orElseThrow() - cup.low().orElseThrow();
        assertThat(width).isGreaterThanOrEqualTo(6.0 / 390 - 1e-12);
        freeU = OptionalDouble.of(0.1);
        DrainResult.WaterShare typed = of(390).water();
        assertThat(typed.high().orElseThrow() - typed.low().orElseThrow())
                .as("typed with its own")
                .isLessThan(width / 3);
        freeU = OptionalDouble.empty();
        free = 80;
        DrainResult.WaterShare much = of(390).water();
        assertThat(much.high().orElseThrow() - much.low().orElseThrow()).isCloseTo(16.0 / 390, within(1e-9));
    }

    @Test
    void frostIsFearedOfFreeOrMilkyWaterAndNotOfAHaze() {
        look = Optional.of(OilLook.HAZE);
        assertThat(of(390).freeze().freezes()).isFalse();
        assertThat(words(390).notes()).noneMatch(n -> n.contains("freeze"));
        look = Optional.of(OilLook.MILKY);
        assertThat(of(390).freeze().freezes()).isTrue();
        assertThat(words(390).notes()).anyMatch(n -> n.contains("split the case"));
        look = Optional.of(OilLook.HAZE);
        free = 10;
        assertThat(of(390).freeze().freezes()).isTrue();
        assertThat(words(390).frost())
                .as("0.9 ml cannot be poured")
                .contains("the water freezes")
                .doesNotContain("ml");
    }
}
