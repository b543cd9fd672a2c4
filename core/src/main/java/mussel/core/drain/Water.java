package mussel.core.drain;

/** The water a leg runs in, with the practical salinity assumed for it where none was measured. */
public enum Water {
    /** River and lake. */
    FRESH(0),
    /** Estuary. */
    BRACKISH(15),
    /** Open sea. */
    SEA(35);

    private final double salinityPsu;

    Water(double salinityPsu) {
        this.salinityPsu = salinityPsu;
    }

    /** Typical practical salinity (psu). */
    public double salinityPsu() {
        return salinityPsu;
    }
}
