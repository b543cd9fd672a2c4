package mussel.core.leak;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mussel.core.language.Messages;
import mussel.core.leak.LeakResult.StageSlope;
import mussel.core.leak.LeakResult.Verdict;
import mussel.core.measure.Display;
import mussel.core.measure.Explanation;
import mussel.core.measure.Explanation.InputLine;
import mussel.core.measure.Kind;
import mussel.core.measure.NamedBy;
import mussel.core.measure.YardUnits;

/** The hold's result in sentences: the same ones on screen, on paper and in the headless answer. */
public final class LeakWords {
    private static final Messages TEXT = Messages.of(LeakWords.class);
    private static final double SURE = 1.96;
    /** A figure this near a whole step is that step. */
    private static final double SAME = 1e-6;

    private final LeakInput in;
    private final LeakResult out;
    private final YardUnits units;
    private final String airOrigin;

    /** Words for one result, in the yard's units. */
    public LeakWords(LeakInput in, LeakResult out, YardUnits units) {
        this(in, out, units, false);
    }

    /** The same, where the air space may be no more than an estimate for a leg of its size. */
    public LeakWords(LeakInput in, LeakResult out, YardUnits units, boolean airEstimated) {
        this.in = in;
        this.out = out;
        this.units = units;
        this.airOrigin = airEstimated ? "size" : "sheet";
    }

    /** Plain sentences a technician can act on. */
    public List<String> notes() {
        List<String> notes = new ArrayList<>();
        notes.add(head());
        notes.add(TEXT.get(in.mode() == LeakMode.PRESSURE ? "lips.pressure" : "lips.vacuum"));
        worse().forEach(stage -> notes.add(TEXT.get("worse", stage.title())));
        if (out.kPerMin() < -SURE * out.kSe()) {
            notes.add(TEXT.get("drifts"));
        }
        notes.add(TEXT.get("release"));
        return List.copyOf(notes);
    }

    /** What the manual's own test says, then the finer claim. */
    public String head() {
        return manual() + " " + finer();
    }

    /** The same in the room a paper has: once it is decided, the manual's answer says it all. */
    public String paper() {
        return switch (out.verdict()) {
            case TIGHT -> out.manual().verdict() == LeakResult.Answer.MET ? manual() : head();
            case LEAKING -> out.manual().verdict() == LeakResult.Answer.EXCEEDED ? manual() : head();
            case UNDECIDED -> head();
        };
    }

    /** What the manual's own test says. */
    private String manual() {
        double moved = Math.max(0, out.manual().movedKpa());
        boolean early = out.manual().verdict() == LeakResult.Answer.EXCEEDED
                && out.manual().minutes() < in.holdMin() - SAME;
        return TEXT.get(
                "manual." + NamedBy.file(out.manual().verdict()) + (early ? ".early" : ""),
                moved < in.gaugeStepKpa() / 2 ? TEXT.get("manual.still") : TEXT.get("manual.moved", nearest(moved)),
                Display.workTime(out.manual().minutes()),
                pressure(in.allowedDropKpa()),
                Display.significant(in.holdMin()));
    }

    private String finer() {
        String minutes = Display.significant(in.holdMin());
        return switch (out.verdict()) {
            case TIGHT -> TEXT.get("head.tight", atMost(out.dropHighKpa()), minutes, pressure(in.allowedDropKpa()));
            case LEAKING ->
                TEXT.get(
                        fast() ? "head.fast" : "head.leaking",
                        nearest(out.dropKpa()),
                        minutes,
                        pressure(in.allowedDropKpa()),
                        Display.rounded(out.leakStdMlMin(), (out.leakHigh() - out.leakLow()) / 4));
            case UNDECIDED ->
                out.moreMinutes() >= LeakEngine.MOST_MINUTES
                        ? TEXT.get("head.never", range())
                        : TEXT.get("head.undecided", range(), Display.workTime(out.moreMinutes()));
        };
    }

    private String range() {
        return TEXT.get("leak_words.to", atLeast(out.dropLowKpa()), atMost(out.dropHighKpa()));
    }

