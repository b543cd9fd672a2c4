package mussel.core.job;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import mussel.core.drain.DrainEngine;
import mussel.core.drain.DrainInput;
import mussel.core.drain.DrainResult;
import mussel.core.drain.DrainWords;
import mussel.core.drain.Water;
import mussel.core.fill.FillEngine;
import mussel.core.fill.FillInput;
import mussel.core.fill.FillResult;
import mussel.core.fill.FillWords;
import mussel.core.language.Messages;
import mussel.core.leak.LeakMode;
import mussel.core.log.Due;
import mussel.core.plan.Plan;
import mussel.core.plan.PlanInput;
import mussel.core.plan.PlanResult;
import mussel.core.plan.PlanWords;
import mussel.core.plan.Planner;
import mussel.core.plan.Planning;
import mussel.core.sheet.Fastener;
import mussel.core.sheet.Goal;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Place;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import mussel.core.verdict.Context;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.VerdictInput;
import mussel.core.verdict.VerdictResult;
import mussel.core.verdict.VerdictWords;

/**
 * Everything computed for a job: each engine fed from the job, its family's sheet and the yard. A pure function of the three and of
 * the day.
 */
public final class Assessment {
    private static final Messages TEXT = Messages.of(Assessment.class);

    private final Job job;
    private final SpecSheet sheet;
    private final Yard yard;
    private final Surroundings surroundings;
    private final LocalDate today;
    private final EngineAnswer<DrainInput, DrainResult, DrainWords> drain;
    private final List<HeldTest> holds;
    /** By the hold itself: to compare two would read through all their readings. */
    private final Map<Hold, HeldTest> judged = new IdentityHashMap<>();

    private final Map<String, JobFinding> findings;
    private final Plan plan;
    private final EngineAnswer<FillInput, FillResult, FillWords> fill;
    private final Progress progress;
    private final PumpWork pump;
    private final Supply supply;
    private final Optional<SetupWork> setup;
    private final ProofWork proof;
    private Optional<VerdictResult> verdict = Optional.empty();
    private Optional<PlanResult> timed = Optional.empty();
    private Optional<Optional<RepairWorth>> worth = Optional.empty();
    private Optional<Optional<OneVisit>> visit = Optional.empty();
    private Optional<Map<String, GoalCosts>> goalCosts = Optional.empty();

    private Assessment(Job job, SpecSheet sheet, Surroundings surroundings) {
        this.job = job;
        this.sheet = sheet;
        this.surroundings = surroundings;
        this.yard = surroundings.yard();
        this.today = surroundings.today();
        EngineInputs inputs = new EngineInputs(this);
        this.drain = EngineAnswer.of(
                inputs.drain(),
                EngineInputs::problems,
                DrainEngine::run,
                (in, out) -> new DrainWords(in, out, yard.reads(), sheet.isEstimate("/case")));
        this.holds = Stream.of(LeakMode.values())
                .map(job::hold)
                .flatMap(Optional::stream)
                .map(this::judged)
                .toList();
        this.pump = PumpWork.of(job, sheet, yard);
        this.plan = Planner.plan(timed(), goals());
        this.findings = new Findings(job, surroundings.judge().knowledge())
                .of(drain.result(), holdsBefore(), pump, ShaftRunout.of(job, sheet));
        this.supply = new Supply(this);
        this.setup = SetupWork.of(this);
        this.proof = new ProofWork(this);
        this.fill = EngineAnswer.of(
                inputs.fill(plan, drain.result()),
                EngineInputs::problems,
                FillEngine::run,
                (in, out) -> new FillWords(in, out, yard.reads()));
        this.progress = new Progress(this);
    }

    /** Computes everything for a job. */
    public static Assessment of(Job job, SpecSheet sheet, Surroundings surroundings) {
        return new Assessment(job, sheet, surroundings);
    }

    /** The holds that say what is wrong: the last of each mode from before anything was put back. */
    public List<HeldTest> holdsBefore() {
        return Stream.of(LeakMode.values())
                .flatMap(mode ->
                        job.holds().stream()
                                .filter(h -> h.mode() == mode && !afterBuild(h))
                                .reduce((a, b) -> b)
                                .stream())
                .map(this::judged)
                .toList();
    }

    /** A hold judged; each once, since an hour of one takes a while. */
    private HeldTest judged(Hold hold) {
        return judged.computeIfAbsent(hold, h -> HeldTest.of(h, sheet.leakTest(), job.reading(Field.BAROMETER)));
    }

