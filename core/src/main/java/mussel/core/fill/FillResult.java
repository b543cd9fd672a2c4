package mussel.core.fill;

import java.util.List;
import java.util.Optional;

/**
 * What to buy, pour and leave.
 *
 * @param needMl how much oil the fill takes in all (ml)
 * @param use the bottles to pour, in the order of the input
 * @param pour the same bottles one by one in the order of pouring
 * @param cost what must be bought costs
 * @param leaveMl what must be left in the last bottle poured (ml)
 * @param leaveIn the name of that bottle; empty when nothing is poured
 * @param missingMl what may be missing in the end because nothing is bought for so little: less than purge, spill and what stays inside are known to (ml)
 * @param check what the case took against what it should
 */
public record FillResult(
        double needMl,
        List<Use> use,
        List<Pour> pour,
        double cost,
        double leaveMl,
        Optional<String> leaveIn,
        double missingMl,
        Optional<Check> check) {
    /** Keeps its own copies. */
    public FillResult {
        use = List.copyOf(use);
        pour = List.copyOf(pour);
    }

    /**
     * How much of one bottle size is used.
     *
     * @param name the bottle
     * @param count whole ones poured from, owned and bought
     * @param buy how many of these must be bought
     * @param openedMl what the opened one gives (ml)
     */
    public record Use(String name, int count, int buy, double openedMl) {}

    /**
     * One bottle as it is poured.
     *
     * @param name the bottle
     * @param origin where it comes from
     * @param holdsMl what is in it before (ml)
     * @param givesMl what is poured from it (ml)
     */
    public record Pour(String name, Origin origin, double holdsMl, double givesMl) {
        /** What stays in it (ml). */
        public double leavesMl() {
            return holdsMl - givesMl;
        }
    }

    /** Where a bottle comes from. */
    public enum Origin {
        /** Opened already. */
        OPENED,
        /** Whole and owned. */
        OWNED,
        /** To be bought. */
        BOUGHT
    }

    /** What the case took against what it should. */
    public enum Check {
        /** Within 5 % of the capacity. */
        AS_EXPECTED,
        /** Less than it should have: air, or oil left inside. */
        SHORT,
        /** More than it should have. */
        OVER
    }
}
