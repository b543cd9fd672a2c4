package mussel.core.job;

/** The journal could not be opened or written. The message is a sentence for the technician. */
public class JournalException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** With a sentence and what caused it. */
    public JournalException(String sentence, Throwable cause) {
        super(sentence, cause);
    }

    /** With a sentence. */
    public JournalException(String sentence) {
        super(sentence);
    }
}
