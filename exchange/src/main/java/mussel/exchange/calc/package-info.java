/**
 * The headless contract: each engine as JSON in, JSON out. What is computed is the core's.
 */
package mussel.exchange.calc;
