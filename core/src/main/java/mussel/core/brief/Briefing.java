package mussel.core.brief;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import mussel.core.brief.Brief.Act;
import mussel.core.brief.Brief.Deed;
import mussel.core.brief.Brief.Handle;
import mussel.core.drain.DrainWords;
import mussel.core.job.Assessment;
import mussel.core.job.EngineSide;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.OneVisit;
import mussel.core.job.Order;
import mussel.core.job.ProofWork;
import mussel.core.job.RepairOption;
import mussel.core.job.RepairQuestion;
import mussel.core.job.Scale;
import mussel.core.job.SetupPlace;
import mussel.core.job.SetupWork;
import mussel.core.job.Station;
import mussel.core.job.StepAsk;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.plan.PlanWords;
import mussel.core.pump.PumpResult.Judged;
import mussel.core.pump.PumpResult.PartVerdict;
import mussel.core.pump.PumpWords;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Step;
import mussel.core.verdict.Finding;
import mussel.core.verdict.VerdictResult.Together;
import mussel.core.visit.EngineSideItem;

/** Which rules make the brief of which station. */
final class Briefing {
    static final Messages TEXT = Messages.of(Briefing.class);

    private final Assessment now;
    private final Station station;
    private final Optional<RepairQuestion.Answer> repairs;
    private final Folds folds;
    private boolean asksAdvice;

    Briefing(Assessment now, Station station, Optional<RepairQuestion.Answer> repairs) {
        this.now = now;
        this.station = station;
        this.repairs = repairs;
        this.folds = new Folds(now);
    }

    Brief brief() {
        return now.practice() ? new PracticeBrief(now, station, folds).brief() : ordinary();
    }

    private Brief ordinary() {
        return switch (station) {
            case INTAKE ->
                verdict(List.of(), intake(), folds.own().told().evidence().goals());
            case DRAIN ->
                verdict(
                        List.of(TEXT.get("mind.drain")),
                        drain(),
                        folds.told().evidence().water().frost().waiting().goals());
            case LEAK ->
                verdict(
                        List.of(TEXT.get("mind.leak")),
                        leak(),
                        folds.evidence().looks().water().goals());
            case PUMP ->
                said(
                        List.of(),
                        pumpHead(),
                        "",
                        pump(),
                        folds.own().evidence().piece().looks().goals());
            case VERDICT ->
                verdict(List.of(), look(), folds.water().frost().waiting().goals());
            case ESTIMATE -> estimate();
            case STRIP ->
                now.goals().isEmpty()
                        ? verdict(
                                List.of(),
                                goals(),
                                folds.own().evidence().looks().waiting())
                        : steps(
                                now.stripSteps(),
                                afterStrip(),
                                folds.own().mat().coming().wrong().time());
            case SETUP -> setup();
            case PARTS -> parts();
            case BUILD ->
                steps(
                        now.buildSteps(),
                        Optional.of(go(Station.FILL)),
                        folds.own().fit().coming().mat().time());
            case FILL -> fill();
            case BESIDE -> beside();
            case PROVE -> prove();
            case TAG -> tag();
        };
    }

    private Brief verdict(List<String> cautions, Optional<Act> act, Folds with) {
        String head = now.findings().isEmpty()
                ? now.drain().words().map(DrainWords::head).orElseGet(DrainWords::nothingKnown)
                : now.verdictWords().head();
        String under = now.findings().isEmpty()
                ? ""
                : now.verdictWords()
                        .contradiction()
                        .or(() -> now.verdictWords().lipSide())
                        .orElse("");
        return new Brief(cautions, head, under, true, asksAdvice, act, with.list());
    }

    private Brief said(List<String> cautions, String head, String under, Optional<Act> act, Folds with) {
        return new Brief(cautions, head, under, false, asksAdvice, act, with.list());
    }

    static Act go(Station to) {
        return new Act(TEXT.get("go", to.title()), "", new Deed.Go(to));
    }

