package mussel.core.practice;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import mussel.core.instrument.LegLeaks;
import mussel.core.job.Address;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.Scale;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.FamilySheet;
import mussel.core.verdict.Access;
import mussel.core.verdict.Cause;
import mussel.core.verdict.Context;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.RepairGoal;
import mussel.core.verdict.Tables;
import mussel.core.verdict.VerdictResult;
import mussel.core.verdict.VerdictResult.Check;

/** A practice leg as somebody goes about it, told by the entries of the practice log; once it is handed back, what it came to. */
public final class Exercise {
    /** What handing over costs the yard: an hour of putting it together and saying what was found (h). */
    private static final double HANDING_OVER = 1;
    /** A dealer asks more than the yard for the same. */
    private static final double DEALER = 1.5;

    private static final double LEAST = 0.01;
    private static final double PERCENT = 100;

    private final Job job;
    private final Tables tables;
    private final double labourPerH;
    private final Optional<Lesson> lesson;
    private final Optional<Workplace> at;
    private final Costing costing;
    private final Bench bench;

    private Exercise(
            Job job,
            Tables tables,
            Optional<Lesson> lesson,
            PracticeLeg leg,
            Optional<Workplace> at,
            double labourPerH) {
        this.job = job;
        this.tables = tables;
        this.lesson = lesson;
        this.at = at;
        this.labourPerH = labourPerH;
        this.costing = at.<Costing>map(w -> new PlanCosting(job.leg(), LegContexts.facts(leg.context()), w))
                .orElseGet(() -> Costing.tables(tables.knowledge(), labourPerH));
        this.bench = new Bench(leg, tables, labourPerH, costing);
        looked().forEach(bench::look);
    }

    /** Prepares tables for a context. */
    public interface Prepare {
        /** The tables ready for it. */
        Tables of(Context context);
    }

    /** An exercise by the entries of its job, on a leg without a sheet; empty where the job is of no such leg, or of a lesson that is no more. */
    public static Optional<Exercise> of(Job job, Prepare tables, List<Lesson> lessons, double labourPerH) {
        return of(job, tables, lessons, labourPerH, Optional.empty());
    }

    /** The same on a leg of a family. */
    public static Optional<Exercise> of(
            Job job, Prepare tables, List<Lesson> lessons, double labourPerH, Optional<Workplace> at) {
        return LegName.of(job.leg())
                .filter(name -> name.family().equals(at.map(w -> w.sheet().id())))
                .flatMap(name -> {
                    Optional<Lesson> lesson = lessons.stream()
                            .filter(l -> name.lesson().equals(Optional.of(l.id())))
                            .findFirst();
                    if (name.lesson().isPresent() && lesson.isEmpty()) {
                        return Optional.empty();
                    }
                    Tables ready = tables.of(context(name, lesson, at.map(Workplace::sheet)));
                    PracticeLeg leg = PracticeLeg.of(name.seed(), name.number(), ready);
                    return Optional.of(new Exercise(job, ready, lesson, leg, at, labourPerH));
                });
    }

    /** What is known of a leg of that name before anyone looks. */
    public static Context context(LegName name, Optional<Lesson> lesson, Optional<FamilySheet> sheet) {
        Context drawn = lesson.map(Lesson::context)
                .orElseGet(() -> LegContexts.draw(name.seed(), name.number(), Optional.empty()));
        return sheet.map(s -> LegContexts.of(drawn, s)).orElse(drawn);
    }

    /** What a job of a practice leg of a family begins with: what is known of it, and how it is gone about. */
    public static List<Fact> opening(Context context, boolean coached) {
        List<Fact> facts = new ArrayList<>(List.of(new Fact.Chosen(Scale.COACHED.address(), coached ? "yes" : "no")));
        facts.addAll(LegContexts.facts(context));
        return facts;
    }

    private List<String> looked() {
        return job.choices().keySet().stream()
                .filter(a -> at.isPresent() ? a.equals(Scale.LOOKED.of(a.of())) : a.of().isEmpty())
                .map(at.isPresent() ? Address::of : Address::name)
                .filter(id -> tables.knowledge().finding(id).isPresent())
                .toList();
    }

