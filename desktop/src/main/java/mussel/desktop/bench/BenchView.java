package mussel.desktop.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.LegRef;
import mussel.core.job.Topic;
import mussel.core.log.Due;
import mussel.desktop.desk.Workshop;
import mussel.desktop.kit.Texts;

/** The home screen: every leg on the bench, what it waits for, the next action; beside it what is due in the fleet. */
public final class BenchView extends BorderPane {
    private static final int MOST_DUE = 9;

    private final Workshop shop;
    private final Consumer<Integer> onOpen;
    private final FlowPane cards = new FlowPane(14, 14);
    private final VBox due = new VBox(8);
    private final Label count = new Label();
    private List<Assessment> jobs = List.of();
    private String wanted = "";

    /** The bench of a shop; calls back with the job to open. */
    public BenchView(Workshop shop, Consumer<Integer> onOpen) {
        this.shop = shop;
        this.onOpen = onOpen;
        setId("bench");
        getStyleClass().add("bench");
        cards.getStyleClass().add("cards");
        ScrollPane scroll = new ScrollPane(cards);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        setCenter(scroll);
        due.getStyleClass().add("side");
        due.setPrefWidth(280);
        due.setMinWidth(230);
        ScrollPane dueScroll = new ScrollPane(due);
        dueScroll.setFitToWidth(true);
        dueScroll.setFitToHeight(true);
        dueScroll.setPrefWidth(290);
        BorderPane.setMargin(dueScroll, new javafx.geometry.Insets(14, 14, 14, 0));
        setRight(dueScroll);
    }

    /** How many legs there are and how many can be worked on. */
    public Label count() {
        return count;
    }

    /** The leg of a job, where the bench has it. */
    public Optional<LegRef> leg(int job) {
        return jobs.stream()
                .map(Assessment::job)
                .filter(j -> j.id() == job)
                .map(Job::leg)
                .findFirst();
    }

    /** Reads the journal again and shows it. */
    public void refresh() {
        jobs = shop.jobs();
        show();
    }

    /** Shows only legs whose boat, family or next action holds the text. */
    public void find(String text) {
        wanted = text.strip().toLowerCase(Locale.ROOT);
        show();
    }

    private void show() {
        List<Assessment> open =
                jobs.stream().filter(j -> j.job().tagged().isEmpty()).toList();
        List<Assessment> shown = jobs.stream()
                .filter(j -> wanted.isEmpty() ? j.job().tagged().isEmpty() : matches(j))
                .sorted(Comparator.comparing((Assessment j) -> j.job().tagged().isPresent())
                        .thenComparing(BenchView::waits)
                        .thenComparing(j -> j.job().leg().boat())
                        .thenComparing(j -> j.job().leg().position()))
                .toList();
        long workable = open.stream().filter(j -> !waits(j)).count();
        count.setText(open.size() + (open.size() == 1 ? " leg, " : " legs, ") + workable + " can be worked on now");
        cards.getChildren()
                .setAll(shown.stream()
                        .map(j -> new LegCard(j, sister(j), onOpen))
                        .toList());
        if (shown.isEmpty()) {
            cards.getChildren().add(nothing());
        }
        showDue();
    }

    private Region nothing() {
        VBox empty = new VBox(6);
        empty.getStyleClass().add("empty");
        empty.getChildren()
                .add(Texts.heading(wanted.isEmpty() ? "The bench is empty" : "Nothing here holds “" + wanted + "”"));
        empty.getChildren()
                .add(Texts.dim(
                        wanted.isEmpty()
                                ? "Take in a leg to begin: its boat, where it hangs and its family. Everything is kept as you make it."
                                : "Look for a boat, a family, or what is next. Tagged legs are found as well."));
        return empty;
    }

    private boolean matches(Assessment j) {
        String all = String.join(
                " ",
                j.job().leg().title(),
                j.sheet().title(),
                j.nextAction(),
                j.current().title(),
                "job " + j.job().id());
        return all.toLowerCase(Locale.ROOT).contains(wanted);
    }

    private static boolean waits(Assessment j) {
        return j.job().note(Topic.WAITS_FOR.address()).isPresent();
    }

    private String sister(Assessment j) {
        return jobs.stream()
                .filter(other -> other.job().tagged().isEmpty())
                .filter(other -> LegCard.sisters(j, other))
                .filter(other -> other.drainWords().map(w -> w.wet()).orElse(false))
                .findFirst()
                .map(other -> "sister leg has water")
                .orElse("");
    }

    /** What tagged jobs say is next due, the last job of each leg counting. */
    private void showDue() {
        Map<String, Assessment> last = new LinkedHashMap<>();
        Map<String, Double> hours = new LinkedHashMap<>();
        for (Assessment j : jobs) {
            j.job()
                    .reading(Field.ENGINE_HOURS)
                    .ifPresent(h -> hours.merge(j.job().leg().id(), h, Math::max));
            if (j.job().tagged().isPresent()) {
                last.put(j.job().leg().id(), j);
            }
        }
        record Line(Assessment job, Due due) {}
        List<Line> lines = new ArrayList<>();
        last.values().forEach(j -> j.due().forEach(d -> lines.add(new Line(j, d))));
        lines.sort(Comparator.comparing(l -> l.due().on()));
        due.getChildren().setAll(Texts.heading("Due"));
        if (lines.isEmpty()) {
            due.getChildren().add(Texts.dim("Nothing yet. Once a leg is tagged, its next services stand here."));
        }
        for (Line line : lines.subList(0, Math.min(MOST_DUE, lines.size()))) {
            Double known = hours.get(line.job().job().leg().id());
            Due.Urgency urgency =
                    line.due().urgency(shop.today(), known == null ? OptionalDouble.empty() : OptionalDouble.of(known));
            due.getChildren().add(dueLine(line.job(), line.due(), urgency));
        }
        if (lines.size() > MOST_DUE) {
            due.getChildren().add(Texts.dim("and " + (lines.size() - MOST_DUE) + " later"));
        }
    }

    private static HBox dueLine(Assessment job, Due due, Due.Urgency urgency) {
        Label boat = new Label(job.job().leg().title());
        boat.getStyleClass().add("strong");
        VBox what = new VBox(boat, Texts.dim(due.what()));
        HBox.setHgrow(what, Priority.ALWAYS);
        String mark =
                switch (urgency) {
                    case OVERDUE -> "overdue";
                    case SOON -> "soon";
                    case LATER -> "";
                };
        Label when = new Label(due.on() + (mark.isEmpty() ? "" : "\n" + mark));
        when.getStyleClass().add(urgency == Due.Urgency.LATER ? "dim" : "urgent");
        when.setMinWidth(USE_PREF_SIZE);
        when.setTextAlignment(javafx.scene.text.TextAlignment.RIGHT);
        return new HBox(8, what, when);
    }
}
