package mussel.core.book;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import mussel.core.book.LogBook.Awaiting;
import mussel.core.job.Assessment;
import mussel.core.job.Suppliers;
import mussel.core.job.Yard;
import mussel.core.language.Messages;
import mussel.core.log.Due;
import mussel.core.log.DueForecast;
import mussel.core.measure.NamedBy;
import mussel.core.parts.Catalogue;
import mussel.core.parts.Objective;
import mussel.core.parts.Offer;
import mussel.core.parts.PartsInput;
import mussel.core.parts.Supplier;
import mussel.core.parts.Wanted;
import mussel.core.plan.Plan.PartNeed;
import mussel.core.plan.Planner;
import mussel.core.pump.PumpInput;
import mussel.core.sheet.Goal;
import mussel.core.sheet.Interval;
import mussel.core.sheet.Part;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.SpecSheet;
import mussel.core.visit.EngineSideItem;

/**
 * The shelf against what it will be asked for: what the bench still wants, what falls due in the next two months, what is to lie there at least, and what is on its
 * way.
 *
 * @param lines parts of which anything is to be said, family after family, in the order of their sheets
 * @param oilMl the gear oil that falls due with them (ml)
 */
public record ShelfPlan(List<Line> lines, double oilMl) {
    /** How far ahead is looked. */
    public static final int MONTHS = 2;

    private static final Messages TEXT = Messages.of(ShelfPlan.class);
    private static final String BETWEEN = "/";

    /** Keeps its own copy. */
    public ShelfPlan {
        lines = List.copyOf(lines);
    }

    /**
     * A part on the shelf.
     *
     * @param family of which legs
     * @param leg what they are called
     * @param part its id
     * @param title its name
     * @param number its number; its id where it has none
     * @param here how many lie there
     * @param least how many are to lie there at least
     * @param bench how many the legs on the bench still want, neither taken nor ordered
     * @param due how many fall due
     * @param whose which legs they fall due on
     * @param coming how many are on their way
     */
    public record Line(
            String family,
            String leg,
            String part,
            String title,
            String number,
            int here,
            int least,
            int bench,
            int due,
            List<String> whose,
            int coming) {
        /** Keeps its own copy. */
        public Line {
            whose = List.copyOf(whose);
        }

        /** How many are missing: what is wanted, and what is to be left then. */
        public int gap() {
            return Math.max(0, bench + due + least - Math.max(0, here) - coming);
        }

        /** Why so many, in words; empty where nothing is missing. */
        public String why() {
            List<String> parts = new ArrayList<>();
            if (bench > 0) {
                parts.add(TEXT.get("shelf.bench", bench));
            }
            if (due > 0) {
                parts.add(TEXT.get("shelf.due", due, String.join(", ", whose)));
            }
            if (least > 0) {
                parts.add(TEXT.get("shelf.least", least));
            }
            return String.join("; ", parts);
        }

        private boolean says() {
            return here != 0 || least > 0 || bench > 0 || due > 0 || coming > 0;
        }
    }

    /** What is wanted of a family's parts. */
    private static final class Wants {
        private final Map<String, Integer> bench = new TreeMap<>();
        private final Map<String, Integer> due = new TreeMap<>();
        private final Map<String, Set<String>> whose = new TreeMap<>();
    }