    /** The job it is written down in. */
    public Job job() {
        return job;
    }

    /** The lesson it is of; empty for free practice. */
    public Optional<Lesson> lesson() {
        return lesson;
    }

    /** The bench as it stands. */
    public Bench bench() {
        return bench;
    }

    /** The tables it is judged by. */
    public Knowledge knowledge() {
        return tables.knowledge();
    }

    /** What is known of the leg before anyone looks. */
    public Context context() {
        return tables.context();
    }

    /** Whether the running conclusion is shown while it is looked at. */
    public boolean coached() {
        return job.choice(Scale.COACHED).equals(Optional.of("yes"));
    }

    /** The name of its family; empty for a leg without a sheet. */
    public Optional<String> family() {
        return at.map(w -> w.sheet().title());
    }

    /** Whether it is of a family, and so gone about on the stations. */
    public boolean onStations() {
        return at.isPresent();
    }

    /** Whether it was handed back. */
    public boolean back() {
        return job.tagged().isPresent();
    }

    /** A hold begun on the simulated tester is a look: as entries, with what it is counted as. */
    public List<Fact> counted(Fact fact) {
        List<Fact> facts = new ArrayList<>(List.of(fact));
        if (fact instanceof Fact.HoldBegun begun) {
            knowledge()
                    .finding(Shown.finding(begun.mode()))
                    .filter(bench::offered)
                    .ifPresent(f -> facts.add(new Fact.Chosen(Scale.LOOKED.of(f.id()), "yes")));
        }
        return facts;
    }

    /** How the leg leaks; empty for one without a sheet. */
    public Optional<LegLeaks> leaks() {
        return at.map(w -> new Shown(bench.leg(), knowledge(), w, job, bench.findings()).leaks());
    }

    /** Goals that were called for and left, or done and not called for; none before it was handed back. */
    public List<String> wrong() {
        if (!back() || handedOver()) {
            return List.of();
        }
        List<String> called = bench.leg().called();
        List<String> done = done();
        return knowledge().goals().stream()
                .map(RepairGoal::id)
                .filter(g -> called.contains(g) != done.contains(g))
                .toList();
    }

    /** Whether a look can be made now: one that is part of a reading made before cannot be made again. */
    public boolean offered(Finding finding) {
        return bench.offered(finding)
                && (at.isEmpty() || Shown.together(finding.id()).stream().noneMatch(bench.findings()::containsKey));
    }

    /** What a look shows, as entries; none where it cannot be made now. What is one reading is seen together. */
    public List<Fact> look(String finding) {
        if (!offered(knowledge().finding(finding).orElseThrow())) {
            return List.of();
        }
        if (at.isEmpty()) {
            return List.of(new Fact.Chosen(Address.the(finding), bench.leg().look(finding)));
        }
        List<Fact> facts =
                new ArrayList<>(new Shown(bench.leg(), knowledge(), at.get(), job, bench.findings()).of(finding));
        told(finding).forEach(each -> facts.add(new Fact.Chosen(Scale.LOOKED.of(each), "yes")));
        return facts;
    }

    /** What a look tells: where more came out than went in, or less, the other is no question any more. */
    private List<String> told(String finding) {
        List<String> together = Shown.together(finding).stream()
                .filter(f -> knowledge().finding(f).map(bench::offered).orElse(false))
                .toList();
        return together.stream()
                .filter(f -> f.startsWith("volume") && bench.leg().look(f).equals("yes"))
                .findFirst()
                .map(List::of)
                .orElse(together);
    }

    /** What somebody suspects, by goal (0..1); only what was said. */
    public Map<String, Double> suspected() {
        Map<String, Double> suspected = new LinkedHashMap<>();
        knowledge().goals().forEach(g -> job.reading(Field.SUSPECTED.of(g.id()))
                .ifPresent(p -> suspected.put(g.id(), p / PERCENT)));
        return suspected;
    }

