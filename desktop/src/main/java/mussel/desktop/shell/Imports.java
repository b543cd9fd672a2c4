package mussel.desktop.shell;

import java.nio.file.Path;
import javafx.scene.Node;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.Region;
import mussel.core.language.Messages;
import mussel.desktop.book.PriceListPage;
import mussel.desktop.book.TakeInPage;
import mussel.work.background.BackgroundQuery;
import mussel.work.shop.ImportPreview;
import mussel.work.shop.Workshop;

/** Files that come in: looked into beside the interface thread, asked about, and taken in, with progress and a way to stop. */
final class Imports {
    private static final Messages TEXT = Messages.of(Imports.class);

    private final Workshop shop;
    private final ImportHost window;
    private final WorkStrip strip;
    private final BackgroundQuery reading;
    private final BackgroundQuery taking;

    /** What stands around a file that comes in. */
    interface ImportHost {
        /** Shows a page over everything. */
        void over(Region page);

        /** Takes that page away. */
        void closeOver();

        /** Says a sentence across the window. */
        void tell(String sentence);

        /** Shows what is shown as it is now; a job that became another by what came in is read anew. */
        void takenIn();
    }

    Imports(Workshop shop, ImportHost window, WorkStrip strip) {
        this.shop = shop;
        this.window = window;
        this.strip = strip;
        reading = new BackgroundQuery(shop.background(), this::notTaken);
        taking = new BackgroundQuery(shop.background(), this::notTaken);
    }

    /** Whether a file is being taken in. */
    boolean busy() {
        return taking.busy();
    }

    /** Files dropped anywhere on the window where no station takes them itself. */
    void acceptDrops(Node on) {
        on.addEventHandler(DragEvent.DRAG_OVER, e -> {
            if (e.getDragboard().hasFiles() && !e.isAccepted()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
        });
        on.addEventHandler(DragEvent.DRAG_DROPPED, e -> {
            if (!e.isDropCompleted() && e.getDragboard().hasFiles()) {
                look(e.getDragboard().getFiles().get(0).toPath());
                e.setDropCompleted(true);
            }
        });
    }

    /** Reads a file and asks whether to take it in. */
    void look(Path file) {
        if (taking.busy()) {
            window.tell(TEXT.get("imports.another_file_is_being_taken_in"));
            return;
        }
        window.tell("");
        if (PriceListPage.takes(file)) {
            window.over(new PriceListPage(shop, file, window::closeOver, done -> {
                window.closeOver();
                window.tell(done);
                window.takenIn();
            }));
            return;
        }
        ProgressReport pace = new ProgressReport(
                jobs -> strip.say(TEXT.get("imports.looking_into_jobs_so_far", file.getFileName(), jobs)));
        strip.say(TEXT.get("imports.looking_into", file.getFileName()), pace::stop);
        reading.ask(stop -> shop.data().look(file, pace), incoming -> {
            strip.say("");
            show(incoming);
        });
    }

    private void show(ImportPreview incoming) {
        window.over(new TakeInPage(incoming, () -> take(incoming), window::closeOver));
    }

    /** Taken in behind the window, which goes on: what is entered meanwhile waits for its turn in the log. */
    private void take(ImportPreview incoming) {
        String name = incoming.file().getFileName().toString();
        window.closeOver();
        ProgressReport pace =
                new ProgressReport(jobs -> strip.say(TEXT.get("imports.taking_in_jobs_so_far", name, jobs)));
        strip.say(TEXT.get("imports.taking_in", name), pace::stop);
        taking.ask(
                stop -> {
                    stop.onStop(pace::stop);
                    incoming.take().accept(pace);
                    return incoming;
                },
                taken -> {
                    strip.say("");
                    taken.then().run();
                    shop.followEverything();
                    window.tell(TEXT.get("imports.taken_in", name));
                    window.takenIn();
                });
    }

    private void notTaken(String sentence) {
        strip.say("");
        window.closeOver();
        window.tell(sentence);
    }
}
