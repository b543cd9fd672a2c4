package mussel.core.book;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.book.LogBook.Renewed;
import mussel.core.lives.LivesInput.Life;
import mussel.core.log.MeterReading;
import mussel.core.log.Visit.Renewal;
import mussel.core.log.Visit.Wearing;
import org.junit.jupiter.api.Test;

class YardLivesTest {
    private static Renewed renewed(String leg, double hours, Boolean failed, double age) {
        return new Renewed(
                leg,
                hours,
                Optional.of("sea"),
                leg.equals("sandy"),
                new Renewal(
                        Wearing.IMPELLER,
                        Optional.ofNullable(failed),
                        age > 0 ? OptionalDouble.of(age) : OptionalDouble.empty()));
    }

    @Test
    void livesRunFromRenewalToRenewalAndTheLastOneStillRuns() {
        YardLives lives = YardLives.of(
                List.of(
                        renewed("a", 100, true, 80),
                        renewed("a", 400, false, 0),
                        renewed("a", 650, null, 0),
                        renewed("sandy", 50, true, 0),
                        renewed("sandy", 90, true, 0)),
                Map.of(
                        "a", new MeterReading(LocalDate.of(2026, 1, 1), 700),
                        "sandy", new MeterReading(LocalDate.of(2026, 1, 1), 90)),
                Wearing.IMPELLER,
                r -> true);
        assertThat(lives.lives())
                .containsExactlyInAnyOrder(
                        new Life(80, true),
                        new Life(300, false),
                        new Life(250, false),
                        new Life(40, true),
                        new Life(50, false));
        assertThat(lives.unlooked()).isEqualTo(1);
    }

    @Test
    void onlyTheKindAndTheWaterAskedForCount() {
        List<Renewed> all = List.of(renewed("a", 100, true, 80), renewed("sandy", 50, true, 20));
        assertThat(YardLives.of(all, Map.of(), Wearing.IMPELLER, Renewed::sand).lives())
                .containsExactly(new Life(20, true));
        assertThat(YardLives.of(all, Map.of(), Wearing.GEAR_OIL, r -> true).lives())
                .isEmpty();
    }
}
