package mussel.core.job;

import java.time.Instant;
import java.util.List;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;

/**
 * One pressure or vacuum hold of a job.
 *
 * @param id which of the job's holds
 * @param mode pressure or vacuum
 * @param gaugeStepKpa the gauge's resolution (kPa)
 * @param instrument what it was read with
 * @param simulated whether that instrument was simulated
 * @param begun when it was begun
 * @param readings in the order they were taken
 */
public record Hold(
        String id,
        LeakMode mode,
        double gaugeStepKpa,
        String instrument,
        boolean simulated,
        Instant begun,
        List<LeakReading> readings) {
    /** Keeps its own copy. */
    public Hold {
        readings = List.copyOf(readings);
    }
}
