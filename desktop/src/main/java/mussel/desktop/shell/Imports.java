package mussel.desktop.shell;

import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.Region;
import mussel.desktop.book.Aside;
import mussel.desktop.book.PriceListPage;
import mussel.desktop.book.TakeInPage;
import mussel.desktop.desk.Incoming;
import mussel.desktop.desk.Workshop;

/** Files that come in: looked into beside the interface thread, asked about, and taken in, with progress and a way to stop. */
final class Imports {
    private final Workshop shop;
    private final Around window;
    private final WorkStrip strip;
    private final Aside reading = new Aside(this::notTaken);
    private final Aside taking = new Aside(this::notTaken);
    private Optional<TakeInPage> page = Optional.empty();

    /** What stands around a file that comes in. */
    interface Around {
        /** Shows a page over everything. */
        void over(Region page);

        /** Takes that page away. */
        void closeOver();

        /** Says a sentence across the window. */
        void tell(String sentence);

        /** Shows the bench as it is now. */
        void showBench();

        /** Shows what is shown as it is now. */
        void refresh();
    }

    Imports(Workshop shop, Around window, WorkStrip strip) {
        this.shop = shop;
        this.window = window;
        this.strip = strip;
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
            window.tell("Another file is being taken in. Wait until that is done.");
            return;
        }
        window.tell("");
        if (PriceListPage.takes(file)) {
            window.over(new PriceListPage(shop, file, window::closeOver, done -> {
                window.closeOver();
                window.tell(done);
                window.refresh();
            }));
            return;
        }
        Pace pace = new Pace(jobs -> strip.say("Looking into " + file.getFileName() + ": " + jobs + " jobs so far."));
        strip.say("Looking into " + file.getFileName() + "…", pace::stop);
        reading.ask(() -> shop.data().look(file, pace), incoming -> {
            strip.say("");
            show(incoming);
        });
    }

    private void show(Incoming incoming) {
        Pace pace = new Pace(jobs -> page(p -> p.progress(jobs + " jobs are in.")));
        TakeInPage made = new TakeInPage(incoming, () -> take(incoming, pace), () -> {
            if (taking.busy()) {
                pace.stop();
            } else {
                window.closeOver();
            }
        });
        page = Optional.of(made);
        window.over(made);
    }

    private void page(Consumer<TakeInPage> say) {
        page.filter(p -> p.getScene() != null).ifPresent(say);
    }

    private void take(Incoming incoming, Pace pace) {
        page(p -> p.progress("Taking it in…"));
        taking.ask(
                () -> {
                    incoming.take().accept(pace);
                    return incoming;
                },
                taken -> {
                    window.closeOver();
                    taken.then().run();
                    shop.sheets().readAnew();
                    shop.decisions().forget();
                    window.tell("Taken in: " + taken.file().getFileName() + ".");
                    window.showBench();
                });
    }

    private void notTaken(String sentence) {
        strip.say("");
        window.closeOver();
        window.tell(sentence);
    }
}
