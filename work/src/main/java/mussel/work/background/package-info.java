/** Work off the interface thread: bounded, stoppable, closed with the window. */
package mussel.work.background;