    private static Act press(String title, String note, Handle handle) {
        return new Act(title, note, new Deed.Press(handle));
    }

    /** A station's own questions come first; then what the whole job asks for next. */
    private Optional<Act> intake() {
        boolean told = now.states().get(Station.INTAKE) == Station.State.DONE;
        return told
                ? look()
                : Optional.of(press(TEXT.get("ask.intake"), TEXT.get("ask.intake.note"), Handle.FIRST_OPEN));
    }

    private Optional<Act> drain() {
        boolean judged = now.drain().result().isPresent()
                && now.job().choice(Scale.OIL_WATER).isPresent();
        return judged || oilStays()
                ? look()
                : Optional.of(press(TEXT.get("ask.drain"), TEXT.get("ask.drain.note"), Handle.FIRST_OPEN));
    }

    /** Whether the work chosen leaves the oil where it is. */
    private boolean oilStays() {
        return !now.goals().isEmpty()
                && now.fillSteps().isEmpty()
                && now.job().reading(Field.DRAINED).isEmpty();
    }

    private Optional<Act> leak() {
        return now.states().get(Station.LEAK) == Station.State.DONE
                        || !now.goals().isEmpty()
                ? look()
                : Optional.of(press(TEXT.get("ask.hold"), TEXT.get("ask.hold.note"), Handle.HOLD));
    }

    private Optional<Act> pump() {
        if (now.states().get(Station.PUMP) == Station.State.BEGUN) {
            return Optional.of(press(TEXT.get("ask.pump"), TEXT.get("ask.pump.note"), Handle.FIRST_OPEN));
        }
        return look();
    }

    private String pumpHead() {
        List<String> off = now.pump().result().parts().stream()
                .filter(p -> p.verdict() == PartVerdict.REPLACE)
                .map(Judged::part)
                .map(PumpWords::title)
                .toList();
        if (!now.pump().looked()) {
            return TEXT.get("head.pump.unseen");
        }
        return off.isEmpty() ? TEXT.get("head.pump.sound") : TEXT.get("head.pump.off", String.join(", ", off));
    }

    /** The look worth most; once none is, what pays; once that is chosen, where work goes on. */
    private Optional<Act> look() {
        if (!now.goals().isEmpty()) {
            return onward();
        }
        boolean leads = !now.findings().isEmpty() || now.verdictWords().forComplaint();
        if (leads && now.knowledge().repairs().isPresent()) {
            asksAdvice = true;
            if (repairs.isPresent()) {
                return RoundAct.of(now, repairs.get().repairs(), this::deed).or(this::set);
            }
        }
        Optional<Together> advised = leads ? now.verdictWords().advised() : Optional.empty();
        Optional<Act> act = advised.flatMap(this::look);
        return act.isPresent() ? act : leads && now.drain().result().isPresent() ? goals() : onward();
    }

    private Optional<Act> look(Together looks) {
        List<Finding> all = looks.findings().stream()
                .flatMap(f -> now.knowledge().finding(f).stream())
                .toList();
        if (all.isEmpty()) {
            return Optional.empty();
        }
        String note = TEXT.get(
                "look.note",
                now.knowledge().access(looks.access()).map(a -> a.title()).orElse(looks.access()),
                Display.workTime(looks.minutes()),
                now.yard().money().sum(looks.saves()));
        String title = all.get(0).title() + (all.size() > 1 ? TEXT.get("look.more", all.size() - 1) : "");
        return Optional.of(new Act(title, note, deed(all.get(0))));
    }

    /** The best set, taken in one go; before the oil was seen, where work goes on. */
    private Optional<Act> set() {
        return now.drain().result().isPresent()
                ? RoundAct.set(now, repairs.orElseThrow()).or(this::goals)
                : onward();
    }

