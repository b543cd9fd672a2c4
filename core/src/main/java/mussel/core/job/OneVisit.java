package mussel.core.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import mussel.core.measure.Display;
import mussel.core.measure.Sentences;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.plan.PlanEngine;
import mussel.core.plan.PlanResult;
import mussel.core.sheet.Step;

/** Both legs of a twin as one visit: one order, one price, and their steps side by side. */
public final class OneVisit {
    private static final Sentences SAY = Sentences.beside(OneVisit.class);

    private final Assessment own;
    private final Assessment sister;
    private Optional<Optional<Worth>> worth = Optional.empty();

    private OneVisit(Assessment own, Assessment sister) {
        this.own = own;
        this.sister = sister;
    }

    static Optional<OneVisit> of(Assessment own) {
        return own.sister()
                .filter(s -> Sister.oneVisit(own.job(), s.job()))
                .flatMap(Sister::assessed)
                .map(s -> new OneVisit(own, s));
    }

    /** The leg at hand. */
    public Assessment own() {
        return own;
    }

    /** The leg beside it, by itself. */
    public Assessment sister() {
        return sister;
    }

    /** Both, the port one first. */
    public List<Assessment> legs() {
        return own.job().leg().position() == LegRef.Position.STARBOARD ? List.of(sister, own) : List.of(own, sister);
    }

    private static List<Step> steps(Assessment leg) {
        return leg.plan().steps().stream().map(PlannedStep::step).toList();
    }

    /** How long both take in one go; nothing is to be done on one of them where that is so. */
    public PlanResult.Minutes together() {
        Assessment port = legs().get(0);
        Assessment starboard = legs().get(1);
        return PlanEngine.together(steps(port), port.saltYears(), steps(starboard), starboard.saltYears());
    }

    /** What one go saves against two (min). */
    public double savedMinutes() {
        Set<String> here = new TreeSet<>();
        steps(own).stream().filter(Step::once).forEach(s -> here.add(s.id()));
        return steps(sister).stream()
                .filter(s -> here.contains(s.id()))
                .mapToDouble(s -> s.meanMinutes(sister.saltYears()))
                .sum();
    }

    /** What a job costs: both legs where they are one visit, else its own. */
    public static Optional<Worth> worthOf(Assessment now) {
        return now.visit().flatMap(OneVisit::worth).or(now::worth);
    }

    /** What both cost as one job; empty while neither has anything to do. */
    public Optional<Worth> worth() {
        if (worth.isEmpty()) {
            Optional<Worth> here = own.worth();
            Optional<Worth> there = sister.worth();
            worth = Optional.of(
                    here.isPresent() && there.isPresent()
                            ? Optional.of(Worth.both(here.get(), there.get(), together()))
                            : here.or(() -> there));
        }
        return worth.get();
    }

    /**
     * A step of the one or the other leg, or of both.
     *
     * @param step as the sheet of the leg has it whose plan it stands in
     * @param port whether it is done on the port leg; empty where its plan has no such step
     * @param starboard the same of the starboard leg
     * @param once whether it is done once for both
     */
    public record Line(Step step, Optional<Boolean> port, Optional<Boolean> starboard, boolean once) {
        /** Whether it is done wherever it is to be done. */
        public boolean done() {
            return port.orElse(true) && starboard.orElse(true);
        }
    }

    /** Every step of both, in the order hands go: those of one leg stand where they would stand among the other's. */
    public List<Line> lines() {
        Assessment port = legs().get(0);
        Assessment starboard = legs().get(1);
        List<Step> left = steps(port);
        List<Step> right = steps(starboard);
        Map<String, Step> merged = new LinkedHashMap<>();
        int next = 0;
        for (Step step : left) {
            int there = indexOf(right, step.id());
            for (; there >= next && next < there; next++) {
                merged.putIfAbsent(right.get(next).id(), right.get(next));
            }
            merged.putIfAbsent(step.id(), step);
            next = Math.max(next, there + 1);
        }
        right.forEach(s -> merged.putIfAbsent(s.id(), s));
        List<Line> lines = new ArrayList<>();
        for (Step step : merged.values()) {
            Optional<Boolean> onPort = done(port, left, step);
            Optional<Boolean> onStarboard = done(starboard, right, step);
            lines.add(
                    new Line(step, onPort, onStarboard, step.once() && onPort.isPresent() && onStarboard.isPresent()));
        }
        return lines;
    }

    private static int indexOf(List<Step> steps, String id) {
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).id().equals(id)) {
                return i;
            }
        }
        return -1;
    }

    private static Optional<Boolean> done(Assessment leg, List<Step> steps, Step step) {
        return indexOf(steps, step.id()) < 0
                ? Optional.empty()
                : Optional.of(leg.job().ticked(step.id()).isPresent());
    }

    /** What doing the sister leg at once would save, with the same to be done on it; empty for a leg that hangs alone. */
    static String priced(Assessment now) {
        return now.timedPlan()
                .twin()
                .map(twin -> SAY.say(
                        "twin.priced",
                        Display.workTime(twin.togetherMinutes()),
                        Display.workTime(twin.apartMinutes()),
                        now.yard().money().sum(twin.savedMinutes() * now.yard().labourPerH() / 60)))
                .orElse("");
    }

    /** That the sister is in the yard too, in a sentence: asked, never decided. */
    public static String proposed(Sister sister) {
        return SAY.say(
                "visit.proposed",
                sister.job().leg().position().title(),
                String.valueOf(sister.job().id()));
    }

    /** The visit in a sentence: both legs, how long they take together, and what that saves. */
    public String says() {
        return SAY.say(
                "visit.both",
                sister.job().leg().title(),
                String.valueOf(sister.job().id()),
                Display.workTime(together().mean()),
                Display.workTime(savedMinutes()));
    }
}
