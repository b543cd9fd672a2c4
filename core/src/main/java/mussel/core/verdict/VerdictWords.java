package mussel.core.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Explanation;
import mussel.core.measure.Explanation.InputLine;
import mussel.core.measure.Kind;
import mussel.core.measure.Money;
import mussel.core.measure.YardUnits;
import mussel.core.verdict.VerdictResult.CauseBelief;
import mussel.core.verdict.VerdictResult.Check;
import mussel.core.verdict.VerdictResult.Decision;
import mussel.core.verdict.VerdictResult.Together;

/** The verdict in sentences: the same ones on screen, on paper and in the headless answer. */
public final class VerdictWords {
    private static final Messages TEXT = Messages.of(VerdictWords.class);
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
        return TEXT.get(
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
            return open.isEmpty() ? TEXT.get("head.nothing") : TEXT.get("head.unsure", named(open));
        }
        return open.isEmpty()
                ? TEXT.get("head.likely", named(likely.stream().limit(2).toList()))
                : TEXT.get("head.likely_open", named(likely.stream().limit(2).toList()), titles(open));
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
                return Optional.of(TEXT.get(
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
                .map(f -> TEXT.get(
                        "contradict",
                        Display.significant(out.surpriseBits()),
                        knowledge.finding(f).map(Finding::title).orElse(f)));
    }

    /** The next look worth making, or that none is. */
    public String next() {
        if (out.checks().isEmpty()) {
            return TEXT.get("next.all");
        }
        return advised().map(this::next).orElseGet(() -> TEXT.get("next.none"));
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
        return TEXT.get(
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
                moved.add(TEXT.get(
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
        lines.add(new InputLine(TEXT.get("why.prior"), Display.percent(belief.prior()), cause.why()));
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
                TEXT.get("why.formula"),
                lines,
                TEXT.get("why.source", out.knowledgeVersion()),
                TEXT.get("why.u"),
                next());
    }

    private String reason(String finding, String cause) {
        return knowledge.finding(finding).stream()
                .flatMap(f -> f.given().stream())
                .filter(s -> s.cause().equals(cause))
                .map(Finding.Share::why)
                .findFirst()
                .orElseGet(() -> TEXT.get("why.elsewhere"));
    }

    /** Bits with their sign. */
    public static String bits(double bits) {
        return TEXT.get("verdict_words.bits", (bits < 0 ? "−" : "+"), Display.significant(Math.abs(bits)));
    }

    /** Why a goal is to be done or left. */
    public Explanation why(Decision decision) {
        return new Explanation(
                title(decision.goal()),
                TEXT.get(decision.act() ? "decision.do" : "decision.leave"),
                TEXT.get("why.decision.formula"),
                List.of(
                        new InputLine(
                                TEXT.get("why.decision.p"),
                                Display.percent(decision.probability()),
                                TEXT.get("why.origin.tables")),
                        new InputLine(
                                TEXT.get("why.decision.do"),
                                money.sum(decision.expectedCostDo()),
                                TEXT.get("why.origin.costs")),
                        new InputLine(
                                TEXT.get("why.decision.leave"),
                                money.sum(decision.expectedCostLeave()),
                                TEXT.get("why.origin.costs"))),
                TEXT.get("why.source", out.knowledgeVersion()),
                TEXT.get("why.u"),
                TEXT.get("why.decision.change"));
    }

    /** Why a look is worth what it is. */
    public Explanation why(Check check) {
        return new Explanation(
                knowledge.finding(check.finding()).map(Finding::title).orElse(check.finding()),
                money.sum(check.value()),
                TEXT.get("why.check.formula"),
                List.of(
                        new InputLine(
                                TEXT.get("why.check.saves"), money.sum(check.saves()), TEXT.get("why.origin.tables")),
                        new InputLine(
                                TEXT.get("why.check.minutes"),
                                Display.exact(Kind.DURATION, check.minutes(), YardUnits.METRIC),
                                knowledge
                                        .access(check.access())
                                        .map(Access::title)
                                        .orElse("")),
                        new InputLine(
                                TEXT.get("why.check.gain"), bits(check.gainBits()), TEXT.get("why.origin.tables"))),
                TEXT.get("why.source", out.knowledgeVersion()),
                TEXT.get("why.u"),
                TEXT.get("why.check.change"));
    }
}
