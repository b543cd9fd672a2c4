package mussel.core.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import mussel.core.measure.Display;
import mussel.core.measure.Explanation;
import mussel.core.measure.Explanation.InputLine;
import mussel.core.measure.Kind;
import mussel.core.measure.Money;
import mussel.core.measure.Sentences;
import mussel.core.measure.YardUnits;
import mussel.core.verdict.VerdictResult.CauseBelief;
import mussel.core.verdict.VerdictResult.Check;
import mussel.core.verdict.VerdictResult.Decision;
import mussel.core.verdict.VerdictResult.Together;

/** The verdict in sentences: the same ones on screen, on paper and in the headless answer. */
public final class VerdictWords {
    private static final Sentences SAY = Sentences.beside(VerdictWords.class);
    private static final double LIKELY = 0.5;
    private static final double NOT_RULED_OUT = 0.15;
    private static final double WORTH_SAYING = 0.03;
    /** A cause has risen when it stands this far over its prior. */
    private static final double RISEN = 1.1;

    private final Knowledge knowledge;
    private final Context context;
    private final VerdictResult out;
    private final Money money;

    /** Words for one result in its context, in the yard's money. */
    public VerdictWords(Knowledge knowledge, Context context, VerdictResult out, Money money) {
        this.money = money;
        this.knowledge = knowledge;
        this.context = context;
        this.out = out;
    }

    /** Plain sentences a technician can act on. */
    public List<String> notes() {
        List<String> notes = new ArrayList<>();
        notes.add(head());
        lipSide().ifPresent(notes::add);
        contradiction().ifPresent(notes::add);
        notes.add(next());
        return List.copyOf(notes);
    }

    /** Which costs were weighed: those given, or where some are missing the tables' own. */
    public static String costs(VerdictInput in) {
        boolean stages = !in.stageHours().isEmpty();
        return SAY.say(
                in.goals().isEmpty() && !stages ? "costs.tables" : "costs.given",
                in.goals().size());
    }

    /** The one sentence of the running conclusion. */
    public String head() {
        List<Decision> likely = out.decisions().stream()
                .filter(d -> d.probability() >= LIKELY && risen(d.goal()) && news(d))
                .sorted(Comparator.comparingDouble(Decision::probability).reversed())
                .toList();
        List<Decision> open = out.decisions().stream()
                .filter(d -> d.probability() >= NOT_RULED_OUT && d.probability() < LIKELY && risen(d.goal()) && news(d))
                .sorted(Comparator.comparingDouble(Decision::probability).reversed())
                .limit(2)
                .toList();
        if (likely.isEmpty()) {
            return open.isEmpty() ? SAY.say("head.nothing") : SAY.say("head.unsure", named(open));
        }
        return open.isEmpty()
                ? SAY.say("head.likely", named(likely.stream().limit(2).toList()))
                : SAY.say("head.likely_open", named(likely.stream().limit(2).toList()), titles(open));
    }

    /** Whether anything seen speaks for a goal; without that its probability is only its prior. */
    public boolean risen(String goal) {
        return out.causes().stream()
                .filter(c -> knowledge.cause(c.id()).orElseThrow().goal().equals(goal))
                .anyMatch(c -> c.probability() > RISEN * c.prior());
    }

    /**
     * Whether a goal belongs into the headline: the oil is changed anyway, so it is no news while something that is wrong with the case is the
     * likelier reason for what was seen.
     */
    private boolean news(Decision decision) {
        if (!ofTheOil(decision.goal())) {
            return true;
        }
        double none = out.decisions().stream()
                .filter(d -> !ofTheOil(d.goal()) && risen(d.goal()))
                .mapToDouble(d -> 1 - d.probability())
                .reduce(1, (a, b) -> a * b);
        double oil = out.causes().stream()
                .filter(c -> c.probability() > RISEN * c.prior())
                .filter(c -> knowledge.cause(c.id()).orElseThrow().goal().equals(decision.goal()))
                .mapToDouble(CauseBelief::probability)
                .max()
                .orElse(0);
        return oil > 1 - none;
    }

    private boolean ofTheOil(String goal) {
        return knowledge.causes().stream().filter(c -> c.goal().equals(goal)).allMatch(c -> c.place()
                .equals(Cause.OIL));
    }

    private String named(List<Decision> goals) {
        return goals.stream()
                .map(d -> title(d.goal()) + ", " + Display.percent(d.probability()))
                .reduce((a, b) -> a + "; " + b)
                .orElse("");
    }

    private String titles(List<Decision> goals) {
        return goals.stream()
                .map(d -> title(d.goal()))
                .reduce((a, b) -> a + ", " + b)
                .orElse("");
    }

    private String title(String goal) {
        return knowledge.goal(goal).map(RepairGoal::title).orElse(goal);
    }

    /** Which lip of the leading pair it is, once one side clearly leads. */
    public Optional<String> lipSide() {
        if (context.sealLayout().equals(Optional.of(Context.SealLayout.BOTH_OUT))) {
            return Optional.empty();
        }
        for (String pair : List.of("driveshaft", "propshaft")) {
            Optional<CauseBelief> oil = out.cause(pair + "_oil_lip");
            Optional<CauseBelief> water = out.cause(pair + "_water_lip");
            if (oil.isEmpty() || water.isEmpty()) {
                continue;
            }
            CauseBelief more = oil.get().probability() > water.get().probability() ? oil.get() : water.get();
            CauseBelief less = more == oil.get() ? water.get() : oil.get();
            if (more.probability() > LIKELY && more.probability() > 2 * less.probability()) {
                return Optional.of(SAY.say(
                        "lip",
                        knowledge.cause(more.id()).map(c -> c.title(context)).orElse(more.id()),
                        Display.percent(more.probability()),
                        Display.percent(less.probability())));
            }
        }
        return Optional.empty();
    }

