package mussel.core.instrument;

/** The instruments there are at a bench. */
public interface Instruments {
    /**
     * A simulated leak tester on a practice leg.
     *
     * @param seed decides what chance decides
     * @param airMl the air space of the leg (ml)
     */
    PracticeTester practiceTester(long seed, double airMl);

    /**
     * A simulated bucket and stopwatch under a practice engine's telltale.
     *
     * @param seed decides what chance decides
     */
    Telltale telltale(long seed);

    /**
     * A simulated torque wrench.
     *
     * @param seed decides what chance decides
     */
    TorqueWrench torqueWrench(long seed);

    /**
     * A simulated dial indicator on a practice gear set.
     *
     * @param seed decides what chance decides
     */
    DialIndicator dialIndicator(long seed);

    /** Whoever takes the yard's orders. */
    PartsSupplier supplier();
}
