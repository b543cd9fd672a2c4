package mussel.core.leak;

import java.util.List;
import java.util.Optional;

/**
 * A hold read from a file: its readings, or why there are none.
 *
 * @param mode pressure or vacuum; empty where it was refused
 * @param readings all of them; empty where it was refused
 * @param refused the sentences that say why
 */
public record HoldFile(Optional<LeakMode> mode, List<LeakReading> readings, List<String> refused) {
    /** Keeps its own copies. */
    public HoldFile {
        readings = List.copyOf(readings);
        refused = List.copyOf(refused);
    }
}
