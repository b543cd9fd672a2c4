package mussel.core.practice;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;
import mussel.core.verdict.Tables;

/**
 * What somebody gets wrong in practice: goals missed, or done without being called for, on his last legs; and legs that have them to teach.
 *
 * @param goals their ids, what is got wrong most first
 */
public record Weak(List<String> goals) {
    /** The legs that count: what was got wrong long ago has been learnt since. */
    public static final int LAST = 20;

    private static final int MOST = 3;
    private static final int MOST_DRAWN = 20_000;

    /** Keeps its own copy. */
    public Weak {
        goals = List.copyOf(goals);
    }

    /** By exercises, the earliest first. */
    public static Weak of(List<Exercise> exercises) {
        List<Exercise> back = exercises.stream().filter(Exercise::back).toList();
        Map<String, Integer> wrong = new LinkedHashMap<>();
        back.subList(Math.max(0, back.size() - LAST), back.size())
                .forEach(e -> e.wrong().forEach(g -> wrong.merge(g, 1, Integer::sum)));
        return new Weak(wrong.entrySet().stream()
                .sorted(Map.Entry.comparingByValue(Comparator.reverseOrder()))
                .limit(MOST)
                .map(Map.Entry::getKey)
                .toList());
    }

    /**
     * The next leg that calls for one of them.
     *
     * @param seed of the draw
     * @param after the number of the leg before; nought for the first
     * @param tables what is true of the leg of a number
     * @return empty where nothing is got wrong, or no such leg is found
     */
    public Optional<PracticeLeg> next(long seed, int after, IntFunction<Tables> tables) {
        for (int number = after + 1; !goals.isEmpty() && number <= after + MOST_DRAWN; number++) {
            PracticeLeg leg = PracticeLeg.of(seed, number, tables.apply(number));
            if (leg.called().stream().anyMatch(goals::contains)) {
                return Optional.of(leg);
            }
        }
        return Optional.empty();
    }
}
