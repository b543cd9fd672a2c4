/**
 * The plan of a bench with many legs: who does what when, what it waits for, which promise breaks. Knows work only as tasks in a chain.
 */
package mussel.core.fleet;
