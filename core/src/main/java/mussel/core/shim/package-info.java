/**
 * Shims: the pinion's height from marks and measurements, the gears' lash, and the stack that makes a thickness out of a drawer. No jobs, no
 * sheets: figures in, figures out.
 */
package mussel.core.shim;
