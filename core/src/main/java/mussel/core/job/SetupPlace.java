package mussel.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import mussel.core.measure.Problem;
import mussel.core.measure.Problems;
import mussel.core.measure.Wide;
import mussel.core.sheet.SetupSheet.GearPlace;
import mussel.core.shim.LashEngine;
import mussel.core.shim.LashInput;
import mussel.core.shim.LashResult;
import mussel.core.shim.PinionEngine;
import mussel.core.shim.PinionInput;
import mussel.core.shim.PinionResult;
import mussel.core.shim.Shim;
import mussel.core.shim.ShimWords;
import mussel.core.shim.StackEngine;
import mussel.core.shim.StackInput;
import mussel.core.shim.StackResult;

/**
 * One place where shims lie: which school finds them, what its engine was fed and says, and the stack that went in.
 *
 * @param id the place's id
 * @param title the place in words
 * @param school how its shims are found
 * @param presentMm the shims that were in (mm); empty while nobody measured them
 * @param targetMm what the new stack should be (mm); empty until the school has what it needs
 * @param pinion the second school's answer, where it was asked
 * @param lash the third school's answer, where it was asked
 * @param after the lash read with the new stack in; empty until then
 * @param problems why the school could not answer
 * @param stack the best stack for the target; empty without one
 * @param alternatives further stacks, the best first
 * @param taken the pieces that went in, by micrometres
 * @param simulated whether any of its readings comes from a simulated instrument
 */
