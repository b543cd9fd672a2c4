package mussel.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import mussel.app.ForBench;
import mussel.app.demo.DemoYard;
import mussel.core.job.BenchLine;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.LegRef;
import mussel.core.job.Station;
import mussel.desktop.book.BookView;
import mussel.desktop.log.TagStation;
import mussel.desktop.shell.MusselWindow;
import mussel.desktop.shell.Stations;
import mussel.work.shop.Workshop;

/**
 * The real window used for a long time by real keys and clicks: every station and page of every leg, figures entered and taken back, holds, searches,
 * papers, files taken in, looks changed. What that costs is told by quarter of the run: a window that wears out costs more in the last than in the second.
 */
final class SoakBenchmark {
    private static final int QUARTERS = 4;
    private static final int LEGS_A_ROUND = 12;
    /** A key every 150 ms: quicker than a hand that reads what it opens, slow enough that shares of the time are those of work at a bench. */
    private static final long HAND_NS = 150_000_000L;

    private static final long HOLD_NS = 1_500_000_000L;
    private static final long WORK_NS = TimeUnit.SECONDS.toNanos(5);
    private static final int PLAIN_DIGITS = 9;

    private final int legs;
    private final double minutes;
    private SoakMeter meter;
    private Path folder;
    private Workshop shop;
    private MusselWindow window;
    private RealKeys keys;

    SoakBenchmark(int legs, double minutes) {
        this.legs = legs;
        this.minutes = minutes;
    }

    List<Measured> run() throws IOException {
        folder = Files.createTempDirectory("mussel-soak");
        Path log = folder.resolve("soak.mussel");
        DemoYard.fill(log, Instant.parse("2026-11-23T09:00:00Z"));
        shop = ForBench.open(log, Clock.systemUTC());
        shop.setPaperFolder(folder);
        moreLegs();
        window = OnScreen.window(shop);
        meter = new SoakMeter();
        keys = new RealKeys(window.getScene(), HAND_NS);
        OnScreen.on(() -> {
            window.prepare(() -> {});
            return null;
        });
        round(0);
        meter.quarter();
        List<SoakQuarter> quarters = new ArrayList<>();
        int rounds = 1;
        for (int quarter = 0; quarter < QUARTERS; quarter++) {
            long until = System.nanoTime() + (long) (minutes * 60e9 / QUARTERS);
            do {
                round(rounds++);
                meter.round();
            } while (System.nanoTime() < until);
            quarters.add(meter.quarter());
            tell(quarter + 1, quarters.get(quarter));
        }
        meter.stop();
        shop.journal().close();
        return figures(quarters);
    }

    private void tell(int quarter, SoakQuarter q) {
        System.out.printf(
                Locale.ROOT,
                "%d legs, quarter %d: %d rounds, %.2f s CPU a round, longest pause %.0f ms, paused %.2f %%, live %.1f MB, resident %.0f MB, %d threads, %d files, worst answer %.0f ms (%s)%s%n",
                legs,
                quarter,
                q.rounds(),
                q.cpuS(),
                q.longestPauseMs(),
                q.pausedShare(),
                q.liveMb(),
                q.residentMb(),
                q.threads(),
                q.files(),
                q.worstMs(),
                q.slow(),
                q.grew().isEmpty() ? "" : ", grew since the first: " + q.grew());
    }

    private List<Measured> figures(List<SoakQuarter> quarters) {
        SoakQuarter second = quarters.get(1);
        SoakQuarter last = quarters.get(QUARTERS - 1);
        String of = ", " + legs + " legs";
        List<Measured> all = new ArrayList<>();
        all.add(new Measured("CPU a round, second quarter" + of, second.cpuS(), "s", ""));
        all.add(new Measured("CPU a round, last quarter" + of, last.cpuS(), "s", "within 10 % of the second"));
        all.add(new Measured("longest pause" + of, most(quarters, SoakQuarter::longestPauseMs), "ms", "under 120"));
        all.add(new Measured("time paused" + of, most(quarters, SoakQuarter::pausedShare), "%", "under 1"));
        all.add(new Measured("live heap, second quarter" + of, second.liveMb(), "MB", ""));
        all.add(new Measured("live heap, last quarter" + of, last.liveMb(), "MB", "within 5 %, under 110"));
        all.add(new Measured("resident memory" + of, most(quarters, SoakQuarter::residentMb), "MB", "under 420"));
        all.add(new Measured(
                "longest answer of the window" + of, most(quarters, SoakQuarter::worstMs), "ms", "under 50"));
        return all;
    }

