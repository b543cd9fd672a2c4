/**
 * The step graph of a family: what a set of goals needs, in an order hands can follow. No times of day, no persons.
 */
package mussel.core.plan;
