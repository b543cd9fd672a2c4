/**
 * What the yard decides: its sheet, and over it the entries of the yard's own journal, with who and when. What may not enter: what belongs to one job, and how a
 * sheet is written down.
 */
package mussel.core.yard;
