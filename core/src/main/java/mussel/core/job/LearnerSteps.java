package mussel.core.job;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Place;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;

/**
 * What those who learn have done at the bench, from the steps they ticked: by phase and place, alone or with help. Somebody helped where another person, who
 * does not learn, entered anything on the same leg within {@link #NEAR} of the tick.
 */
public final class LearnerSteps {
    /** How near in time another's entry counts as help. */
    public static final Duration NEAR = Duration.ofMinutes(30);

    private static final Messages TEXT = Messages.of(LearnerSteps.class);

    private final Yard yard;
    private final Map<String, Map<Kind, Count>> done = new TreeMap<>();

    /** For a yard, which says who learns. */
    public LearnerSteps(Yard yard) {
        this.yard = yard;
    }

    /** A kind of step. */
    public record Kind(Phase phase, Place place) implements Comparable<Kind> {
        private static final Comparator<Kind> ORDER =
                Comparator.comparing(Kind::phase).thenComparing(Kind::place);

        @Override
        public int compareTo(Kind other) {
            return ORDER.compare(this, other);
        }
    }

    /**
     * How often a kind was done.
     *
     * @param alone with nobody else at the leg
     * @param helped with somebody who does not learn
     * @param last when last
     */
    public record Count(int alone, int helped, Instant last) {
        private Count and(Count other) {
            return new Count(alone + other.alone, helped + other.helped, last.isBefore(other.last) ? other.last : last);
        }
    }

    /** Takes in a job. What its sheet does not know any more is left out. */
    public void add(List<Entry> entries, SpecSheet sheet) {
        if (entries.stream().noneMatch(e -> yard.learns(e.by()))) {
            return;
        }
        List<Entry> standing = UndoLine.of(entries).standing();
        ticks(standing).forEach((id, tick) -> {
            Optional<Step> step = sheet.step(id);
            if (step.isPresent() && yard.learns(tick.by())) {
                boolean helped = beside(standing, tick).stream().anyMatch(name -> !yard.learns(name));
                done.computeIfAbsent(tick.by(), name -> new TreeMap<>())
                        .merge(
                                new Kind(step.get().phase(), step.get().place()),
                                new Count(helped ? 0 : 1, helped ? 1 : 0, tick.at()),
                                Count::and);
            }
        });
    }

    /** The tick that counts of each step that is done, by step: the last one. */
    public static Map<String, Entry> ticks(List<Entry> standing) {
        Map<String, Entry> ticks = new LinkedHashMap<>();
        for (Entry entry : standing) {
            if (entry.fact() instanceof Fact.Ticked ticked) {
                ticks.remove(ticked.step());
                if (ticked.done()) {
                    ticks.put(ticked.step(), entry);
                }
            }
        }
        return ticks;
    }

    /** Who else entered anything on the leg within half an hour of an entry. */
    public static SortedSet<String> beside(List<Entry> standing, Entry tick) {
        SortedSet<String> others = new TreeSet<>();
        for (Entry entry : standing) {
            boolean near = Duration.between(entry.at(), tick.at()).abs().compareTo(NEAR) <= 0;
            if (near && !entry.by().equals(tick.by())) {
                others.add(entry.by());
            }
        }
        return others;
    }

    /** What each has done, by name and kind. */
    public Map<String, Map<Kind, Count>> done() {
        return done;
    }

    /** A kind and its count in a sentence. */
    public String says(Kind kind, Count count) {
        String of = TEXT.get("learner.kind", kind.phase().title(), kind.place().title());
        return count.helped() == 0
                ? TEXT.get("learner.alone", of, count.alone())
                : count.alone() == 0
                        ? TEXT.get("learner.helped", of, count.helped())
                        : TEXT.get("learner.both", of, count.alone(), count.helped());
    }

    /** The heading over what somebody has done. */
    public static String title(String name) {
        return TEXT.get("learner.title", name);
    }

    /** What counts as help, in a sentence. */
    public static String intro() {
        return TEXT.get("learner.intro");
    }

    /** What of a family somebody has not done alone yet, in a sentence; empty where nothing is left. */
    public Optional<String> openSays(String name, SpecSheet sheet) {
        String open = open(name, sheet).stream()
                .map(k -> TEXT.get("learner.kind", k.phase().title(), k.place().title()))
                .collect(Collectors.joining("; "));
        return open.isEmpty() ? Optional.empty() : Optional.of(TEXT.get("learner.open", sheet.title(), open));
    }

    /** Kinds of steps of a family that somebody has not done alone yet, in their order. */
    public List<Kind> open(String name, SpecSheet sheet) {
        Map<Kind, Count> own = done.getOrDefault(name, Map.of());
        List<Kind> open = new ArrayList<>();
        sheet.steps().stream()
                .map(s -> new Kind(s.phase(), s.place()))
                .distinct()
                .sorted()
                .filter(k -> !own.containsKey(k) || own.get(k).alone() == 0)
                .forEach(open::add);
        return open;
    }
}
