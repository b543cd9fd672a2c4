package mussel.core.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.log.Visit.Measure;
import mussel.core.log.Visit.Quantity;
import org.junit.jupiter.api.Test;

class TrendTest {
    private static Visit visit(int job, int year, double water) {
        LocalDate day = LocalDate.of(year, 3, 1);
        return new Visit(
                job,
                "leg",
                "Boat",
                "Boat",
                "family",
                "Model",
                day,
                Optional.of(day),
                OptionalDouble.of(100.0 * job),
                Optional.of("sea"),
                false,
                List.of(new Measure(Quantity.WATER, water, water, water, false)),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                "",
                false);
    }

    @Test
    void aSteadyRiseIsToldWithItsBounds() {
        Trend trend = Trend.of(List.of(
                        visit(3, 2024, 0.031), visit(1, 2022, 0.010), visit(2, 2023, 0.020), visit(4, 2025, 0.041)))
                .get(0);
        assertThat(trend.points()).extracting(p -> p.visit().job()).containsExactly(1, 2, 3, 4);
        assertThat(trend.says()).startsWith("Last 4.1 %. Rising by 1.04 % per year");
    }

    @Test
    void scatterIsNoTrendAndTwoFiguresAreTooFew() {
        Trend level = Trend.of(List.of(visit(1, 2022, 0.02), visit(2, 2023, 0.01), visit(3, 2024, 0.02)))
                .get(0);
        assertThat(level.says()).contains("no clear trend");
        Trend few =
                Trend.of(List.of(visit(1, 2022, 0.02), visit(2, 2023, 0.01))).get(0);
        assertThat(few.says()).contains("too few for a trend");
        assertThat(Trend.of(List.of())).isEmpty();
    }
}
