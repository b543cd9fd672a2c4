package mussel.core.measure;

import static tech.units.indriya.unit.Units.CELSIUS;
import static tech.units.indriya.unit.Units.GRAM;
import static tech.units.indriya.unit.Units.KELVIN;
import static tech.units.indriya.unit.Units.LITRE;
import static tech.units.indriya.unit.Units.METRE;
import static tech.units.indriya.unit.Units.MINUTE;
import static tech.units.indriya.unit.Units.NEWTON;
import static tech.units.indriya.unit.Units.PASCAL;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javax.measure.MetricPrefix;
import javax.measure.Unit;
import tech.units.indriya.AbstractUnit;

/**
 * Every unit Mussel understands, with the ways people spell it. Definitions are exact: the inch, the pound and standard gravity of
 * the 1959 yard and pound agreement and ISO 80000-4, the US gallon of 231 cubic inches, the conventional inch of mercury at 0 °C.
 */
public final class UnitTable {
    private static final double POUND_FORCE_N = 0.45359237 * 9.80665;
    private static final double INCH_M = 0.0254;
    private static final double US_GALLON_L = 3.785411784;

    private static final Map<String, List<UnitSymbol>> SPELLED = new HashMap<>();
    private static final Map<Kind, List<UnitSymbol>> BY_KIND = new HashMap<>();

    static {
        Unit<?> ml = MetricPrefix.MILLI(LITRE);
        add(
                Kind.VOLUME,
                ml,
                "ml",
                ml,
                "cc",
                "ccm",
                "cm3",
                "cm³",
                "millilitre",
                "millilitres",
                "milliliter",
                "milliliters");
        add(Kind.VOLUME, ml, "l", LITRE, "litre", "litres", "liter", "liters", "ltr", "dm3");
        add(Kind.VOLUME, ml, "cl", MetricPrefix.CENTI(LITRE));
        add(Kind.VOLUME, ml, "dl", MetricPrefix.DECI(LITRE));
        add(
                Kind.VOLUME,
                ml,
                "fl oz",
                LITRE.multiply(US_GALLON_L / 128),
                "floz",
                "fl oz (US)",
                "floz(us)",
                "oz",
                "usfloz",
                "flozus");
        add(Kind.VOLUME, ml, "pt (US)", LITRE.multiply(US_GALLON_L / 8), "pt", "pint", "pints");
        add(Kind.VOLUME, ml, "qt (US)", LITRE.multiply(US_GALLON_L / 4), "qt", "quart", "quarts");
        add(Kind.VOLUME, ml, "gal (US)", LITRE.multiply(US_GALLON_L), "gal", "gallon", "gallons");

        Unit<?> kpa = MetricPrefix.KILO(PASCAL);
        add(Kind.PRESSURE, kpa, "kPa", kpa);
        add(Kind.PRESSURE, kpa, "Pa", PASCAL);
        add(Kind.PRESSURE, kpa, "bar", PASCAL.multiply(100_000));
        add(Kind.PRESSURE, kpa, "mbar", PASCAL.multiply(100), "hpa");
        add(Kind.PRESSURE, kpa, "psi", PASCAL.multiply(POUND_FORCE_N / (INCH_M * INCH_M)), "lbfin2", "psig");
        add(Kind.PRESSURE, kpa, "inHg", PASCAL.multiply(3386.389), "inhg", "inchesofmercury");
        add(Kind.PRESSURE, kpa, "mmHg", PASCAL.multiply(133.322387415), "torr");

        add(Kind.TEMPERATURE, CELSIUS, "°C", CELSIUS, "c", "degc", "celsius");
        add(Kind.TEMPERATURE, CELSIUS, "°F", KELVIN.multiply(5).divide(9).shift(459.67), "f", "degf", "fahrenheit");
        add(Kind.TEMPERATURE, CELSIUS, "K", KELVIN, "kelvin");

        Unit<?> nm = NEWTON.multiply(METRE);
        add(Kind.TORQUE, nm, "N·m", nm, "nm", "newtonmetre", "newtonmetres");
        add(Kind.TORQUE, nm, "lbf·in", NEWTON.multiply(METRE).multiply(POUND_FORCE_N * INCH_M), spellings("in", "lb"));
        add(
                Kind.TORQUE,
                nm,
                "lbf·ft",
                NEWTON.multiply(METRE).multiply(POUND_FORCE_N * INCH_M * 12),
                spellings("ft", "lb"));
        add(Kind.TORQUE, nm, "kgf·m", NEWTON.multiply(METRE).multiply(9.80665), "kgm", "mkg", "mkgf");

        Unit<?> mm = MetricPrefix.MILLI(METRE);
        add(Kind.LENGTH, mm, "mm", mm, "millimetre", "millimetres", "millimeter", "millimeters");
        add(Kind.LENGTH, mm, "cm", MetricPrefix.CENTI(METRE));
        add(Kind.LENGTH, mm, "m", METRE);
        add(Kind.LENGTH, mm, "µm", MetricPrefix.MICRO(METRE), "um", "μm", "micron", "microns");
        add(Kind.LENGTH, mm, "in", METRE.multiply(INCH_M), "\"", "inch", "inches");
        add(Kind.LENGTH, mm, "thou", METRE.multiply(INCH_M / 1000), "mil", "mils");

        add(Kind.MASS, GRAM, "g", GRAM, "gram", "grams", "gr");
        add(Kind.MASS, GRAM, "kg", GRAM.multiply(1000), "kilo", "kilos");
        add(Kind.MASS, GRAM, "oz", GRAM.multiply(28.349523125), "ounce", "ounces");
        add(Kind.MASS, GRAM, "lb", GRAM.multiply(453.59237), "lbs", "pound", "pounds");

        Unit<?> hour = MINUTE.multiply(60);
        add(Kind.DURATION, MINUTE, "min", MINUTE, "m", "minute", "minutes", "mins");
        add(Kind.DURATION, MINUTE, "s", MINUTE.divide(60), "sec", "secs", "second", "seconds");
        add(Kind.DURATION, MINUTE, "h", hour, "hr", "hrs", "hour", "hours");
        add(Kind.DURATION, MINUTE, "d", MINUTE.multiply(1440), "day", "days");

        Unit<?> second = MINUTE.divide(60);
        add(Kind.TIMED, second, "s", second, "sec", "secs", "second", "seconds");
        add(Kind.TIMED, second, "min", MINUTE, "m", "minute", "minutes", "mins");

        add(Kind.RUNNING, hour, "h", hour, "hr", "hrs", "hour", "hours");
        add(Kind.RUNNING, hour, "min", MINUTE, "minute", "minutes", "mins");

        add(Kind.ANGLE, AbstractUnit.ONE, "deg", AbstractUnit.ONE, "degree", "degrees");
        add(Kind.SPEED, AbstractUnit.ONE, "rpm", AbstractUnit.ONE, "1/min", "upm");
        add(Kind.DAYS, AbstractUnit.ONE, "d", AbstractUnit.ONE, "day", "days");
        add(Kind.DAYS, AbstractUnit.ONE, "weeks", AbstractUnit.ONE.multiply(7), "week", "wk");

        add(Kind.MONTHS, AbstractUnit.ONE, "months", AbstractUnit.ONE, "month", "mo", "mths");
        add(Kind.MONTHS, AbstractUnit.ONE, "years", AbstractUnit.ONE.multiply(12), "year", "y", "yr", "yrs");
    }

