package mussel.core.job;

import mussel.core.job.NextAction.What;

/** The job is closed, and when again. */
final class CloseWork extends StationWork {
    CloseWork(Assessment all) {
        super(all);
    }

    @Override
    Station.State state() {
        return state(job.tagged().isPresent(), false);
    }

    @Override
    boolean wanted() {
        return true;
    }

    @Override
    boolean whenLeftAlone() {
        return true;
    }

    @Override
    NextAction next() {
        return NextAction.of(What.TAG);
    }
}
