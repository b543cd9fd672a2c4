package mussel.core.job;

import mussel.core.job.NextAction.What;

/** Down and apart. */
final class StripWork extends StationWork {
    StripWork(Assessment all) {
        super(all);
    }

    @Override
    Station.State state() {
        return steps(all.stripSteps(), !all.goals().isEmpty());
    }

    @Override
    boolean wanted() {
        return true;
    }

    @Override
    NextAction next() {
        return all.goals().isEmpty() ? NextAction.of(What.GOALS) : nextStep(all.stripSteps());
    }
}
