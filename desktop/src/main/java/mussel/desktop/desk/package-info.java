/**
 * One job on the desk: what the stations see of the journal, and their fields, picks and notes bound to it. Nothing is computed here.
 */
package mussel.desktop.desk;
