package mussel.core.job;

import mussel.core.job.NextAction.What;

/** What it costs against what it saves. */
final class EstimateWork extends StationWork {
    EstimateWork(Assessment all) {
        super(all);
    }

    @Override
    Station.State state() {
        return state(
                job.choice(Scale.OWNER_SAYS).isPresent(),
                job.reading(Field.PARTS_COST).isPresent());
    }

    @Override
    boolean wanted() {
        return false;
    }

    @Override
    boolean open() {
        return !all.goals().isEmpty();
    }

    @Override
    NextAction next() {
        return NextAction.of(What.GOALS);
    }
}
