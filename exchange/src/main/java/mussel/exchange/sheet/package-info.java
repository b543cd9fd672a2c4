/**
 * Family sheets and the yard's own sheet as YAML, those that ship and those a yard adds.
 */
package mussel.exchange.sheet;