    private UnitTable() {}

    /** Finds the unit of the wanted kind that people spell this way; case, spaces, dots and hyphens do not matter. */
    public static Optional<UnitSymbol> find(String spelled, Kind kind) {
        return all(spelled).stream().filter(u -> u.kind() == kind).findFirst();
    }

    /** Every unit spelled this way, of whatever kind. */
    public static List<UnitSymbol> all(String spelled) {
        return SPELLED.getOrDefault(fold(spelled), List.of());
    }

    /** The units of one kind, in the order in which they are offered; empty for a bare count. */
    public static List<UnitSymbol> of(Kind kind) {
        return BY_KIND.getOrDefault(kind, List.of());
    }

    private static String[] spellings(String length, String force) {
        List<String> out = new ArrayList<>();
        for (String f : List.of(force, force + "s", force + "f")) {
            out.add(length + f);
            out.add(f + length);
        }
        return out.toArray(String[]::new);
    }

    private static void add(Kind kind, Unit<?> canonical, String symbol, Unit<?> unit, String... aliases) {
        UnitSymbol entry = new UnitSymbol(symbol, kind, unit, canonical);
        BY_KIND.computeIfAbsent(kind, k -> new ArrayList<>()).add(entry);
        spell(symbol, entry);
        for (String alias : aliases) {
            spell(alias, entry);
        }
    }

    private static void spell(String text, UnitSymbol entry) {
        List<UnitSymbol> known = SPELLED.computeIfAbsent(fold(text), k -> new ArrayList<>());
        if (!known.contains(entry)) {
            known.add(entry);
        }
    }

    private static String fold(String spelled) {
        if (spelled.strip().equals("°")) {
            return "deg";
        }
        return spelled.toLowerCase(Locale.ROOT)
                .replaceAll("[\\s.·⋅*()°\\-/]", "")
                .replace('μ', 'µ');
    }
}
