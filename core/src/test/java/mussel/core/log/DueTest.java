package mussel.core.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.OptionalDouble;
import mussel.core.sheet.Interval;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DueTest {
    private static final Interval OIL = new Interval("gear_oil", "Gear oil", 100, 12, 0.5, Interval.Counts.GEAR_OIL);
    private static final LocalDate DONE = LocalDate.of(2026, 1, 31);

    @Test
    void hoursAndMonthsAreBothCounted() {
        Due due = Due.after(OIL, OptionalDouble.of(412), DONE, false);
        assertThat(due.atHours()).hasValue(512);
        assertThat(due.on()).isEqualTo(LocalDate.of(2027, 1, 31));
        assertThat(due.limits()).contains("512 h").contains("2027-01-31").contains("whichever comes first");
    }

    @Test
    void hardRunningBringsItForward() {
        Due due = Due.after(OIL, OptionalDouble.of(412), DONE, true);
        assertThat(due.atHours()).hasValue(462);
        assertThat(due.on()).isEqualTo(LocalDate.of(2026, 7, 31));
    }

    @ParameterizedTest
    @CsvSource({
        "2026-06-01, 420, LATER",
        "2026-06-01, 505, SOON",
        "2026-06-01, 513, OVERDUE",
        "2027-01-20, 420, SOON",
        "2027-02-01, 420, OVERDUE"
    })
    void whicheverComesFirstDecides(LocalDate today, double hours, Due.Urgency urgency) {
        assertThat(Due.after(OIL, OptionalDouble.of(412), DONE, false).urgency(today, OptionalDouble.of(hours)))
                .isEqualTo(urgency);
    }

    @Test
    void withoutAnHourMeterTheCalendarCounts() {
        Due due = Due.after(OIL, OptionalDouble.empty(), DONE, false);
        assertThat(due.limits()).isEqualTo("by 2027-01-31");
        assertThat(due.urgency(LocalDate.of(2026, 6, 1), OptionalDouble.of(9_000)))
                .as("hours read later say nothing where it began is not known")
                .isEqualTo(Due.Urgency.LATER);
        assertThat(due.urgency(LocalDate.of(2026, 6, 1), OptionalDouble.empty()))
                .isEqualTo(Due.Urgency.LATER);
        assertThat(due.urgency(LocalDate.of(2027, 6, 1), OptionalDouble.empty()))
                .isEqualTo(Due.Urgency.OVERDUE);
    }
}
