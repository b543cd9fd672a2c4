/**
 * What is printed: the job sheet as PDF.
 */
package mussel.exchange.report;
