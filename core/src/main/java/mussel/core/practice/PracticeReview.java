package mussel.core.practice;

import java.util.List;
import java.util.Optional;

/**
 * What it came to.
 *
 * @param own as it was handed back
 * @param advice what the program's advice would have cost on this leg
 * @param advised what that would have looked at, in its order
 * @param knowing what somebody who knew what is wrong would have cost, without a look
 * @param looks each look that was made
 * @param score how true what was suspected is, in bits a goal: nought is certain and right, one is a coin; empty where nothing was said
 * @param right whether it was right to mend it, or to hand it over
 */
public record PracticeReview(
        Reckoning own,
        Reckoning advice,
        List<String> advised,
        Reckoning knowing,
        List<Made> looks,
        Optional<Double> score,
        boolean right) {
    /**
     * One look in the reckoning.
     *
     * @param finding which
     * @param shows what it showed
     * @param minutes what it took, its set-up with it (min)
     * @param bits what it was expected to settle as it was made (bits)
     * @param value what it was worth then, less its time (money)
     */
    public record Made(String finding, String shows, double minutes, double bits, double value) {}

    /** Keeps its own copies. */
    public PracticeReview {
        advised = List.copyOf(advised);
        looks = List.copyOf(looks);
    }

    /** What was lost against the advice (money); below nought where it was beaten. */
    public double lost() {
        return own.cost() - advice.cost();
    }
}
