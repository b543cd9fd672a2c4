package mussel.work.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import mussel.core.job.Assessment;
import mussel.core.job.RepairQuestion;
import mussel.core.language.Messages;
import mussel.core.sheet.Goal;
import mussel.work.background.BackgroundTask;

/** Rounds of checks and sets of repairs of the job on the desk: worked out once for each state of it, beside the interface thread, for all who ask. */
public final class RepairAnswers {
    private static final Messages TEXT = Messages.of(RepairAnswers.class);

    private final Desk desk;
    private Optional<Assessment> asked = Optional.empty();
    private Optional<Answered> answered = Optional.empty();
    private List<Consumer<Answered>> waiting = new ArrayList<>();
    private Optional<BackgroundTask> running = Optional.empty();

    RepairAnswers(Desk desk) {
        this.desk = desk;
    }

    /**
     * A question with its answer.
     *
     * @param question what was asked
     * @param answer what was answered
     */
    public record Answered(RepairQuestion question, RepairQuestion.Answer answer) {}

    /** What is known already of this state of the job. */
    public Optional<Answered> known(Assessment now) {
        return asked.filter(a -> a == now).flatMap(a -> answered);
    }

    /** Tells the answer, at once where it is known; not at all where the job has changed before it comes. */
    public void ask(Assessment now, Consumer<Answered> then) {
        Optional<Answered> known = known(now);
        if (known.isPresent()) {
            then.accept(known.get());
            return;
        }
        if (asked.filter(a -> a == now).isPresent()) {
            waiting.add(then);
            return;
        }
        asked = Optional.of(now);
        answered = Optional.empty();
        waiting = new ArrayList<>(List.of(then));
        RepairQuestion question = RepairQuestion.of(now);
        Set<String> goals = now.sheet().goals().stream().map(Goal::id).collect(Collectors.toSet());
        // An entry made meanwhile: what the job was before it, nobody asks any more.
        running.ifPresent(BackgroundTask::stop);
        running = Optional.of(desk.quietlyAside(
                TEXT.get("repair_answers.the_repairs"), stop -> question.answer(goals, stop), answer -> {
                    if (asked.filter(a -> a == now).isPresent()) {
                        answered = Optional.of(new Answered(question, answer));
                        List<Consumer<Answered>> told = waiting;
                        waiting = new ArrayList<>();
                        told.forEach(t -> t.accept(answered.get()));
                    }
                }));
    }
}
