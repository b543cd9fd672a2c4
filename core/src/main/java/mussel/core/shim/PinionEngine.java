package mussel.core.shim;

/** The pinion's shim from the marks and the measured height: T = constant + sum of coefficient x hundredths/100 - mean height. */
public final class PinionEngine {
    private static final double ROUNDING_MM = 1e-9;

    private PinionEngine() {}

    /** Computes the shim; the input has been checked. */
    public static PinionResult run(PinionInput in) {
        double marks = in.marks().stream()
                .mapToDouble(m -> m.coefficient() * m.hundredths() / 100)
                .sum();
        double mean = in.heightsMm().stream().mapToDouble(h -> h).average().orElseThrow();
        double spread = Readings.spread(in.heightsMm());
        return new PinionResult(
                in.constantMm() + marks - mean, mean, spread, spread <= in.spreadLimitMm() + ROUNDING_MM);
    }
}
