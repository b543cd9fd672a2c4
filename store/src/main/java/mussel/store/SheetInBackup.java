package mussel.store;

/**
 * What becomes of a sheet in a backup.
 *
 * @param comesIn whether it comes to where none is
 * @param says that, and why not, in a sentence
 */
public record SheetInBackup(boolean comesIn, String says) {}
