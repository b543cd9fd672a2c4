package mussel.core.torque;

import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A screw thread.
 *
 * @param diameterMm nominal diameter (mm)
 * @param pitchMm pitch (mm)
 * @param stressAreaMm2 tensile stress area (mm2): pi/4 (d - 0.938194 p)^2 metric (ISO 898-1), pi/4 (d - 0.974279 p)^2 inch (ASME B1.1)
 */
public record ScrewThread(double diameterMm, double pitchMm, double stressAreaMm2) {
    private static final Pattern METRIC = Pattern.compile("M(\\d+(?:\\.\\d+)?)(?:\\s*[xX×]\\s*(\\d+(?:\\.\\d+)?))?");
    private static final Pattern INCH =
            Pattern.compile("(?:(\\d+)[ -])?(?:(\\d+)/(\\d+)|(\\d+)|#(\\d+))\\s*-\\s*(\\d+)(?:\\s.*)?");
    private static final double INCH_MM = 25.4;
    /** Coarse pitches by nominal diameter (mm), ISO 261. */
    private static final Map<Double, Double> COARSE = Map.ofEntries(
            Map.entry(2.0, 0.4),
            Map.entry(2.5, 0.45),
            Map.entry(3.0, 0.5),
            Map.entry(3.5, 0.6),
            Map.entry(4.0, 0.7),
            Map.entry(5.0, 0.8),
            Map.entry(6.0, 1.0),
            Map.entry(7.0, 1.0),
            Map.entry(8.0, 1.25),
            Map.entry(10.0, 1.5),
            Map.entry(12.0, 1.75),
            Map.entry(14.0, 2.0),
            Map.entry(16.0, 2.0),
            Map.entry(18.0, 2.5),
            Map.entry(20.0, 2.5),
            Map.entry(22.0, 2.5),
            Map.entry(24.0, 3.0),
            Map.entry(27.0, 3.0),
            Map.entry(30.0, 3.5),
            Map.entry(33.0, 3.5),
            Map.entry(36.0, 4.0),
            Map.entry(39.0, 4.0));

    /** Reads {@code M8x1.25}, {@code M8} (coarse), {@code 1/4-20}, {@code #10-24}; empty where it is none of these. */
    public static Optional<ScrewThread> read(String text) {
        Matcher metric = METRIC.matcher(text.strip());
        if (metric.matches()) {
            double d = Double.parseDouble(metric.group(1));
            Double p = metric.group(2) == null ? COARSE.get(d) : Double.valueOf(metric.group(2));
            return p == null || p <= 0 || p >= d ? Optional.empty() : Optional.of(of(d, p, 0.938194));
        }
        Matcher inch = INCH.matcher(text.strip());
        if (!inch.matches() || Integer.parseInt(inch.group(6)) == 0) {
            return Optional.empty();
        }
        double d = inches(inch) * INCH_MM;
        double p = INCH_MM / Integer.parseInt(inch.group(6));
        return p >= d || !Double.isFinite(d) ? Optional.empty() : Optional.of(of(d, p, 0.974279));
    }

    private static double inches(Matcher inch) {
        double whole = inch.group(1) == null ? 0 : Integer.parseInt(inch.group(1));
        if (inch.group(2) != null) {
            return whole + Double.parseDouble(inch.group(2)) / Double.parseDouble(inch.group(3));
        }
        return inch.group(4) != null
                ? Double.parseDouble(inch.group(4))
                : 0.060 + 0.013 * Integer.parseInt(inch.group(5));
    }

    private static ScrewThread of(double d, double p, double loss) {
        return new ScrewThread(d, p, Math.PI / 4 * (d - loss * p) * (d - loss * p));
    }
}
