package mussel.desktop.shell;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import mussel.core.job.BenchLine;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.JournalException;
import mussel.core.job.Station;
import mussel.core.measure.UnitSet;
import mussel.desktop.bench.BenchView;
import mussel.desktop.book.BookView;
import mussel.desktop.desk.StationView;
import mussel.desktop.job.NewJob;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Pages;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.WhyButton;
import mussel.desktop.practice.PracticeStations;
import mussel.work.desk.Desk;
import mussel.work.shop.Workshop;
import org.kordamp.ikonli.feather.Feather;

/** The window's content: the bench, or a job with its spine; undo, keys and looks around both. */
public final class MusselWindow extends StackPane {
    private static final int MOST_PREPARED = 12;
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
    /** How much larger the type is for gloves. */
    private static final double GLOVE = 1.25;

    private final Workshop shop;
    private final Look look;
    private final BorderPane frame = new BorderPane();
    private final BenchView bench;
    private final Pages header = new Pages();
    private final BenchHeader benchHeader;
    private final HBox bookHeader = new Row(14);
    private Optional<BookView> book = Optional.empty();
    private final WorkStrip strip = new WorkStrip();
    private final Imports imports;
    private final Strokes strokes = new Strokes();
    /** Keys that are down: one that acts acts once, however long a gloved hand rests on it. */
    private final Set<KeyCode> held = EnumSet.noneOf(KeyCode.class);

    private final BookUpdate settling;
    private final Overlay overlay = new Overlay(this, frame, this::closable);
    private final Pages body = new Pages();
    private final Label trouble = Texts.wrapped("", "trouble");
    private final OpenJob job;

    private boolean opened;
    private boolean hinted;

    /** The window over a shop. */
    public MusselWindow(Workshop shop, Look look) {
        this.shop = shop;
        this.look = look;
        getStyleClass().add("mussel");
        job = new OpenJob(
                shop,
                () -> new JobHeader(
                        new StationLine(this::go),
                        this::back,
                        () -> desk().ifPresent(Desk::undo),
                        () -> desk().ifPresent(Desk::redo),
                        looks(false)),
                this::tell,
                this::hint);
        sceneProperty().addListener((o, was, is) -> {
            Look.dress(is);
            if (is != null) {
                // On the scene: what had the focus may be gone by the time a key comes up.
                is.addEventFilter(KeyEvent.KEY_RELEASED, e -> held.remove(e.getCode()));
                is.windowProperty()
                        .flatMap(javafx.stage.Window::focusedProperty)
                        .addListener((f, before, now) -> held.clear());
            }
        });
        look.apply(this);
        bench = new BenchView(shop, this::open);
        bench.setType(look.glove() ? GLOVE : 1);
        benchHeader = new BenchHeader(
                bench.count(),
                bench::find,
                leg -> showBook(Optional.of(leg)),
                () -> showBook(Optional.empty()),
                this::takeIn,
                () -> looks(true));
        imports = new Imports(shop, new Over(), strip);
        settling = new BookUpdate(shop, this::tell, () -> guarded(bench::show));
        trouble.setId("trouble");
        trouble.managedProperty().bind(trouble.textProperty().isNotEmpty());
        trouble.visibleProperty().bind(trouble.textProperty().isNotEmpty());
        trouble.setMaxWidth(Double.MAX_VALUE);
        trouble.setOnMouseClicked(e -> trouble.setText(""));
        frame.setTop(new Column(header, trouble, strip, settling.line()));
        frame.setCenter(body);
        frame.setMinSize(0, 0);
        getChildren().add(frame);
        strokes();
        addEventFilter(KeyEvent.KEY_PRESSED, this::keys);
        addEventHandler(KeyEvent.KEY_TYPED, this::typedOnBench);
        imports.acceptDrops(this);
        header.show(benchHeader);
        body.show(bench);
        guarded(bench::show);
    }

    /** What files that come in see of the window. */
    private final class Over implements Imports.ImportHost {
        @Override
        public void over(Region page) {
            overlay.show(page);
        }

        @Override
        public void closeOver() {
            overlay.close();
        }

        @Override
        public void tell(String sentence) {
            MusselWindow.this.tell(sentence);
        }

        @Override
        public void takenIn() {
            guarded(() -> {
                shop.journal().bringInWaiting();
                if (jobView().isPresent()) {
                    jobView().filter(v -> !job.practising()).ifPresent(JobView::readAnew);
                } else if (book.filter(Node::isVisible).isPresent()) {
                    book.get().show();
                } else {
                    MusselWindow.this.refreshBench();
                }
            });
        }
    }

