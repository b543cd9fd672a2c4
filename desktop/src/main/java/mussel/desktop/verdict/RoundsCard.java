package mussel.desktop.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Label;
import mussel.core.job.Assessment;
import mussel.core.job.RepairQuestion;
import mussel.core.measure.Display;
import mussel.core.verdict.Finding;
import mussel.core.verdict.LegState.Condition;
import mussel.core.verdict.RepairTables;
import mussel.core.verdict.Repairs;
import mussel.desktop.desk.Desk;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Texts;

/** The rounds of checks that can be made as the lower unit stands, the one advised first, and what would have to be put back for the others. */
final class RoundsCard extends Column {
    private static final int MOST = 3;

    private final Desk desk;
    private Optional<Assessment> shown = Optional.empty();

    RoundsCard(Desk desk) {
        super(4);
        this.desk = desk;
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
        RepairQuestion question = RepairQuestion.of(now);
        desk.quietlyAside(
                "the rounds of checks", stop -> question.answer(Set.of()).repairs(), answer -> {
                    if (shown.filter(s -> s == now).isPresent()) {
                        show(now, answer);
                    }
                });
    }

    private void show(Assessment now, Repairs answer) {
        List<Node> lines = new ArrayList<>();
        List<Repairs.Round> possible =
                answer.rounds().stream().filter(Repairs.Round::possible).toList();
        if (possible.isEmpty()) {
            lines.add(Texts.sentence("Nothing is left to check as the unit stands."));
        }
        for (int i = 0; i < Math.min(MOST, possible.size()); i++) {
            Repairs.Round round = possible.get(i);
            Label head = Texts.wrapped(title(now, round) + ": " + checks(round) + ", " + worth(now, round), "strong");
            lines.add(i == 0 ? head : Texts.dim(head.getText()));
            if (i == 0) {
                lines.add(Texts.sentence(round.looks().stream()
                        .map(f -> now.knowledge().finding(f).map(Finding::title).orElse(f))
                        .collect(Collectors.joining(" · "))));
            }
        }
        answer.rounds().stream()
                .filter(r -> !r.possible())
                .limit(MOST)
                .forEach(r -> lines.add(Texts.dim("After " + needs(r) + ": " + title(now, r))));
        getChildren().setAll(lines);
    }

    private static String checks(Repairs.Round round) {
        return (round.looks().size() == 1 ? "1 check" : round.looks().size() + " checks") + ", "
                + Display.workTime(round.minutes());
    }

    private static String worth(Assessment now, Repairs.Round round) {
        return round.value() > 0
                ? "could save " + now.yard().money().sum(round.value()) + " beyond its time"
                : round.bearing() == mussel.core.verdict.VerdictResult.Bearing.COMPLAINT
                        ? "for what it came in for"
                        : "not worth its time";
    }

    private static String title(Assessment now, Repairs.Round round) {
        return now.knowledge().repairs().orElseThrow().rounds().stream()
                .filter(r -> r.id().equals(round.round()))
                .map(RepairTables.Round::title)
                .findFirst()
                .orElse(round.round());
    }

    /** What must be put back, in words: conditions are named by what they are in a lower unit that is whole. */
    private static String needs(Repairs.Round round) {
        return round.needsFirst().stream()
                .map(need -> {
                    int cut = need.lastIndexOf('_');
                    Condition condition = Condition.of(need.substring(0, cut)).orElseThrow();
                    return switch (condition) {
                        case OIL -> "the oil is back in";
                        case PLUGS -> "the plugs are in";
                        case LEG -> "the unit is back on";
                        case PUMP -> "the pump is back on";
                        case CASE -> "the case is closed";
                        case PROPELLER -> "the propeller is on";
                        default -> condition.name().toLowerCase(Locale.ROOT) + " is put right";
                    };
                })
                .collect(Collectors.joining(" and "));
    }
}
