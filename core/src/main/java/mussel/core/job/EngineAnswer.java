package mussel.core.job;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import mussel.core.measure.Problem;

/**
 * What an engine answers for a job, once the job gives it enough and all of that fits together.
 *
 * @param <I> the engine's input
 * @param <R> its result
 * @param <W> its result in words
 */
public final class EngineAnswer<I, R, W> {
    private final Optional<I> input;
    private final List<Problem> problems;
    private final Optional<R> result;
    private final BiFunction<I, R, W> inWords;

    private EngineAnswer(Optional<I> input, List<Problem> problems, Optional<R> result, BiFunction<I, R, W> inWords) {
        this.input = input;
        this.problems = List.copyOf(problems);
        this.result = result;
        this.inWords = inWords;
    }

    /**
     * Asks an engine.
     *
     * @param input its input; empty while the job does not give enough
     * @param check what does not fit together in an input; nothing is run then
     */
    static <I, R, W> EngineAnswer<I, R, W> of(
            Optional<I> input, Function<I, List<Problem>> check, Function<I, R> run, BiFunction<I, R, W> inWords) {
        List<Problem> problems = input.map(check).orElse(List.of());
        Optional<I> sound = input.filter(i -> problems.isEmpty());
        return new EngineAnswer<>(sound, problems, sound.map(run), inWords);
    }

    /** The input; empty while there is not enough, or something does not fit together. */
    public Optional<I> input() {
        return input;
    }

    /** What does not fit together. */
    public List<Problem> problems() {
        return problems;
    }

    /** The result; empty where there is no input. */
    public Optional<R> result() {
        return result;
    }

    /** The result in words. */
    public Optional<W> words() {
        return result.map(r -> inWords.apply(input.orElseThrow(), r));
    }
}
