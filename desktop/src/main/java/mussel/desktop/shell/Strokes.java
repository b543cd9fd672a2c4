package mussel.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import mussel.core.job.Station;
import mussel.core.language.Messages;
import mussel.desktop.desk.StationView.Key;

/** Which key does what where: the keyboard and the list on F1 are made from the same lines. */
final class Strokes {
    private static final Messages TEXT = Messages.of(Strokes.class);

    private static final int PLAIN_DIGITS = 9;

    private final List<Stroke> strokes = new ArrayList<>();

    private record Stroke(
            KeyCode code, boolean control, boolean shift, Key key, BooleanSupplier here, Runnable action) {}

    /** A key without Ctrl. */
    Strokes plain(KeyCode code, String does, BooleanSupplier here, Runnable action) {
        return add(code, false, false, code.getName(), does, here, action);
    }

    /** A key with Ctrl. */
    Strokes control(KeyCode code, String does, BooleanSupplier here, Runnable action) {
        return add(code, true, false, TEXT.get("strokes.ctrl", code.getName()), does, here, action);
    }

    private Strokes add(
            KeyCode code,
            boolean control,
            boolean shift,
            String name,
            String does,
            BooleanSupplier here,
            Runnable act) {
        strokes.add(new Stroke(code, control, shift, new Key(name, does), here, act));
        return this;
    }

    /** A key for every station, in working order: Ctrl with the figures, then Ctrl and Shift with them. */
    Strokes stations(BooleanSupplier here, java.util.function.Consumer<Station> go) {
        for (Station station : Station.values()) {
            int number = station.ordinal();
            KeyCode digit = KeyCode.getKeyCode(String.valueOf(number % PLAIN_DIGITS + 1));
            add(digit, true, number >= PLAIN_DIGITS, stroke(station), station.title(), here, () -> go.accept(station));
        }
        return this;
    }

    /** The key of a station, as it stands on the keyboard. */
    static String stroke(Station station) {
        int number = station.ordinal();
        return (number < PLAIN_DIGITS ? "Ctrl " : TEXT.get("strokes.ctrl_shift")) + (number % PLAIN_DIGITS + 1);
    }

    /** Does what a key does here; says whether it does anything. */
    boolean press(KeyEvent e) {
        boolean control = e.isShortcutDown();
        for (Stroke stroke : strokes) {
            boolean digit = e.getCode().isDigitKey() && digit(e.getCode()) == digit(stroke.code());
            boolean same = (stroke.code() == e.getCode() || digit)
                    && stroke.control() == control
                    && (stroke.shift() == e.isShiftDown() || !control)
                    && !e.isAltDown();
            if (same && stroke.here().getAsBoolean()) {
                stroke.action().run();
                return true;
            }
        }
        return false;
    }

    private static int digit(KeyCode code) {
        String name = code.getName();
        return code.isDigitKey() ? name.charAt(name.length() - 1) : -1;
    }

    /** The keys that work here, in the order they were given; those of the stations in one line. */
    List<Key> here() {
        List<Key> keys = new ArrayList<>();
        boolean told = false;
        for (Stroke stroke : strokes) {
            if (!stroke.here().getAsBoolean()) {
                continue;
            }
            if (!stroke.code().isDigitKey()) {
                keys.add(stroke.key());
            } else if (!told) {
                told = true;
                int more = Station.values().length - PLAIN_DIGITS;
                keys.add(new Key(
                        TEXT.get("strokes.ctrl_1_to_9_ctrl_shift", more),
                        TEXT.get("strokes.the_stations_in_working_order_from")));
            }
        }
        return keys;
    }
}
