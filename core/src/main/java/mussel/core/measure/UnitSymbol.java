package mussel.core.measure;

import javax.measure.Unit;

/**
 * One unit a technician may type.
 *
 * @param symbol how the unit is written on screen and paper
 * @param kind what it measures
 * @param unit the unit itself
 * @param canonical the kind's canonical unit, to convert to and from
 */
public record UnitSymbol(String symbol, Kind kind, Unit<?> unit, Unit<?> canonical) {
    /** Converts a figure in this unit into the kind's canonical unit. */
    public double toCanonical(double figure) {
        return convert(figure, unit, canonical);
    }

    /** Converts a figure in the kind's canonical unit into this unit. */
    public double fromCanonical(double figure) {
        return convert(figure, canonical, unit);
    }

    private static double convert(double figure, Unit<?> from, Unit<?> to) {
        try {
            return from.getConverterToAny(to).convert(figure);
        } catch (javax.measure.IncommensurableException e) {
            throw new IllegalStateException("The unit table pairs units of two kinds", e);
        }
    }
}