    /** Whether a hold began after something had been put back, so that it proves the repair. */
    boolean afterBuild(Hold hold) {
        return buildSteps().stream()
                .map(s -> job.ticked(s.step().id()))
                .flatMap(Optional::stream)
                .anyMatch(at -> hold.begun().isAfter(at));
    }

    static <E extends Enum<E>> E constant(Class<E> type, String file) {
        return Enum.valueOf(type, file.toUpperCase(java.util.Locale.ROOT));
    }

    /** The job. */
    public Job job() {
        return job;
    }

    /** Its family's sheet. */
    public SpecSheet sheet() {
        return sheet;
    }

    /** The yard. */
    public Yard yard() {
        return yard;
    }

    /** The yard's own zone. */
    public java.time.ZoneId zone() {
        return surroundings.zone();
    }

    /** The day of the assessment. */
    public LocalDate today() {
        return today;
    }

    /** What earlier jobs of the leg say of it. */
    public LegBefore before() {
        return surroundings.before().get();
    }

    /** A field as it was read, else as the leg's own dates make it; empty where neither says anything. */
    public OptionalDouble known(Field field) {
        OptionalDouble read = job.reading(field);
        return read.isPresent() ? read : knownBefore(field);
    }

    /** What the leg's own dates make of a field, whether or not it was read. */
    public OptionalDouble knownBefore(Field field) {
        return before().known(field, job.reading(Field.ENGINE_HOURS), today);
    }

    /** The water the leg runs in; the sea where nobody said, since salt is the harder case. */
    public Water water() {
        return job.choice(Scale.WATER).map(w -> constant(Water.class, w)).orElse(Water.SEA);
    }

    /** The gear oil: what was in it and what goes in. */
    public LegOil oil() {
        return new LegOil(job, yard);
    }

    /** How the oil that goes in stands to what the sheet asks for. */
    public OilGrade oilGrade() {
        return oil().against(sheet.oil().grade());
    }

    /** What the drained oil says. */
    public EngineAnswer<DrainInput, DrainResult, DrainWords> drain() {
        return drain;
    }

    /** The last hold of each mode, judged. */
    public List<HeldTest> holds() {
        return holds;
    }

    /** The last hold of a mode, judged. */
    public Optional<HeldTest> held(LeakMode mode) {
        return holds.stream().filter(h -> h.hold().mode() == mode).findFirst();
    }

    /** Every finding that stands, by its id. */
    public Map<String, JobFinding> findings() {
        return Collections.unmodifiableMap(findings);
    }

    /** The diagnosis tables it is judged by. */
    public Knowledge knowledge() {
        return surroundings.judge().knowledge();
    }

    mussel.core.verdict.Judge judge() {
        return surroundings.judge();
    }

    /** What is known of the leg before anyone looks. */
    public Context context() {
        return Findings.context(this, surroundings.twinFound());
    }

    /** What the verdict engine is fed. */
    public VerdictInput verdictInput() {
        Map<String, String> outcomes = new LinkedHashMap<>();
        if (!hushed()) {
            findings.forEach((id, made) -> outcomes.put(id, made.outcome()));
        }
        if ("yes".equals(outcomes.get("volume_more"))) {
            outcomes.remove("volume_less");
        }
        Map<String, VerdictInput.Costs> costs = new LinkedHashMap<>();
        goalCosts().forEach((goal, cost) -> {
            if (knowledge().goal(goal).isPresent()) {
                costs.put(goal, cost.costs());
            }
        });
        costs.putAll(surroundings.judge().ownCosts(yard.labourPerH()));
        return DueNow.with(this, outcomes, costs);
    }

    /** Which faults, how sure, and what to look at next. Computed when first asked for. */
    public VerdictResult verdict() {
        if (verdict.isEmpty()) {
            verdict = Optional.of(surroundings.judge().judge(verdictInput()));
        }
        return verdict.get();
    }

    /** The verdict in words. */
    public VerdictWords verdictWords() {
        return new VerdictWords(knowledge(), context(), verdict(), yard.money());
    }

    /** How likely something is wrong at each place of the case; nothing before anything was looked at. */
    public Map<String, Double> suspicion() {
        return judged() ? Suspicion.byPlace(this) : Map.of();
    }

