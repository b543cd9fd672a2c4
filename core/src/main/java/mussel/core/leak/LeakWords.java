package mussel.core.leak;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mussel.core.leak.LeakResult.StageSlope;
import mussel.core.leak.LeakResult.Verdict;
import mussel.core.measure.Display;
import mussel.core.measure.Explanation;
import mussel.core.measure.Explanation.InputLine;
import mussel.core.measure.Kind;
import mussel.core.measure.Sentences;
import mussel.core.measure.YardUnits;

/** The hold's result in sentences: the same ones on screen, on paper and in the headless answer. */
public final class LeakWords {
    private static final Sentences SAY = Sentences.beside(LeakWords.class);
    private static final double SURE = 1.96;

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
        notes.add(SAY.say(in.mode() == LeakMode.PRESSURE ? "lips.pressure" : "lips.vacuum"));
        worse().forEach(stage -> notes.add(SAY.say("worse", stage.title())));
        if (out.kPerMin() < -SURE * out.kSe()) {
            notes.add(SAY.say("drifts"));
        }
        notes.add(SAY.say("release"));
        return List.copyOf(notes);
    }

    /** The verdict in one sentence. */
    public String head() {
        String minutes = Display.significant(in.holdMin());
        return switch (out.verdict()) {
            case TIGHT -> SAY.say("head.tight", pressure(out.dropHighKpa()), minutes, pressure(in.allowedDropKpa()));
            case LEAKING ->
                SAY.say(
                        fast() ? "head.fast" : "head.leaking",
                        pressure(out.dropKpa()),
                        minutes,
                        pressure(in.allowedDropKpa()),
                        Display.significant(out.leakStdMlMin()));
            case UNDECIDED ->
                out.moreMinutes() >= LeakEngine.MOST_MINUTES
                        ? SAY.say("head.never", range())
                        : SAY.say("head.undecided", range(), Display.workTime(out.moreMinutes()));
        };
    }

    private String range() {
        return pressure(out.dropLowKpa()) + " to " + pressure(out.dropHighKpa());
    }

    /** Whether the leak is over four times what is allowed. */
    public boolean fast() {
        return out.verdict() == Verdict.LEAKING && out.dropKpa() > LeakEngine.FAST * in.allowedDropKpa();
    }

    /** Stages whose slope stands clearly above the one of standing still. */
    public List<Stage> worse() {
        return out.stages().stream()
                .filter(s -> s.stage() != Stage.STILL)
                .filter(s -> still().map(still -> clearly(s, still)).orElse(false))
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

    private static boolean clearly(StageSlope stage, StageSlope still) {
        return stage.kPerMin() - still.kPerMin() > SURE * both(stage, still);
    }

    private static double both(StageSlope a, StageSlope b) {
        return Math.hypot(a.kSe(), b.kSe());
    }

    /** Why the drop is what it is. */
    public Explanation why() {
        return new Explanation(
                SAY.say("why.title"),
                pressure(out.dropKpa()),
                SAY.say("why.formula"),
                List.of(
                        line("start of the sheet", Kind.PRESSURE, in.startKpa(), "sheet"),
                        line("allowed drop", Kind.PRESSURE, in.allowedDropKpa(), "sheet"),
                        line("hold of the sheet", Kind.DURATION, in.holdMin(), "sheet"),
                        line("air space", Kind.VOLUME, in.volumeMl(), airOrigin),
                        line("barometer", Kind.PRESSURE, in.baroKpa(), "read"),
                        line("gauge step", Kind.PRESSURE, in.gaugeStepKpa(), "gauge"),
                        new InputLine("readings used", Integer.toString(out.nUsed()), SAY.say("origin.read")),
                        new InputLine(
                                "slope k",
                                Display.significant(out.kPerMin()) + " ± " + Display.significant(out.kSe()) + " /min",
                                SAY.say("origin.fit"))),
                SAY.say("why.source"),
                SAY.say("why.u", range()),
                SAY.say("why.change"));
    }

    private InputLine line(String name, Kind kind, double value, String origin) {
        return new InputLine(name, Display.exact(kind, value, units), SAY.say("origin." + origin));
    }

    private String pressure(double kpa) {
        return Display.estimate(Kind.PRESSURE, kpa, units);
    }
}
