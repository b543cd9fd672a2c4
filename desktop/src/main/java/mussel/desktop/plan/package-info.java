/**
 * The strip-down and build stations: steps, the mat, torques.
 */
package mussel.desktop.plan;