    /** Holds are made at their own station, the oil is judged where it ran out; every other look is entered where looks are listed. */
    private Deed deed(Finding finding) {
        boolean undrained = now.states().get(Station.DRAIN) != Station.State.DONE;
        for (Station own : List.of(Station.LEAK, Station.DRAIN)) {
            if (own.name().equalsIgnoreCase(finding.station()) && (own == Station.LEAK || undrained)) {
                return own == station
                        ? new Deed.Press(own == Station.LEAK ? Handle.HOLD : Handle.FIRST_OPEN)
                        : new Deed.Go(own);
            }
        }
        return new Deed.Look(finding.id());
    }

    /** What pays is chosen in one go; where nothing does, the choice is made at the strip-down. */
    private Optional<Act> goals() {
        List<RepairOption> pay =
                now.further().stream().filter(f -> f.worthIt() && !f.chosen()).toList();
        if (pay.isEmpty()) {
            return Optional.of(
                    station == Station.STRIP
                            ? press(TEXT.get("ask.goals"), "", Handle.FIRST_OPEN)
                            : new Act(TEXT.get("ask.goals"), "", new Deed.Go(Station.STRIP)));
        }
        List<Fact> facts = new ArrayList<>();
        pay.forEach(f -> facts.add(new Fact.Chosen(Scale.GOAL.of(f.goal()), "yes")));
        double minutes =
                pay.stream().mapToDouble(RepairOption::extraMinutes).max().orElse(0);
        double money = pay.stream().mapToDouble(RepairOption::extraMoney).max().orElse(0);
        String note = pay.size() == 1
                ? TEXT.get(
                        "goals.note",
                        Display.workTime(minutes),
                        now.yard().money().sum(money))
                : TEXT.get("goals.notes", titles(pay));
        return Optional.of(new Act(
                pay.size() == 1 ? TEXT.get("goals.one", pay.get(0).title()) : TEXT.get("goals.many", pay.size()),
                note,
                new Deed.Enter(facts)));
    }

    private static String titles(List<RepairOption> goals) {
        return String.join(", ", goals.stream().map(RepairOption::title).toList());
    }

    /** To where the job's work goes on; from there itself, to the next that is not done. */
    private Optional<Act> onward() {
        Station to = now.current();
        if (to == station) {
            return Optional.of(press(now.nextAction().says(), "", Handle.FIRST_OPEN));
        }
        return Optional.of(
                new Act(TEXT.get("go.on", to.title(), now.nextAction().says()), "", new Deed.Go(to)));
    }

    private Brief estimate() {
        if (OneVisit.worthOf(now).isEmpty()) {
            return said(
                    List.of(),
                    TEXT.get("head.estimate.nothing"),
                    "",
                    goals(),
                    folds.evidence().looks());
        }
        boolean decided = now.job().choice(Scale.OWNER_SAYS).isPresent();
        return said(
                List.of(),
                OneVisit.worthOf(now).get().words().briefly(),
                "",
                decided
                        ? onward()
                        : Optional.of(
                                press(TEXT.get("ask.estimate"), TEXT.get("ask.estimate.note"), Handle.PRINT_ESTIMATE)),
                folds.doubtful().goals().wrong().time());
    }

    /** A list of steps: the one to do next with its cautions, then where work goes on. */
    private Brief steps(List<PlannedStep> steps, Optional<Act> after, Folds with) {
        List<PlannedStep> left = steps.stream()
                .filter(s -> now.job().ticked(s.step().id()).isEmpty())
                .toList();
        if (steps.isEmpty()) {
            return said(List.of(), TEXT.get("head.steps.none"), "", Optional.of(go(Station.STRIP)), with);
        }
        if (left.isEmpty()) {
            return said(List.of(), TEXT.get("head.steps.done", steps.size()), "", after, with);
        }
        Step step = left.get(0).step();
        int number = steps.size() - left.size() + 1;
        String seizes = step.seizes().map(PlanWords::maySeize).map(s -> " " + s).orElse("");
        StepAsk ask = StepAsk.of(now, step);
        List<String> cautions = new ArrayList<>(ask.all());
        cautions.addAll(step.cautions());
        return said(
                cautions,
                TEXT.get("head.step", number, steps.size(), step.title()),
                Display.workTime(step.meanMinutes(now.saltYears())) + ", "
                        + step.place().title() + "." + seizes,
                Optional.of(
                        ask.forbidden().isEmpty()
                                ? tick(
                                        step,
                                        left.size() > 1 ? left.get(1).step().title() : "")
                                : press(TEXT.get("ask.state"), "", Handle.FIRST_OPEN)),
                with);
    }

