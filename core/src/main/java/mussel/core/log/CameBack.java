package mussel.core.log;

import java.util.ArrayList;
import java.util.List;

/**
 * A leg that came back for what was mended: within a year, and marked so by the yard.
 *
 * @param repair the visit that mended it
 * @param next the visit it came back with
 */
public record CameBack(Visit repair, Visit next) {
    private static final int MONTHS = 12;

    /** Those among visits that stand leg by leg in the order of their jobs. */
    public static List<CameBack> among(List<Visit> visits) {
        List<CameBack> back = new ArrayList<>();
        for (int i = 0; i + 1 < visits.size(); i++) {
            if (is(visits.get(i), visits.get(i + 1))) {
                back.add(new CameBack(visits.get(i), visits.get(i + 1)));
            }
        }
        return back;
    }

    /** Whether the second is the comeback of the first. */
    public static boolean is(Visit repair, Visit next) {
        return repair.tagged().isPresent()
                && !repair.done().isEmpty()
                && next.leg().equals(repair.leg())
                && next.comeback()
                && !next.opened().isAfter(repair.tagged().get().plusMonths(MONTHS));
    }
}
