package mussel.core.book;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mussel.core.estimate.EstimateResult.Option;
import mussel.core.job.Assessment;
import mussel.core.job.Worth;
import mussel.core.measure.Sentences;
import mussel.core.parts.PartsWords;
import mussel.core.pump.PumpResult.PartVerdict;

/** What a decision of the yard changes on a leg that is open: told before it is taken. */
public final class YardEffect {
    private static final Sentences SAY = Sentences.beside(YardEffect.class);

    private YardEffect() {}

    /** What is otherwise on a leg with the yard as it would be, a sentence part each; empty where nothing is. */
    public static List<String> of(Assessment before, Assessment after) {
        Map<String, String> was = answers(before);
        Map<String, String> is = answers(after);
        List<String> lines = new ArrayList<>();
        is.forEach((what, answer) -> {
            String earlier = was.getOrDefault(what, "");
            if (!answer.equals(earlier)) {
                lines.add(
                        earlier.isEmpty()
                                ? SAY.say("effect.new", SAY.say("effect." + what), answer)
                                : SAY.say("effect.other", SAY.say("effect." + what), answer, earlier));
            }
        });
        was.forEach((what, answer) -> {
            if (!is.containsKey(what)) {
                lines.add(SAY.say("effect.gone", SAY.say("effect." + what), answer));
            }
        });
        return lines;
    }

    private static Map<String, String> answers(Assessment now) {
        Map<String, String> answers = new LinkedHashMap<>();
        now.worth().map(YardEffect::cost).ifPresent(c -> answers.put("cost", c));
        List<String> parts = !now.pump().looked()
                ? List.of()
                : now.pump().result().parts().stream()
                        .filter(p -> p.verdict() == PartVerdict.REPLACE)
                        .map(p -> p.part().replace('_', ' '))
                        .toList();
        if (!parts.isEmpty()) {
            answers.put("pump", String.join(", ", parts));
        }
        now.fill()
                .filter(f -> f.cost() > 0)
                .ifPresent(f -> answers.put("oil", now.yard().money().exact(f.cost())));
        now.due().stream()
                .filter(d -> d.id().equals(mussel.core.log.Due.LAY_UP))
                .findFirst()
                .ifPresent(d -> answers.put("frost", d.on().toString()));
        return answers;
    }

    private static String cost(Worth worth) {
        Option repair = worth.result().options().get(0);
        return worth.words().about(repair, repair.mean())
                + (repair.leadDays() > 0 ? ", " + PartsWords.days(Math.round(repair.leadDays())) : "");
    }
}