    private Act tick(Step step, String next) {
        String title = next.isEmpty() ? TEXT.get("tick.last") : TEXT.get("tick", next);
        String note = Step.says(step.ask()) ? TEXT.get("tick.note", step.ask()) : "";
        return new Act(title, note, new Deed.Enter(List.of(new Fact.Ticked(step.id(), true))));
    }

    private Optional<Act> afterStrip() {
        boolean gears = now.setup().map(s -> s.called() && !s.done()).orElse(false);
        return Optional.of(go(gears ? Station.SETUP : now.supply().allHere() ? Station.BUILD : Station.PARTS));
    }

    private Brief setup() {
        if (now.setup().isEmpty()) {
            return said(List.of(), TEXT.get("head.setup.none"), "", onward(), folds.time());
        }
        SetupWork setup = now.setup().get();
        Optional<SetupPlace> next = setup.next();
        String head = !setup.called()
                ? TEXT.get("head.setup.kept")
                : next.map(p -> TEXT.get("head.setup.next", p.title())).orElse(TEXT.get("head.setup.done"));
        Optional<Act> act = setup.called() && next.isPresent()
                ? Optional.of(
                        press(TEXT.get("ask.setup", next.get().title()), TEXT.get("ask.setup.note"), Handle.FIRST_OPEN))
                : Optional.of(go(now.supply().allHere() ? Station.BUILD : Station.PARTS));
        return said(
                List.of(), head, "", act, folds.own().moves().drawer().coming().time());
    }

    private Brief parts() {
        if (now.supply().rows().isEmpty()) {
            return said(List.of(), TEXT.get("head.parts.none"), "", goals(), folds.wrong());
        }
        int open = now.supply().open().size();
        int rows = now.supply().rows().size();
        boolean onShelf = now.supply().rows().stream().anyMatch(r -> r.open() > 0 && r.onShelf() > 0);
        List<Order> out =
                now.job().orders().stream().filter(o -> o.arrived().isEmpty()).toList();
        String head;
        Optional<Act> act;
        if (open > 0) {
            head = TEXT.get("head.parts.open", open, rows);
            int had = now.supply().toBeHad().size();
            act = onShelf
                    ? Optional.of(press(TEXT.get("ask.shelf"), TEXT.get("ask.shelf.note"), Handle.TAKE_FROM_SHELF))
                    : had > 0
                            ? Optional.of(press(TEXT.get("ask.order"), TEXT.get("ask.order.note", had), Handle.ORDER))
                            : onward();
        } else if (!out.isEmpty()) {
            Order last = out.get(out.size() - 1);
            head = TEXT.get("head.parts.coming", String.valueOf(last.due()));
            act = Optional.of(press(TEXT.get("ask.arrived", last.placed().order()), "", Handle.ARRIVED));
        } else {
            head = TEXT.get("head.parts.here");
            act = onward();
        }
        int unlisted = now.supply().unlisted().size();
        return said(
                List.of(),
                head,
                unlisted > 0 ? TEXT.get("parts.unlisted", unlisted) : "",
                act,
                folds.own().purposes().coming().shelf().doubtful());
    }

