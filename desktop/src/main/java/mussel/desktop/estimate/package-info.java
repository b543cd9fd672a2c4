/**
 * The estimate station: repair, exchange or leave, with ranges.
 */
package mussel.desktop.estimate;