    private static double most(List<SoakQuarter> quarters, java.util.function.ToDoubleFunction<SoakQuarter> figure) {
        return quarters.stream().mapToDouble(figure).max().orElse(Double.NaN);
    }

    /** The demo's legs again under other names until there are as many as wanted. */
    private void moreLegs() {
        List<BenchLine> open = shop.journal().benchLines().open();
        for (int i = open.size(); i < legs; i++) {
            List<Entry> entries =
                    shop.journal().entries(open.get(i % open.size()).job());
            LegRef leg = ((Fact.Opened) entries.get(0).fact()).leg();
            LegRef other = new LegRef(
                    "soak-" + i, leg.boat() + " " + (char) ('B' + i / open.size()), leg.position(), leg.family());
            int job = shop.journal().open(other, "soak").job();
            shop.journal()
                    .append(
                            job,
                            "soak",
                            entries.stream()
                                    .skip(1)
                                    .map(Entry::fact)
                                    .filter(f -> !(f instanceof Fact.Retracted))
                                    .toList());
        }
        shop.fileEverything();
    }

    private void round(int round) {
        int count = shop.journal().benchLines().open().size();
        int first = round * LEGS_A_ROUND % count;
        for (int i = 0; i < Math.min(LEGS_A_ROUND, count); i++) {
            leg((first + i) % count, i);
        }
        book();
        search();
        files();
        looks();
    }

    private void leg(int at, int nth) {
        meter.doing("the bench");
        keys.push(KeyCode.CONTROL, KeyCode.B);
        meter.doing("along the bench");
        for (int i = 0; i < at; i++) {
            keys.push(KeyCode.RIGHT);
        }
        meter.doing("opening a leg");
        keys.push(KeyCode.ENTER);
        for (Stations.Line line : Stations.all()) {
            Station station = line.station();
            meter.doing(station.title());
            go(station);
            for (String page : line.pages()) {
                meter.doing(station.title() + ", " + page);
                seen("#" + page)
                        .filter(n -> n instanceof ToggleButton t && !t.isSelected())
                        .ifPresent(keys::click);
            }
            if (station == Station.DRAIN) {
                figure();
            }
            if (station == Station.LEAK && nth == 0) {
                hold();
            }
            if (station == Station.TAG && nth == 1) {
                paper();
            }
        }
    }

    private void go(Station station) {
        int number = station.ordinal();
        KeyCode digit = KeyCode.getKeyCode(String.valueOf(number % PLAIN_DIGITS + 1));
        if (number < PLAIN_DIGITS) {
            keys.push(KeyCode.CONTROL, digit);
        } else {
            keys.push(KeyCode.CONTROL, KeyCode.SHIFT, digit);
        }
    }

    /** A figure is entered and taken back. */
    private void figure() {
        Optional<Node> field = seen("#field-drained .text-field");
        if (field.isPresent() && keys.click(field.get())) {
            meter.doing("typing a figure");
            keys.push(KeyCode.CONTROL, KeyCode.A);
            keys.write("417");
            keys.push(KeyCode.ENTER);
            meter.doing("taking it back");
            keys.push(KeyCode.CONTROL, KeyCode.Z);
        }
    }

    /** A simulated hold of a moment, taken back. */
    private void hold() {
        seen("#hold-source-practice").ifPresent(keys::click);
        Optional<Node> pull = seen("#practice-pull");
        if (pull.isPresent() && keys.click(pull.get())) {
            meter.doing("a hold");
            LockSupport.parkNanos(HOLD_NS);
            seen("#practice-release").ifPresent(keys::click);
            meter.doing("taking it back");
            keys.push(KeyCode.CONTROL, KeyCode.Z);
        }
    }

