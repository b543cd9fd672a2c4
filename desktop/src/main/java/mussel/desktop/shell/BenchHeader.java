package mussel.desktop.shell;

import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;
import mussel.core.language.Messages;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;

/** What stands over the bench: how much is on it, the search, the book, and a leg to take in. */
final class BenchHeader extends Row {
    private static final Messages TEXT = Messages.of(BenchHeader.class);

    /** What a scanned tag begins with; the leg's id follows. */
    private static final String LEG_CODE = "mussel:leg:";

    private static final double FIND_WIDTH = 280;
    private static final double LEAST_FIND = 96;
    private static final double LOOKS_WIDTH = 142;

    private final PauseTransition scanned = new PauseTransition(Duration.millis(250));
    private final Consumer<String> onFind;
    private final Consumer<String> onScan;

    BenchHeader(
            Label count,
            Consumer<String> onFind,
            Consumer<String> onScan,
            Runnable onBook,
            Runnable onTakeIn,
            Supplier<Node> looks) {
        super(10);
        this.onFind = onFind;
        this.onScan = onScan;
        getStyleClass().add("header");
        Label title = Texts.title(TEXT.get("bench_header.bench"));
        title.setMinWidth(USE_PREF_SIZE);
        count.getStyleClass().setAll("on-shell-dim");
        count.setMinWidth(USE_PREF_SIZE);
        Button take = new Button(TEXT.get("bench_header.take_in_a_leg"));
        take.setId("take-in-open");
        take.getStyleClass().add("on-shell-button");
        take.setMinWidth(USE_PREF_SIZE);
        take.setOnAction(e -> onTakeIn.run());
        Button book = new Button(TEXT.get("bench_header.the_book"));
        book.setId("to-book");
        book.getStyleClass().add("on-shell-button");
        book.setMinWidth(USE_PREF_SIZE);
        book.setOnAction(e -> onBook.run());
        Region spring = new Region();
        HBox.setHgrow(spring, Priority.ALWAYS);
        StackPane find = new StackPane();
        find.setPrefWidth(FIND_WIDTH);
        find.setMinWidth(LEAST_FIND);
        find.sceneProperty().addListener((o, was, is) -> {
            if (is != null && find.getChildren().isEmpty()) {
                SecondFrame.afterFirstFrame(is, () -> find.getChildren().setAll(find()));
            }
        });
        getChildren().setAll(title, count, spring, find, book, take, new SecondFrame(LOOKS_WIDTH, looks));
    }

    private Node find() {
        TextField find = new TextField();
        find.setId("find");
        find.setMinWidth(0);
        find.setPromptText(TEXT.get("bench_header.find_a_leg"));
        find.setAccessibleText(TEXT.get("bench_header.find_a_leg_a_boat_what"));
        find.textProperty().addListener((o, was, is) -> found(find, is));
        return find;
    }

    /** Begins to look for what a letter begins. */
    void lookFor(String first) {
        if (lookup("#find") instanceof TextField find) {
            find.requestFocus();
            find.setText(first);
            find.end();
        }
    }

    /** Puts the focus into the search. */
    void toFind() {
        Platform.runLater(() -> lookup("#find").requestFocus());
    }

    /** A scanned tag opens the life of its leg; anything else is looked for on the bench. */
    private void found(TextField find, String text) {
        if (text.startsWith(LEG_CODE) && text.length() > LEG_CODE.length()) {
            scanned.setOnFinished(e -> {
                String code = find.getText();
                if (code.startsWith(LEG_CODE)) {
                    find.clear();
                    onScan.accept(code.substring(LEG_CODE.length()).strip());
                }
            });
            scanned.playFromStart();
        } else {
            onFind.accept(text);
        }
    }
}
