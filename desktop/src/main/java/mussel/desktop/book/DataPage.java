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
import mussel.core.language.Messages;
import mussel.desktop.desk.Paper;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.FileDialog;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.shop.Workshop;

/** Data in and out: everything of the yard in open formats, backups, and files taken in after a look into them. */
final class DataPage implements BookPage {
    private static final Messages TEXT = Messages.of(DataPage.class);

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
        name.setAccessibleText(TEXT.get("data_page.the_yards_name"));
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
                button(
                        "export-json",
                        TEXT.get("data_page.whole_log_as_json"),
                        () -> save("Log", "log.json", shop.data()::json)),
                button("export-csv", TEXT.get("data_page.lists_for_a_spreadsheet"), this::lists),
                button(
                        "export-ics",
                        TEXT.get("data_page.due_work_as_a_calendar"),
                        () -> save("Calendar", "due.ics", shop.data()::calendar)));
        FlowPane safe = new Flow(
                10,
                10,
                button(
                        "backup",
                        TEXT.get("data_page.everything_into_one_file"),
                        () -> save("Backup", "yard.mussel-backup", shop.data()::backup)),
                button("take-in-file", TEXT.get("data_page.take_a_file_in"), () -> choose(onTakeIn)));
        page.getChildren()
                .addAll(
                        Texts.title(TEXT.get("data_page.data")),
                        Texts.heading(TEXT.get("data_page.the_yards_name_2")),
                        name,
                        Texts.dim(TEXT.get("data_page.it_stands_on_every_paper_units")),
                        Texts.heading(TEXT.get("data_page.out")),
                        out,
                        Texts.dim(TEXT.get("data_page.json_holds_every_entry_and_can")),
                        Texts.heading(TEXT.get("data_page.backups_and_files_from_elsewhere")),
                        safe,
                        Texts.dim(TEXT.get("data_page.a_backup_holds_the_log_its")),
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
            said.setText(TEXT.get("data_page.the_yard_is_called", typed));
        }
        name.setText(shop.yard().name());
    }

    private void save(String what, String file, Consumer<Path> write) {
        Paper.place(page, what, file)
                .ifPresent(path -> Paper.write(
                        shop,
                        TEXT.get("data_page.the", what.toLowerCase(java.util.Locale.ROOT)),
                        path,
                        () -> write.accept(path),
                        said::setText));
    }

    private void lists() {
        FileDialog.folder(page, TEXT.get("data_page.folder_for_the_lists"))
                .ifPresent(folder -> Paper.write(
                        shop,
                        TEXT.get("data_page.the_lists"),
                        folder,
                        () -> shop.data().lists(folder),
                        said::setText));
    }

    private void choose(Consumer<Path> onTakeIn) {
        FileDialog.open(page, TEXT.get("data_page.take_a_file_in"), FileDialog.Kind.ANY)
                .ifPresent(onTakeIn);
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
                                ? TEXT.get("data_page.no_automatic_backup_yet_the_first")
                                : TEXT.get("data_page.automatic_backups", kept.size())));
        kept.stream().limit(MOST_BACKUPS).forEach(k -> backups.getChildren().add(Texts.dim(k)));
    }
}
