package mussel.core.practice;

import java.time.Instant;
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
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.LegRef;
import mussel.core.job.RepairQuestion;
import mussel.core.job.Scale;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Access;
import mussel.core.verdict.Cause;
import mussel.core.verdict.Context;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.LegState;
import mussel.core.verdict.RepairGoal;
import mussel.core.verdict.Repairs;
import mussel.core.verdict.Tables;
import mussel.core.verdict.VerdictInput;
import mussel.core.verdict.VerdictResult;
import mussel.core.verdict.VerdictResult.Check;

/** A practice leg as somebody goes about it, told by the entries of the practice log; once it is handed back, what it came to. */
public final class Exercise {
    private static final double PERCENT = 100;

    private final Job job;
    private final Tables tables;
    private final Optional<Lesson> lesson;
    private final Optional<Workplace> at;
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
        this.bench = new Bench(
                leg,
                tables,
                at.map(w -> planned(job.leg(), LegContexts.facts(leg.context()), w))
                        .orElseGet(() -> Bench.Prices.tables(labourPerH)),
                LegContexts.came(job));
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
    public static Context context(LegName name, Optional<Lesson> lesson, Optional<SpecSheet> sheet) {
        Context drawn = lesson.map(Lesson::context)
                .orElseGet(() -> LegContexts.draw(name.seed(), name.number(), Optional.empty()));
        return sheet.map(s -> LegContexts.of(drawn, s)).orElse(drawn);
    }

    /** What work costs on a leg of a family: the minutes of its steps at the shop's rate, and its parts. */
    private static Bench.Prices planned(LegRef leg, List<Fact> known, Workplace at) {
        List<Entry> entries = new ArrayList<>(List.of(new Entry(1, 1, Instant.EPOCH, "", new Fact.Opened(leg))));
        known.forEach(f -> entries.add(new Entry(entries.size() + 1L, 1, Instant.EPOCH, "", f)));
        VerdictInput in = RepairQuestion.of(at.assessed(Job.of(entries))).in();
        return new Bench.Prices(in.labourPerH(), in.goals(), in.stageHours());
    }

    /** What a job of a practice leg of a family begins with: what is known of it, the state it came in, and how it is gone about. */
    public static List<Fact> opening(Context context, LegState came, boolean coached) {
        List<Fact> facts = new ArrayList<>(List.of(new Fact.Chosen(Scale.COACHED.address(), coached ? "yes" : "no")));
        facts.addAll(LegContexts.facts(context));
        facts.addAll(LegContexts.facts(came));
        return facts;
    }

    /** The state a leg comes in: that of its lesson, else drawn for it. */
    public static LegState came(PracticeLeg leg, Optional<Lesson> lesson) {
        return lesson.map(Lesson::came).orElseGet(() -> LegContexts.state(leg));
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
                    .finding(PracticeReadings.finding(begun.mode()))
                    .filter(bench::offered)
                    .ifPresent(f -> facts.add(new Fact.Chosen(Scale.LOOKED.of(f.id()), "yes")));
        }
        return facts;
    }

    /** How the leg leaks; empty for one without a sheet. */
    public Optional<LegLeaks> leaks() {
        return at.map(w -> new PracticeReadings(bench.leg(), knowledge(), w, job, bench.findings()).leaks());
    }

    /** Whether a look can be made now: one that is part of a reading made before cannot be made again. */
    public boolean offered(Finding finding) {
        return bench.offered(finding)
                && (at.isEmpty()
                        || PracticeReadings.together(finding.id()).stream().noneMatch(bench.findings()::containsKey));
    }

    /** Whether a look is made while a hold goes on, as soap is brushed on under pressure. */
    public static boolean whileHeld(String finding) {
        return finding.startsWith(PracticeReadings.SOAP);
    }

    /** What a look shows, as entries; none where it cannot be made now. What is one reading is seen together. */
    public List<Fact> look(String finding) {
        if (!offered(knowledge().finding(finding).orElseThrow())) {
            return List.of();
        }
        if (at.isEmpty()) {
            return List.of(new Fact.Chosen(Address.the(finding), bench.leg().look(finding)));
        }
        List<Fact> facts = new ArrayList<>(
                new PracticeReadings(bench.leg(), knowledge(), at.get(), job, bench.findings()).of(finding));
        told(finding).forEach(each -> facts.add(new Fact.Chosen(Scale.LOOKED.of(each), "yes")));
        return facts;
    }

    /** What a look tells: where more came out than went in, or less, the other is no question any more. */
    private List<String> told(String finding) {
        List<String> together = PracticeReadings.together(finding).stream()
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

    /** The last look against the advice; empty before any was made. */
    public Optional<LastLook> lastLook() {
        List<String> looked = looked();
        if (looked.isEmpty()) {
            return Optional.empty();
        }
        Set<String> reading = PracticeReadings.together(looked.get(looked.size() - 1));
        List<String> made = looked.stream().filter(reading::contains).toList();
        Bench before = bench.untouched();
        looked.stream().filter(l -> !reading.contains(l)).forEach(before::look);
        VerdictResult then = before.ranked();
        Optional<Check> check =
                then.checks().stream().filter(c -> made.contains(c.finding())).findFirst();
        Optional<Repairs.Round> advised = before.advised();
        return Optional.of(new LastLook(
                made,
                bench.minutes() - before.minutes(),
                check.map(Check::gainBits).orElse(0.0),
                check.map(Check::value).orElse(0.0),
                advised.map(Repairs.Round::looks).orElse(List.of()),
                advised.map(Repairs.Round::value).orElse(0.0)));
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
        return !back() && AllowedEntries.allows(fact);
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

    /** What it comes to as it stands. */
    private Settlement settlement() {
        return new Settlement(
                bench,
                looked(),
                done(),
                job.choice(Scale.PROOF),
                handedOver(),
                lesson.map(Lesson::handOver).orElse(false),
                suspected());
    }

    /** Tells what was wrong and what it came to; empty before it was handed back. */
    public Optional<PracticeReview> told() {
        return back() ? Optional.of(settlement().told()) : Optional.empty();
    }

    /** Goals that were called for and left or given away, or done and not called for or not the yard's to do; none before it was handed back. */
    public List<String> wrong() {
        return back() ? settlement().wrong() : List.of();
    }

    /** How true what is suspected is (bits a goal); empty where nothing was said. */
    public Optional<Double> score() {
        return settlement().score();
    }

    /** What it lost against the advice (money), as it was reckoned when it was handed back; empty before that. */
    public Optional<Double> lost() {
        OptionalDouble kept = job.reading(Field.LOST);
        return !back()
                ? Optional.empty()
                : Optional.of(
                        kept.isPresent() ? kept.getAsDouble() : settlement().loses());
    }

    /** Handing it back, as entries: what it lost against the advice is kept with it. */
    public List<Fact> handBack(LocalDate on) {
        double loses = settlement().loses();
        return List.of(
                new Fact.Read(
                        Field.LOST.address(),
                        loses,
                        Display.exact(Kind.MONEY, loses, YardUnits.METRIC),
                        "reckoned",
                        true),
                new Fact.Tagged(on));
    }

    /** What is wrong with it, by name. */
    public List<String> causes() {
        return knowledge().causes().stream()
                .filter(c -> bench.leg().causes().contains(c.id()))
                .map((Cause c) -> c.title(context()))
                .toList();
    }
}
