package mussel.desktop.shell;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mussel.core.language.Messages;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.ScrollArea;
import mussel.desktop.kit.Texts;
import mussel.work.background.Background;
import mussel.work.background.BackgroundQuery;

/** What the window shows where the logbook cannot be opened: why, and its backups, each looked into before it is put in its place. */
public final class Refusal extends StackPane {
    private static final Messages TEXT = Messages.of(Refusal.class);

    private static final int MOST_SAID = 8;

    private final Rescue rescue;
    private final Consumer<String> again;
    private final BackgroundQuery aside = new BackgroundQuery(new Background(Platform::runLater), this::trouble);
    private final Label said = Texts.wrapped("", "strong");
    private final VBox preview = new Column(8);

    /** The backups of a logbook that cannot be opened. */
    public interface Rescue {
        /** The backups there are, the latest first. */
        List<Copy> copies();

        /** What a backup holds, and what of the logbook it does not, in sentences. A JournalException says why it cannot be read. */
        List<String> preview(Path backup);

        /** Puts a backup in place and says where the logbook that was there is kept. A JournalException says why it could not. */
        List<String> restore(Path backup);

        /** What could be brought out of the damaged logbook itself, in sentences. A JournalException says why nothing can. */
        List<String> salvageable();

        /** Puts what could be brought out in its place, and says where the damaged one is kept. A JournalException says why it could not. */
        List<String> salvage();
    }

    /**
     * A backup.
     *
     * @param file where it lies
     * @param title when it was made, in words
     */
    public record Copy(Path file, String title) {}

    /**
     * A page with the reason.
     *
     * @param sentence why the logbook cannot be opened
     * @param rescue its backups
     * @param again opens the logbook once more, and tells what was done before, if anything was
     */
    public Refusal(String sentence, Rescue rescue, Consumer<String> again) {
        this.rescue = rescue;
        this.again = again;
        getStyleClass().add("mussel");
        setId("refusal");
        Look.plain().apply(this);
        sceneProperty().addListener((o, was, is) -> Look.dress(is));
        VBox page = new Column(12);
        page.getStyleClass().addAll("station", "sheet-over");
        page.setMaxSize(760, USE_PREF_SIZE);
        said.setId("refusal-said");
        said.managedProperty().bind(said.textProperty().isNotEmpty());
        Button retry = new Button(TEXT.get("refusal.try_again"));
        retry.setId("refusal-again");
        retry.setOnAction(e -> again.accept(""));
        page.getChildren()
                .addAll(
                        Texts.title(TEXT.get("refusal.the_logbook_could_not_be_opened")),
                        Texts.sentence(sentence),
                        retry);
        List<Copy> copies = rescue.copies();
        page.getChildren().add(Texts.heading(TEXT.get("refusal.its_backups")));
        if (copies.isEmpty()) {
            page.getChildren().add(Texts.dim(TEXT.get("refusal.there_are_none_beside_it_one")));
        } else {
            VBox list = new Column(4);
            copies.forEach(copy -> list.getChildren().add(line(copy)));
            ScrollPane scroll = new ScrollArea(list);
            scroll.setFitToWidth(true);
            scroll.setMaxHeight(300);
            page.getChildren().add(scroll);
        }
        page.getChildren()
                .addAll(
                        Texts.heading(TEXT.get("refusal.the_logbook_itself")),
                        Texts.dim(TEXT.get("refusal.entries_that_are_whole_can_be")),
                        salvaging(),
                        preview,
                        said);
        getChildren().add(page);
    }

    private Button salvaging() {
        Button salvage = new Button(TEXT.get("refusal.see_what_can_be_brought_out"));
        salvage.setId("refusal-salvage");
        salvage.setOnAction(e -> work(
                TEXT.get("refusal.looking_for_what_is_whole"),
                rescue::salvageable,
                says -> show(TEXT.get("refusal.what_can_be_brought_out"), says, rescue::salvage)));
        return salvage;
    }

    private HBox line(Copy copy) {
        Label title = Texts.wrapped(copy.title(), "sentence");
        title.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(title, Priority.ALWAYS);
        Button look = new Button(TEXT.get("refusal.look_into_it"));
        look.setAccessibleText(TEXT.get("refusal.look_into_the_backup_of", copy.title()));
        look.setMinWidth(Region.USE_PREF_SIZE);
        look.getStyleClass().add("refusal-look");
        look.setOnAction(e -> work(
                TEXT.get("refusal.looking_into_it"),
                () -> rescue.preview(copy.file()),
                says -> show(TEXT.get("refusal.backup_of", copy.title()), says, () -> rescue.restore(copy.file()))));
        HBox line = new Row(10, title, look);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private <T> void work(String busy, Callable<T> task, Consumer<T> answer) {
        preview.getChildren().clear();
        said.setText(busy);
        aside.ask(stop -> task.call(), result -> {
            said.setText("");
            answer.accept(result);
        });
    }

    private void show(String title, List<String> says, Callable<List<String>> put) {
        preview.getChildren().setAll(Texts.heading(title));
        says.stream().limit(MOST_SAID).forEach(s -> preview.getChildren().add(Texts.sentence(s)));
        if (says.size() > MOST_SAID) {
            preview.getChildren().add(Texts.dim(TEXT.get("refusal.and_lines_more", (says.size() - MOST_SAID))));
        }
        Button restore = new Button(TEXT.get("refusal.put_it_in_place"));
        restore.setId("refusal-restore");
        restore.getStyleClass().add("act");
        restore.setOnAction(
                e -> work(TEXT.get("refusal.putting_it_in_place"), put, done -> again.accept(String.join(" ", done))));
        preview.getChildren().add(restore);
    }

    private void trouble(String sentence) {
        said.setText(sentence);
    }
}
