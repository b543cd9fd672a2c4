/**
 * The application put together: its commands, its data folder, the window over the yard's logbook. No trade knowledge enters.
 */
package mussel.app;
