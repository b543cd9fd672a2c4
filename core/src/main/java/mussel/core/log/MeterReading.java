package mussel.core.log;

import java.time.LocalDate;

/**
 * An engine's hour meter, read.
 *
 * @param on the day
 * @param hours what it showed (h)
 */
public record MeterReading(LocalDate on, double hours) {}
