/**
 * What is measured: engines by JMH, the start against an empty window, stations on the interface thread. Nothing is asserted here.
 */
package mussel.bench;
