/**
 * The drawing of the leg from its sheet, with the oil that was found and the parts that are off.
 */
package mussel.desktop.cutaway;
