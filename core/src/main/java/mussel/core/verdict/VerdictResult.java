package mussel.core.verdict;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Which faults, how sure, and what to look at next.
 *
 * @param causes by falling probability
 * @param decisions each goal
 * @param checks each look not made: those for what the leg came in for first, then the most valuable first
 * @param together for each set-up the looks that pay best together, the most valuable first
 * @param ahead where no look pays by itself: the one that pays with the best that may follow it; empty where even that does not
 * @param knowledgeVersion the edition of the tables
 * @param surpriseBits how far the findings contradict each other (bits)
 * @param surprisedBy the finding that carries most of it, where it is above three bits
 * @param repairs the rounds of checks and the sets of repairs; empty where they were not asked for
 */
public record VerdictResult(
        List<CauseBelief> causes,
        List<Decision> decisions,
        List<Check> checks,
        List<Together> together,
        Optional<Together> ahead,
        String knowledgeVersion,
        double surpriseBits,
        Optional<String> surprisedBy,
        Repairs repairs) {
    /** Above this the findings contradict each other (bits). */
    public static final double CONTRADICTION_BITS = 3;

    /** Keeps its own copies. */
    public VerdictResult {
        causes = List.copyOf(causes);
        decisions = List.copyOf(decisions);
        checks = List.copyOf(checks);
        together = List.copyOf(together);
    }

    /**
     * What to look at next: the look, or the looks of one set-up, worth most. For what the leg came in for comes before what is cheap beside it, and
     * what needs no strip-down before what does: the case can still be opened after. Empty when no look is worth its time.
     *
     * @param knowledge the tables it was judged by
     */
    public Optional<Together> advised(Knowledge knowledge) {
        return Stream.concat(together.stream(), checks.stream().map(Check::alone))
                .filter(t -> t.value() > 0)
                .min(Comparator.comparing(Together::bearing)
                        .thenComparing(t -> knowledge
                                .access(t.access())
                                .map(Access::stripDown)
                                .orElse(false))
                        .thenComparing(
                                Comparator.comparingDouble(Together::value).reversed()))
                .or(() -> ahead);
    }

    /** The same with the advice on rounds and sets: a goal is to be done where the best set holds it. */
    public VerdictResult with(Repairs advice) {
        List<Decision> decided = advice.sets().isEmpty()
                ? decisions
                : decisions.stream()
                        .map(d -> d.act(advice.sets().get(0).goals().contains(d.goal())))
                        .toList();
        return new VerdictResult(
                causes, decided, checks, together, ahead, knowledgeVersion, surpriseBits, surprisedBy, advice);
    }

    /** The belief in a cause. */
    public Optional<CauseBelief> cause(String id) {
        return causes.stream().filter(c -> c.id().equals(id)).findFirst();
    }

    /** The decision on a goal. */
    public Optional<Decision> decision(String goal) {
        return decisions.stream().filter(d -> d.goal().equals(goal)).findFirst();
    }

    /**
     * How sure a cause is.
     *
     * @param id the cause
     * @param prior beforehand, after the context
     * @param probability now
     * @param evidence what each finding adds or takes
     */
    public record CauseBelief(String id, double prior, double probability, List<Evidence> evidence) {
        /** Keeps its own copy. */
        public CauseBelief {
            evidence = List.copyOf(evidence);
        }
    }

    /**
     * What one finding says of one cause.
     *
     * @param finding the finding
     * @param bits log2 of the odds with all findings over the odds without this one; positive speaks for
     */
    public record Evidence(String finding, double bits) {}

    /**
     * What to do about one goal.
     *
     * @param goal the goal
     * @param probability that any of its causes is there
     * @param act whether doing it is cheaper than leaving it
     * @param expectedCostDo what doing it costs (money)
     * @param expectedCostLeave what leaving it costs on average (money)
     */
    public record Decision(
            String goal,
            double probability,
            @mussel.core.measure.Given(value = "whether to do it", name = "do") boolean act,
            double expectedCostDo,
            double expectedCostLeave) {
        private Decision act(boolean does) {
            return new Decision(goal, probability, does, expectedCostDo, expectedCostLeave);
        }
    }

    /**
     * One look not made yet.
     *
     * @param finding the look
     * @param gainBits how much it is expected to settle (bits)
     * @param saves what it is expected to save (money)
     * @param minutes its time, its set-up included where that is not open yet (min)
     * @param value what it saves less its time (money)
     * @param access what must be open for it
     * @param bearing whether it bears on what the leg came in for
     */
    public record Check(
            String finding,
            double gainBits,
            double saves,
            double minutes,
            double value,
            String access,
            @mussel.core.measure.Given(value = "what it is for", name = "for") Bearing bearing) {
        /** The same as a set of one. */
        public Together alone() {
            return new Together(access, List.of(finding), saves, minutes, value, bearing);
        }
    }

    /** What a look is for. */
    public enum Bearing {
        /** It bears on a cause that the complaint raised. */
        COMPLAINT,
        /** Cheap while the leg is there. */
        BESIDE
    }

    /**
     * Looks that share a set-up, valued as one: the set-up is paid once, and what one shows sharpens the other.
     *
     * @param access the set-up
     * @param findings the looks, the best first; one whose gate the others leave closed is not made
     * @param saves what they are expected to save (money)
     * @param minutes the set-up and the looks that are then made, on average (min)
     * @param value what they save less their time (money)
     * @param bearing whether one of them bears on what the leg came in for
     */
    public record Together(
            String access,
            List<String> findings,
            double saves,
            double minutes,
            double value,
            @mussel.core.measure.Given(value = "what they are for", name = "for") Bearing bearing) {
        /** Keeps its own copy. */
        public Together {
            findings = List.copyOf(findings);
        }
    }
}
