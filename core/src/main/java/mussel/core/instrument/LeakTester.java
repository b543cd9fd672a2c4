package mussel.core.instrument;

import java.util.Optional;

/** A digital gauge with a pump, on the drain hole of a leg. */
public interface LeakTester {
    /** Its name, as it stands in the journal. */
    String name();

    /** Whether it is simulated: then everything read from it says so. */
    boolean simulated();

    /** The smallest step the gauge shows (kPa). */
    double gaugeStepKpa();

    /**
     * Sets what the pump may never pass: a family's limits.
     *
     * @param vacuumKpa the deepest vacuum; negative (kPa)
     * @param pressureKpa the highest pressure (kPa)
     */
    void limit(double vacuumKpa, double pressureKpa);

    /**
     * Pumps to a gauge pressure, below zero for vacuum. Never past the limits: then it stops there and says so.
     *
     * @return a sentence where it stopped short
     */
    Optional<String> pumpTo(double gaugeKpa);

    /** Lets everything off. */
    void release();

    /** What gauge and thermometer show now. */
    Sample read();

    /**
     * One look at the instrument.
     *
     * @param gaugeKpa gauge pressure (kPa)
     * @param tempC temperature of the case (degrees Celsius)
     */
    record Sample(double gaugeKpa, double tempC) {}
}
