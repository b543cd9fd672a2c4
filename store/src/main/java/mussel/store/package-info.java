/**
 * The journal in one SQLite file: opening it safely, appending, reading. Nothing outside this module knows SQL; no trade knowledge
 * enters here.
 */
package mussel.store;
