package mussel.core.job;

/**
 * A finding as it stands in a job.
 *
 * @param outcome its outcome
 * @param by who made it
 * @param engines what the engines would say where a person set it by hand; else empty
 * @param why the person's reason; empty where none was given
 */
public record JobFinding(String outcome, By by, String engines, String why) {
    static final String SIMULATED_OF = "simulated";

    static JobFinding of(String outcome, By by) {
        return new JobFinding(outcome, by, "", "");
    }

    /** Where a finding seen on a simulated instrument is kept, apart from what hands have found. */
    public static Address simulated(String finding) {
        return new Address(finding, SIMULATED_OF);
    }

    /** Who made a finding. */
    public enum By {
        /** Picked by a person. */
        PICKED("picked"),
        /** Computed from the drain. */
        DRAIN("from the drain"),
        /** Computed from the pump. */
        PUMP("from the pump"),
        /** Computed from a telltale timed by a simulated stopwatch. */
        SIMULATED_FLOW("from a simulated telltale"),
        /** Computed from the run-out of the propeller shaft. */
        RUNOUT("from the indicator"),
        /** Computed from a hold. */
        HOLD("from the hold"),
        /** Computed from a hold read by a simulated instrument. */
        SIMULATED_HOLD("from a simulated hold"),
        /** Seen on a simulated instrument. */
        SIMULATED("seen on a simulated leg"),
        /** Set by hand against the engines. */
        OVERRULED("set by hand");

        private final String title;

        By(String title) {
            this.title = title;
        }

        /** In words. */
        public String title() {
            return title;
        }
    }
}
