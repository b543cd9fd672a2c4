package mussel.core.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

class UseRateTest {
    private static final LocalDate DAY = LocalDate.of(2025, 1, 1);

    private static MeterReading reading(int day, double hours) {
        return new MeterReading(DAY.plusDays(day), hours);
    }

    @Test
    void fromOneIntervalHalfToDoubleIsTaken() {
        UseRate use = UseRate.of(List.of(reading(0, 100), reading(100, 200))).orElseThrow();
        assertThat(use.perDay()).isEqualTo(1);
        assertThat(use.on(DAY.plusDays(120))).isEqualTo(new UseRate.Hours(220, 210, 240));
        UseRate.Reached reached = use.reaches(300).orElseThrow();
        assertThat(reached.likely()).isEqualTo(DAY.plusDays(200));
        assertThat(reached.earliest()).isEqualTo(DAY.plusDays(150));
        assertThat(reached.latest()).contains(DAY.plusDays(300));
    }

    @Test
    void aMeterThatWasReplacedLosesOnlyItsInterval() {
        UseRate use = UseRate.of(List.of(reading(0, 900), reading(50, 950), reading(100, 10), reading(200, 110)))
                .orElseThrow();
        assertThat(use.perDay()).isCloseTo(1, within(1e-12));
        assertThat(use.intervals()).isEqualTo(2);
        assertThat(use.last().hours()).isEqualTo(110);
    }

    @Test
    void withoutTwoReadingsNothingIsKnown() {
        assertThat(UseRate.of(List.of(reading(0, 5)))).isEmpty();
        assertThat(UseRate.of(List.of(reading(0, 5), reading(0, 9)))).isEmpty();
        assertThat(UseRate.of(List.of(reading(0, 5), reading(9, 5)))).isEmpty();
    }

    /** Engines that run as the model says: nine of ten are inside the band a quarter later. */
    @Test
    void theBandHoldsNineOfTen() {
        Random random = new Random(5);
        int held = 0;
        int engines = 3_000;
        for (int engine = 0; engine < engines; engine++) {
            List<MeterReading> readings = new ArrayList<>();
            double hours = 1_000;
            for (int k = 0; k <= 6; k++) {
                readings.add(reading(k * 60, hours));
                hours += 60 * 2 + 3 * Math.sqrt(60) * random.nextGaussian();
            }
            UseRate use = UseRate.of(readings).orElseThrow();
            double last = readings.get(6).hours();
            double truth = last + 90 * 2 + 3 * Math.sqrt(90) * random.nextGaussian();
            UseRate.Hours band = use.on(DAY.plusDays(450));
            held += band.low() <= truth && truth <= band.high() ? 1 : 0;
        }
        assertThat(held / (double) engines).isBetween(0.88, 0.92);
    }

    @Test
    void hoursOrCalendarWhicheverComesFirst() {
        List<MeterReading> readings = List.of(reading(0, 100), reading(100, 200));
        Due byHours = new Due("gear_oil", "Gear oil", 250, DAY.plusDays(400));
        DueForecast first = DueForecast.of(byHours, readings, DAY.plusDays(101));
        assertThat(first.byHours()).isTrue();
        assertThat(first.by()).isEqualTo(DAY.plusDays(150));
        assertThat(first.says(DAY.plusDays(101))).startsWith("Due by hours: 250 h about 2025-05-31 (in 49 days");
        Due byDay = new Due("gear_oil", "Gear oil", 900, DAY.plusDays(120));
        DueForecast second = DueForecast.of(byDay, readings, DAY.plusDays(130));
        assertThat(second.byHours()).isFalse();
        assertThat(second.urgency()).isEqualTo(Due.Urgency.OVERDUE);
        assertThat(second.says(DAY.plusDays(130))).contains("10 days ago");
        DueForecast blind = DueForecast.of(byDay, List.of(), DAY);
        assertThat(blind.says(DAY)).contains("running hours not known");
        assertThat(blind.explain(DAY).uncertainty()).contains("only the date counts");
        assertThat(first.explain(DAY.plusDays(101)).inputs()).hasSize(5);
    }

    @Test
    void hoursThatAreReachedCountFromTheReadingThatShowedIt() {
        Due due = new Due("gear_oil", "Gear oil", 250, DAY.plusDays(400));
        DueForecast single = DueForecast.of(due, List.of(reading(30, 260)), DAY.plusDays(40));
        assertThat(single.by()).isEqualTo(DAY.plusDays(30));
        assertThat(single.urgency()).isEqualTo(Due.Urgency.OVERDUE);
        assertThat(single.says(DAY.plusDays(40)))
                .isEqualTo("Overdue by hours: 250 h passed; the meter read 260 h on 2025-01-31.");
    }

    @Test
    void aMeterThatWasReplacedMakesNothingOverdue() {
        Due due = new Due("gear_oil", "Gear oil", 110, DAY.plusDays(400));
        DueForecast forecast = DueForecast.of(due, List.of(reading(0, 900), reading(60, 10)), DAY.plusDays(70));
        assertThat(forecast.urgency()).isEqualTo(Due.Urgency.LATER);
        assertThat(forecast.by()).isEqualTo(DAY.plusDays(400));
    }

    @Test
    void whatHasNoHoursIsTheCalendars() {
        Due due = new Due(Due.LAY_UP, "Lay-up", OptionalDouble.empty(), DAY.plusDays(50));
        DueForecast forecast = DueForecast.of(due, List.of(reading(0, 100), reading(10, 300)), DAY.plusDays(20));
        assertThat(forecast.by()).isEqualTo(DAY.plusDays(50));
        assertThat(forecast.byHours()).isFalse();
        assertThat(forecast.says(DAY.plusDays(20))).isEqualTo("Due by date, 2025-02-20 (in 30 days).");
        assertThat(forecast.explain(DAY.plusDays(20)).inputs())
                .noneMatch(i -> i.name().contains("hours limit"));
    }

    /** The short way to the likely day and the whole forecast agree, whatever the meter did. */
    @Test
    void theLikelyDayIsThatOfTheForecast() {
        Random random = new Random(5);
        for (int i = 0; i < 2_000; i++) {
            List<MeterReading> readings = new ArrayList<>();
            double hours = random.nextInt(500);
            int day = 0;
            for (int n = random.nextInt(6); n > 0; n--) {
                day += random.nextInt(90);
                hours = random.nextInt(12) == 0 ? random.nextInt(20) : hours + random.nextInt(200);
                readings.add(reading(day, hours));
            }
            OptionalDouble at =
                    random.nextInt(5) == 0 ? OptionalDouble.empty() : OptionalDouble.of(random.nextInt(2_000));
            Due due = new Due("gear_oil", "Gear oil", at, DAY.plusDays(random.nextInt(900)));
            assertThat(DueForecast.likely(due, readings))
                    .as(due + " " + readings)
                    .isEqualTo(DueForecast.of(due, readings, DAY.plusDays(random.nextInt(900)))
                            .by());
        }
    }

    @Test
    void urgencyFollowsTheLikelyDay() {
        assertThat(Due.urgency(DAY, DAY.minusDays(1))).isEqualTo(Due.Urgency.OVERDUE);
        assertThat(Due.urgency(DAY, DAY)).isEqualTo(Due.Urgency.SOON);
        assertThat(Due.urgency(DAY, DAY.plusDays(14))).isEqualTo(Due.Urgency.SOON);
        assertThat(Due.urgency(DAY, DAY.plusDays(15))).isEqualTo(Due.Urgency.LATER);
    }
}
