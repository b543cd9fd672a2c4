package mussel.desktop.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import mussel.core.brief.RepairWords;
import mussel.core.job.Assessment;
import mussel.core.language.Messages;
import mussel.core.verdict.LegState.Condition;
import mussel.core.verdict.Repairs;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** The rounds of checks that can be made as the lower unit stands, the one advised first, and what would have to be put back for the others. */
final class RoundsCard extends Column {
    private static final Messages TEXT = Messages.of(RoundsCard.class);

    private static final int MOST = 3;

    private final Desk desk;
    private final BiConsumer<String, List<String>> onBegin;
    private Optional<Assessment> shown = Optional.empty();

    /** A card; told which round is begun, by its words and its checks. */
    RoundsCard(Desk desk, BiConsumer<String, List<String>> onBegin) {
        super(4);
        this.desk = desk;
        this.onBegin = onBegin;
        setId("rounds");
        getStyleClass().add("card");
    }

    void show(Assessment now) {
        boolean known = now.knowledge().repairs().isPresent();
        setVisible(known);
        setManaged(known);
        if (!known || shown.filter(s -> s == now).isPresent()) {
            return;
        }
        shown = Optional.of(now);
        desk.repairs().ask(now, told -> {
            if (shown.filter(s -> s == now).isPresent()) {
                show(now, told.answer().repairs());
            }
        });
    }

    private void show(Assessment now, Repairs answer) {
        List<Node> lines = new ArrayList<>();
        List<Repairs.Round> possible =
                answer.rounds().stream().filter(Repairs.Round::possible).toList();
        if (possible.isEmpty()) {
            lines.add(Texts.sentence(TEXT.get("rounds_card.nothing_is_left_to_check_as")));
        }
        for (int i = 0; i < Math.min(MOST, possible.size()); i++) {
            Repairs.Round round = possible.get(i);
            Button begin = new Button(RepairWords.says(now, round) + ", " + worth(now, round));
            begin.setId("round-" + round.round());
            begin.getStyleClass().add("check-round");
            begin.setWrapText(true);
            begin.setMaxWidth(Double.MAX_VALUE);
            begin.setAlignment(Pos.CENTER_LEFT);
            begin.setOnAction(e -> onBegin.accept(RepairWords.says(now, round), round.looks()));
            lines.add(begin);
            if (i == 0) {
                lines.add(Texts.sentence(RepairWords.checks(now, round)));
            }
        }
        answer.rounds().stream()
                .filter(r -> !r.possible())
                .limit(MOST)
                .forEach(r -> lines.add(Texts.dim(TEXT.get("rounds_card.after", needs(r), RepairWords.name(now, r)))));
        getChildren().setAll(lines);
    }

    private static String worth(Assessment now, Repairs.Round round) {
        return round.value() > 0
                ? TEXT.get(
                        "rounds_card.could_save_beyond_its_time",
                        now.yard().money().sum(round.value()))
                : round.bearing() == mussel.core.verdict.VerdictResult.Bearing.COMPLAINT
                        ? TEXT.get("rounds_card.for_what_it_came_in_for")
                        : TEXT.get("rounds_card.not_worth_its_time");
    }

    /** What must be put back, in words: conditions are named by what they are in a lower unit that is whole. */
    private static String needs(Repairs.Round round) {
        return round.needsFirst().stream()
                .map(need -> {
                    int cut = need.lastIndexOf('_');
                    Condition condition = Condition.of(need.substring(0, cut)).orElseThrow();
                    return switch (condition) {
                        case OIL -> TEXT.get("rounds_card.the_oil_is_back_in");
                        case PLUGS -> TEXT.get("rounds_card.the_plugs_are_in");
                        case LEG -> TEXT.get("rounds_card.the_unit_is_back_on");
                        case PUMP -> TEXT.get("rounds_card.the_pump_is_back_on");
                        case CASE -> TEXT.get("rounds_card.the_case_is_closed");
                        case PROPELLER -> TEXT.get("rounds_card.the_propeller_is_on");
                        default ->
                            TEXT.get(
                                    "rounds_card.is_put_right", condition.name().toLowerCase(Locale.ROOT));
                    };
                })
                .collect(Collectors.joining(" and "));
    }
}
