package mussel.desktop.shell;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mussel.core.brief.Brief;
import mussel.core.brief.Brief.Deed;
import mussel.core.brief.Brief.Handle;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Station;
import mussel.core.sheet.SpecSheet;
import mussel.desktop.cutaway.Cutaway;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Pages;
import mussel.desktop.kit.SheetPane;
import mussel.work.desk.Desk;

/** One job in the window: the cutaway, the station sheet, what stands beside it. Three columns where there is room, else two and a bar. */
final class JobView extends BorderPane {
    /** The least room for three columns (px at the plain size of type). */
    private static final double THREE_COLUMNS = 1_160;

    /** What a sheet wants for itself before the drawing grows. */
    private static final double SHEET = 664;

    private static final double FOLDED = 126;
    /** The drawing is so much narrower than high. */
    private static final double DRAWING_SHAPE = 0.62;

    private final Desk desk;
    private final StationLine spine;
    private final Map<Station, Function<Desk, StationView>> makers;
    private final Map<Station, StationView> stations = new EnumMap<>(Station.class);
    private final Map<Station, Double> scrolled = new EnumMap<>(Station.class);
    private final Pages drawings = new Pages();
    private final Map<String, Cutaway> cutaways = new HashMap<>();
    private final Map<String, List<mussel.core.sheet.Region>> drawn = new HashMap<>();
    private final SheetNotice notice;
    private final StateLine state;
    private final SidePanel beside;
    private final Pages sheets = new Pages();
    private final SheetPane middle = new SheetPane(sheets);
    private final VBox centre = new Column();
    private final FocusKeeper hands;
    /** The stations that show what was told last. */
    private final Set<Station> seen = EnumSet.noneOf(Station.class);

    private Assessment told;
    private Station here;
    private boolean sitting;
    private boolean folded;
    private boolean pulledOut;
    private double type = 1;

    JobView(Desk desk, StationLine spine, Map<Station, Function<Desk, StationView>> makers) {
        this.desk = desk;
        beside = new SidePanel(desk.repairs(), this::act);
        this.spine = spine;
        this.makers = makers;
        notice = new SheetNotice(desk);
        state = new StateLine(desk, this::begin);
        getStyleClass().add("job-view");
        middle.getStyleClass().add("middle");
        VBox.setVgrow(middle, javafx.scene.layout.Priority.ALWAYS);
        middle.setMaxHeight(Double.MAX_VALUE);
        centre.getChildren().addAll(notice, state, middle);
        centre.setMinSize(0, 0);
        setLeft(drawings);
        setCenter(centre);
        setRight(beside);
        hands = new FocusKeeper(middle, () -> stations.get(here).node(), desk::hint);
        widthProperty().addListener((o, was, is) -> share());
        heightProperty().addListener((o, was, is) -> share());
        desk.follow(is -> {
            if (!sitting && stations.containsKey(here)) {
                show(is);
            }
        });
        here = desk.now().current();
        go(here);
    }

    /** Shows another job, at the station where its work goes on. */
    void sit(int job) {
        sitting = true;
        desk.sit(job);
        sitting = false;
        go(desk.now().current());
        scrolled.clear();
        middle.place(0);
    }

    /** Reads the job anew where something came into it by another way, and stays where it is. */
    void readAnew() {
        desk.settle();
        int job = desk.job().id();
        int now = desk.shop().journal().numberOf(job);
        if (now != job
                || !desk.shop()
                        .journal()
                        .mark(job)
                        .equals(Optional.of(desk.job().mark()))) {
            double top = middle.top();
            sitting = true;
            desk.sit(now);
            sitting = false;
            show(desk.now());
            middle.place(top);
        }
    }

    /** The desk the job is on. */
    Desk desk() {
        return desk;
    }

    /** How much larger the type is than plain. */
    void setType(double share) {
        type = share;
        share();
    }