    /** Shows the yard's book, at a leg's life where one is named. */
    public void showBook(Optional<String> leg) {
        guarded(() -> {
            leave();
            shop.refreshBench();
            job.away();
            if (book.isEmpty()) {
                book = Optional.of(new BookView(shop, this::open, this::practise, this::takeInFile, this::tell));
                headBook(book.get());
            }
            header.show(bookHeader);
            body.show(book.get());
            leg.ifPresentOrElse(book.get()::showLeg, book.get()::show);
        });
    }

    /** The book, once it was opened. */
    public Optional<BookView> book() {
        return book;
    }

    private void headBook(BookView view) {
        bookHeader.getStyleClass().add("header");
        Button back = new Button("Bench");
        back.setId("book-to-bench");
        back.setMinWidth(Button.USE_PREF_SIZE);
        back.getStyleClass().add("leg-tag");
        back.setAccessibleText("back to the bench");
        back.setOnAction(e -> showBench());
        bookHeader.getChildren().setAll(back, view.tiles(), spring(), looks(true));
    }

    /** Reads a file off the interface thread, as one dropped onto the window, and asks whether to take it in. */
    public void takeInFile(Path file) {
        imports.look(file);
    }

    /** Shows the bench. */
    public void showBench() {
        settleFocus();
        job.away();
        header.show(benchHeader);
        body.show(bench);
        refreshBench();
        bench.begin();
    }

    /** What is being typed becomes an entry: the focus leaves it. */
    private void settleFocus() {
        jobView().map(JobView::desk).ifPresent(Desk::settle);
    }

    /** Brings the bench up to date with the journal, as when the families have come; what is much work is done aside. */
    public void refreshBench() {
        guarded(() -> {
            bench.refresh();
            settling.begin();
        });
    }

    /** On an empty log that nobody has named yet, asks for the yard's name and units. */
    public void firstStart() {
        boolean fresh =
                shop.book().jobs() == 0 && !shop.named() && !shop.journal().readOnly();
        if (fresh) {
            askFirst();
        }
    }

    /** Asks what is asked before the first leg. */
    public void askFirst() {
        FirstStart.ask(shop, overlay, this::guarded, bench::refresh);
    }

    /**
     * While nobody works, shows jobs of the bench to every station out of sight, one after the other: what is opened later is then
     * there at once. Once somebody opens a job, that one stays.
     */
    public void prepare(Runnable whenDone) {
        Iterator<Runnable> works = bench.open().stream()
                .filter(line -> shop.knows(line.leg().family()))
                .limit(MOST_PREPARED)
                .map(BenchLine::job)
                .flatMap(number -> job.works(number, view -> {
                    if (!opened) {
                        guarded(() -> body.keep(view.get()));
                    }
                }))
                .iterator();
        new Preparation(this, works, whenDone).begin();
    }

    /** Opens a job where its work goes on. */
    public void open(int job) {
        guarded(() -> put(job));
    }

    private void put(int number) {
        opened = true;
        show(job.yards(number));
        tellUnread(job.shown().orElseThrow().desk());
    }

    private void show(JobView shown) {
        job.show(shown);
        header.show(job.header());
        body.show(shown);
        shown.showSpine();
        type();
        shown.begin();
    }

    /** The shop over the practice log, while a practice leg is worked at. */
    private Optional<Workshop> practice() {
        return desk().map(Desk::shop).filter(s -> job.practising());
    }

    /** Opens a practice leg on the stations, in the shop over the practice log. */
    public void practise(int number) {
        guarded(() -> {
            leave();
            Workshop log = shop.practice().bench(shop);
            log.standsHere(shop.by());
            if (log.yard().units() != shop.yard().units()) {
                log.readIn(shop.yard().units());
            }
            show(job.practice(
                    log,
                    number,
                    PracticeStations.over(Stations.makers(), this::anotherPractice, () -> showPractice(false))));
        });
    }

    private void anotherPractice() {
        guarded(() -> showPractice(true));
    }

    /** Shows the lessons, or begins another leg like the last. */
    private void showPractice(boolean another) {
        showBook(Optional.empty());
        book.ifPresent(b -> b.showPractice(another));
    }

    /** Where the tag of a job leads back to. */
    private void back() {
        if (job.practising()) {
            showPractice(false);
        } else {
            showBench();
        }
    }

    /** What of a job is not understood here is named; the rest of it is worked with. */
    private void tellUnread(Desk desk) {
        List<Entry> unread = desk.now().job().unread();
        if (!unread.isEmpty()) {
            tell(unread.size()
                    + (unread.size() == 1 ? " entry of this job is" : " entries of this job are")
                    + " not understood here and counted for nothing: the first "
                    + ((Fact.Unread) unread.get(0).fact()).why()
                    + ". They are kept as they are; a newer Mussel may read them.");
        }
    }

    /** Opens a station of the job shown. */
    public void go(Station station) {
        jobView().ifPresent(v -> v.go(station));
    }

