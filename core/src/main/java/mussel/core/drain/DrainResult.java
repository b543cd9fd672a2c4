package mussel.core.drain;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What the drain says.
 *
 * @param viscosityCst of the oil while it drained (cSt)
 * @param drain how the case drains
 * @param residualMl what is still in the case (ml)
 * @param balance what came out against what should have
 * @param water the water in it
 * @param ingressMlPerH water taken in per running hour (ml/h), where hours and water are known
 * @param freeze what frost would do
 */
public record DrainResult(
        double viscosityCst,
        Drain drain,
        double residualMl,
        Balance balance,
        WaterShare water,
        OptionalDouble ingressMlPerH,
        Freeze freeze) {

    /**
     * How the case drains.
     *
     * @param tauMin time constant (min)
     * @param minutesNeeded until bulk and film are below 5 % of the fill (min)
     */
    public record Drain(double tauMin, double minutesNeeded) {}

    /** How the volume compares. */
    public enum Verdict {
        /** Neither more nor less can be said. */
        AS_EXPECTED,
        /** More than went in: water, or too much oil. */
        MORE_THAN_FILLED,
        /** Something is gone or still inside. */
        LESS_THAN_FILLED
    }

    /**
     * The mass balance.
     *
     * @param expectedMl what the case should have given (ml)
     * @param excessMl what came out beyond that (ml)
     * @param uMl standard uncertainty of the excess (ml)
     * @param lowMl with less than this, oil is missing: two standard uncertainties below what was expected (ml)
     * @param highMl with more than this, more came out than went in: two standard uncertainties above what went in (ml)
     * @param running whether so much still runs out that what came so far is only a lower bound
     * @param verdict what that means
     */
    public record Balance(
            double expectedMl,
            double excessMl,
            double uMl,
            double lowMl,
            double highMl,
            boolean running,
            Verdict verdict) {}

    /** A way to estimate the water. */
    public enum SourceName {
        /** A sample left to stand. */
        JAR,
        /** The look of the oil. */
        LOOK,
        /** Weight over volume. */
        DENSITY,
        /** What came out beyond what should have. */
        BALANCE
    }

    /**
     * One estimate of the water share.
     *
     * @param name which way
     * @param fraction of all that was drained, unclamped
     * @param u its standard uncertainty
     * @param used whether it enters the combined share
     */
    public record Source(SourceName name, double fraction, double u, boolean used) {}

    /**
     * The water share, combined.
     *
     * @param fraction of all that was drained; empty where nothing tells
     * @param low two standard uncertainties below
     * @param high two standard uncertainties above; empty where only free water is known
     * @param ml the volume (ml)
     * @param consistent whether the sources agree (Birge ratio at most 2)
     * @param sources each estimate
     */
    public record WaterShare(
            OptionalDouble fraction,
            OptionalDouble low,
            OptionalDouble high,
            OptionalDouble ml,
            boolean consistent,
            List<Source> sources) {
        /** Keeps its own copy. */
        public WaterShare {
            sources = List.copyOf(sources);
        }

        /** The source of that name, where there is one. */
        public Optional<Source> source(SourceName name) {
            return sources.stream().filter(s -> s.name() == name).findFirst();
        }
    }

    /**
     * Frost.
     *
     * @param pointC freezing point of the water (degrees Celsius)
     * @param water whether there is water that could split the case: it ran out first, settled in the jar, or made the oil milky
     * @param freezes whether it is there and the storage is colder
     * @param expansionMl the room ice would take beyond the water's (ml); empty where the water is not known
     */
    public record Freeze(double pointC, boolean water, boolean freezes, OptionalDouble expansionMl) {}
}
