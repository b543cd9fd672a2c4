package mussel.core.book;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.IntPredicate;
import mussel.core.job.JournalException;

/** The place of a log, open or not. All that Mussel knows of files and servers is behind it. */
public interface LogStore {
    /** The place, as people write it. */
    String place();

    /**
     * Opens the log for work, and makes it where there is none.
     *
     * @throws JournalException with a sentence: open elsewhere, damaged, of a newer Mussel, not writable
     */
    OpenLog open();

    /**
     * Opens the log for reading, beside whoever works in it.
     *
     * @throws JournalException with a sentence when there is nothing to read
     */
    OpenLog read();

    /**
     * Opens the log for work, or for reading where it cannot be written.
     *
     * @throws JournalException with a sentence when it can be neither written nor read, or is open elsewhere
     */
    OpenLog openOrRead();

    /** The place of the practice log that belongs to this log. */
    LogStore practice();

    /**
     * Checks the whole log: its place, the chain of every job, every entry, every picture, and what is derived from them. Reads only.
     *
     * @param refile derives everything once more, on a log that has nothing derived
     * @throws JournalException when it cannot be read at all
     */
    LogCheck check(Consumer<OpenLog> refile);

    /**
     * Follows the chains of the entries beside the work, on whatever thread it is called.
     *
     * @param goOn told how many jobs were followed, now and then; may take its time, and false stops
     * @return what is wrong, in sentences
     */
    List<String> checkChains(IntPredicate goOn);

    /**
     * What a full check of a log found.
     *
     * @param jobs how many jobs
     * @param entries how many entries
     * @param pictures how many pictures they name
     * @param stale jobs whose derived lines must be made anew; the next start does
     * @param chained since when and from which entry on the entries were chained as they were made, in a sentence; empty where that is always
     * @param troubles what is wrong, in sentences; empty where all is sound
     */
    record LogCheck(int jobs, long entries, int pictures, int stale, String chained, List<String> troubles) {
        /** Keeps its own copy. */
        public LogCheck {
            troubles = List.copyOf(troubles);
        }
    }
}
