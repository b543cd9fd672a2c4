/**
 * The home screen: every leg, what it waits for, what is due.
 */
package mussel.desktop.bench;
