package mussel.core.pump;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import mussel.core.pump.PumpInput.FlowReading;
import mussel.core.pump.PumpInput.Vane;
import mussel.core.pump.PumpInput.Where;
import mussel.core.pump.PumpResult.FlowPoint;
import mussel.core.pump.PumpResult.MeasuredFlow;
import mussel.core.sheet.PumpGeometry;
import mussel.core.sheet.PumpLimits;

/** Judges a water pump part by part and estimates its flow. A pure function of its input. */
public final class PumpEngine {
    /** Standard uncertainty of the flow model with the telltale's share, as a share: a judgement, since castings differ. */
    static final double U_MODEL = 0.15;
    /** What flushing cups add to it: hose pressure and a seal of rubber lips decide as much as the pump. */
    static final double U_CUPS = 0.35;
    /** A hand at the stopwatch (s). */
    static final double U_HAND_S = 0.4;
    /** A bucket's mark, as a share. */
    static final double U_BUCKET = 0.02;
    /** From here on the telltale is full. */
    static final double FULL = 0.8;
    /** With its upper bound under this it is low. */
    static final double LOW = 0.95;
    /** With its upper bound under this it is very low. */
    static final double VERY_LOW = 0.55;

    private static final double[] SPEEDS = {
        600, 800, 1_000, 1_500, 2_000, 2_500, 3_000, 3_500, 4_000, 4_500, 5_000, 5_500, 6_000
    };
    /** From two thirds of the housing's curl on a vane has flattened: it hardly follows the wall any more. */
    private static final double FLATTENED_SHARE = 2.0 / 3;

    private static final double SMOOTH_MM = 0.05;

    private PumpEngine() {}

    /** Judges the pump; the input has been checked. */
    public static PumpResult run(PumpInput in) {
        OptionalDouble set = set(in);
        double clearance = clearance(in);
        return new PumpResult(
                new PartRules(in).judged(),
                in.vanes().stream().anyMatch(v -> v.missingMm() > 0),
                findings(in),
                in.geometry().isPresent()
                        ? OptionalDouble.of(in.geometry().get().displacementMl())
                        : OptionalDouble.empty(),
                in.geometry().isPresent()
                        ? OptionalDouble.of(in.geometry().get().curlDeg())
                        : OptionalDouble.empty(),
                set,
                clearance,
                in.geometry().map(g -> curve(g, set.orElse(0), clearance)).orElse(List.of()),
                in.flows().stream()
                        .map(f -> measured(in, f, set.orElse(0), clearance))
                        .toList());
    }

    /** Mean set of the vanes as a share of the housing's curl, at most 1. */
    private static OptionalDouble set(PumpInput in) {
        if (in.vanes().isEmpty() || in.geometry().isEmpty()) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(
                Math.min(1, meanSetDeg(in) / in.geometry().get().curlDeg()));
    }

    /** The mean, which the flow goes by; every judgement goes by the worst. */
    private static double meanSetDeg(PumpInput in) {
        return in.vanes().stream().mapToDouble(Vane::setDeg).average().orElse(0);
    }

    /** The set of the worst vane (degrees): an engine parked for a year bends only those on the narrow side. */
    static double worstSetDeg(PumpInput in) {
        return in.vanes().stream().mapToDouble(Vane::setDeg).max().orElse(0);
    }

    /** Clearance a side: the plate's groove and warp on one, the housing's groove on the other, on the mean; the end faces' wear on each. */
    private static double clearance(PumpInput in) {
        double plate = in.plateGrooveMm().orElse(0) + in.plateWarpMm().orElse(0);
        return (plate + in.housingGrooveMm().orElse(0)) / 2 + in.faceWearMm().orElse(0);
    }

    private static List<FlowPoint> curve(PumpGeometry pump, double set, double clearance) {
        return DoubleStream.of(SPEEDS)
                .mapToObj(rpm -> new FlowPoint(rpm, pump.flowLMin(rpm, 0, 0), pump.flowLMin(rpm, set, clearance)))
                .toList();
    }

