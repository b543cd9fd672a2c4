package mussel.core.book;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import mussel.core.drain.DrainResult;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.BenchLine;
import mussel.core.job.Comeback;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.HeldTest;
import mussel.core.job.Job;
import mussel.core.job.LegBefore;
import mussel.core.job.Scale;
import mussel.core.job.SetupPlace;
import mussel.core.job.StepMinutes;
import mussel.core.job.Topic;
import mussel.core.language.Messages;
import mussel.core.leak.LeakMode;
import mussel.core.log.Visit;
import mussel.core.log.Visit.Measure;
import mussel.core.log.Visit.Quantity;
import mussel.core.log.Visit.Renewal;
import mussel.core.log.Visit.Wearing;
import mussel.core.pump.PumpPart;
import mussel.core.pump.PumpResult;
import mussel.core.sheet.Goal;
import mussel.core.sheet.Goal.Meaning;
import mussel.core.sheet.Part;
import mussel.core.verdict.Cause;
import mussel.core.verdict.VerdictResult;
import mussel.core.verdict.VerdictResult.CauseBelief;

/**
 * A job as it goes into the book: the visit, its line on the bench, and every word it can be found by.
 *
 * @param visit the visit
 * @param line its line on the bench
 * @param words everything written, chosen and done, for the search
 */
public record Filed(Visit visit, BenchLine line, String words) {
    private static final Messages TEXT = Messages.of(Filed.class);

    private static final Set<String> WET = Set.of("streaks", "milky", "sludge");
    /** Rules of the pump that speak of a policy and not of the part's condition. */
    private static final Set<String> POLICIES =
            Set.of("policy_always", "policy_calendar", "age_unknown", "not_looked", "extent_kit");

    /** Files a job as assessed. */
    public static Filed of(Assessment now) {
        Job job = now.job();
        Visit visit = new Visit(
                        job.id(),
                        job.leg().id(),
                        job.leg().title(),
                        job.leg().boat(),
                        job.leg().family(),
                        now.sheet().title(),
                        java.time.LocalDate.ofInstant(job.opened(), now.zone()),
                        job.tagged(),
                        job.reading(Field.ENGINE_HOURS),
                        job.choice(Scale.WATER),
                        job.choice(Scale.SAND).equals(Optional.of("yes")),
                        measures(now),
                        expected(now),
                        now.goals().stream()
                                .map(g -> now.sheet().goal(g).map(Goal::title).orElse(g))
                                .toList(),
                        looks(job),
                        renewals(now),
                        job.note(Topic.COMPLAINT.address()).orElse(""),
                        now.simulated())
                .proved(LegBefore.held(job), new Comeback(now).marked(), StepMinutes.work(now));
        return new Filed(visit, BenchLine.of(now), words(now, visit));
    }

    private static List<Measure> measures(Assessment now) {
        List<Measure> measures = new ArrayList<>();
        now.drain()
                .result()
                .map(DrainResult::water)
                .filter(w -> w.fraction().isPresent())
                .ifPresent(w -> measures.add(new Measure(
                        Quantity.WATER,
                        w.fraction().getAsDouble(),
                        w.low().orElse(w.fraction().getAsDouble()),
                        w.high().orElse(w.fraction().getAsDouble()),
                        false)));
        worstMagnet(now.job()).ifPresent(m -> measures.add(exact(Quantity.MAGNET, m, false)));
        now.setup()
                .ifPresent(setup -> setup.places().forEach(place -> lash(place).ifPresent(measures::add)));
        now.pump().result().flows().stream()
                .filter(f -> f.ofNew().isPresent())
                .max(Comparator.comparingDouble(PumpResult.MeasuredFlow::rpm))
                .ifPresent(f -> measures.add(
                        exact(Quantity.FLOW, f.ofNew().getAsDouble(), now.pump().simulatedFlow())));
        now.holdsBefore().stream()
                .filter(h -> h.hold().mode() == LeakMode.PRESSURE)
                .filter(h -> h.result().isPresent())
                .findFirst()
                .ifPresent(h -> measures.add(drop(h)));
        return measures;
    }

    private static Measure drop(HeldTest held) {
        var result = held.result().orElseThrow();
        return new Measure(
                Quantity.PRESSURE_DROP,
                result.dropKpa(),
                result.dropLowKpa(),
                result.dropHighKpa(),
                held.hold().simulated());
    }

    private static Measure exact(Quantity quantity, double value, boolean simulated) {
        return new Measure(quantity, value, value, value, simulated);
    }

    private static Optional<Double> worstMagnet(Job job) {
        List<String> scale = Scale.MAGNET.outcomes();
        return job.choices().entrySet().stream()
                .filter(c -> c.getKey().name().equals(Scale.MAGNET.address().name()))
                .map(c -> (double) scale.indexOf(c.getValue()))
                .max(Comparator.naturalOrder());
    }

    /** The lash a gear is left with, else the one it came with. */
    private static Optional<Measure> lash(SetupPlace place) {
        return quantity(place).flatMap(quantity -> place.after()
                .or(place::lash)
                .map(a -> new Measure(
                        quantity,
                        a.out().lashMm(),
                        a.out().lashMm() - a.out().spreadMm() / 2,
                        a.out().lashMm() + a.out().spreadMm() / 2,
                        place.simulated())));
    }

    /** The measure that a gear's lash is kept under; a gear of another place has none, and is not taken for one of these. */
    private static Optional<Quantity> quantity(SetupPlace place) {
        return switch (place.id()) {
            case "forward" -> Optional.of(Quantity.LASH_FORWARD);
            case "reverse" -> Optional.of(Quantity.LASH_REVERSE);
            default -> Optional.empty();
        };
    }

