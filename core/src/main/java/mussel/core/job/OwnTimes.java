package mussel.core.job;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.log.Visit;
import mussel.core.measure.Display;
import mussel.core.measure.Sentences;
import mussel.core.sheet.FamilySheet;
import mussel.core.sheet.Step;
import org.hipparchus.stat.descriptive.DescriptiveStatistics;

/**
 * How long the steps of a family take in this yard, by its ticks. A step that was told often enough takes the yard's own time in place of the sheet's estimate;
 * the others keep theirs.
 */
public final class OwnTimes {
    /** Nothing is known. */
    public static final OwnTimes NONE = new OwnTimes(Map.of());

    /** From so many times on a step takes the yard's own. */
    public static final int ENOUGH = 5;

    private static final Sentences SAY = Sentences.beside(OwnTimes.class);
    private static final int LOW = 10;
    private static final int HIGH = 90;

    private final Map<String, Own> byStep;
    /** By the sheet itself: to compare two would take longer than to plan. */
    private final Map<FamilySheet, FamilySheet> made = new IdentityHashMap<>();

    private OwnTimes(Map<String, Own> byStep) {
        this.byStep = Map.copyOf(byStep);
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
            return SAY.say(
                    "own.time",
                    String.valueOf(count),
                    Display.workTime(mean),
                    Display.workTime(low),
                    Display.workTime(high));
        }
    }

    /** The times of visits of one family. */
    public static OwnTimes of(List<Visit> visits) {
        Map<String, List<Double>> told = new HashMap<>();
        for (Visit visit : visits) {
            visit.work().ifPresent(w -> w.minutes()
                    .forEach((step, minutes) ->
                            told.computeIfAbsent(step, s -> new ArrayList<>()).add(minutes)));
        }
        Map<String, Own> own = new HashMap<>();
        told.forEach((step, minutes) -> {
            if (minutes.size() >= ENOUGH) {
                DescriptiveStatistics all = new DescriptiveStatistics();
                minutes.forEach(all::addValue);
                own.put(step, new Own(minutes.size(), all.getPercentile(LOW), all.getMean(), all.getPercentile(HIGH)));
            }
        });
        return own.isEmpty() ? NONE : new OwnTimes(own);
    }

    /** What a step takes here; empty where it was not told often enough. */
    public Optional<Own> of(String step) {
        return Optional.ofNullable(byStep.get(step));
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof OwnTimes times && times.byStep.equals(byStep);
    }

    @Override
    public int hashCode() {
        return byStep.hashCode();
    }

    /** How many steps of a sheet take the yard's own time. */
    public int counted(FamilySheet sheet) {
        return (int)
                sheet.steps().stream().filter(s -> byStep.containsKey(s.id())).count();
    }

    /** The family with those steps taking the yard's own time; the same sheet gives the same again. */
    synchronized FamilySheet over(FamilySheet sheet) {
        if (counted(sheet) == 0) {
            return sheet;
        }
        return made.computeIfAbsent(
                sheet,
                s -> s.with(s.steps().stream()
                        .map(step ->
                                of(step.id()).map(o -> step.taking(o.minutes())).orElse(step))
                        .toList()));
    }
}
