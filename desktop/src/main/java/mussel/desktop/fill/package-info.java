/**
 * The fill station: the bottle and where to stop.
 */
package mussel.desktop.fill;
