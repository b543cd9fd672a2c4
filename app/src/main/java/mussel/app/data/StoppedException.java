package mussel.app.data;

import mussel.core.job.JournalException;
import mussel.core.language.Messages;

/** Somebody stopped what was being taken in. */
final class StoppedException extends JournalException {
    private static final Messages TEXT = Messages.of(StoppedException.class);

    private static final long serialVersionUID = 1L;

    StoppedException() {
        super(TEXT.get("stopped_exception.stopped_nothing_was_taken_in"));
    }
}
