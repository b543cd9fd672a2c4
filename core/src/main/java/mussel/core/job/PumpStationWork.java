package mussel.core.job;

import mussel.core.job.NextAction.What;

/** The water pump, judged where it is seen. */
final class PumpStationWork extends StationWork {
    PumpStationWork(Assessment all) {
        super(all);
    }

    @Override
    Station.State state() {
        return state(all.pump().allLooked(), all.pump().looked());
    }

    @Override
    boolean wanted() {
        return false;
    }

    @Override
    boolean open() {
        return state() == Station.State.BEGUN;
    }

    @Override
    NextAction next() {
        return NextAction.of(What.GOALS);
    }
}
