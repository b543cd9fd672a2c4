package mussel.core.sheet;

import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Problems;
import mussel.core.measure.TorqueRange;
import mussel.core.measure.TorqueUnit;

/**
 * A group of like fasteners.
 *
 * @param id its id
 * @param title its name
 * @param count how many
 * @param thread its thread
 * @param torque how tight
 * @param page where the sheet says so
 * @param secured what secures it: locker, new locknut, cotter pin, sealing washer
 * @param hidden where it hides, empty when in plain sight
 */
public record Fastener(
        @Given("the fastener's id") String id,
        @Given("the fastener's name") String title,
        @Given(value = "how many there are", min = 1, max = 40, orElse = "1") int count,
        @Given("the thread") String thread,
        @Given("the torque") Torque torque,
        @Given(value = "the page of the sheet", orElse = "-") String page,
        @Given(value = "what secures it", orElse = "-") String secured,
        @Given(value = "where it hides", orElse = "-") String hidden) {
    /** Whether one would look past it. */
    public boolean isHidden() {
        return !hidden.equals("-");
    }

    /**
     * A torque as the sheet prints it.
     *
     * @param low the least
     * @param high the most
     * @param unit their unit
     */
    public record Torque(
            @Given(value = "the least torque", min = 0.05, max = 10_000) double low,
            @Given(value = "the most torque", min = 0.05, max = 10_000) double high,
            @Given("the torque's unit") Unit unit)
            implements Checked {
        /** The range in exact units. */
        public TorqueRange range() {
            return new TorqueRange(unit.exact.toNm(low), unit.exact.toNm(high));
        }

        @Override
        public void check(Problems problems, String pointer) {
            problems.unless(
                    low <= high,
                    pointer + "/low",
                    "is above the high end (" + high + "): the range stands upside down");
        }
    }

    /** The units a sheet may print. */
    public enum Unit {
        /** Newton metres. */
        NM(TorqueUnit.NM),
        /** Inch-pounds. */
        LBF_IN(TorqueUnit.LBF_IN),
        /** Foot-pounds. */
        LBF_FT(TorqueUnit.LBF_FT),
        /** Kilogram-force metres. */
        KGF_M(TorqueUnit.KGF_M);

        private final TorqueUnit exact;

        Unit(TorqueUnit exact) {
            this.exact = exact;
        }
    }
}
