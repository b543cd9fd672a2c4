package mussel.desktop.book;

import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;
import mussel.core.language.Messages;
import mussel.desktop.kit.PickRow;
import mussel.work.background.BackgroundQuery;
import mussel.work.shop.Workshop;

/** The yard's book: its pages under one row of tiles. The page that is shown is kept; the others are made when they are opened. */
public final class BookView extends BorderPane {
    private static final Messages TEXT = Messages.of(BookView.class);

    private final Workshop shop;
    private final Consumer<Integer> onOpen;
    private final Consumer<Integer> onPractise;
    private final Consumer<Path> onTakeIn;
    private final Consumer<String> onTrouble;
    private final BackgroundQuery aside;
    private final PickRow pages;
    /** Room for all tiles in one line, in Glove too (px). */
    private static final double ONE_LINE = 620;

    private final StackPane body = new StackPane();
    private final Map<Page, BookPage> made = new EnumMap<>(Page.class);
    private final Map<Page, Node> nodes = new EnumMap<>(Page.class);
    private Page shown = Page.LOGBOOK;

    /** The pages. */
    public enum Page {
        /** Every job, and the life of each leg. */
        LOGBOOK,
        /** What is due. */
        DUE,
        /** How long parts last. */
        LIVES,
        /** Who does what when. */
        PLAN,
        /** How legs are built and what their manuals say. */
        SHEETS,
        /** What the yard has decided. */
        YARD,
        /** What lies on the shelf, and what it will be asked for. */
        SHELF,
        /** In and out. */
        DATA,
        /** Legs that are not there. */
        PRACTICE;

        String id() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** The book of a shop. */
    public BookView(
            Workshop shop,
            Consumer<Integer> onOpen,
            Consumer<Integer> onPractise,
            Consumer<Path> onTakeIn,
            Consumer<String> onTrouble) {
        this.shop = shop;
        this.onOpen = onOpen;
        this.onPractise = onPractise;
        this.onTakeIn = onTakeIn;
        this.onTrouble = onTrouble;
        this.aside = new BackgroundQuery(shop.background(), onTrouble);
        setId("book");
        getStyleClass().add("book");
        List<PickRow.Choice> tiles = Stream.of(Page.values())
                .map(p -> PickRow.Choice.text(p.id(), TEXT.of(p)))
                .toList();
        pages = new PickRow("book-page", "", tiles)
                .keepsOne()
                .wide(ONE_LINE)
                .onPick(p -> show(Page.valueOf(p.orElseThrow().toUpperCase(Locale.ROOT))));
        body.getStyleClass().add("book-body");
        setCenter(body);
    }

    /** The row of tiles, for the window's header. */
    public Node tiles() {
        return pages;
    }

    /** Shows a page, brought up to date. */
    public void show(Page page) {
        shown = page;
        pages.show(Optional.of(page.id()));
        aside.cancel();
        // A page is quick to make, and all of them together are a third of what the window keeps.
        made.keySet().retainAll(Set.of(page));
        nodes.keySet().retainAll(Set.of(page));
        BookPage opened = made.computeIfAbsent(page, this::make);
        body.getChildren().setAll(nodes.computeIfAbsent(page, p -> opened.node()));
        opened.show();
    }

    /** Shows the page that was shown last. */
    public void show() {
        show(shown);
    }

    /** Takes the last change made on the page shown back, where one can be. */
    public void undo() {
        Optional.ofNullable(made.get(shown)).ifPresent(BookPage::undo);
    }

    /** Makes it again. */
    public void redo() {
        Optional.ofNullable(made.get(shown)).ifPresent(BookPage::redo);
    }

    /** Shows the life of a leg. */
    public void showLeg(String leg) {
        show(Page.LOGBOOK);
        ((LogbookPage) made.get(Page.LOGBOOK)).showLeg(leg);
    }

    /** Shows the lessons, or begins another practice leg like the last. */
    public void showPractice(boolean another) {
        show(Page.PRACTICE);
        PracticePage practice = (PracticePage) made.get(Page.PRACTICE);
        practice.lessonsAgain();
        if (another) {
            practice.another();
        }
    }

    /** Whether something is still being worked out. */
    public boolean busy() {
        return aside.busy();
    }

    private BookPage make(Page page) {
        return switch (page) {
            case LOGBOOK -> new LogbookPage(shop, onOpen);
            case DUE -> new DuePage(shop, this::showLeg, onOpen);
            case LIVES -> new LivesPage(shop, aside);
            case PLAN -> new PlanPage(shop, aside, onOpen, onTrouble);
            case SHEETS -> new SheetsPage(shop, onTrouble);
            case YARD -> new YardPage(shop, onTakeIn, onTrouble);
            case SHELF -> new ShelfPage(shop, aside, onTrouble);
            case DATA -> new DataPage(shop, onTakeIn);
            case PRACTICE -> new PracticePage(shop, aside, onPractise, onTrouble);
        };
    }
}
