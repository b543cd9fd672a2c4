/** The one way a file is written and a named one is opened: beside, synced, renamed, for its owner alone, never over what is of another kind. What stands in a file does not enter here. */
package mussel.exchange.file;
