package mussel.core.drain;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mussel.core.drain.DrainResult.Verdict;
import mussel.core.drain.DrainResult.WaterShare;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Explanation;
import mussel.core.measure.Explanation.InputLine;
import mussel.core.measure.Kind;
import mussel.core.measure.YardUnits;

/** The drain's result in sentences: the same ones on screen, on paper and in the headless answer. */
public final class DrainWords {
    private static final Messages TEXT = Messages.of(DrainWords.class);
    /** Below this share the water is not worth the name: it is what the look "none" allows. */
    private static final double WORTH_NAMING = OilLook.NONE.high();

    /** No figure is given that is less than can be poured (ml). */
    private static final double LEAST_POURED = 1;

    private final DrainInput in;
    private final DrainResult out;
    private final YardUnits units;
    private final String caseOrigin;

    /** Words for one result, in the yard's units. */
    public DrainWords(DrainInput in, DrainResult out, YardUnits units) {
        this(in, out, units, false);
    }

    /** The same, where how the case drains may be no more than an estimate for a leg of its size. */
    public DrainWords(DrainInput in, DrainResult out, YardUnits units, boolean caseEstimated) {
        this.in = in;
        this.out = out;
        this.units = units;
        this.caseOrigin = caseEstimated ? "size" : "sheet";
    }

    /** What stands at the head of the running conclusion while nothing was drained. */
    public static String nothingKnown() {
        return TEXT.get("head.unknown");
    }

    /** Plain sentences a technician can act on. */
    public List<String> notes() {
        List<String> notes = new ArrayList<>();
        notes.add(balance());
        notes.add(water());
        if (!out.water().consistent()) {
            notes.add(TEXT.get("water.disagree"));
        }
        notes.add(waiting());
        ingress().ifPresent(notes::add);
        if (frosty()) {
            notes.add(frost());
        }
        if (wet()) {
            notes.add(bare());
        }
        return List.copyOf(notes);
    }

    /** The one sentence of the running conclusion. */
    public String head() {
        WaterShare water = out.water();
        Verdict verdict = out.balance().verdict();
        String excess = sure(
                verdict == Verdict.MORE_THAN_FILLED
                        ? in.drainedMl() - in.filledMl()
                        : Math.abs(out.balance().excessMl()));
        if (water.fraction().isEmpty()) {
            return TEXT.get(
                    switch (verdict) {
                        case AS_EXPECTED -> "head.volume";
                        case MORE_THAN_FILLED -> "head.volume.more";
                        case LESS_THAN_FILLED -> "head.volume.less";
                    },
                    excess);
        }
        if (water.high().isEmpty()) {
            return TEXT.get("head.free", volume(in.freeWaterMl()));
        }
        if (wet()) {
            if (water.ml().orElse(0) < LEAST_POURED) {
                return TEXT.get("head.water_little", share(water));
            }
            return out.ingressMlPerH().isPresent()
                    ? TEXT.get("head.water_rate", volume(out.ingressMlPerH().getAsDouble()))
                    : TEXT.get("head.water", share(water), volume(water.ml().getAsDouble()));
        }
        return TEXT.get(
                switch (verdict) {
                    case AS_EXPECTED -> "head.dry";
                    case MORE_THAN_FILLED -> "head.dry.more";
                    case LESS_THAN_FILLED -> "head.dry.less";
                },
                excess);
    }

    /** What the volume says. */
    public String balance() {
        double excess = Math.abs(out.balance().excessMl());
        return switch (out.balance().verdict()) {
            case AS_EXPECTED ->
                TEXT.get(
                        out.balance().running()
                                        && in.drainedMl() < out.balance().lowMl()
                                ? "balance.running"
                                : "balance.as_expected",
                        sure(out.balance().lowMl()),
                        sure(out.balance().highMl()),
                        Display.exact(Kind.VOLUME, in.drainedMl(), units));
            case MORE_THAN_FILLED -> TEXT.get("balance.more", sure(in.drainedMl() - in.filledMl()));
            case LESS_THAN_FILLED -> TEXT.get("balance.less", sure(excess));
        };
    }

    /** An excess, as sure as the balance is. */
    private String sure(double ml) {
        double there = units.fromCanonical(Kind.VOLUME, ml);
        double u = units.fromCanonical(Kind.VOLUME, out.balance().uMl());
        return Display.rounded(there, u) + " " + units.symbol(Kind.VOLUME);
    }

    /** What is known of the water. */
    public String water() {
        WaterShare water = out.water();
        if (water.fraction().isEmpty()) {
            return TEXT.get("water.unknown");
        }
        if (water.high().isEmpty()) {
            return TEXT.get(
                    "water.free_only",
                    share(water),
                    Display.withDoubt(Kind.VOLUME, in.freeWaterMl(), 2 * in.cupUMl(), units));
        }
        String high = Display.percent(water.high().getAsDouble());
        double ml = water.ml().orElse(0);
        return wet()
                ? TEXT.get(
                        ml < LEAST_POURED ? "water.share.little" : "water.share",
                        share(water),
                        Display.percent(water.low().getAsDouble()),
                        high,
                        volume(ml))
                : TEXT.get("water.none", share(water), high);
    }

    /** How long to wait. */
    public String waiting() {
        double needed = out.drain().minutesNeeded();
        double more = needed - in.minutes();
        String temp = Display.exact(Kind.TEMPERATURE, in.oilTempC(), units);
        String drained = Display.exact(Kind.DURATION, in.minutes(), units);
        return more > 0
                ? TEXT.get("wait.more", temp, minutes(needed), drained, minutes(more))
                : TEXT.get("wait.done", temp, minutes(needed), drained);
    }

