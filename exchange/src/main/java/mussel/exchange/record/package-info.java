/**
 * Reads, writes and describes the records of the core as JSON: one reader with one manner of refusing for every format. No
 * trade knowledge enters.
 */
package mussel.exchange.record;
