package mussel.desktop.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.job.JobFinding;
import mussel.core.job.Scale;
import mussel.core.job.Topic;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Explanation;
import mussel.core.verdict.Cause;
import mussel.core.verdict.Finding;
import mussel.core.verdict.VerdictResult;
import mussel.core.verdict.VerdictResult.CauseBelief;
import mussel.core.verdict.VerdictResult.Check;
import mussel.core.verdict.VerdictResult.Decision;
import mussel.core.verdict.VerdictWords;
import mussel.desktop.desk.JobNote;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.FocusStops;
import mussel.desktop.kit.Pages;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Rows;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.WhyButton;
import mussel.work.desk.Desk;

/** What is wrong and how sure, what to look at next, what to do about it. */
public final class VerdictStation implements StationView {
    private static final Messages TEXT = Messages.of(VerdictStation.class);

    private static final int FIRST_CAUSES = 7;
    private static final int FIRST_LOOKS = 6;
    private static final double WORTH_SHOWING = 0.05;

    private final Desk desk;
    private final VBox sheet = new Column(10);
    private final Label head = Texts.wrapped("", "conclusion");
    private final VBox said = new Column(4);
    private final VBox causes = new Column(6);
    private final Button moreCauses = new Button();
    private Rows<CauseCard> cards;
    private Rows<DecisionRow> decisions;
    private final VBox looks = new Column(8);
    private final VBox findings = new Column(8);
    private final VBox opened = new Column(8);
    private final VBox tables = new Column(8);
    private final PickRow view;
    private final Pages pages = new Pages();
    private final RoundsCard rounds;
    private final RoundPage round;
    private final Map<String, Consumer<Assessment>> fill;
    private final Map<String, Node> views;
    private String shown = "causes";
    private boolean allCauses;
    private boolean allLooks;

    /** The station of a job. */
    public VerdictStation(Desk desk) {
        this.desk = desk;
        rounds = new RoundsCard(desk, this::round);
        round = new RoundPage(desk, () -> open("looks"));
        view = new PickRow(
                "verdict-view",
                "",
                List.of(
                        Choice.text("causes", TEXT.get("verdict_station.what_is_wrong")),
                        Choice.text("looks", TEXT.get("verdict_station.next_looks")),
                        Choice.text("findings", TEXT.get("verdict_station.findings")),
                        Choice.text("opened", TEXT.get("verdict_station.when_opened")),
                        Choice.text("tables", TEXT.get("verdict_station.tables"))));
        view.keepsOne().onPick(which -> open(which.orElse("causes")));
        fill = Map.of(
                "causes", this::causes,
                "looks", this::looks,
                "findings", this::findings,
                "opened", this::opened,
                "round", this::round,
                "tables", now -> TablesPage.fill(tables, desk.shop(), now));
        views = Map.of(
                "causes", causes,
                "looks", looks,
                "findings", findings,
                "opened", opened,
                "tables", tables,
                "round", round);
        causesPage();
        head.setId("verdict-head");
        sheet.getStyleClass().add("station");
        sheet.getChildren().addAll(Texts.title(TEXT.get("verdict_station.verdict")), head, said, view, pages);
        open("causes");
    }

    private void open(String which) {
        shown = which;
        view.show(Optional.of(which.equals("round") ? "looks" : which));
        pages.show(views.get(which));
        fill.get(shown).accept(desk.now());
    }

    private void round(String title, List<String> checks) {
        round.begin(desk.now(), title, checks);
        open("round");
        round.first().forEach(Node::requestFocus);
    }

    private void round(Assessment now) {
        if (round.of(now)) {
            round.show(now);
        } else {
            open("looks");
        }
    }

    @Override
    public List<Node> look(String title, List<String> checks) {
        round(title, checks);
        return round.first();
    }

