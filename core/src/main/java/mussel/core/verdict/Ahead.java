package mussel.core.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mussel.core.verdict.VerdictResult.Check;
import mussel.core.verdict.VerdictResult.Together;

/**
 * Two looks ahead, where nothing pays by itself: the look that pays with the best one that may follow what it shows. Looks of which one tells what the other is worth
 * are never found one by one.
 */
final class Ahead {
    /** Looks that may come first: those that settle most for their time, whatever they decide by themselves. */
    private static final int LEADING = 8;
    /** Looks that may follow, beside those that only the first ones open: those that save most, whatever they take; a confirming look behind a strip-down is what mostly follows. */
    private static final int FOLLOWING = 8;

    private final VerdictEngine engine;
    private final Tables tables;
    private final VerdictInput in;
    private final List<Evidence> evidence;

    Ahead(VerdictEngine engine, Tables tables, VerdictInput in) {
        this.engine = engine;
        this.tables = tables;
        this.in = in;
        this.evidence = engine.evidence();
    }

    /**
     * The look to begin with; empty where none pays with what may follow it.
     *
     * @param checks the looks that can be made now, valued singly
     */
    Optional<Together> leads(List<Check> checks) {
        double most = engine.cost(engine.beliefs()) - engine.costKnowing(engine.beliefs());
        Set<String> follow = checks.stream()
                .sorted(Comparator.comparingDouble(Check::saves).reversed())
                .limit(FOLLOWING)
                .map(Check::finding)
                .collect(Collectors.toSet());
        List<Check> firsts = checks.stream()
                .sorted(Comparator.comparingDouble((Check c) -> c.gainBits() * most - time(c))
                        .reversed())
                .limit(LEADING)
                .toList();
        double best = 0;
        Optional<Together> leads = Optional.empty();
        for (Check first : firsts) {
            // Where not even knowing everything after it would pay more than the best so far it is left out.
            double worth = most - time(first) > best ? first.value() + after(first.finding(), follow) : 0;
            if (worth > best) {
                best = worth;
                leads = Optional.of(new Together(
                        first.access(),
                        List.of(first.finding()),
                        worth + time(first),
                        first.minutes(),
                        worth,
                        first.bearing()));
            }
        }
        return leads;
    }

    private double time(Check check) {
        return check.minutes() * in.labourPerH() / 60;
    }

    /** What the best look after one is worth, on the mean over what that one shows. */
    private double after(String look, Set<String> follow) {
        Tables.Place place = tables.place(look);
        int g = tables.groups().indexOf(place.group());
        int outcomes = place.group().findings.get(place.at()).outcomes().size();
        double worth = 0;
        for (int x = 0; x < outcomes; x++) {
            VerdictEngine then = new VerdictEngine(engine, g, place.at(), x);
            double p = then.evidence().get(g).belief().total()
                    / evidence.get(g).belief().total();
            worth += p * new Ahead(then, tables, then.in()).best(follow);
        }
        return worth;
    }

    /**
     * A look that may be the best.
     *
     * @param g its group
     * @param f its place in it
     * @param finding the look
     * @param atMost what it is worth at most
     */
    private record Candidate(int g, int f, Finding finding, double atMost) {}

    /** What the best look is worth; nought where none pays. */
    private double best(Set<String> follow) {
        double costNow = engine.cost(engine.beliefs());
        double best = 0;
        for (Candidate each : candidates(follow, costNow)) {
            if (each.atMost() <= best) {
                break;
            }
            Belief[] shows = evidence.get(each.g())
                    .each(each.f(), each.finding().outcomes().size());
            best = Math.max(best, costNow - engine.expectedCost(shows, each.g()) - engine.time(each.finding()));
        }
        return best;
    }

    /** Those of some looks that may pay, by what they are worth at most. */
    private List<Candidate> candidates(Set<String> of, double costNow) {
        double[] p = engine.probabilities();
        List<Candidate> candidates = new ArrayList<>();
        for (int g = 0; g < evidence.size(); g++) {
            Group group = tables.groups().get(g);
            double most = costNow - engine.costKnowing(g);
            for (int f = 0; f < group.findings.size(); f++) {
                Finding finding = group.findings.get(f);
                boolean asked = of.contains(finding.id()) || !finding.gate().isEmpty();
                if (asked && finding.open(in.findings()) && engine.offered(finding)) {
                    double saves = Math.min(most, engine.savesAtMost(p, tables.sway(finding)));
                    candidates.add(new Candidate(g, f, finding, saves - engine.time(finding)));
                }
            }
        }
        candidates.sort(Comparator.comparingDouble(Candidate::atMost).reversed());
        return candidates;
    }
}
