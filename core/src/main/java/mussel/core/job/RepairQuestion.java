package mussel.core.job;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mussel.core.measure.OrderedMap;
import mussel.core.measure.StopToken;
import mussel.core.parts.Catalogue;
import mussel.core.plan.PlanEngine;
import mussel.core.sheet.Goal;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Judge;
import mussel.core.verdict.RepairTables;
import mussel.core.verdict.Repairs;
import mussel.core.verdict.VerdictInput;

/**
 * What is asked of the verdict engine about a job's repairs as sets: the state of the lower unit, the final check, what the repairs cost in this shop
 * once their way in is open. Made on the interface thread, answered beside it.
 *
 * @param in the engine's input
 * @param chosen the repairs chosen so far
 * @param leadDays how long the parts of each repair take to come (days)
 * @param plan what the whole plan of some repairs comes to; takes some milliseconds each
 * @param judge the tables in use
 */
public record RepairQuestion(
        VerdictInput in,
        Set<String> chosen,
        Map<String, Integer> leadDays,
        Function<Set<String>, Price> plan,
        Judge judge) {
    /** Keeps its own copies. */
    public RepairQuestion {
        chosen = Set.copyOf(chosen);
        leadDays = OrderedMap.copyOf(leadDays);
    }

    /** What a job asks. */
    public static RepairQuestion of(Assessment all) {
        Catalogue.FamilyOffers offers = all.stores().catalogue().of(all.sheet().id());
        Map<String, VerdictInput.Costs> own = new LinkedHashMap<>();
        Map<String, Integer> days = new LinkedHashMap<>();
        StageHours hours = all.knowledge()
                .repairs()
                .map(tables -> StageHours.of(all.timed(), tables, all.saltYears()))
                .orElseGet(() -> new StageHours(Map.of(), Map.of()));
        all.knowledge().repairs().ifPresent(tables -> tables.goals()
                .forEach(repair -> all.sheet().goal(repair.id()).ifPresent(goal -> {
                    days.put(repair.id(), lead(goal, offers));
                    double work = hours.own().getOrDefault(repair.id(), repair.ownHours());
                    double rate = all.yard().labourPerH();
                    double parts = price(goal, offers).orElse(repair.partsHours() * rate);
                    own.put(repair.id(), new VerdictInput.Costs(work * rate + parts, 0));
                })));
        return new RepairQuestion(
                all.verdictInput().priced(own, known(all, hours), proof(all)),
                Set.copyOf(all.goals()),
                days,
                plan(all, offers),
                all.judge());
    }

    /** The final check: once the pressure and vacuum tests of the end are made, those; before that, the one chosen. */
    private static Optional<String> proof(Assessment all) {
        long made = all.proof().proofs().stream()
                .filter(p -> p.section() == ProofWork.Section.LEAK && p.state() != ProofWork.State.OPEN)
                .count();
        return made > 0
                ? Optional.of(made > 1 ? "both_holds" : "one_hold")
                : all.job().choice(Scale.PROOF);
    }

    /** The stages of the tables that the sheet has steps for; the others stay as the tables have them. */
    private static Map<String, Double> known(Assessment all, StageHours hours) {
        return all.knowledge().repairs().stream()
                .flatMap(r -> r.stages().stream())
                .filter(s -> hours.stages().containsKey(s.id()))
                .collect(Collectors.toMap(
                        RepairTables.Stage::id, s -> hours.stages().get(s.id())));
    }

    /**
     * What a plan comes to.
     *
     * @param minutes its work on average (min)
     * @param money work and parts (money)
     * @param unpriced whether a part has no price
     */
    public record Price(double minutes, double money, boolean unpriced) {}

    private static Function<Set<String>, Price> plan(Assessment all, Catalogue.FamilyOffers offers) {
        SpecSheet sheet = all.timed();
        double salt = all.saltYears();
        double rate = all.yard().labourPerH();
        return goals -> {
            double minutes = goals.isEmpty() ? 0 : PlanEngine.meanMinutes(sheet, goals, salt);
            Map<String, Integer> parts = new LinkedHashMap<>();
            goals.forEach(g -> sheet.goal(g)
                    .ifPresent(goal -> goal.fits().forEach(f -> parts.merge(f.part(), f.qty(), Math::max))));
            double money = minutes / 60 * rate;
            boolean unpriced = false;
            for (Map.Entry<String, Integer> part : parts.entrySet()) {
                OptionalDouble price = offers.price(part.getKey());
                unpriced |= price.isEmpty();
                money += part.getValue() * price.orElse(0);
            }
            return new Price(minutes, money, unpriced);
        };
    }

    /** What the parts of a repair cost; nothing where one of them has no price. */
    private static OptionalDouble price(Goal goal, Catalogue.FamilyOffers offers) {
        double sum = 0;
        for (PartQty fit : goal.fits()) {
            OptionalDouble price = offers.price(fit.part());
            if (price.isEmpty()) {
                return price;
            }
            sum += fit.qty() * price.getAsDouble();
        }
        return goal.fits().isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(sum);
    }

    private static int lead(Goal goal, Catalogue.FamilyOffers offers) {
        return goal.fits().stream()
                .mapToInt(fit -> offers.lead(fit.part()).orElse(0))
                .max()
                .orElse(0);
    }

    /**
     * The answer, each set priced by its own plan.
     *
     * @param repairs the sets
     * @param prices by repairs
     */
    public record Answer(Repairs repairs, Map<Set<String>, Price> prices) {}

    /** The answer. Takes up to some tenths of a second. */
    public Answer answer(Set<String> known, StopToken stop) {
        Repairs repairs = judge.repairs(in, chosen, stop);
        Map<Set<String>, Price> prices = new LinkedHashMap<>();
        Stream.concat(repairs.sets().stream(), repairs.chosen().stream())
                .map(set -> set.goals().stream().filter(known::contains).collect(Collectors.toSet()))
                .forEach(goals -> prices.computeIfAbsent(goals, plan));
        return new Answer(repairs, prices);
    }

    /** How long the parts of a set take to come (days). */
    public int days(List<String> goals) {
        return goals.stream().mapToInt(g -> leadDays.getOrDefault(g, 0)).max().orElse(0);
    }
}
