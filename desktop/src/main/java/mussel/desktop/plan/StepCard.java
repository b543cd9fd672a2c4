package mussel.desktop.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.EarlierHands;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.OwnTimes;
import mussel.core.job.Scale;
import mussel.core.job.StepAsk;
import mussel.core.job.Topic;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.NamedBy;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.plan.PlanWords;
import mussel.core.sheet.Fastener;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Phase;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.JobNote;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Marks;
import mussel.desktop.kit.PickMany;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.Question;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.Words;
import mussel.work.desk.Desk;

/** One step to tick: a line, and when it is open its cautions, how it is done, fasteners, parts and tools. Made once, then changed. */
final class StepCard extends Column {
    private static final Messages TEXT = Messages.of(StepCard.class);

    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    private static final PseudoClass DONE = PseudoClass.getPseudoClass("done");

    /** A size as tools carry it: millimetres, or the inch's part of a drive. */
    private static final Pattern SIZE = Pattern.compile("\\d+(?:[.,]\\d+)?(?: to \\d+)? ?mm");

    private final Desk desk;
    private final Step step;
    private final Tick tick = new Tick();
    private final Button title = new Button();
    private final Label where = new Words("");
    private final Label ownTime = Texts.dim("");
    private final Label waiting = Texts.dim("");
    private final Label asked = Texts.caution("");
    private final HBox head;
    private Optional<VBox> body = Optional.empty();
    private final List<JobNote> notes = new ArrayList<>();
    private Optional<Column> hands = Optional.empty();
    private Optional<PickMany> handPicks = Optional.empty();
    private Optional<JobFields> handCost = Optional.empty();
    private Optional<JobPicks> found = Optional.empty();
    private boolean done;

    StepCard(Desk desk, Step step, Runnable onTick, Runnable onTicked, Runnable onOpen) {
        this.desk = desk;
        this.step = step;
        getStyleClass().add("step");
        tick.setId("tick-" + step.id());
        tick.setGraphic(Marks.open());
        tick.getStyleClass().add("tick");
        tick.setOnAction(e -> {
            String asks =
                    done ? "" : StepAsk.of(desk.now(), step).asks(desk.shop().moment());
            if (!asks.isEmpty() && asked.getText().isEmpty()) {
                asked.setText(asks);
                return;
            }
            asked.setText("");
            onTick.run();
            desk.note(new Fact.Ticked(step.id(), !done));
            onTicked.run();
        });
        title.setId("open-" + step.id());
        title.getStyleClass().add("step-title");
        title.setWrapText(true);
        title.setMaxWidth(Double.MAX_VALUE);
        title.setOnAction(e -> onOpen.run());
        HBox.setHgrow(title, Priority.ALWAYS);
        where.getStyleClass().add("dim");
        where.setMinWidth(USE_PREF_SIZE);
        head = new Row(4, tick, title, where);
        head.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        asked.setId("asked-" + step.id());
        asked.managedProperty().bind(asked.textProperty().isNotEmpty());
        asked.visibleProperty().bind(asked.textProperty().isNotEmpty());
        getChildren().addAll(head, asked);
        waiting.managedProperty().bind(waiting.textProperty().isNotEmpty());
        ownTime.managedProperty().bind(ownTime.textProperty().isNotEmpty());
    }

    /** The button that ticks: a question until the step is done. */
    private final class Tick extends Button implements Question {
        @Override
        public boolean open() {
            return !done;
        }

        @Override
        public Node stop() {
            return this;
        }
    }

    /** Opens it, as by its title. */
    void open() {
        title.fire();
    }

    /** What ticks it. */
    Button tick() {
        return tick;
    }

    /** Whether the step is done. */
    boolean done() {
        return done;
    }

    /** Its step. */
    Step step() {
        return step;
    }

