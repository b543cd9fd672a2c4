/**
 * The leak hunt on screen: the hold chart, readings by hand, from a file or from an instrument, and where it foams. Nothing is judged here.
 */
package mussel.desktop.leak;