    /**
     * The last look against what the advice would have done then.
     *
     * @param made the look, or those that were one reading
     * @param minutes what it took, its set-up with it (min)
     * @param bits what it was expected to settle (bits)
     * @param value what it was worth, less its time (money)
     * @param advised what the advice would have looked at; none where nothing was worth its time any more
     * @param advisedValue what that was worth
     */
    public record LastLook(
            List<String> made, double minutes, double bits, double value, List<String> advised, double advisedValue) {
        /** Keeps its own copies. */
        public LastLook {
            made = List.copyOf(made);
            advised = List.copyOf(advised);
        }

        /** Whether it is what was advised. */
        public boolean asAdvised() {
            return advised.stream().anyMatch(made::contains);
        }
    }

    /** The last look against the advice; empty before any was made. */
    public Optional<LastLook> lastLook() {
        List<String> looked = looked();
        if (looked.isEmpty()) {
            return Optional.empty();
        }
        Set<String> reading = Shown.together(looked.get(looked.size() - 1));
        List<String> made = looked.stream().filter(reading::contains).toList();
        Bench before = new Bench(bench.leg(), tables, labourPerH, costing);
        looked.stream().filter(l -> !reading.contains(l)).forEach(before::look);
        VerdictResult then = before.ranked();
        Optional<Check> check =
                then.checks().stream().filter(c -> made.contains(c.finding())).findFirst();
        Optional<VerdictResult.Together> advised = then.advised(knowledge());
        return Optional.of(new LastLook(
                made,
                bench.minutes() - before.minutes(),
                check.map(Check::gainBits).orElse(0.0),
                check.map(Check::value).orElse(0.0),
                advised.map(VerdictResult.Together::findings).orElse(List.of()),
                advised.map(VerdictResult.Together::value).orElse(0.0)));
    }

    /** Whether what is behind this look is opened by it, which waits on one's own until it is said what is suspected. */
    public boolean waitsForSuspicion(String finding) {
        String access = knowledge().finding(finding).orElseThrow().access();
        return !coached()
                && suspected().isEmpty()
                && knowledge().access(access).map(Access::stripDown).orElse(false);
    }

    /** Whether a hand may enter it: what a practice leg shows is entered by looking, what was known of it stands, and so does all once it is handed back. */
    public boolean byHand(Fact fact) {
        return !back() && ByHand.allows(fact);
    }

    /** Whether it was handed over instead of mended. */
    public boolean handedOver() {
        return job.choice(Scale.HANDED_OVER).equals(Optional.of("yes"));
    }

    private List<String> done() {
        return knowledge().goals().stream()
                .map(RepairGoal::id)
                .filter(g -> job.choice(Scale.GOAL.of(g)).equals(Optional.of("yes")))
                .toList();
    }

    /**
     * One look in the reckoning.
     *
     * @param finding which
     * @param shows what it showed
     * @param minutes what it took, its set-up with it (min)
     * @param bits what it was expected to settle as it was made (bits)
     * @param value what it was worth then, less its time (money)
     */
    public record Made(String finding, String shows, double minutes, double bits, double value) {}

    /**
     * What it came to.
     *
     * @param own as it was handed back
     * @param advice what the program's advice would have cost on this leg
     * @param advised what that would have looked at, in its order
     * @param knowing what somebody who knew what is wrong would have cost, without a look
     * @param looks each look that was made
     * @param score how true what was suspected is, in bits a goal: nought is certain and right, one is a coin; empty where nothing was said
     * @param right whether it was right to mend it, or to hand it over
     */
    public record Told(
            Reckoning own,
            Reckoning advice,
            List<String> advised,
            Reckoning knowing,
            List<Made> looks,
            Optional<Double> score,
            boolean right) {
        /** Keeps its own copies. */
        public Told {
            advised = List.copyOf(advised);
            looks = List.copyOf(looks);
        }

        /** What was lost against the advice (money); below nought where it was beaten. */
        public double lost() {
            return own.cost() - advice.cost();
        }
    }

    /** What it lost against the advice (money), as it was reckoned when it was handed back; empty before that. */
    public Optional<Double> lost() {
        OptionalDouble kept = job.reading(Field.LOST);
        return !back() ? Optional.empty() : Optional.of(kept.isPresent() ? kept.getAsDouble() : loses());
    }

