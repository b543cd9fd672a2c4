package mussel.core.measure;

import mussel.core.language.Messages;

/** The kinds of quantity a bench measures. Engines work in each kind's {@link #canonical()} unit. */
public enum Kind {
    /** Volume, in millilitres. */
    VOLUME("ml", 1),
    /** Gauge or absolute pressure, in kilopascals. */
    PRESSURE("kPa", 2),
    /** Temperature, in degrees Celsius. */
    TEMPERATURE("°C", 1),
    /** Torque, in newton metres. */
    TORQUE("N·m", 2),
    /** Length, in millimetres. */
    LENGTH("mm", 3),
    /** Mass, in grams. */
    MASS("g", 1),
    /** A span of time on the bench, in minutes. */
    DURATION("min", 2),
    /** A time taken by stopwatch, in seconds. */
    TIMED("s", 1),
    /** Running time of an engine, in hours. */
    RUNNING("h", 1),
    /** Calendar time, in months. */
    MONTHS("months", 1),
    /** An angle, in degrees. */
    ANGLE("deg", 1),
    /** A speed of rotation, in turns a minute. */
    SPEED("rpm", 1),
    /** Money, in the yard's own. */
    MONEY("", 2),
    /** Calendar time, in days. */
    DAYS("d", 1),
    /** A bare count or ratio without a unit. */
    COUNT("", 2);

    private static final Messages TEXT = Messages.of(Kind.class);

    private final String canonical;
    private final int decimals;

    Kind(String canonical, int decimals) {
        this.canonical = canonical;
        this.decimals = decimals;
    }

    /** The symbol of the unit in which the core keeps this kind. */
    public String canonical() {
        return canonical;
    }

    /** The kind in words with its article, for sentences. */
    public String phrase() {
        return TEXT.of(this);
    }

    /** The most decimals a reading of this kind is shown with in its canonical unit. */
    public int decimals() {
        return decimals;
    }
}