    /** The window is about to close: what waits to be entered is entered. */
    public void leave() {
        job.leave();
    }

    /** Leaves, and lets go what is done aside. */
    public void close() {
        leave();
        settling.stop();
        shop.background().close();
    }

    private Optional<JobView> jobView() {
        return job.shown();
    }

    /** The job on the desk, while one is open. */
    public Optional<Desk> desk() {
        return jobView().map(JobView::desk);
    }

    /** The station shown, while a job is open. */
    public Optional<StationView> station() {
        return jobView().map(JobView::shown);
    }

    /** Says a sentence across the window until it is clicked away or the next one comes. */
    public void tell(String sentence) {
        hinted = false;
        trouble.setText(sentence);
    }

    /** Says a sentence until the next key. */
    private void hint(String sentence) {
        tell(sentence);
        hinted = true;
    }

    /** Says a sentence beside what is said already: several things may be noticed at a start, and none may hide another. */
    public void tellToo(String sentence) {
        String said = trouble.getText();
        if (!said.contains(sentence)) {
            tell(said.isEmpty() ? sentence : said + "\n" + sentence);
        }
    }

    private void guarded(Runnable work) {
        try {
            work.run();
        } catch (JournalException e) {
            tell(e.getMessage());
        }
    }

    /** How everything looks, and the keys; beside a job's longline there is no room for who is at the bench, and F10 does the same. */
    private Node looks(boolean withWho) {
        Button glove = new IconButton(Feather.MAXIMIZE_2, "glove", "Larger for gloves (F6)", this::glove);
        Button dark = new IconButton(Feather.MOON, "dark", "Light or dark (F7)", this::dark);
        Button who = new IconButton(Feather.USER, "who-open", "Who is at the bench (F10)", this::who);
        Button help = new IconButton(Feather.HELP_CIRCLE, "help", "Keys (F1)", this::keysPage);
        HBox box = withWho ? new Row(2, who, glove, dark, help) : new Row(2, glove, dark, help);
        box.setAlignment(javafx.geometry.Pos.CENTER);
        box.setMinWidth(USE_PREF_SIZE);
        return box;
    }

    private static Region spring() {
        Region spring = new Region();
        HBox.setHgrow(spring, Priority.ALWAYS);
        return spring;
    }

    private void takeIn() {
        NewJob form = new NewJob(
                shop,
                leg -> {
                    overlay.close();
                    guarded(() -> put(shop.takeIn(leg)));
                },
                overlay::close);
        overlay.show(form);
        form.begin();
    }

    /** Who makes the entries from now on. */
    private void who() {
        overlay.show(new WhoPage(
                shop,
                name -> guarded(() -> {
                    shop.standsHere(name);
                    practice().ifPresent(p -> p.standsHere(name));
                    overlay.close();
                    tell("At the bench: " + name + ".");
                }),
                overlay::close));
    }

    private void keysPage() {
        String where = job.shown().isPresent()
                ? job.shown().get().here().title()
                : book.filter(Node::isVisible).isPresent() ? "the book" : "the bench";
        List<StationView.Key> own =
                new ArrayList<>(station().map(StationView::keys).orElse(List.of()));
        if (job.shown().isEmpty() && !book.map(Node::isVisible).orElse(false)) {
            own.add(new StationView.Key("arrows, Enter", "from leg to leg; open it"));
            own.add(new StationView.Key("a letter", "looks for a leg or a boat"));
        }
        overlay.show(new KeysPage(where, own, strokes.here()));
    }

    /** What nobody looks at is let go of before all would have to be styled anew: with it that takes seconds. */
    private void keepOnlyShown() {
        body.getChildren().removeAll(job.keepOnlyShown());
        if (!book.map(Node::isVisible).orElse(false)) {
            book.ifPresent(body.getChildren()::remove);
            book = Optional.empty();
        }
    }

    /** Larger for gloves, and back. */
    public void glove() {
        keepOnlyShown();
        look.setGlove(!look.glove());
        look.apply(this);
        type();
        guarded(() -> shop.journal().keepSetting("glove", look.glove() ? "on" : "off"));
    }

    private void type() {
        double share = look.glove() ? GLOVE : 1;
        job.setType(share);
        bench.setType(share);
    }

    /** Light or dark. */
    public void dark() {
        keepOnlyShown();
        look.setDark(!look.dark());
        look.apply(this);
        guarded(() -> shop.journal().keepSetting("look", look.dark() ? "dark" : "light"));
    }

    /** Metric or US units. */
    public void units() {
        UnitSet other = shop.yard().units() == UnitSet.METRIC ? UnitSet.US : UnitSet.METRIC;
        guarded(() -> {
            shop.readIn(other);
            practice().ifPresent(p -> p.readIn(other));
        });
        desk().ifPresentOrElse(Desk::refresh, bench::refresh);
    }

