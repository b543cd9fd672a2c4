package mussel.core.book;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import mussel.core.log.Visit;
import mussel.core.measure.Display;
import mussel.core.measure.Sentences;
import org.hipparchus.stat.interval.BinomialProportion;
import org.hipparchus.stat.interval.ConfidenceInterval;

/**
 * How often legs came back for what was mended, as the yard has marked them: by what was repaired, and by whether a hold had proved it. A comeback counts against
 * the repair before it, within a year of that.
 *
 * @param rates repair by repair, those with most comebacks first
 * @param held of all repairs that a hold proved
 * @param unheld of all that none did
 */
public record Comebacks(List<Rate> rates, Rate held, Rate unheld) {
    private static final Sentences SAY = Sentences.beside(Comebacks.class);
    private static final double CONFIDENCE = 0.95;
    private static final int MONTHS = 12;

    /** Keeps its own copy. */
    public Comebacks {
        rates = List.copyOf(rates);
    }

    /**
     * How often something came back.
     *
     * @param what what was repaired
     * @param repairs how many repairs
     * @param came how many of them came back
     */
    public record Rate(String what, int repairs, int came) {
        /** The bounds of the share that comes back, 95 % (Wilson 1927); of nothing, everything is possible. */
        public double[] bounds() {
            if (repairs == 0) {
                return new double[] {0, 1};
            }
            ConfidenceInterval wilson =
                    BinomialProportion.getWilsonScoreInterval(repairs, came / (double) repairs, CONFIDENCE);
            return new double[] {Math.max(0, wilson.getLowerBound()), Math.min(1, wilson.getUpperBound())};
        }

        /** The rate in a sentence. */
        public String says() {
            double[] bounds = bounds();
            return SAY.say(
                    "came.rate",
                    what,
                    String.valueOf(came),
                    String.valueOf(repairs),
                    Display.percent(bounds[0]),
                    Display.percent(bounds[1]));
        }
    }

    private static final class Count {
        private int repairs;
        private int came;

        private void add(boolean back) {
            repairs++;
            came += back ? 1 : 0;
        }

        private Rate rate(String what) {
            return new Rate(what, repairs, came);
        }
    }

    /** The rates of visits, leg by leg in the order of their jobs. */
    public static Comebacks of(List<Visit> visits) {
        Map<String, Count> goals = new TreeMap<>();
        Count held = new Count();
        Count unheld = new Count();
        for (int i = 0; i < visits.size(); i++) {
            Visit repair = visits.get(i);
            if (repair.tagged().isEmpty() || repair.done().isEmpty()) {
                continue;
            }
            boolean back = i + 1 < visits.size() && cameBack(repair, visits.get(i + 1));
            repair.done()
                    .forEach(g -> goals.computeIfAbsent(g, k -> new Count()).add(back));
            (repair.held() ? held : unheld).add(back);
        }
        List<Rate> rates = new ArrayList<>();
        goals.forEach((goal, count) -> rates.add(count.rate(goal)));
        rates.sort((a, b) ->
                a.came() == b.came() ? Integer.compare(b.repairs(), a.repairs()) : Integer.compare(b.came(), a.came()));
        return new Comebacks(rates, held.rate(SAY.say("came.held")), unheld.rate(SAY.say("came.unheld")));
    }

    private static boolean cameBack(Visit repair, Visit next) {
        LocalDate until = repair.tagged().orElseThrow().plusMonths(MONTHS);
        return next.leg().equals(repair.leg())
                && next.comeback()
                && !next.opened().isAfter(until);
    }

    /** Whether any repair is known. */
    public boolean any() {
        return held.repairs() + unheld.repairs() > 0;
    }
}
