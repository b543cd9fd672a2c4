package mussel.core.measure;

/**
 * A tightening torque as a sheet gives it.
 *
 * @param lowNm the least (N·m)
 * @param highNm the most (N·m)
 */
public record TorqueRange(double lowNm, double highNm) {
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

    /** The middle in a unit, like {@code 22 N·m}. */
    public String middle(TorqueUnit unit) {
        return Display.significant(unit.fromNm(middleNm())) + " " + unit.symbol();
    }
}
