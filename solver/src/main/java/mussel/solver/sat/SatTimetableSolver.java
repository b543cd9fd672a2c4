package mussel.solver.sat;

import java.util.Optional;
import mussel.core.fleet.Timetable;
import mussel.core.fleet.TimetableSolver;
import mussel.core.measure.StopToken;

/** Timetables by CP-SAT. */
public final class SatTimetableSolver implements TimetableSolver {
    @Override
    public Optional<Timetable.Answer> solve(Timetable asked, StopToken stop) {
        return new TimetableModel(asked).solve(stop);
    }
}
