package mussel.app;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.stage.Stage;
import javafx.util.Duration;
import javax.imageio.ImageIO;
import mussel.app.demo.DemoPractice;
import mussel.app.demo.DemoYard;
import mussel.core.job.LegRef;
import mussel.core.job.Station;
import mussel.core.library.Size;
import mussel.core.measure.NamedBy;
import mussel.core.sheet.SpecSheet;
import mussel.desktop.shell.Look;
import mussel.desktop.shell.MusselWindow;
import mussel.exchange.file.Scratch;
import mussel.exchange.sheet.SheetFiles;
import mussel.store.Backups;
import mussel.store.FileStore;
import mussel.work.shop.Workshop;

/** Walks through the main views on demo data and keeps a picture of each. The day is fixed, so that pictures can be compared. */
public final class ShotsApp extends Application {
    private static final Instant DAY = Instant.parse("2026-11-23T09:00:00Z");
    /** What moves has come to rest by then (nothing moves for longer than a fifth of a second). */
    private static final Duration SETTLE = Duration.millis(260);
    /** Long enough for a simulated hold to say something. */
    private static final Duration LIVE = Duration.seconds(5);

    private static final Duration LOOK_AGAIN = Duration.millis(40);

    private static Path folder;
    private static int width;
    private static int height;
    private static boolean dark;
    private static boolean glove;
    private static Set<String> only = Set.of();

    private final Deque<Runnable> views = new ArrayDeque<>();
    private MusselWindow window;
    private final List<CompletableFuture<Void>> written = new ArrayList<>();
    private Workshop shop;
    private Scene scene;

    static void prepare(Path to, int w, int h, boolean inDark, boolean forGloves) {
        folder = to;
        width = w;
        height = h;
        dark = inDark;
        glove = forGloves;
    }

    /** Keeps pictures of these views alone; of all where none is named. */
    static void only(Set<String> views) {
        only = Set.copyOf(views);
    }

