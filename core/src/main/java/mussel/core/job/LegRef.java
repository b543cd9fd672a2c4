package mussel.core.job;

import mussel.core.language.Messages;

/**
 * Which leg a job is about.
 *
 * @param id stays the same over all its jobs
 * @param boat the boat's name
 * @param position where it hangs
 * @param family its family's id
 */
public record LegRef(String id, String boat, Position position, String family) {
    private static final Messages TEXT = Messages.of(LegRef.class);

    /** What the id of a practice leg begins with: a leg that is not there, which enters no yard's logbook. */
    public static final String PRACTICE = "practice:";

    /** Longest boat name kept. */
    public static final int LONGEST_NAME = 60;

    /** Refuses an empty or endless name. */
    public LegRef {
        if (boat.isBlank() || boat.length() > LONGEST_NAME) {
            throw new IllegalArgumentException("A boat has a name of 1 to " + LONGEST_NAME + " characters");
        }
    }

    /** Where a leg hangs on its boat. */
    public enum Position {
        /** The only one. */
        SINGLE,
        /** Left, looking forward. */
        PORT,
        /** Right, looking forward. */
        STARBOARD,
        /** In the middle of three. */
        CENTRE,
        /** Not hung anywhere. */
        SPARE;

        /** Whether another leg hangs beside it as its mirror. */
        public boolean isTwin() {
            return this == PORT || this == STARBOARD;
        }

        /** The position in words. */
        public String title() {
            return TEXT.of(this);
        }
    }

    /** Whether it is not there: made for practice. */
    public boolean isPractice() {
        return id.startsWith(PRACTICE);
    }

    /** Boat and position, as on a tag. */
    public String title() {
        return position == Position.SINGLE ? boat : boat + ", " + position.title();
    }
}