    private double loses() {
        boolean handOver = lesson.map(Lesson::handOver).orElse(false);
        return own(handOver).cost() - advice(handOver, advised()).cost();
    }

    /** Handing it back, as entries: what it lost against the advice is kept with it. */
    public List<Fact> handBack(LocalDate on) {
        double loses = loses();
        return List.of(
                new Fact.Read(
                        Field.LOST.address(),
                        loses,
                        Display.exact(Kind.MONEY, loses, YardUnits.METRIC),
                        "reckoned",
                        true),
                new Fact.Tagged(on));
    }

    private Bench advised() {
        return new Policies(tables, labourPerH, costing).look(bench.leg(), Policy.ADVICE);
    }

    private Reckoning advice(boolean handOver, Bench advised) {
        return handOver ? over(advised) : advised.handBack();
    }

    /** Tells what was wrong and what it came to; empty before it was handed back. */
    public Optional<Told> told() {
        if (!back()) {
            return Optional.empty();
        }
        Bench again = new Bench(bench.leg(), tables, labourPerH, costing);
        List<Made> looks = new ArrayList<>();
        for (String finding : looked()) {
            Optional<Check> then = again.ranked().checks().stream()
                    .filter(c -> c.finding().equals(finding))
                    .findFirst();
            double before = again.minutes();
            String shows = again.look(finding).orElse("");
            looks.add(new Made(
                    finding,
                    shows,
                    again.minutes() - before,
                    then.map(Check::gainBits).orElse(0.0),
                    then.map(Check::value).orElse(0.0)));
        }
        Bench advised = advised();
        Bench untouched = new Bench(bench.leg(), tables, labourPerH, costing);
        boolean handOver = lesson.map(Lesson::handOver).orElse(false);
        Reckoning advice = advice(handOver, advised);
        return Optional.of(new Told(
                own(handOver),
                advice,
                List.copyOf(advised.findings().keySet()),
                handOver ? over(untouched) : Policies.known(untouched),
                looks,
                score(),
                handOver == handedOver()));
    }

    /** As it was handed back: what is another's work and was done all the same comes back whole. */
    private Reckoning own(boolean handOver) {
        if (handedOver()) {
            return over(bench);
        }
        if (!handOver) {
            return bench.handBack(done());
        }
        Reckoning none = bench.handBack(List.of());
        Reckoning mended = bench.handBack(done());
        return new Reckoning(
                none.minutes(),
                none.looking(),
                mended.work(),
                none.comebacks(),
                done(),
                none.missed(),
                done(),
                none.looks());
    }

    /** Handed over: an hour of the yard's, and a dealer's price for what is called for. */
    private Reckoning over(Bench at) {
        Reckoning all = at.handBack(at.leg().called());
        return new Reckoning(
                all.minutes(),
                all.looking(),
                HANDING_OVER * labourPerH + DEALER * all.work(),
                0,
                List.of(),
                List.of(),
                List.of(),
                all.looks());
    }

    /** The logarithmic score (Good 1952) of what was suspected before it was handed back; what was not spoken of counts as the tables have it beforehand. */
    public Optional<Double> score() {
        Map<String, Double> suspected = suspected();
        if (suspected.isEmpty()) {
            return Optional.empty();
        }
        VerdictResult before = new Bench(bench.leg(), tables, labourPerH, costing).believed();
        double bits = 0;
        for (RepairGoal goal : knowledge().goals()) {
            double p = suspected.getOrDefault(
                    goal.id(),
                    before.decision(goal.id())
                            .map(VerdictResult.Decision::probability)
                            .orElse(0.0));
            double held = Math.min(1 - LEAST, Math.max(LEAST, p));
            boolean there = bench.leg().called().contains(goal.id());
            bits -= Math.log(there ? held : 1 - held) / Math.log(2);
        }
        return Optional.of(bits / knowledge().goals().size());
    }

    /** What is wrong with it, by name. */
    public List<String> causes() {
        return knowledge().causes().stream()
                .filter(c -> bench.leg().causes().contains(c.id()))
                .map((Cause c) -> c.title(context()))
                .toList();
    }
}
