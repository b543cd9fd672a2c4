package mussel.core.measure;

/** The units of torque in the trade, exactly as defined. */
public enum TorqueUnit implements Written {
    /** Newton metre. */
    NM("N.m", "N·m", 1),
    /** Pound-force inch: 0.45359237 kg x 9.80665 m/s² x 0.0254 m. */
    LBF_IN("lbf.in", "lbf·in", 0.1129848290276167),
    /** Pound-force foot: twelve of the former. */
    LBF_FT("lbf.ft", "lbf·ft", 12 * 0.1129848290276167),
    /** Kilogram-force metre. */
    KGF_M("kgf.m", "kgf·m", 9.80665);

    private final String file;
    private final String symbol;
    private final double nm;

    TorqueUnit(String file, String symbol, double nm) {
        this.file = file;
        this.symbol = symbol;
        this.nm = nm;
    }

    @Override
    public String file() {
        return file;
    }

    /** How the unit is written for people. */
    public String symbol() {
        return symbol;
    }

    /** Turns a figure in this unit into newton metres. */
    public double toNm(double figure) {
        return figure * nm;
    }

    /** Turns newton metres into this unit. */
    public double fromNm(double newtonMetres) {
        return newtonMetres / nm;
    }
}
