package mussel.core.job;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.measure.OrderedMap;
import mussel.core.measure.StopToken;
import mussel.core.parts.Catalogue;
import mussel.core.parts.Objective;
import mussel.core.parts.PartsEngine;
import mussel.core.parts.PartsInput;
import mussel.core.parts.PartsResult;
import mussel.core.parts.PartsWords;
import mussel.core.parts.Shelved;
import mussel.core.parts.Wanted;
import mussel.core.plan.Plan.PartNeed;
import mussel.core.sheet.Part;

/** The parts of a job: what it needs, what was taken from the shelf, what is ordered and here, and the best order for the rest. */
public final class Supply {
    private static final Messages TEXT = Messages.of(Supply.class);

    private final Assessment all;
    private final Map<String, Integer> need = new LinkedHashMap<>();
    private final Map<String, Integer> taken = new LinkedHashMap<>();
    private final Map<String, Integer> ordered = new LinkedHashMap<>();
    private final Map<String, Integer> here = new LinkedHashMap<>();

    Supply(Assessment all) {
        this.all = all;
        for (PartNeed part : all.plan().parts()) {
            need.merge(part.part().part(), part.part().qty(), Integer::sum);
        }
        for (String part : all.judgedReplace()) {
            need.putIfAbsent(part, 1);
        }
        all.job().readings().forEach((at, read) -> {
            if (at.name().equals(Field.FROM_SHELF.address().name()) && read.value() > 0) {
                taken.put(at.of(), (int) read.value());
            }
        });
        for (Order order : all.job().orders()) {
            order.brings().forEach((part, qty) -> ordered.merge(part, qty, Integer::sum));
            order.here().forEach((part, qty) -> here.merge(part, qty, Integer::sum));
        }
        // The engine side is of the same visit and stands in the same order. What is done there used what was brought
        // for it, and asks for nothing more.
        EngineSide beside = new EngineSide(all);
        beside.parts(EngineSide.State.TO_DO).forEach((part, qty) -> need.merge(part, qty, Math::max));
        beside.parts(EngineSide.State.DONE).forEach((part, qty) -> {
            int brought = taken.getOrDefault(part, 0) + ordered.getOrDefault(part, 0);
            if (brought > 0) {
                need.merge(part, Math.min(qty, brought), Math::max);
            }
        });
    }

    /** The parts of the sister leg by itself, where both are one visit and of one family: what the one orders too many of goes to the other. */
    private Optional<Supply> sister() {
        return all.visit()
                .map(v -> v.sister())
                .filter(s -> s.sheet().id().equals(all.sheet().id()))
                .map(Assessment::supply);
    }

    private static int over(Map<String, Integer> brought, Supply of, String part) {
        return Math.max(0, brought.getOrDefault(part, 0) - of.rest(part));
    }

    /** How many of a part are still needed beside what was taken from the shelf. */
    private int rest(String part) {
        return Math.max(0, need.getOrDefault(part, 0) - taken.getOrDefault(part, 0));
    }

    private int ordered(String part) {
        return ordered.getOrDefault(part, 0)
                + sister().map(s -> over(s.ordered, s, part)).orElse(0);
    }

    private int here(String part) {
        return here.getOrDefault(part, 0)
                + sister().map(s -> over(s.here, s, part)).orElse(0);
    }

    /** What the job needs, by part. */
    public Map<String, Integer> need() {
        return OrderedMap.copyOf(need);
    }

    /** One row a part, in the order of the plan. */
    public List<Row> rows() {
        return need.entrySet().stream()
                .map(e -> new Row(
                        e.getKey(),
                        title(e.getKey()),
                        e.getValue(),
                        taken.getOrDefault(e.getKey(), 0),
                        ordered(e.getKey()),
                        here(e.getKey()),
                        onShelf(e.getKey())))
                .toList();
    }

    /** What lies on the shelf now, this job's takings off. */
    public int onShelf(String part) {
        return Math.max(0, all.stores().shelf().getOrDefault(part, 0) - taken.getOrDefault(part, 0));
    }

    /** What of the open need is on its way to the shelf already, in sentences: it need not be ordered a second time. */
    public List<String> comingToShelf() {
        return all.yard().coming().stream()
                .filter(c -> c.family().equals(all.sheet().id()))
                .filter(c -> open().stream().anyMatch(w -> w.part().equals(c.part())))
                .map(c -> TEXT.get("shelf.coming", String.valueOf(c.count()), title(c.part()), c.supplier(), c.due()))
                .toList();
    }

    /** What of the need is neither taken nor ordered. */
    public List<Wanted> open() {
        List<Wanted> open = new ArrayList<>();
        rows().stream().filter(r -> r.open() > 0).forEach(r -> open.add(new Wanted(r.part(), r.open())));
        return open;
    }

