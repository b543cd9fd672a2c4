package mussel.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.concurrent.locks.LockSupport;
import javafx.application.Platform;
import javafx.scene.input.KeyCode;
import javafx.scene.robot.Robot;
import mussel.app.ForBench;
import mussel.app.demo.ByKeys;
import mussel.desktop.shell.MusselWindow;
import mussel.work.shop.Workshop;

/** A leg from the new job to its job sheet by real keys in the real window: how many entries that takes. */
final class KeysBenchmark {
    private static final int ROUNDS = 6;
    private static final long ROUND_NS = 50_000_000;
    private static final long FIRST_NS = 2_000_000_000;

    List<Measured> run() throws IOException {
        Path folder = Files.createTempDirectory("mussel-keys");
        Workshop shop = ForBench.open(folder.resolve("keys.mussel"), Clock.systemUTC());
        shop.setPaperFolder(folder);
        MusselWindow window = OnScreen.window(shop);
        List<ByKeys.Entry> entries = ByKeys.milkyLeg();
        // A window that has just come has no keyboard yet.
        LockSupport.parkNanos(FIRST_NS);
        for (ByKeys.Entry entry : entries) {
            OnScreen.on(() -> {
                enter(new Robot(), entry);
                return null;
            });
            // Keys come by way of the display: what they have set off is done a few events later.
            for (int i = 0; i < ROUNDS; i++) {
                LockSupport.parkNanos(ROUND_NS);
                OnScreen.on(() -> null);
            }
        }
        boolean tagged = OnScreen.on(
                () -> window.desk().map(d -> d.job().tagged().isPresent()).orElse(false));
        Platform.runLater(window::close);
        return List.of(new Measured(
                "entries from new job to job sheet" + (tagged ? "" : ", NOT REACHED"), entries.size(), "", "under 40"));
    }

    private static void enter(Robot robot, ByKeys.Entry entry) {
        if (entry.text().isEmpty()) {
            entry.chord().forEach(robot::keyPress);
            for (int i = entry.chord().size() - 1; i >= 0; i--) {
                robot.keyRelease(entry.chord().get(i));
            }
            return;
        }
        for (char c : entry.text().toCharArray()) {
            boolean capital = Character.isUpperCase(c);
            KeyCode key = c == ' ' ? KeyCode.SPACE : KeyCode.getKeyCode(String.valueOf(Character.toUpperCase(c)));
            if (capital) {
                robot.keyPress(KeyCode.SHIFT);
            }
            robot.keyType(key);
            if (capital) {
                robot.keyRelease(KeyCode.SHIFT);
            }
        }
        robot.keyType(KeyCode.ENTER);
    }
}
