package mussel.core.instrument;

import java.util.Set;
import mussel.core.leak.LeakMode;
import mussel.core.leak.Stage;

/**
 * How a practice leg leaks.
 *
 * @param pressure the slope of the leak law under pressure (1/min)
 * @param vacuum the same under vacuum (1/min)
 * @param worse the stages that open it further
 * @param foams where soapy water foams: findings of the diagnosis tables
 */
public record LegLeaks(double pressure, double vacuum, Set<Stage> worse, Set<String> foams) {
    /** How much further a stage opens a leak. */
    public static final double WORSE = 1.8;

    /** Keeps its own copies. */
    public LegLeaks {
        worse = Set.copyOf(worse);
        foams = Set.copyOf(foams);
    }

    /** The slope in a hold while that is done to the leg (1/min). */
    public double slope(LeakMode mode, Stage stage) {
        return (mode == LeakMode.PRESSURE ? pressure : vacuum) * (worse.contains(stage) ? WORSE : 1);
    }
}
