/**
 * What is due and when: hours or months, whichever comes first. The date is passed in; no clock.
 */
package mussel.core.log;
