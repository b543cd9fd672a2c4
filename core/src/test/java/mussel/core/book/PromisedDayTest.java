package mussel.core.book;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PromisedDayTest {
    /** A Monday. */
    private static final LocalDate WRITTEN = LocalDate.of(2026, 11, 23);

    @ParameterizedTest
    @CsvSource({
        "Friday, 2026-11-27",
        "fri, 2026-11-27",
        "Monday, 2026-11-30",
        "Wednesday week, 2026-12-02",
        "'driveshaft seals, Thursday', 2026-11-26",
        "on 2026-12-04 at noon, 2026-12-04",
        "Tomorrow, 2026-11-24",
    })
    void readsWhatABenchWrites(String words, LocalDate day) {
        assertThat(PromisedDay.in(words, WRITTEN)).contains(day);
    }

    @Test
    void namesNoDayWhereThereIsNone() {
        assertThat(PromisedDay.in("when the seals are here", WRITTEN)).isEmpty();
        assertThat(PromisedDay.in("2026-13-45", WRITTEN)).isEmpty();
        assertThat(PromisedDay.in("", WRITTEN)).isEmpty();
    }
}
