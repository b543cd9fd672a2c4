package mussel.desktop.book;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import mussel.desktop.desk.Paper;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.FileDialog;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.shop.Workshop;

/** Data in and out: everything of the yard in open formats, backups, and files taken in after a look into them. */
final class DataPage implements BookPage {
    private static final int MOST_BACKUPS = 8;

    private final Workshop shop;
    private final VBox page = new Column(12);
    private final Label said = Texts.sentence("");
    private final VBox backups = new Column(3);
    private final TextField name = new TextField();

    DataPage(Workshop shop, Consumer<Path> onTakeIn) {
        this.shop = shop;
        said.setId("data-said");
        name.setId("yard-name");
        name.setAccessibleText("the yard’s name");
        name.setMaxWidth(420);
        name.setOnAction(e -> rename());
        name.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                rename();
            }
        });
        FlowPane out = new Flow(
                10,
                10,
                button("export-json", "Whole log as JSON", () -> save("Log", "log.json", shop.data()::json)),
                button("export-csv", "Lists for a spreadsheet", this::lists),
                button(
                        "export-ics",
                        "Due work as a calendar",
                        () -> save("Calendar", "due.ics", shop.data()::calendar)));
        FlowPane safe = new Flow(
                10,
                10,
                button(
                        "backup",
                        "Everything into one file",
                        () -> save("Backup", "yard.mussel-backup", shop.data()::backup)),
                button("take-in-file", "Take a file in", () -> choose(onTakeIn)));
        page.getChildren()
                .addAll(
                        Texts.title("Data"),
                        Texts.heading("The yard’s name"),
                        name,
                        Texts.dim("It stands on every paper. Units: F8."),
                        Texts.heading("Out"),
                        out,
                        Texts.dim(
                                "JSON holds every entry and can be taken in again. Lists are CSV: jobs, readings, holds, what is due. One leg as a file: its life in the logbook."),
                        Texts.heading("Backups and files from elsewhere"),
                        safe,
                        Texts.dim(
                                "A backup holds the log, its pictures and the yard’s own sheets: take it to another machine, or drop it here. A file is looked into first; nothing that is here is ever changed. Files can be dropped anywhere on the window."),
                        backups,
                        said);
    }

    private static Button button(String id, String text, Runnable action) {
        Button button = new Button(text);
        button.setId(id);
        button.setOnAction(e -> action.run());
        return button;
    }

    private void rename() {
        String typed = name.getText().strip();
        if (!typed.isEmpty() && !typed.equals(shop.yard().name())) {
            shop.rename(typed);
            said.setText("The yard is called " + typed + ".");
        }
        name.setText(shop.yard().name());
    }

    private void save(String what, String file, Consumer<Path> write) {
        Paper.place(page, what, file)
                .ifPresent(path -> Paper.write(
                        shop,
                        "The " + what.toLowerCase(java.util.Locale.ROOT),
                        path,
                        () -> write.accept(path),
                        said::setText));
    }

    private void lists() {
        FileDialog.folder(page, "Folder for the lists")
                .ifPresent(folder ->
                        Paper.write(shop, "The lists", folder, () -> shop.data().lists(folder), said::setText));
    }

    private void choose(Consumer<Path> onTakeIn) {
        FileDialog.open(page, "Take a file in", FileDialog.Kind.ANY).ifPresent(onTakeIn);
    }

    @Override
    public Node node() {
        page.setMaxWidth(900);
        return new Row(page);
    }

    @Override
    public void show() {
        name.setText(shop.yard().name());
        List<String> kept = shop.data().backups();
        backups.getChildren().clear();
        backups.getChildren()
                .add(Texts.heading(
                        kept.isEmpty()
                                ? "No automatic backup yet: the first is made once something is in the log."
                                : "Automatic backups: " + kept.size()));
        kept.stream().limit(MOST_BACKUPS).forEach(k -> backups.getChildren().add(Texts.dim(k)));
    }
}
