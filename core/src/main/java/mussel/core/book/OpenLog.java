package mussel.core.book;

import java.util.function.Function;
import mussel.core.job.Journal;

/** A log that is open: its journal, what is derived from that, and what the log itself says. */
public interface OpenLog extends Journal {
    /** What is derived from the journal for the records: due work, service life, search. */
    LogBook book();

    /** What kind of log it is. */
    LogKind kind();

    /** Marks the log as of a kind. */
    void mark(LogKind kind);

    /** What was noticed at the opening and the user should read; empty where nothing was. */
    String noticed();

    /** Why the log can only be read; empty where it can be written. */
    String whyReadOnly();

    /** Works over a connection of its own, on whatever thread this is called. Settings that the work keeps are not seen here. */
    <T> T aside(Function<OpenLog, T> work);

    /** Removes everything that is derived from the entries; all jobs are to be filed again. The entries stay as they are. */
    void forgetDerived();
}