    /** Gives each column its room. */
    private void share() {
        double width = getWidth();
        if (width <= 0) {
            return;
        }
        folded = width / type < THREE_COLUMNS;
        boolean small = folded && !pulledOut;
        double right = Math.max(282, Math.min(400, width * 0.245));
        double wide = Math.min(getHeight() * DRAWING_SHAPE, width - right - SHEET * type);
        double left = small ? FOLDED * Math.min(1.15, type) : folded ? width * 0.34 : Math.max(280, wide);
        drawings.setPrefWidth(left);
        drawings.setMinWidth(left);
        drawings.setMaxWidth(left);
        cutaways.values().forEach(c -> c.setFolded(small));
        beside.setBar(folded);
        if (folded && getRight() != null) {
            setRight(null);
            centre.getChildren().setAll(beside, notice, state, middle);
        } else if (!folded && getRight() == null) {
            centre.getChildren().setAll(notice, state, middle);
            setRight(beside);
        }
        beside.setPrefWidth(folded ? USE_COMPUTED_SIZE : right);
        beside.setMinWidth(folded ? 0 : USE_PREF_SIZE);
        beside.setMinHeight(folded ? USE_PREF_SIZE : 0);
    }

    /** Opens a station and puts the focus on the first thing there that is not answered. */
    void go(Station station) {
        scrolled.put(here, middle.top());
        here = station;
        StationView view = stations.computeIfAbsent(station, s -> makers.get(s).apply(desk));
        sheets.show(view.node());
        show(desk.now());
        middle.place(scrolled.getOrDefault(station, 0.0));
        if (getScene() != null && isVisible()) {
            begin();
        }
    }

    /** The job is on the screen: the focus goes to the first thing that is not answered. */
    void begin() {
        hands.begin(stations.get(here)::begin);
    }

    /** Opens the next station where something waits; says whether there is one. */
    boolean next() {
        Station[] all = Station.values();
        Optional<Station> next = Stream.iterate(1, i -> i < all.length, i -> i + 1)
                .map(i -> all[(here.ordinal() + i) % all.length])
                .filter(desk.now()::workAt)
                .findFirst();
        next.ifPresent(this::go);
        return next.isPresent();
    }

    /** To the drawing and back; where it is folded it is pulled out meanwhile. */
    void toDrawing() {
        Cutaway cutaway = cutaways.get(desk.now().sheet().id());
        Node focused = getScene().getFocusOwner();
        if (focused == cutaway) {
            pulledOut = false;
            share();
            hands.back();
        } else {
            hands.leave(focused);
            pulledOut = true;
            share();
            cutaway.requestFocus();
        }
    }

    /** Puts the focus on the first figure of the manual that is asked for here; says whether one is. */
    boolean toManual() {
        Optional<Node> figure = stations.get(here).node().lookupAll(".from-manual .text-field").stream()
                .filter(JobView::seen)
                .findFirst();
        figure.ifPresent(hands::to);
        return figure.isPresent();
    }

    /** Takes a figure that was typed while nothing takes it. */
    void typed(KeyEvent e) {
        hands.stray(e);
    }

    /** What became different in the sheet was seen; says whether anything was shown. */
    boolean sheetSeen() {
        return notice.seen();
    }

    private static boolean seen(Node node) {
        return Stream.iterate(node, n -> n != null, Node::getParent).allMatch(Node::isVisible);
    }

    /** To the line of the state, to correct it. */
    void toState() {
        state.begin();
    }

    /** Shows what the bar holds back, and folds it again. */
    void unfold() {
        beside.toggle();
    }

    /** Does the act of the moment. */
    void act() {
        desk.settle();
        Assessment now = desk.now();
        beside.show(now, here);
        if (!beside.asksAdvice()) {
            beside.act().map(Brief.Act::deed).ifPresent(this::act);
            return;
        }
        // What stands there follows from what is worked out beside the window: the key waits for it.
        desk.repairs().ask(now, told -> {
            beside.show(now, here);
            beside.act().map(Brief.Act::deed).ifPresent(this::act);
        });
    }

