package mussel.core.drain;

/** How much water the oil shows, from benign to severe, with the water fraction each look stands for. */
public enum OilLook {
    /** Clear in its own dye. */
    NONE(0, 0.001),
    /** A slight clouding of its own colour. */
    HAZE(0.0005, 0.004),
    /** Pale streaks and globules. */
    STREAKS(0.002, 0.03),
    /** Uniformly milky. */
    MILKY(0.01, 0.15),
    /** Coffee or dark sludge with rust. */
    SLUDGE(0.05, 0.40);

    private final double low;
    private final double high;

    OilLook(double low, double high) {
        this.low = low;
        this.high = high;
    }

    /** The least water fraction of the oil that looks like this. */
    public double low() {
        return low;
    }

    /** The largest water fraction of the oil that looks like this. */
    public double high() {
        return high;
    }
}
