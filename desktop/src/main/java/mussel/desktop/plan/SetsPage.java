package mussel.desktop.plan;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mussel.core.brief.RepairWords;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.RepairQuestion;
import mussel.core.job.RepairWorth;
import mussel.core.job.Scale;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.verdict.RepairSet;
import mussel.core.verdict.RepairTables;
import mussel.core.verdict.Repairs;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** What to repair, as sets: the recommended one, a smaller and a larger one, and leaving it, each with its price and the chance that the boat comes back. */
final class SetsPage extends Column {
    private static final Messages TEXT = Messages.of(SetsPage.class);

    private static final double BAR = 150;
    private static final double ROOM = 480;

    private final Desk desk;
    private final Label head = Texts.dim(
            "Chosen together: what shares the way in costs it once, and what is left brings the boat back once. Prices are"
                    + " work and parts.");
    private final VBox cards = new Column(6);
    private final PickRow proof;
    private final Label proofs = Texts.dim("");
    private final Label ready = Texts.sentence("");
    private final Label stops = Texts.sentence("");
    private Optional<Assessment> shown = Optional.empty();

    SetsPage(Desk desk) {
        super(6);
        this.desk = desk;
        setId("sets");
        proof = new PickRow(
                        "pick-proof",
                        TEXT.get("sets_page.final_check"),
                        List.of(
                                Choice.text("none", TEXT.get("sets_page.none")),
                                Choice.text("one_hold", TEXT.get("sets_page.one_pressure_test")),
                                Choice.text("both_holds", TEXT.get("sets_page.pressure_and_vacuum_test"))))
                .optional()
                .onPick(picked -> desk.choose(Scale.PROOF.address(), picked));
        getChildren().addAll(head, cards, proof, proofs, ready, stops);
        for (Label optional : List.of(proofs, ready, stops)) {
            optional.managedProperty().bind(optional.textProperty().isNotEmpty());
            optional.visibleProperty().bind(optional.textProperty().isNotEmpty());
        }
    }

    void show(Assessment now) {
        boolean asked = !now.findings().isEmpty() && now.knowledge().repairs().isPresent() && !now.leftAlone();
        setVisible(asked);
        setManaged(asked);
        if (!asked || shown.filter(s -> s == now).isPresent()) {
            return;
        }
        shown = Optional.of(now);
        proof.show(Optional.of(now.job().choice(Scale.PROOF).orElse("both_holds")));
        if (cards.getChildren().isEmpty()) {
            // The room they will take: what stands below does not jump away under a hand.
            cards.setMinHeight(ROOM);
            cards.getChildren().setAll(Texts.dim(TEXT.get("sets_page.comparing_sets_of_repairs")));
        }
        desk.repairs().ask(now, told -> {
            if (shown.filter(s -> s == now).isPresent()) {
                show(now, told.question(), told.answer());
            }
        });
    }

    private void show(Assessment now, RepairQuestion question, RepairQuestion.Answer answered) {
        Repairs answer = answered.repairs();
        List<RepairSet> sets = answer.sets();
        Set<String> chosen = new HashSet<>(question.chosen());
        List<VBox> made = new ArrayList<>();
        boolean offered = false;
        for (int i = 0; i < sets.size(); i++) {
            RepairSet set = sets.get(i);
            boolean taken = inSheet(now, set.goals()).equals(chosen);
            offered |= taken;
            made.add(card(now, question, answered, set, i == 0 ? "Recommended" : kind(sets, i), "set-" + i, taken));
        }
        if (!offered && answer.chosen().isPresent()) {
            made.add(0, card(now, question, answered, answer.chosen().get(), "Chosen", "set-chosen", true));
        }
        Node focused = getScene() == null ? null : getScene().getFocusOwner();
        String held =
                focused != null && focused.getId() != null && focused.getId().startsWith("take-set")
                        ? focused.getId()
                        : "";
        cards.setMinHeight(USE_COMPUTED_SIZE);
        cards.getChildren().setAll(made);
        if (!held.isEmpty()) {
            cards.lookupAll("#" + held).stream().findFirst().ifPresent(Node::requestFocus);
        }
        proofs.setText(answer.proofs().stream()
                .map(p -> TEXT.get(
                        "sets_page.min_comes_back",
                        RepairWords.check(now, p.proof()),
                        Math.round(p.minutes()),
                        Display.percent(p.back())))
                .collect(Collectors.joining(" · ")));
        ready.setText(
                answer.ready().isEmpty()
                        ? ""
                        : TEXT.get(
                                "sets_page.have_ready",
                                answer.ready().stream()
                                        .map(r -> TEXT.get(
                                                "sets_page.seen_with",
                                                RepairWords.repair(now, r.goal()),
                                                Display.percent(r.probability()),
                                                stage(now, r.seenAt())))
                                        .collect(Collectors.joining(", "))));
        stops.setText(now.worth()
                .map(RepairWorth::stops)
                .filter(s -> !s.isEmpty())
                .map(all -> all.stream().map(s -> s.says(now.yard().money())))
                .orElseGet(() -> answer.stops().stream().map(s -> stop(now, s)))
                .collect(Collectors.joining("\n")));
    }

