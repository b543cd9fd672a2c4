package mussel.core.job;

import mussel.core.job.NextAction.What;

/** What is done on the engine side. It waits for nobody, but of a leg that is left as it is it is the work there is. */
final class EngineSideStationWork extends StationWork {
    EngineSideStationWork(Assessment all) {
        super(all);
    }

    @Override
    Station.State state() {
        EngineSide beside = new EngineSide(all);
        return state(beside.answered(), beside.begun());
    }

    @Override
    boolean wanted() {
        return false;
    }

    @Override
    boolean open() {
        return all.leftAlone() || !new EngineSide(all).greeting().isEmpty();
    }

    @Override
    boolean whenLeftAlone() {
        return true;
    }

    @Override
    NextAction next() {
        return NextAction.of(What.BESIDE);
    }
}
