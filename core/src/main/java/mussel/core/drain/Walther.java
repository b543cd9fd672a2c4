package mussel.core.drain;

/**
 * The viscosity-temperature line of a petroleum oil: {@code log10(log10(v + 0.7)) = A - B log10(T)} through two known points (ASTM
 * D341, Walther 1931). Valid for viscosities of 2 cSt and more; below it the standard's constant 0.7 no longer holds.
 */
record Walther(double a, double b) {
    private static final double KELVIN = 273.15;
    private static final double SHIFT = 0.7;

    /** The line through the viscosities at 40 and 100 °C (cSt). */
    static Walther through(double cst40, double cst100) {
        double slope = (loglog(cst40) - loglog(cst100)) / (Math.log10(100 + KELVIN) - Math.log10(40 + KELVIN));
        return new Walther(loglog(cst40) + slope * Math.log10(40 + KELVIN), slope);
    }

    /** Kinematic viscosity (cSt) at a temperature (degrees Celsius). */
    double cst(double tempC) {
        return Math.pow(10, Math.pow(10, a - b * Math.log10(tempC + KELVIN))) - SHIFT;
    }

    private static double loglog(double cst) {
        return Math.log10(Math.log10(cst + SHIFT));
    }
}
