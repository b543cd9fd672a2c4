package mussel.core.measure;

/** Long work ended early, since nobody waits for its answer any more. */
public final class WorkStoppedException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** It was asked to stop. */
    public WorkStoppedException() {
        super("The work was stopped: nobody waits for its answer any more");
    }
}
