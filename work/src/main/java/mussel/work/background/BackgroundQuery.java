package mussel.work.background;

import java.util.Optional;
import java.util.function.Consumer;
import java.util.logging.Level;
import java.util.logging.Logger;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.core.measure.WorkStoppedException;
import mussel.work.background.Background.Work;

/** A question worked out in the background; a later one stops the one before and takes its place. */
public final class BackgroundQuery {
    private static final Messages TEXT = Messages.of(BackgroundQuery.class);

    private final Background background;
    private final Consumer<String> trouble;
    private Optional<BackgroundTask> running = Optional.empty();

    /** Troubles are told in a sentence. */
    public BackgroundQuery(Background background, Consumer<String> trouble) {
        this.background = background;
        this.trouble = trouble;
    }

    /** Does work and answers, unless something else is asked meanwhile. */
    public <T> void ask(Work<T> work, Consumer<T> answer) {
        cancel();
        running = Optional.of(background.begin(work, answer, failure -> {
            if (!(failure instanceof WorkStoppedException)) {
                trouble.accept(sentence(failure));
            }
        }));
    }

    /** What a technician can read of it; the rest goes into the log file. */
    private static String sentence(Throwable failure) {
        if (failure instanceof JournalException) {
            return failure.getMessage();
        }
        Logger.getLogger("mussel").log(Level.SEVERE, "In the background", failure);
        return TEXT.get("background_query.that_could_not_be_worked_out");
    }

    /** Whether something is still at work. */
    public boolean busy() {
        return running.filter(BackgroundTask::running).isPresent();
    }

    /** Stops what is at work. */
    public void cancel() {
        running.ifPresent(BackgroundTask::stop);
        running = Optional.empty();
    }
}