    /** That the findings contradict each other, and which carries most of it. */
    public Optional<String> contradiction() {
        return out.surprisedBy()
                .map(f -> SAY.say(
                        "contradict",
                        Display.significant(out.surpriseBits()),
                        knowledge.finding(f).map(Finding::title).orElse(f)));
    }

    /** The next look worth making, or that none is. */
    public String next() {
        if (out.checks().isEmpty()) {
            return SAY.say("next.all");
        }
        return advised().map(this::next).orElseGet(() -> SAY.say("next.none"));
    }

    /**
     * What to look at next: the look, or the looks of one set-up, worth most. For what the leg came in for comes before what is cheap beside it, and
     * what needs no strip-down before what does: the case can still be opened after. Empty when no look is worth its time.
     */
    public Optional<Together> advised() {
        return out.advised(knowledge);
    }

    /** Whether what is to be looked at next is for what the leg came in for. */
    public boolean forComplaint() {
        return advised()
                .map(t -> t.bearing() == VerdictResult.Bearing.COMPLAINT)
                .orElse(false);
    }

    /** The names of looks made together. */
    public String titles(Together together) {
        return together.findings().stream()
                .map(f -> knowledge.finding(f).map(Finding::title).orElse(f))
                .collect(Collectors.joining(", "));
    }

    private String next(Together together) {
        return SAY.say(
                together.findings().size() > 1 ? "next.together" : "next.look",
                titles(together),
                knowledge.access(together.access()).map(Access::title).orElse(together.access()),
                Display.workTime(together.minutes()),
                money.sum(together.saves()));
    }

    /** How the most likely causes moved since another result, in a sentence part each; empty where little did. */
    public List<String> changes(VerdictResult before) {
        List<String> moved = new ArrayList<>();
        out.decisions().forEach(now -> before.decision(now.goal()).ifPresent(was -> {
            if (Math.abs(now.probability() - was.probability()) >= WORTH_SAYING) {
                moved.add(SAY.say(
                        "moved",
                        title(now.goal()),
                        Display.percent(was.probability()),
                        Display.percent(now.probability())));
            }
        }));
        return List.copyOf(moved);
    }

    /** Why a cause is as likely as it is. */
    public Explanation why(CauseBelief belief) {
        Cause cause = knowledge.cause(belief.id()).orElseThrow();
        List<InputLine> lines = new ArrayList<>();
        lines.add(new InputLine(SAY.say("why.prior"), Display.percent(belief.prior()), cause.why()));
        belief.evidence().stream()
                .filter(e -> Math.abs(e.bits()) >= 0.01)
                .sorted(Comparator.comparingDouble((VerdictResult.Evidence e) -> -Math.abs(e.bits())))
                .forEach(e -> lines.add(new InputLine(
                        knowledge.finding(e.finding()).map(Finding::title).orElse(e.finding()),
                        bits(e.bits()),
                        reason(e.finding(), belief.id()))));
        return new Explanation(
                cause.title(context),
                Display.percent(belief.probability()),
                SAY.say("why.formula"),
                lines,
                SAY.say("why.source", out.knowledgeVersion()),
                SAY.say("why.u"),
                next());
    }

    private String reason(String finding, String cause) {
        return knowledge.finding(finding).stream()
                .flatMap(f -> f.given().stream())
                .filter(s -> s.cause().equals(cause))
                .map(Finding.Share::why)
                .findFirst()
                .orElseGet(() -> SAY.say("why.elsewhere"));
    }

    /** Bits with their sign. */
    public static String bits(double bits) {
        return (bits < 0 ? "−" : "+") + Display.significant(Math.abs(bits)) + " bits";
    }

    /** Why a goal is to be done or left. */
    public Explanation why(Decision decision) {
        return new Explanation(
                title(decision.goal()),
                SAY.say(decision.act() ? "decision.do" : "decision.leave"),
                SAY.say("why.decision.formula"),
                List.of(
                        new InputLine(
                                SAY.say("why.decision.p"),
                                Display.percent(decision.probability()),
                                SAY.say("why.origin.tables")),
                        new InputLine(
                                SAY.say("why.decision.do"),
                                money.sum(decision.expectedCostDo()),
                                SAY.say("why.origin.costs")),
                        new InputLine(
                                SAY.say("why.decision.leave"),
                                money.sum(decision.expectedCostLeave()),
                                SAY.say("why.origin.costs"))),
                SAY.say("why.source", out.knowledgeVersion()),
                SAY.say("why.u"),
                SAY.say("why.decision.change"));
    }

    /** Why a look is worth what it is. */
    public Explanation why(Check check) {
        return new Explanation(
                knowledge.finding(check.finding()).map(Finding::title).orElse(check.finding()),
                money.sum(check.value()),
                SAY.say("why.check.formula"),
                List.of(
                        new InputLine(
                                SAY.say("why.check.saves"), money.sum(check.saves()), SAY.say("why.origin.tables")),
                        new InputLine(
                                SAY.say("why.check.minutes"),
                                Display.exact(Kind.DURATION, check.minutes(), YardUnits.METRIC),
                                knowledge
                                        .access(check.access())
                                        .map(Access::title)
                                        .orElse("")),
                        new InputLine(SAY.say("why.check.gain"), bits(check.gainBits()), SAY.say("why.origin.tables"))),
                SAY.say("why.source", out.knowledgeVersion()),
                SAY.say("why.u"),
                SAY.say("why.check.change"));
    }
}
