package mussel.desktop.desk;

import java.util.HashMap;
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
import mussel.core.sheet.FamilySheet;
import mussel.core.sheet.SetupSheet;
import mussel.core.yard.YardDecisions;

/** What lies on the shelf: what was counted there, and what jobs have taken off and put on since. Looked up once a sitting. */
final class Shelf {
    private final Journal journal;
    private final YardDecisions decisions;
    private final Function<Job, Optional<FamilySheet>> sheets;
    private final Supplier<Catalogue> supply;
    private final Map<Integer, Known> stores = new HashMap<>();

    /** Stores as a yard has them; the yard is compared by identity. */
    private record Known(Yard yard, Stores stores) {}

    Shelf(
            Journal journal,
            YardDecisions decisions,
            Function<Job, Optional<FamilySheet>> sheets,
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
        FamilySheet sheet = sheets.apply(job).orElseThrow();
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
        FamilySheet sheet = sheets.apply(job).orElseThrow();
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

    /** Writes down how many of a part were counted, with what this job has taken off or set in already. */
    void count(Job job, String part, int counted, int setIn) {
        String family = job.leg().family();
        int taken = (int) job.reading(Field.FROM_SHELF.of(part)).orElse(0) + setIn;
        int others = journal.benchLines().shelfChange(family, job.id()).getOrDefault(part, 0);
        decisions.keep(journal.setting("by", "bench"), key(family, part), String.valueOf(counted + taken - others));
        forget();
    }
}
