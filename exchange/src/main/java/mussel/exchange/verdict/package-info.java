/**
 * The diagnosis tables as files: those that ship, and the numbers a yard puts in their place.
 */
package mussel.exchange.verdict;
