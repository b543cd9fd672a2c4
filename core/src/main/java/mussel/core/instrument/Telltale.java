package mussel.core.instrument;

/** A bucket under the telltale and a stopwatch. */
public interface Telltale {
    /** What it is, as printed. */
    String name();

    /** Whether it is simulated. */
    boolean simulated();

    /**
     * Catches the telltale.
     *
     * @param litres the bucket's mark to fill to (l)
     * @param flowLMin what the practice engine's telltale gives on the mean (l/min)
     */
    Caught fill(double litres, double flowLMin);

    /**
     * What was caught.
     *
     * @param litres how much (l)
     * @param seconds in what time (s)
     */
    record Caught(double litres, double seconds) {}
}
