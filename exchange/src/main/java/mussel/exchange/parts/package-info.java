/**
 * Parts in files: the catalogue of what can be bought, and orders as CSV. What to order is the core's to say.
 */
package mussel.exchange.parts;
