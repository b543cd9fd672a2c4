package mussel.core.pump;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Explanation;
import mussel.core.measure.Explanation.InputLine;
import mussel.core.pump.PumpInput.Extent;
import mussel.core.pump.PumpInput.Where;
import mussel.core.pump.PumpResult.Judged;
import mussel.core.pump.PumpResult.MeasuredFlow;
import mussel.core.pump.PumpResult.PartVerdict;
import mussel.core.sheet.PumpGeometry;
import mussel.core.sheet.PumpPolicy;

/** The pump's result in sentences. */
public final class PumpWords {
    private static final Messages TEXT = Messages.of(PumpWords.class);

    private final PumpInput in;
    private final PumpResult out;

    /** Words for one result. */
    public PumpWords(PumpInput in, PumpResult out) {
        this.in = in;
        this.out = out;
    }

    /** Plain sentences a technician can act on. */
    public List<String> notes() {
        List<String> notes = new ArrayList<>();
        if (out.missingPiece()) {
            notes.add(missingPiece());
        }
        out.parts().stream().filter(p -> p.verdict() == PartVerdict.REPLACE).forEach(p -> notes.add(verdict(p)));
        notes.add(policy(in.policy()));
        notes.add(extent(in.extent()));
        out.flows().forEach(f -> notes.add(flow(f)));
        if (in.limits().isEmpty()) {
            notes.add(TEXT.get("limits.assumed"));
        }
        if (!out.expected().isEmpty()) {
            notes.add(TEXT.get("estimate"));
        }
        notes.add(TEXT.get("outranks"));
        return List.copyOf(notes);
    }

    /** That a lost piece must be found, and where such pieces lodge. */
    public static String missingPiece() {
        return TEXT.get("missing");
    }

    /** What oil under the impeller says, and that water at the shaft's bushing says nothing. */
    public static String underTheImpeller() {
        return TEXT.get("under");
    }

    /** A part's verdict with its reasons. */
    public static String verdict(Judged part) {
        String reasons = part.rules().stream()
                .filter(r -> r.asks() == part.verdict())
                .map(PumpResult.Rule::says)
                .reduce((a, b) -> a + " " + b)
                .orElse(TEXT.get("no.rule"));
        return TEXT.get("verdict", title(part.part()), title(part.verdict()), reasons);
    }

    /** A part's name. */
    public static String title(String part) {
        return TEXT.get("part." + part);
    }

    /** A verdict in words. */
    public static String title(PartVerdict verdict) {
        return TEXT.get("verdict." + verdict.name().toLowerCase(Locale.ROOT));
    }

    /** What a policy of renewal costs and risks. */
    public static String policy(PumpPolicy policy) {
        return TEXT.get("policy." + policy.name().toLowerCase(Locale.ROOT));
    }

    /** What an extent of renewal costs and risks. */
    public static String extent(Extent extent) {
        return TEXT.get("extent." + extent.name().toLowerCase(Locale.ROOT));
    }

    /** A measured telltale against what it should give. */
    public String flow(MeasuredFlow flow) {
        String where = TEXT.get(flow.where() == Where.TANK ? "where.tank" : "where.cups");
        if (flow.ratio().isEmpty()) {
            return TEXT.get("flow.bare", number(flow.measuredLMin()), number(flow.rpm()), where);
        }
        String sentence = TEXT.get(
                "flow",
                number(flow.measuredLMin()),
                number(flow.rpm()),
                where,
                percent(flow.ofNew()),
                percent(flow.ratio()),
                percent(flow.low()),
                percent(flow.high()));
        boolean weakOnCups = flow.where() == Where.CUPS && flow.ofNew().orElse(1) < PumpEngine.FULL;
        return weakOnCups ? sentence + " " + TEXT.get("cups") : sentence;
    }

    /** Why so much flow is expected. */
    public Explanation whyFlow() {
        PumpGeometry pump = in.geometry().orElseThrow();
        return new Explanation(
                TEXT.get("why.title"),
                TEXT.get("pump_words.ml_a_turn", number(pump.displacementMl())),
                TEXT.get("why.formula"),
                List.of(
                        new InputLine(
                                TEXT.get("pump_words.bore"),
                                TEXT.get("pump_words.mm", pump.boreMm()),
                                TEXT.get("pump_words.family_sheet")),
                        new InputLine(
                                TEXT.get("pump_words.width"),
                                TEXT.get("pump_words.mm", pump.widthMm()),
                                TEXT.get("pump_words.family_sheet")),
                        new InputLine(
                                TEXT.get("pump_words.eccentricity"),
                                TEXT.get("pump_words.mm", pump.eccentricityMm()),
                                TEXT.get("pump_words.family_sheet")),
                        new InputLine(
                                TEXT.get("pump_words.fold_speed"),
                                number(pump.foldRpm()) + " 1/min",
                                TEXT.get("pump_words.family_sheet")),
                        new InputLine(
                                TEXT.get("pump_words.mean_set_of_the_vanes"),
                                TEXT.get("pump_words.of_the_housings_curl", percent(out.set())),
                                TEXT.get("pump_words.marked_vanes")),
                        new InputLine(
                                TEXT.get("pump_words.clearance_a_side"),
                                String.format(Locale.ROOT, "%.2f mm", out.clearanceMm()),
                                TEXT.get("pump_words.grooves_and_warp"))),
                TEXT.get("why.source"),
                TEXT.get("why.u"),
                TEXT.get("why.change"));
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, Math.abs(value) < 100 ? "%.1f" : "%.0f", value);
    }

    private static String percent(OptionalDouble share) {
        return share.isPresent() ? Math.round(100 * share.getAsDouble()) + " %" : TEXT.get("pump_words.not_known");
    }
}