    /** The book is shown, and nothing is being typed there whose own undo is meant. */
    private boolean inBook() {
        boolean typing = getScene().getFocusOwner() instanceof TextInputControl text && text.isUndoable();
        return book.filter(Node::isVisible).isPresent() && !overlay.shown() && !typing;
    }

    private void keys(KeyEvent e) {
        boolean again = !held.add(e.getCode());
        if (hinted) {
            tell("");
        }
        if (again && ACTING.contains(e.getCode()) || strokes.press(e)) {
            e.consume();
        }
    }

    /** Every key of the window, each where it works. */
    private void strokes() {
        strokes.plain(KeyCode.F5, "do what stands in the warm colour", this::workable, this::act)
                .plain(KeyCode.F4, "the next station where something waits", this::workable, this::nextStation)
                .plain(KeyCode.F2, "the drawing of the leg (arrows, Enter), and back", this::workable, () -> jobView()
                        .ifPresent(JobView::toDrawing))
                .plain(KeyCode.F9, "what the bar over the station holds back", this::workable, () -> jobView()
                        .ifPresent(JobView::unfold))
                .control(
                        KeyCode.M,
                        "the figure of the leg’s manual that is asked for here",
                        this::workable,
                        this::manual)
                .control(KeyCode.E, "correct the state of the unit", this::workable, () -> jobView()
                        .ifPresent(JobView::toState))
                .control(KeyCode.K, "what became different in the sheet was seen", this::workable, this::sheetSeen)
                .plain(KeyCode.F5, "open the leg in the warm colour", this::onBench, bench::openFirst)
                .stations(this::workable, this::go)
                .control(KeyCode.Z, "take the last entry back", this::workable, () -> desk().ifPresent(Desk::undo))
                .control(KeyCode.Y, "do it again", this::workable, () -> desk().ifPresent(Desk::redo))
                .control(KeyCode.Z, "take the last change of a sheet or the yard back", this::inBook, () -> book.get()
                        .undo())
                .control(KeyCode.Y, "do that again", this::inBook, () -> book.get()
                        .redo())
                .plain(KeyCode.F1, "this list", () -> true, this::keysPage)
                .plain(KeyCode.F3, "why is the figure at hand what it is", this::notOver, this::why)
                .plain(KeyCode.F6, "larger for gloves, and back", () -> true, this::glove)
                .plain(KeyCode.F7, "light or dark", () -> true, this::dark)
                .plain(KeyCode.F8, "metric, or US units (fl oz, in, lbf·in, psi, °F, oz)", () -> true, this::units)
                .plain(KeyCode.F10, "who is at the bench", this::notOver, this::who)
                .control(KeyCode.B, "the bench", this::notOver, this::showBench)
                .control(
                        KeyCode.L,
                        "the book: logbook, due, lives, plan, sheets, yard, data",
                        this::notOver,
                        () -> showBook(Optional.empty()))
                .control(KeyCode.N, "take in a leg", this::notOver, this::takeIn)
                .control(KeyCode.F, "find a leg", this::notOver, () -> {
                    showBench();
                    benchHeader.toFind();
                })
                .plain(KeyCode.ESCAPE, "close what lies over the window", this::closable, overlay::close);
    }

    private boolean notOver() {
        return !overlay.shown();
    }

    private boolean workable() {
        return job.shown().isPresent() && !overlay.shown();
    }

    private boolean onBench() {
        return bench.isVisible() && !overlay.shown();
    }

    private boolean closable() {
        return overlay.shown();
    }

    private void act() {
        jobView().ifPresent(JobView::act);
    }

    private void manual() {
        jobView()
                .filter(v -> !v.toManual())
                .ifPresent(v -> hint("Nothing of the leg’s manual is asked for at this station."));
    }

    private void sheetSeen() {
        jobView()
                .filter(v -> !v.sheetSeen())
                .ifPresent(v -> hint("The sheet of this leg is as the job went by it last."));
    }

    private void nextStation() {
        jobView().filter(v -> !v.next()).ifPresent(v -> hint("Nothing waits at any other station of this job."));
    }

    /** A letter typed on the bench looks for a leg, and so does a scanned tag. */
    private void typedOnBench(KeyEvent e) {
        boolean letter = e.getCharacter().length() == 1
                && Character.isLetterOrDigit(e.getCharacter().charAt(0));
        if (onBench() && letter && !e.isShortcutDown() && !(e.getTarget() instanceof TextInputControl)) {
            benchHeader.lookFor(e.getCharacter());
            e.consume();
        }
    }

    /** Explains the figure nearest to what has the focus: the first on the station that can. */
    private void why() {
        WhyButton.openNearest(this, getScene().getFocusOwner());
    }
}