    private static MeasuredFlow measured(PumpInput in, FlowReading flow, double set, double clearance) {
        if (in.geometry().isEmpty() || in.telltaleShare().isEmpty()) {
            return bare(flow);
        }
        PumpGeometry pump = in.geometry().get();
        double share = in.telltaleShare().getAsDouble();
        double now = share * pump.flowLMin(flow.rpm(), set, clearance);
        double asNew = share * pump.flowLMin(flow.rpm(), 0, 0);
        if (now <= 0 || asNew <= 0) {
            return bare(flow);
        }
        double ratio = flow.litresPerMin() / now;
        double u = u(flow);
        return new MeasuredFlow(
                flow.rpm(),
                flow.where(),
                flow.litresPerMin(),
                OptionalDouble.of(now),
                OptionalDouble.of(ratio),
                OptionalDouble.of(ratio * Math.max(0, 1 - 2 * u)),
                OptionalDouble.of(ratio * (1 + 2 * u)),
                OptionalDouble.of(flow.litresPerMin() / asNew));
    }

    private static MeasuredFlow bare(FlowReading flow) {
        return new MeasuredFlow(
                flow.rpm(),
                flow.where(),
                flow.litresPerMin(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    /** Relative standard uncertainty of measured over expected. */
    static double u(FlowReading flow) {
        double hand = U_HAND_S / flow.seconds();
        double cups = flow.where() == Where.CUPS ? U_CUPS : 0;
        return Math.sqrt(U_MODEL * U_MODEL + U_BUCKET * U_BUCKET + hand * hand + cups * cups);
    }

    private static Map<String, String> findings(PumpInput in) {
        Map<String, String> findings = new LinkedHashMap<>();
        PumpLimits limits = in.judgedBy();
        if (!in.vanes().isEmpty()) {
            boolean missing = in.vanes().stream().anyMatch(v -> v.missingMm() > 0);
            boolean worn = in.vanes().stream()
                    .anyMatch(
                            v -> v.tipWearMm() > limits.tipWearMm() || v.burnt() || v.crack() != PumpInput.Crack.NONE);
            findings.put("vane_tips", missing ? "missing" : worn ? "worn" : "sound");
            findings.put("vane_set", vaneSet(in));
        }
        in.hubBond().ifPresent(b -> findings.put("hub_bond", b.name().toLowerCase(Locale.ROOT)));
        in.key().ifPresent(k -> findings.put("pump_key", k.name().toLowerCase(Locale.ROOT)));
        if (in.plateGrooveMm().isPresent()) {
            double groove = in.plateGrooveMm().getAsDouble();
            findings.put(
                    "plate_groove", groove > limits.plateGrooveMm() ? "deep" : groove > SMOOTH_MM ? "light" : "none");
        }
        flowRatio(in).ifPresent(f -> findings.put("flow_ratio", f));
        return findings;
    }

    /** By the worst vane: flattened against the housing's curl, curled from the sheet's limit on. */
    private static String vaneSet(PumpInput in) {
        double worst = worstSetDeg(in);
        boolean flattened = in.geometry().isPresent()
                && worst >= FLATTENED_SHARE * in.geometry().get().curlDeg();
        return flattened ? "flattened" : worst >= in.judgedBy().setDeg() ? "curled" : "straight";
    }

    /** What the telltale proves: a full one exonerates wherever it was seen, a poor one only in a tank. */
    private static Optional<String> flowRatio(PumpInput in) {
        List<String> said = new ArrayList<>();
        for (FlowReading flow : in.flows()) {
            MeasuredFlow measured = measured(in, flow, 0, 0);
            if (measured.ofNew().isEmpty()) {
                continue;
            }
            double ratio = measured.ofNew().getAsDouble();
            double high = ratio * (1 + 2 * u(flow));
            if (ratio >= FULL) {
                said.add("full");
            } else if (flow.where() == Where.TANK && high < LOW) {
                said.add(high < VERY_LOW ? "very_low" : "low");
            }
        }
        return List.of("very_low", "low", "full").stream()
                .filter(said::contains)
                .findFirst();
    }
}
