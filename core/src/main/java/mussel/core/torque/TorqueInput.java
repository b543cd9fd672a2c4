package mussel.core.torque;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Problems;
import mussel.core.measure.TorqueUnit;
import mussel.core.measure.Wide;

/**
 * What the torque engine needs.
 *
 * @param low the sheet's least
 * @param high the sheet's most
 * @param oneFigureShare how far one printed figure may be missed either way, where low and high are the same (share)
 * @param unit their unit
 * @param aim where in the range to aim
 * @param thread the thread; without it no clamp is known
 * @param strength the bolt's class; without it no clamp is known
 * @param condition how the thread is wetted
 * @param prevailingNm what a locknut takes by itself: added to the wrench, not to the clamp (N·m)
 * @param adapter what stands between wrench and bolt
 * @param wrenches the wrenches there are; may be none
 * @param count how many bolts
 * @param layout how they stand
 * @param rows rows of a grid
 * @param columns columns of a grid
 * @param places where each bolt stands, in any unit; outranks how they stand
 * @param stages shares of the torque, stage by stage
 */
@Wide("The headless contract of the torque engine: a component is a field of its schema.")
public record TorqueInput(
        @Given(value = "the least torque", min = 0, minOpen = true, max = 100_000) double low,
        @Given(value = "the most torque", min = 0, minOpen = true, max = 100_000) double high,
        @Given(value = "how far one printed figure may be missed (share)", min = 0, max = 0.2, orElse = "0.05")
                double oneFigureShare,
        @Given("the torque's unit") TorqueUnit unit,
        @Given(value = "where in the range to aim", orElse = "middle") Aim aim,
        @Given("the thread") Optional<String> thread,
        @Given("the bolt's strength class") Optional<Strength> strength,
        @Given(value = "how the thread is wetted", orElse = "oiled") Condition condition,
        @Given(value = "what the locknut takes", kind = Kind.TORQUE, min = 0, max = 10_000) OptionalDouble prevailingNm,
        @Given("the adapter") Optional<Adapter> adapter,
        @Given(value = "the wrenches", stated = true) List<Wrench> wrenches,
        @Given(value = "how many bolts", min = 1, max = 200, orElse = "1") int count,
        @Given(value = "how they stand", orElse = "ring") Layout layout,
        @Given(value = "the grid's rows", min = 1, max = 200) OptionalDouble rows,
        @Given(value = "the grid's columns", min = 1, max = 200) OptionalDouble columns,
        @Given("where each bolt stands") List<Spot> places,
        @Given(value = "a stage's share of the torque", min = 0, minOpen = true, max = 1) List<Double> stages)
        implements Checked {
    private static final Messages TEXT = Messages.of(TorqueInput.class);

    /** Keeps its own copies; one full stage where none are given. */
    public TorqueInput {
        wrenches = List.copyOf(wrenches);
        places = List.copyOf(places);
        stages = stages.isEmpty() ? List.of(1.0) : List.copyOf(stages);
    }

    /** Whether the sheet prints one figure instead of a range. */
    public boolean oneFigure() {
        return low == high;
    }

    /** The least torque (N·m); of one printed figure, what it may be missed by. */
    public double lowNm() {
        return unit.toNm(low) * (oneFigure() ? 1 - oneFigureShare : 1);
    }

    /** The most torque (N·m); of one printed figure, what it may be missed by. */
    public double highNm() {
        return unit.toNm(high) * (oneFigure() ? 1 + oneFigureShare : 1);
    }

    /** Torque at the bolt for torque at the wrench's dial, for a wrench of that lever. */
    double gain(Wrench wrench) {
        return adapter.map(a -> (wrench.leverMm() + a.extensionMm() * Math.cos(Math.toRadians(a.angleDeg())))
                        / wrench.leverMm())
                .orElse(1.0);
    }

    @Override
    public void check(Problems problems, String pointer) {
        problems.unless(low <= high, pointer + "/low", TEXT.get("torque_input.is_above_the_high_end_the", high));
        thread.ifPresent(t -> problems.unless(
                ScrewThread.read(t).isPresent(),
                pointer + "/thread",
                TEXT.get("torque_input.is_which_is_no_thread_known", t)));
        boolean grid = layout == Layout.GRID;
        problems.unless(
                !grid || (rows.isPresent() && columns.isPresent()),
                pointer + "/rows",
                TEXT.get("torque_input.is_missing_a_grid_needs_rows"));
        problems.unless(
                !grid
                        || rows.isEmpty()
                        || columns.isEmpty()
                        || rows.getAsDouble() * columns.getAsDouble() >= count
                                && (rows.getAsDouble() - 1) * columns.getAsDouble() < count,
                pointer + "/count",
                TEXT.get("torque_input.is_which_does_not_fill_so", count));
        problems.unless(
                places.isEmpty() || places.size() == count,
                pointer + "/places",
                TEXT.get("torque_input.are_for_bolts_one_for_each", places.size(), count));
        for (int i = 1; i < stages.size(); i++) {
            problems.unless(
                    stages.get(i) > stages.get(i - 1),
                    pointer + "/stages/" + i,
                    TEXT.get("torque_input.does_not_rise_over_the_stage"));
        }
        Set<String> names = new HashSet<>();
        for (int i = 0; i < wrenches.size(); i++) {
            problems.unless(
                    names.add(wrenches.get(i).id()),
                    pointer + "/wrenches/" + i + "/id",
                    TEXT.get("torque_input.stands_twice_give_each_wrench_its"));
            problems.unless(
                    gain(wrenches.get(i)) > 0.05,
                    pointer + "/adapter",
                    TEXT.get(
                            "torque_input.turned_so_far_back_cancels_the",
                            wrenches.get(i).id()));
        }
    }

    /** Where in the range to aim. */
    public enum Aim {
        /** The middle. */
        MIDDLE,
        /** As low as the range allows. */
        LOW,
        /** As high as the range allows. */
        HIGH
    }

    /** How a thread is wetted. */
    public enum Condition {
        /** Clean and dry. */
        DRY(0.20),
        /** Oiled. */
        OILED(0.16),
        /** Greased. */
        GREASED(0.13);

        private final double nutFactor;

        Condition(double nutFactor) {
            this.nutFactor = nutFactor;
        }

        /** The nut factor K of T = K F d. */
        public double nutFactor() {
            return nutFactor;
        }
    }

    /** How bolts stand. */
    public enum Layout {
        /** Around a circle. */
        RING,
        /** In rows and columns. */
        GRID,
        /** In a row. */
        LINE
    }

    /**
     * Where a bolt stands.
     *
     * @param x along
     * @param y across
     */
    public record Spot(
            @Given(value = "its place along", min = -10_000, max = 10_000) double x,
            @Given(value = "its place across", min = -10_000, max = 10_000) double y) {}

    /**
     * A crowfoot or extension.
     *
     * @param extensionMm how far it sets the bolt off the wrench's head (mm)
     * @param angleDeg its angle to the wrench; 0 straight ahead (degrees)
     */
    public record Adapter(
            @Given(value = "the adapter's length", kind = Kind.LENGTH, min = 0, max = 2_000) double extensionMm,
            @Given(value = "the adapter's angle (degrees)", min = -180, max = 180, orElse = "0") double angleDeg) {}

    /**
     * A torque wrench.
     *
     * @param id what the yard calls it
     * @param unit of its dial
     * @param min its least setting
     * @param max its largest setting
     * @param step between settings
     * @param leverMm from its head to the hand (mm)
     * @param accuracy as a share of the setting
     */
    public record Wrench(
            @Given("the wrench's id") String id,
            @Given("the wrench's unit") TorqueUnit unit,
            @Given(value = "the wrench's least setting", min = 0, max = 100_000) double min,
            @Given(value = "the wrench's largest setting", min = 0, minOpen = true, max = 100_000) double max,
            @Given(value = "the wrench's step", min = 0, minOpen = true, max = 10_000) double step,
            @Given(value = "the wrench's lever", kind = Kind.LENGTH, min = 0, minOpen = true, max = 5_000)
                    double leverMm,
            @Given(value = "the wrench's accuracy (share)", min = 0, max = 0.5) double accuracy)
            implements Checked {
        @Override
        public void check(Problems problems, String pointer) {
            problems.unless(min <= max, pointer + "/min", TEXT.get("torque_input.is_above_the_largest_setting", max));
        }
    }
}
