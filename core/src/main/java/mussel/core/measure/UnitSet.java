package mussel.core.measure;

import java.util.EnumMap;
import java.util.Map;

/** The usual sets of units. */
public enum UnitSet {
    /** Millilitres, kilopascals, degrees Celsius, newton metres, millimetres. */
    METRIC("Metric", Map.of()),
    /** US fluid ounces, psi, degrees Fahrenheit, inch-pounds, inches, ounces. */
    US(
            "US",
            Map.of(
                    Kind.VOLUME, "fl oz",
                    Kind.PRESSURE, "psi",
                    Kind.TEMPERATURE, "°F",
                    Kind.TORQUE, "lbf·in",
                    Kind.LENGTH, "in",
                    Kind.MASS, "oz"));

    private final String title;
    private final Map<Kind, String> symbols = new EnumMap<>(Kind.class);

    UnitSet(String title, Map<Kind, String> other) {
        this.title = title;
        for (Kind kind : Kind.values()) {
            symbols.put(kind, other.getOrDefault(kind, kind.canonical()));
        }
    }

    /** Its name for people. */
    public String title() {
        return title;
    }

    String symbol(Kind kind) {
        return symbols.get(kind);
    }
}
