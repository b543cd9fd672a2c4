package mussel.work.shop;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.Settings;
import mussel.core.job.Stores;
import mussel.core.job.Suppliers;
import mussel.core.job.Yard;
import mussel.core.parts.Catalogue;
import mussel.core.sheet.SetupSheet;
import mussel.core.sheet.SpecSheet;
import mussel.core.yard.YardDecisions;

/** What lies on the shelf: what was counted there, and what jobs have taken off and put on since. Looked up once a sitting. */
public final class Shelf {
    private final Journal journal;
    private final YardDecisions decisions;
    private final Function<Job, Optional<SpecSheet>> sheets;
    private final Supplier<Catalogue> supply;
    private final Map<Integer, Known> stores = new HashMap<>();

    /** Stores as a yard has them; the yard is compared by identity. */
    private record Known(Yard yard, Stores stores) {}

    Shelf(
            Journal journal,
            YardDecisions decisions,
            Function<Job, Optional<SpecSheet>> sheets,
            Supplier<Catalogue> supply) {
        this.journal = journal;
        this.decisions = decisions;
        this.sheets = sheets;
        this.supply = supply;
    }

    void forget() {
        stores.clear();
    }

    /** What can be bought by a yard, and what lies on the shelf for the leg of a job. */
    Stores stores(Job job, Yard yard) {
        Known known = stores.get(job.id());
        if (known == null || known.yard() != yard) {
            known = new Known(yard, stored(job, yard));
            stores.put(job.id(), known);
        }
        return known.stores();
    }

    private Stores stored(Job job, Yard yard) {
        SpecSheet sheet = sheets.apply(job).orElseThrow();
        return new Stores(Suppliers.of(supply.get(), yard, sheet), shelf(job));
    }

    /** What another yard would have, not kept. */
    Stores would(Job job, Yard yard) {
        return stored(job, yard);
    }

    private Map<String, Integer> shelf(Job job) {
        String family = job.leg().family();
        Map<String, Integer> change = journal.benchLines().shelfChange(family, job.id());
        Map<String, Integer> shelf = new HashMap<>();
        SpecSheet sheet = sheets.apply(job).orElseThrow();
        sheet.parts().forEach(part -> {
            int counted = Settings.count(journal, key(family, part.id()));
            int now = counted + change.getOrDefault(part.id(), 0);
            if (now > 0) {
                shelf.put(part.id(), now);
            }
        });
        sheet.setup().ifPresent(setup -> setup.shimsMm().forEach(mm -> {
            String id = SetupSheet.shimId(mm);
            shelf.put(id, Settings.count(journal, key(family, id)) + change.getOrDefault(id, 0));
        }));
        return shelf;
    }

    private static String key(String family, String part) {
        return Settings.SHELF + family + ":" + part;
    }

    /** How many of each part lie there for legs of a family; what the jobs have taken or brought is off or on. */
    public Map<String, Integer> counts(SpecSheet sheet) {
        Map<String, Integer> change = journal.benchLines().shelfChange(sheet.id(), 0);
        Map<String, Integer> counts = new HashMap<>();
        sheet.parts().forEach(part -> {
            int now = Settings.count(journal, key(sheet.id(), part.id())) + change.getOrDefault(part.id(), 0);
            if (now != 0) {
                counts.put(part.id(), now);
            }
        });
        return counts;
    }

    /** Writes down how many of a part were counted there. */
    public void count(String family, String part, int counted) {
        int change = journal.benchLines().shelfChange(family, 0).getOrDefault(part, 0);
        decisions.keep(journal.setting("by", "bench"), key(family, part), String.valueOf(counted - change));
        forget();
    }

    /** How many of a part are to lie there at least from now on. */
    public void keep(String family, String part, int least) {
        Yard yard = decisions.yard();
        List<Yard.Least> counts = new ArrayList<>(yard.least());
        counts.removeIf(l -> l.family().equals(family) && l.part().equals(part));
        if (least > 0) {
            counts.add(new Yard.Least(family, part, least));
        }
        decisions.decide(journal.setting("by", "bench"), "least", yard.keeping(counts));
    }

    /** What was ordered for it is on its way. */
    public void ordered(List<Yard.Coming> parcels) {
        Yard yard = decisions.yard();
        List<Yard.Coming> coming = new ArrayList<>(yard.coming());
        coming.addAll(parcels);
        decisions.decide(journal.setting("by", "bench"), "coming", yard.awaiting(coming));
    }

    /**
     * Some of what was on its way came; so many of it go on the shelf, and the rest goes back.
     *
     * @param came how many came; what is still missing stays on its way
     * @param back how many of those are the wrong ones, or broken, and go back: they are still to come
     */
    public void came(Yard.Coming parcel, int came, int back) {
        Yard yard = decisions.yard();
        List<Yard.Coming> coming = new ArrayList<>(yard.coming());
        int at = coming.indexOf(parcel);
        int kept = came - back;
        if (at < 0 || kept < 0) {
            return;
        }
        int left = parcel.count() - kept;
        if (left > 0) {
            coming.set(at, new Yard.Coming(parcel.family(), parcel.part(), left, parcel.supplier(), parcel.due()));
        } else {
            coming.remove(at);
        }
        decisions.decide(journal.setting("by", "bench"), "coming", yard.awaiting(coming));
        if (kept > 0) {
            int change = journal.benchLines().shelfChange(parcel.family(), 0).getOrDefault(parcel.part(), 0);
            count(
                    parcel.family(),
                    parcel.part(),
                    Settings.count(journal, key(parcel.family(), parcel.part())) + change + kept);
        }
    }

    /** Writes down how many of a part were counted, with what this job has taken off or set in already. */
    void count(Job job, String part, int counted, int setIn) {
        String family = job.leg().family();
        int taken = (int) job.reading(Field.FROM_SHELF.of(part)).orElse(0) + setIn;
        int others = journal.benchLines().shelfChange(family, job.id()).getOrDefault(part, 0);
        decisions.keep(journal.setting("by", "bench"), key(family, part), String.valueOf(counted + taken - others));
        forget();
    }
}
