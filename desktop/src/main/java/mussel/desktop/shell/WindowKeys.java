package mussel.desktop.shell;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import mussel.desktop.bench.BenchView;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.WhyButton;
import mussel.work.desk.Desk;

/** What each key of the window does, and where; what is typed while no field takes it; the list of keys on F1. */
final class WindowKeys {
    private static final Set<KeyCode> ACTING = EnumSet.of(
            KeyCode.ENTER,
            KeyCode.SPACE,
            KeyCode.F1,
            KeyCode.F2,
            KeyCode.F4,
            KeyCode.F5,
            KeyCode.F6,
            KeyCode.F7,
            KeyCode.F8,
            KeyCode.F9,
            KeyCode.F10);

    private final MusselWindow window;
    private final BenchView bench;
    private final BenchHeader benchHeader;
    private final Overlay overlay;
    private final Strokes strokes = new Strokes();
    /** Keys that are down: one that acts acts once, however long a gloved hand rests on it. */
    private final Set<KeyCode> held = EnumSet.noneOf(KeyCode.class);

    WindowKeys(MusselWindow window, BenchView bench, BenchHeader benchHeader, Overlay overlay) {
        this.window = window;
        this.bench = bench;
        this.benchHeader = benchHeader;
        this.overlay = overlay;
        fill();
        window.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        window.addEventHandler(KeyEvent.KEY_TYPED, this::typed);
        window.sceneProperty().addListener((o, was, scene) -> {
            if (scene != null) {
                // On the scene: what had the focus may be gone by the time a key comes up.
                scene.addEventFilter(KeyEvent.KEY_RELEASED, e -> held.remove(e.getCode()));
                scene.windowProperty()
                        .flatMap(javafx.stage.Window::focusedProperty)
                        .addListener((f, before, now) -> held.clear());
            }
        });
    }

    private void pressed(KeyEvent e) {
        boolean again = !held.add(e.getCode());
        window.hintSeen();
        if (again && ACTING.contains(e.getCode()) || strokes.press(e)) {
            e.consume();
        }
    }

    /** What is typed while nothing takes it: on the bench a letter looks for a leg, as a scanned tag does; in a job a figure goes to the station. */
    private void typed(KeyEvent e) {
        if (workable()) {
            window.jobView().ifPresent(v -> v.typed(e));
            return;
        }
        boolean letter = e.getCharacter().length() == 1
                && Character.isLetterOrDigit(e.getCharacter().charAt(0));
        if (onBench() && letter && !e.isShortcutDown() && !(e.getTarget() instanceof TextInputControl)) {
            benchHeader.lookFor(e.getCharacter());
            e.consume();
        }
    }

    /** Every key of the window, each where it works. */
    private void fill() {
        strokes.plain(KeyCode.F5, "do what stands in the warm colour", this::workable, () -> window.jobView()
                        .ifPresent(JobView::act))
                .plain(KeyCode.F4, "the next station where something waits", this::workable, this::nextStation)
                .plain(
                        KeyCode.F2,
                        "the drawing of the leg (arrows, Enter), and back",
                        this::workable,
                        () -> window.jobView().ifPresent(JobView::toDrawing))
                .plain(KeyCode.F9, "what the bar over the station holds back", this::workable, () -> window.jobView()
                        .ifPresent(JobView::unfold))
                .control(
                        KeyCode.M,
                        "the figure of the leg’s manual that is asked for here",
                        this::workable,
                        this::manual)
                .control(KeyCode.E, "correct the state of the unit", this::workable, () -> window.jobView()
                        .ifPresent(JobView::toState))
                .control(KeyCode.K, "what became different in the sheet was seen", this::workable, this::sheetSeen)
                .plain(KeyCode.F5, "open the leg in the warm colour", this::onBench, bench::openFirst)
                .stations(this::workable, window::go)
                .control(KeyCode.Z, "take the last entry back", this::workable, () -> window.desk()
                        .ifPresent(Desk::undo))
                .control(KeyCode.Y, "do it again", this::workable, () -> window.desk()
                        .ifPresent(Desk::redo))
                .control(
                        KeyCode.Z, "take the last change of a sheet or the yard back", this::inBook, () -> window.book()
                                .orElseThrow()
                                .undo())
                .control(KeyCode.Y, "do that again", this::inBook, () -> window.book()
                        .orElseThrow()
                        .redo())
                .plain(KeyCode.F1, "this list", () -> true, this::keysPage)
                .plain(KeyCode.F3, "why is the figure at hand what it is", this::notOver, this::why)
                .plain(KeyCode.F6, "larger for gloves, and back", () -> true, window::glove)
                .plain(KeyCode.F7, "light or dark", () -> true, window::dark)
                .plain(KeyCode.F8, "metric, or US units (fl oz, in, lbf·in, psi, °F, oz)", () -> true, window::units)
                .plain(KeyCode.F10, "who is at the bench", this::notOver, window::who)
                .control(KeyCode.B, "the bench", this::notOver, window::showBench)
                .control(
                        KeyCode.L,
                        "the book: logbook, due, lives, plan, sheets, yard, data",
                        this::notOver,
                        () -> window.showBook(Optional.empty()))
                .control(KeyCode.N, "take in a leg", this::notOver, window::takeIn)
                .control(KeyCode.F, "find a leg", this::notOver, () -> {
                    window.showBench();
                    benchHeader.toFind();
                })
                .plain(KeyCode.ESCAPE, "close what lies over the window", overlay::shown, overlay::close);
    }

    private boolean notOver() {
        return !overlay.shown();
    }

    private boolean workable() {
        return window.desk().isPresent() && !overlay.shown();
    }

    private boolean onBench() {
        return bench.isVisible() && !overlay.shown();
    }

    private void manual() {
        window.jobView()
                .filter(v -> !v.toManual())
                .ifPresent(v -> window.hint("Nothing of the leg’s manual is asked for at this station."));
    }

    private void sheetSeen() {
        window.jobView()
                .filter(v -> !v.sheetSeen())
                .ifPresent(v -> window.hint("The sheet of this leg is as the job went by it last."));
    }

    private void nextStation() {
        window.jobView()
                .filter(v -> !v.next())
                .ifPresent(v -> window.hint("Nothing waits at any other station of this job."));
    }

    private boolean bookShown() {
        return window.book().filter(Node::isVisible).isPresent();
    }

    /** The book is shown, and nothing is being typed there whose own undo is meant. */
    private boolean inBook() {
        boolean typing = window.getScene().getFocusOwner() instanceof TextInputControl text && text.isUndoable();
        return bookShown() && notOver() && !typing;
    }

    /** Explains the figure nearest to what has the focus: the first on the station that can. */
    private void why() {
        WhyButton.openNearest(window, window.getScene().getFocusOwner());
    }

    /** Shows the keys that work here. */
    void keysPage() {
        Optional<StationView> station = window.station();
        String where = window.jobView().map(v -> v.here().title()).orElse(bookShown() ? "the book" : "the bench");
        List<StationView.Key> own =
                new ArrayList<>(station.map(StationView::keys).orElse(List.of()));
        if (station.isEmpty() && !bookShown()) {
            own.add(new StationView.Key("arrows, Enter", "from leg to leg; open it"));
            own.add(new StationView.Key("a letter", "looks for a leg or a boat"));
        }
        overlay.show(new KeysPage(where, own, strokes.here()));
    }
}
