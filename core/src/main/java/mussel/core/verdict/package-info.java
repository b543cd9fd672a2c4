/**
 * Which faults, how sure, and what to look at next: the diagnosis tables and the exact posterior over them. Fed with findings; knows no
 * job and no other engine.
 */
package mussel.core.verdict;
