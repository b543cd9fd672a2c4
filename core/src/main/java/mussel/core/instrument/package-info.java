/**
 * What an instrument of the bench can do, whether it is a real one or a simulated stand-in. No transport, no clock and no threads enter:
 * whoever drives an instrument brings the time.
 */
package mussel.core.instrument;
