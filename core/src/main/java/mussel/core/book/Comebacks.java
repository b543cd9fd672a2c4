package mussel.core.book;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import mussel.core.language.Messages;
import mussel.core.log.CameBack;
import mussel.core.log.Share;
import mussel.core.log.Visit;
import mussel.core.measure.Display;

/**
 * How often legs came back for what was mended, as the yard has marked them: by what was repaired, and by whether a hold had proved it. A comeback counts against
 * the repair before it, within a year of that.
 *
 * @param rates repair by repair, those with most comebacks first
 * @param parts the same by what was renewed
 * @param held of all repairs that a hold proved
 * @param unheld of all that none did
 */
public record Comebacks(List<Rate> rates, List<Rate> parts, Rate held, Rate unheld) {
    private static final Messages TEXT = Messages.of(Comebacks.class);

    /** Keeps its own copy. */
    public Comebacks {
        rates = List.copyOf(rates);
        parts = List.copyOf(parts);
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
            return new Share(repairs, came).bounds();
        }

        /** The rate in a sentence. */
        public String says() {
            double[] bounds = bounds();
            return TEXT.get(
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
        Map<String, Count> parts = new TreeMap<>();
        Count held = new Count();
        Count unheld = new Count();
        for (int i = 0; i < visits.size(); i++) {
            Visit repair = visits.get(i);
            if (repair.tagged().isEmpty() || repair.done().isEmpty()) {
                continue;
            }
            boolean back = i + 1 < visits.size() && CameBack.is(repair, visits.get(i + 1));
            repair.done()
                    .forEach(g -> goals.computeIfAbsent(g, k -> new Count()).add(back));
            repair.renewals().forEach(r -> parts.computeIfAbsent(r.what().title(), k -> new Count())
                    .add(back));
            (repair.held() ? held : unheld).add(back);
        }
        return new Comebacks(
                worstFirst(goals),
                worstFirst(parts),
                held.rate(TEXT.get("came.held")),
                unheld.rate(TEXT.get("came.unheld")));
    }

    private static List<Rate> worstFirst(Map<String, Count> counts) {
        List<Rate> rates = new ArrayList<>();
        counts.forEach((what, count) -> rates.add(count.rate(what)));
        rates.sort((a, b) ->
                a.came() == b.came() ? Integer.compare(b.repairs(), a.repairs()) : Integer.compare(b.came(), a.came()));
        return rates;
    }

    /** Whether any repair is known. */
    public boolean any() {
        return held.repairs() + unheld.repairs() > 0;
    }
}
