package mussel.core.job;

import mussel.core.job.NextAction.What;

/** What must be there to put it back. */
final class PartsWork extends StationWork {
    PartsWork(Assessment all) {
        super(all);
    }

    @Override
    Station.State state() {
        boolean needed = !all.plan().parts().isEmpty();
        return state(
                needed && all.supply().allHere(),
                needed && all.supply().rows().stream().anyMatch(r -> r.taken() + r.ordered() > 0));
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
