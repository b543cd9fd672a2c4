package mussel.core.measure;

import java.util.ArrayList;
import java.util.List;

/** Collects every problem of an input, so that all are told at once. Not for several threads. */
public final class Problems {
    private final List<Problem> found = new ArrayList<>();

    /** Adds a problem at a JSON Pointer. */
    public void at(String pointer, String problem) {
        found.add(new Problem(pointer, problem));
    }

    /** Adds the problem when the condition does not hold. */
    public void unless(boolean holds, String pointer, String problem) {
        if (!holds) {
            at(pointer, problem);
        }
    }

    /** What was found so far, in order. */
    public List<Problem> list() {
        return List.copyOf(found);
    }

    /** How many were found so far. */
    public int count() {
        return found.size();
    }

    /** Whether nothing was found. */
    public boolean none() {
        return found.isEmpty();
    }
}
