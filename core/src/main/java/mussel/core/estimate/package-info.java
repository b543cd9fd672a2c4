/**
 * Whether the job is worth doing: repair against exchange against leaving it. Figures with their ranges; no prices of its own.
 */
package mussel.core.estimate;
