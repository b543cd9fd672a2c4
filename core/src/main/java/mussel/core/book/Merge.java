package mussel.core.book;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.Journal.Brought;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.job.Settings;
import mussel.core.language.Messages;
import mussel.core.measure.OrderedMap;

/**
 * What bringing a copy into a journal would change. A job is the same job where it began with the same leg at the same moment: then what is
 * here already stays, and entries made since are added; where both have gone on in their own ways, the copy's comes in as a job of its own. Nothing
 * that is here is ever changed.
 *
 * @param pieces job by job
 * @param settings settings that are not here yet, and what follows from the yard's decisions that come in
 * @param yard what the yard has decided
 */
public record Merge(List<Piece> pieces, Map<String, String> settings, YardMerge yard) {
    private static final Messages TEXT = Messages.of(Merge.class);
    /** A job's number up to here stays as it is; a larger one leaves too little room after it. */
    private static final int MOST_KEPT = 100_000_000;

    /** Keeps its own copies. */
    public Merge {
        pieces = List.copyOf(pieces);
        settings = OrderedMap.copyOf(settings);
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
     * @param entries how many entries it adds
     */
    public record Piece(Change change, int job, int theirs, LegRef leg, int entries) {
        /** In a sentence. */
        public String says() {
            return TEXT.get(
                    "merge." + change.name().toLowerCase(java.util.Locale.ROOT),
                    String.valueOf(job),
                    leg.title(),
                    entries);
        }
    }

    /** What would change. */
    public static Merge of(Journal journal, LogSource copy) {
        Walk walk = new Walk(journal);
        List<Piece> pieces = new ArrayList<>();
        List<Entry> decided = new ArrayList<>();
        Map<String, String> theirs = copy.walk(job -> {
            if (job.get(0).job() == Journal.YARD) {
                decided.addAll(job);
            } else {
                Piece piece = walk.meet(job).piece();
                if (piece.leg().isPractice()) {
                    throw new JournalException(
                            TEXT.get("merge.practice", piece.leg().boat()));
                }
                pieces.add(piece);
            }
        });
        Map<String, String> settings = new TreeMap<>();
        Settings.ofTheYard(theirs).forEach((key, value) -> {
            if (journal.setting(key, "").isEmpty()) {
                settings.put(key, value);
            }
        });
        YardMerge yard = YardMerge.of(journal, decided);
        settings.putAll(yard.settings());
        return new Merge(pieces, settings, yard);
    }

    /**
     * Brings in what was shown, settings too, and nothing else, all of it or nothing.
     *
     * @throws JournalException where journal or copy have gone on since; nothing has changed then
     */
    public void bring(Journal journal, LogSource copy) {
        // A sheet goes by its content: one that is here without a job is in nobody's way.
        copy.sheets(journal::keepSheet);
        journal.bring(settings, into -> {
            Walk walk = new Walk(journal);
            Iterator<Piece> shown = pieces.iterator();
            List<Integer> met = new ArrayList<>();
            copy.walk(job -> {
                met.add(job.get(0).job());
                if (job.get(0).job() == Journal.YARD) {
                    if (!yard.equals(YardMerge.of(journal, job))) {
                        throw goneOn();
                    }
                    yard.brought().ifPresent(into);
                    return;
                }
                Met one = walk.meet(job);
                if (!shown.hasNext() || !shown.next().equals(one.piece())) {
                    throw goneOn();
                }
                one.brought().ifPresent(into);
            });
            boolean yardIsGone = !yard.pieces().isEmpty() && !met.contains(Journal.YARD);
            if (shown.hasNext() || yardIsGone) {
                throw goneOn();
            }
        });
    }

    private static JournalException goneOn() {
        return new JournalException(TEXT.get("merge.gone_on"));
    }

    /** A job of the copy as it met the journal: what that comes to, and what it brings. */
    private record Met(Piece piece, Optional<Brought> brought) {}

    /** Goes through a copy beside a journal. Jobs of the journal that the copy has changed already do not count again. */
    private static final class Walk {
        private final Journal journal;
        private final Set<Integer> taken;
        private final Set<Integer> met = new HashSet<>();
        private int last;

        Walk(Journal journal) {
            this.journal = journal;
            this.taken = new HashSet<>(journal.numbers());
            this.last = taken.stream().mapToInt(Integer::intValue).max().orElse(0);
        }

        Met meet(List<Entry> theirs) {
            int number = theirs.get(0).job();
            List<Common> candidates = candidates(theirs);
            Optional<Common> whole =
                    candidates.stream().filter(c -> c.whole(theirs)).findFirst();
            if (whole.isPresent()) {
                return new Met(new Piece(Change.HERE, whole.get().job(), number, leg(theirs), 0), Optional.empty());
            }
            return candidates.stream()
                    .filter(Common::ends)
                    .max(Comparator.comparingInt(Common::length))
                    .map(c -> goesOn(c, number, theirs))
                    .orElseGet(() -> comesIn(candidates.isEmpty() ? Change.NEW : Change.APART, number, theirs));
        }

        private Met goesOn(Common same, int number, List<Entry> theirs) {
            met.add(same.job());
            List<Entry> more = theirs.subList(same.length(), theirs.size());
            return new Met(
                    new Piece(Change.LONGER, same.job(), number, leg(theirs), more.size()),
                    Optional.of(new Brought(same.job(), more, same.known())));
        }

        /**
         * How far a job here and one of the copy are the same. There may be several such jobs here: an earlier copy may have come in apart.
         */
        private record Common(int job, int length, boolean ends, Map<Long, Long> known) {
            boolean whole(List<Entry> theirs) {
                return length == theirs.size();
            }
        }

        private List<Common> candidates(List<Entry> theirs) {
            Entry first = theirs.get(0);
            return journal.jobsBegun(((Fact.Opened) first.fact()).leg().id(), first.at()).stream()
                    .filter(job -> !met.contains(job))
                    .map(job -> common(job, theirs))
                    .toList();
        }

        private Common common(int job, List<Entry> theirs) {
            List<Entry> ours = journal.entries(job);
            Map<Long, Long> known = new TreeMap<>();
            int length = alike(ours, theirs, known);
            return new Common(job, length, length == ours.size(), known);
        }

        private static LegRef leg(List<Entry> entries) {
            return Job.of(entries).leg();
        }

        private Met comesIn(Change change, int number, List<Entry> theirs) {
            int job = taken.contains(number) || number > MOST_KEPT ? last + 1 : number;
            taken.add(job);
            met.add(job);
            last = Math.max(last, job);
            return new Met(
                    new Piece(change, job, number, leg(theirs), theirs.size()),
                    Optional.of(new Brought(job, theirs, Map.of())));
        }
    }

    /** How many entries at the beginning of both say the same; their numbers there and here are written down. */
    static int alike(List<Entry> ours, List<Entry> theirs, Map<Long, Long> known) {
        int length = 0;
        while (length < Math.min(ours.size(), theirs.size()) && alike(ours.get(length), theirs.get(length), known)) {
            known.put(theirs.get(length).seq(), ours.get(length).seq());
            length++;
        }
        return length;
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
        says.add(TEXT.get(
                "merge.all",
                count(Change.NEW),
                count(Change.LONGER),
                count(Change.APART),
                count(Change.HERE),
                settings.size()));
        yard.pieces().stream()
                .filter(p -> p.change() != Change.HERE)
                .map(p -> TEXT.get(
                        "merge.decided." + p.change().name().toLowerCase(java.util.Locale.ROOT),
                        named(p.key()),
                        p.entries()))
                .forEach(says::add);
        pieces.stream().filter(p -> p.change() != Change.HERE).map(Piece::says).forEach(says::add);
        return says;
    }

    private static String named(String key) {
        return key.startsWith(Settings.SHEET)
                ? TEXT.get("merge.sheet", key.substring(Settings.SHEET.length()))
                : TEXT.get("merge.setting", key);
    }

    private String count(Change change) {
        return String.valueOf(pieces.stream().filter(p -> p.change() == change).count());
    }
}
