package mussel.core.job;

/** Putting it back. */
final class BuildWork extends StationWork {
    BuildWork(Assessment all) {
        super(all);
    }

    @Override
    Station.State state() {
        return steps(all.buildSteps(), false);
    }

    @Override
    boolean wanted() {
        return true;
    }

    @Override
    NextAction next() {
        return nextStep(all.buildSteps());
    }
}