    /** A stop point of a set that is not chosen yet, at the prices of the comparison. */
    private static String stop(Assessment now, Repairs.Stop stop) {
        return TEXT.get(
                "sets_page.stop_and_check_with_may_add",
                stage(now, stop.after()),
                stop.adds().stream()
                        .limit(3)
                        .map(a -> RepairWords.repair(now, a.goal()) + " (" + Display.percent(a.probability()) + ", "
                                + now.yard().money().sum(a.cost()) + ")")
                        .collect(Collectors.joining(", ")));
    }

    private static String kind(List<RepairSet> sets, int at) {
        // Leaving it comes last and costs less than the best set, unless it is the best set.
        if (sets.get(at).now() >= sets.get(0).now()) {
            return "More";
        }
        return at == sets.size() - 1 ? TEXT.get("sets_page.leave_the_rest") : "Less";
    }

    private static String stage(Assessment now, String id) {
        String title = now.knowledge()
                .repairs()
                .orElseThrow()
                .stage(id)
                .map(RepairTables.Stage::title)
                .orElse(id);
        return title.substring(0, 1).toLowerCase(Locale.ROOT) + title.substring(1);
    }

    /** Those of some repairs that this lower unit's sheet has. */
    private static Set<String> inSheet(Assessment now, List<String> goals) {
        return goals.stream()
                .filter(g -> now.sheet().goal(g).isPresent())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private VBox card(
            Assessment now,
            RepairQuestion question,
            RepairQuestion.Answer answered,
            RepairSet set,
            String kind,
            String id,
            boolean taken) {
        RepairQuestion.Price plan = answered.prices().get(new HashSet<>(inSheet(now, set.goals())));
        List<String> titles = inSheet(now, set.goals()).stream()
                .map(g -> RepairWords.repair(now, g) + (question.in().due().contains(g) ? " (due)" : ""))
                .toList();
        Label name = Texts.wrapped(
                titles.isEmpty() ? TEXT.get("sets_page.nothing_is_repaired") : String.join(", ", titles), "strong");
        int days = question.days(set.goals());
        String left = RepairWords.left(now, set);
        Label open = Texts.dim(
                left.isEmpty()
                        ? TEXT.get("sets_page.nothing_likely_is_left_open")
                        : TEXT.get("sets_page.still_open", left));
        Label time = Texts.dim(Display.workTime(plan.minutes())
                + (days == 0
                        ? ""
                        : days == 1
                                ? TEXT.get("sets_page.parts_in_1_day")
                                : TEXT.get("sets_page.parts_in_days", days)));
        VBox words = new Column(2, Texts.dim(kind), name, open, time);
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMinWidth(0);
        Label price = Texts.wrapped(
                now.yard().money().sum(plan.money())
                        + (plan.unpriced() ? TEXT.get("sets_page.and_parts_without_a_price") : ""),
                "strong");
        Label back = Texts.dim(TEXT.get("sets_page.comes_back", Display.percent(set.back())));
        Region room = new Region();
        room.getStyleClass().add("back-room");
        room.setMinSize(BAR, 6);
        room.setMaxSize(BAR, 6);
        Region bar = new Region();
        bar.getStyleClass().add("back-bar");
        bar.setMinSize(Math.max(2, BAR * set.back()), 6);
        bar.setMaxSize(Math.max(2, BAR * set.back()), 6);
        StackPane gauge = new StackPane(room, bar);
        StackPane.setAlignment(bar, Pos.CENTER_LEFT);
        gauge.setMaxWidth(BAR);
        gauge.setAlignment(Pos.CENTER_LEFT);
        Button take = new Button(taken ? TEXT.get("sets_page.chosen") : TEXT.get("sets_page.choose_this_set"));
        take.setId("take-" + id);
        take.setDisable(taken);
        take.setAccessibleText((taken ? "Chosen: " : "Choose: ") + name.getText());
        take.setOnAction(e -> take(now, set));
        VBox figures = new Column(3, price, back, gauge, take);
        figures.setMinWidth(USE_PREF_SIZE);
        VBox card = new Column(0, new Row(10, words, figures));
        card.setId(id);
        card.getStyleClass().addAll("card", "set-card");
        if (taken || kind.equals("Recommended")) {
            card.getStyleClass().add(taken ? "set-taken" : "set-best");
        }
        return card;
    }

    /** Chooses just these repairs, all in one entry. */
    private void take(Assessment now, RepairSet set) {
        Set<String> wanted = inSheet(now, set.goals());
        Set<String> chosen = new LinkedHashSet<>(now.goals());
        List<Fact> facts = Stream.concat(
                        wanted.stream().filter(g -> !chosen.contains(g)).map(g ->
                                (Fact) new Fact.Chosen(Scale.GOAL.of(g), "yes")),
                        chosen.stream().filter(g -> !wanted.contains(g)).map(g ->
                                (Fact) new Fact.Chosen(Scale.GOAL.of(g), "no")))
                .toList();
        desk.note(facts);
    }
}
