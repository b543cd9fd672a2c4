package mussel.core.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import mussel.core.language.Messages;

/**
 * Priors moved by what a yard has found: each is the mean of a Beta distribution that begins at the tables' prior with the weight of twenty
 * legs and counts every cause confirmed or found absent.
 *
 * @param knowledge the tables with the moved priors
 * @param changes each prior that moved
 */
public record Learned(Knowledge knowledge, List<Overrides.Change> changes) {
    private static final Messages TEXT = Messages.of(Learned.class);

    /** How many legs the tables' own prior weighs. */
    public static final double WEIGHT_OF_TABLES = 20;

    /** Keeps its own copy. */
    public Learned {
        changes = List.copyOf(changes);
    }

    /** Moves the priors of tables by what was found. */
    public static Learned from(Knowledge tables, List<Calibration.Judged> found) {
        List<Cause> causes = new ArrayList<>();
        List<Overrides.Change> changes = new ArrayList<>();
        for (Cause cause : tables.causes()) {
            long yes = found.stream()
                    .filter(j -> j.cause().equals(cause.id()) && j.found())
                    .count();
            long no = found.stream()
                    .filter(j -> j.cause().equals(cause.id()) && !j.found())
                    .count();
            if (yes + no == 0) {
                causes.add(cause);
                continue;
            }
            double moved = (WEIGHT_OF_TABLES * cause.prior() + yes) / (WEIGHT_OF_TABLES + yes + no);
            String why = TEXT.get("learned.found_times_not_there_times_in", yes, no);
            causes.add(cause.withPrior(moved, cause.why() + " " + why));
            changes.add(new Overrides.Change(cause.title() + ", prior", percent(cause.prior()), percent(moved), why));
        }
        return new Learned(tables.withCauses(causes), changes);
    }

    private static String percent(double p) {
        return String.format(Locale.ROOT, "%.1f %%", 100 * p);
    }
}