    /**
     * The shelf on a day.
     *
     * @param families the families known
     * @param counts how many of each of a family's parts lie there
     * @param open the legs on the bench
     * @param awaiting what falls due on others
     */
    public static ShelfPlan of(
            List<SpecSheet> families,
            Function<SpecSheet, Map<String, Integer>> counts,
            List<Assessment> open,
            List<Awaiting> awaiting,
            Yard yard,
            LocalDate today) {
        Map<String, SpecSheet> sheets = new LinkedHashMap<>();
        families.forEach(f -> sheets.put(f.id(), f));
        Map<String, Wants> wants = new LinkedHashMap<>();
        Set<String> onBench = new LinkedHashSet<>();
        for (Assessment job : open) {
            onBench.add(job.job().leg().id());
            Wants of = wants.computeIfAbsent(job.sheet().id(), f -> new Wants());
            job.supply().open().forEach(w -> of.bench.merge(w.part(), w.qty(), Integer::sum));
        }
        double oil = 0;
        LocalDate horizon = today.plusMonths(MONTHS);
        Map<String, Set<Work>> asked = new LinkedHashMap<>();
        for (Awaiting each : awaiting) {
            SpecSheet sheet = sheets.get(each.leg().family());
            boolean soon =
                    !DueForecast.of(each.due(), each.readings(), today).by().isAfter(horizon);
            if (sheet == null || !soon || onBench.contains(each.leg().id())) {
                continue;
            }
            Work work = work(each.due());
            boolean fresh = work != Work.OTHER
                    && asked.computeIfAbsent(each.leg().id(), l -> EnumSet.noneOf(Work.class))
                            .add(work);
            if (fresh) {
                ask(
                        wants.computeIfAbsent(sheet.id(), f -> new Wants()),
                        parts(sheet, work, yard),
                        each.leg().title());
                oil += work == Work.OIL ? sheet.oil().capacityMl().orElse(0) : 0;
            }
        }
        List<Line> lines = new ArrayList<>();
        sheets.values()
                .forEach(sheet ->
                        lines(sheet, counts.apply(sheet), wants.getOrDefault(sheet.id(), new Wants()), yard, lines));
        return new ShelfPlan(lines, oil);
    }

    /** What is due, as far as parts of the leg are concerned. */
    private enum Work {
        PUMP,
        OIL,
        OTHER
    }

    private static Work work(Due due) {
        return EngineSideItem.of(due.id()).isPresent()
                ? Work.OTHER
                : due.id().equals(NamedBy.file(Interval.Counts.PUMP)) ? Work.PUMP : Work.OIL;
    }

    /** What that takes: for the pump what its repair renews, for the oil what goes in new when the case is filled. */
    private static List<PartQty> parts(SpecSheet sheet, Work work, Yard yard) {
        if (work == Work.OIL) {
            // The least work after which the case is filled again: what goes in new with the oil alone.
            return sheet.goals().stream()
                    .map(g -> Planner.plan(sheet, List.of(g.id())))
                    .filter(p -> p.steps().stream().anyMatch(s -> Assessment.isFilling(s.step())))
                    .min(Comparator.comparingInt(p -> p.steps().size()))
                    .map(p -> p.parts().stream().map(PartNeed::part).toList())
                    .orElse(List.of());
        }
        boolean kit = yard.pump().extent() == PumpInput.Extent.KIT;
        return sheet.goals().stream()
                .filter(g -> g.means(kit ? Goal.Meaning.RENEWS_PUMP : Goal.Meaning.RENEWS_IMPELLER))
                .findFirst()
                .map(g -> Planner.plan(sheet, List.of(g.id())).parts().stream()
                        .map(PartNeed::part)
                        .toList())
                .orElse(List.of());
    }

    private static void ask(Wants wants, List<PartQty> parts, String leg) {
        for (PartQty part : parts) {
            wants.due.merge(part.part(), part.qty(), Integer::sum);
            wants.whose.computeIfAbsent(part.part(), p -> new LinkedHashSet<>()).add(leg);
        }
    }

    private static void lines(SpecSheet sheet, Map<String, Integer> counts, Wants wants, Yard yard, List<Line> lines) {
        for (Part part : sheet.parts()) {
            Line line = new Line(
                    sheet.id(),
                    sheet.title(),
                    part.id(),
                    part.title(),
                    Suppliers.number(part),
                    counts.getOrDefault(part.id(), 0),
                    least(yard, sheet.id(), part.id()),
                    wants.bench.getOrDefault(part.id(), 0),
                    wants.due.getOrDefault(part.id(), 0),
                    List.copyOf(wants.whose.getOrDefault(part.id(), Set.of())),
                    coming(yard, sheet.id(), part.id()));
            if (line.says()) {
                lines.add(line);
            }
        }
    }

