/**
 * What a yard decides, as tables that people fill in: the same things its sheet says, a line for each. What may not enter: screens, files, and anything about a
 * single job.
 */
package mussel.exchange.yard;
