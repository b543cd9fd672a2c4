package mussel.work.shop;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.CompletableFuture;
import java.util.function.IntPredicate;
import mussel.core.book.Filed;
import mussel.core.job.BenchLine;
import mussel.core.job.BenchLines;
import mussel.core.job.JournalException;
import mussel.core.job.Settings;
import mussel.core.language.Messages;

/** Brings what is derived from the journal, the book and the lines of the bench, up to date with it, with the families and with the yard. */
final class Filing {
    private static final Messages TEXT = Messages.of(Filing.class);

    /** The job that was just left, and the one in the same visit: more than these would be felt under the hand. */
    private static final int FILED_AT_ONCE = 2;

    private static final int SETTLED_TOGETHER = 24;
    private static final String STAMP = Settings.BENCH_STAMP;

    private final Workshop shop;
    private final CompletableFuture<Workshop.Catalogue> catalogue;
    private final Map<Integer, String> unfiled = new TreeMap<>();
    private final Set<Integer> partners = new TreeSet<>();

    Filing(Workshop shop, CompletableFuture<Workshop.Catalogue> catalogue) {
        this.shop = shop;
        this.catalogue = catalogue;
    }

    /** Jobs that could not be read, each in a sentence. */
    List<String> unfiled() {
        return List.copyOf(unfiled.values());
    }

    /** A job as it goes into the book. One that cannot be read stays owed and is named; it stands in no other's way. */
    private Optional<Filed> filed(int job) {
        try {
            return shop.assessed(job).map(now -> {
                now.visit().ifPresent(v -> partners.add(v.sister().job().id()));
                return Filed.of(now);
            });
        } catch (RuntimeException e) {
            System.getLogger("mussel").log(System.Logger.Level.WARNING, "Job " + job + " cannot be filed", e);
            unfiled.put(
                    job,
                    e instanceof JournalException
                            ? e.getMessage()
                            : TEXT.get("filing.job_cannot_be_shown_what_is", job));
            return Optional.empty();
        }
    }

    /** Jobs as they go into the book; those of unknown families are left out. */
    private List<Filed> filed(Collection<Integer> jobs) {
        shop.followFiling();
        partners.clear();
        List<Filed> filed = new ArrayList<>();
        jobs.stream().map(this::filed).flatMap(Optional::stream).forEach(filed::add);
        // What one leg of a visit needs of the other's order stands in the other's line.
        List<Integer> sisters = partners.stream().filter(p -> !jobs.contains(p)).toList();
        sisters.stream().map(this::filed).flatMap(Optional::stream).forEach(filed::add);
        return filed;
    }

    /** Where there is much to bring up to date, as after an import, it is only written down as owed. */
    void refresh() {
        BenchLines lines = shop.journal().benchLines();
        if (shop.journal().readOnly()) {
            return;
        }
        Set<Integer> stale = new TreeSet<>(shop.book().stale());
        String stamp = catalogue.join().stamp();
        boolean other = !shop.journal().setting(STAMP, "").equals(stamp);
        if (other) {
            lines.open().forEach(l -> stale.add(l.job()));
            shop.families().forEach(f -> lines.keepOutline(f.id(), f.outline()));
        }
        if (stale.size() > FILED_AT_ONCE) {
            shop.book().owe(List.copyOf(stale));
        } else if (!stale.isEmpty()) {
            List<Filed> filed = filed(stale);
            filed.forEach(f -> stale.remove(f.visit().job()));
            shop.book().file(filed);
            shop.book().owe(List.copyOf(stale));
        }
        if (other) {
            shop.journal().keepSetting(STAMP, stamp);
        }
    }

    /**
     * Files what {@link #refresh} has left, the latest jobs first, over a journal and a book of its own; the bench's own lines are made once
     * more at the end, when everything they look at is there.
     *
     * @param goOn told how many jobs are left, before each few; false to leave the rest for another time
     */
    void settle(IntPredicate goOn) {
        shop.apart(apart -> {
            Filing own = apart.filing();
            if (own.settleHere(apart.book().owed(), goOn)) {
                List<Integer> bench = apart.journal().benchLines().open().stream()
                        .map(BenchLine::job)
                        .toList();
                apart.book().owe(bench);
                own.settleHere(bench, left -> goOn.test(0));
            }
            return null;
        });
    }

    private boolean settleHere(List<Integer> owed, IntPredicate goOn) {
        for (int from = 0; from < owed.size(); from += SETTLED_TOGETHER) {
            if (!goOn.test(owed.size() - from)) {
                return false;
            }
            shop.book().settle(filed(owed.subList(from, Math.min(owed.size(), from + SETTLED_TOGETHER))));
        }
        return true;
    }

    /** Brings everything up to date before it returns. */
    void everything() {
        refresh();
        if (!shop.book().owed().isEmpty()) {
            settle(left -> true);
        }
    }
}
