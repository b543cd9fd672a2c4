package mussel.desktop.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Scale;
import mussel.core.language.Messages;
import mussel.core.verdict.LegState.Condition;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.work.desk.Desk;

/** In what state a lower unit came to the shop: on its engine or alone, with its oil or drained. Entered as the conditions it leaves. */
final class IncomingCondition extends Column {
    private static final Messages TEXT = Messages.of(IncomingCondition.class);

    private static final Map<String, Map<Condition, Integer>> STATES = new LinkedHashMap<>();

    static {
        STATES.put("boat", Map.of(Condition.ENGINE, 0, Condition.LEG, 0));
        STATES.put("alone", Map.of(Condition.ENGINE, 1, Condition.LEG, 1));
        STATES.put("drained", Map.of(Condition.ENGINE, 0, Condition.LEG, 0, Condition.OIL, 1, Condition.PLUGS, 1));
        STATES.put(
                "alone_drained", Map.of(Condition.ENGINE, 1, Condition.LEG, 1, Condition.OIL, 1, Condition.PLUGS, 1));
    }

    private static final List<Condition> ASKED =
            List.of(Condition.ENGINE, Condition.LEG, Condition.OIL, Condition.PLUGS);

    private final PickRow row;

    IncomingCondition(Desk desk) {
        row = new PickRow(
                        "pick-how-it-came",
                        TEXT.get("incoming_condition.how_it_came"),
                        List.of(
                                Choice.text("boat", TEXT.get("incoming_condition.on_its_boat")),
                                Choice.text("alone", TEXT.get("incoming_condition.alone")),
                                Choice.text("drained", TEXT.get("incoming_condition.on_its_boat_drained")),
                                Choice.text("alone_drained", TEXT.get("incoming_condition.alone_drained"))))
                .optional()
                .onPick(how -> desk.note(facts(desk, how)));
        getChildren().add(row);
    }

    private static List<Fact> facts(Desk desk, Optional<String> how) {
        List<Fact> facts = new ArrayList<>();
        Map<Condition, Integer> wanted = how.map(STATES::get).orElse(Map.of());
        for (Condition condition : ASKED) {
            if (wanted.containsKey(condition)) {
                facts.add(new Fact.Chosen(
                        Scale.STATE.of(condition.id()), condition.states().get(wanted.get(condition))));
            } else if (desk.job().choice(Scale.STATE.of(condition.id())).isPresent()) {
                facts.add(new Fact.Cleared(Scale.STATE.of(condition.id())));
            }
        }
        return facts;
    }

    /** Shows what was entered of it; nothing where the state was corrected to something else since. */
    void show(Assessment now) {
        row.show(STATES.entrySet().stream()
                .filter(s -> ASKED.stream().allMatch(c -> now.job()
                        .choice(Scale.STATE.of(c.id()))
                        .equals(Optional.ofNullable(s.getValue().get(c))
                                .map(at -> c.states().get(at)))))
                .map(Map.Entry::getKey)
                .findFirst());
    }
}