    /** What frost would do to the water in it. */
    public String frost() {
        String point = Display.estimate(Kind.TEMPERATURE, Math.rint(out.freeze().pointC() * 10) / 10, units);
        double room = out.freeze().expansionMl().orElse(0);
        return out.freeze().freezes()
                ? room < LEAST_POURED
                        ? TEXT.get("freeze.yes.little", point)
                        : TEXT.get("freeze.yes", point, volume(Math.rint(room)))
                : TEXT.get("freeze.no", point);
    }

    /** Whether there is water that frost is to be feared of. */
    public boolean frosty() {
        return out.freeze().water();
    }

    /** How fast it comes in, where the hours on the oil are known. */
    public Optional<String> ingress() {
        return out.ingressMlPerH().isPresent()
                ? Optional.of(TEXT.get("ingress", volume(out.ingressMlPerH().getAsDouble())))
                : Optional.empty();
    }

    /** What is done with a wet case that must wait. */
    public String bare() {
        return TEXT.get("bare");
    }

    /** Whether there is water worth the name. */
    public boolean wet() {
        return out.water().fraction().orElse(0) > WORTH_NAMING || in.freeWaterMl() > 0;
    }

    /** Why the expected volume is what it is. */
    public Explanation whyExpected() {
        return new Explanation(
                TEXT.get("why.expected.title"),
                volume(out.balance().expectedMl()),
                TEXT.get("why.expected.formula"),
                List.of(
                        line("fill", Kind.VOLUME, in.filledMl(), in.fillMl().isPresent() ? "read" : "sheet"),
                        line(TEXT.get("drain_words.oil_at"), Kind.TEMPERATURE, in.oilTempC(), "read"),
                        line(TEXT.get("drain_words.drained_for"), Kind.DURATION, in.minutes(), "read"),
                        line(TEXT.get("drain_words.came_out"), Kind.VOLUME, in.drainedMl(), "read"),
                        new InputLine(
                                TEXT.get("drain_words.viscosity"),
                                TEXT.get("drain_words.cst", Display.significant(out.viscosityCst())),
                                origin("yard")),
                        line(TEXT.get("drain_words.still_inside"), Kind.VOLUME, out.residualMl(), "sheet")),
                TEXT.get("why.expected.source"),
                TEXT.get(
                        "why.expected.u",
                        volume(out.balance().uMl()),
                        in.fillMl().isPresent() ? 2 : 8),
                TEXT.get(
                        "why.expected.change",
                        sure(out.balance().lowMl()),
                        sure(out.balance().highMl())));
    }

    /** Why the water share is what it is. */
    public Explanation whyWater() {
        WaterShare water = out.water();
        List<InputLine> lines = new ArrayList<>();
        for (DrainResult.Source s : water.sources()) {
            lines.add(new InputLine(
                    s.name().name().toLowerCase(java.util.Locale.ROOT),
                    Display.percent(s.fraction()) + " ± " + Display.percent(s.u()),
                    s.used() ? "used" : TEXT.get("drain_words.not_used")));
        }
        boolean bounded = water.high().isPresent();
        return new Explanation(
                TEXT.get("why.water.title"),
                water.fraction().isPresent() ? share(water) : TEXT.get("drain_words.not_known"),
                TEXT.get("why.water.formula"),
                lines,
                TEXT.get("why.water.source"),
                bounded
                        ? TEXT.get(
                                "why.water.u",
                                Display.percent(water.low().getAsDouble()),
                                Display.percent(water.high().getAsDouble()))
                        : TEXT.get("water.unknown"),
                TEXT.get("why.water.change"));
    }

    /** Why it takes so long. */
    public Explanation whyWait() {
        return new Explanation(
                TEXT.get("why.wait.title"),
                minutes(out.drain().minutesNeeded()),
                TEXT.get("why.wait.formula"),
                List.of(
                        line(
                                TEXT.get("drain_words.tau_at_40_c"),
                                Kind.DURATION,
                                in.gearcase().tau40Min(),
                                caseOrigin),
                        line(
                                TEXT.get("drain_words.tau_now"),
                                Kind.DURATION,
                                out.drain().tauMin(),
                                caseOrigin),
                        new InputLine(
                                TEXT.get("drain_words.viscosity"),
                                TEXT.get("drain_words.cst", Display.significant(out.viscosityCst())),
                                origin("yard")),
                        new InputLine(TEXT.get("drain_words.vent"), in.ventOpen() ? "open" : "shut", origin("read"))),
                TEXT.get("why.wait.source"),
                TEXT.get("why.wait.u"),
                TEXT.get("why.wait.change"));
    }

    /** Why it freezes where it does. */
    public Explanation whyFrost() {
        return new Explanation(
                TEXT.get("why.frost.title"),
                Display.estimate(Kind.TEMPERATURE, out.freeze().pointC(), units),
                TEXT.get("why.frost.formula"),
                List.of(new InputLine(
                        TEXT.get("drain_words.salinity"),
                        TEXT.get("drain_words.psu", Display.significant(in.salinity())),
                        origin(in.salinityPsu().isPresent() ? "read" : "assumed"))),
                TEXT.get("why.frost.source"),
                TEXT.get("why.frost.u", origin(in.salinityPsu().isPresent() ? "read" : "assumed")),
                TEXT.get("why.frost.change"));
    }

    private InputLine line(String name, Kind kind, double value, String origin) {
        return new InputLine(name, Display.estimate(kind, value, units), origin(origin));
    }

    private static String origin(String key) {
        return TEXT.get("origin." + key);
    }

    private static String share(WaterShare water) {
        return Display.percent(water.fraction().orElse(0));
    }

    private String volume(double ml) {
        return Display.estimate(Kind.VOLUME, ml, units);
    }

    private String minutes(double min) {
        return Display.workTime(min);
    }
}
