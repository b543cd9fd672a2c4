package mussel.core.job;

import mussel.core.language.Messages;

/**
 * A finding as it stands in a job.
 *
 * @param outcome its outcome
 * @param by who made it
 * @param engines what the engines would say where a person set it by hand; else empty
 * @param why the person's reason; empty where none was given
 */
public record JobFinding(String outcome, By by, String engines, String why) {
    private static final Messages TEXT = Messages.of(JobFinding.class);

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
        PICKED,
        /** Computed from the drain. */
        DRAIN,
        /** Computed from the pump. */
        PUMP,
        /** Computed from a telltale timed by a simulated stopwatch. */
        SIMULATED_FLOW,
        /** Computed from the run-out of the propeller shaft. */
        RUNOUT,
        /** Computed from a hold. */
        HOLD,
        /** Computed from a hold read by a simulated instrument. */
        SIMULATED_HOLD,
        /** Seen on a simulated instrument. */
        SIMULATED,
        /** Set by hand against the engines. */
        OVERRULED;

        /** In words. */
        public String title() {
            return TEXT.of(this);
        }
    }
}
