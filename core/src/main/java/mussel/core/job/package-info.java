/**
 * Entries of the journal, the job folded from them, undo, and what crosses the engines' rooms. No storage and no screens:
 * the journal is a port that others implement.
 */
package mussel.core.job;
