package mussel.core.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.measure.OrderedMap;
import mussel.core.verdict.RepairGoal;
import mussel.core.verdict.VerdictResult;
import mussel.core.verdict.VerdictResult.Check;

/**
 * What a practice leg comes to, against what the advice would have made of it.
 *
 * @param bench the bench as it was left
 * @param looked the looks, in the order they were made
 * @param done the goals done
 * @param proof the final check made; both tests where none is named
 * @param over whether it was handed over
 * @param anothers whether it is another's work, so that handing it over was right
 * @param suspected what was suspected, by goal (0..1)
 */
record Settlement(
        Bench bench,
        List<String> looked,
        List<String> done,
        Optional<String> proof,
        boolean over,
        boolean anothers,
        Map<String, Double> suspected) {
    /** What handing over costs the yard: an hour of putting it together and saying what was found (h). */
    private static final double HANDING_OVER = 1;
    /** A dealer asks more than the yard for the same. */
    private static final double DEALER = 1.5;
    /** Nobody is held to be surer than this, or to have ruled out more (0..1). */
    private static final double LEAST = 0.01;

    Settlement {
        looked = List.copyOf(looked);
        done = List.copyOf(done);
        suspected = OrderedMap.copyOf(suspected);
    }

    /** All of it, look by look. */
    PracticeReview told() {
        Bench again = bench.untouched();
        List<PracticeReview.Made> looks = new ArrayList<>();
        for (String finding : looked) {
            Optional<Check> then = again.ranked().checks().stream()
                    .filter(c -> c.finding().equals(finding))
                    .findFirst();
            double before = again.minutes();
            String shows = again.look(finding).orElse("");
            looks.add(new PracticeReview.Made(
                    finding,
                    shows,
                    again.minutes() - before,
                    then.map(Check::gainBits).orElse(0.0),
                    then.map(Check::value).orElse(0.0)));
        }
        Bench advised = bench.asAdvised();
        Bench untouched = bench.untouched();
        return new PracticeReview(
                own(),
                advice(advised),
                List.copyOf(advised.findings().keySet()),
                anothers ? over(untouched) : Policies.known(untouched),
                looks,
                score(),
                anothers == over);
    }

    /** What is lost against the advice (money); below nought where that is beaten. */
    double loses() {
        return own().cost() - advice(bench.asAdvised()).cost();
    }

    private Reckoning advice(Bench advised) {
        return anothers ? over(advised) : advised.handBack();
    }

    /** Goals that are called for and left or given away, or done and not called for or not the yard's to do. */
    List<String> wrong() {
        List<String> called = bench.leg().called();
        return bench.tables().knowledge().goals().stream()
                .map(RepairGoal::id)
                .filter(g -> wrong(called.contains(g), done.contains(g)))
                .toList();
    }

    private boolean wrong(boolean called, boolean did) {
        if (over) {
            return !anothers && called;
        }
        return anothers ? called || did : called != did;
    }

    /** As it was handed back: what is another's work and was done all the same comes back whole. */
    private Reckoning own() {
        if (over) {
            return over(bench);
        }
        if (!anothers) {
            return bench.handBack(done, proof);
        }
        Reckoning none = bench.handBack(List.of());
        Reckoning mended = bench.handBack(done);
        return new Reckoning(
                none.minutes(),
                none.looking(),
                mended.work(),
                none.comebacks(),
                done,
                none.missed(),
                done,
                none.looks(),
                none.forbidden(),
                none.stated(),
                none.back());
    }

    /** Handed over: an hour of the yard's, and a dealer's price for what is called for. */
    private static Reckoning over(Bench at) {
        Reckoning all = at.handBack(at.leg().called());
        return new Reckoning(
                all.minutes(),
                all.looking(),
                HANDING_OVER * at.labourPerH() + DEALER * all.work(),
                0,
                List.of(),
                List.of(),
                List.of(),
                all.looks(),
                all.forbidden(),
                0,
                0);
    }

    /**
     * The logarithmic score (Good 1952, Rational Decisions) of what was suspected, in bits a goal; what was not spoken of counts as the tables have it beforehand. Empty
     * where nothing was said.
     */
    Optional<Double> score() {
        if (suspected.isEmpty()) {
            return Optional.empty();
        }
        VerdictResult before = bench.untouched().believed();
        List<RepairGoal> goals = bench.tables().knowledge().goals();
        double bits = 0;
        for (RepairGoal goal : goals) {
            double p = suspected.getOrDefault(
                    goal.id(),
                    before.decision(goal.id())
                            .map(VerdictResult.Decision::probability)
                            .orElse(0.0));
            double held = Math.min(1 - LEAST, Math.max(LEAST, p));
            boolean there = bench.leg().called().contains(goal.id());
            bits -= Math.log(there ? held : 1 - held) / Math.log(2);
        }
        return Optional.of(bits / goals.size());
    }
}
