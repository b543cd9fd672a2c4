package mussel.core.sheet;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Problems;
import mussel.core.measure.TorqueRange;
import mussel.core.measure.TorqueUnit;
import mussel.core.measure.Wide;

/**
 * A group of like fasteners.
 *
 * @param id its id
 * @param title its name
 * @param count how many; 0 while nobody has counted
 * @param thread its thread; a hyphen while nobody has measured it
 * @param torque how tight; empty while nobody has read it in the manual
 * @param page where the sheet says so
 * @param secured what secures it: locker, new locknut, cotter pin, sealing washer
 * @param strength its strength class; a hyphen where the sheet does not say
 * @param wetted how its thread is wetted
 * @param pattern how the group stands
 * @param hand which way it tightens
 * @param hidden where it hides, empty when in plain sight
 * @param locknut whether it drags before it clamps
 */
@Wide("One fastener as spec sheets write it: a component is a line of the file format.")
public record Fastener(
        @Given("the fastener's id") String id,
        @Given("the fastener's name") String title,
        @Given(value = "how many there are", min = 0, max = 40, orElse = "1") int count,
        @Given(value = "the thread", orElse = "-") String thread,
        @Given("the torque") Optional<Torque> torque,
        @Given(value = "the page of the sheet", orElse = "-") String page,
        @Given(value = "what secures it", orElse = "-") String secured,
        @Given(value = "the strength class", orElse = "-") String strength,
        @Given(value = "how its thread is wetted", orElse = "oiled") Wetted wetted,
        @Given(value = "how the group stands", orElse = "ring") Pattern pattern,
        @Given(value = "which way it tightens", orElse = "right") Hand hand,
        @Given(value = "where it hides", orElse = "-") String hidden,
        @Given(value = "whether it drags before it clamps", orElse = "false") boolean locknut) {
    private static final Messages TEXT = Messages.of(Fastener.class);

    private static final java.util.regex.Pattern METRIC =
            java.util.regex.Pattern.compile("M(\\d+(?:\\.\\d+)?)x(\\d+(?:\\.\\d+)?)");
    private static final double FINE_PITCH_LOSS = 0.938194;
    private static final double STRONGEST_PROOF_MPA = 830;
    private static final double DRY_NUT_FACTOR = 0.20;

    /**
     * The torque at which even a 10.9 bolt, dry, reaches its proof load (N·m): T = K F d, stress area by ISO 898-1. Empty for a thread
     * that is not written like M8x1.25.
     */
    public OptionalDouble proofTorqueNm() {
        Matcher metric = METRIC.matcher(thread);
        if (!metric.matches()) {
            return OptionalDouble.empty();
        }
        double d = Double.parseDouble(metric.group(1));
        double p = Double.parseDouble(metric.group(2));
        double area = Math.PI / 4 * Math.pow(d - FINE_PITCH_LOSS * p, 2);
        return OptionalDouble.of(DRY_NUT_FACTOR * STRONGEST_PROOF_MPA * area * d / 1_000);
    }

    /** How it is named in a list: how many, what, and its thread where that is known. */
    public String named() {
        return (count > 0 ? count + " × " : "") + title + (Step.says(thread) ? ", " + thread : "");
    }

    /** How tight, in newton metres and in pounds by the inch or the foot, or that nobody knows. */
    public String tightness() {
        return torque.map(t -> t.range().range(TorqueUnit.NM) + " ("
                        + t.range().range(t.range().pounds()) + ")")
                .orElse(TEXT.get("fastener.torque_not_known_see_its_manual"));
    }

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
            problems.unless(low <= high, pointer + "/low", TEXT.get("fastener.is_above_the_high_end_the", high));
        }
    }

    /** The hand of a thread. */
    public enum Hand {
        /** Tightens clockwise. */
        RIGHT,
        /** Tightens counter-clockwise. */
        LEFT
    }

    /** How a thread is wetted. */
    public enum Wetted {
        /** Clean and dry. */
        DRY,
        /** Oiled. */
        OILED,
        /** Greased. */
        GREASED
    }

    /** How a group of fasteners stands. */
    public enum Pattern {
        /** Around a circle. */
        RING,
        /** In two rows. */
        GRID,
        /** In a row. */
        LINE
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
