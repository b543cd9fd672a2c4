package mussel.desktop.book;

import java.nio.file.Path;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.core.yard.YardDecisions;
import mussel.core.yard.YardTable;
import mussel.desktop.desk.Paper;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.FileDialog;
import mussel.desktop.kit.FocusStops;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.ScrollIntoView;
import mussel.desktop.kit.SheetPane;
import mussel.desktop.kit.Texts;
import mussel.work.shop.Workshop;

/** What the yard has decided: a line for each thing, changed where it stands; and what was changed, by whom and when. */
final class YardPage implements BookPage {
    private static final Messages TEXT = Messages.of(YardPage.class);

    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);
    private static final int MOST_CHANGES = 40;
    private static final int MOST_SHOWN = 6;
    /** Which tables begin a group of them. */
    private static final Map<String, String> GROUPS = Map.of(
            "name", "Name and papers",
            "units", "Units and money",
            "labour_per_h", "Labour",
            "wrenches", "Tools",
            "hours", "People and hours",
            "pump_habit", "Habits",
            "suppliers", "Buying and stock",
            "priors", "Diagnosis numbers");

    private static final double BUTTON = 92;

    private final Workshop shop;
    private final Consumer<String> onTrouble;
    private final Column page = new Column();
    private final Column things = new Column(4);
    private final Column changes = new Column(8);
    private final Label written = Texts.dim("");
    private final Button undo = new Button("Undo last change");
    private final Button redo = new Button("Redo");
    private Optional<String> changing = Optional.empty();

    YardPage(Workshop shop, Consumer<Path> onTakeIn, Consumer<String> onTrouble) {
        this.shop = shop;
        this.onTrouble = onTrouble;
        Button file = new Button(TEXT.get("yard_page.as_a_file"));
        file.setId("yard-file");
        file.setOnAction(e -> file());
        Button list = new Button(TEXT.get("yard_page.take_a_price_list_in"));
        list.setId("yard-prices");
        list.setDisable(shop.journal().readOnly());
        list.setOnAction(e -> FileDialog.open(page, TEXT.get("yard_page.a_suppliers_price_list"), FileDialog.Kind.TABLE)
                .ifPresent(onTakeIn));
        undo.setId("yard-undo");
        undo.setOnAction(e -> undo());
        redo.setId("yard-redo");
        redo.setOnAction(e -> redo());
        things.setId("yard-things");
        changes.setId("yard-changes");
        Column sheet = new Column(10);
        sheet.getChildren()
                .addAll(
                        Texts.title(TEXT.get("yard_page.the_yard")),
                        Texts.sentence(TEXT.get("yard_page.what_is_decided_here_counts_for")),
                        new Row(10, list, file, written),
                        things,
                        Texts.heading(TEXT.get("yard_page.what_was_changed")),
                        new Row(10, undo, redo),
                        changes);
        SheetPane pane = new SheetPane(sheet);
        VBox.setVgrow(pane, Priority.ALWAYS);
        page.setId("yard-page");
        page.getStyleClass().add("station");
        page.getChildren().add(pane);
    }

    @Override
    public Node node() {
        return page;
    }

    @Override
    public void undo() {
        change(() -> shop.undoYard());
    }

    @Override
    public void redo() {
        change(() -> shop.redoYard());
    }

    private void change(Runnable change) {
        try {
            change.run();
            onTrouble.accept("");
        } catch (JournalException e) {
            onTrouble.accept(e.getMessage());
        }
        changing = Optional.empty();
        show();
    }

    @Override
    public void show() {
        List<Node> lines = new ArrayList<>();
        for (YardTable table : shop.decisions().form().tables()) {
            Optional.ofNullable(GROUPS.get(table.id())).map(Texts::heading).ifPresent(lines::add);
            lines.add(changing.equals(Optional.of(table.id())) ? editor(table) : line(table));
            if (table.id().equals("foot")) {
                lines.add(new YardLogo(shop, BUTTON, this::show));
            }
        }
        things.getChildren().setAll(lines);
        undo.setDisable(!shop.decisions().undoable());
        redo.setDisable(!shop.decisions().redoable());
        history();
    }

    private Node editor(YardTable table) {
        return new YardEditor(shop, table, this::close);
    }

    private void close() {
        Optional<String> left = changing;
        changing = Optional.empty();
        show();
        left.ifPresent(id -> focus("#change-" + id));
    }

    private void focus(String id) {
        Optional.ofNullable(things.lookup(id)).ifPresent(Node::requestFocus);
    }

    private Node line(YardTable table) {
        List<String> said = shop.decisions().form().lines(table, shop.yard()).stream()
                .map(table::inWords)
                .filter(l -> !l.isEmpty())
                .toList();
        String shown = said.stream().limit(MOST_SHOWN).collect(Collectors.joining(table.many() ? "; " : ", "))
                + (said.size() > MOST_SHOWN ? TEXT.get("yard_page.and_more", (said.size() - MOST_SHOWN)) : "");
        Label text = Texts.sentence(table.title() + ": " + (shown.isEmpty() ? "not entered" : shown));
        text.setMinWidth(0);
        text.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(text, Priority.ALWAYS);
        List<String> overdue = table.id().equals("wrenches") ? overdue() : List.of();
        Button change = new Button(shown.isEmpty() ? TEXT.get("yard_page.say") : TEXT.get("yard_page.change"));
        change.setId("change-" + table.id());
        change.setAccessibleText((shown.isEmpty() ? "say" : "change") + ": " + table.title());
        change.setMinWidth(Label.USE_PREF_SIZE);
        change.setDisable(shop.journal().readOnly());
        change.setOnAction(e -> {
            changing = Optional.of(table.id());
            show();
            Node editor = things.lookup("#yard-editor");
            FocusStops.of(editor).first().ifPresent(Node::requestFocus);
            editor.fireEvent(new ScrollIntoView());
        });
        change.setPrefWidth(BUTTON);
        Column says = new Column(2, text);
        overdue.stream().map(Texts::caution).forEach(says.getChildren()::add);
        says.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(says, Priority.ALWAYS);
        Row row = new Row(12, change, says);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** Wrenches whose calibration is overdue, each in a sentence. */
    private List<String> overdue() {
        return shop.yard().wrenches().stream()
                .filter(w -> w.overdue(shop.today()))
                .map(w -> w.says(shop.today()))
                .toList();
    }

    /** Writes the yard's sheet, so that another yard begins as this one is. */
    private void file() {
        Paper.placeAsLast(shop, page, TEXT.get("yard_page.the_yard_as_a_file"), "yard.yaml")
                .ifPresent(place -> Paper.write(
                        shop,
                        TEXT.get("yard_page.the_yards_sheet"),
                        place,
                        () -> shop.data().yard(shop.yard(), place),
                        written::setText));
    }

    private void history() {
        List<YardDecisions.Change> all = shop.decisions().history();
        List<Node> rows = new ArrayList<>();
        for (YardDecisions.Change made : all.subList(0, Math.min(MOST_CHANGES, all.size()))) {
            Column says = new Column(2);
            says.getChildren().add(Texts.dim(WHEN.format(made.at().atZone(shop.zone())) + ", " + made.by()));
            made.lines().stream().map(Texts::sentence).forEach(says.getChildren()::add);
            rows.add(says);
        }
        if (all.isEmpty()) {
            rows.add(Texts.dim(TEXT.get("yard_page.nothing_was_changed_here_it_is")));
        } else if (all.size() > MOST_CHANGES) {
            rows.add(Texts.dim(TEXT.get("yard_page.and_earlier_changes", (all.size() - MOST_CHANGES))));
        }
        changes.getChildren().setAll(rows);
    }
}
