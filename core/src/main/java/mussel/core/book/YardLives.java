package mussel.core.book;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import mussel.core.book.LogBook.Renewed;
import mussel.core.lives.LivesInput.Life;
import mussel.core.log.MeterReading;
import mussel.core.log.UseRate;
import mussel.core.log.Visit.Wearing;

/**
 * The lives of one kind of part over the whole yard. A life runs from one renewal to the next, or from the age the old part was known to have.
 * It failed where somebody found so; where nobody looked, or it was sound, it lasted at least that long. What is fitted now has lasted up to the
 * leg's last reading.
 *
 * @param lives the lives
 * @param unlooked how many ended without anybody saying how the old part was
 */
public record YardLives(List<Life> lives, int unlooked) {
    private static final double DAYS_A_MONTH = 365.25 / 12;

    /** Keeps its own copy. */
    public YardLives {
        lives = List.copyOf(lives);
    }

    /** The lives of a kind among renewals that pass the filter. */
    public static YardLives of(
            List<Renewed> renewals, Map<String, MeterReading> last, Wearing what, Predicate<Renewed> filter) {
        List<Life> lives = new ArrayList<>();
        Map<String, Renewed> fitted = new HashMap<>();
        int unlooked = 0;
        for (Renewed now : renewals) {
            if (now.renewal().what() != what) {
                continue;
            }
            Renewed before = fitted.put(now.leg(), now);
            double hours = now.renewal().age().orElse(before == null ? 0 : now.hours() - before.hours());
            if (hours > 0 && filter.test(now)) {
                Optional<Boolean> failed = now.renewal().failed();
                unlooked += failed.isEmpty() ? 1 : 0;
                lives.add(new Life(hours, failed.orElse(false)));
            }
        }
        fitted.forEach((leg, fit) -> {
            MeterReading seen = last.get(leg);
            if (seen != null && seen.hours() > fit.hours() && filter.test(fit)) {
                lives.add(new Life(seen.hours() - fit.hours(), false));
            }
        });
        return new YardLives(lives, unlooked);
    }

    /** How much the yard's legs run, on the mean of those whose use is known (h a month). */
    public static OptionalDouble hoursPerMonth(List<LogBook.Awaiting> legs) {
        return legs.stream()
                .collect(Collectors.toMap(a -> a.leg().id(), LogBook.Awaiting::readings, (one, same) -> one))
                .values()
                .stream()
                .flatMap(readings -> UseRate.of(readings).stream())
                .mapToDouble(use -> use.perDay() * DAYS_A_MONTH)
                .average();
    }
}
