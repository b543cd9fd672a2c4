package mussel.desktop.bench;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.TilePane;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;
import javafx.util.Duration;
import mussel.core.book.LogBook;
import mussel.core.job.BenchLine;
import mussel.core.job.BenchLines;
import mussel.core.language.Messages;
import mussel.core.log.Due;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.SheetPane;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.Words;
import mussel.work.shop.Workshop;

/** The home screen: every leg on the bench, what it waits for, the next action; beside it what is due in the fleet. */
public final class BenchView extends BorderPane {
    private static final Messages TEXT = Messages.of(BenchView.class);

    private static final int MOST_DUE = 9;
    private static final int MOST_COUNTED = 100;
    private static final int MOST_NAMED = 3;
    /** Cards that are wider than they must be by less than this keep their words as they are: they were made before the window was laid out (px). */
    private static final double WIDER = 40;

    private static final double GAP = 12;
    /** As many cards as a window of the usual size shows. */
    private static final int AT_ONCE = 14;

    private static final int AT_A_TIME = 8;
    private static final double DUE_WIDTH = 144;
    private static final double DUE = 276;

    private final Workshop shop;
    private final Consumer<Integer> onOpen;
    private final TilePane cards = new TilePane(GAP, GAP);
    private final SheetPane scroll;
    private final VBox due = new Column(8);
    private final PauseTransition further = new PauseTransition(Duration.millis(40));
    private final PauseTransition dueSoon = new PauseTransition(Duration.millis(40));
    private final Label count = new Words();
    private List<BenchLine> open = List.of();
    private String wanted = "";
    private double type = 1;
    /** The room for words on a card. */
    private double words = LegCard.LEAST_WORDS;
    /** What is due in one sentence, where there is no room for a list beside two columns of cards. */
    private final Label dueLine = new Words();

    /** The bench of a shop; calls back with the job to open. */
    public BenchView(Workshop shop, Consumer<Integer> onOpen) {
        this.shop = shop;
        this.onOpen = onOpen;
        setId("bench");
        getStyleClass().add("bench");
        cards.getStyleClass().add("cards");
        cards.setTileAlignment(Pos.TOP_LEFT);
        scroll = new SheetPane(cards);
        setCenter(scroll);
        dueLine.setId("due-line");
        dueLine.getStyleClass().add("filing");
        dueLine.setWrapText(true);
        dueLine.setMaxWidth(Double.MAX_VALUE);
        widthProperty().addListener((o, was, is) -> placeDue());
        scroll.viewportBoundsProperty().addListener((o, was, is) -> share(is.getWidth()));
        due.getStyleClass().add("side");
        due.setPrefWidth(DUE);
        due.setMinWidth(USE_PREF_SIZE);
        BorderPane.setMargin(due, new Insets(12, 12, 12, 0));
        setRight(due);
        addEventHandler(KeyEvent.KEY_PRESSED, this::arrows);
        dueSoon.setOnFinished(e -> whileOpen(this::showDue));
    }

    /** Does what was put off, unless the window was closed meanwhile and has let go of its logbook. */
    private void whileOpen(Runnable work) {
        if (getScene() != null
                && getScene().getWindow() != null
                && getScene().getWindow().isShowing()) {
            work.run();
        }
    }

    /** How many legs there are and how many can be worked on. */
    public Label count() {
        return count;
    }

    /** The jobs that are not tagged. */
    public List<BenchLine> open() {
        return open;
    }

    /** Brings the lines up to date and shows them. */
    public void refresh() {
        shop.refreshBench();
        show();
        dueSoon.stop();
        showDue();
    }

    /** Shows only legs whose boat, family or next action holds the text. */
    public void find(String text) {
        wanted = text.strip();
        show();
    }

    /** Shows the lines as they are kept; what is due comes right after them. */
    public void show() {
        BenchLines lines = shop.journal().benchLines();
        open = lines.open();
        List<BenchLine> shown = (wanted.isEmpty() ? open : lines.find(wanted))
                .stream().sorted(BenchLine.BY_WHAT_IS_NEXT).toList();
        long workable = open.stream().filter(l -> !l.waiting()).count();
        count.setText(TEXT.get(
                "bench_view.can_be_worked_on", open.size(), (open.size() == 1 ? " leg, " : " legs,\n"), workable));
        Map<String, List<mussel.core.sheet.Region>> outlines = new HashMap<>();
        Function<BenchLine, LegCard> card = l -> new LegCard(
                l,
                outlines.computeIfAbsent(l.leg().family(), lines::outline),
                sister(l),
                shop.units(),
                l == shown.get(0) && l.open() && !l.waiting(),
                type,
                words,
                onOpen);
        cards.getChildren().setAll(shown.stream().limit(AT_ONCE).map(card).toList());
        further.stop();
        if (shown.size() > AT_ONCE) {
            further(shown.subList(AT_ONCE, shown.size()), card);
        }
        dueSoon.playFromStart();
        if (shown.isEmpty()) {
            cards.getChildren().add(nothing());
        }
    }

    /** Each card gets an equal share of the room, as many beside each other as fit. */
    private void share(double width) {
        double room = width - 2 * GAP - 2;
        double least = LegCard.LEAST_WIDTH * type;
        int columns = Math.max(1, (int) ((room + GAP) / (least + GAP)));
        cards.setPrefColumns(columns);
        double tile = Math.max(least, Math.floor((room - (columns - 1) * GAP) / columns));
        cards.setPrefTileWidth(tile);
        double wider = tile - least < WIDER ? 0 : tile - least;
        double now = LegCard.LEAST_WORDS * type + wider;
        if (now != words) {
            words = now;
            Platform.runLater(() -> whileOpen(this::show));
        }
    }

