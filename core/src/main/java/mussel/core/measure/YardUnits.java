package mussel.core.measure;

import java.util.EnumMap;
import java.util.Map;

/** The units a yard reads and writes in; figures typed without a unit are in these. */
public enum YardUnits {
    /** Millilitres, kilopascals, degrees Celsius, newton metres, millimetres. */
    METRIC(Map.of()),
    /** US fluid ounces (fl oz), psi, degrees Fahrenheit, inch-pounds, thousandths of an inch, ounces. */
    US(Map.of(
            Kind.VOLUME, "fl oz",
            Kind.PRESSURE, "psi",
            Kind.TEMPERATURE, "°F",
            Kind.TORQUE, "lbf·in",
            Kind.LENGTH, "in",
            Kind.MASS, "oz"));

    private final Map<Kind, String> symbols = new EnumMap<>(Kind.class);

    YardUnits(Map<Kind, String> other) {
        for (Kind kind : Kind.values()) {
            symbols.put(kind, other.getOrDefault(kind, kind.canonical()));
        }
    }

    /** The symbol of the yard's unit for the kind; empty for a bare count. */
    public String symbol(Kind kind) {
        return symbols.get(kind);
    }

    /** Turns a figure in the yard's unit into the canonical one. */
    public double toCanonical(Kind kind, double figure) {
        return same(kind) ? figure : unit(kind).toCanonical(figure);
    }

    /** Turns a canonical figure into the yard's unit. */
    public double fromCanonical(Kind kind, double value) {
        return same(kind) ? value : unit(kind).fromCanonical(value);
    }

    private boolean same(Kind kind) {
        return symbol(kind).equals(kind.canonical());
    }

    private UnitSymbol unit(Kind kind) {
        return UnitTable.find(symbol(kind), kind).orElseThrow();
    }
}
