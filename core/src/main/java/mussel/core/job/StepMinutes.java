package mussel.core.job;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.language.Messages;
import mussel.core.log.Visit;
import mussel.core.measure.Display;
import mussel.core.sheet.Seizure;
import mussel.core.sheet.Step;

/**
 * What steps really took, by their ticks: from one tick to the next. A gap longer than a step ever takes is a pause and taken out with its step; steps ticked in one
 * go, or quicker than any hand is, tell nothing. Where something was stuck, as a note of what was tried tells, the step may take as much longer.
 *
 * @param steps the steps that can be told, with their minutes
 * @param minutes what they took together (min)
 * @param planned what the plan had for the same steps on the mean (min)
 * @param pauses what was taken out (min)
 * @param of how many steps the plan has
 */
public record StepMinutes(List<Took> steps, double minutes, double planned, double pauses, int of) {
    private static final Messages TEXT = Messages.of(StepMinutes.class);
    /** No step takes longer than this many times its most minutes, or this long at all (min). */
    private static final double PAUSE = 2;

    private static final double LEAST_PAUSE = 45;
    /** Ticks closer than this were set in one go (min). */
    private static final double AT_ONCE = 0.25;

    /** What took less than this share of a step's least minutes was ticked afterwards. */
    private static final double FASTER = 0.5;

    private static final double MINUTE_MS = 60_000;

    /** Keeps its own copy. */
    public StepMinutes {
        steps = List.copyOf(steps);
    }

    /**
     * A step that can be told.
     *
     * @param step its id
     * @param minutes what it took (min)
     * @param stuck whether something was stuck at it
     */
    public record Took(String step, double minutes, boolean stuck) {}

    private record Tick(Step step, Instant at) {}

    /** What the steps of a job took so far. */
    public static StepMinutes of(Assessment now) {
        List<Tick> ticks = new ArrayList<>();
        now.plan()
                .steps()
                .forEach(s -> now.job().ticked(s.step().id()).ifPresent(at -> ticks.add(new Tick(s.step(), at))));
        ticks.sort(Comparator.comparing(Tick::at));
        List<Took> took = new ArrayList<>();
        double minutes = 0;
        double planned = 0;
        double pauses = 0;
        for (int i = 1; i < ticks.size(); i++) {
            Step step = ticks.get(i).step();
            double gap =
                    Duration.between(ticks.get(i - 1).at(), ticks.get(i).at()).toMillis() / MINUTE_MS;
            boolean stuck = now.job().note(Topic.STUCK.of(step.id())).isPresent();
            double longer = stuck ? step.seizes().map(Seizure::extraMin).orElse(LEAST_PAUSE) : 0;
            if (gap > Math.max(LEAST_PAUSE, PAUSE * (step.minutes().high() + longer))) {
                pauses += gap;
            } else if (gap > Math.max(AT_ONCE, FASTER * step.minutes().low())) {
                took.add(new Took(step.id(), gap, stuck));
                minutes += gap;
                planned += step.meanMinutes(now.saltYears());
            }
        }
        return new StepMinutes(
                took, minutes, planned, pauses, now.plan().steps().size());
    }

    /**
     * What the whole job took: by the ticks where they tell, else as planned.
     *
     * @param planMinutes what the plan has for all its steps on the mean (min)
     */
    double all(double planMinutes) {
        return minutes + Math.max(0, planMinutes - planned);
    }

    /** What was told, in what a visit keeps; empty while the leg is not tagged or nothing was done on it. */
    public static Optional<Visit.Work> work(Assessment now) {
        if (now.job().tagged().isEmpty()) {
            return Optional.empty();
        }
        return now.worth().map(worth -> {
            StepMinutes told = of(now);
            Map<String, Double> bySteps = new HashMap<>();
            Map<String, Double> stuck = new HashMap<>();
            told.steps().forEach(s -> (s.stuck() ? stuck : bySteps).put(s.step(), s.minutes()));
            double all = told.all(now.timedPlan().minutes().mean());
            return new Visit.Work(bySteps, stuck, worth.spent(all), worth.cameTo(all), new Consent(now).quoted());
        });
    }

    /** What they took against the plan, in a sentence; empty where nothing can be told. */
    public String says() {
        if (steps.isEmpty()) {
            return "";
        }
        return TEXT.get(
                pauses > 0 ? "took.pauses" : "took",
                String.valueOf(steps.size()),
                String.valueOf(of),
                Display.workTime(minutes),
                Display.workTime(planned),
                Display.workTime(pauses));
    }
}
