/**
 * The window: the working-order spine, the running conclusion, undo, keys and looks. It knows every screen; no screen knows it.
 */
package mussel.desktop.shell;
