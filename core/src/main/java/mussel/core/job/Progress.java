package mussel.core.job;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import mussel.core.job.NextAction.What;
import mussel.core.leak.LeakMode;
import mussel.core.plan.Plan;

/** How far a job is, station by station, and what to do next. */
final class Progress {
    private final Assessment all;
    private final Job job;

    Progress(Assessment all) {
        this.all = all;
        this.job = all.job();
    }

    Map<Station, Station.State> states() {
        Map<Station, Station.State> states = new EnumMap<>(Station.class);
        states.put(
                Station.INTAKE,
                state(
                        job.reading(Field.ENGINE_HOURS).isPresent()
                                && job.choice(Scale.WATER).isPresent(),
                        job.reading(Field.ENGINE_HOURS).isPresent()
                                || job.choice(Scale.WATER).isPresent()));
        states.put(
                Station.DRAIN,
                state(
                        all.drain().isPresent() && job.choice(Scale.OIL_WATER).isPresent(),
                        job.reading(Field.DRAINED).isPresent()
                                || job.choice(Scale.OIL_WATER).isPresent()));
        states.put(Station.LEAK, leakHunt());
        states.put(
                Station.VERDICT,
                state(
                        !all.goals().isEmpty() && !all.findings().isEmpty(),
                        !all.findings().isEmpty()));
        states.put(Station.PUMP, state(all.pump().allLooked(), all.pump().looked()));
        states.put(
                Station.ESTIMATE,
                state(
                        job.choice(Scale.OWNER_SAYS).isPresent(),
                        job.reading(Field.PARTS_COST).isPresent()));
        states.put(Station.PARTS, parts());
        states.put(Station.STRIP, steps(all.stripSteps(), !all.goals().isEmpty()));
        states.put(
                Station.SETUP,
                state(
                        all.setup().map(SetupWork::done).orElse(false),
                        all.setup().map(s -> s.begun() || s.called()).orElse(false)));
        states.put(Station.PROVE, state(all.proof().done(), all.proof().begun()));
        Beside beside = new Beside(all);
        states.put(Station.BESIDE, state(beside.answered(), beside.begun()));
        states.put(Station.BUILD, steps(all.buildSteps(), false));
        states.put(Station.FILL, filling());
        states.put(Station.TAG, state(job.tagged().isPresent(), false));
        return states;
    }

    Station current() {
        Map<Station, Station.State> states = states();
        if (job.tagged().isPresent()) {
            return Station.TAG;
        }
        return Stream.of(Station.values())
                .filter(s -> states.get(s) != Station.State.DONE)
                .filter(this::wanted)
                .findFirst()
                .orElse(Station.TAG);
    }

    /** A hold is not every job's business, nor is a verdict once it is settled what to repair. */
    private boolean wanted(Station station) {
        if (all.leftAlone()) {
            return station == Station.INTAKE || station == Station.BESIDE || station == Station.TAG;
        }
        return switch (station) {
            case LEAK ->
                all.goals().isEmpty() && all.drainWords().map(w -> w.wet()).orElse(false);
            case DRAIN, FILL -> all.goals().isEmpty() || !all.fillSteps().isEmpty() || oilOut();
            case VERDICT -> all.goals().isEmpty() && !all.findings().isEmpty();
            case PUMP, ESTIMATE, PARTS, BESIDE -> false;
            case SETUP -> all.setup().map(SetupWork::called).orElse(false);
            case PROVE -> !all.goals().isEmpty();
            default -> true;
        };
    }

    /** Whether something waits at a station: what the job's order of work wants, and what can be done beside it. */
    boolean work(Station station) {
        boolean beside =
                switch (station) {
                    case BESIDE ->
                        all.leftAlone() || !new Beside(all).greeting().isEmpty();
                    case PUMP -> states().get(station) == Station.State.BEGUN;
                    case PARTS, ESTIMATE -> !all.goals().isEmpty();
                    default -> wanted(station);
                };
        return beside
                && states().get(station) != Station.State.DONE
                && job.tagged().isEmpty();
    }

    /** Oil that came out goes in again, whatever the goals. */
    private boolean oilOut() {
        return job.reading(Field.DRAINED).isPresent();
    }

    private Station.State leakHunt() {
        boolean decided = all.holds().size() == LeakMode.values().length
                && all.holds().stream().allMatch(HeldTest::over);
        return state(decided, !all.job().holds().isEmpty());
    }

    NextAction nextAction() {
        if (job.tagged().isPresent()) {
            return NextAction.of(What.NONE);
        }
        if (all.pieceLost() && current().compareTo(Station.BUILD) >= 0) {
            return NextAction.of(What.PIECE);
        }
        return switch (current()) {
            case INTAKE -> NextAction.of(What.INTAKE);
            case DRAIN -> drain();
            case LEAK -> NextAction.of(all.held(LeakMode.PRESSURE).isPresent() ? What.VACUUM : What.HOLD);
            case VERDICT -> look();
            case SETUP ->
                all.setup()
                        .flatMap(SetupWork::next)
                        .map(p -> new NextAction(What.SETUP, p.id(), p.title()))
                        .orElse(NextAction.of(What.GEARS));
            case PROVE -> NextAction.of(all.proof().failed().isEmpty() ? What.PROVE : What.PROVE_FAILED);
            case BESIDE -> NextAction.of(What.BESIDE);
            case PUMP, ESTIMATE, PARTS -> NextAction.of(What.GOALS);
            case STRIP -> all.goals().isEmpty() ? NextAction.of(What.GOALS) : nextStep(all.stripSteps());
            case BUILD -> nextStep(all.buildSteps());
            case FILL -> nextStep(all.fillSteps());
            case TAG -> NextAction.of(What.TAG);
        };
    }

    /** What it came in for is looked at first; without that, or with it looked at, the oil. */
    private NextAction drain() {
        if (job.reading(Field.DRAINED).isPresent()) {
            return NextAction.of(What.JUDGE);
        }
        return all.goals().isEmpty() && all.verdictWords().forComplaint() ? look() : NextAction.of(What.DRAIN);
    }

    private NextAction look() {
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

    private NextAction nextStep(List<Plan.PlannedStep> steps) {
        return steps.stream()
                .filter(s -> job.ticked(s.step().id()).isEmpty())
                .findFirst()
                .map(s -> new NextAction(What.STEP, s.step().id(), s.step().title()))
                .orElse(NextAction.of(What.FILL));
    }

    private Station.State parts() {
        boolean needed = !all.plan().parts().isEmpty();
        return state(
                needed && all.supply().allHere(),
                needed && all.supply().rows().stream().anyMatch(r -> r.taken() + r.ordered() > 0));
    }

    private Station.State filling() {
        boolean measured = all.fill().flatMap(f -> f.check()).isPresent();
        int done = all.stepsDone(all.fillSteps());
        return state(measured && done == all.fillSteps().size(), measured || done > 0);
    }

    private Station.State steps(List<Plan.PlannedStep> steps, boolean begun) {
        int done = all.stepsDone(steps);
        return state(!steps.isEmpty() && done == steps.size(), begun || done > 0);
    }

    private static Station.State state(boolean done, boolean begun) {
        return done ? Station.State.DONE : begun ? Station.State.BEGUN : Station.State.UNTOUCHED;
    }
}