    /** Shows the step as the job stands: its number in the list, whether it is the one to do next, whether it is open. */
    void show(Assessment now, PlannedStep planned, int number, boolean current, boolean open) {
        boolean ticked = now.job().ticked(step.id()).isPresent();
        if (ticked != done) {
            done = ticked;
            tick.setGraphic(done ? Marks.done() : Marks.open());
        }
        tick.setAccessibleText((done ? "done: " : TEXT.get("step_card.to_do")) + step.title());
        title.setText(number + "  " + step.title());
        Optional<OwnTimes.Own> own = now.own().times().of(step.id());
        where.setText(step.place().title() + ", "
                + Display.workTime(planned.step().minutes().mean()) + (own.isPresent() ? " here" : ""));
        ownTime.setText(now.own().times().says(step.id()));
        pseudoClassStateChanged(CURRENT, current);
        pseudoClassStateChanged(DONE, done);
        if (open && body.isEmpty()) {
            body = Optional.of(body(now));
            getChildren().add(body.get());
        }
        body.ifPresent(b -> {
            b.setVisible(open);
            b.setManaged(open);
        });
        if (open) {
            List<String> before = planned.needs().stream()
                    .filter(id -> now.job().ticked(id).isEmpty())
                    .map(id -> now.sheet().step(id).orElseThrow().title())
                    .toList();
            waiting.setText(before.isEmpty() ? "" : TEXT.get("step_card.comes_after", String.join("; ", before)));
            notes.forEach(n -> n.show(now));
            showHands(now);
            found.ifPresent(f -> f.show(now));
        }
    }

    private VBox body(Assessment now) {
        VBox card = new Column(5);
        card.getStyleClass().add("step-body");
        step.cautions().forEach(c -> card.getChildren().add(Texts.caution(c)));
        if (Step.says(step.detail())) {
            card.getChildren().add(Texts.sentence(step.detail()));
        }
        if (!step.tools().isEmpty()) {
            card.getChildren().add(tools(step.tools()));
        }
        card.getChildren().addAll(waiting, ownTime);
        for (String id : step.fasteners()) {
            card.getChildren().add(fastener(now.sheet().fastener(id).orElseThrow(), step.phase() == Phase.BUILD));
        }
        parts(now.sheet(), step.partsOut(), TEXT.get("step_card.comes_off_in_this_order"), card);
        parts(now.sheet(), step.partsIn(), TEXT.get("step_card.goes_in_in_this_order"), card);
        step.seizes().ifPresent(s -> card.getChildren().add(Texts.sentence(PlanWords.maySeize(s))));
        if (!step.consumables().isEmpty()) {
            card.getChildren().add(Texts.dim(TEXT.get("step_card.used_up", String.join(", ", step.consumables()))));
        }
        if (Step.says(step.school())) {
            card.getChildren().add(Texts.dim(TEXT.get("step_card.other_schools", step.school())));
        }
        if (step.cureMin() > 0) {
            card.getChildren()
                    .add(Texts.sentence(TEXT.get(
                            "step_card.joined_wet_cures_before_the_engine", Display.workTime(step.cureMin()))));
        }
        for (String id : step.finds()) {
            now.knowledge().finding(id).ifPresent(f -> {
                found = Optional.of(new JobPicks(desk));
                card.getChildren().add(found.get().row(Address.the(id), f.title(), f.outcomes(), o -> null));
            });
        }
        if (Step.says(step.ask()) || !step.partsOut().isEmpty()) {
            String label = Step.says(step.ask()) ? step.ask() : TEXT.get("step_card.how_it_lay_where_it_is");
            note(card, label, Topic.AS_FOUND);
        }
        List<EarlierHands.Kind> kinds = EarlierHands.at(step);
        if (!kinds.isEmpty()) {
            hands = Optional.of(hands(kinds));
            card.getChildren().add(hands.get());
        }
        if (step.seizes().isPresent()) {
            note(card, TEXT.get("step_card.if_it_was_stuck_what_was"), Topic.STUCK);
        }
        if (step.phase() == Phase.STRIP || step.phase() == Phase.BUILD) {
            note(card, TEXT.get("step_card.fell_in_empty_this_once_it"), Topic.FELL_IN);
        }
        return card;
    }

