package mussel.core.job;

import mussel.core.job.NextAction.What;

/** Shims and backlash, where the repairs reach the gears. */
final class SetupStationWork extends StationWork {
    SetupStationWork(Assessment all) {
        super(all);
    }

    @Override
    Station.State state() {
        return state(
                all.setup().map(SetupWork::done).orElse(false),
                all.setup().map(s -> s.begun() || s.called()).orElse(false));
    }

    @Override
    boolean wanted() {
        return all.setup().map(SetupWork::called).orElse(false);
    }

    @Override
    NextAction next() {
        return all.setup()
                .flatMap(SetupWork::next)
                .map(p -> new NextAction(What.SETUP, p.id(), p.title()))
                .orElse(NextAction.of(What.GEARS));
    }
}