    /** Parts whose strip step is ticked and whose build step is not. */
    public Set<String> partsOff() {
        Set<String> off = new HashSet<>();
        for (Plan.PlannedStep planned : plan.steps()) {
            if (job.ticked(planned.step().id()).isPresent()) {
                planned.step().partsOut().forEach(p -> off.add(p.part()));
                planned.step().partsIn().forEach(p -> off.remove(p.part()));
            }
        }
        return off;
    }

    /** The causes found, or found absent, when it was opened. */
    public Map<String, Boolean> confirmed() {
        Map<String, Boolean> confirmed = new LinkedHashMap<>();
        knowledge().causes().forEach(c -> job.choice(Scale.CONFIRMED.of(c.id()))
                .ifPresent(found -> confirmed.put(c.id(), found.equals("yes"))));
        return confirmed;
    }

    /** Whether the visit leaves the leg alone: only work beside it is asked for. */
    public boolean leftAlone() {
        return goals().isEmpty() && job.choice(Scale.LEG_STAYS).equals(Optional.of("left_alone"));
    }

    /** The goals chosen, in the sheet's order. */
    public List<String> goals() {
        return goals(job, sheet).stream().map(Goal::id).toList();
    }

    static List<Goal> goals(Job job, SpecSheet sheet) {
        return sheet.goals().stream()
                .filter(g -> job.choice(Scale.GOAL.of(g.id())).equals(Optional.of("yes")))
                .toList();
    }

    /** The work they call for. */
    public Plan plan() {
        return plan;
    }

    /** The water pump. */
    public PumpWork pump() {
        return pump;
    }

    /** Whether its leg is not there: made for practice. */
    public boolean practice() {
        return job.leg().isPractice();
    }

    /** Whether somebody practises on his own: until it is handed back no conclusion is shown, and none is drawn from what was seen. */
    public boolean hushed() {
        return practice()
                && !job.choice(Scale.COACHED).equals(Optional.of("yes"))
                && job.tagged().isEmpty();
    }

    /** Whether anything was found that a conclusion is drawn from. */
    public boolean judged() {
        return !findings.isEmpty() && !hushed();
    }

    /** Whether any reading, hold or look of the job comes from a simulated instrument. */
    public boolean simulated() {
        return practice()
                || job.readings().values().stream().anyMatch(Fact.Read::simulated)
                || job.holds().stream().anyMatch(Hold::simulated)
                || findings.values().stream().anyMatch(m -> m.by() == JobFinding.By.SIMULATED);
    }

    /** Whether a piece of the impeller is missing and nobody has said where it was found. */
    public boolean pieceLost() {
        return pump.result().missingPiece()
                && job.note(Topic.PIECE_FOUND.address()).isEmpty();
    }

    /** Why the leg cannot be tagged yet, in sentences: each lets it go once somebody has written down why it is tagged all the same. */
    public List<String> blocks() {
        List<String> blocks =
                proof.override().isPresent() ? new ArrayList<>() : new ArrayList<>(new TagCheck(this).untold());
        if (pieceLost()) {
            blocks.add(0, TEXT.get("block.piece"));
        }
        return blocks;
    }

    /** The set-up of the gears; empty where the family's sheet has none. */
    public Optional<SetupWork> setup() {
        return setup;
    }

    /** Whether it is proven. */
    public ProofWork proof() {
        return proof;
    }

    /** What the job waits for: as written down, or the orders on their way; empty where nothing. */
    public String waits() {
        Optional<String> order = job.orders().stream()
                .filter(o -> o.arrived().isEmpty())
                .max(Comparator.comparing(Order::due))
                .map(o -> TEXT.get("waits.order", o.placed().order(), o.due().toString()));
        return job.note(Topic.WAITS_FOR.address()).or(() -> order).orElse("");
    }

    /** Every fastener group that is closed again and whose torque is known, with the wrench to take and how far each bolt is. */
    public List<TorqueWork> torques() {
        return TorqueWork.of(job, plan, yard);
    }

    /** The wrench for one group of fasteners of the family whose torque is known, and how far each bolt is. */
    public TorqueWork torque(Fastener fastener) {
        return new TorqueWork(job, fastener, yard);
    }

    /** Shelf and catalogue. */
    public Stores stores() {
        return surroundings.stores();
    }

    /** Plans made before. */
    Planning planning() {
        return surroundings.planning();
    }

    /** The parts. */
    public Supply supply() {
        return supply;
    }

    /** Parts judged to be replaced beyond what the goals renew. */
    List<String> judgedReplace() {
        return partsOff().stream()
                .filter(p -> Inspection.of(job, p).verdict() == Inspection.Verdict.REPLACE)
                .sorted()
                .toList();
    }

