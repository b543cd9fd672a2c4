/**
 * The tag station: what is next due, and the job sheet.
 */
package mussel.desktop.log;
