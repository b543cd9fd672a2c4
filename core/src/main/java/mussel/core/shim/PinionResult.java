package mussel.core.shim;

/**
 * The pinion's shim.
 *
 * @param shimMm how thick it should be; at or below zero something is wrong (mm)
 * @param heightMm mean of the heights (mm)
 * @param spreadMm how far the heights differ (mm)
 * @param spreadOk whether that is within its limit
 */
public record PinionResult(double shimMm, double heightMm, double spreadMm, boolean spreadOk) {}
