/**
 * What stands beside a station: its caution, its one sentence, the one thing to do next, and what is folded away. The rules of all stations in one
 * place. No screens, and nothing computed that the assessment does not say.
 */
package mussel.core.brief;
