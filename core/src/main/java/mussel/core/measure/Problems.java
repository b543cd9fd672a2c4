package mussel.core.measure;

import java.util.ArrayList;
import java.util.List;
import mussel.core.language.Messages;

/** Collects every problem of an input, so that all are told at once. Not for several threads. */
public final class Problems {
    private static final Messages TEXT = Messages.of(Problems.class);

    /** Nobody reads more. */
    private static final int MOST = 500;
    /** Nor a longer sentence: a word that somebody typed may be as long as a file. */
    private static final int LONGEST = 1_000;

    private final List<Problem> found = new ArrayList<>();
    private int more;

    /** Adds a problem at a JSON Pointer. */
    public void at(String pointer, String problem) {
        if (found.size() < MOST) {
            found.add(
                    new Problem(pointer, problem.length() <= LONGEST ? problem : problem.substring(0, LONGEST) + "…"));
        } else {
            more++;
        }
    }

    /** Adds the problem when the condition does not hold. */
    public void unless(boolean holds, String pointer, String problem) {
        if (!holds) {
            at(pointer, problem);
        }
    }

    /** What was found so far, in order; of very many the first, and how many more there are. */
    public List<Problem> list() {
        List<Problem> told = new ArrayList<>(found);
        if (more > 0) {
            told.add(new Problem("", TEXT.get("problems.and_more_which_are_not_listed", more)));
        }
        return List.copyOf(told);
    }

    /** How many were found so far. */
    public int count() {
        return found.size() + more;
    }

    /** Whether nothing was found. */
    public boolean none() {
        return found.isEmpty();
    }
}
