package mussel.core.job;

/** What is wrong, until it is settled what to repair. */
final class DiagnosisWork extends StationWork {
    DiagnosisWork(Assessment all) {
        super(all);
    }

    @Override
    Station.State state() {
        return state(
                !all.goals().isEmpty() && !all.findings().isEmpty(),
                !all.findings().isEmpty());
    }

    @Override
    boolean wanted() {
        return all.goals().isEmpty() && !all.findings().isEmpty();
    }

    @Override
    NextAction next() {
        return nextCheck();
    }
}