    /** How many of a part are to lie there at least. */
    public static int least(Yard yard, String family, String part) {
        return yard.least().stream()
                .filter(l -> l.family().equals(family) && l.part().equals(part))
                .mapToInt(Yard.Least::count)
                .findFirst()
                .orElse(0);
    }

    private static int coming(Yard yard, String family, String part) {
        return yard.coming().stream()
                .filter(c -> c.family().equals(family) && c.part().equals(part))
                .mapToInt(Yard.Coming::count)
                .sum();
    }

    /** The lines of which some are missing. */
    public List<Line> missing() {
        return lines.stream().filter(l -> l.gap() > 0).toList();
    }

    /**
     * What the parts engine is asked so that nothing is missing: all families at once, since one parcel carries parts of several.
     *
     * @param catalogue what can be bought for a family
     */
    public PartsInput order(Function<String, Catalogue> catalogue) {
        List<Wanted> need = new ArrayList<>();
        Map<String, Supplier> suppliers = new LinkedHashMap<>();
        Map<List<String>, Offer> offers = new LinkedHashMap<>();
        Map<String, Catalogue> asked = new LinkedHashMap<>();
        for (Line line : missing()) {
            String part = key(line.family(), line.part());
            Catalogue has = asked.computeIfAbsent(line.family(), catalogue);
            has.suppliers().forEach(s -> suppliers.put(s.id(), s));
            List<Offer> fit = has.of(line.family()).offers().stream()
                    .filter(o -> o.of(line.part()) > 0)
                    .toList();
            if (!fit.isEmpty()) {
                need.add(new Wanted(part, line.gap()));
            }
            fit.forEach(o -> offers.merge(List.of(o.supplier(), o.sku()), of(line.family(), o), ShelfPlan::either));
        }
        return new PartsInput(
                need,
                List.of(),
                List.copyOf(offers.values()),
                List.copyOf(suppliers.values()),
                Objective.COST,
                OptionalDouble.empty(),
                0);
    }

    /** What is missing and nobody sells, in words. */
    public List<String> unlisted(Function<String, Catalogue> catalogue) {
        return missing().stream()
                .filter(l -> catalogue.apply(l.family()).of(l.family()).offers().stream()
                        .noneMatch(o -> o.of(l.part()) > 0))
                .map(l -> l.gap() + " × " + l.title() + " (" + l.leg() + ")")
                .toList();
    }

    private static Offer of(String family, Offer offer) {
        return new Offer(
                offer.sku(),
                offer.supplier(),
                offer.price(),
                offer.contains().stream()
                        .map(w -> new Wanted(key(family, w.part()), w.qty()))
                        .toList(),
                offer.stock(),
                offer.leadDays());
    }

    /** One number that fits two families: whichever part of them it brings, not both; the family met first counts. */
    private static Offer either(Offer first, Offer later) {
        return first;
    }

    private static String key(String family, String part) {
        return family + BETWEEN + part;
    }

    /** What such an order brings to the shelf, when it was placed on a day. */
    public static List<Yard.Coming> coming(PartsInput asked, mussel.core.parts.PartsResult order, LocalDate placed) {
        List<Yard.Coming> coming = new ArrayList<>();
        for (mussel.core.parts.PartsResult.Line line : order.lines()) {
            asked.offers().stream()
                    .filter(o -> o.sku().equals(line.sku()) && o.supplier().equals(line.supplier()))
                    .flatMap(o -> o.contains().stream())
                    .forEach(w -> {
                        int at = w.part().indexOf(BETWEEN);
                        coming.add(new Yard.Coming(
                                w.part().substring(0, at),
                                w.part().substring(at + 1),
                                w.qty() * line.qty(),
                                line.supplier(),
                                placed.plusDays(line.leadDays()).toString()));
                    });
        }
        return coming;
    }
}