    @Override
    public void start(Stage stage) throws IOException {
        Thread.currentThread().setUncaughtExceptionHandler((thread, e) -> {
            Terminal.on(Logging.ERR).println(Logging.keep("While the pictures were made", e));
            System.exit(Main.FAILED);
        });
        Look.loadType();
        Path log = Scratch.folder().resolve("demo.mussel");
        DemoYard.fill(log, DAY);
        DemoPractice.beside(log, DAY);
        shop = Yards.open(new FileStore(log, Clock.fixed(DAY, ZoneOffset.UTC)), SheetFiles.shipped());
        Look look = Look.of(shop.journal());
        look.setDark(dark);
        look.setGlove(glove);
        window = new MusselWindow(shop, look);
        window.setMouseTransparent(true);
        scene = new Scene(window, width, height);
        stage.setScene(scene);
        stage.show();
        int milky = job(shop, "Spat Lass, port");
        int filling = job(shop, "Raft tender");
        int opened = job(shop, "Byssus");
        view("bench", window::showBench);
        view("intake", () -> show(milky, Station.INTAKE));
        view("drain", () -> show(milky, Station.DRAIN));
        view("drain-magnets", () -> scrollDown());
        view("leak-hunt", () -> {
            show(opened, Station.LEAK);
            press("#hold-mode-vacuum");
        });
        view("verdict", () -> show(opened, Station.VERDICT));
        view("next-looks", () -> {
            show(milky, Station.VERDICT);
            press("#verdict-view-looks");
        });
        view("round-of-checks", () -> press(".check-round"));
        view("verdict-opened", () -> {
            show(opened, Station.VERDICT);
            press("#verdict-view-opened");
        });
        view("tables", () -> {
            press("#verdict-view-tables");
            middle().setVvalue(0);
        });
        view("strip-down", () -> show(opened, Station.STRIP));
        view("strip-steps", () -> press("#strip-view-steps"));
        view("mat", () -> press("#strip-view-mat"));
        view("inspect", () -> press("#strip-view-inspect"));
        view("build", () -> show(opened, Station.BUILD));
        view("parts-to-fit", () -> press("#build-view-parts"));
        view("torques", () -> press("#build-view-torques"));
        view("beside", () -> {
            show(opened, Station.BESIDE);
            press("#more-engine_oil");
        });
        view("estimate-consent", () -> show(opened, Station.ESTIMATE));
        view("fill", () -> show(filling, Station.FILL));
        view("tag", () -> show(filling, Station.TAG));
        int gears = job(shop, "Slack Water");
        view("set-up", () -> show(gears, Station.SETUP));
        view("lash", () -> {
            show(gears, Station.SETUP);
            press("#setup-view-forward");
            press("#read-forward");
            press("#take-stack-forward");
            press("#read-after-forward");
            scrollDown();
        });
        view("lash-after", () -> middle().setVvalue(0.8));
        view("turned-by-hand", () -> {
            show(gears, Station.SETUP);
            press("#setup-view-checks");
        });
        view("drawer", () -> press("#setup-view-drawer"));
        view("big-parts-to-fit", () -> {
            show(gears, Station.BUILD);
            press("#build-view-parts");
            middle().setVvalue(0);
        });
        view("prove", () -> show(filling, Station.PROVE));
        view("small-leg", () -> show(job(shop, "Workshop skiff"), Station.DRAIN));
        view("leak-hunt-simulated", LIVE, () -> {
            show(milky, Station.LEAK);
            press("#hold-source-practice");
            press("#practice-speed-20");
            press("#practice-pull");
        });
        int big = job(shop, "Sound Harvester, port");
        view("pump", () -> show(big, Station.PUMP));
        view("telltale", () -> {
            press("#simulated-flow");
            scrollDown();
        });
        view("estimate", () -> show(big, Station.ESTIMATE));
        view("while-open", () -> {
            show(big, Station.STRIP);
            press("#strip-view-goals");
        });
        view("tools", () -> press("#strip-view-tools"));
        view("parts", () -> show(big, Station.PARTS));
        view("mat-back", () -> {
            show(opened, Station.BUILD);
            press("#build-view-mat");
        });
        view("portable", () -> show(job(shop, "Mooring punt"), Station.STRIP));
        view("logbook", () -> window.showBook(Optional.of("demo-Byssus-SINGLE")));
        view("twins", () -> {
            window.showBook(Optional.of("demo-Sound Harvester-PORT"));
            press("#beside-twin");
        });
        view("due", () -> book("due"));
        view("lives", () -> book("lives"));
        view("bench-plan", () -> book("plan"));
        view("data", () -> book("data"));
        view("take-in-file", () -> window.takeInFile(anotherYard()));
        view("half-known", () -> {
            // Not there where the pictures begin here.
            if (window.lookup("#take-in-file-leave") instanceof ButtonBase leave) {
                leave.fire();
            }
            SpecSheet sheet =
                    shop.sheets().describe("Nameless 40", Size.MID, Map.of("drive", "splines", "trim_tab", "true"));
            int job = shop.takeIn(new LegRef("nameless", "Skiff", LegRef.Position.SINGLE, sheet.id()));
            window.open(job);
        });
        for (Station station : List.of(Station.LEAK, Station.STRIP, Station.SETUP, Station.FILL)) {
            view("half-known-" + NamedBy.file(station), () -> window.go(station));
        }
        view("sheets", () -> book("sheets"));
        view("yard", () -> book("yard"));
        view("yard-rate", () -> {
            press("#change-labour_per_h");
            ((TextField) window.lookup("#yard-0-0")).setText("90");
            press("#yard-keep");
        });
        view("yard-wrenches", () -> {
            press("#yard-leave");
            press("#change-wrenches");
        });
        view("shelf", () -> book("shelf"));
        view("shelf-coming", () -> press("#shelf-ordered"));
        view("lay-up", () -> {
            show(opened, Station.BESIDE);
            press("#layup-open");
            scrollDown();
        });
        view("both-legs", () -> {
            show(big, Station.STRIP);
            press("#both-open");
        });
        view("one-visit", () -> {
            show(big, Station.INTAKE);
            middle().setVvalue(1);
        });
        view("estimate-both", () -> show(big, Station.ESTIMATE));
        view("parts-both", () -> show(big, Station.PARTS));
        view("put-off", () -> {
            show(job(shop, "Sound Harvester, starboard"), Station.STRIP);
            press("#strip-view-goals");
        });
        view("came-back", () -> book("lives"));
        view("came-back-lower", () -> down("#lives-record"));
        view("round", () -> book("due"));
        view("practice", () -> book("practice"));
        view("practice-lower", () -> down("#practice-curve"));
        view("practice-begun", () -> press("#lesson-colour"));
        view("practice-drain", () -> {
            window.go(Station.DRAIN);
            press("#look-oil_water");
            press("#look-volume_more");
            press("#look-washers");
        });
        view("practice-leak", () -> {
            window.go(Station.LEAK);
            press("#look-pressure_hold");
        });
        view("practice-pump", () -> {
            window.go(Station.PUMP);
            press("#look-vane_tips");
        });
        view("practice-goals", () -> window.go(Station.STRIP));
        view("practice-back", () -> window.go(Station.TAG));
        view("practice-told", () -> press("#practice-back"));
        view("practice-own", () -> {
            press("#practice-lessons");
            window.applyCss();
            window.layout();
            press("#practice-way-own");
            press("#practice-any");
            window.go(Station.VERDICT);
        });
        view("practice-own-drain", () -> {
            window.go(Station.DRAIN);
            press("#look-oil_water");
        });
        view("yard-habits", () -> {
            book("yard");
            window.applyCss();
            window.layout();
            press("#change-habits");
        });
        view("yard-tools", () -> {
            press("#yard-leave");
            press("#change-tools");
        });
        view("price-list", () -> {
            book("yard");
            window.takeInFile(priceList(shop));
        });
        view("price-list-looked", () -> {
            ((TextField) window.lookup("#prices-supplier")).setText("Skerry Chandlers");
            ((TextField) window.lookup("#prices-currency")).setText("NOK");
            ((TextField) window.lookup("#prices-rate")).setText("0.086");
            press("#prices-do");
        });
        view("first-start", () -> {
            press("#prices-leave");
            window.askFirst();
        });
        view("who", () -> press("#who-open"));
        view("keys", () -> {
            window.showBench();
            press("#help");
        });
        view("take-in", () -> {
            window.showBench();
            press("#take-in-open");
        });
        view("another-leg", () -> {
            press("#take-in-family-another-leg");
            window.applyCss();
            window.layout();
            press("#another-size-mid");
            press("#another-like-tern-60");
            press("#another-propshaft_carrier-snap_ring");
            press("#another-joint-bolts");
        });
        views.add(() -> {
            written.forEach(CompletableFuture::join);
            window.close();
            Platform.exit();
        });
        next();
    }

