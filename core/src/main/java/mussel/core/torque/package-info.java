/**
 * Torque: from the sheet's range to the wrench in the hand, its setting with an adapter, the clamp it gives and the order of tightening.
 */
package mussel.core.torque;
