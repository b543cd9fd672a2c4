/**
 * Controls that any station may use: the quantity field, scales of picks, the explanation of a figure. They know quantities,
 * not jobs.
 */
package mussel.desktop.kit;
