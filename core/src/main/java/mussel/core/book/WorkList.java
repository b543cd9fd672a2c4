package mussel.core.book;

import java.util.List;

/**
 * Work to be done in its order, as a list to print and take along.
 *
 * @param title what it is
 * @param intro what is said before it
 * @param lines the work
 * @param notes what else is to be known, below
 */
public record WorkList(String title, String intro, List<Line> lines, List<String> notes) {
    /** Keeps its own copies. */
    public WorkList {
        lines = List.copyOf(lines);
        notes = List.copyOf(notes);
    }

    /**
     * A piece of work.
     *
     * @param says what to do
     * @param done whether it is done
     */
    public record Line(String says, boolean done) {}
}
