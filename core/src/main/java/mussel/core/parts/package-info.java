/**
 * What to order: the cheapest or the fastest order that covers what a job needs. No suppliers' files, no prices of its own; a solver
 * library does the search.
 */
package mussel.core.parts;
