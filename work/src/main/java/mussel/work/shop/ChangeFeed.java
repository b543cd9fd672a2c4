package mussel.work.shop;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import mussel.core.job.Decisions;
import mussel.core.job.Journal;

/**
 * Tells everything that keeps an answer from the journal what has changed there. What is kept belongs to the thread that works in the shop, so nothing
 * is told at the time of a write, which may happen on any thread or at another bench: the shop's own thread asks, and is told then.
 */
final class ChangeFeed {
    private final Journal journal;
    private final List<Consumer<Change>> listeners = new ArrayList<>();
    private long mark;

    /** A feed of what comes in from now on. */
    ChangeFeed(Journal journal) {
        this.journal = journal;
        mark = journal.since(Long.MAX_VALUE).mark();
    }

    /**
     * What has changed.
     *
     * @param all whether anything may have, as after an import
     * @param filed whether jobs are being filed, which changes what is derived from the entries
     * @param jobs the jobs that got entries
     * @param decided the settings about which the shop decided something
     */
    record Change(boolean all, boolean filed, Set<Integer> jobs, Set<String> decided) {
        /** Whether what jobs say may be different. */
        boolean ofJobs() {
            return all || filed || jobs.stream().anyMatch(job -> job != Journal.YARD);
        }

        /** Whether anything was decided about settings whose names begin so. */
        boolean about(String prefix) {
            return all || decided.stream().anyMatch(key -> key.startsWith(prefix));
        }

        /** Whether the shop decided anything. */
        boolean ofTheShop() {
            return all || !decided.isEmpty();
        }
    }

    /** Somebody who keeps answers is told of changes from now on. */
    void listen(Consumer<Change> listener) {
        listeners.add(listener);
    }

    /** Looks for changes since the last look, and tells the listeners where there are any. */
    void look() {
        look(false);
    }

    /** The same where jobs are being filed. */
    void lookFiling() {
        look(true);
    }

    private void look(boolean filed) {
        Journal.Changes since = journal.since(mark);
        if (filed || !since.jobs().isEmpty()) {
            Set<String> decided = since.jobs().contains(Journal.YARD)
                    ? Decisions.keysAfter(mark, journal.entries(Journal.YARD))
                    : Set.of();
            tell(new Change(false, filed, since.jobs(), decided));
        }
        mark = since.mark();
    }

    /** Anything may have changed. */
    void everything() {
        mark = journal.since(Long.MAX_VALUE).mark();
        tell(new Change(true, true, Set.of(), Set.of()));
    }

    private void tell(Change change) {
        listeners.forEach(listener -> listener.accept(change));
    }
}
