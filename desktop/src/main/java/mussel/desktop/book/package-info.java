/** The yard's book on screen: logbook, due work, lives of parts, the plan of the bench, data in and out. Shows and asks; computes nothing. */
package mussel.desktop.book;
