package mussel.core.fleet;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * The plan as a question for a solver, in slots of a quarter of an hour from the first day on.
 *
 * @param slots how many there are
 * @param away for each person the spans in which they do not work: from which slot, how many
 * @param legs each leg's tasks, one after the other
 * @param shared how many there are of each tool; tasks name them by their place here
 */
public record Timetable(int slots, List<List<Span>> away, List<Leg> legs, List<Integer> shared) {
    /** Keeps its own copies. */
    public Timetable {
        away = away.stream().map(List::copyOf).toList();
        legs = List.copyOf(legs);
        shared = List.copyOf(shared);
    }

    /** So many slots from one on. */
    public record Span(int from, int slots) {}

    /**
     * One leg's work.
     *
     * @param tasks in their order
     * @param promised the slot by which it is promised
     */
    public record Leg(List<Task> tasks, OptionalInt promised) {
        /** Keeps its own copy. */
        public Leg {
            tasks = List.copyOf(tasks);
        }
    }

    /**
     * One piece of work.
     *
     * @param slots how long it takes
     * @param earliest the first slot it may begin in
     * @param cures how long what was glued in it needs before the next one
     * @param tools which tools it takes
     * @param hint where a foreman would put it
     */
    public record Task(int slots, int earliest, int cures, List<Integer> tools, Optional<Place> hint) {
        /** Keeps its own copy. */
        public Task {
            tools = List.copyOf(tools);
        }
    }

    /**
     * Where a task is.
     *
     * @param start its first slot
     * @param end the slot after its last
     * @param who the place of the person who does it
     */
    public record Place(int start, int end, int who) {}

    /**
     * A solver's answer.
     *
     * @param places of all tasks, leg by leg
     * @param proven whether there is no better one
     */
    public record Answer(List<Place> places, boolean proven) {
        /** Keeps its own copy. */
        public Answer {
            places = List.copyOf(places);
        }
    }
}
