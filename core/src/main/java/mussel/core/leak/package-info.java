/**
 * What a pressure or vacuum hold proves. Fed with readings; knows no gauge, no job and no other engine.
 */
package mussel.core.leak;
