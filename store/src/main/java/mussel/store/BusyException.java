package mussel.store;

import mussel.core.job.JournalException;

/** Somebody else writes to the logbook just now and goes on for longer than a hand can wait. */
final class BusyException extends JournalException {
    private static final long serialVersionUID = 1L;

    BusyException(String message, Throwable cause) {
        super(message, cause);
    }
}
