package mussel.core.measure;

import java.util.EnumMap;
import java.util.Map;
import mussel.core.language.Messages;

/** The usual sets of units. */
public enum UnitSet {
    /** Millilitres, kilopascals, degrees Celsius, newton metres, millimetres. */
    METRIC(Map.of()),
    /** US fluid ounces, psi, degrees Fahrenheit, inch-pounds, inches, ounces. */
    US(Map.of(
            Kind.VOLUME, "fl oz",
            Kind.PRESSURE, "psi",
            Kind.TEMPERATURE, "°F",
            Kind.TORQUE, "lbf·in",
            Kind.LENGTH, "in",
            Kind.MASS, "oz"));

    private static final Messages TEXT = Messages.of(UnitSet.class);

    private final Map<Kind, String> symbols = new EnumMap<>(Kind.class);

    UnitSet(Map<Kind, String> other) {
        for (Kind kind : Kind.values()) {
            symbols.put(kind, other.getOrDefault(kind, kind.canonical()));
        }
    }

    /** Its name for people. */
    public String title() {
        return TEXT.of(this);
    }

    String symbol(Kind kind) {
        return symbols.get(kind);
    }
}
