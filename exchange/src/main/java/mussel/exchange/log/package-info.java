/** The logbook in open formats: whole logs as JSON, lists as CSV, what is due as iCalendar. */
package mussel.exchange.log;