    @Override
    public List<Node> look(String finding) {
        open("looks");
        boolean listed = desk.now().verdict().checks().stream()
                .limit(FIRST_LOOKS)
                .anyMatch(c -> c.finding().equals(finding));
        if (!listed) {
            allLooks = true;
            looks(desk.now());
        }
        return looks.getChildren().stream()
                .filter(n -> ("look-" + finding).equals(n.getId()))
                .flatMap(n -> FocusStops.of(n).first().stream())
                .toList();
    }

    @Override
    public Node node() {
        return sheet;
    }

    @Override
    public void show(Assessment now) {
        VerdictWords words = now.verdictWords();
        head.setText(
                now.findings().isEmpty() ? TEXT.get("verdict_station.nothing_was_looked_at_yet_begin") : words.head());
        said.getChildren().clear();
        words.lipSide().ifPresent(s -> said.getChildren().add(Texts.wrapped(s, "strong")));
        words.contradiction().ifPresent(s -> said.getChildren().add(Texts.caution(s)));
        boolean simulated = now.findings().values().stream()
                .anyMatch(m -> m.by() == JobFinding.By.SIMULATED || m.by() == JobFinding.By.SIMULATED_HOLD);
        if (simulated) {
            said.getChildren().add(Texts.wrapped(TEXT.get("verdict_station.some_of_this_rests_on_a"), "refusal"));
        }
        fill.get(shown).accept(now);
    }

    private void causes(Assessment now) {
        VerdictResult out = now.verdict();
        VerdictWords words = now.verdictWords();
        cards.begin();
        out.causes().stream()
                .filter(c -> allCauses || c.probability() >= WORTH_SHOWING && touched(c))
                .limit(allCauses ? Long.MAX_VALUE : FIRST_CAUSES)
                .forEach(c -> cards.next().show(now, c));
        cards.end();
        moreCauses.setText(
                allCauses
                        ? TEXT.get("verdict_station.only_the_likely_ones")
                        : TEXT.get("verdict_station.all_causes", out.causes().size()));
        decisions.begin();
        out.decisions().stream()
                .filter(d -> words.risen(d.goal()) && (d.probability() >= WORTH_SHOWING || d.act()))
                .sorted(Comparator.comparingDouble(Decision::probability).reversed())
                .forEach(d -> decisions.next().show(now, d));
        decisions.end();
    }

    private void causesPage() {
        VBox listed = new Column(6);
        cards = new Rows<>(listed, CauseCard::new);
        VBox acts = new Column(2);
        decisions = new Rows<>(acts, DecisionRow::new);
        moreCauses.setOnAction(e -> {
            allCauses = !allCauses;
            causes(desk.now());
        });
        moreCauses.setId("more-causes");
        moreCauses.getStyleClass().add("fold");
        causes.getChildren()
                .setAll(
                        Texts.dim(TEXT.get(
                                "verdict_station.bars_left_of_the_line_speak",
                                Math.round(Math.pow(2, EvidenceBar.FULL_BITS)))),
                        listed,
                        moreCauses,
                        Texts.heading(TEXT.get("verdict_station.what_to_do")),
                        acts,
                        Texts.dim(TEXT.get("verdict_station.costs_are_the_tables_own_unless")));
    }

    /** Whether anything seen says something of the cause. */
    private static boolean touched(CauseBelief cause) {
        return !EvidenceLine.strongest(cause, 1).isEmpty();
    }

    private static WhyButton why(String id, Explanation explanation) {
        return new WhyButton(id, () -> Optional.of(explanation));
    }

    private static Button more(String id, String text, Runnable action) {
        Button button = new Button(text);
        button.setId(id);
        button.getStyleClass().add("fold");
        button.setOnAction(e -> action.run());
        return button;
    }

