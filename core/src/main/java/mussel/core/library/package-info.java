/**
 * Compact sheets: how one family is built and what its manual says, for the full sheet to be made from with the library of procedures. No procedure
 * of the library may be named here: what differs between legs is told by features, and those are data.
 */
package mussel.core.library;
