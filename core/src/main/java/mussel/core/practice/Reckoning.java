package mussel.core.practice;

import java.util.List;

/**
 * What a leg came to.
 *
 * @param minutes of looking (min)
 * @param looking what that cost (money)
 * @param work what the goals done cost, with their parts (money)
 * @param comebacks what will come back costs: of each goal that was called for and not done (money)
 * @param done the goals done
 * @param missed those called for and not done
 * @param needless those done and not called for
 * @param looks how many looks were made
 */
public record Reckoning(
        double minutes,
        double looking,
        double work,
        double comebacks,
        List<String> done,
        List<String> missed,
        List<String> needless,
        int looks) {
    /** Keeps its own copies. */
    public Reckoning {
        done = List.copyOf(done);
        missed = List.copyOf(missed);
        needless = List.copyOf(needless);
    }

    /** All of it (money). */
    public double cost() {
        return looking + work + comebacks;
    }
}