    /** The list of what is due stands beside the cards where these keep two columns, else it is a line below them. */
    private void placeDue() {
        boolean beside = getWidth() - (DUE + GAP) * type >= 2 * LegCard.LEAST_WIDTH * type + 4 * GAP;
        if (beside != (getRight() == due)) {
            setRight(beside ? due : null);
            setBottom(beside ? null : dueLine);
        }
    }

    /** How much larger the type is than plain; the cards follow. */
    public void setType(double share) {
        if (type != share) {
            type = share;
            due.setPrefWidth(DUE * type);
            placeDue();
            share(scroll.getViewportBounds().getWidth());
            show();
        }
    }

    /** Puts the focus on the first leg. */
    public void begin() {
        if (cards.getScene() == null) {
            scroll.applyCss();
        }
        first().ifPresent(Node::requestFocus);
    }

    /** Opens the first leg: the one in the warm colour. */
    public void openFirst() {
        first().ifPresent(LegCard::open);
    }

    private Optional<LegCard> first() {
        return cards.getChildren().stream()
                .filter(LegCard.class::isInstance)
                .map(LegCard.class::cast)
                .findFirst();
    }

    /** From card to card. */
    private void arrows(KeyEvent e) {
        int at = cards.getChildren().indexOf(e.getTarget());
        int columns = cards.getPrefColumns();
        int step =
                switch (e.getCode()) {
                    case LEFT -> -1;
                    case RIGHT -> 1;
                    case UP -> -columns;
                    case DOWN -> columns;
                    case TAB -> e.isShiftDown() ? -1 : 1;
                    default -> 0;
                };
        int there = at + step;
        if (at >= 0 && step != 0 && there >= 0 && there < cards.getChildren().size()) {
            Node card = cards.getChildren().get(there);
            card.requestFocus();
            scroll.see(card);
            e.consume();
        }
    }

    /** The cards below the window's edge, a few at a time once the first are seen. */
    private void further(List<BenchLine> lines, Function<BenchLine, LegCard> card) {
        further.setOnFinished(e -> {
            int now = Math.min(AT_A_TIME, lines.size());
            cards.getChildren().addAll(lines.stream().limit(now).map(card).toList());
            if (lines.size() > now) {
                further(lines.subList(now, lines.size()), card);
            }
        });
        further.playFromStart();
    }

    private Region nothing() {
        VBox empty = new Column(6);
        empty.getStyleClass().add("empty");
        empty.getChildren()
                .add(Texts.heading(
                        wanted.isEmpty()
                                ? TEXT.get("bench_view.the_bench_is_empty")
                                : TEXT.get("bench_view.nothing_here_holds", wanted)));
        empty.getChildren()
                .add(Texts.dim(
                        wanted.isEmpty()
                                ? TEXT.get("bench_view.take_in_a_leg_to_begin")
                                : TEXT.get("bench_view.look_for_a_boat_a_family")));
        return empty;
    }

    private String sister(BenchLine line) {
        return open.stream().anyMatch(other -> other.sisterOf(line) && other.wet())
                ? TEXT.get("bench_view.sister_leg_has_water")
                : "";
    }

    /** What tagged jobs say is next due; the book knows more of each. */
    private void showDue() {
        List<LogBook.Awaiting> awaiting = shop.book().next(MOST_COUNTED);
        sayDue(awaiting);
        due.getChildren().setAll(Texts.heading(TEXT.get("bench_view.due")));
        if (awaiting.isEmpty()) {
            due.getChildren().add(Texts.dim(TEXT.get("bench_view.nothing_yet_once_a_leg_is")));
        }
        for (LogBook.Awaiting each : awaiting.subList(0, Math.min(MOST_DUE, awaiting.size()))) {
            due.getChildren().add(dueLine(each, Due.urgency(shop.today(), each.likely())));
        }
        if (awaiting.size() > MOST_DUE) {
            due.getChildren().add(Texts.dim(TEXT.get("bench_view.and_more_in_the_book_ctrl")));
        }
    }

    private void sayDue(List<LogBook.Awaiting> awaiting) {
        long overdue = awaiting.stream()
                .filter(a -> Due.urgency(shop.today(), a.likely()) == Due.Urgency.OVERDUE)
                .count();
        String first = awaiting.stream()
                .limit(MOST_NAMED)
                .map(a -> a.leg().title() + " " + a.due().what().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining("; "));
        dueLine.setText(
                awaiting.isEmpty()
                        ? TEXT.get("bench_view.nothing_is_due_yet")
                        : TEXT.get(
                                "bench_view.overdue_first_all_of_it_ctrl",
                                overdue,
                                (awaiting.size() == MOST_COUNTED ? TEXT.get("bench_view.or_more") : ""),
                                first));
    }

    private HBox dueLine(LogBook.Awaiting each, Due.Urgency urgency) {
        VBox what = new Column(
                2,
                Texts.bare(each.leg().title(), DUE_WIDTH * type, "strong"),
                Texts.bare(each.due().what(), DUE_WIDTH * type, "dim"));
        HBox.setHgrow(what, Priority.ALWAYS);
        String mark =
                switch (urgency) {
                    case OVERDUE -> "\noverdue";
                    case SOON -> "\nsoon";
                    case LATER -> "";
                };
        Text when = Texts.bare(each.likely() + mark, 0, urgency == Due.Urgency.LATER ? "dim" : "urgent");
        when.setTextAlignment(TextAlignment.RIGHT);
        return new Row(8, what, when);
    }
}
