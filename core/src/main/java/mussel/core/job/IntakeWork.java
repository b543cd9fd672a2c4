package mussel.core.job;

import mussel.core.job.NextAction.What;

/** What is known of a leg that comes in. */
final class IntakeWork extends StationWork {
    IntakeWork(Assessment all) {
        super(all);
    }

    @Override
    Station.State state() {
        boolean hours = job.reading(Field.ENGINE_HOURS).isPresent();
        boolean water = job.choice(Scale.WATER).isPresent();
        return state(hours && water, hours || water);
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
        return NextAction.of(What.INTAKE);
    }
}
