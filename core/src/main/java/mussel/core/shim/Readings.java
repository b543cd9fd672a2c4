package mussel.core.shim;

import java.util.List;

/** Readings taken at several places around. */
final class Readings {
    private Readings() {}

    /** Largest less smallest. */
    static double spread(List<Double> readings) {
        double most = readings.stream().mapToDouble(r -> r).max().orElseThrow();
        double least = readings.stream().mapToDouble(r -> r).min().orElseThrow();
        return most - least;
    }
}
