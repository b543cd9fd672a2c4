package mussel.core.measure;

/** The kinds of quantity a bench measures. Engines work in each kind's {@link #canonical()} unit. */
public enum Kind {
    /** Volume, in millilitres. */
    VOLUME("ml", "a volume", 1),
    /** Gauge or absolute pressure, in kilopascals. */
    PRESSURE("kPa", "a pressure", 2),
    /** Temperature, in degrees Celsius. */
    TEMPERATURE("°C", "a temperature", 1),
    /** Torque, in newton metres. */
    TORQUE("N·m", "a torque", 2),
    /** Length, in millimetres. */
    LENGTH("mm", "a length", 3),
    /** Mass, in grams. */
    MASS("g", "a weight", 1),
    /** A span of time on the bench, in minutes. */
    DURATION("min", "a time", 2),
    /** A time taken by stopwatch, in seconds. */
    TIMED("s", "a time", 1),
    /** Running time of an engine, in hours. */
    RUNNING("h", "running hours", 1),
    /** Calendar time, in months. */
    MONTHS("months", "a number of months", 1),
    /** An angle, in degrees. */
    ANGLE("deg", "an angle", 1),
    /** A speed of rotation, in turns a minute. */
    SPEED("rpm", "a speed", 1),
    /** Money, in the yard's own. */
    MONEY("", "an amount of money", 2),
    /** Calendar time, in days. */
    DAYS("d", "a number of days", 1),
    /** A bare count or ratio without a unit. */
    COUNT("", "a number", 2);

    private final String canonical;
    private final String phrase;
    private final int decimals;

    Kind(String canonical, String phrase, int decimals) {
        this.canonical = canonical;
        this.phrase = phrase;
        this.decimals = decimals;
    }

    /** The symbol of the unit in which the core keeps this kind. */
    public String canonical() {
        return canonical;
    }

    /** The kind in words with its article, for sentences. */
    public String phrase() {
        return phrase;
    }

    /** The most decimals a reading of this kind is shown with in its canonical unit. */
    public int decimals() {
        return decimals;
    }
}
