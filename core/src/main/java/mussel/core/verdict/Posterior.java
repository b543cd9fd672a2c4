package mussel.core.verdict;

import java.util.List;

/** What is believed of all faults, group by group: groups are independent given the findings. */
final class Posterior implements Expectation {
    private final int[][] faults;
    private final List<Evidence> evidence;
    private final List<Evidence.Weighing> weighings;

    /**
     * Puts groups together.
     *
     * @param faults of each group its causes, as positions among all causes of the tables
     * @param evidence what is known of each group
     */
    Posterior(int[][] faults, List<Evidence> evidence) {
        this.faults = faults;
        this.evidence = List.copyOf(evidence);
        weighings = evidence.stream().map(Evidence::weighing).toList();
    }

    @Override
    public double of(double[] factors) {
        double mean = 1;
        for (int g = 0; g < faults.length; g++) {
            double[] own = new double[faults[g].length];
            boolean plain = true;
            for (int i = 0; i < own.length; i++) {
                own[i] = factors[faults[g][i]];
                plain &= own[i] == 1;
            }
            if (!plain) {
                mean *= weighings.get(g).of(own) / evidence.get(g).belief().total();
            }
        }
        // Sums of differences may leave a hair more or less.
        return Math.min(1, Math.max(0, mean));
    }

    @Override
    public double[] present(int all) {
        double[] present = new double[all];
        for (int g = 0; g < faults.length; g++) {
            for (int i = 0; i < faults[g].length; i++) {
                present[faults[g][i]] = evidence.get(g).belief().probability(i);
            }
        }
        return present;
    }
}
