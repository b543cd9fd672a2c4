package mussel.core.job;

import mussel.core.job.NextAction.What;
import mussel.core.leak.LeakMode;

/** Pressure and vacuum, and where the bubbles are. No business of a job whose repairs are chosen. */
final class LeakWork extends StationWork {
    LeakWork(Assessment all) {
        super(all);
    }

    @Override
    Station.State state() {
        boolean decided = all.holds().size() == LeakMode.values().length
                && all.holds().stream().allMatch(HeldTest::over);
        return state(decided, !job.holds().isEmpty());
    }

    @Override
    boolean wanted() {
        return all.goals().isEmpty() && all.drain().words().map(w -> w.wet()).orElse(false);
    }

    @Override
    NextAction next() {
        return NextAction.of(all.held(LeakMode.PRESSURE).isPresent() ? What.VACUUM : What.HOLD);
    }
}
