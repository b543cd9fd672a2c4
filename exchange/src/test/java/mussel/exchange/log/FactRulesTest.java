package mussel.exchange.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mussel.core.job.Address;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.LegRef;
import mussel.core.job.Order;
import mussel.core.job.Scale;
import mussel.core.job.Topic;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What an entry from elsewhere must keep to, each rule broken once. */
class FactRulesTest {
    private static final Fact OPENED = new Fact.Opened(new LegRef("l", "Byssus", LegRef.Position.SINGLE, "tern-60"));
    private static final Fact HOLD = new Fact.HoldBegun("h1", LeakMode.PRESSURE, 0.5, "tester", false);

    private static Fact held(String hold, double kpa, double tempC) {
        return new Fact.Held(hold, List.of(new LeakReading(0, kpa, tempC, Optional.empty())));
    }

    private static Fact ordered(Order.Line... lines) {
        return new Fact.Ordered("o1", "R", false, List.of(lines), 0, 0);
    }

    private static Order.Line line(int qty, double cost) {
        return new Order.Line("K", "Lochside", qty, cost, List.of(), LocalDate.of(2026, 12, 1));
    }

    static Stream<Arguments> broken() {
        Address nowhere = Address.the("nowhere");
        return Stream.of(
                Arguments.of(Fact.Read.byHand(nowhere, 1, "1"), "“nowhere”, which is no field"),
                Arguments.of(Fact.Read.byHand(Field.DRAINED.address(), -4, "-4 ml"), "has −4 ml for “drained”"),
                Arguments.of(Fact.Read.byHand(Field.ENGINE_HOURS.address(), 1e9, "?"), "for “hour meter”; it goes"),
                Arguments.of(new Fact.Chosen(nowhere, "yes"), "which is no scale"),
                Arguments.of(
                        new Fact.Chosen(Scale.OIL_WATER.address(), "muddy"),
                        "chooses “muddy” on oil_water; there are none, haze"),
                Arguments.of(new Fact.Noted(nowhere, "x"), "which is no topic"),
                Arguments.of(
                        new Fact.Noted(Topic.COMPLAINT.address(), "x".repeat(20_001)),
                        "longer than 20\u00a0000 characters"),
                Arguments.of(new Fact.Cleared(nowhere), "clears “nowhere”"),
                Arguments.of(new Fact.HoldBegun("h2", LeakMode.VACUUM, 0, "tester", false), "a gauge step of 0 kPa"),
                Arguments.of(held("h9", 90, 20), "the hold “h9”, which was not begun"),
                Arguments.of(held("h1", 90, Double.NaN), "a reading no gauge shows"),
                Arguments.of(held("h1", 5_000, 20), "a reading no gauge shows"),
                Arguments.of(ordered(), "an order without lines"),
                Arguments.of(ordered(line(0, 3)), "an order without lines, amounts or prices"),
                Arguments.of(ordered(line(1, -3)), "an order without lines, amounts or prices"),
                Arguments.of(new Fact.Arrived("o9", LocalDate.of(2026, 12, 1)), "which was not placed"),
                Arguments.of(new Fact.Delivered("o9", "Skerry", "K", 1, 0, LocalDate.of(2026, 12, 1)), "not placed"),
                Arguments.of(new Fact.Retracted(77), "takes back the entry 77"),
                Arguments.of(OPENED, "opens a job that is open already"));
    }

    @ParameterizedTest
    @MethodSource("broken")
    void isRefusedInWords(Fact fact, String why) {
        FactRules rules = new FactRules(false);
        assertThat(rules.problem(1, OPENED)).isEmpty();
        assertThat(rules.problem(2, HOLD)).isEmpty();
        assertThat(rules.problem(3, fact)).get().asString().contains(why);
    }

    @Test
    void aJobBeginsWithItsOpeningAndCountsEachEntryOnce() {
        assertThat(new FactRules(false).problem(1, HOLD)).get().asString().contains("must open it");
        FactRules rules = new FactRules(false);
        rules.problem(1, OPENED);
        assertThat(rules.problem(1, HOLD)).get().asString().contains("has the number 1, which an earlier entry");
    }

    @Test
    void everyKindOfEntryThatMusselWritesIsSound() {
        FactRules rules = new FactRules(false);
        for (Entry entry : Samples.job(3, 50)) {
            assertThat(rules.problem(entry.seq(), entry.fact()))
                    .as(entry.toString())
                    .isEmpty();
        }
    }
}
