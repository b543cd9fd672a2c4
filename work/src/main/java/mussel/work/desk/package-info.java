/** One job in hand: entries, drafts, undo, and what follows from them. */
package mussel.work.desk;
