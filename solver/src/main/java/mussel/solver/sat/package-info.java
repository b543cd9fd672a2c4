/** What the core asks of a solver, put to CP-SAT of OR-Tools. The one place with native code besides the store. */
package mussel.solver.sat;
