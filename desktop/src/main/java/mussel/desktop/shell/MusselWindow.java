package mussel.desktop.shell;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.DragEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import mussel.core.job.BenchLine;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.JournalException;
import mussel.core.job.Station;
import mussel.core.measure.YardUnits;
import mussel.desktop.bench.BenchView;
import mussel.desktop.book.Aside;
import mussel.desktop.book.BookView;
import mussel.desktop.book.TakeInPage;
import mussel.desktop.desk.Desk;
import mussel.desktop.desk.Incoming;
import mussel.desktop.desk.StationView;
import mussel.desktop.desk.Workshop;
import mussel.desktop.job.TakeIn;
import mussel.desktop.kit.Pages;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.WhyButton;
import org.kordamp.ikonli.feather.Feather;

/** The window's content: the bench, or a job with its spine; undo, keys and looks around both. */
public final class MusselWindow extends StackPane {
    /** What a scanned tag begins with; the leg's id follows. */
    private static final String LEG_CODE = "mussel:leg:";

    private static final int MOST_PREPARED = 12;
    private static final double FIND_WIDTH = 280;
    private static final double LOOKS_WIDTH = 142;

    private final Workshop shop;
    private final Look look;
    private final Map<Station, Function<Desk, StationView>> stations;
    private final BorderPane frame = new BorderPane();
    private final BenchView bench;
    private final Pages header = new Pages();
    private final HBox benchHeader = new HBox(14);
    private final HBox bookHeader = new HBox(14);
    private Optional<BookView> book = Optional.empty();
    private final Aside reading = new Aside(this::notTaken);
    private final Aside taking = new Aside(this::notTaken);
    private final WorkStrip strip = new WorkStrip();
    private final Aside settling = new Aside(this::tell);
    private final Label filing = Texts.wrapped("", "filing");
    /** Jobs that cannot be filed, as those whose family's sheet is not here. */
    private List<Integer> leftOver = List.of();

    private volatile boolean closing;
    private final Pages body = new Pages();
    private final Label trouble = Texts.wrapped("", "trouble");
    private Optional<JobHeader> jobHeader = Optional.empty();
    /** One view: a job opened later takes the place of the one before. */
    private Optional<JobView> view = Optional.empty();

    private final PauseTransition scanned = new PauseTransition(Duration.millis(250));
    private boolean working;
    private boolean opened;

    /** The window over a shop. */
    public MusselWindow(Workshop shop, Look look, Map<Station, Function<Desk, StationView>> stations) {
        this.shop = shop;
        this.look = look;
        this.stations = stations;
        getStyleClass().add("mussel");
        sceneProperty().addListener((o, was, is) -> Look.dress(is));
        look.apply(this);
        bench = new BenchView(shop, this::open);
        benchHeader.getStyleClass().add("header");
        headBench();
        trouble.setId("trouble");
        trouble.managedProperty().bind(trouble.textProperty().isNotEmpty());
        trouble.visibleProperty().bind(trouble.textProperty().isNotEmpty());
        trouble.setMaxWidth(Double.MAX_VALUE);
        trouble.setOnMouseClicked(e -> trouble.setText(""));
        filing.setId("filing");
        filing.managedProperty().bind(filing.textProperty().isNotEmpty());
        filing.visibleProperty().bind(filing.textProperty().isNotEmpty());
        filing.setMaxWidth(Double.MAX_VALUE);
        frame.setTop(new VBox(header, trouble, strip, filing));
        frame.setCenter(body);
        frame.setMinSize(0, 0);
        getChildren().add(frame);
        addEventFilter(KeyEvent.KEY_PRESSED, this::keys);
        acceptDrops();
        header.show(benchHeader);
        body.show(bench);
        guarded(bench::show);
    }

