package mussel.core.measure;

import mussel.core.language.Messages;

/** Long work ended early, since nobody waits for its answer any more. */
public final class WorkStoppedException extends RuntimeException {
    private static final Messages TEXT = Messages.of(WorkStoppedException.class);

    private static final long serialVersionUID = 1L;

    /** It was asked to stop. */
    public WorkStoppedException() {
        super(TEXT.get("work_stopped_exception.the_work_was_stopped_nobody_waits"));
    }
}
