/**
 * Lessons of the practice bench as they ship.
 */
package mussel.exchange.practice;
