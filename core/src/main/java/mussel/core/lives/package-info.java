/**
 * How long parts last in this yard: Weibull lives with censored ones among them, the interval for a chosen risk, what each interval costs.
 * No job, no file, no screen.
 */
package mussel.core.lives;
