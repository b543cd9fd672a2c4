package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import mussel.core.job.Entry;
import mussel.core.job.Field;
import mussel.core.job.Station;
import mussel.desktop.book.BookView;
import mussel.desktop.kit.FileDialog;
import org.junit.jupiter.api.Test;

/**
 * Keys in any order over stations, pages, overlays, looks and sizes, from a seed that is printed: nothing fails, no entry is lost, and the focus is always
 * somewhere that is seen. {@code -Dmussel.sequences=2000} is the whole of it; the suite tries some.
 */
class RandomKeysTest extends DemoJourney {
    private static final int SEQUENCES = Integer.getInteger("mussel.sequences", 12);
    private static final int KEYS = 12;
    private static final long SEED = Long.getLong("mussel.seed", 20261201);

    private final List<Throwable> failures = new CopyOnWriteArrayList<>();

    private static final List<KeyCode> PLAIN = List.of(
            KeyCode.TAB,
            KeyCode.TAB,
            KeyCode.ENTER,
            KeyCode.SPACE,
            KeyCode.LEFT,
            KeyCode.RIGHT,
            KeyCode.UP,
            KeyCode.DOWN,
            KeyCode.ESCAPE,
            KeyCode.ESCAPE,
            KeyCode.DELETE,
            KeyCode.DIGIT1,
            KeyCode.DIGIT2,
            KeyCode.DIGIT7,
            KeyCode.F1,
            KeyCode.F2,
            KeyCode.F3,
            KeyCode.F4,
            KeyCode.F5,
            KeyCode.F9,
            KeyCode.F10);
    private static final List<KeyCode> WITH_CONTROL = List.of(
            KeyCode.B, KeyCode.L, KeyCode.N, KeyCode.F, KeyCode.Z, KeyCode.Y, KeyCode.M, KeyCode.K, KeyCode.DIGIT1);
    private static final List<KeyCode> LOOKS = List.of(KeyCode.F6, KeyCode.F7, KeyCode.F8);

    @Test
    void nothingFailsNothingIsLostAndTheFocusIsSeen() {
        robot.interact(() -> Thread.currentThread().setUncaughtExceptionHandler((t, e) -> failures.add(e)));
        // The system's own dialog takes the keys that are meant for the window.
        FileDialog.answerWith(List.of());
        List<String> troubles = new ArrayList<>();
        for (int i = 0; i < SEQUENCES && troubles.isEmpty(); i++) {
            sequence(SEED + i, troubles);
        }
        assertThat(troubles).isEmpty();
    }

    private void sequence(long seed, List<String> troubles) {
        Random random = new Random(seed);
        int[] before = counts();
        StringBuilder done = new StringBuilder("seed " + seed + ":");
        begin(random, done);
        for (int i = 0; i < KEYS && failures.isEmpty(); i++) {
            KeyCode[] chord = chord(random);
            for (KeyCode key : chord) {
                done.append(' ').append(key);
            }
            robot.push(chord);
        }
        robot.push(KeyCode.ESCAPE);
        failures.forEach(f -> troubles.add(done + " failed: " + f + " at " + f.getStackTrace()[0]));
        focus().ifPresent(trouble -> troubles.add(done + " " + trouble));
        int[] after = counts();
        for (int job = 0; job < before.length; job++) {
            if (after[job] < before[job]) {
                troubles.add(done + " lost an entry of job " + job);
            }
        }
        figure(troubles, done.toString());
    }

    /** Somewhere: a station of a leg, a page of the book or the bench, at some size. */
    private void begin(Random random, StringBuilder done) {
        List<Integer> jobs =
                shop.journal().benchLines().open().stream().map(l -> l.job()).toList();
        int job = jobs.get(random.nextInt(jobs.size()));
        Station station = Station.values()[random.nextInt(Station.values().length)];
        BookView.Page page = BookView.Page.values()[random.nextInt(BookView.Page.values().length)];
        boolean small = random.nextInt(6) == 0;
        int where = random.nextInt(4);
        robot.interact(() -> {
            Stage stage = (Stage) window.getScene().getWindow();
            stage.setWidth(small ? 1024 : 1280);
            stage.setHeight(small ? 700 : 800);
            if (where == 0) {
                window.showBook(Optional.empty());
                window.book().orElseThrow().show(page);
            } else if (where == 1) {
                window.showBench();
            } else {
                window.open(job);
                window.go(station);
            }
        });
        done.append(where == 0 ? " " + page : where == 1 ? " bench" : " job " + job + " " + station)
                .append(small ? " small" : "");
        if (random.nextInt(8) == 0) {
            robot.push(LOOKS.get(random.nextInt(LOOKS.size())));
        }
    }

    private static KeyCode[] chord(Random random) {
        int kind = random.nextInt(10);
        if (kind < 6) {
            return new KeyCode[] {PLAIN.get(random.nextInt(PLAIN.size()))};
        }
        if (kind == 6) {
            return new KeyCode[] {KeyCode.SHIFT, KeyCode.TAB};
        }
        if (kind == 7) {
            int station = random.nextInt(Station.values().length);
            KeyCode digit = KeyCode.getKeyCode(String.valueOf(station % 9 + 1));
            return station < 9
                    ? new KeyCode[] {KeyCode.CONTROL, digit}
                    : new KeyCode[] {KeyCode.CONTROL, KeyCode.SHIFT, digit};
        }
        return new KeyCode[] {KeyCode.CONTROL, WITH_CONTROL.get(random.nextInt(WITH_CONTROL.size()))};
    }

    private int[] counts() {
        List<Integer> numbers = shop.journal().numbers();
        int most = numbers.stream().max(Integer::compare).orElse(0);
        return IntStream.rangeClosed(0, most)
                .map(job -> shop.journal().entries(job).size())
                .toArray();
    }

    /** Where the focus is: on something that is seen, in the window. */
    private Optional<String> focus() {
        AtomicReference<Optional<String>> trouble = new AtomicReference<>(Optional.empty());
        robot.interact(() -> {
            Node owner = window.getScene().getFocusOwner();
            trouble.set(owner == null ? Optional.of("left nothing focused") : unseen(owner));
        });
        return trouble.get();
    }

    private static Optional<String> unseen(Node owner) {
        for (Node at = owner; at != null; at = at.getParent()) {
            if (!at.isVisible()) {
                return Optional.of("left the focus on " + owner + ", which is not seen");
            }
        }
        return Optional.empty();
    }

    /** After whatever came, a figure that is typed is an entry. */
    private void figure(List<String> troubles, String done) {
        // Keys pressed at random close legs as well.
        int job = shop.journal().benchLines().open().stream()
                .filter(line -> line.leg().family().equals("tern-60"))
                .findFirst()
                .orElseThrow()
                .job();
        robot.interact(() -> {
            window.open(job);
            window.go(Station.DRAIN);
        });
        int before = shop.journal().entries(job).size();
        // What is worked out beside the window still moves what is below it.
        worked();
        boolean other = now().job().reading(Field.DRAINED).equals(java.util.OptionalDouble.of(441));
        type(Field.DRAINED, other ? "443 ml" : "441 ml");
        List<Entry> after = shop.journal().entries(job);
        if (after.size() <= before) {
            troubles.add(done + " and then a figure that was typed was no entry");
        }
    }
}
