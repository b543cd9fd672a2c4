package mussel.desktop.shell;

import java.nio.file.Path;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
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
import mussel.core.language.Messages;
import mussel.core.measure.UnitSet;
import mussel.desktop.bench.BenchView;
import mussel.desktop.book.BookView;
import mussel.desktop.desk.StationView;
import mussel.desktop.job.NewJob;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Pages;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.desktop.practice.PracticeStations;
import mussel.work.desk.Desk;
import mussel.work.shop.Workshop;
import org.kordamp.ikonli.feather.Feather;

/** The window's content: the bench, or a job with its spine; undo, keys and looks around both. */
public final class MusselWindow extends StackPane {
    private static final Messages TEXT = Messages.of(MusselWindow.class);

    private static final int MOST_PREPARED = 12;
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
    private final BookUpdate settling;
    private final Overlay overlay = new Overlay(this, frame);
    private final Pages body = new Pages();
    private final Label trouble = Texts.wrapped("", "trouble");
    private final OpenJob job;
    private final WindowKeys keys;

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
        sceneProperty().addListener((o, was, is) -> Look.dress(is));
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
        keys = new WindowKeys(this, bench, benchHeader, overlay);
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
        Button back = new Button(TEXT.get("mussel_window.bench"));
        back.setId("book-to-bench");
        back.setMinWidth(Button.USE_PREF_SIZE);
        back.getStyleClass().add("leg-tag");
        back.setAccessibleText(TEXT.get("mussel_window.back_to_the_bench"));
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
            tell(TEXT.get(
                    "mussel_window.not_understood_here_and_counted_for",
                    unread.size(),
                    (unread.size() == 1
                            ? TEXT.get("mussel_window.entry_of_this_job_is")
                            : TEXT.get("mussel_window.entries_of_this_job_are")),
                    ((Fact.Unread) unread.get(0).fact()).why()));
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

    Optional<JobView> jobView() {
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
    void hint(String sentence) {
        tell(sentence);
        hinted = true;
    }

    /** A key was pressed: the hint before it was seen. */
    void hintSeen() {
        if (hinted) {
            tell("");
        }
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
        Button glove = new IconButton(
                Feather.MAXIMIZE_2, "glove", TEXT.get("mussel_window.larger_for_gloves_f6"), this::glove);
        Button dark = new IconButton(Feather.MOON, "dark", TEXT.get("mussel_window.light_or_dark_f7"), this::dark);
        Button who =
                new IconButton(Feather.USER, "who-open", TEXT.get("mussel_window.who_is_at_the_bench_f10"), this::who);
        Button help =
                new IconButton(Feather.HELP_CIRCLE, "help", TEXT.get("mussel_window.keys_f1"), () -> keys.keysPage());
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

    void takeIn() {
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
    void who() {
        overlay.show(new WhoPage(
                shop,
                name -> guarded(() -> {
                    shop.standsHere(name);
                    practice().ifPresent(p -> p.standsHere(name));
                    overlay.close();
                    tell(TEXT.get("mussel_window.at_the_bench", name));
                }),
                overlay::close));
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
}
