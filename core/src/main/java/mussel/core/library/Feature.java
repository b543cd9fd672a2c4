package mussel.core.library;

import java.util.List;

/**
 * A question about how a leg is built.
 *
 * @param id its id
 * @param title what it asks, in few words
 * @param look what to look for while nobody knows
 * @param answers the answers there are beside {@code unknown}
 */
public record Feature(String id, String title, String look, List<Choice> answers) {
    /** Keeps its own copy. */
    public Feature {
        answers = List.copyOf(answers);
    }

    /** Whether that is one of its answers. */
    public boolean has(String answer) {
        return answers.stream().anyMatch(a -> a.id().equals(answer));
    }

    /**
     * One answer.
     *
     * @param id its id
     * @param title its name
     */
    public record Choice(String id, String title) {}
}
