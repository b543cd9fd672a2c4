package mussel.core.estimate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import mussel.core.estimate.EstimateInput.Doubtful;
import mussel.core.estimate.EstimateInput.Exchange;
import mussel.core.estimate.EstimateInput.Leave;
import mussel.core.estimate.EstimateInput.Minutes;
import mussel.core.measure.Problems;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class EstimateEngineTest {
    private static final Exchange UNIT = new Exchange("Exchange unit", 900, 250, true, 90, 6, OptionalDouble.of(1_500));
    private static final Leave LEAVE = new Leave(0.8, 1_400, OptionalDouble.of(100));

    @Test
    void meansAreSumsOfTheirParts() {
        EstimateResult out = EstimateEngine.run(input(60, List.of(new Doubtful("shaft", 200, 0.25)), 20));

        assertThat(out.option("repair").mean()).isCloseTo(150 + 30 + 200 * 60 / 60.0 + 50 + 20 * 2, within(1e-9));
        assertThat(out.option("Exchange unit").mean()).isCloseTo(900 + 90 + 6 * 20, within(1e-9));
        assertThat(out.option("leave").mean()).isCloseTo(1_120, within(1e-9));
        assertThat(out.option("leave").p10()).isZero();
        assertThat(out.option("leave").p50()).isEqualTo(1_400);
        assertThat(out.option("Exchange unit").perLifeHour()).hasValue((900 + 90 + 120) / 1_500.0);
        assertThat(out.cheapest()).isEqualTo("repair");
    }

    @Test
    void aCoreThatStaysIsPaidFor() {
        Exchange kept = new Exchange("Storage", 900, 250, false, 0, 0, OptionalDouble.empty());
        EstimateInput in = with(input(0, List.of(), 0), List.of(kept));

        assertThat(EstimateEngine.run(in).option("Storage").mean()).isEqualTo(1_150);
        assertThat(EstimateEngine.run(in).option("Storage").perLifeHour()).isEmpty();
    }

    @Property(tries = 40)
    void percentilesAgreeWithDrawing(@ForAll long seed) {
        Random random = new Random(seed);
        List<Doubtful> doubtful = new ArrayList<>();
        for (int i = 0; i < random.nextInt(6); i++) {
            doubtful.add(new Doubtful("d" + i, random.nextInt(400), random.nextDouble()));
        }
        EstimateInput in = input(72, doubtful, 0);
        EstimateResult out = EstimateEngine.run(in);
        double sigma = Math.log(300 / 190.0) / 1.2815515655446004;
        double[] costs = new double[40_000];
        for (int i = 0; i < costs.length; i++) {
            costs[i] = 180 + 72 / 60.0 * 190 * Math.exp(sigma * random.nextGaussian());
            for (Doubtful part : doubtful) {
                costs[i] += random.nextDouble() < part.probability() ? part.price() : 0;
            }
        }
        Arrays.sort(costs);

        RepairCost cost = new RepairCost(in);
        for (double p : new double[] {0.1, 0.5, 0.9}) {
            double drawn = costs[(int) (p * costs.length)];
            assertThat(cost.atMost(drawn)).isCloseTo(p, within(0.012));
        }
        assertThat(cost.atMost(out.option("repair").p10())).isCloseTo(0.1, within(1e-6));
        assertThat(cost.atMost(out.option("repair").p50())).isCloseTo(0.5, within(1e-6));
        assertThat(cost.atMost(out.option("repair").p90())).isCloseTo(0.9, within(1e-6));
    }

    @Test
    void theAnswerFlipsWhereItSaysItDoes() {
        List<Doubtful> doubtful = List.of(new Doubtful("gears", 600, 0.5), new Doubtful("shaft", 400, 0.2));
        EstimateInput in = new EstimateInput(
                60,
                new Minutes(200, 190, 300),
                150,
                30,
                doubtful,
                List.of(UNIT),
                OptionalDouble.empty(),
                0,
                0,
                Optional.empty());
        EstimateResult out = EstimateEngine.run(in);
        double rate = out.flipsAt().labourPerH().orElseThrow();
        double total = out.flipsAt().doubtfulTotal().orElseThrow();

        assertThat(cheapestAt(in, rate * 0.999, 1)).isNotEqualTo(cheapestAt(in, rate * 1.001, 1));
        assertThat(cheapestAt(in, 60, total / 1_000 * 0.999)).isEqualTo("repair");
        assertThat(cheapestAt(in, 60, total / 1_000 * 1.001)).isEqualTo("Exchange unit");
    }

    @Test
    void twentyDoubtfulPartsAreEnumerated() {
        List<Doubtful> doubtful = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            doubtful.add(new Doubtful("d" + i, 10 + Math.rint(100 * Math.sqrt(i)) / 100, 0.5));
        }
        EstimateResult out = EstimateEngine.run(input(60, doubtful, 0));

        double half = doubtful.stream().mapToDouble(d -> d.price() / 2).sum();
        assertThat(out.option("repair").mean()).isCloseTo(180 + 200 + half, within(1e-9));
        assertThat(out.option("repair").p90())
                .isGreaterThan(out.option("repair").p50());
    }

    @Test
    void labourWithoutSpreadOrPriceMakesSteps() {
        EstimateInput in = new EstimateInput(
                0,
                new Minutes(100, 100, 100),
                50,
                0,
                List.of(new Doubtful("seal", 20, 0.3)),
                List.of(),
                OptionalDouble.of(100),
                0,
                0,
                Optional.empty());
        EstimateResult out = EstimateEngine.run(in);

        assertThat(out.option("repair").p50()).isEqualTo(50);
        assertThat(out.option("repair").p90()).isEqualTo(70);
        assertThat(out.pRepairCheapest()).isEqualTo(1);
        assertThat(out.flipsAt().labourPerH()).isEmpty();
    }

    @Test
    void tooManyDoubtfulPartsAndANameTakenTwiceAreRefused() {
        List<Doubtful> doubtful = new ArrayList<>();
        for (int i = 0; i < 21; i++) {
            doubtful.add(new Doubtful("d" + i, 1, 0.5));
        }
        Problems problems = new Problems();
        with(input(60, doubtful, 0), List.of(UNIT, UNIT)).check(problems, "");

        assertThat(problems.list()).extracting(p -> p.at()).containsExactly("/doubtful", "/exchange/1/name");
    }

    private static String cheapestAt(EstimateInput in, double rate, double times) {
        List<Doubtful> scaled = in.doubtful().stream()
                .map(d -> new Doubtful(d.part(), d.price() * times, d.probability()))
                .toList();
        return EstimateEngine.run(new EstimateInput(
                        rate,
                        in.minutes(),
                        in.partsTotal(),
                        in.toolsTotal(),
                        scaled,
                        in.exchange(),
                        in.repairLifeH(),
                        in.repairLeadDays(),
                        in.downtimePerDay(),
                        in.leave()))
                .cheapest();
    }

    private static EstimateInput with(EstimateInput in, List<Exchange> exchange) {
        return new EstimateInput(
                in.labourPerH(),
                in.minutes(),
                in.partsTotal(),
                in.toolsTotal(),
                in.doubtful(),
                exchange,
                in.repairLifeH(),
                in.repairLeadDays(),
                in.downtimePerDay(),
                in.leave());
    }

    private static EstimateInput input(double rate, List<Doubtful> doubtful, double downtime) {
        return new EstimateInput(
                rate,
                new Minutes(200, 190, 300),
                150,
                30,
                doubtful,
                List.of(UNIT),
                OptionalDouble.of(1_000),
                2,
                downtime,
                Optional.of(LEAVE));
    }
}
