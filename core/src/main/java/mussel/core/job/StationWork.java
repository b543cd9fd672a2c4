package mussel.core.job;

import java.util.List;
import mussel.core.job.NextAction.What;
import mussel.core.plan.Plan;

/** What a station makes of a job: how far it is there, whether the order of work leads to it, and what is next. One class a station. */
abstract class StationWork {
    /** The job as it is. */
    protected final Assessment all;

    /** Its entries. */
    protected final Job job;

    StationWork(Assessment all) {
        this.all = all;
        this.job = all.job();
    }

    /** How far it is. */
    abstract Station.State state();

    /** Whether the job's order of work leads here while it is not done. */
    abstract boolean wanted();

    /** Whether something can be done here, though the order of work may not lead to it. */
    boolean open() {
        return leadsHere();
    }

    /** Whether the order of work leads here: of a leg that is left as it is only to what belongs to it. */
    final boolean leadsHere() {
        return all.leftAlone() ? whenLeftAlone() : wanted();
    }

    /** Whether this belongs to a leg that is left as it is. */
    boolean whenLeftAlone() {
        return false;
    }

    /** What is next here. */
    abstract NextAction next();

    static Station.State state(boolean done, boolean begun) {
        return done ? Station.State.DONE : begun ? Station.State.BEGUN : Station.State.UNTOUCHED;
    }

    Station.State steps(List<Plan.PlannedStep> steps, boolean begun) {
        int done = all.stepsDone(steps);
        return state(!steps.isEmpty() && done == steps.size(), begun || done > 0);
    }

    NextAction nextStep(List<Plan.PlannedStep> steps) {
        return steps.stream()
                .filter(s -> job.ticked(s.step().id()).isEmpty())
                .findFirst()
                .map(s -> new NextAction(What.STEP, s.step().id(), s.step().title()))
                .orElse(NextAction.of(What.FILL));
    }

    /** The check worth most, or the round of them. */
    NextAction nextCheck() {
        if (all.verdict().checks().isEmpty()) {
            return NextAction.of(What.ALL_LOOKED);
        }
        return all.verdictWords()
                .advised()
                .map(t -> new NextAction(
                        t.findings().size() > 1 ? What.LOOKS : What.LOOK,
                        String.join(",", t.findings()),
                        all.verdictWords().titles(t)))
                .orElse(NextAction.of(What.ENOUGH));
    }

    /** Whether oil is out or will be: it goes in again, whatever the repairs. */
    boolean oilMoves() {
        return all.goals().isEmpty()
                || !all.fillSteps().isEmpty()
                || job.reading(Field.DRAINED).isPresent();
    }
}
