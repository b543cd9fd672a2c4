/**
 * Quantities, their units, what people type, ranges and the sentences that refuse: no trade knowledge enters, and
 * nothing of sheets, jobs or screens.
 */
package mussel.core.measure;
