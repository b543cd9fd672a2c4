/**
 * Readings of a hold from files.
 */
package mussel.exchange.leak;