@Wide("One answer of three methods; what a method did not find stays empty.")
public record SetupPlace(
        String id,
        String title,
        School school,
        OptionalDouble presentMm,
        OptionalDouble targetMm,
        Optional<PinionAnswer> pinion,
        Optional<LashAnswer> lash,
        Optional<LashAnswer> after,
        List<Problem> problems,
        Optional<StackResult> stack,
        List<LashResult.Alternative> alternatives,
        Map<Integer, Integer> taken,
        boolean simulated) {
    /** The pinion's place. */
    public static final String PINION = "pinion";
    /** How many heights or readings are taken around at most. */
    public static final int AROUND = 8;

    static final double TOLERANCE_MM = 0.02;
    static final int MOST_PIECES = 5;
    private static final int LEAST_AROUND = 3;
    private static final double U_SHIM_MM = 0.003;
    private static final double U_INDICATOR_MM = 0.01;

    /** Keeps its own copies. */
    public SetupPlace {
        problems = List.copyOf(problems);
        alternatives = List.copyOf(alternatives);
        taken = new TreeMap<>(taken);
    }

    /** The three schools. */
    public enum School {
        /** Same gears, bearings and case: the shims found go back, then check. */
        REUSE,
        /** From the marks on the case and a measured height. */
        MARKS,
        /** From measured lash, corrected by a factor. */
        LASH
    }

    /**
     * The second school's answer.
     *
     * @param in what the engine was fed
     * @param out what it says
     */
    public record PinionAnswer(PinionInput in, PinionResult out) {
        /** The same in words. */
        public List<String> words() {
            return ShimWords.pinion(in, out);
        }
    }

    /**
     * The third school's answer.
     *
     * @param in what the engine was fed
     * @param out what it says
     */
    public record LashAnswer(LashInput in, LashResult out) {
        /** The same in words. */
        public List<String> words() {
            return ShimWords.lash(in, out);
        }
    }

    static SetupPlace pinion(SetupReadings read) {
        OptionalDouble constant = read.sheet().pinion().constantMm();
        School school = constant.isPresent() ? read.school(PINION, School.MARKS) : School.REUSE;
        OptionalDouble present = read.present(PINION);
        List<Double> heights = read.heights();
        List<Problem> unread = school == School.MARKS ? read.unreadMarks() : List.of();
        Optional<PinionAnswer> answer = school == School.MARKS && heights.size() >= LEAST_AROUND && unread.isEmpty()
                ? Optional.of(new PinionInput(
                                constant.getAsDouble(),
                                read.marks(),
                                heights,
                                read.sheet().pinion().spreadLimitMm()))
                        .map(in -> new PinionAnswer(in, PinionEngine.run(in)))
                : Optional.empty();
        OptionalDouble target = school == School.REUSE
                ? present
                : answer.map(a -> OptionalDouble.of(a.out().shimMm())).orElse(OptionalDouble.empty());
        Optional<StackResult> stack = stack(target, read.drawer(PINION));
        return new SetupPlace(
                PINION,
                "Pinion",
                school,
                present,
                target,
                answer,
                Optional.empty(),
                Optional.empty(),
                heights.size() >= LEAST_AROUND ? unread : List.of(),
                stack,
                List.of(),
                read.taken(PINION),
                read.simulated(PINION));
    }

    static SetupPlace gear(SetupReadings read, GearPlace gear) {
        School school = read.school(gear.id(), School.LASH);
        OptionalDouble present = read.present(gear.id());
        List<Problem> problems = new ArrayList<>();
        Optional<LashAnswer> lash = answer(read, gear, Field.LASH, present, problems);
        Map<Integer, Integer> taken = read.taken(gear.id());
        OptionalDouble in = taken.isEmpty() ? present : OptionalDouble.of(millimetres(taken));
        Optional<LashAnswer> after = answer(read, gear, Field.LASH_AFTER, in, problems);
        boolean kept = school == School.REUSE || lash.filter(SetupPlace::leaves).isPresent();
        OptionalDouble target = kept ? present : lash.map(a -> a.out().shimMm()).orElse(OptionalDouble.empty());
        Optional<StackResult> stack = kept
                ? stack(target, read.drawer(gear.id()))
                : lash.flatMap(a -> a.out().stack());
        return new SetupPlace(
                gear.id(),
                gear.title(),
                school,
                present,
                target,
                Optional.empty(),
                lash,
                after,
                problems,
                stack,
                kept ? List.of() : lash.map(a -> a.out().alternatives()).orElse(List.of()),
                taken,
                read.simulated(gear.id()));
    }

    /** Whether a lash asks for no other shims. */
    private static boolean leaves(LashAnswer lash) {
        return lash.out().advice() == LashResult.Advice.LEAVE && lash.out().spreadOk();
    }

    private static Optional<LashAnswer> answer(
            SetupReadings read, GearPlace gear, Field which, OptionalDouble present, List<Problem> problems) {
        List<Double> readings = read.around(which, gear.id());
        OptionalDouble arm = read.arm(gear.id());
        Optional<LashInput.ArmOn> armOn = read.armOn(gear.id());
        if (readings.size() < LEAST_AROUND || arm.isEmpty() || present.isEmpty() || armOn.isEmpty()) {
            return Optional.empty();
        }
        LashInput in = new LashInput(
                readings,
                arm.getAsDouble(),
                gear.pitchRadiusMm(),
                List.of(gear.lash().low(), gear.lash().high()),
                gear.spreadLimitMm(),
                present.getAsDouble(),
                gear.thicker(),
                U_INDICATOR_MM,
                U_SHIM_MM,
                armOn.get(),
                OptionalDouble.empty(),
                Optional.of(gear.teeth()),
                read.drawer(gear.id()),
                TOLERANCE_MM,
                MOST_PIECES);
        Problems found = new Problems();
        in.check(found, "");
        problems.addAll(found.list());
        return found.none() ? Optional.of(new LashAnswer(in, LashEngine.run(in))) : Optional.empty();
    }

    private static Optional<StackResult> stack(OptionalDouble target, List<Shim> drawer) {
        return target.isPresent() && !drawer.isEmpty()
                ? Optional.of(StackEngine.run(new StackInput(target.getAsDouble(), TOLERANCE_MM, drawer, MOST_PIECES)))
                : Optional.empty();
    }

    static double millimetres(Map<Integer, Integer> pieces) {
        return pieces.entrySet().stream()
                .mapToDouble(e -> e.getKey() * e.getValue() / 1_000.0)
                .sum();
    }

    /** What went in, in all (mm). */
    public double takenMm() {
        return millimetres(taken);
    }

    /** Whether the stack that went in is what its school asks for. */
    public boolean stacked() {
        return !taken.isEmpty() && targetMm.isPresent() && near(takenMm(), targetMm.getAsDouble());
    }

    /** Whether a stack is within the tolerance of its target. */
    public static boolean near(double stackMm, double targetMm) {
        return Math.abs(stackMm - targetMm) <= TOLERANCE_MM + 1e-9;
    }

    /** Whether what was found goes back in: nothing is taken out of the drawer for it. */
    public boolean foundGoesBack() {
        return (school == School.REUSE || lash.filter(SetupPlace::leaves).isPresent())
                && presentMm.isPresent()
                && taken.isEmpty();
    }

    /** Whether the place is set: the right stack is in, and for a gear the lash read with it lies in its window. */
    public boolean set() {
        return id.equals(PINION)
                ? foundGoesBack() || stacked()
                : after.map(a -> a.out().inWindow() && a.out().spreadOk())
                        .orElse(school == School.LASH && foundGoesBack());
    }
}
