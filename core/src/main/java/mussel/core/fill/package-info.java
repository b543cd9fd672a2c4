/**
 * The fill engine: how much to buy, pour and leave in the last bottle. Pure functions of the input.
 */
package mussel.core.fill;