    private void headBench() {
        Label title = Texts.title("Bench");
        bench.count().getStyleClass().setAll("on-shell-dim");
        Button take = new Button("Take in a leg");
        take.setId("take-in-open");
        take.getStyleClass().add("act");
        take.setOnAction(e -> takeIn());
        Button theBook = new Button("The book");
        theBook.setId("to-book");
        theBook.getStyleClass().add("on-shell-button");
        theBook.setOnAction(e -> showBook(Optional.empty()));
        benchHeader
                .getChildren()
                .setAll(
                        title,
                        bench.count(),
                        spring(),
                        new Later(FIND_WIDTH, this::find),
                        theBook,
                        take,
                        new Later(LOOKS_WIDTH, this::looks));
    }

    private Node find() {
        TextField find = new TextField();
        find.setId("find");
        find.setPrefWidth(FIND_WIDTH);
        find.setPromptText("find a leg, a boat, what is next");
        find.setAccessibleText("find a leg");
        find.textProperty().addListener((o, was, is) -> found(find, is));
        Platform.runLater(find::requestFocus);
        return find;
    }

    /** A scanned tag opens the life of its leg; anything else is looked for on the bench. */
    private void found(TextField find, String text) {
        if (text.startsWith(LEG_CODE) && text.length() > LEG_CODE.length()) {
            scanned.setOnFinished(e -> {
                String code = find.getText();
                if (code.startsWith(LEG_CODE)) {
                    find.clear();
                    showBook(Optional.of(code.substring(LEG_CODE.length()).strip()));
                }
            });
            scanned.playFromStart();
        } else {
            bench.find(text);
        }
    }

