package mussel.app;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;
import javafx.stage.Stage;
import mussel.core.job.Assessment;
import mussel.core.job.Field;
import mussel.core.job.Station;
import mussel.core.plan.Plan.PlannedStep;
import mussel.desktop.shell.Look;
import mussel.desktop.shell.MusselWindow;
import mussel.exchange.sheet.SheetFiles;
import mussel.store.FileStore;
import mussel.work.shop.Workshop;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

/** A real window on a logbook of its own, driven by mouse and keys. */
abstract class WindowJourney {
    static final Clock DAY = Clock.fixed(Instant.parse("2026-11-23T09:00:00Z"), ZoneOffset.UTC);

    /** A clock that moves on by a second at every look. */
    private static final class Moving extends Clock {
        private Instant now = DAY.instant();

        @Override
        public synchronized Instant instant() {
            now = now.plusSeconds(1);
            return now;
        }

        @Override
        public ZoneId getZone() {
            return DAY.getZone();
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }
    }

    private static Stage stage;

    @TempDir
    Path folder;

    final Hands robot = new Hands();
    Workshop shop;
    MusselWindow window;

    @BeforeAll
    static void startTheWindowSystem() throws Exception {
        stage = FxToolkit.registerPrimaryStage();
        // The toolkit would keep every event of its stage for its reports, and with each all that it was about: a
        // window that is tested for long grows by that.
        FxToolkit.toolkitContext().setRegisteredStage(null);
        Look.loadType();
    }

    @BeforeEach
    void start() throws Exception {
        shop = Yards.open(new FileStore(logbook(), new Moving()), SheetFiles.shipped());
        robot.waitWhile(() -> shop.background().busy());
        WaitForAsyncUtils.waitFor(WaitForAsyncUtils.asyncFx(() -> show(stage)));
        Hands.settle();
    }

    /** The logbook the window is opened on. */
    Path logbook() {
        return folder.resolve("yard.mussel");
    }

    private void show(Stage stage) {
        window = new MusselWindow(shop, Look.of(shop.journal()));
        stage.setScene(new Scene(window, 1280, 800));
        // One stage serves all tests: one of them may have left it at another size.
        stage.setWidth(1280);
        stage.setHeight(800);
        stage.setX(0);
        stage.setY(0);
        stage.show();
        stage.toFront();
    }

    /** Closes the window, then what it reads, as the application does; nothing of it may be at work after that. */
    @AfterEach
    void stop() {
        WaitForAsyncUtils.waitFor(WaitForAsyncUtils.asyncFx(() -> {
            window.close();
            stage.setScene(new Scene(new Pane()));
            shop.practice().close();
            shop.journal().close();
        }));
    }

    void restart() throws Exception {
        stop();
        start();
    }

    <T extends Node> T find(String id, Class<T> type) {
        return robot.lookup(id).queryAs(type);
    }

    /** What stands in sight under a node, a line for each label. */
    String said(String id) {
        return robot.from(find(id, Node.class)).lookup(".label").queryAllAs(Label.class).stream()
                .filter(Node::isVisible)
                .map(Label::getText)
                .collect(Collectors.joining("\n"));
    }

    /** Waits until nothing is worked out in the background any more and what came of it is shown. */
    void worked() {
        Hands.until(() -> !shop.background().busy());
    }

    /** Brings a node of the station sheet into sight and clicks it with the mouse. */
    void click(String id) {
        if (id.contains("-goal-")) {
            // The sets over the single repairs come by themselves and push them down.
            worked();
        }
        Node node = find(id, Node.class);
        robot.interact(() -> bringIntoSight(node));
        robot.clickOn(node);
    }

    /** As somebody would turn the wheel until it is there. */
    private void bringIntoSight(Node node) {
        ScrollPane pane = null;
        for (Node at = node; at != null && pane == null; at = at.getParent()) {
            pane = at instanceof ScrollPane found ? found : null;
        }
        if (pane == null || pane == node) {
            return;
        }
        window.layout();
        double top = pane.getContent()
                .sceneToLocal(node.localToScene(node.getBoundsInLocal()))
                .getMinY();
        double room = pane.getContent().getBoundsInLocal().getHeight()
                - pane.getViewportBounds().getHeight();
        pane.setVvalue(room <= 0 ? 0 : Math.min(1, Math.max(0, (top - 60) / room)));
        window.layout();
    }

    /** Ticks steps one after the other: the first with the mouse, each that follows with the space bar, which goes on by itself. */
    void tick(List<PlannedStep> steps) {
        click("#tick-" + steps.get(0).step().id());
        for (int i = 1; i < steps.size(); i++) {
            robot.push(KeyCode.SPACE);
        }
    }

    /** Opens a station by its name on the longline. */
    void go(Station station) {
        click("#station-" + station.name().toLowerCase(java.util.Locale.ROOT));
    }

    void type(Field field, String text) {
        click("#field-" + field.name().toLowerCase(java.util.Locale.ROOT) + " .text-field");
        robot.push(KeyCode.CONTROL, KeyCode.A);
        robot.push(KeyCode.DELETE);
        robot.write(text);
        robot.push(KeyCode.ENTER);
    }

    Assessment now() {
        return window.desk().orElseThrow().now();
    }
}
