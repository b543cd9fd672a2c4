package mussel.desktop.shell;

import java.util.List;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.control.Label;
import mussel.core.language.Messages;
import mussel.desktop.kit.Texts;
import mussel.work.background.BackgroundQuery;
import mussel.work.shop.Workshop;

/** Brings book and bench up to date beside the interface thread, and the line that says how far it is. */
final class BookUpdate {
    private static final Messages TEXT = Messages.of(BookUpdate.class);

    private final Workshop shop;
    private final BackgroundQuery aside;
    private final Runnable whenDone;
    private final Label line = Texts.wrapped("", "filing");
    /** Jobs that cannot be filed, as those whose family's sheet is not here. */
    private List<Integer> leftOver = List.of();

    private volatile boolean closing;

    /**
     * What is left to bring up to date in a shop.
     *
     * @param tell says why it failed
     * @param whenDone called once all is done
     */
    BookUpdate(Workshop shop, Consumer<String> tell, Runnable whenDone) {
        this.shop = shop;
        this.aside = new BackgroundQuery(shop.background(), tell);
        this.whenDone = whenDone;
        line.setId("filing");
        line.managedProperty().bind(line.textProperty().isNotEmpty());
        line.visibleProperty().bind(line.textProperty().isNotEmpty());
        line.setMaxWidth(Double.MAX_VALUE);
    }

    /** The line that says how far it is; it takes no room while nothing is left. */
    Label line() {
        return line;
    }

    /** Begins, where something is left that can be done. */
    void begin() {
        List<Integer> owed = shop.journal().readOnly() ? List.of() : shop.book().owed();
        if (aside.busy() || owed.equals(leftOver)) {
            return;
        }
        aside.ask(
                stop -> {
                    shop.settle(left -> {
                        Platform.runLater(() -> say(left, owed.size()));
                        return !closing && !stop.stopped();
                    });
                    return owed.size();
                },
                settled -> {
                    shop.followEverything();
                    leftOver = shop.book().owed();
                    line.setText("");
                    whenDone.run();
                });
    }

    /** The window goes: what is left is done at the next start. */
    void stop() {
        closing = true;
    }

    private void say(int left, int all) {
        line.setText(TEXT.get("book_update.the_book_is_being_brought_up", left, all));
    }
}
