package mussel.core.pump;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import mussel.core.measure.NamedBy;
import mussel.core.pump.PumpInput.Where;

/**
 * What the pump comes to.
 *
 * @param parts each part with its verdict
 * @param missingPiece whether rubber is missing that must be found
 * @param findings what this says to the verdict, by finding
 * @param displacementMl what one turn moves at best (ml); empty without the pump's measures
 * @param curlDeg how far the housing bends a vane (degrees); empty without the measures
 * @param set mean set as a share of that curl (0..1); empty without vanes or measures
 * @param clearanceMm clearance a side taken for the estimate (mm)
 * @param expected the flow over speed, new and as it is; empty without the measures
 * @param flows what the telltale gave against what it should
 */
public record PumpResult(
        List<Judged> parts,
        boolean missingPiece,
        Map<String, String> findings,
        OptionalDouble displacementMl,
        OptionalDouble curlDeg,
        OptionalDouble set,
        double clearanceMm,
        List<FlowPoint> expected,
        List<MeasuredFlow> flows) {
    /** Keeps its own copies. */
    public PumpResult {
        parts = List.copyOf(parts);
        expected = List.copyOf(expected);
        flows = List.copyOf(flows);
    }

    /** The verdict on a part. */
    public Judged part(PumpPart which) {
        return part(NamedBy.file(which));
    }

    /** The verdict on a part, by its id. */
    public Judged part(String id) {
        return parts.stream().filter(p -> p.part().equals(id)).findFirst().orElseThrow();
    }

    /** What a part comes to. */
    public enum PartVerdict {
        /** Goes back. */
        REUSE,
        /** Clean it first; nothing is decided yet. */
        JUDGE_AFTER_CLEANING,
        /** A new one. */
        REPLACE
    }

    /**
     * A part judged.
     *
     * @param part impeller, key, plate or housing
     * @param verdict what it comes to
     * @param rules every rule that fired
     */
    public record Judged(String part, PartVerdict verdict, List<Rule> rules) {
        /** Keeps its own copy. */
        public Judged {
            rules = List.copyOf(rules);
        }
    }

    /**
     * A rule that fired.
     *
     * @param rule its id
     * @param asks what it asks for
     * @param value what was found; empty where it is no figure
     * @param limit its limit; empty where it has none
     * @param unit the unit of both
     * @param says the rule in a sentence
     */
    public record Rule(
            String rule, PartVerdict asks, OptionalDouble value, OptionalDouble limit, String unit, String says) {}

    /**
     * The expected flow at a speed; an estimate.
     *
     * @param rpm the speed (1/min)
     * @param newLMin a new pump's flow (l/min)
     * @param nowLMin this pump's flow (l/min)
     */
    public record FlowPoint(double rpm, double newLMin, double nowLMin) {}

    /**
     * A measured telltale.
     *
     * @param rpm the speed (1/min)
     * @param where in a tank or on cups
     * @param measuredLMin what was caught (l/min)
     * @param expectedLMin what the telltale of this pump as it is should give (l/min); empty without measures or share
     * @param ratio measured over expected
     * @param low the ratio's lower bound, two standard uncertainties
     * @param high the ratio's upper bound
     * @param ofNew measured over what a new pump's telltale should give
     */
    public record MeasuredFlow(
            double rpm,
            Where where,
            double measuredLMin,
            OptionalDouble expectedLMin,
            OptionalDouble ratio,
            OptionalDouble low,
            OptionalDouble high,
            OptionalDouble ofNew) {}
}