    /** Causes somebody confirmed or ruled out, as likely as the verdict held them. */
    private static List<Visit.Expectation> expected(Assessment now) {
        Map<String, Boolean> confirmed = now.confirmed();
        if (confirmed.isEmpty()) {
            return List.of();
        }
        VerdictResult verdict = now.verdict();
        List<Visit.Expectation> expected = new ArrayList<>();
        for (Cause cause : now.knowledge().causes()) {
            Optional<CauseBelief> belief = verdict.cause(cause.id());
            if (confirmed.containsKey(cause.id()) && belief.isPresent()) {
                expected.add(new Visit.Expectation(
                        cause.id(),
                        cause.title(now.context()),
                        belief.get().probability(),
                        belief.get().prior(),
                        confirmed.get(cause.id())));
            }
        }
        return expected;
    }

    private static List<Visit.Look> looks(Job job) {
        List<Visit.Look> looks = new ArrayList<>();
        for (Scale scale : List.of(Scale.OIL_WATER, Scale.OIL_HEAT, Scale.OIL_METAL)) {
            job.choice(scale).ifPresent(outcome -> looks.add(new Visit.Look(scale.name(), outcome)));
        }
        return looks;
    }

    private static List<Renewal> renewals(Assessment now) {
        Job job = now.job();
        List<Renewal> renewals = new ArrayList<>();
        if (job.tagged().isEmpty()) {
            return renewals;
        }
        List<String> goals = now.goals();
        if (now.sheet().renewsImpeller(goals)) {
            renewals.add(new Renewal(Wearing.IMPELLER, impellerFailed(now), job.reading(Field.IMPELLER_HOURS)));
        }
        if (now.sheet().means(goals, Meaning.RENEWS_DRIVESHAFT_SEALS)) {
            renewals.add(seals(now, Wearing.DRIVESHAFT_SEALS, Meaning.RENEWS_DRIVESHAFT_SEALS));
        }
        if (now.sheet().means(goals, Meaning.RENEWS_PROPSHAFT_SEALS)) {
            renewals.add(seals(now, Wearing.PROPSHAFT_SEALS, Meaning.RENEWS_PROPSHAFT_SEALS));
        }
        if (job.reading(Field.PUMPED).isPresent()) {
            renewals.add(new Renewal(Wearing.GEAR_OIL, oilFailed(job), job.reading(Field.HOURS_SINCE_FILL)));
        }
        return renewals;
    }

    private static Optional<Boolean> impellerFailed(Assessment now) {
        Optional<Boolean> confirmed = confirmed(now, Meaning.RENEWS_IMPELLER);
        if (confirmed.isPresent()) {
            return confirmed;
        }
        if (now.pump().input().vanes().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(now.pump().result().part(PumpPart.IMPELLER).rules().stream()
                .anyMatch(r -> r.asks() == PumpResult.PartVerdict.REPLACE && !POLICIES.contains(r.rule())));
    }

    private static Renewal seals(Assessment now, Wearing what, Meaning meaning) {
        return new Renewal(what, confirmed(now, meaning), OptionalDouble.empty());
    }

    /** Whether one of the causes that call for such work was found; empty where nobody has looked at any. */
    private static Optional<Boolean> confirmed(Assessment now, Meaning meaning) {
        Map<String, Boolean> confirmed = now.confirmed();
        List<Boolean> found = now.knowledge().causes().stream()
                .filter(c -> now.sheet().means(List.of(c.goal()), meaning) && confirmed.containsKey(c.id()))
                .map(c -> confirmed.get(c.id()))
                .toList();
        return found.isEmpty() ? Optional.empty() : Optional.of(found.contains(true));
    }

    private static Optional<Boolean> oilFailed(Job job) {
        Optional<String> water = job.choice(Scale.OIL_WATER);
        Optional<String> heat = job.choice(Scale.OIL_HEAT);
        boolean failed = water.filter(WET::contains).isPresent() || heat.equals(Optional.of("burnt"));
        return water.isEmpty() && heat.isEmpty() ? Optional.empty() : Optional.of(failed);
    }

    private static String words(Assessment now, Visit visit) {
        Job job = now.job();
        Set<String> words = new TreeSet<>();
        job.notes().values().forEach(words::add);
        job.choices().forEach((about, outcome) -> words.add(named(about) + " " + plain(outcome)));
        job.holds()
                .forEach(h ->
                        words.add(TEXT.get("filed.hold", plain(h.mode().name().toLowerCase(Locale.ROOT)))));
        job.orders()
                .forEach(o -> words.add(o.placed().order() + " " + o.placed().reference()));
        job.readings().values().stream().map(Fact.Read::instrument).forEach(words::add);
        job.pictures().forEach(p -> words.add(p.title()));
        visit.done().forEach(words::add);
        visit.expected().stream().filter(Visit.Expectation::found).forEach(e -> words.add(e.title()));
        now.plan()
                .parts()
                .forEach(p -> now.sheet().part(p.part().part()).map(Part::title).ifPresent(words::add));
        return TEXT.get(
                "filed.job", job.id(), visit.title(), visit.familyTitle(), visit.day(), String.join(". ", words));
    }

    private static String named(Address about) {
        return about.of().isEmpty() ? plain(about.name()) : plain(about.name()) + " " + plain(about.of());
    }

    private static String plain(String id) {
        return id.replace('_', ' ');
    }
}
