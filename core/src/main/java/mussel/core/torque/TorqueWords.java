package mussel.core.torque;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Explanation;
import mussel.core.measure.Explanation.InputLine;

/** A torque in sentences. */
public final class TorqueWords {
    private static final Messages TEXT = Messages.of(TorqueWords.class);

    private TorqueWords() {}

    /** Plain sentences a technician can act on. */
    public static List<String> notes(TorqueInput in, TorqueResult out) {
        List<String> notes = new ArrayList<>();
        out.choice()
                .ifPresentOrElse(
                        c -> notes.add(TEXT.get(
                                "take",
                                c.wrench(),
                                number(c.setting()),
                                c.unit().symbol(),
                                Display.significant(c.deliveredNm()),
                                Display.significant(c.lowNm()),
                                Display.significant(c.highNm()))),
                        () -> notes.add(TEXT.get(in.wrenches().isEmpty() ? "no.wrenches" : "no.wrench")));
        in.adapter().ifPresent(a -> notes.add(TEXT.get("adapter")));
        in.prevailingNm().ifPresent(p -> notes.add(TEXT.get("prevailing", Display.significant(p))));
        notes.addAll(out.warnings());
        notes.add(TEXT.get("snug"));
        return List.copyOf(notes);
    }

    /** Why the wrench is set as it is. */
    public static Explanation why(TorqueInput in, TorqueResult out) {
        List<InputLine> lines = new ArrayList<>();
        lines.add(new InputLine(
                TEXT.get("torque_words.range"),
                TEXT.get(
                        "torque_words.to_n_m",
                        Display.significant(in.unit().toNm(in.low())),
                        Display.significant(in.unit().toNm(in.high()))),
                TEXT.get("torque_words.family_sheet")));
        in.adapter()
                .ifPresent(a -> lines.add(new InputLine(
                        TEXT.get("torque_words.adapter"),
                        TEXT.get(
                                "torque_words.mm_at",
                                Display.significant(a.extensionMm()),
                                Display.significant(a.angleDeg())),
                        TEXT.get("torque_words.read_at_the_bench"))));
        out.choice().ifPresent(c -> in.wrenches().stream()
                .filter(w -> w.id().equals(c.wrench()))
                .findFirst()
                .ifPresent(w -> lines.add(new InputLine(
                        TEXT.get("torque_words.lever_of_the", w.id()),
                        TEXT.get("torque_words.mm", Display.significant(w.leverMm())),
                        TEXT.get("torque_words.the_yards_wrenches")))));
        out.clampKn()
                .ifPresent(f -> lines.add(new InputLine(
                        TEXT.get(
                                "torque_words.clamp_at_the_target_threads",
                                in.condition().name().toLowerCase(Locale.ROOT)),
                        TEXT.get(
                                "torque_words.kn",
                                Display.significant(f),
                                (out.proofShare().isPresent()
                                        ? TEXT.get(
                                                "torque_words.of_the_proof_load",
                                                Math.round(
                                                        100 * out.proofShare().getAsDouble()))
                                        : "")),
                        TEXT.get("torque_words.f_t_k_d_k_0"))));
        String figure = out.choice()
                .map(c -> number(c.setting()) + " " + c.unit().symbol())
                .orElse(Display.significant(out.target().nm()) + " N·m wanted");
        return new Explanation(
                TEXT.get("why.title"),
                figure,
                TEXT.get("why.formula"),
                lines,
                TEXT.get("why.source"),
                out.choice()
                        .map(c -> TEXT.get("why.u", Display.significant(c.lowNm()), Display.significant(c.highNm())))
                        .orElse(TEXT.get("why.u.none")),
                TEXT.get("why.change"));
    }

    private static String number(double setting) {
        return setting == Math.rint(setting)
                ? String.valueOf((long) setting)
                : String.format(Locale.ROOT, "%s", setting);
    }
}
