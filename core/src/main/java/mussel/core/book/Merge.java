package mussel.core.book;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.LegRef;
import mussel.core.measure.Sentences;

/**
 * What bringing a copy into a journal would change. A job is the same job where it began with the same leg at the same moment: then what is
 * here already stays, and entries made since are added; where both have gone on in their own ways, the copy's comes in as a job of its own. Nothing
 * that is here is ever changed.
 *
 * @param pieces job by job
 * @param settings settings that are not here yet
 */
public record Merge(List<Piece> pieces, Map<String, String> settings) {
    private static final Sentences SAY = Sentences.beside(Merge.class);

    /** Keeps its own copies. */
    public Merge {
        pieces = List.copyOf(pieces);
        settings = Map.copyOf(settings);
    }

    /** What happens to a job. */
    public enum Change {
        /** It is not here yet. */
        NEW,
        /** It is here, whole. */
        HERE,
        /** It is here and has gone on in the copy. */
        LONGER,
        /** Both have gone on; it comes in as a job of its own. */
        APART
    }

    /**
     * One job of the copy.
     *
     * @param change what happens to it
     * @param job the number it has or gets here
     * @param theirs its number in the copy
     * @param leg its leg
     * @param entries the entries to add, as in the copy
     * @param known for entries of the copy that are here already: their number there to their number here
     */
    public record Piece(Change change, int job, int theirs, LegRef leg, List<Entry> entries, Map<Long, Long> known) {
        /** Keeps its own copies. */
        public Piece {
            entries = List.copyOf(entries);
            known = Map.copyOf(known);
        }

        /** In a sentence. */
        public String says() {
            return SAY.say(
                    "merge." + change.name().toLowerCase(java.util.Locale.ROOT),
                    String.valueOf(job),
                    leg.title(),
                    entries.size());
        }
    }

    /** What would change. */
    public static Merge of(Journal journal, LogCopy copy) {
        Set<Integer> taken = new HashSet<>(journal.numbers());
        List<Piece> pieces = new ArrayList<>();
        for (List<Entry> theirs : copy.jobs()) {
            Piece piece = piece(journal, theirs, taken);
            taken.add(piece.job());
            pieces.add(piece);
        }
        Map<String, String> settings = new TreeMap<>();
        copy.settings().forEach((key, value) -> {
            if (journal.setting(key, "").isEmpty()) {
                settings.put(key, value);
            }
        });
        return new Merge(pieces, settings);
    }

    private static Piece piece(Journal journal, List<Entry> theirs, Set<Integer> taken) {
        LegRef leg = Job.of(theirs).leg();
        int number = theirs.get(0).job();
        Optional<List<Entry>> same = same(journal, theirs.get(0));
        if (same.isPresent()) {
            List<Entry> ours = same.get();
            int job = ours.get(0).job();
            Map<Long, Long> known = new TreeMap<>();
            int common = 0;
            while (common < Math.min(ours.size(), theirs.size())
                    && alike(ours.get(common), theirs.get(common), known)) {
                known.put(theirs.get(common).seq(), ours.get(common).seq());
                common++;
            }
            if (common == theirs.size()) {
                return new Piece(Change.HERE, job, number, leg, List.of(), Map.of());
            }
            if (common == ours.size()) {
                return new Piece(Change.LONGER, job, number, leg, theirs.subList(common, theirs.size()), known);
            }
            return new Piece(Change.APART, free(number, taken), number, leg, theirs, Map.of());
        }
        return new Piece(Change.NEW, free(number, taken), number, leg, theirs, Map.of());
    }

    private static int free(int wanted, Set<Integer> taken) {
        return taken.contains(wanted)
                ? taken.stream().mapToInt(Integer::intValue).max().orElse(0) + 1
                : wanted;
    }

    private static Optional<List<Entry>> same(Journal journal, Entry first) {
        String leg = ((Fact.Opened) first.fact()).leg().id();
        return journal.jobsBegun(leg, first.at()).stream().findFirst().map(journal::entries);
    }

    /** Whether two entries say the same, taking back what is the same among them. */
    private static boolean alike(Entry ours, Entry theirs, Map<Long, Long> known) {
        boolean facts = theirs.fact() instanceof Fact.Retracted back && ours.fact() instanceof Fact.Retracted mine
                ? Long.valueOf(mine.entry()).equals(known.get(back.entry()))
                : ours.fact().equals(theirs.fact());
        return facts && ours.at().equals(theirs.at()) && ours.by().equals(theirs.by());
    }

    /** Whether anything would change. */
    public boolean changes() {
        return !settings.isEmpty() || pieces.stream().anyMatch(p -> p.change() != Change.HERE);
    }

    /** In sentences: what comes in, then job by job. */
    public List<String> says() {
        List<String> says = new ArrayList<>();
        says.add(SAY.say(
                "merge.all",
                count(Change.NEW),
                count(Change.LONGER),
                count(Change.APART),
                count(Change.HERE),
                settings.size()));
        pieces.stream().filter(p -> p.change() != Change.HERE).map(Piece::says).forEach(says::add);
        return says;
    }

    private String count(Change change) {
        return String.valueOf(pieces.stream().filter(p -> p.change() == change).count());
    }
}
