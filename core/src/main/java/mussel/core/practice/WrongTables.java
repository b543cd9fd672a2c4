package mussel.core.practice;

import java.util.ArrayList;
import java.util.List;
import mussel.core.verdict.Cause;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Knowledge;
import org.hipparchus.random.MersenneTwister;

/** Tables as the world may be instead: every odds and every share off by a factor of its own. */
final class WrongTables {
    private static final double MOST_PRIOR = 0.95;

    private final MersenneTwister random;
    private final double most;

    private WrongTables(long seed, double most) {
        this.random = PracticeLeg.source(seed, -1);
        this.most = most;
    }

    /**
     * Draws such tables.
     *
     * @param right those that ship
     * @param most the largest factor, one or more; drawn even on its logarithm, either way
     */
    static Knowledge of(Knowledge right, double most, long seed) {
        WrongTables wrong = new WrongTables(seed, most);
        List<Cause> causes = right.causes().stream().map(wrong::off).toList();
        List<Finding> findings = right.findings().stream().map(wrong::off).toList();
        return new Knowledge(
                right.knowledgeVersion(), right.access(), right.goals(), causes, findings, right.repairs());
    }

    private double factor() {
        return Math.pow(most, 2 * random.nextDouble() - 1);
    }

    private Cause off(Cause cause) {
        double odds = cause.prior() / (1 - cause.prior()) * factor();
        return cause.withPrior(Math.min(MOST_PRIOR, odds / (1 + odds)), cause.why());
    }

    private Finding off(Finding finding) {
        return new Finding(
                finding.id(),
                finding.title(),
                finding.outcomes(),
                finding.station(),
                finding.access(),
                finding.minutes(),
                off(finding.base()),
                finding.why(),
                rows(finding.given()),
                finding.gate(),
                finding.only(),
                finding.notAfter(),
                finding.once(),
                finding.variants().stream()
                        .map(v -> new Finding.Variant(v.key(), v.is(), rows(v.given())))
                        .toList());
    }

    private List<Finding.Share> rows(List<Finding.Share> rows) {
        return rows.stream()
                .map(s -> new Finding.Share(s.cause(), off(s.shares()), s.why()))
                .toList();
    }

    private List<Double> off(List<Double> shares) {
        List<Double> moved = new ArrayList<>();
        double sum = 0;
        for (double share : shares) {
            double other = share * factor();
            moved.add(other);
            sum += other;
        }
        double all = sum;
        moved.replaceAll(s -> s / all);
        return moved;
    }
}
