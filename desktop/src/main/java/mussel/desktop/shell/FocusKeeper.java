package mussel.desktop.shell;

import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyEvent;
import mussel.core.language.Messages;
import mussel.desktop.kit.FocusStops;
import mussel.desktop.kit.PageKeys;
import mussel.desktop.kit.QuantityField;
import mussel.desktop.kit.SheetPane;

/**
 * The focus on a page: it begins at the first thing that is not answered, Tab stays on the page, an answer by key goes on to the next open one, and a
 * figure typed anywhere goes into the next open field.
 */
final class FocusKeeper {
    private static final Messages TEXT = Messages.of(FocusKeeper.class);

    private static final String FIGURE = "0123456789.,-−";

    private final SheetPane room;
    private final Supplier<Node> page;
    private final Consumer<String> tell;
    /** What had the focus on the page last, to come back to. */
    private Optional<Node> last = Optional.empty();

    /**
     * The hands on a page.
     *
     * @param room where the page is scrolled
     * @param page the page shown
     * @param tell what to do with a sentence that says why a figure went nowhere
     */
    FocusKeeper(SheetPane room, Supplier<Node> page, Consumer<String> tell) {
        this.room = room;
        this.page = page;
        this.tell = tell;
        PageKeys.on(room, page, this::to);
    }

    /** Puts the focus on the first thing that is not answered. */
    void begin() {
        begin(Optional::empty);
    }

    /** Puts the focus where a page wants it, else on the first thing that is not answered. */
    void begin(Supplier<Optional<Node>> wanted) {
        if (page.get().getScene() == null) {
            // The page of a scroll pane joins the scene when the pane is styled first.
            room.applyCss();
            room.layout();
        }
        wanted.get().or(() -> FocusStops.of(page.get()).first()).ifPresentOrElse(this::to, () -> room.requestFocus());
    }

    /** Comes back to where the focus was on the page. */
    void back() {
        last.filter(n -> FocusStops.of(page.get()).beside(n, true).isPresent() && seen(n))
                .ifPresentOrElse(this::to, this::begin);
    }

    private static boolean seen(Node node) {
        for (Node at = node; at != null; at = at.getParent()) {
            if (!at.isVisible()) {
                return false;
            }
        }
        return node.getScene() != null;
    }

    /** What has the focus leaves the page: it may be come back to. */
    void leave(Node focused) {
        last = Optional.ofNullable(focused);
    }

    /** Puts the focus somewhere on the page, in sight. */
    void to(Node stop) {
        stop.requestFocus();
        room.see(stop);
    }

    /** A figure typed while nothing takes it, as with the focus in the header: it goes into the next open field. */
    void stray(KeyEvent e) {
        boolean figure = e.getCharacter().length() == 1 && FIGURE.contains(e.getCharacter());
        if (!figure || e.isShortcutDown() || e.isAltDown() || e.getTarget() instanceof TextInputControl) {
            return;
        }
        Node from = e.getTarget() instanceof Node node ? node : page.get();
        Optional<QuantityField> field = FocusStops.of(page.get()).nextFigure(from);
        if (field.isPresent()) {
            field.get().typeInto(e.getCharacter());
            room.see(field.get());
        } else {
            tell.accept(TEXT.get("focus_keeper.every_figure_of_this_station_is"));
        }
        e.consume();
    }
}