    /** What is open of both legs where they are one visit, else of this one. */
    public List<Wanted> openOfVisit() {
        Map<String, Integer> open = new LinkedHashMap<>();
        open().forEach(w -> open.merge(w.part(), w.qty(), Integer::sum));
        sister().ifPresent(s -> s.need.keySet().forEach(part -> {
            int more = s.rest(part) - s.ordered.getOrDefault(part, 0) - over(ordered, this, part);
            if (more > 0) {
                open.merge(part, more, Integer::sum);
            }
        }));
        return open.entrySet().stream()
                .map(e -> new Wanted(e.getKey(), e.getValue()))
                .toList();
    }

    /** What of an order from here is for the sister leg, in a sentence. */
    public String forSister() {
        Map<String, Integer> own = new LinkedHashMap<>();
        open().forEach(w -> own.put(w.part(), w.qty()));
        String more = openOfVisit().stream()
                .filter(w -> w.qty() > own.getOrDefault(w.part(), 0))
                .map(w -> w.qty() - own.getOrDefault(w.part(), 0) + " × " + title(w.part()))
                .collect(Collectors.joining(", "));
        String leg = all.visit().map(v -> v.called(v.sister())).orElse("");
        return more.isEmpty() ? TEXT.get("visit.order.none", leg) : TEXT.get("visit.order", leg, more);
    }

    /** Whether an order from here is for both legs. */
    public boolean forBoth() {
        return sister().isPresent();
    }

    /** What is open and somebody sells, or the shelf has: what an order can be worked out for. */
    public List<Wanted> toBeHad() {
        Set<String> offered = new HashSet<>();
        offers().offers().forEach(o -> o.contains().forEach(c -> offered.add(c.part())));
        return openOfVisit().stream()
                .filter(w -> offered.contains(w.part()) || onShelf(w.part()) > 0)
                .toList();
    }

    /** What is open and stands in no supplier's list and on no shelf, in words; empty where nothing does. */
    public List<String> unlisted() {
        Set<String> had = new HashSet<>();
        toBeHad().forEach(w -> had.add(w.part()));
        return openOfVisit().stream()
                .filter(w -> !had.contains(w.part()))
                .map(w -> w.qty() + " × " + title(w.part()))
                .toList();
    }

    private Catalogue.FamilyOffers offers() {
        return all.stores().catalogue().of(all.sheet().id());
    }

    /** Whether every part needed is in the yard. */
    public boolean allHere() {
        return rows().stream().allMatch(r -> r.taken() + r.here() >= r.need());
    }

    /** What the parts engine is fed for the open rest. */
    public PartsInput input(Objective objective, OptionalDouble deadlineDays) {
        return new PartsInput(
                toBeHad(),
                all.stores().shelf().keySet().stream()
                        .map(p -> new Shelved(p, onShelf(p)))
                        .filter(s -> s.qty() > 0)
                        .toList(),
                offers().offers(),
                all.stores().catalogue().suppliers(),
                objective,
                deadlineDays,
                all.job().reading(Field.DOWNTIME_COST).orElse(all.yard().downtimePerDay()));
    }

    /** The best order for the open rest. Takes up to some seconds for a large one: not for the interface's own thread. */
    public Answer best(Objective objective, OptionalDouble deadlineDays, StopToken stop) {
        PartsInput in = input(objective, deadlineDays);
        PartsResult out = PartsEngine.run(in, stop);
        return new Answer(in, out, new PartsWords(in, out, all.yard().money(), this::title));
    }

    /** A part's name; its id where the sheet does not have it. */
    public String title(String part) {
        return all.sheet().part(part).map(Part::title).orElse(part.replace('_', ' '));
    }

    /**
     * What this job changes on the shelf, by part: what was taken goes off, what came and is not needed goes on. Made from the job alone, so
     * that undo undoes it.
     */
    public Map<String, Integer> shelfChange() {
        Map<String, Integer> change = new LinkedHashMap<>();
        taken.forEach((part, qty) -> change.merge(part, -qty, Integer::sum));
        here.forEach((part, qty) -> {
            int over = qty
                    - rest(part)
                    - sister().map(s -> Math.max(0, s.rest(part) - s.here.getOrDefault(part, 0)))
                            .orElse(0);
            if (over > 0) {
                change.merge(part, over, Integer::sum);
            }
        });
        all.setup().ifPresent(s -> s.used().forEach((shim, qty) -> change.merge(shim, -qty, Integer::sum)));
        change.values().removeIf(qty -> qty == 0);
        return change;
    }

    /**
     * A needed part.
     *
     * @param part its id
     * @param title its name
     * @param need how many the job needs
     * @param taken how many were taken from the shelf
     * @param ordered how many are ordered, those here among them
     * @param here how many of those have arrived
     * @param onShelf how many lie on the shelf
     */
    public record Row(String part, String title, int need, int taken, int ordered, int here, int onShelf) {
        /** How many are neither taken nor ordered. */
        public int open() {
            return Math.max(0, need - taken - ordered);
        }
    }

    /**
     * An order worked out.
     *
     * @param input what it was worked out from
     * @param result the order
     * @param words the order in sentences
     */
    public record Answer(PartsInput input, PartsResult result, PartsWords words) {}
}
