package mussel.core.instrument;

/** A dial indicator on a gear's tooth that says how far it rocks. */
public interface DialIndicator {
    /** What it is, as printed. */
    String name();

    /** Whether it is simulated. */
    boolean simulated();

    /**
     * Reads the lash at one place around.
     *
     * @param gear the gear as it stands
     * @param place the place around, from 1
     * @param places how many there are
     * @return the indicator's reading at its arm (mm)
     */
    double read(Gear gear, int place, int places);

    /**
     * A gear whose lash is read.
     *
     * @param armMm where the indicator reads, from the shaft's middle (mm)
     * @param pitchRadiusMm the gear's pitch radius (mm)
     * @param middleMm the middle of the lash's window (mm)
     * @param factor change of lash for change of shim, negative where a thicker shim reduces it
     * @param foundMm the shims that were in when it came apart (mm)
     * @param inMm the shims that are in now (mm)
     */
    record Gear(double armMm, double pitchRadiusMm, double middleMm, double factor, double foundMm, double inMm) {}
}
