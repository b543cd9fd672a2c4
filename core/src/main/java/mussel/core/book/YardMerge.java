package mussel.core.book;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import mussel.core.job.Decisions;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Journal;
import mussel.core.job.Journal.Brought;
import mussel.core.measure.OrderedMap;

/**
 * What another yard's decisions would change here, thing by thing: what was never decided here comes in, what went on there from where it stands here goes on
 * here too, and where both went their own ways everything stays as it is here.
 *
 * @param pieces thing by thing
 * @param brought the entries that come in; empty where none do
 * @param settings what holds after them
 */
record YardMerge(List<Piece> pieces, Optional<Brought> brought, Map<String, String> settings) {
    /** Keeps its own copies. */
    YardMerge {
        pieces = List.copyOf(pieces);
        settings = OrderedMap.copyOf(settings);
    }

    /**
     * One thing that was decided.
     *
     * @param change what happens to it
     * @param key its setting
     * @param entries how many entries come in
     */
    record Piece(Merge.Change change, String key, int entries) {}

    /** What the decisions of a copy would change. */
    static YardMerge of(Journal journal, List<Entry> theirs) {
        Set<String> keys = new TreeSet<>();
        theirs.forEach(e -> {
            if (e.fact() instanceof Fact.Decided decided) {
                keys.add(decided.key());
            }
        });
        List<Entry> ours = journal.entries(Journal.YARD);
        List<Piece> pieces = new ArrayList<>();
        List<Entry> coming = new ArrayList<>();
        Map<Long, Long> known = new TreeMap<>();
        Map<String, String> settings = new TreeMap<>();
        for (String key : keys) {
            List<Entry> there = Decisions.about(key, theirs);
            Optional<List<Entry>> more = more(Decisions.about(key, ours), there, journal.setting(key, ""), known);
            Merge.Change change = more.isEmpty()
                    ? Merge.Change.APART
                    : more.get().isEmpty()
                            ? Merge.Change.HERE
                            : more.get().size() == there.size() ? Merge.Change.NEW : Merge.Change.LONGER;
            pieces.add(new Piece(change, key, more.map(List::size).orElse(0)));
            more.filter(m -> !m.isEmpty()).ifPresent(m -> {
                coming.addAll(m);
                settings.put(key, Decisions.value(there));
            });
        }
        coming.sort(Comparator.comparingLong(Entry::seq));
        return new YardMerge(
                pieces,
                coming.isEmpty() ? Optional.empty() : Optional.of(new Brought(Journal.YARD, coming, known)),
                settings);
    }

    /** What the copy has beyond what is here; empty where both went their own ways. */
    private static Optional<List<Entry>> more(
            List<Entry> ours, List<Entry> theirs, String holds, Map<Long, Long> known) {
        if (ours.isEmpty()) {
            boolean fits = holds.isEmpty()
                    || theirs.stream()
                            .anyMatch(e -> e.fact() instanceof Fact.Decided d
                                    && d.value().equals(holds));
            return fits ? Optional.of(theirs) : Optional.empty();
        }
        int length = Merge.alike(ours, theirs, known);
        return length == theirs.size()
                ? Optional.of(List.of())
                : length == ours.size() ? Optional.of(theirs.subList(length, theirs.size())) : Optional.empty();
    }
}
