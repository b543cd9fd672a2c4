package mussel.core.torque;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import mussel.core.measure.Display;
import mussel.core.measure.Sentences;

/** A torque in sentences. */
public final class TorqueWords {
    private static final Sentences SAY = Sentences.beside(TorqueWords.class);

    private TorqueWords() {}

    /** Plain sentences a technician can act on. */
    public static List<String> notes(TorqueInput in, TorqueResult out) {
        List<String> notes = new ArrayList<>();
        out.choice()
                .ifPresentOrElse(
                        c -> notes.add(SAY.say(
                                "take",
                                c.wrench(),
                                number(c.setting()),
                                c.unit().symbol(),
                                Display.significant(c.deliveredNm()),
                                Display.significant(c.lowNm()),
                                Display.significant(c.highNm()))),
                        () -> notes.add(SAY.say(in.wrenches().isEmpty() ? "no.wrenches" : "no.wrench")));
        in.adapter().ifPresent(a -> notes.add(SAY.say("adapter")));
        in.prevailingNm().ifPresent(p -> notes.add(SAY.say("prevailing", Display.significant(p))));
        notes.addAll(out.warnings());
        notes.add(SAY.say("snug"));
        return List.copyOf(notes);
    }

    private static String number(double setting) {
        return setting == Math.rint(setting)
                ? String.valueOf((long) setting)
                : String.format(Locale.ROOT, "%s", setting);
    }
}
