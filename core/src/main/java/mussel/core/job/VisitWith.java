package mussel.core.job;

import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Another leg of the bench that is worked on in the same visit: any two legs, each of which names the other. */
public final class VisitWith {
    private VisitWith() {}

    /** The leg a job is in one visit with, as far as it says itself. */
    public static Optional<String> leg(Job job) {
        return job.choice(Scale.VISIT_WITH.address());
    }

    /** Whether each of two jobs names the other's leg. */
    public static boolean mutual(Job one, Job other) {
        return leg(one).equals(Optional.of(other.leg().id()))
                && leg(other).equals(Optional.of(one.leg().id()));
    }

    /** What is entered in a job to put its leg beside another. */
    public static Fact with(LegRef other) {
        return new Fact.Chosen(Scale.VISIT_WITH.address(), other.id());
    }

    /** What is entered to end it. */
    public static Fact ended() {
        return new Fact.Cleared(Scale.VISIT_WITH.address());
    }

    /** The open legs a typed job number or words of boat, model and place mean, the own one left out; none where nothing was typed. */
    public static List<BenchLine> meant(String typed, Collection<BenchLine> open, int own) {
        String text = typed.strip().toLowerCase(Locale.ROOT);
        if (text.isEmpty()) {
            return List.of();
        }
        List<BenchLine> others = open.stream().filter(l -> l.job() != own).toList();
        List<BenchLine> numbered = others.stream()
                .filter(l -> text.equals(String.valueOf(l.job())))
                .toList();
        return numbered.isEmpty()
                ? others.stream()
                        .filter(l -> Arrays.stream(text.split("\\s+"))
                                .allMatch(word -> (l.leg().title() + " " + l.family())
                                        .toLowerCase(Locale.ROOT)
                                        .contains(word)))
                        .toList()
                : numbered;
    }
}