    private Brief fill() {
        List<PlannedStep> steps = now.fillSteps();
        List<String> cautions = steps.stream()
                .map(PlannedStep::step)
                .filter(s -> now.job().ticked(s.id()).isEmpty())
                .findFirst()
                .map(Step::cautions)
                .orElse(List.of());
        boolean measured = now.job().reading(Field.PUMPED).isPresent();
        String head = now.fill()
                .result()
                .map(f -> TEXT.get(
                        "head.fill",
                        Display.estimate(Kind.VOLUME, f.needMl(), now.yard().reads())))
                .orElse(TEXT.get("head.fill.unknown"));
        Optional<Step> left = steps.stream()
                .map(PlannedStep::step)
                .filter(s -> now.job().ticked(s.id()).isEmpty())
                .findFirst();
        Optional<Act> act = !measured
                ? Optional.of(press(TEXT.get("ask.fill"), "", Handle.FIRST_OPEN))
                : left.map(s -> new Act(
                                TEXT.get("tick.this", s.title()),
                                "",
                                new Deed.Enter(List.of(new Fact.Ticked(s.id(), true)))))
                        .or(this::onward);
        String under = measured ? now.fill().words().map(w -> w.check()).orElse("") : "";
        return said(
                cautions,
                measured && !under.isEmpty() ? under : head,
                "",
                act,
                folds.leave().grade().time());
    }

    private Brief beside() {
        EngineSide beside = new EngineSide(now);
        long open = Stream.of(EngineSideItem.values())
                .filter(i -> beside.state(i) == EngineSide.State.OPEN)
                .count();
        String head = beside.greeting().isEmpty()
                ? TEXT.get("head.beside", EngineSideItem.values().length - open, EngineSideItem.values().length)
                : TEXT.get("head.beside.waits", beside.greeting().size());
        Optional<Act> act =
                beside.answered() || beside.begun() && beside.greeting().isEmpty()
                        ? onward()
                        : Optional.of(press(TEXT.get("ask.beside"), TEXT.get("ask.beside.note"), Handle.FIRST_OPEN));
        return said(List.of(), head, "", act, folds.own().due());
    }

    private Brief prove() {
        ProofWork proof = now.proof();
        Set<String> cautions = new LinkedHashSet<>();
        now.plan().of(Phase.PROVE).stream()
                .map(PlannedStep::step)
                .filter(s -> now.job().ticked(s.id()).isEmpty())
                .findFirst()
                .ifPresent(s -> cautions.addAll(s.cautions()));
        Optional<ProofWork.Proof> open = proof.proofs().stream()
                .filter(p -> p.state() == ProofWork.State.OPEN && p.section() != ProofWork.Section.LEAK)
                .findFirst();
        boolean held = proof.proofs().stream()
                .anyMatch(p -> p.section() == ProofWork.Section.LEAK && p.state() == ProofWork.State.OPEN);
        Optional<Act> act = open.map(p -> press(TEXT.get("ask.proof"), p.says(), Handle.FIRST_OPEN))
                .or(() -> held
                        ? Optional.of(new Act(TEXT.get("ask.hold.again"), "", new Deed.Go(Station.LEAK)))
                        : Optional.empty())
                .or(() -> Optional.of(go(Station.TAG)));
        return said(
                List.copyOf(cautions),
                proof.head(),
                "",
                act,
                folds.failed().unproven().due());
    }

    private Brief tag() {
        boolean tagged = now.job().tagged().isPresent();
        boolean blocked = !now.blocks().isEmpty();
        String head = tagged
                ? TEXT.get("head.tagged", String.valueOf(now.job().tagged().get()))
                : blocked ? TEXT.get("head.tag.blocked", now.blocks().size()) : TEXT.get("head.tag.ready");
        Act act = tagged
                ? press(TEXT.get("ask.print"), TEXT.get("ask.print.note"), Handle.PRINT_JOB)
                : blocked
                        ? press(TEXT.get("ask.word"), TEXT.get("ask.word.note"), Handle.TAG_WORD)
                        : press(TEXT.get("ask.tag"), "", Handle.TAG);
        return said(
                List.of(),
                head,
                "",
                Optional.of(act),
                folds.undone().due().unproven().goals());
    }
}
