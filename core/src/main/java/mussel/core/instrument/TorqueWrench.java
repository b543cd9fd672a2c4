package mussel.core.instrument;

/** A torque wrench that says what it did. */
public interface TorqueWrench {
    /** What it is, as printed. */
    String name();

    /** Whether it is simulated. */
    boolean simulated();

    /**
     * Pulls once.
     *
     * @param settingNm what should reach the bolt at the setting (N·m)
     * @param accuracy the wrench's accuracy as a share
     * @return what reached it (N·m)
     */
    double pull(double settingNm, double accuracy);
}
