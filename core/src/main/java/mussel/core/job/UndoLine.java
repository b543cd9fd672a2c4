package mussel.core.job;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Which entries of a job stand, and what undo and redo would act on. Both are entries themselves: undo retracts the last standing
 * one, redo retracts that retraction. Readings of a hold come and go with its beginning. So they work across stations and after a restart, and the journal keeps everything.
 *
 * @param standing the entries that count, in order
 * @param undoable the entry that undo would take back
 * @param redoable the retraction that redo would take back
 */
public record UndoLine(List<Entry> standing, Optional<Entry> undoable, Optional<Entry> redoable) {
    /** Keeps its own copy. */
    public UndoLine {
        standing = List.copyOf(standing);
    }

    static UndoLine of(List<Entry> entries) {
        Map<Long, Entry> bySeq = new HashMap<>();
        TreeMap<Long, Entry> standing = new TreeMap<>();
        Deque<Entry> done = new ArrayDeque<>();
        Deque<Entry> undone = new ArrayDeque<>();
        for (Entry entry : entries) {
            bySeq.put(entry.seq(), entry);
            if (entry.fact() instanceof Fact.Retracted back) {
                Entry target = bySeq.get(back.entry());
                if (target == null) {
                    continue;
                }
                if (target.fact() instanceof Fact.Retracted again) {
                    Entry revived = bySeq.get(again.entry());
                    if (revived == null) {
                        continue;
                    }
                    standing.put(revived.seq(), revived);
                    done.push(revived);
                    undone.remove(target);
                } else if (standing.remove(target.seq()) != null) {
                    done.remove(target);
                    undone.push(entry);
                }
            } else {
                standing.put(entry.seq(), entry);
                if (entry.fact() instanceof Fact.Held
                        || entry.fact() instanceof Fact.Unread
                        || entry.fact() instanceof Fact.WorkedBy by && !by.said()) {
                    continue;
                }
                if (!(entry.fact() instanceof Fact.Opened)) {
                    done.push(entry);
                    undone.clear();
                }
            }
        }
        return new UndoLine(
                new ArrayList<>(standing.values()),
                Optional.ofNullable(done.peek()),
                Optional.ofNullable(undone.peek()));
    }
}
