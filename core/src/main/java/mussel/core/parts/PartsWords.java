package mussel.core.parts;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.measure.Money;
import mussel.core.parts.PartsResult.Alternative;
import mussel.core.parts.PartsResult.Line;

/** An order in sentences; above all what a kit leaves out. */
public final class PartsWords {
    private static final Messages TEXT = Messages.of(PartsWords.class);

    private final PartsInput in;
    private final PartsResult out;
    private final Money money;
    private final UnaryOperator<String> names;

    /** Words in the yard's money with the parts' ids for names. */
    public PartsWords(PartsInput in, PartsResult out, Money money) {
        this(in, out, money, UnaryOperator.identity());
    }

    /** Words in the yard's money with names for the parts. */
    public PartsWords(PartsInput in, PartsResult out, Money money, UnaryOperator<String> names) {
        this.in = in;
        this.out = out;
        this.money = money;
        this.names = names;
    }

    /** Plain sentences a technician can act on. */
    public List<String> notes() {
        List<String> notes = new ArrayList<>();
        notes.add(summary());
        notes.addAll(leftOut());
        notes.addAll(shelfAndSpare());
        if (out.gap() > 0) {
            notes.add(TEXT.get("gap", String.format(Locale.ROOT, "%.1f", 100 * out.gap())));
        }
        out.alternatives().stream()
                .filter(a -> a.leadDays() != out.leadDays().orElse(0))
                .forEach(a -> notes.add(other(a)));
        return List.copyOf(notes);
    }

    /** What the order counts on from the shelf, and what it leaves over. */
    public List<String> shelfAndSpare() {
        List<String> notes = new ArrayList<>();
        if (!out.fromShelf().isEmpty()) {
            notes.add(TEXT.get("shelf", list(out.fromShelf())));
        }
        if (!out.spare().isEmpty()) {
            notes.add(TEXT.get("spare", list(out.spare())));
        }
        return notes;
    }

    /** The order in one sentence, or why there is none. */
    public String summary() {
        if (!out.feasible()) {
            return TEXT.get(in.deadlineDays().isPresent() ? "missing.deadline" : "missing", list(out.missing()));
        }
        if (out.lines().isEmpty()) {
            return TEXT.get(in.need().isEmpty() ? "nothing" : "shelf.all");
        }
        long suppliers = out.lines().stream().map(Line::supplier).distinct().count();
        String order = TEXT.get(
                in.objective() == Objective.COST ? "order.cost" : "order.speed",
                money.exact(out.total().orElse(0)),
                out.lines().size(),
                suppliers,
                days(out.leadDays().orElse(0)));
        return out.waiting() == 0
                ? order
                : order + " "
                        + TEXT.get(
                                "waiting",
                                money.exact(out.waiting()),
                                money.exact(out.total().orElse(0) + out.waiting()));
    }

    /** For every kit ordered, and for every kit on offer that holds most of the need: what is needed and not in the bag. */
    public List<String> leftOut() {
        List<String> sentences = new ArrayList<>();
        Set<Set<String>> told = new LinkedHashSet<>();
        for (Offer kit : in.offers()) {
            boolean taken = out.lines().stream()
                    .anyMatch(l -> l.sku().equals(kit.sku()) && l.supplier().equals(kit.supplier()));
            Map<String, Integer> lacks = lacks(kit);
            boolean covers = lacks.size() < needed().size();
            if (kit.isKit() && covers && !lacks.isEmpty() && (taken || nearlyAll(lacks)) && told.add(lacks.keySet())) {
                List<Wanted> wanted = lacks.entrySet().stream()
                        .map(e -> new Wanted(e.getKey(), e.getValue()))
                        .toList();
                sentences.add(TEXT.get(taken ? "kit.taken" : "kit.offered", kit.sku(), list(wanted)));
            }
        }
        return sentences;
    }

    private boolean nearlyAll(Map<String, Integer> lacks) {
        return 2 * lacks.size() <= needed().size();
    }

    private Map<String, Integer> needed() {
        Map<String, Integer> needed = new LinkedHashMap<>();
        in.need().forEach(n -> needed.merge(n.part(), n.qty(), Integer::sum));
        return needed;
    }

    private Map<String, Integer> lacks(Offer kit) {
        Map<String, Integer> lacks = new LinkedHashMap<>();
        needed().forEach((part, qty) -> {
            if (kit.of(part) < qty) {
                lacks.put(part, qty - kit.of(part));
            }
        });
        return lacks;
    }

    /** The other order beside this one. */
    public String other(Alternative other) {
        return TEXT.get(
                other.objective() == Objective.SPEED ? "other.speed" : "other.cost",
                money.exact(other.total()),
                days(other.leadDays()),
                money.exact(Math.abs(other.total() - out.total().orElse(0))));
    }

    /** Days in words. */
    public static String days(long days) {
        return days == 1 ? "1 day" : TEXT.get("parts_words.days", days);
    }

    private String list(List<Wanted> wanted) {
        return wanted.stream().map(w -> w.qty() + " × " + names.apply(w.part())).collect(Collectors.joining(", "));
    }
}
