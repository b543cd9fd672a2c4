package mussel.core.practice;

import java.util.List;

/**
 * What each way of going about practice legs costs.
 *
 * @param policies each way
 * @param pairs each way against each other, leg by leg
 * @param calibration of what the advice held likely, over all legs; of the first way where the advice is not among them
 * @param forbiddenActs looks that the same way asked for and the state of the leg forbade, over all legs
 * @param calibrationBack of the chance of coming back that the same way states on handing over
 * @param knowledgeVersion the edition of the tables that were read
 * @param legs how many legs
 * @param seed of their draw
 * @param wrong the largest factor by which the world was off those tables
 */
public record PracticeResult(
        List<Cost> policies,
        List<Pair> pairs,
        Reliability calibration,
        int forbiddenActs,
        Reliability calibrationBack,
        String knowledgeVersion,
        int legs,
        long seed,
        double wrong) {
    /** Keeps its own copies. */
    public PracticeResult {
        policies = List.copyOf(policies);
        pairs = List.copyOf(pairs);
    }

    /**
     * What a way costs.
     *
     * @param policy which
     * @param costMean a leg, on the mean (money)
     * @param costLow lower bound of that mean, 95 %
     * @param costHigh upper bound
     * @param minutesMean of looking (min)
     * @param missed goals a leg that were called for and not done
     * @param needless goals a leg that were done and not called for
     * @param looksMean looks a leg
     * @param forbidden looks a leg that its state forbade
     * @param back the share of legs that come back
     */
    public record Cost(
            String policy,
            double costMean,
            double costLow,
            double costHigh,
            double minutesMean,
            double missed,
            double needless,
            double looksMean,
            double forbidden,
            double back) {}

    /**
     * Two ways on the same legs.
     *
     * @param policy the one
     * @param against the other
     * @param difference what the one costs more a leg, on the mean (money)
     * @param low lower bound of that, 95 %
     * @param high upper bound
     */
    public record Pair(String policy, String against, double difference, double low, double high) {}

    /**
     * How true probabilities are.
     *
     * @param brier the mean squared error (Brier 1950)
     * @param bins stated against found
     */
    public record Reliability(double brier, List<Bin> bins) {
        /** Keeps its own copy. */
        public Reliability {
            bins = List.copyOf(bins);
        }
    }

    /**
     * What was held about alike likely.
     *
     * @param stated the mean probability
     * @param found the share that was so
     * @param n how many
     */
    public record Bin(double stated, double found, int n) {}
}