    /** Shows the yard's book, at a leg's life where one is named. */
    public void showBook(Optional<String> leg) {
        guarded(() -> {
            leave();
            shop.refreshBench();
            working = false;
            if (book.isEmpty()) {
                book = Optional.of(new BookView(shop, this::open, this::takeInFile, this::tell));
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
        back.getStyleClass().add("leg-tag");
        back.setAccessibleText("back to the bench");
        back.setOnAction(e -> showBench());
        bookHeader.getChildren().setAll(back, view.tiles(), spring(), looks());
    }

    /** Reads a file off the interface thread, as one dropped onto the window, and asks whether to take it in. */
    public void takeInFile(Path file) {
        if (taking.busy()) {
            tell("Another file is being taken in. Wait until that is done.");
            return;
        }
        tell("");
        Pace pace = new Pace(jobs -> strip.say("Looking into " + file.getFileName() + ": " + jobs + " jobs so far."));
        strip.say("Looking into " + file.getFileName() + "…", pace::stop);
        reading.ask(() -> shop.data().look(file, pace), incoming -> {
            strip.say("");
            show(incoming);
        });
    }

    private void show(Incoming incoming) {
        Pace pace = new Pace(jobs -> page(p -> p.progress(jobs + " jobs are in.")));
        over(new TakeInPage(incoming, () -> take(incoming, pace), () -> {
            if (taking.busy()) {
                pace.stop();
            } else {
                closeOver();
            }
        }));
    }

    private void page(Consumer<TakeInPage> say) {
        if (lookup("#take-in-file-page") instanceof TakeInPage page) {
            say.accept(page);
        }
    }

    private void take(Incoming incoming, Pace pace) {
        page(p -> p.progress("Taking it in…"));
        taking.ask(
                () -> {
                    incoming.take().accept(pace);
                    return incoming;
                },
                taken -> guarded(() -> {
                    closeOver();
                    taken.then().run();
                    tell("Taken in: " + taken.file().getFileName() + ".");
                    showBench();
                }));
    }

    private void notTaken(String sentence) {
        strip.say("");
        closeOver();
        tell(sentence);
    }

    /** Files dropped anywhere where no station takes them itself. */
    private void acceptDrops() {
        addEventHandler(DragEvent.DRAG_OVER, e -> {
            if (e.getDragboard().hasFiles() && !e.isAccepted()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
        });
        addEventHandler(DragEvent.DRAG_DROPPED, e -> {
            if (!e.isDropCompleted() && e.getDragboard().hasFiles()) {
                takeInFile(e.getDragboard().getFiles().get(0).toPath());
                e.setDropCompleted(true);
            }
        });
    }

    /** Shows the bench. */
    public void showBench() {
        working = false;
        header.show(benchHeader);
        body.show(bench);
        refreshBench();
    }

    /** Brings the bench up to date with the journal, as when the families have come; what is much work is done aside. */
    public void refreshBench() {
        guarded(() -> {
            bench.refresh();
            settle();
        });
    }

    private void settle() {
        List<Integer> owed = shop.journal().readOnly() ? List.of() : shop.book().owed();
        if (settling.busy() || owed.equals(leftOver)) {
            return;
        }
        settling.ask(
                () -> {
                    shop.settle(left -> {
                        Platform.runLater(() -> settling(left, owed.size()));
                        return !closing;
                    });
                    return owed.size();
                },
                settled -> guarded(() -> {
                    leftOver = shop.book().owed();
                    filing.setText("");
                    bench.show();
                }));
    }

    private void settling(int left, int all) {
        filing.setText(
                "The book is being brought up to date: " + left + " of " + all
                        + " jobs to go. Work goes on meanwhile; what is left when the window closes is done at the next start.");
    }

    /** On an empty log that nobody has named yet, asks for the yard's name and units. */
    public void firstStart() {
        boolean fresh =
                shop.book().jobs() == 0 && !shop.named() && !shop.journal().readOnly();
        if (fresh) {
            FirstStart page = new FirstStart((name, units) -> guarded(() -> {
                closeOver();
                shop.rename(name);
                shop.journal().keepSetting("units", units.name());
                shop.setYard(shop.yard().in(units));
                bench.refresh();
            }));
            over(page);
            page.begin();
        }
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
                .flatMap(this::works)
                .iterator();
        new Preparation(this, works, whenDone).begin();
    }

    private Stream<Runnable> works(int job) {
        return Stream.concat(
                Stream.of(() -> prepare(job)),
                Arrays.stream(Station.values()).map(station -> () -> view.ifPresent(v -> v.prepare(station))));
    }

    private void prepare(int job) {
        if (!opened) {
            guarded(() -> body.keep(view(job)));
        }
    }

    /** Opens a job where its work goes on. */
    public void open(int job) {
        guarded(() -> put(job));
    }

    private void put(int job) {
        JobView shown = view(job);
        working = true;
        opened = true;
        jobHeader().show(shown.desk());
        header.show(jobHeader());
        body.show(shown);
        shown.showSpine();
        shown.requestFocus();
        tellUnread(shown.desk());
    }

    /** What of a job is not understood here is named; the rest of it is worked with. */
    private void tellUnread(Desk desk) {
        List<Entry> unread = desk.now().get().job().unread();
        if (!unread.isEmpty()) {
            tell(unread.size()
                    + (unread.size() == 1 ? " entry of this job is" : " entries of this job are")
                    + " not understood here and counted for nothing: the first "
                    + ((Fact.Unread) unread.get(0).fact()).why()
                    + ". They are kept as they are; a newer Mussel may read them.");
        }
    }

    /** The view with a job in it. */
    private JobView view(int job) {
        if (view.isEmpty()) {
            Desk desk = shop.desk(job);
            desk.setOnTrouble(this::tell);
            desk.now().addListener((o, was, is) -> {
                if (working) {
                    jobHeader().show(desk);
                }
            });
            view = Optional.of(new JobView(desk, jobHeader().spine(), stations));
        } else {
            view.get().sit(job);
        }
        return view.get();
    }

    private JobHeader jobHeader() {
        if (jobHeader.isEmpty()) {
            jobHeader =
                    Optional.of(new JobHeader(new Spine(this::go), this::showBench, this::undo, this::redo, looks()));
        }
        return jobHeader.get();
    }

    /** Opens a station of the job shown. */
    public void go(Station station) {
        jobView().ifPresent(v -> v.go(station));
    }

    /** The window is about to close: what waits to be entered is entered. */
    public void leave() {
        view.map(JobView::desk).ifPresent(Desk::leave);
    }

    /** Leaves, and lets go what is done aside. */
    public void close() {
        leave();
        closing = true;
    }

    private Optional<JobView> jobView() {
        return working ? view : Optional.empty();
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
        trouble.setText(sentence);
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

    private Node looks() {
        Button glove = new IconButton(Feather.MAXIMIZE_2, "glove", "Larger for gloves (F6)", this::glove);
        Button dark = new IconButton(Feather.MOON, "dark", "Light or dark (F7)", this::dark);
        Button help = new IconButton(Feather.HELP_CIRCLE, "help", "Keys (F1)", this::keysPage);
        HBox box = new HBox(2, glove, dark, help);
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
        TakeIn form = new TakeIn(
                shop,
                leg -> {
                    closeOver();
                    guarded(() -> put(shop.takeIn(leg)));
                },
                this::closeOver);
        over(form);
        form.begin();
    }

    private void over(Region page) {
        closeOver();
        StackPane veil = new StackPane(page);
        veil.getStyleClass().add("veil");
        page.setMaxSize(640, USE_PREF_SIZE);
        veil.setOnMouseClicked(e -> {
            if (e.getTarget() == veil && !taking.busy()) {
                closeOver();
            }
        });
        getChildren().add(veil);
    }

    private void closeOver() {
        getChildren().setAll(frame);
    }

    private boolean isOver() {
        return getChildren().size() > 1;
    }

    private void keysPage() {
        over(new KeysPage());
    }

    private void glove() {
        look.setGlove(!look.glove());
        look.apply(this);
        guarded(() -> shop.journal().keepSetting("glove", look.glove() ? "on" : "off"));
    }

    private void dark() {
        look.setDark(!look.dark());
        look.apply(this);
        guarded(() -> shop.journal().keepSetting("look", look.dark() ? "dark" : "light"));
    }

    private void units() {
        YardUnits other = shop.yard().units() == YardUnits.METRIC ? YardUnits.US : YardUnits.METRIC;
        shop.setYard(shop.yard().in(other));
        guarded(() -> shop.journal().keepSetting("units", other.name()));
        desk().ifPresentOrElse(Desk::refresh, bench::refresh);
    }

    private void undo() {
        desk().ifPresent(Desk::undo);
    }

    private void redo() {
        desk().ifPresent(Desk::redo);
    }

    private void keys(KeyEvent e) {
        boolean control = e.isShortcutDown() && !e.isAltDown() && !e.isShiftDown();
        Runnable action = control ? withControl(e.getCode()) : plain(e.getCode());
        if (action != null) {
            action.run();
            e.consume();
        }
    }

    private Runnable plain(KeyCode code) {
        return switch (code) {
            case F1 -> this::keysPage;
            case F3 -> this::why;
            case F6 -> this::glove;
            case F7 -> this::dark;
            case F8 -> this::units;
            case ESCAPE -> isOver() && !taking.busy() ? this::closeOver : null;
            default -> null;
        };
    }

    private Runnable withControl(KeyCode code) {
        int digit = code.isDigitKey() ? code.getName().charAt(code.getName().length() - 1) - '1' : -1;
        if (digit >= 0 && digit < Station.values().length && working) {
            return () -> go(Station.values()[digit]);
        }
        return switch (code) {
            case Z -> this::undo;
            case Y -> this::redo;
            case B -> this::showBench;
            case N -> this::takeIn;
            case L -> () -> showBook(Optional.empty());
            case F ->
                () -> {
                    showBench();
                    benchHeader.lookup("#find").requestFocus();
                };
            default -> null;
        };
    }

    /** Explains the figure nearest to what has the focus: the first on the station that can. */
    private void why() {
        lookupAll(".why").stream()
                .filter(n -> n instanceof WhyButton && n.isVisible())
                .map(WhyButton.class::cast)
                .min(java.util.Comparator.comparingDouble(this::distanceToFocus))
                .ifPresent(WhyButton::open);
    }

    private double distanceToFocus(Node node) {
        Node focused = getScene().getFocusOwner();
        double there = node.localToScene(node.getBoundsInLocal()).getCenterY();
        return focused == null
                ? there
                : Math.abs(
                        there - focused.localToScene(focused.getBoundsInLocal()).getCenterY());
    }
}
