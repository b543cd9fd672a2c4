/**
 * The parts station: what is needed, what lies on the shelf, and what to order from whom.
 */
package mussel.desktop.parts;
