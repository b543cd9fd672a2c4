package mussel.core.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.log.Visit;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class ComebacksTest {
    private static Visit visit(int job, String leg, LocalDate day, boolean held, boolean came, String... done) {
        return new Visit(
                        job,
                        leg,
                        leg,
                        leg,
                        "tern-60",
                        "Tern 60",
                        day,
                        Optional.of(day),
                        OptionalDouble.empty(),
                        Optional.empty(),
                        false,
                        List.of(),
                        List.of(),
                        List.of(done),
                        List.of(),
                        List.of(),
                        "",
                        false)
                .proved(held, came, Optional.empty());
    }

    private static final LocalDate DAY = LocalDate.of(2026, 3, 1);

    @Test
    void aComebackCountsAgainstTheRepairBeforeItWithinAYear() {
        Comebacks comebacks = Comebacks.of(List.of(
                visit(1, "a", DAY, true, false, "Seals"),
                visit(2, "a", DAY.plusMonths(3), false, true, "Seals", "Pump"),
                visit(3, "b", DAY, false, false, "Seals"),
                visit(4, "b", DAY.plusMonths(13), true, true, "Pump"),
                visit(5, "c", DAY, true, false)));
        assertThat(comebacks.rates())
                .containsExactly(new Comebacks.Rate("Seals", 3, 1), new Comebacks.Rate("Pump", 2, 0));
        assertThat(comebacks.held().came()).isEqualTo(1);
        assertThat(comebacks.held().repairs()).isEqualTo(2);
        assertThat(comebacks.unheld().repairs()).isEqualTo(2);
        assertThat(Comebacks.of(List.of()).any()).isFalse();
    }

    @Test
    void theBoundsAreWilsons() {
        // 1 of 10: 1.8 % to 40.4 %, as in Wilson (1927) and Newcombe (1998).
        double[] bounds = new Comebacks.Rate("x", 10, 1).bounds();
        assertThat(bounds[0]).isCloseTo(0.0179, within(5e-4));
        assertThat(bounds[1]).isCloseTo(0.4042, within(5e-4));
    }

    @Property
    void theShareLiesWithinItsBounds(
            @ForAll @IntRange(min = 1, max = 500) int repairs, @ForAll @IntRange(min = 0, max = 500) int came) {
        int back = Math.min(came, repairs);
        double[] bounds = new Comebacks.Rate("x", repairs, back).bounds();
        assertThat((double) back / repairs).isBetween(bounds[0] - 1e-9, bounds[1] + 1e-9);
        assertThat(bounds[0]).isBetween(0.0, 1.0);
        assertThat(bounds[1]).isBetween(bounds[0], 1.0);
    }
}
