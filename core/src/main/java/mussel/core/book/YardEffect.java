package mussel.core.book;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import mussel.core.estimate.EstimateEngine;
import mussel.core.estimate.EstimateResult.Option;
import mussel.core.job.Assessment;
import mussel.core.job.RepairWorth;
import mussel.core.job.YardHabits;
import mussel.core.language.Messages;
import mussel.core.measure.NamedBy;
import mussel.core.parts.PartsWords;
import mussel.core.pump.PumpResult.PartVerdict;

/** What a decision of the yard changes on a leg that is open: told before it is taken. */
public final class YardEffect {
    private static final Messages TEXT = Messages.of(YardEffect.class);

    private YardEffect() {}

    /** What is told of. */
    private enum What {
        COST,
        PUMP,
        OIL,
        FROST,
        TRACE;

        private String title() {
            return TEXT.get("effect." + NamedBy.file(this));
        }
    }

    /** What is otherwise on a leg with the yard as it would be, a sentence part each; empty where nothing is. */
    public static List<String> of(Assessment before, Assessment after) {
        Map<What, String> was = answers(before);
        Map<What, String> is = answers(after);
        List<String> lines = new ArrayList<>();
        is.forEach((what, answer) -> {
            String earlier = was.getOrDefault(what, "");
            if (!answer.equals(earlier)) {
                lines.add(
                        earlier.isEmpty()
                                ? TEXT.get("effect.new", what.title(), answer)
                                : TEXT.get("effect.other", what.title(), answer, earlier));
            }
        });
        was.forEach((what, answer) -> {
            if (!is.containsKey(what)) {
                lines.add(TEXT.get("effect.gone", what.title(), answer));
            }
        });
        return lines;
    }

    private static Map<What, String> answers(Assessment now) {
        Map<What, String> answers = new EnumMap<>(What.class);
        now.worth().map(YardEffect::cost).ifPresent(c -> answers.put(What.COST, c));
        List<String> parts = !now.pump().looked()
                ? List.of()
                : now.pump().result().parts().stream()
                        .filter(p -> p.verdict() == PartVerdict.REPLACE)
                        .map(p -> p.part().replace('_', ' '))
                        .toList();
        if (!parts.isEmpty()) {
            answers.put(What.PUMP, String.join(", ", parts));
        }
        now.fill()
                .result()
                .filter(f -> f.cost() > 0)
                .ifPresent(f -> answers.put(What.OIL, now.yard().money().exact(f.cost())));
        YardHabits.trace(now).ifPresent(t -> answers.put(What.TRACE, t));
        now.due().stream()
                .filter(d -> d.id().equals(mussel.core.log.Due.LAY_UP))
                .findFirst()
                .ifPresent(d -> answers.put(What.FROST, d.on().toString()));
        return answers;
    }

    private static String cost(RepairWorth worth) {
        Option repair = worth.result().option(EstimateEngine.REPAIR);
        return worth.words().about(repair, repair.mean())
                + (repair.leadDays() > 0 ? ", " + PartsWords.days(Math.round(repair.leadDays())) : "");
    }
}