    private void looks(Assessment now) {
        VerdictResult out = now.verdict();
        VerdictWords words = now.verdictWords();
        List<Node> rows = new ArrayList<>();
        rounds.show(now);
        rows.add(rounds);
        rows.add(Texts.wrapped(words.next(), "strong"));
        Optional<VerdictResult.Bearing> under = Optional.empty();
        boolean brought = out.checks().stream().anyMatch(c -> c.bearing() == VerdictResult.Bearing.COMPLAINT);
        for (Check check : out.checks().stream()
                .limit(allLooks ? Long.MAX_VALUE : FIRST_LOOKS)
                .toList()) {
            if (brought && !under.equals(Optional.of(check.bearing()))) {
                under = Optional.of(check.bearing());
                rows.add(Texts.dim(
                        check.bearing() == VerdictResult.Bearing.COMPLAINT
                                ? TEXT.get("verdict_station.for_what_it_came_in_for")
                                : TEXT.get("verdict_station.beside_it")));
            }
            rows.add(look(now, words, check));
        }
        rows.add(more(
                "more-looks",
                allLooks
                        ? TEXT.get("verdict_station.only_the_best_ones")
                        : TEXT.get("verdict_station.all_looks", out.checks().size()),
                () -> {
                    allLooks = !allLooks;
                    looks(desk.now());
                }));
        looks.getChildren().setAll(rows);
    }

    private Node look(Assessment now, VerdictWords words, Check check) {
        Finding finding = now.knowledge().finding(check.finding()).orElseThrow();
        String access = now.knowledge().access(check.access()).orElseThrow().title();
        Label figures = Texts.dim(TEXT.get(
                "verdict_station.may_save_worth_after_its_time",
                access,
                Display.workTime(check.minutes()),
                desk.shop().units().money().sum(check.saves()),
                desk.shop().units().money().sum(check.value())));
        HBox.setHgrow(figures, Priority.ALWAYS);
        figures.setMaxWidth(Double.MAX_VALUE);
        HBox line = new Row(8, figures, why("why-look-" + check.finding(), words.why(check)));
        VBox card = new Column(4, new FindingRow(desk, finding, finding.title(), now), line);
        card.getStyleClass().add("card");
        card.setId("look-" + check.finding());
        return card;
    }

    private void findings(Assessment now) {
        List<Node> rows = new ArrayList<>();
        if (now.findings().isEmpty()) {
            rows.add(Texts.dim(TEXT.get("verdict_station.none_yet_what_is_seen_at")));
        }
        now.findings().forEach((id, made) -> {
            Finding finding = now.knowledge().finding(id).orElseThrow();
            String engines = made.engines().isEmpty()
                    ? ""
                    : TEXT.get("verdict_station.the_engines_say", made.engines().replace('_', ' '));
            VBox card = new Column(
                    4,
                    new FindingRow(
                            desk, finding, finding.title() + " (" + made.by().title() + engines + ")", now));
            if (made.by() == JobFinding.By.OVERRULED) {
                JobNote reason = JobNote.line(
                        desk, TEXT.get("verdict_station.why_it_is_set_by_hand"), Topic.OVERRULED_WHY.of(id));
                card.getChildren().add(reason);
            }
            card.getStyleClass().add("card");
            rows.add(card);
        });
        findings.getChildren().setAll(rows);
    }

    private void opened(Assessment now) {
        List<Node> rows = new ArrayList<>();
        rows.add(Texts.sentence(TEXT.get("verdict_station.what_was_truly_found_once_it")));
        now.verdict().causes().stream().limit(12).forEach(belief -> {
            Cause cause = now.knowledge().cause(belief.id()).orElseThrow();
            PickRow row = new PickRow(
                    "confirmed-" + belief.id(),
                    TEXT.get(
                            "verdict_station.expected_at",
                            cause.title(now.context()),
                            Display.percent(belief.probability())),
                    List.of(Choice.text("no", TEXT.get("verdict_station.not_there")), Choice.text("yes", "found")));
            row.show(now.job().choice(Scale.CONFIRMED.of(belief.id())));
            row.onPick(outcome -> desk.choose(Scale.CONFIRMED.of(belief.id()), outcome));
            rows.add(row);
        });
        opened.getChildren().setAll(rows);
    }
}