    private void paper() {
        meter.doing("printing");
        Path file = folder.resolve("job.pdf");
        OnScreen.on(() -> {
            window.station()
                    .filter(TagStation.class::isInstance)
                    .map(TagStation.class::cast)
                    .ifPresent(s -> s.print(file));
            return null;
        });
        until(() -> window.station()
                .map(s -> !(s instanceof TagStation tag) || tag.printed().startsWith("Written"))
                .orElse(true));
    }

    private void book() {
        meter.doing("opening the book");
        keys.push(KeyCode.CONTROL, KeyCode.L);
        for (BookView.Page page : BookView.Page.values()) {
            meter.doing("book " + page);
            seen("#book-page-" + page.name().toLowerCase(Locale.ROOT)).ifPresent(keys::click);
            until(() -> !window.book().map(BookView::busy).orElse(false));
        }
    }

    private void search() {
        meter.doing("the bench");
        keys.push(KeyCode.CONTROL, KeyCode.B);
        meter.doing("searching");
        keys.push(KeyCode.CONTROL, KeyCode.F);
        keys.write("sound");
        keys.push(KeyCode.CONTROL, KeyCode.A);
        keys.push(KeyCode.DELETE);
    }

    /** The log of another yard: the first time it comes in, later there is nothing new in it. */
    private void files() {
        meter.doing("looking into a file");
        Path file = folder.resolve("elsewhere.json");
        if (!Files.exists(file)) {
            Path other = folder.resolve("elsewhere.mussel");
            DemoYard.fill(other, Instant.parse("2026-11-23T09:00:00Z").minus(900, ChronoUnit.DAYS));
            Workshop elsewhere = ForBench.open(other, Clock.systemUTC());
            elsewhere.data().json(file);
            elsewhere.journal().close();
        }
        OnScreen.on(() -> {
            window.takeInFile(file);
            return null;
        });
        until(() -> seen("#take-in-file-leave").isPresent());
        meter.doing("taking a file in");
        Optional<Node> take = seen("#take-in-file-do").filter(n -> !n.isDisabled());
        keys.click(take.orElseGet(() -> seen("#take-in-file-leave").orElseThrow()));
        until(() -> seen("#take-in-file-page").isEmpty());
    }

    private void looks() {
        keys.push(KeyCode.CONTROL, KeyCode.B);
        keys.push(KeyCode.ENTER);
        for (KeyCode key : List.of(KeyCode.F6, KeyCode.F7, KeyCode.F8)) {
            meter.doing("look " + key);
            keys.push(key);
        }
        size(1024, 700);
        for (Stations.Line line : Stations.all()) {
            meter.doing("in Glove, " + line.station().title());
            go(line.station());
        }
        size(1280, 800);
        for (KeyCode key : List.of(KeyCode.F6, KeyCode.F7, KeyCode.F8)) {
            meter.doing("look " + key);
            keys.push(key);
        }
    }

    private void size(double width, double height) {
        meter.doing("another size");
        OnScreen.on(() -> {
            Stage stage = (Stage) window.getScene().getWindow();
            stage.setWidth(width);
            stage.setHeight(height);
            return null;
        });
        keys.drawn();
    }

    private static void until(BooleanSupplier holds) {
        long end = System.nanoTime() + WORK_NS;
        while (!OnScreen.<Boolean>on(holds::getAsBoolean) && System.nanoTime() < end) {
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(20));
        }
    }

    private Optional<Node> seen(String selector) {
        return OnScreen.on(() ->
                window.lookupAll(selector).stream().filter(SoakBenchmark::seen).findFirst());
    }

    private static boolean seen(Node node) {
        for (Node at = node; at != null; at = at.getParent()) {
            if (!at.isVisible()) {
                return false;
            }
        }
        return node.getScene() != null;
    }
}