    private static int job(Workshop shop, String leg) {
        return shop.jobs().stream()
                .filter(j ->
                        j.job().leg().title().equals(leg) && j.job().tagged().isEmpty())
                .findFirst()
                .orElseThrow()
                .job()
                .id();
    }

    private void book(String page) {
        window.showBook(Optional.empty());
        press("#book-page-" + page);
    }

    /** The demo as it stood long before, as a log from elsewhere. */
    private static Path anotherYard() {
        Path folder = Scratch.folder();
        Path log = folder.resolve("elsewhere.mussel");
        DemoYard.fill(log, DAY.minus(900, ChronoUnit.DAYS));
        Path backup = folder.resolve("elsewhere.mussel-backup");
        Backups.of(log, Clock.fixed(DAY, ZoneOffset.UTC)).everything(backup, false);
        return backup;
    }

    /** A list as a supplier sends it, in his own money and with what is wrong in such lists. */
    private static Path priceList(Workshop shop) {
        StringBuilder text = new StringBuilder("Art. no;Description;Net price;Per;In stock\n");
        shop.families().get(0).parts().stream()
                .filter(p -> mussel.core.sheet.Step.says(p.number()))
                .forEach(p -> text.append(p.number())
                        .append(';')
                        .append(p.title())
                        .append(";")
                        .append(40 + p.title().length())
                        .append(",50;1;4\n"));
        text.append("T60-1302;Driveshaft seal;99,00;1;2\nT60-0601;Washer;-1,00;1;9\n");
        try {
            return java.nio.file.Files.writeString(Scratch.folder().resolve("skerry-prices.csv"), text);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void show(int job, Station station) {
        window.open(job);
        window.go(station);
    }

    private void press(String id) {
        Node node =
                window.lookupAll(id).stream().filter(ShotsApp::seen).findFirst().orElseThrow();
        if (node instanceof ToggleButton toggle) {
            toggle.setSelected(true);
        } else if (node instanceof ButtonBase button) {
            button.fire();
        }
    }

    private static boolean seen(Node node) {
        for (Node at = node; at != null; at = at.getParent()) {
            if (!at.isVisible()) {
                return false;
            }
        }
        return true;
    }

    private javafx.scene.control.ScrollPane middle() {
        return (javafx.scene.control.ScrollPane) window.lookupAll(".middle").stream()
                .filter(ShotsApp::seen)
                .findFirst()
                .orElseThrow();
    }

    private void down(String below) {
        javafx.scene.Node at = window.lookup(below);
        while (!(at instanceof javafx.scene.control.ScrollPane)) {
            at = at.getParent();
        }
        ((javafx.scene.control.ScrollPane) at).setVvalue(1);
    }

    private void scrollDown() {
        middle().setVvalue(1);
    }

    private void view(String name, Runnable arrange) {
        view(name, SETTLE, arrange);
    }

    private void view(String name, Duration wait, Runnable arrange) {
        boolean wanted = only.isEmpty() || only.contains(name);
        views.add(() -> {
            arrange.run();
            after(wanted ? wait : LOOK_AGAIN, () -> {
                if (wanted) {
                    keep(name);
                }
                next();
            });
        });
    }

    /** Does something after a while, once nothing is worked out in the background any more. */
    private void after(Duration wait, Runnable then) {
        PauseTransition pause = new PauseTransition(wait);
        pause.setOnFinished(e -> {
            if (shop.background().busy()) {
                after(SETTLE, then);
            } else {
                then.run();
            }
        });
        pause.play();
    }

    private void next() {
        Platform.runLater(views.remove());
    }

    /** Takes the picture here; packing and writing it goes on beside the next. */
    private void keep(String name) {
        WritableImage picture = scene.snapshot(null);
        int w = (int) picture.getWidth();
        int h = (int) picture.getHeight();
        BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
        int[] pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
        picture.getPixelReader().getPixels(0, 0, w, h, PixelFormat.getIntArgbInstance(), pixels, 0, w);
        written.add(CompletableFuture.runAsync(() -> {
            try {
                ImageIO.write(image, "png", folder.resolve(name + ".png").toFile());
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }));
    }
}
