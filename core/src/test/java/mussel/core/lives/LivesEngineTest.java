package mussel.core.lives;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import mussel.core.lives.LivesInput.Life;
import mussel.core.measure.Money;
import org.hipparchus.analysis.integration.IterativeLegendreGaussIntegrator;
import org.junit.jupiter.api.Test;

class LivesEngineTest {
    /** Shock absorbers: Meeker and Escobar, Statistical Methods for Reliability Data, 1998: distance driven (km). */
    static final List<Life> SHOCK_ABSORBERS = Stream.concat(
                    lives(true, 6700, 9120, 12200, 13150, 14300, 17520, 20100, 20900, 22700, 26510, 27490),
                    lives(
                            false, 6950, 7820, 8790, 9660, 9820, 11310, 11690, 11850, 11880, 12140, 12870, 13330, 13470,
                            14040, 17540, 17890, 18450, 18960, 18980, 19410, 20100, 20150, 20320, 23490, 27410, 27890,
                            28100))
            .toList();

    private static Stream<Life> lives(boolean failed, double... hours) {
        return DoubleStream.of(hours).mapToObj(h -> new Life(h, failed));
    }

    private static LivesInput costed(List<Life> lives) {
        return new LivesInput(
                lives,
                0.95,
                0.1,
                OptionalDouble.of(12),
                OptionalDouble.of(1_000),
                OptionalDouble.of(100),
                OptionalDouble.of(1_000));
    }

    @Test
    void fitsThePublishedShockAbsorbersToFourFigures() {
        LivesResult.Fit fit =
                LivesEngine.run(LivesInput.of(SHOCK_ABSORBERS)).fit().orElseThrow();
        assertThat(fit.scale().value()).isCloseTo(27_719, within(0.5));
        assertThat(fit.shape().value()).isCloseTo(3.160, within(0.0005));
        assertThat(fit.scale().low()).isLessThan(27_719).isGreaterThan(20_000);
        assertThat(fit.scale().high()).isGreaterThan(27_719).isLessThan(45_000);
        assertThat(fit.shape().low()).isGreaterThan(1);
    }

    @Test
    void theBoundsOfTheRiskAtAnAgeAndOfTheAgeAtARiskAreTheSameCurve() {
        Weibull weibull = new Weibull(SHOCK_ABSORBERS, 0.95);
        LivesResult.Bounded age = weibull.quantile(0.1);
        assertThat(weibull.failedBy(age.value()).value()).isCloseTo(0.1, within(1e-9));
        assertThat(weibull.failedBy(age.low()).high()).isCloseTo(0.1, within(1e-5));
        assertThat(weibull.failedBy(age.high()).low()).isCloseTo(0.1, within(1e-5));
    }

    @Test
    void inOtherUnitsTheShapeStaysAndTheScaleFollows() {
        List<Life> inMetres = SHOCK_ABSORBERS.stream()
                .map(l -> new Life(l.hours() / 250, l.failed()))
                .toList();
        LivesResult.Fit fit = LivesEngine.run(LivesInput.of(inMetres)).fit().orElseThrow();
        LivesResult.Fit km =
                LivesEngine.run(LivesInput.of(SHOCK_ABSORBERS)).fit().orElseThrow();
        assertThat(fit.shape().value()).isCloseTo(km.shape().value(), within(1e-7));
        assertThat(fit.scale().high() * 250).isCloseTo(km.scale().high(), within(0.1));
    }

    @Test
    void tooFewFailuresFitNothingAndSaySo() {
        List<Life> two = List.of(new Life(300, true), new Life(410, true), new Life(200, false));
        LivesInput in = LivesInput.of(two);
        LivesResult out = LivesEngine.run(in);
        assertThat(out.fit()).isEmpty();
        assertThat(new LivesWords(in, out, Money.UNSAID).notes())
                .singleElement()
                .asString()
                .startsWith("Too few failures");
        List<Life> same = List.of(new Life(300, true), new Life(300, true), new Life(300, true));
        assertThat(LivesEngine.run(LivesInput.of(same)).fit()).isEmpty();
    }

    @Test
    void theMeanAgeIsTheIntegralOfTheSurvivors() {
        LivesResult.Fit fit =
                LivesEngine.run(LivesInput.of(SHOCK_ABSORBERS)).fit().orElseThrow();
        double integral = new IterativeLegendreGaussIntegrator(8, 1e-9, 1e-9)
                .integrate(100_000, t -> 1 - fit.failedBy(t), 0, 20_000);
        assertThat(LivesEngine.meanAge(fit, 20_000)).isCloseTo(integral, within(1e-3));
    }

    @Test
    void theCheapestIntervalIsCheaperThanItsNeighboursAndThanTheCalendar() {
        LivesInput in = costed(SHOCK_ABSORBERS);
        LivesResult out = LivesEngine.run(in);
        LivesResult.CostPoint best = out.cheapest().orElseThrow();
        assertThat(out.costs()).allMatch(c -> c.costPerHour() >= best.costPerHour());
        assertThat(out.calendar().orElseThrow().costPerHour().orElseThrow()).isGreaterThan(best.costPerHour());
        assertThat(out.calendar().orElseThrow().hours()).isEqualTo(12_000);
        assertThat(new LivesWords(in, out, Money.UNSAID).notes()).anyMatch(n -> n.startsWith("Cheapest: replace at"));
        assertThat(new LivesWords(in, out, Money.UNSAID).explainInterval().figure())
                .endsWith(" h");
    }

    @Test
    void whatFailsByChanceIsNotWorthReplacingEarly() {
        Random random = new Random(11);
        List<Life> chance = Stream.generate(() -> new Life(-500 * Math.log(1 - random.nextDouble()), true))
                .limit(300)
                .map(l -> new Life(Math.pow(l.hours(), 1.3), true))
                .toList();
        LivesInput in = costed(chance);
        LivesResult out = LivesEngine.run(in);
        assertThat(out.fit().orElseThrow().shape().high()).isLessThan(1);
        assertThat(out.cheapest()).isEmpty();
        assertThat(new LivesWords(in, out, Money.UNSAID).notes()).anyMatch(n -> n.startsWith("Early failures"));
    }

    /** The share of simulated yards whose bounds hold the truth; 1,500 yards, so that two standard errors are about 1.1 %. */
    @Test
    void ninetyFivePercentBoundsHoldTheTruthInAboutNinetyFiveOfAHundredYards() {
        Random random = new Random(1998);
        int yards = 1_500;
        int shapeHeld = 0;
        int ageHeld = 0;
        double age = 400 * Math.pow(-Math.log(0.9), 1 / 2.5);
        for (int yard = 0; yard < yards; yard++) {
            List<Life> lives = new ArrayList<>();
            for (int i = 0; i < 40; i++) {
                double life = 400 * Math.pow(-Math.log(1 - random.nextDouble()), 1 / 2.5);
                double cut = 150 + 450 * random.nextDouble();
                lives.add(new Life(Math.min(life, cut), life <= cut));
            }
            Weibull weibull = new Weibull(lives, 0.95);
            LivesResult.Bounded shape = weibull.shape();
            LivesResult.Bounded tenth = weibull.quantile(0.1);
            shapeHeld += shape.low() <= 2.5 && 2.5 <= shape.high() ? 1 : 0;
            ageHeld += tenth.low() <= age && age <= tenth.high() ? 1 : 0;
        }
        assertThat(shapeHeld / (double) yards).isBetween(0.93, 0.97);
        assertThat(ageHeld / (double) yards).isBetween(0.93, 0.97);
    }
}
