package mussel.core.leak;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.leak.LeakResult.StageSlope;
import mussel.core.leak.LeakResult.Verdict;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * Judges a pressure or vacuum hold. With laminar flow through the leak dp/dt = −c (p² − pa²), so z = ln(|p − pa| / (p + pa)) falls as a
 * straight line in time, for pressure and vacuum alike; its slope is fitted by ordinary least squares. A pure function of its input.
 */
public final class LeakEngine {
    /** Two-sided confidence of every bound. */
    public static final double CONFIDENCE = 0.95;
    /** The longest further hold advised (min). */
    public static final double MOST_MINUTES = 60;
    /** Standard pressure (kPa). */
    public static final double STANDARD_KPA = 101.325;
    /** Standard temperature, 20 °C (K). */
    public static final double STANDARD_K = 293.15;
    /** From this multiple of the allowed drop on a leak is fast. */
    public static final double FAST = 4;

    private static final double SECONDS = 60;
    /** Two standard uncertainties hold a difference of two readings to a step in 97 of 100 cases, whatever else. */
    private static final double STEPS_ALONE = 2;

    private static final double ROUNDING_KPA = 1e-9;

    private LeakEngine() {}

    /** A fitted line: its slope −k, the error of k, and what it went through. */
    record Line(double k, double kSe, double t, double spanMin, double tMean, double zMean) {}

    /** Judges the hold; the input has been checked. */
    public static LeakResult run(LeakInput in) {
        List<LeakReading> used = in.used();
        LeakReading first = used.get(0);
        Line line = fit(in, used, first);
        double low = line.k() - line.t() * line.kSe();
        double high = line.k() + line.t() * line.kSe();
        double dropLow = drop(in, low);
        double dropHigh = drop(in, high);
        Verdict verdict = dropHigh <= in.allowedDropKpa()
                ? Verdict.TIGHT
                : dropLow > in.allowedDropKpa() ? Verdict.LEAKING : Verdict.UNDECIDED;
        double firstK = first.tempC() + LeakInput.KELVIN;
        return new LeakResult(
                verdict,
                line.k(),
                line.kSe(),
                drop(in, line.k()),
                dropLow,
                dropHigh,
                leak(in, line.k(), firstK),
                leak(in, low, firstK),
                leak(in, high, firstK),
                verdict == Verdict.UNDECIDED ? more(in, line) : 0,
                used.size(),
                stages(in, used, first, line),
                new LeakResult.Fit(line.tMean(), line.zMean(), line.t()),
                manual(in, used));
    }

    /** What the manual asks: counted from the first settled reading, or from the first of all where only that fills the sheet's time. */
    private static LeakResult.Manual manual(LeakInput in, List<LeakReading> used) {
        double whole = in.holdMin() * SECONDS;
        List<LeakReading> of = span(used) < whole && span(in.readings()) >= whole ? in.readings() : used;
        LeakReading first = of.get(0);
        double end = first.tS() + whole;
        double from = in.compensatedKpa(first, first);
        double at = Double.NaN;
        LeakReading before = first;
        for (LeakReading reading : of) {
            if (reading.tS() >= end) {
                double share = reading.tS() > before.tS() ? (end - before.tS()) / (reading.tS() - before.tS()) : 1;
                double start = in.compensatedKpa(before, first);
                at = start + share * (in.compensatedKpa(reading, first) - start);
                break;
            }
            before = reading;
        }
        boolean over = !Double.isNaN(at);
        double moved =
                (from - (over ? at : in.compensatedKpa(before, first))) * (in.mode() == LeakMode.PRESSURE ? 1 : -1);
        double kelvin = first.tempC() + LeakInput.KELVIN;
        double u = Math.hypot(in.gaugeStepKpa(), from * in.tempStepC() / kelvin) / Math.sqrt(6);
        LeakResult.Answer answer = over
                ? moved <= in.allowedDropKpa() + ROUNDING_KPA ? LeakResult.Answer.MET : LeakResult.Answer.EXCEEDED
                : moved > in.allowedDropKpa() + 2 * u ? LeakResult.Answer.EXCEEDED : LeakResult.Answer.NOT_YET;
        return new LeakResult.Manual(answer, Math.min(whole, span(of)) / SECONDS, moved, u);
    }

    private static double span(List<LeakReading> readings) {
        return readings.get(readings.size() - 1).tS() - readings.get(0).tS();
    }

