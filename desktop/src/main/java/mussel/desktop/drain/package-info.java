/**
 * The drain station: jars, magnets, washers and the balance.
 */
package mussel.desktop.drain;
