/**
 * The drain engine: viscosity, what a case should give up, and the water in what came out. Pure functions of the input;
 * no sheet and no job enter.
 */
package mussel.core.drain;