    /** What earlier hands did here, and what putting it right costs once something is picked. */
    private Column hands(List<EarlierHands.Kind> kinds) {
        handPicks = Optional.of(new PickMany(
                "hands-" + step.id(),
                TEXT.get("step_card.earlier_hands"),
                kinds.stream()
                        .map(k -> PickRow.Choice.text(NamedBy.file(k), k.title()))
                        .toList(),
                (kind, is) -> desk.choose(
                        Scale.EARLIER_HANDS.of(step.id() + "." + kind), is ? Optional.of("yes") : Optional.empty())));
        handCost = Optional.of(new JobFields(desk));
        return new Column(
                4,
                handPicks.get(),
                handCost.get()
                        .field(Field.HANDS_COST, Field.HANDS_COST.of(step.id()), TEXT.get("step_card.putting_it_right"))
                        .optional());
    }

    private void showHands(Assessment now) {
        Set<String> picked = EarlierHands.at(step).stream()
                .filter(k -> now.job()
                        .choice(EarlierHands.address(step, k))
                        .filter("yes"::equals)
                        .isPresent())
                .map(NamedBy::file)
                .collect(java.util.stream.Collectors.toSet());
        handPicks.ifPresent(p -> p.show(picked));
        handCost.ifPresent(f -> f.show(now));
        hands.ifPresent(h -> {
            javafx.scene.Node cost = h.getChildren().get(1);
            cost.setVisible(!picked.isEmpty());
            cost.setManaged(!picked.isEmpty());
        });
    }

    private void note(VBox card, String label, Topic topic) {
        JobNote line = JobNote.line(desk, label, topic.of(step.id()));
        notes.add(line);
        card.getChildren().add(line);
    }

    /** The tools of a step: the sizes large, since a wrench is found by its size. */
    private static Node tools(List<String> tools) {
        FlowPane row = new Flow(14, 2);
        row.setRowValignment(javafx.geometry.VPos.BASELINE);
        for (String tool : tools) {
            Matcher size = SIZE.matcher(tool);
            boolean apart = size.find() && (size.start() == 0 || size.end() == tool.length());
            if (apart) {
                String rest = (tool.substring(0, size.start()) + tool.substring(size.end())).strip();
                HBox sized = new Row(6, label(size.group(), "tool-size"), label(rest, "plain"));
                sized.setAlignment(javafx.geometry.Pos.BASELINE_LEFT);
                row.getChildren().add(sized);
            } else {
                row.getChildren().add(label(tool, "plain"));
            }
        }
        return row;
    }

    private static Label label(String text, String style) {
        Label label = new Words(text);
        label.getStyleClass().add(style);
        return label;
    }

    private static Node fastener(Fastener fastener, boolean closing) {
        String text = fastener.named();
        if (closing) {
            text += ": " + fastener.tightness() + (Step.says(fastener.secured()) ? ", " + fastener.secured() : "");
        }
        if (fastener.isHidden()) {
            Label label = Texts.wrapped(TEXT.get("step_card.hidden", text, fastener.hidden()), "hidden-fastener");
            label.setGraphic(Marks.hidden());
            return label;
        }
        return Texts.wrapped(text, "plain");
    }

    private static void parts(SpecSheet sheet, List<PartQty> parts, String lead, VBox card) {
        if (parts.isEmpty()) {
            return;
        }
        List<String> names = parts.stream()
                .map(p -> (p.qty() > 1 ? p.qty() + " × " : "")
                        + sheet.part(p.part()).orElseThrow().title()
                        + (p.hasHow() ? " (" + p.how() + ")" : ""))
                .toList();
        card.getChildren().add(Texts.sentence(lead + String.join("; ", names) + "."));
    }
}
