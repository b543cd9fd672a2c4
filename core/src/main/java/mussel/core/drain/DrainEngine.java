package mussel.core.drain;

import java.util.OptionalDouble;
import mussel.core.drain.DrainResult.Balance;
import mussel.core.drain.DrainResult.Drain;
import mussel.core.drain.DrainResult.Freeze;
import mussel.core.drain.DrainResult.Verdict;
import mussel.core.drain.DrainResult.WaterShare;
import mussel.core.sheet.Gearcase;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.AllowedSolution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/** Mass balance and water in drained gear oil. A pure function of its input. */
public final class DrainEngine {
    /** Thermal expansion of mineral gear oil (1/K); petroleum measurement tables give 0.0007 to 0.0008 for this density. */
    public static final double EXPANSION_PER_K = 0.00075;
    /** How well a fill is known, as a standard uncertainty. */
    public static final double FILL_U = 0.02;
    /** How well a fill is known that nobody measured: the capacity of the case. */
    public static final double ASSUMED_FILL_U = 0.08;
    /** A case still runs while its bulk is more than this share of the fill. */
    public static final double RUNNING_SHARE = 0.02;
    /** Standard uncertainty of what stays behind, as a share of it. */
    public static final double RESIDUAL_U = 0.25;
    /** How much slower a case drains with its vent shut. */
    public static final double VENT_SHUT_FACTOR = 8;
    /** A case counts as drained when bulk and film are below this share of the fill. */
    public static final double DRAINED_SHARE = 0.05;
    /** Standard gravity (m/s²). */
    public static final double GRAVITY = 9.80665;
    /** Growth of water on freezing at 0 °C: 999.84 over 916.7 kg/m³. */
    public static final double ICE_EXPANSION = 0.0907;

    private static final double M2_S_PER_CST = 1e-6;
    private static final double ML_PER_M3 = 1e6;
    private static final int EVALUATIONS = 200;

    private DrainEngine() {}

    /** Computes the drain's outcome; the input has been checked. */
    public static DrainResult run(DrainInput in) {
        double viscosity = in.oil().viscosityCst(in.oilTempC());
        double tau = in.gearcase().tau40Min() * viscosity / in.oil().cst40() * (in.ventOpen() ? 1 : VENT_SHUT_FACTOR);
        double fill = in.filledMl() * (1 + EXPANSION_PER_K * (in.volumeTempC() - in.fillTempC()));
        double residual = Math.min(
                fill,
                bulk(fill, tau, in.minutes())
                        + film(viscosity, in.gearcase(), in.minutes())
                        + in.gearcase().pocketMl());
        boolean running = bulk(fill, tau, in.minutes()) >= RUNNING_SHARE * fill;
        Balance balance = balance(in, fill, residual, running);
        WaterShare water = WaterEstimate.of(in, balance);
        OptionalDouble ingress = water.ml().isPresent() && in.hoursSinceFill().isPresent()
                ? OptionalDouble.of(
                        water.ml().getAsDouble() / in.hoursSinceFill().getAsDouble())
                : OptionalDouble.empty();
        return new DrainResult(
                viscosity,
                new Drain(tau, minutesNeeded(fill, tau, viscosity, in.gearcase())),
                residual,
                balance,
                water,
                ingress,
                freeze(in, water));
    }

    /** What the volume that came out weighs with such a share of water in it (g). */
    public static double massG(DrainInput in, double waterShare) {
        return in.drainedMl() * (WaterEstimate.oilDensity(in) + waterShare * WaterEstimate.densitySpan(in));
    }

    private static double bulk(double fill, double tau, double minutes) {
        return fill * Math.exp(-minutes / tau);
    }

    /** The film on draining walls, mean over their height (Jeffreys 1930), in ml. */
    private static double film(double viscosityCst, Gearcase gearcase, double minutes) {
        double thickness =
                2.0 / 3.0 * Math.sqrt(viscosityCst * M2_S_PER_CST * gearcase.heightM() / (GRAVITY * minutes * 60));
        return thickness * gearcase.wettedAreaM2() * ML_PER_M3;
    }

    private static double minutesNeeded(double fill, double tau, double viscosity, Gearcase gearcase) {
        UnivariateFunction left = t -> bulk(fill, tau, t) + film(viscosity, gearcase, t) - DRAINED_SHARE * fill;
        double from = 1e-9;
        double to = tau;
        while (left.value(to) > 0) {
            from = to;
            to *= 2;
        }
        return new BracketingNthOrderBrentSolver(1e-12, 1e-10, 1e-12, 5)
                .solve(EVALUATIONS, left, from, to, AllowedSolution.ANY_SIDE);
    }

    /**
     * More can only be said above what went in: while a case still runs, what came is a lower bound, and what stays behind is no reason to expect less
     * than all. Less can be said once it has run out.
     */
    private static Balance balance(DrainInput in, double fill, double residual, boolean running) {
        double expected = fill - residual;
        double excess = in.drainedMl() - expected;
        double u = Math.sqrt(square(in.drainedUMl()) + square(RESIDUAL_U * residual) + square(FILL_U * fill));
        double fillU = in.fillMl().isPresent() ? FILL_U : ASSUMED_FILL_U;
        double low = expected
                - 2 * Math.sqrt(square(in.drainedUMl()) + square(RESIDUAL_U * residual) + square(fillU * fill));
        double high = Math.max(fill, in.filledMl()) + 2 * Math.sqrt(square(in.drainedUMl()) + square(FILL_U * fill));
        Verdict verdict = in.drainedMl() > high
                ? Verdict.MORE_THAN_FILLED
                : !running && in.drainedMl() < low ? Verdict.LESS_THAN_FILLED : Verdict.AS_EXPECTED;
        return new Balance(expected, excess, u, Math.max(0, low), high, running, verdict);
    }

    /** Freezing point of sea water at atmospheric pressure (UNESCO 1983, Fofonoff and Millard, technical paper 44). */
    private static Freeze freeze(DrainInput in, WaterShare water) {
        double s = in.salinity();
        double point = -0.0575 * s + 1.710523e-3 * s * Math.sqrt(s) - 2.154996e-4 * s * s;
        boolean wet = in.freeWaterMl() > 0
                || in.jar().filter(j -> j.waterMl() > 0).isPresent()
                || in.oilWater()
                        .filter(look -> look.compareTo(OilLook.MILKY) >= 0)
                        .isPresent()
                || in.oilWater().isEmpty() && water.low().orElse(0) >= OilLook.MILKY.low();
        boolean freezes =
                wet && in.storageMinC().isPresent() && in.storageMinC().getAsDouble() < point;
        OptionalDouble expansion = water.ml().isPresent()
                ? OptionalDouble.of(ICE_EXPANSION * water.ml().getAsDouble())
                : OptionalDouble.empty();
        return new Freeze(point, wet, freezes, expansion);
    }

    static double square(double x) {
        return x * x;
    }
}