    /** Figures that were computed are said to the gauge's step: no finer than it was read. */
    private String nearest(double kpa) {
        return steps(Math.rint(kpa / in.gaugeStepKpa()));
    }

    private String atMost(double kpa) {
        return steps(Math.ceil(kpa / in.gaugeStepKpa() - SAME));
    }

    private String atLeast(double kpa) {
        return steps(Math.floor(kpa / in.gaugeStepKpa() + SAME));
    }

    private String steps(double steps) {
        double step = units.fromCanonical(Kind.PRESSURE, in.gaugeStepKpa());
        return Display.rounded(steps * step, step) + " " + units.symbol(Kind.PRESSURE);
    }

    /** Whether the leak is over four times what is allowed. */
    public boolean fast() {
        return out.verdict() == Verdict.LEAKING && out.dropKpa() > LeakEngine.FAST * in.allowedDropKpa();
    }

    /** Stages whose slope stands clearly above the one of standing still. */
    public List<Stage> worse() {
        return out.stages().stream()
                .filter(s -> s.stage() != Stage.STILL)
                .filter(s -> rest(s).map(rest -> clearly(s, rest)).orElse(false))
                .map(StageSlope::stage)
                .toList();
    }

    /** Stages that were held long enough to say that they leak no more than standing still, by less than is allowed. */
    public List<Stage> notWorse() {
        double allowed = LeakEngine.allowedK(in);
        return out.stages().stream()
                .filter(s -> s.stage() != Stage.STILL)
                .filter(s -> still().map(still -> s.kPerMin() - still.kPerMin() + SURE * both(s, still) < allowed)
                        .orElse(false))
                .map(StageSlope::stage)
                .toList();
    }

    private Optional<StageSlope> still() {
        return out.stages().stream().filter(s -> s.stage() == Stage.STILL).findFirst();
    }

    /** What a stage is compared with: standing still, or where that was not held, the other that leaked least. */
    private Optional<StageSlope> rest(StageSlope of) {
        return still().or(() ->
                out.stages().stream().filter(s -> s != of).min(Comparator.comparingDouble(StageSlope::kPerMin)));
    }

    private static boolean clearly(StageSlope stage, StageSlope still) {
        return stage.kPerMin() - still.kPerMin() > SURE * both(stage, still);
    }

    private static double both(StageSlope a, StageSlope b) {
        return Math.hypot(a.kSe(), b.kSe());
    }

    /** Why the drop is what it is. */
    public Explanation why() {
        return new Explanation(
                TEXT.get("why.title"),
                nearest(out.dropKpa()),
                TEXT.get("why.formula"),
                List.of(
                        line(TEXT.get("leak_words.start_of_the_sheet"), Kind.PRESSURE, in.startKpa(), "sheet"),
                        line(TEXT.get("leak_words.allowed_drop"), Kind.PRESSURE, in.allowedDropKpa(), "sheet"),
                        line(TEXT.get("leak_words.hold_of_the_sheet"), Kind.DURATION, in.holdMin(), "sheet"),
                        line(TEXT.get("leak_words.air_space"), Kind.VOLUME, in.volumeMl(), airOrigin),
                        line("barometer", Kind.PRESSURE, in.baroKpa(), "read"),
                        line(TEXT.get("leak_words.gauge_step"), Kind.PRESSURE, in.gaugeStepKpa(), "gauge"),
                        new InputLine(
                                TEXT.get("leak_words.readings_used"),
                                Integer.toString(out.nUsed()),
                                TEXT.get("origin.read")),
                        new InputLine(
                                TEXT.get("leak_words.slope_k"),
                                Display.significant(out.kPerMin()) + " ± " + Display.significant(out.kSe()) + " /min",
                                TEXT.get("origin.fit"))),
                TEXT.get("why.source"),
                TEXT.get("why.u", range()),
                TEXT.get("why.change"));
    }

    private InputLine line(String name, Kind kind, double value, String origin) {
        return new InputLine(name, Display.exact(kind, value, units), TEXT.get("origin." + origin));
    }

    private String pressure(double kpa) {
        return Display.estimate(Kind.PRESSURE, kpa, units);
    }
}
