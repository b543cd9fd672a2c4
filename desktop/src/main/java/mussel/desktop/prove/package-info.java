/**
 * The proof station: shift, leak test, run and the hour after. It shows and enters; the core judges.
 */
package mussel.desktop.prove;
