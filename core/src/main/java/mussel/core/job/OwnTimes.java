package mussel.core.job;

import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.log.Visit;
import mussel.core.measure.Display;
import mussel.core.measure.OrderedMap;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import org.hipparchus.stat.descriptive.DescriptiveStatistics;

/**
 * How long the steps of a family take in this yard, by its ticks. A step that was told often enough takes the yard's own time in place of the sheet's estimate;
 * the others keep theirs.
 */
public final class OwnTimes {
    /** Nothing is known. */
    public static final OwnTimes NONE = new OwnTimes(Map.of(), Map.of());

    /** From so many times on a step takes the yard's own. */
    public static final int ENOUGH = 5;

    /** From so many times on a stuck step takes as much longer as it did here: it is rarer, and the sheet's figure is rougher. */
    public static final int ENOUGH_STUCK = 3;

    private static final Messages TEXT = Messages.of(OwnTimes.class);
    private static final int LOW = 10;
    private static final int HIGH = 90;

    private final Map<String, Own> byStep;
    /** On the mean, what a step took where something was stuck (min). */
    private final Map<String, Double> stuck;
    /** By the sheet itself: to compare two would take longer than to plan. */
    private final Map<SpecSheet, SpecSheet> made = new IdentityHashMap<>();

    private OwnTimes(Map<String, Own> byStep, Map<String, Double> stuck) {
        this.byStep = OrderedMap.copyOf(byStep);
        this.stuck = OrderedMap.copyOf(stuck);
    }

    /**
     * What a step takes here.
     *
     * @param count how often it was told
     * @param low in nine of ten cases at least (min)
     * @param mean on the mean (min)
     * @param high in nine of ten cases at most (min)
     */
    public record Own(int count, double low, double mean, double high) {
        /** The three points of the distribution with that mean; where the mean lies too near an end, the end gives way. */
        Step.Minutes minutes() {
            double least = Math.min(low, mean);
            double most = Math.max(high, mean);
            double likely = (6 * mean - least - most) / 4;
            if (likely < least) {
                return new Step.Minutes(least, least, 6 * mean - 5 * least);
            }
            return likely > most
                    ? new Step.Minutes(6 * mean - 5 * most, most, most)
                    : new Step.Minutes(least, likely, most);
        }

        /** In a sentence, as it stands beside the step. */
        public String says() {
            return TEXT.get(
                    "own.time",
                    String.valueOf(count),
                    Display.workTime(mean),
                    Display.workTime(low),
                    Display.workTime(high));
        }
    }

    /** The times of visits of one family. */
    public static OwnTimes of(List<Visit> visits) {
        Map<String, DescriptiveStatistics> told = new HashMap<>();
        Map<String, DescriptiveStatistics> stuck = new HashMap<>();
        for (Visit visit : visits) {
            visit.work().ifPresent(w -> {
                gather(w.minutes(), told);
                gather(w.stuck(), stuck);
            });
        }
        Map<String, Own> own = new HashMap<>();
        told.forEach((step, all) -> {
            if (all.getN() >= ENOUGH) {
                own.put(
                        step,
                        new Own((int) all.getN(), all.getPercentile(LOW), all.getMean(), all.getPercentile(HIGH)));
            }
        });
        Map<String, Double> longer = new HashMap<>();
        stuck.forEach((step, all) -> {
            if (all.getN() >= ENOUGH_STUCK) {
                longer.put(step, all.getMean());
            }
        });
        return own.isEmpty() && longer.isEmpty() ? NONE : new OwnTimes(own, longer);
    }

    private static void gather(Map<String, Double> minutes, Map<String, DescriptiveStatistics> into) {
        minutes.forEach((step, took) ->
                into.computeIfAbsent(step, s -> new DescriptiveStatistics()).addValue(took));
    }

    /** What a step takes here on the mean where something is stuck at it (min); empty where that was not told often enough. */
    public OptionalDouble stuck(String step) {
        return stuck.containsKey(step) ? OptionalDouble.of(stuck.get(step)) : OptionalDouble.empty();
    }

    /** What the yard's own jobs say of a step, in sentences; empty where they say nothing. */
    public String says(String step) {
        String usual = of(step).map(Own::says).orElse("");
        String longer = stuck(step).isPresent()
                ? TEXT.get("own.stuck", Display.workTime(stuck(step).getAsDouble()))
                : "";
        return (usual + " " + longer).strip();
    }

    /** What a step takes here; empty where it was not told often enough. */
    public Optional<Own> of(String step) {
        return Optional.ofNullable(byStep.get(step));
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof OwnTimes times && times.byStep.equals(byStep) && times.stuck.equals(stuck);
    }

    @Override
    public int hashCode() {
        return 31 * byStep.hashCode() + stuck.hashCode();
    }

    /** How many steps of a sheet take the yard's own time. */
    public int counted(SpecSheet sheet) {
        return (int)
                sheet.steps().stream().filter(s -> byStep.containsKey(s.id())).count();
    }

    /** The family with those steps taking the yard's own time; the same sheet gives the same again. */
    synchronized SpecSheet over(SpecSheet sheet) {
        if (counted(sheet) == 0 && sheet.steps().stream().noneMatch(s -> stuck.containsKey(s.id()))) {
            return sheet;
        }
        return made.computeIfAbsent(
                sheet, s -> s.with(s.steps().stream().map(this::own).toList()));
    }

    private Step own(Step step) {
        Step timed = of(step.id()).map(o -> step.taking(o.minutes())).orElse(step);
        return stuck(step.id()).isEmpty()
                ? timed
                : timed.seizing(Math.max(
                        0, stuck(step.id()).getAsDouble() - timed.minutes().mean()));
    }
}
