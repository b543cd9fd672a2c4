package mussel.core.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.parts.Catalogue;
import mussel.core.sheet.Goal;

/**
 * Parts that opening the leg showed to be needed once the first order was placed: what each is for, whether the estimate had named that, and when it can be
 * here at the soonest.
 *
 * @param parts the parts
 * @param days until the last of them can be here (d); empty where nobody sells one of them
 */
public record SecondWave(List<Part> parts, OptionalInt days) {
    private static final Messages TEXT = Messages.of(SecondWave.class);

    /** Keeps its own copy. */
    public SecondWave {
        parts = List.copyOf(parts);
    }

    /**
     * A part.
     *
     * @param part its id
     * @param title its name
     * @param why what it is for
     * @param named whether the estimate had named that as what may come on top
     */
    public record Part(String part, String title, String why, boolean named) {}

    /** The second wave of a job; nothing before anything was ordered for it, or it was opened with parts from the shelf. */
    public static SecondWave of(Assessment all) {
        List<Supply.Row> rows = all.supply().rows();
        // What lies on the shelf may be taken before anything is ordered: only an order, or an opened leg, makes what
        // is missing a second wave.
        boolean opened = all.stepsDone(all.stripSteps()) > 0;
        boolean first = rows.stream().anyMatch(r -> r.ordered() > 0 || opened && r.taken() > 0);
        Map<String, Boolean> since = new Consent(all).since();
        List<Part> parts = new ArrayList<>();
        Catalogue.FamilyOffers offers = all.stores().catalogue().of(all.sheet().id());
        OptionalInt days = OptionalInt.of(0);
        for (Supply.Row row : rows) {
            if (first && row.open() > 0) {
                String why = why(all, row.part());
                parts.add(new Part(row.part(), row.title(), why, since.getOrDefault(why, false)));
                OptionalInt lead = row.onShelf() >= row.open() ? OptionalInt.of(0) : offers.lead(row.part());
                days = days.isPresent() && lead.isPresent()
                        ? OptionalInt.of(Math.max(days.getAsInt(), lead.getAsInt()))
                        : OptionalInt.empty();
            }
        }
        return new SecondWave(parts, days);
    }

    private static String why(Assessment all, String part) {
        return all.sheet().goals().stream()
                .filter(g -> all.goals().contains(g.id()))
                .filter(g -> g.fits().stream().anyMatch(f -> f.part().equals(part)))
                .map(Goal::title)
                .findFirst()
                .orElse(TEXT.get("wave.judged"));
    }

    /** The wave in a sentence; empty where there is none. */
    public String says() {
        Map<String, List<Part>> byWhy = new LinkedHashMap<>();
        parts.forEach(
                p -> byWhy.computeIfAbsent(p.why(), w -> new ArrayList<>()).add(p));
        return parts.isEmpty()
                ? ""
                : TEXT.get(
                        "wave.first",
                        byWhy.entrySet().stream()
                                .map(e -> TEXT.get(
                                        "wave.part",
                                        e.getValue().stream().map(Part::title).collect(Collectors.joining(", ")),
                                        e.getKey(),
                                        TEXT.get(e.getValue().get(0).named() ? "wave.named" : "wave.new")))
                                .collect(Collectors.joining("; ")));
    }
}
