/**
 * Simulated stand-ins for instruments, each behind the interface a real one would use. Seeded: the same seed and the same hands give the
 * same readings.
 */
package mussel.core.simulated;
