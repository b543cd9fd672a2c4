package mussel.core.practice;

import java.util.List;

/**
 * What a leg came to.
 *
 * @param minutes of looking (min)
 * @param looking what that cost (money)
 * @param work what the goals done cost, with what was opened for them, their parts and the final check (money)
 * @param comebacks what is to be expected of what was left (money)
 * @param done the goals done
 * @param missed those called for and not done
 * @param needless those done and not called for
 * @param looks how many looks were made
 * @param forbidden how many of them the state of the leg forbade, so that something had to be put back first
 * @param stated the chance of coming back as it was believed (0..1)
 * @param back the chance of coming back with what is wrong with it (0..1)
 */
public record Reckoning(
        double minutes,
        double looking,
        double work,
        double comebacks,
        List<String> done,
        List<String> missed,
        List<String> needless,
        int looks,
        int forbidden,
        double stated,
        double back) {
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
