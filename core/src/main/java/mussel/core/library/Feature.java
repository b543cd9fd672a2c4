package mussel.core.library;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mussel.core.measure.OrderedMap;

/**
 * A question about how a leg is built.
 *
 * @param id its id
 * @param title what it asks, in few words
 * @param look what to look for while nobody knows
 * @param answers the answers there are beside {@code unknown}
 * @param where the answers to other questions without which it is not asked, by question; with {@code station}, it is asked there and not with how the
 *     leg is built
 * @param follows what it is because of the answer to another question, by question and answer
 */
public record Feature(
        String id,
        String title,
        String look,
        List<Choice> answers,
        Map<String, Set<String>> where,
        Map<String, Map<String, String>> follows) {
    /** Keeps its own copies. */
    public Feature {
        answers = List.copyOf(answers);
        where = OrderedMap.copyOf(where);
        follows = OrderedMap.copyOf(follows);
    }

    /** Whether that is one of its answers. */
    public boolean has(String answer) {
        return answers.stream().anyMatch(a -> a.id().equals(answer));
    }

    /** What the answers to other questions make of it. */
    public Optional<String> followsFrom(Map<String, String> given) {
        return follows.entrySet().stream()
                .flatMap(f -> Optional.ofNullable(f.getValue().get(given.getOrDefault(f.getKey(), ""))).stream())
                .findFirst();
    }

    /** Whether it is asked of a leg with these answers: not where it follows from one of them, or where they rule it out. */
    public boolean asked(Map<String, String> given) {
        return where.entrySet().stream().allMatch(w -> w.getValue().contains(given.getOrDefault(w.getKey(), "")))
                && followsFrom(given).isEmpty();
    }

    /**
     * One answer.
     *
     * @param id its id
     * @param title its name
     */
    public record Choice(String id, String title) {}
}
