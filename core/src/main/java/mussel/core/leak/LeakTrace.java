package mussel.core.leak;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A hold as it is drawn: readings with the temperature taken out, the fitted line with its band, and how far it may move.
 *
 * @param readings compensated gauge pressures, thinned where there are very many
 * @param fit the fitted line; empty while there are too few readings
 * @param allowed the furthest it may move from its first reading on
 * @param holdMin how long the sheet holds (min)
 */
public record LeakTrace(List<Point> readings, List<Band> fit, List<Point> allowed, double holdMin) {
    private static final int SAMPLES = 40;

    /** Keeps its own copies. */
    public LeakTrace {
        readings = List.copyOf(readings);
        fit = List.copyOf(fit);
        allowed = List.copyOf(allowed);
    }

    /**
     * One point.
     *
     * @param minutes time (min)
     * @param gaugeKpa gauge pressure (kPa)
     * @param stage what was done to the leg
     * @param used whether it counts
     */
    public record Point(double minutes, double gaugeKpa, Optional<Stage> stage, boolean used) {}

    /**
     * The fitted line at one time.
     *
     * @param minutes time (min)
     * @param gaugeKpa the line (kPa)
     * @param oneSide one bound of the band (kPa)
     * @param otherSide the other (kPa)
     */
    public record Band(double minutes, double gaugeKpa, double oneSide, double otherSide) {}

    /**
     * Traces a hold.
     *
     * @param in the hold
     * @param result what it proves, once it can be judged
     * @param most the most readings kept, spread evenly
     */
    public static LeakTrace of(LeakInput in, Optional<LeakResult> result, int most) {
        List<LeakReading> all = in.readings();
        if (all.isEmpty()) {
            return new LeakTrace(List.of(), List.of(), List.of(), in.holdMin());
        }
        List<LeakReading> used = in.used();
        LeakReading first = used.isEmpty() ? all.get(0) : used.get(0);
        List<Point> points = new ArrayList<>();
        int every = Math.max(1, (all.size() + most - 1) / most);
        for (int i = 0; i < all.size(); i += every) {
            LeakReading r = all.get(i);
            points.add(new Point(
                    r.tS() / 60, in.compensatedKpa(r, first) - in.baroKpa(), r.stage(), r.tS() >= in.settleS()));
        }
        double from = first.tS() / 60;
        double to = Math.max(all.get(all.size() - 1).tS() / 60, from + in.holdMin());
        return new LeakTrace(
                points,
                result.map(r -> fit(in, r, from, to)).orElse(List.of()),
                allowed(in, first, from, to),
                in.holdMin());
    }

    private static List<Band> fit(LeakInput in, LeakResult result, double from, double to) {
        LeakResult.Fit line = result.fit();
        List<Band> band = new ArrayList<>();
        for (int i = 0; i <= SAMPLES; i++) {
            double t = from + (to - from) * i / SAMPLES;
            double z = line.meanZ() - result.kPerMin() * (t - line.meanMin());
            double off = line.studentT() * result.kSe() * Math.abs(t - line.meanMin());
            band.add(new Band(t, gauge(in, z), gauge(in, z - off), gauge(in, z + off)));
        }
        return band;
    }

    private static List<Point> allowed(LeakInput in, LeakReading first, double from, double to) {
        double start = in.compensatedKpa(first, first);
        boolean sided = in.mode() == LeakMode.PRESSURE ? start > in.baroKpa() : start < in.baroKpa() && start > 0;
        List<Point> curve = new ArrayList<>();
        if (sided) {
            double z0 = LeakEngine.z(start, in.baroKpa());
            double k = LeakEngine.allowedK(in);
            for (int i = 0; i <= SAMPLES; i++) {
                double t = from + (to - from) * i / SAMPLES;
                curve.add(new Point(t, gauge(in, z0 - k * (t - from)), Optional.empty(), true));
            }
        }
        return curve;
    }

    private static double gauge(LeakInput in, double z) {
        return LeakEngine.pressure(Math.min(z, -1e-9), in.baroKpa(), in.mode()) - in.baroKpa();
    }
}