    /** Years the leg has been in salt: its age where it runs in the sea or in brackish water, none where nobody knows it. */
    public double saltYears() {
        return water() == Water.FRESH ? 0 : known(Field.AGE).orElse(0) / 12;
    }

    /** What the plan engine is fed. */
    public PlanInput planInput() {
        return new PlanInput(
                sheet.id(), goals(), saltYears(), job.leg().position().isTwin(), Optional.empty(), yard.tools(), 1);
    }

    /** The plan with its times. Computed when first asked for. */
    public PlanResult timedPlan() {
        if (timed.isEmpty()) {
            timed = Optional.of(surroundings.planning().of(planInput(), timed()));
        }
        return timed.get();
    }

    /** The family as its steps go in this yard: its own times where they were told often enough. */
    SpecSheet timed() {
        return surroundings.own().times().over(sheet);
    }

    /** What the yard's own jobs of the family say. */
    public OwnRecord own() {
        return surroundings.own();
    }

    /** The leg that hangs beside it, while both are in the yard. */
    public Optional<OtherLeg> sister() {
        return surroundings.sister();
    }

    /** Two legs as one visit; empty where there is none. Computed when first asked for. */
    public Optional<OneVisit> visit() {
        if (visit.isEmpty()) {
            visit = Optional.of(OneVisit.of(this));
        }
        return visit.get();
    }

    /** The plan in words. */
    public PlanWords planWords() {
        return new PlanWords(planInput(), timedPlan(), sheet);
    }

    /** What each goal costs on this leg, by its id. Computed when first asked for. */
    public Map<String, GoalCosts> goalCosts() {
        if (goalCosts.isEmpty()) {
            goalCosts = Optional.of(GoalCosts.of(this));
        }
        return goalCosts.get();
    }

    /** Every goal with its price now and later. */
    public List<RepairOption> further() {
        return RepairOption.of(this);
    }

    /** What doing the sister leg at once saves; empty for a leg that hangs alone or with nothing to do. */
    public String twinPriced() {
        return plan.steps().isEmpty() ? "" : OneVisit.priced(this);
    }

    /** Whether it is worth doing; empty before anything is to be done. Computed when first asked for. */
    public Optional<RepairWorth> worth() {
        if (worth.isEmpty()) {
            worth = Optional.of(RepairWorth.of(this));
        }
        return worth.get();
    }

    /** What was left undone, in sentences, whether or not somebody has said why; empty where nothing was. */
    public List<String> leftUndone() {
        return new TagCheck(this).untold();
    }

    /** Loose pieces that must be accounted for before the leg goes back: how many came off and how many were counted. */
    public List<LoosePiece> loose() {
        return LoosePiece.of(this);
    }

    /** How much oil to buy, to pour and to leave in the hose. */
    public EngineAnswer<FillInput, FillResult, FillWords> fill() {
        return fill;
    }

    /** What is next due once this job is tagged. */
    public List<Due> due() {
        return new NextDue(this, today).all();
    }

    /** How far each station is. */
    public Map<Station, Station.State> states() {
        return new EnumMap<>(progress.states());
    }

    /** The station where work goes on. */
    public Station current() {
        return progress.current();
    }

    /** Whether something waits to be done at a station. */
    public boolean workAt(Station station) {
        return progress.work(station);
    }

    /** The next thing to do. */
    public NextAction nextAction() {
        return progress.nextAction();
    }

    /** Whether a step belongs to the filling, which has its own station. */
    public static boolean isFilling(Step step) {
        return step.phase() == Phase.BUILD && step.place() == Place.PLUGS;
    }

    /** The steps of going in. */
    public List<Plan.PlannedStep> stripSteps() {
        return plan.of(Phase.DOWN, Phase.STRIP);
    }

    /** The steps of putting it back, without the filling. */
    public List<Plan.PlannedStep> buildSteps() {
        return plan.of(Phase.BUILD).stream().filter(s -> !isFilling(s.step())).toList();
    }

    /** The steps of the filling. */
    public List<Plan.PlannedStep> fillSteps() {
        return plan.of(Phase.BUILD).stream().filter(s -> isFilling(s.step())).toList();
    }

    /** How many of these steps are done. */
    public int stepsDone(List<Plan.PlannedStep> steps) {
        return (int) steps.stream()
                .filter(s -> job.ticked(s.step().id()).isPresent())
                .count();
    }
}
