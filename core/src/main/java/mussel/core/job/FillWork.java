package mussel.core.job;

/** New oil. */
final class FillWork extends StationWork {
    FillWork(Assessment all) {
        super(all);
    }

    @Override
    Station.State state() {
        boolean measured = all.fill().result().flatMap(f -> f.check()).isPresent();
        int done = all.stepsDone(all.fillSteps());
        return state(measured && done == all.fillSteps().size(), measured || done > 0);
    }

    @Override
    boolean wanted() {
        return oilMoves();
    }

    @Override
    NextAction next() {
        return nextStep(all.fillSteps());
    }
}
