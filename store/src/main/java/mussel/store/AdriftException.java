package mussel.store;

import mussel.core.job.JournalException;

/** The file a journal was opened on is not there any more, or another lies in its place. */
final class AdriftException extends JournalException {
    private static final long serialVersionUID = 1L;

    AdriftException(String sentence) {
        super(sentence);
    }
}
