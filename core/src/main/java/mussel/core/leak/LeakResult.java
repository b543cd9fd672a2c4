package mussel.core.leak;

import java.util.List;
import mussel.core.measure.Given;
import mussel.core.measure.Wide;

/**
 * What a hold proves.
 *
 * @param verdict tight, leaking, or not decided yet
 * @param kPerMin slope of the leak law (1/min); negative where it drifted the other way
 * @param kSe its standard error (1/min)
 * @param dropKpa how far the sheet's start would move in the sheet's time (kPa)
 * @param dropLowKpa lower 95 % bound of that (kPa)
 * @param dropHighKpa upper 95 % bound of that (kPa)
 * @param leakStdMlMin the leak at the start, at 20 °C and 101.325 kPa (ml/min)
 * @param leakLow its lower 95 % bound (ml/min)
 * @param leakHigh its upper 95 % bound (ml/min)
 * @param moreMinutes how much longer to hold until it is decided (min); 0 when it is, 60 at most
 * @param nUsed readings used
 * @param stages each stage with two readings or more by itself
 * @param fit where the fitted line lies
 * @param manual what the manual asks, answered from the needle alone
 */
@Wide("The headless contract of the leak engine: a component is a field of its schema.")
public record LeakResult(
        Verdict verdict,
        double kPerMin,
        double kSe,
        double dropKpa,
        double dropLowKpa,
        double dropHighKpa,
        double leakStdMlMin,
        double leakLow,
        double leakHigh,
        double moreMinutes,
        @Given(value = "readings used", name = "n_used") int nUsed,
        List<StageSlope> stages,
        Fit fit,
        Manual manual) {
    /** Keeps its own copy. */
    public LeakResult {
        stages = List.copyOf(stages);
    }

    /** What the hold says. */
    public enum Verdict {
        /** The upper bound is within what is allowed. */
        TIGHT,
        /** The lower bound is beyond it. */
        LEAKING,
        /** Neither. */
        UNDECIDED
    }

    /** What the manual's own test says. */
    public enum Answer {
        /** It moved no more than is allowed, in the sheet's whole time. */
        MET,
        /** It moved more. */
        EXCEEDED,
        /** The sheet's time is not over. */
        NOT_YET
    }

    /**
     * The manual's own test: how far the needle moved in the sheet's time, the temperature taken out.
     *
     * @param verdict whether that is within what is allowed
     * @param minutes the time it was watched for that, the sheet's at most (min)
     * @param movedKpa how far it moved towards the barometer; negative where it moved away (kPa)
     * @param uKpa standard uncertainty of that: two readings to the steps of gauge and thermometer (kPa)
     */
    public record Manual(Answer verdict, double minutes, double movedKpa, double uKpa) {}

    /**
     * One stage by itself.
     *
     * @param stage which
     * @param kPerMin its slope (1/min)
     * @param kSe its standard error (1/min)
     */
    public record StageSlope(Stage stage, double kPerMin, double kSe) {}

    /**
     * Where the fitted line lies: it goes through the means with the slope −k.
     *
     * @param meanMin mean of the times (min)
     * @param meanZ mean of z = ln(|p − pa| / (p + pa))
     * @param studentT the factor of the 95 % bounds
     */
    public record Fit(double meanMin, double meanZ, double studentT) {}
}