    private void act(Deed deed) {
        if (deed instanceof Deed.Go to) {
            go(to.to());
        } else if (deed instanceof Deed.Look look) {
            look(look.finding());
        } else if (deed instanceof Deed.Round round) {
            go(Station.VERDICT);
            stations.get(here).look(round.title(), round.looks()).stream()
                    .findFirst()
                    .ifPresent(hands::to);
        } else if (deed instanceof Deed.Enter enter) {
            boolean tick = enter.facts().stream().anyMatch(Fact.Ticked.class::isInstance);
            if (tick && stations.get(here).press(Handle.STEPS)) {
                // The step is seen before it is ticked.
                begin();
                return;
            }
            middle.keeping(getScene().getFocusOwner(), () -> desk.note(enter.facts()));
            begin();
        } else if (deed instanceof Deed.Press press) {
            StationView view = stations.get(here);
            if (!view.press(press.handle())) {
                begin();
            }
        }
    }

    /** Opens where a look is entered, with the focus on it. */
    private void look(String finding) {
        if (desk.exercise().isPresent()) {
            desk.look(finding);
            begin();
            return;
        }
        List<Node> at = stations.get(here).look(finding);
        if (at.isEmpty()) {
            go(Station.VERDICT);
            at = stations.get(here).look(finding);
        }
        at.stream().findFirst().ifPresent(hands::to);
    }

    /** The drawing of the leg; one that is drawn otherwise now, since its sheet was changed, is made anew. */
    private Cutaway cutaway(Assessment now) {
        SpecSheet sheet = now.sheet();
        if (!drawn.getOrDefault(sheet.id(), sheet.drawing()).equals(sheet.drawing())) {
            cutaways.remove(sheet.id());
        }
        drawn.put(sheet.id(), sheet.drawing());
        return cutaways.computeIfAbsent(sheet.id(), f -> cutaway(sheet));
    }

    private Cutaway cutaway(SpecSheet family) {
        Cutaway made = new Cutaway(family);
        made.getStyleClass().add("side");
        made.setOnGo(strip -> go(strip ? Station.STRIP : Station.BUILD));
        made.setFolded(folded && !pulledOut);
        return made;
    }

    /** Whether something runs at a station that must not be let go of. */
    boolean running() {
        return stations.values().stream().anyMatch(StationView::running);
    }

    /** Lets go of the stations that are not shown and where nothing runs, as when all would have to be styled anew. */
    void keepOnlyShown() {
        stations.entrySet().removeIf(e -> {
            boolean goes = e.getKey() != here && !e.getValue().running();
            if (goes) {
                sheets.getChildren().remove(e.getValue().node());
                seen.remove(e.getKey());
            }
            return goes;
        });
        cutaways.values().removeIf(c -> !c.isVisible());
        drawings.keepOnlyShown();
    }

    /** Makes a station that is not shown and fills it with this job, so that going there later is quick. */
    void prepare(Station station) {
        if (station != here) {
            StationView view =
                    stations.computeIfAbsent(station, s -> makers.get(s).apply(desk));
            if (!seen.contains(station) && view.prepare(desk.now())) {
                seen.add(station);
            }
            if (view.node() instanceof Region page) {
                sheets.keep(page);
            }
        }
    }

    /** What shows this very state of the job already is left alone; what has the focus stays where it is seen. */
    private void show(Assessment now) {
        boolean anew = told != now;
        if (anew) {
            told = now;
            seen.clear();
            notice.show();
            state.show(now);
            Cutaway cutaway = cutaway(now);
            drawings.show(cutaway);
            cutaway.show(now);
        }
        beside.show(now, here);
        if (seen.add(here)) {
            Node focused = getScene() == null ? null : getScene().getFocusOwner();
            middle.keeping(focused, () -> stations.get(here).show(now));
        }
        if (isVisible()) {
            spine.show(now, here);
        }
    }

    /** Shows this job on the spine, which several views share. */
    void showSpine() {
        spine.show(desk.now(), here);
    }

    /** The station shown. */
    StationView shown() {
        return stations.get(here);
    }

    /** Which station is shown. */
    Station here() {
        return here;
    }
}
