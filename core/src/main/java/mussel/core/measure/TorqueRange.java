package mussel.core.measure;

/**
 * A tightening torque as a sheet gives it.
 *
 * @param lowNm the least (N·m)
 * @param highNm the most (N·m)
 */
public record TorqueRange(double lowNm, double highNm) {
    /** From this torque on it is said in foot-pounds where it is said in pounds (lbf·ft). */
    static final double FOOT_POUNDS_FROM = 15;

    /** Refuses an upside-down range. */
    public TorqueRange {
        if (!(lowNm > 0 && lowNm <= highNm)) {
            throw new IllegalArgumentException(
                    "A torque range runs from a low above zero to a high, not " + lowNm + " to " + highNm);
        }
    }

    /** The aim where nothing else is said: the middle (N·m). */
    public double middleNm() {
        return (lowNm + highNm) / 2;
    }

    /** The range in a unit, like {@code 20–24 N·m}. */
    public String range(TorqueUnit unit) {
        String low = Display.significant(unit.fromNm(lowNm));
        String high = Display.significant(unit.fromNm(highNm));
        return (low.equals(high) ? low : low + "–" + high) + " " + unit.symbol();
    }

    /** The unit in pounds it is said in: inches for small ones, feet from 15 lbf·ft on. */
    public TorqueUnit pounds() {
        return TorqueUnit.LBF_FT.fromNm(lowNm) < FOOT_POUNDS_FROM ? TorqueUnit.LBF_IN : TorqueUnit.LBF_FT;
    }

    /** The middle in a unit, like {@code 22 N·m}. */
    public String middle(TorqueUnit unit) {
        return Display.significant(unit.fromNm(middleNm())) + " " + unit.symbol();
    }
}
