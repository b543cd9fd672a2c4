package mussel.core.job;

import mussel.core.job.NextAction.What;

/** Whether it holds, shifts and runs. */
final class FinalChecksWork extends StationWork {
    FinalChecksWork(Assessment all) {
        super(all);
    }

    @Override
    Station.State state() {
        return state(all.proof().done(), all.proof().begun());
    }

    @Override
    boolean wanted() {
        return !all.goals().isEmpty();
    }

    @Override
    NextAction next() {
        return NextAction.of(all.proof().failed().isEmpty() ? What.PROVE : What.PROVE_FAILED);
    }
}
