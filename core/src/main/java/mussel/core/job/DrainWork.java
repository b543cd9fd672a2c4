package mussel.core.job;

import mussel.core.job.NextAction.What;

/** What runs out of the leg. */
final class DrainWork extends StationWork {
    DrainWork(Assessment all) {
        super(all);
    }

    @Override
    Station.State state() {
        boolean seen = job.choice(Scale.OIL_WATER).isPresent();
        return state(
                all.drain().result().isPresent() && seen,
                job.reading(Field.DRAINED).isPresent() || seen);
    }

    @Override
    boolean wanted() {
        return oilMoves();
    }

    @Override
    NextAction next() {
        if (job.reading(Field.DRAINED).isPresent()) {
            return NextAction.of(What.JUDGE);
        }
        // What it came in for is looked at first; without that, or with it looked at, the oil.
        return all.goals().isEmpty() && all.verdictWords().forComplaint() ? nextCheck() : NextAction.of(What.DRAIN);
    }
}
