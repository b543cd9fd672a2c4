package mussel.core.measure;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import mussel.core.language.Figures;
import mussel.core.language.Messages;

/** Writes quantities for people: the yard's unit behind every figure, hard spaces in long ones, a point as decimal mark. */
public final class Display {
    private static final Messages TEXT = Messages.of(Display.class);

    private static final int SIGNIFICANT = 3;
    /** An uncertainty that begins below this keeps two digits. */
    private static final double TWO_DIGITS = 2.95;

    /** From here on a time is read in hours (min). */
    private static final double LONG_MINUTES = 120;

    private Display() {}

    /** A reading, with every decimal its kind can carry and no trailing zeros; times of two hours and more in hours. */
    public static String exact(Kind kind, double value, YardUnits units) {
        if (kind == Kind.MONEY) {
            return units.money().exact(value);
        }
        if (kind == Kind.DURATION && Math.abs(value) >= LONG_MINUTES) {
            return withUnit(Figures.plain(BigDecimal.valueOf(value / 60).setScale(2, RoundingMode.HALF_EVEN)), "h");
        }
        if (footPounds(kind, value, units)) {
            return withUnit(
                    Figures.plain(
                            BigDecimal.valueOf(TorqueUnit.LBF_FT.fromNm(value)).setScale(2, RoundingMode.HALF_EVEN)),
                    TorqueUnit.LBF_FT.symbol());
        }
        return withUnit(bare(kind, value, units), units.symbol(kind));
    }

    /** Whether a yard that reads torques in inch-pounds says this one in foot-pounds: small ones stay, larger ones nobody has a feel for. */
    private static boolean footPounds(Kind kind, double value, YardUnits units) {
        return kind == Kind.TORQUE
                && units.symbol(kind).equals(TorqueUnit.LBF_IN.symbol())
                && value >= TorqueUnit.LBF_FT.toNm(TorqueRange.FOOT_POUNDS_FROM);
    }

    /** A reading without its unit. */
    public static String bare(Kind kind, double value, YardUnits units) {
        boolean canonical = units.symbol(kind).equals(kind.canonical());
        int decimals = canonical ? kind.decimals() : Math.max(kind.decimals(), 2) + (kind == Kind.LENGTH ? 1 : 0);
        return Figures.plain(
                BigDecimal.valueOf(units.fromCanonical(kind, value)).setScale(decimals, RoundingMode.HALF_EVEN));
    }

    /** A computed figure, rounded to three digits (more where the whole part is longer), with its unit. */
    public static String estimate(Kind kind, double value, YardUnits units) {
        if (footPounds(kind, value, units)) {
            return withUnit(significant(TorqueUnit.LBF_FT.fromNm(value)), TorqueUnit.LBF_FT.symbol());
        }
        return withUnit(estimateBare(kind, value, units), units.symbol(kind));
    }

    /** A computed figure without its unit. */
    public static String estimateBare(Kind kind, double value, YardUnits units) {
        return significant(units.fromCanonical(kind, value));
    }

    /** A fraction as whole per cent, or with a decimal below ten per cent. */
    public static String percent(double fraction) {
        double percent = fraction * 100;
        if (percent > 0 && percent <= 0.05) {
            return TEXT.get("display.under_0_1");
        }
        int decimals = Math.abs(percent) < 9.95 && percent != Math.rint(percent) ? 1 : 0;
        return Figures.plain(BigDecimal.valueOf(percent).setScale(decimals, RoundingMode.HALF_EVEN)) + " %";
    }

    /** A share with its bounds, as sure as they are: "12 %, 8 to 16". */
    public static String percentRange(double fraction, double low, double high) {
        double u = Math.max((high - low) / 4, 1e-4) * 100;
        return TEXT.get("display.to", fine(fraction, u), fine(low, u), fine(high, u));
    }

    private static String fine(double fraction, double u) {
        int decimals = Math.max(0, Math.min(1, u >= 1 ? 0 : 1));
        return Figures.plain(BigDecimal.valueOf(fraction * 100).setScale(decimals, RoundingMode.HALF_EVEN));
    }

    /** A span of work, in steps of five minutes above an hour. */
    public static String workTime(double minutes) {
        long whole = Math.round(minutes);
        if (whole < 60) {
            return TEXT.get("display.min", whole);
        }
        long fives = Math.round(minutes / 5) * 5;
        return fives / 60 + " h" + (fives % 60 == 0 ? "" : " " + fives % 60 + " min");
    }

    /** A computed figure with its standard uncertainty, both to the place of the second digit of the uncertainty. */
    public static String withDoubt(Kind kind, double value, double u, YardUnits units) {
        double there = units.fromCanonical(kind, value);
        double spread = Math.abs(units.fromCanonical(kind, value + u) - there);
        return spread == 0
                ? exact(kind, value, units)
                : withUnit(rounded(there, spread) + " ± " + rounded(spread, spread), units.symbol(kind));
    }

    /**
     * A figure rounded to the place of the second digit of its standard uncertainty where that begins with 1 or 2, else of the first (Particle Data Group's rule,
     * in short): 1286.4 with 110 is 1 290, with 340 is 1 300.
     */
    public static String rounded(double figure, double u) {
        return !(u > 0) || !Double.isFinite(u) ? significant(figure) : Figures.plain(roundedTo(figure, u));
    }

    /** The same as a figure, with a positive finite uncertainty. */
    static BigDecimal roundedTo(double figure, double u) {
        int lead = (int) Math.floor(Math.log10(u));
        int place = u / Math.pow(10, lead) < TWO_DIGITS ? lead - 1 : lead;
        return BigDecimal.valueOf(figure).setScale(-place, RoundingMode.HALF_EVEN);
    }

    /** A figure to three significant digits, the whole part always in full. */
    public static String significant(double figure) {
        BigDecimal exact = BigDecimal.valueOf(figure);
        int whole = exact.precision() - exact.scale();
        return Figures.plain(
                whole >= SIGNIFICANT
                        ? exact.setScale(0, RoundingMode.HALF_EVEN)
                        : exact.round(new MathContext(SIGNIFICANT, RoundingMode.HALF_EVEN)));
    }

    private static String withUnit(String figure, String symbol) {
        return symbol.isEmpty() ? figure : figure + " " + symbol;
    }
}