    private static List<StageSlope> stages(LeakInput in, List<LeakReading> used, LeakReading first, Line all) {
        Optional<Stage> only = first.stage();
        if (used.stream().allMatch(r -> r.stage().equals(only))) {
            return only.map(stage -> List.of(new StageSlope(stage, all.k(), all.kSe())))
                    .orElse(List.of());
        }
        Map<Stage, List<LeakReading>> byStage = new EnumMap<>(Stage.class);
        for (LeakReading reading : used) {
            if (reading.stage().isPresent()) {
                byStage.computeIfAbsent(reading.stage().get(), s -> new ArrayList<>())
                        .add(reading);
            }
        }
        List<StageSlope> slopes = new ArrayList<>();
        byStage.forEach((stage, of) -> {
            if (of.size() >= LeakInput.LEAST_USED) {
                Line line = fit(in, of, first);
                slopes.add(new StageSlope(stage, line.k(), line.kSe()));
            }
        });
        return slopes;
    }

    /**
     * Fits z over minutes; the error of the slope holds the scatter and what hides inside one step of gauge and thermometer. Two or three readings
     * scatter too little to tell: there the steps alone say how good they are.
     */
    static Line fit(LeakInput in, List<LeakReading> readings, LeakReading first) {
        int n = readings.size();
        double pa = in.baroKpa();
        SimpleRegression regression = new SimpleRegression();
        double pSum = 0;
        double kelvinSum = 0;
        double gSum = 0;
        double gSquares = 0;
        double tSum = 0;
        double zSum = 0;
        for (LeakReading reading : readings) {
            double p = in.compensatedKpa(reading, first);
            double minutes = reading.tS() / SECONDS;
            double z = z(p, pa);
            regression.addData(minutes, z);
            double g = Math.abs(2 * pa / (p * p - pa * pa));
            pSum += p;
            kelvinSum += reading.tempC() + LeakInput.KELVIN;
            gSum += g;
            gSquares += g * g;
            tSum += minutes;
            zSum += z;
        }
        double stepKpa = Math.hypot(in.gaugeStepKpa(), pSum / n * in.tempStepC() / (kelvinSum / n));
        double span = span(readings) / SECONDS;
        if (n < LeakInput.LEAST_SCATTERED) {
            double steps = gSquares / n * stepKpa * stepKpa / 12;
            return new Line(
                    -regression.getSlope(),
                    Math.sqrt(steps / regression.getXSumSquares()),
                    STEPS_ALONE,
                    span,
                    tSum / n,
                    zSum / n);
        }
        double scatter = Math.max(regression.getSumSquaredErrors() / (n - 2), gSquares / n * stepKpa * stepKpa / 12);
        double gMean = gSum / n;
        double kSe = Math.sqrt(
                scatter / regression.getXSumSquares() + stepKpa * stepKpa / 3 * gMean * gMean / (span * span));
        double t = new TDistribution(n - 2).inverseCumulativeProbability((1 + CONFIDENCE) / 2);
        return new Line(-regression.getSlope(), kSe, t, span, tSum / n, zSum / n);
    }

    /** The quantity that falls as a straight line (absolute pressures, kPa). */
    static double z(double p, double pa) {
        return Math.log(Math.abs(p - pa) / (p + pa));
    }

    /** The absolute pressure that a value of z stands for, on the side of the hold (kPa). */
    static double pressure(double z, double pa, LeakMode mode) {
        double r = mode == LeakMode.PRESSURE ? Math.exp(z) : -Math.exp(z);
        return pa * (1 + r) / (1 - r);
    }

    private static double ratio(LeakInput in) {
        double p0 = in.startKpa() + in.baroKpa();
        return (p0 - in.baroKpa()) / (p0 + in.baroKpa());
    }

    private static double drop(LeakInput in, double k) {
        double r = ratio(in) * Math.exp(-Math.max(k, 0) * in.holdMin());
        double p1 = in.baroKpa() * (1 + r) / (1 - r);
        return Math.abs(in.startKpa() + in.baroKpa() - p1);
    }

    /** The slope at which the drop is just what is allowed (1/min). */
    public static double allowedK(LeakInput in) {
        double p0 = in.startKpa() + in.baroKpa();
        double p1 = p0 - Math.signum(in.startKpa()) * in.allowedDropKpa();
        double r1 = (p1 - in.baroKpa()) / (p1 + in.baroKpa());
        return Math.log(ratio(in) / r1) / in.holdMin();
    }

    private static double leak(LeakInput in, double k, double firstK) {
        double pa = in.baroKpa();
        double p0 = in.startKpa() + pa;
        return in.volumeMl()
                * Math.max(k, 0)
                * Math.abs(p0 * p0 - pa * pa)
                / (2 * pa)
                / STANDARD_KPA
                * STANDARD_K
                / firstK;
    }

    private static double more(LeakInput in, Line line) {
        double off = Math.abs(line.k() - allowedK(in));
        double minutes = line.spanMin() * line.t() * line.kSe() / off - line.spanMin();
        return minutes < MOST_MINUTES ? Math.max(0, minutes) : MOST_MINUTES;
    }
}
