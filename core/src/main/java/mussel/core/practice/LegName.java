package mussel.core.practice;

import java.util.Optional;
import mussel.core.job.LegRef;
import mussel.core.language.Messages;

/**
 * What a practice leg is known by: with the same name it is the same leg for everybody.
 *
 * @param seed of its draw
 * @param number in it
 * @param lesson the lesson it is of; empty for free practice
 * @param family the family it is of; empty for one without a sheet, which has no stations
 */
public record LegName(long seed, int number, Optional<String> lesson, Optional<String> family) {
    private static final Messages TEXT = Messages.of(LegName.class);

    /** The family of practice legs without a sheet. */
    public static final String NO_FAMILY = "practice";

    private static final String BETWEEN = ":";
    private static final int LESSON = 2;

    /** As the leg of a job. */
    public LegRef leg() {
        // Legs of two families are two legs, whatever their number.
        String of = family.map(f -> BETWEEN + lesson.orElse("") + BETWEEN + f)
                .orElseGet(() -> lesson.map(l -> BETWEEN + l).orElse(""));
        return new LegRef(
                LegRef.PRACTICE + seed + BETWEEN + number + of,
                TEXT.get("leg_name.practice_leg", number),
                LegRef.Position.SINGLE,
                family.orElse(NO_FAMILY));
    }

    /** By the leg of a job; empty where that is no practice leg. */
    public static Optional<LegName> of(LegRef leg) {
        if (!leg.isPractice()) {
            return Optional.empty();
        }
        String[] parts = leg.id().substring(LegRef.PRACTICE.length()).split(BETWEEN);
        try {
            return Optional.of(new LegName(
                    Long.parseLong(parts[0]),
                    Integer.parseInt(parts[1]),
                    parts.length > LESSON && !parts[LESSON].isEmpty() ? Optional.of(parts[LESSON]) : Optional.empty(),
                    leg.family().equals(NO_FAMILY) ? Optional.empty() : Optional.of(leg.family())));
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
            return Optional.empty();
        }
    }
}
