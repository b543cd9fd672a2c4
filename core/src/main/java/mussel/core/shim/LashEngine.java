package mussel.core.shim;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.shim.LashInput.Thicker;
import mussel.core.shim.LashResult.Advice;
import mussel.core.shim.LashResult.Alternative;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.stat.descriptive.DescriptiveStatistics;

/** Backlash measured with an arm, and the shim that brings it to the middle of its window. */
public final class LashEngine {
    private static final NormalDistribution NORMAL = new NormalDistribution();
    private static final double ROUNDING_MM = 1e-9;

    private LashEngine() {}

    /** Computes the lash; the input has been checked. */
    public static LashResult run(LashInput in) {
        double scale = in.armPitchRadiusMm() / in.armMm();
        DescriptiveStatistics converted = new DescriptiveStatistics();
        in.readingsMm().forEach(r -> converted.addValue(r * scale));
        double mean = converted.getMean();
        double spread = converted.getMax() - converted.getMin();
        double factor = in.factorUsed();
        double low = in.windowMm().get(0);
        double high = in.windowMm().get(1);
        double sign = in.thicker() == Thicker.REDUCES ? 1 : -1;
        double change = sign * (mean - (low + high) / 2) / factor;
        double shim = in.presentShimMm() + change;
        boolean bound = in.readingsMm().stream().allMatch(r -> r == 0);
        double reading = in.uIndicatorMm() * scale;
        boolean nearBound = Math.min(Math.abs(mean - low), Math.abs(mean - high)) <= reading + ROUNDING_MM;
        if (bound) {
            return new LashResult(
                    0,
                    0,
                    true,
                    factor,
                    false,
                    false,
                    Advice.READ_AGAIN,
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    Optional.empty(),
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    List.of());
        }
        boolean inWindow = mean >= low && mean <= high;
        double s = Math.max(converted.getStandardDeviation(), in.uIndicatorMm() * scale);
        double uMean = s / Math.sqrt(in.readingsMm().size());
        Optional<StackResult> stack =
                in.drawer().isEmpty() ? Optional.empty() : Optional.of(stack(in, shim, in.maxPieces()));
        Judge judge = new Judge(in, mean, sign * factor, uMean);
        return new LashResult(
                mean,
                spread,
                spread <= in.spreadLimitMm() + ROUNDING_MM,
                factor,
                inWindow,
                nearBound,
                inWindow ? Advice.LEAVE : Advice.SHIM,
                OptionalDouble.of(shim),
                OptionalDouble.of(change),
                stack,
                stack.map(k -> OptionalDouble.of(judge.predicted(k))).orElse(OptionalDouble.empty()),
                stack.map(k -> OptionalDouble.of(judge.inWindow(k))).orElse(OptionalDouble.empty()),
                stack.map(k -> alternatives(in, shim, k, judge)).orElse(List.of()));
    }

    private static StackResult stack(LashInput in, double target, int pieces) {
        return StackEngine.run(
                new StackInput(Math.max(-20, Math.min(20, target)), in.toleranceMm(), in.drawer(), pieces));
    }

    /** Stacks of other sizes: the nearest of at most so many pieces, each once, by their chance. */
    private static List<Alternative> alternatives(LashInput in, double shim, StackResult chosen, Judge judge) {
        List<Alternative> others = new ArrayList<>();
        for (int pieces = 1; pieces <= in.maxPieces(); pieces++) {
            StackResult stack =
                    StackEngine.run(new StackInput(Math.max(-20, Math.min(20, shim)), 0, in.drawer(), pieces));
            boolean known = stack.pieces().equals(chosen.pieces())
                    || others.stream().anyMatch(o -> o.stack().pieces().equals(stack.pieces()));
            if (!known) {
                others.add(new Alternative(pieces, stack, judge.inWindow(stack)));
            }
        }
        others.sort(Comparator.comparingDouble(Alternative::pInWindow).reversed());
        return others;
    }

    /** Predicts the lash of a stack: a normal about it with the mean's variance and that of each piece. */
    private record Judge(LashInput in, double mean, double signedFactor, double uMean) {
        double predicted(StackResult stack) {
            return mean - signedFactor * (stack.thicknessMm() - in.presentShimMm());
        }

        double inWindow(StackResult stack) {
            double piece = signedFactor * in.uShimMm();
            double u = Math.sqrt(uMean * uMean + piece * piece * stack.count());
            double at = predicted(stack);
            double low = in.windowMm().get(0);
            double high = in.windowMm().get(1);
            if (u <= 0) {
                return at >= low && at <= high ? 1 : 0;
            }
            return NORMAL.cumulativeProbability((high - at) / u) - NORMAL.cumulativeProbability((low - at) / u);
        }
    }
}
