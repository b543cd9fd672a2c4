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
import mussel.core.language.Messages;
import mussel.desktop.bench.BenchView;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.WhyButton;
import mussel.work.desk.Desk;

/** What each key of the window does, and where; what is typed while no field takes it; the list of keys on F1. */
final class WindowKeys {
    private static final Messages TEXT = Messages.of(WindowKeys.class);

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
        strokes.plain(
                        KeyCode.F5,
                        TEXT.get("window_keys.do_what_stands_in_the_warm"),
                        this::workable,
                        () -> window.jobView().ifPresent(JobView::act))
                .plain(
                        KeyCode.F4,
                        TEXT.get("window_keys.the_next_station_where_something_waits"),
                        this::workable,
                        this::nextStation)
                .plain(
                        KeyCode.F2,
                        TEXT.get("window_keys.the_drawing_of_the_leg_arrows"),
                        this::workable,
                        () -> window.jobView().ifPresent(JobView::toDrawing))
                .plain(
                        KeyCode.F9,
                        TEXT.get("window_keys.what_the_bar_over_the_station"),
                        this::workable,
                        () -> window.jobView().ifPresent(JobView::unfold))
                .control(KeyCode.M, TEXT.get("window_keys.the_figure_of_the_legs_manual"), this::workable, this::manual)
                .control(
                        KeyCode.E,
                        TEXT.get("window_keys.correct_the_state_of_the_unit"),
                        this::workable,
                        () -> window.jobView().ifPresent(JobView::toState))
                .control(
                        KeyCode.K,
                        TEXT.get("window_keys.what_became_different_in_the_sheet"),
                        this::workable,
                        this::sheetSeen)
                .plain(KeyCode.F5, TEXT.get("window_keys.open_the_leg_in_the_warm"), this::onBench, bench::openFirst)
                .stations(this::workable, window::go)
                .control(
                        KeyCode.Z, TEXT.get("window_keys.take_the_last_entry_back"), this::workable, () -> window.desk()
                                .ifPresent(Desk::undo))
                .control(KeyCode.Y, TEXT.get("window_keys.do_it_again"), this::workable, () -> window.desk()
                        .ifPresent(Desk::redo))
                .control(KeyCode.Z, TEXT.get("window_keys.take_the_last_change_of_a"), this::inBook, () -> window.book()
                        .orElseThrow()
                        .undo())
                .control(KeyCode.Y, TEXT.get("window_keys.do_that_again"), this::inBook, () -> window.book()
                        .orElseThrow()
                        .redo())
                .plain(KeyCode.F1, TEXT.get("window_keys.this_list"), () -> true, this::keysPage)
                .plain(KeyCode.F3, TEXT.get("window_keys.why_is_the_figure_at_hand"), this::notOver, this::why)
                .plain(KeyCode.F6, TEXT.get("window_keys.larger_for_gloves_and_back"), () -> true, window::glove)
                .plain(KeyCode.F7, TEXT.get("window_keys.light_or_dark"), () -> true, window::dark)
                .plain(KeyCode.F8, TEXT.get("window_keys.metric_or_us_units_fl_oz"), () -> true, window::units)
                .plain(KeyCode.F10, TEXT.get("window_keys.who_is_at_the_bench"), this::notOver, window::who)
                .control(KeyCode.B, TEXT.get("window_keys.the_bench"), this::notOver, window::showBench)
                .control(
                        KeyCode.L,
                        TEXT.get("window_keys.the_book_logbook_due_lives_plan"),
                        this::notOver,
                        () -> window.showBook(Optional.empty()))
                .control(KeyCode.N, TEXT.get("window_keys.take_in_a_leg"), this::notOver, window::takeIn)
                .control(KeyCode.F, TEXT.get("window_keys.find_a_leg"), this::notOver, () -> {
                    window.showBench();
                    benchHeader.toFind();
                })
                .plain(
                        KeyCode.ESCAPE,
                        TEXT.get("window_keys.close_what_lies_over_the_window"),
                        overlay::shown,
                        overlay::close);
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
                .ifPresent(v -> window.hint(TEXT.get("window_keys.nothing_of_the_legs_manual_is")));
    }

    private void sheetSeen() {
        window.jobView()
                .filter(v -> !v.sheetSeen())
                .ifPresent(v -> window.hint(TEXT.get("window_keys.the_sheet_of_this_leg_is")));
    }

    private void nextStation() {
        window.jobView()
                .filter(v -> !v.next())
                .ifPresent(v -> window.hint(TEXT.get("window_keys.nothing_waits_at_any_other_station")));
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
        String where = window.jobView()
                .map(v -> v.here().title())
                .orElse(bookShown() ? TEXT.get("window_keys.the_book") : TEXT.get("window_keys.the_bench"));
        List<StationView.Key> own =
                new ArrayList<>(station.map(StationView::keys).orElse(List.of()));
        if (station.isEmpty() && !bookShown()) {
            own.add(new StationView.Key(
                    TEXT.get("window_keys.arrows_enter"), TEXT.get("window_keys.from_leg_to_leg_open_it")));
            own.add(new StationView.Key("a letter", TEXT.get("window_keys.looks_for_a_leg_or_a")));
        }
        overlay.show(new KeysPage(where, own, strokes.here()));
    }
}
