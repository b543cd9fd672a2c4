package mussel.core.job;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What the yard has decided about one thing, as its entries leave it. Undo and redo are entries like any other, so that nothing is lost by them.
 */
public final class Decisions {
    /** Who is named for what stood before its changes were written down. */
    private static final String BEFORE = "-";

    private final Journal journal;
    private final String key;
    private final List<Entry> entries;
    private final UndoLine line;

    private Decisions(Journal journal, String key) {
        this.journal = journal;
        this.key = key;
        this.entries = about(key, journal.entries(Journal.YARD));
        this.line = UndoLine.of(entries);
    }

    /** What was decided about the setting of that name. */
    public static Decisions about(Journal journal, String key) {
        return new Decisions(journal, key);
    }

    /** Of the yard's entries those about one thing, with what takes them back. */
    public static List<Entry> about(String key, List<Entry> yard) {
        Map<Long, Boolean> ours = new HashMap<>();
        List<Entry> about = new ArrayList<>();
        for (Entry entry : yard) {
            boolean is = entry.fact() instanceof Fact.Decided decided
                            && decided.key().equals(key)
                    || entry.fact() instanceof Fact.Retracted back && ours.containsKey(back.entry());
            if (is) {
                ours.put(entry.seq(), true);
                about.add(entry);
            }
        }
        return about;
    }

    /** The things about which something was decided, or taken back, after an entry. */
    public static Set<String> keysAfter(long entry, List<Entry> yard) {
        Map<Long, String> keys = new HashMap<>();
        Set<String> after = new HashSet<>();
        for (Entry made : yard) {
            String key = made.fact() instanceof Fact.Decided decided
                    ? decided.key()
                    : made.fact() instanceof Fact.Retracted back ? keys.getOrDefault(back.entry(), "") : "";
            keys.put(made.seq(), key);
            if (made.seq() > entry) {
                after.add(key);
            }
        }
        return after;
    }

    /** What holds after those entries about one thing; empty where nothing does. */
    public static String value(List<Entry> about) {
        return last(UndoLine.of(about));
    }

    private static String last(UndoLine line) {
        String value = "";
        for (Entry entry : line.standing()) {
            if (entry.fact() instanceof Fact.Decided decided) {
                value = decided.value();
            }
        }
        return value;
    }

    /** Whether what holds was decided here, and is not what a first start gives. */
    public Optional<Entry> undoable() {
        return line.undoable().filter(e -> !e.by().equals(BEFORE));
    }

    /** What a redo would bring back. */
    public Optional<Entry> redoable() {
        return line.redoable();
    }

    /** Every decision that was ever made about it, in order, and what took one back. */
    public List<Entry> entries() {
        return entries;
    }

    /** The decisions that stand, in order. */
    public List<Entry> standing() {
        return line.standing();
    }

    /** Decides. What stood without an entry, since an earlier program kept it, is entered before. */
    public void decide(String by, String value) {
        String before = journal.setting(key, "");
        if (entries.isEmpty() && !before.isEmpty()) {
            journal.decide(BEFORE, new Fact.Decided(key, before), key, before);
        }
        journal.decide(by, new Fact.Decided(key, value), key, value);
    }

    /** Takes the last decision back; says whether there was one. */
    public boolean undo(String by) {
        return retract(by, undoable());
    }

    /** Decides again what was taken back last; says whether there was anything. */
    public boolean redo(String by) {
        return retract(by, redoable());
    }

    private boolean retract(String by, Optional<Entry> which) {
        if (which.isEmpty()) {
            return false;
        }
        Fact back = new Fact.Retracted(which.get().seq());
        List<Entry> after = new ArrayList<>(entries);
        long seq = entries.get(entries.size() - 1).seq() + 1;
        after.add(new Entry(seq, Journal.YARD, entries.get(0).at(), by, back));
        journal.decide(by, back, key, value(after));
        return true;
    }
}
