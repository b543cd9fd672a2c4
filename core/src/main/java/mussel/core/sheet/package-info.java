/**
 * Family sheets: construction, capacities, limits, fasteners, parts, steps and the drawing, with the rules a sheet must
 * satisfy. What a particular leg has been through does not enter; that is the job's.
 */
package mussel.core.sheet;
