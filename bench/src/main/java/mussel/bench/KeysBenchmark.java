package mussel.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import javafx.application.Platform;
import javafx.scene.input.KeyCode;
import javafx.scene.robot.Robot;
import mussel.app.ForBench;
import mussel.app.demo.ByKeys;
import mussel.desktop.desk.Workshop;
import mussel.desktop.shell.MusselWindow;

/** A leg from the new job to its job sheet by real keys in the real window: how many entries that takes, and how long each is answered in. */
final class KeysBenchmark {
    List<Measured> run() throws IOException {
        Path folder = Files.createTempDirectory("mussel-keys");
        Workshop shop = ForBench.open(folder.resolve("keys.mussel"), Clock.systemUTC());
        shop.setPaperFolder(folder);
        MusselWindow window = OnScreen.window(shop);
        List<ByKeys.Entry> entries = ByKeys.milkyLeg();
        List<Double> taken = new ArrayList<>();
        for (ByKeys.Entry entry : entries) {
            long from = System.nanoTime();
            OnScreen.on(() -> {
                enter(new Robot(), entry);
                return null;
            });
            // What the keys have set off is done once the events behind them are.
            OnScreen.on(() -> null);
            OnScreen.on(() -> null);
            taken.add((System.nanoTime() - from) / 1e6);
        }
        boolean tagged = OnScreen.on(
                () -> window.desk().map(d -> d.job().tagged().isPresent()).orElse(false));
        Platform.runLater(window::close);
        double[] ms = taken.stream().mapToDouble(d -> d).toArray();
        return List.of(
                new Measured(
                        "entries from new job to job sheet" + (tagged ? "" : ", NOT REACHED"),
                        entries.size(),
                        "",
                        "under 40"),
                new Measured("an entry by key, 95th percentile", Measured.quantile(ms, 0.95), "ms", ""));
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
