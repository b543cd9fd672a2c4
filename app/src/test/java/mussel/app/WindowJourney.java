package mussel.app;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import mussel.core.job.Assessment;
import mussel.core.job.Field;
import mussel.desktop.desk.Workshop;
import mussel.desktop.shell.Look;
import mussel.desktop.shell.MusselWindow;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
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

    @TempDir
    Path folder;

    final FxRobot robot = new FxRobot();
    Workshop shop;
    MusselWindow window;

    @BeforeAll
    static void startTheWindowSystem() throws Exception {
        FxToolkit.registerPrimaryStage();
        Look.loadType();
    }

    @BeforeEach
    void start() throws Exception {
        shop = Yards.open(logbook(), new Moving(), SheetFiles.shipped());
        FxToolkit.setupStage(this::show);
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

    @AfterEach
    void stop() {
        shop.journal().close();
    }

    void restart() throws Exception {
        shop.journal().close();
        start();
    }

    <T extends Node> T find(String id, Class<T> type) {
        WaitForAsyncUtils.waitForFxEvents();
        return robot.lookup(id).queryAs(type);
    }

    /** Brings a node of the station sheet into sight and clicks it with the mouse. */
    void click(String id) {
        Node node = find(id, Node.class);
        robot.interact(() -> bringIntoSight(node));
        robot.clickOn(node);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void bringIntoSight(Node node) {
        ScrollPane middle = (ScrollPane) window.lookup(".middle");
        if (middle == null || !middle.getContent().getBoundsInLocal().isEmpty() && !isIn(node, middle.getContent())) {
            return;
        }
        window.layout();
        double top = middle.getContent()
                .sceneToLocal(node.localToScene(node.getBoundsInLocal()))
                .getMinY();
        double room = middle.getContent().getBoundsInLocal().getHeight()
                - middle.getViewportBounds().getHeight();
        middle.setVvalue(room <= 0 ? 0 : Math.min(1, Math.max(0, (top - 60) / room)));
        window.layout();
    }

    private static boolean isIn(Node node, Node ancestor) {
        for (Node n = node; n != null; n = n.getParent()) {
            if (n == ancestor) {
                return true;
            }
        }
        return false;
    }

    void type(Field field, String text) {
        click("#field-" + field.name().toLowerCase(java.util.Locale.ROOT) + " .text-field");
        robot.push(KeyCode.CONTROL, KeyCode.A);
        robot.push(KeyCode.DELETE);
        robot.write(text);
        robot.push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
    }

    Assessment now() {
        return window.desk().orElseThrow().now().get();
    }
}
