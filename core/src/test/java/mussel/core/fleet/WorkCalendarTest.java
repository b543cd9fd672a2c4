package mussel.core.fleet;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Quarter hours from the midnight before a Monday, 10:07. */
class WorkCalendarTest {
    private static final LocalDate MONDAY = LocalDate.of(2026, 11, 23);
    private static final WorkCalendar CALENDAR = new WorkCalendar(Fleet.Hours.USUAL, MONDAY.atTime(10, 7), 10);

    @Test
    void theFirstSlotIsTheNextQuarterThatIsWhole() {
        assertThat(CALENDAR.begins(CALENDAR.first())).isEqualTo(MONDAY.atTime(10, 15));
        WorkCalendar sharp = new WorkCalendar(Fleet.Hours.USUAL, MONDAY.atTime(10, 15), 10);
        assertThat(sharp.begins(sharp.first())).isEqualTo(MONDAY.atTime(10, 15));
        assertThat(CALENDAR.slots()).isEqualTo(960);
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "1, 1", "15, 1", "15.1, 2", "150, 10"})
    void minutesFillWholeQuarters(double minutes, int slots) {
        assertThat(WorkCalendar.slots(minutes)).isEqualTo(slots);
    }

    @Test
    void freeDaysAreNotWorkedAndOpenOnTheNextWorkingDay() {
        assertThat(CALENDAR.worked())
                .hasSize(8)
                .noneMatch(d -> d.getDayOfWeek().getValue() > 5)
                .first()
                .isEqualTo(MONDAY);
        LocalDate saturday = MONDAY.plusDays(5);
        LocalDateTime opens = CALENDAR.begins(CALENDAR.opens(saturday));
        assertThat(opens).isEqualTo(MONDAY.plusDays(7).atTime(Fleet.Hours.USUAL.from()));
        assertThat(CALENDAR.opens(MONDAY.plusYears(1))).as("never past the end").isEqualTo(CALENDAR.slots());
    }

    @Test
    void aDayEndsAtMidnightAndOneThatIsOverHasEnded() {
        assertThat(CALENDAR.begins(CALENDAR.endOf(MONDAY)))
                .isEqualTo(MONDAY.plusDays(1).atStartOfDay());
        assertThat(CALENDAR.endOf(MONDAY.minusDays(3))).isZero();
        assertThat(WorkCalendar.daysTo(1)).isEqualTo(1);
        assertThat(WorkCalendar.daysTo(96)).isEqualTo(1);
        assertThat(WorkCalendar.daysTo(97)).isEqualTo(2);
    }

    @Test
    void gapsAndWorkTogetherFillTheWholeTimeAndNothingTwice() {
        Fleet.Technician half = new Fleet.Technician("half", 4, List.of(MONDAY.plusDays(1)));
        List<int[]> gaps = CALENDAR.gaps(half);
        int worked = CALENDAR.slots();
        int free = 0;
        for (int[] gap : gaps) {
            assertThat(gap[0]).isGreaterThanOrEqualTo(free);
            free = gap[0] + gap[1];
            worked -= gap[1];
        }
        assertThat(free).isEqualTo(CALENDAR.slots());
        assertThat(worked).as("seven days of four hours").isEqualTo(7 * 16);
        assertThat(gaps).anyMatch(g -> g[0] <= 96 && g[0] + g[1] >= 192);
    }

    @Test
    void whoIsAlwaysAwayHasOneLongGap() {
        Fleet.Technician nobody = new Fleet.Technician("nobody", 0, List.of());
        assertThat(CALENDAR.gaps(nobody)).singleElement().isEqualTo(new int[] {0, CALENDAR.slots()});
    }
}
