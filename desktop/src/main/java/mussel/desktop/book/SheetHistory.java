package mussel.desktop.book;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.shop.ShopSheets;
import mussel.work.shop.Workshop;

/** What was changed in a sheet, by whom and when; each change can be taken back by itself. */
final class SheetHistory extends Column {
    private static final Messages TEXT = Messages.of(SheetHistory.class);

    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);
    private static final int MOST_LINES = 6;
    private static final int MOST_CHANGES = 30;

    private final Workshop shop;
    private final Consumer<String> onTrouble;
    private final Runnable onChanged;
    private final Button undo = new Button("Undo last change");
    private final Button redo = new Button("Redo");
    private final Column changes = new Column(8);
    private String family = "";

    SheetHistory(Workshop shop, Consumer<String> onTrouble, Runnable onChanged) {
        super(8);
        this.shop = shop;
        this.onTrouble = onTrouble;
        this.onChanged = onChanged;
        undo.setId("sheet-undo");
        undo.setOnAction(e -> undo());
        redo.setId("sheet-redo");
        redo.setOnAction(e -> redo());
        getChildren().addAll(new Row(10, undo, redo), changes);
    }

    void undo() {
        change(() -> shop.sheets().undo(family));
    }

    void redo() {
        change(() -> shop.sheets().redo(family));
    }

    private void change(Runnable change) {
        try {
            change.run();
            onTrouble.accept("");
        } catch (JournalException e) {
            onTrouble.accept(e.getMessage());
        }
        onChanged.run();
    }

    void show(String of) {
        family = of;
        undo.setDisable(!shop.sheets().undoable(of));
        redo.setDisable(!shop.sheets().redoable(of));
        List<ShopSheets.Change> all = shop.sheets().described().history(of);
        List<Node> rows = new ArrayList<>();
        for (ShopSheets.Change change : all.subList(0, Math.min(MOST_CHANGES, all.size()))) {
            rows.add(row(change, rows.size()));
        }
        if (all.isEmpty()) {
            rows.add(Texts.dim(TEXT.get("sheet_history.nothing_was_changed_here_it_is")));
        } else if (all.size() > MOST_CHANGES) {
            rows.add(Texts.dim(TEXT.get("sheet_history.and_earlier_changes", (all.size() - MOST_CHANGES))));
        }
        changes.getChildren().setAll(rows);
    }

    private Node row(ShopSheets.Change change, int number) {
        Column says = new Column(2);
        says.getChildren().add(Texts.dim(WHEN.format(change.at().atZone(shop.zone())) + ", " + change.by()));
        List<String> lines = change.lines();
        lines.stream().limit(MOST_LINES).map(Texts::sentence).forEach(says.getChildren()::add);
        if (lines.size() > MOST_LINES) {
            says.getChildren().add(Texts.dim(TEXT.get("sheet_history.and_more", (lines.size() - MOST_LINES))));
        }
        HBox.setHgrow(says, Priority.ALWAYS);
        if (change.before().isEmpty()) {
            return says;
        }
        Button back = new Button(TEXT.get("sheet_history.as_before"));
        back.setId("sheet-back-" + number);
        back.setAccessibleText(TEXT.get("sheet_history.as_before_this_change", String.join("; ", lines)));
        back.setMinWidth(USE_PREF_SIZE);
        back.setOnAction(e -> change(() -> shop.sheets().without(family, change)));
        return new Row(10, says, back);
    }
}
