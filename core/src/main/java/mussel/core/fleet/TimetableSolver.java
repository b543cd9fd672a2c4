package mussel.core.fleet;

import java.util.Optional;
import java.util.ServiceLoader;
import mussel.core.measure.StopToken;

/** Places tasks. The core states the question; a module of its own has the solver, so that the core stays free of native code. */
public interface TimetableSolver {
    /**
     * Nobody and no tool at two places at once, a leg's tasks one after the other; small are first promises broken and for how long, then how soon
     * legs are ready.
     *
     * @return empty where nothing was found in its time
     * @throws mussel.core.measure.WorkStoppedException when it was stopped
     */
    Optional<Timetable.Answer> solve(Timetable asked, StopToken stop);

    /** The solver that comes with the application. */
    static TimetableSolver here() {
        return ServiceLoader.load(TimetableSolver.class, TimetableSolver.class.getClassLoader())
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("No solver of timetables is on the path"));
    }
}
