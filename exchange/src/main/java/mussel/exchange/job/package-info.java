/**
 * Entries of the journal as JSON.
 */
package mussel.exchange.job;
