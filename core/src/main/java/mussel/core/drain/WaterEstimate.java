package mussel.core.drain;

import static mussel.core.drain.DrainEngine.square;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import mussel.core.drain.DrainResult.Balance;
import mussel.core.drain.DrainResult.Source;
import mussel.core.drain.DrainResult.SourceName;
import mussel.core.drain.DrainResult.Verdict;
import mussel.core.drain.DrainResult.WaterShare;

/**
 * Combines the ways to estimate the water share: inverse-variance mean with the Birge ratio as the test of agreement (Birge 1932;
 * the practice of the CODATA adjustments).
 */
final class WaterEstimate {
    private static final double DENSITY_U = 0.004;
    private static final double BIRGE_LIMIT = 2;

    private WaterEstimate() {}

    static WaterShare of(DrainInput in, Balance balance) {
        List<Source> sources = independent(in);
        List<Source> others = sources.stream().filter(Source::used).toList();
        double fraction = balance.excessMl() / in.drainedMl();
        boolean used = balance.verdict() == Verdict.MORE_THAN_FILLED
                && (others.isEmpty() || fraction > Mean.of(others).value());
        sources.add(new Source(SourceName.BALANCE, fraction, balance.uMl() / in.drainedMl(), used));
        return combined(in, sources);
    }

    private static List<Source> independent(DrainInput in) {
        double free = in.freeWaterMl() / in.drainedMl();
        List<Source> sources = new ArrayList<>();
        in.jar().ifPresent(jar -> {
            double share = (jar.waterMl() + jar.emulsionMl() / 2) / jar.totalMl();
            double u = Math.sqrt(square(jar.emulsionMl() / jar.totalMl()) / 12 + square(1 / jar.totalMl()));
            sources.add(ofTheOil(SourceName.JAR, share, u, free));
        });
        in.oilWater().ifPresent(look -> {
            double width = look.high() - look.low();
            sources.add(ofTheOil(SourceName.LOOK, (look.low() + look.high()) / 2, width / Math.sqrt(12), free));
        });
        in.massG().ifPresent(mass -> sources.add(density(in, mass)));
        return sources;
    }

    /** What was seen in the oil left after the free water, as a share of the whole. Where no oil was left it says nothing. */
    private static Source ofTheOil(SourceName name, double share, double u, double free) {
        return new Source(name, free + share * (1 - free), u * (1 - free), free < 1);
    }

    private static Source density(DrainInput in, double mass) {
        double oil = oilDensity(in);
        double water = waterDensity(in.volumeTempC(), in.salinity());
        double mixed = mass / in.drainedMl();
        double span = water - oil;
        double u = Math.sqrt(square(in.massUG() / in.drainedMl() / span)
                + square(mixed * in.drainedUMl() / in.drainedMl() / span)
                + square((mixed - water) / square(span) * DENSITY_U));
        return new Source(SourceName.DENSITY, (mixed - oil) / span, u, true);
    }

    static double oilDensity(DrainInput in) {
        return in.oil().densityGMl() * (1 - DrainEngine.EXPANSION_PER_K * (in.volumeTempC() - 15));
    }

    /** By how much the water is denser than the oil when the volume was read (g/ml). */
    static double densitySpan(DrainInput in) {
        return waterDensity(in.volumeTempC(), in.salinity()) - oilDensity(in);
    }

    /** Density of water (g/ml) at a temperature (McCutcheon, Martin and Barnwell 1993), raised by its salinity. */
    static double waterDensity(double tempC, double salinityPsu) {
        return 1
                - (tempC + 288.9414) * square(tempC - 3.9863) / (508929.2 * (tempC + 68.12963))
                + 0.00076 * salinityPsu;
    }

    private static WaterShare combined(DrainInput in, List<Source> sources) {
        double free = in.freeWaterMl() / in.drainedMl();
        List<Source> used = sources.stream().filter(Source::used).toList();
        double cup = in.cupUMl() / in.drainedMl();
        double least = Math.max(0, free - 2 * cup);
        if (used.isEmpty()) {
            OptionalDouble known = free > 0 ? OptionalDouble.of(free) : OptionalDouble.empty();
            return new WaterShare(
                    known,
                    free > 0 ? OptionalDouble.of(least) : OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    free > 0 ? OptionalDouble.of(in.freeWaterMl()) : OptionalDouble.empty(),
                    true,
                    sources);
        }
        Mean mean = Mean.of(used);
        double birge = mean.birge(used);
        double u = Math.max(cup, mean.u() * Math.max(1, birge));
        double fraction = between(mean.value(), free);
        return new WaterShare(
                OptionalDouble.of(fraction),
                OptionalDouble.of(between(mean.value() - 2 * u, least)),
                OptionalDouble.of(between(Math.max(mean.value(), free) + 2 * u, free)),
                OptionalDouble.of(fraction * in.drainedMl()),
                birge <= BIRGE_LIMIT,
                sources);
    }

    private static double between(double share, double free) {
        return Math.max(free, Math.min(1, share));
    }

    /** An inverse-variance mean with its standard uncertainty. */
    private record Mean(double value, double u) {
        static Mean of(List<Source> sources) {
            double weights = 0;
            double sum = 0;
            for (Source s : sources) {
                double weight = 1 / square(s.u());
                weights += weight;
                sum += weight * s.fraction();
            }
            return new Mean(sum / weights, 1 / Math.sqrt(weights));
        }

        double birge(List<Source> sources) {
            if (sources.size() < 2) {
                return 0;
            }
            double chi2 = 0;
            for (Source s : sources) {
                chi2 += square((s.fraction() - value) / s.u());
            }
            return Math.sqrt(chi2 / (sources.size() - 1));
        }
    }
}
