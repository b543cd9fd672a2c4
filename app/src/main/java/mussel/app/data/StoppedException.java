package mussel.app.data;

import mussel.core.job.JournalException;

/** Somebody stopped what was being taken in. */
final class StoppedException extends JournalException {
    private static final long serialVersionUID = 1L;

    StoppedException() {
        super("Stopped. Nothing was taken in.");
    }
}
