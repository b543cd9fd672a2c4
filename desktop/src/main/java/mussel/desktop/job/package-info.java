/**
 * Taking a leg in, and the intake station.
 */
package mussel.desktop.job;
