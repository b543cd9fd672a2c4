package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import javafx.scene.input.KeyCode;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Journal.Brought;
import mussel.core.job.LegRef;
import mussel.core.job.Station;
import mussel.core.measure.UnitSet;
import mussel.store.Integrity;
import mussel.store.SqliteJournal;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** The window is used while a file comes in that takes long: nothing waits for it, and nothing is lost. */
class WhileAFileComesInTest extends DemoJourney {
    private final CountDownLatch begun = new CountDownLatch(1);
    private final CountDownLatch goOn = new CountDownLatch(1);
    private Thread taking;

    /** Holds the log as a file does that is being taken in, until it may go on. */
    private void takeIn() throws InterruptedException {
        SqliteJournal journal = (SqliteJournal) shop.journal();
        int number = journal.numbers().stream().max(Integer::compare).orElseThrow() + 1;
        LegRef leg = new LegRef("other", "Another yard’s boat", LegRef.Position.SINGLE, "tern-60");
        taking = new Thread(() -> journal.aside(own -> {
            own.bring(Map.of(), into -> {
                into.accept(new Brought(
                        number,
                        List.of(new Entry(
                                1, number, Instant.parse("2026-01-05T08:00:00Z"), "bob", new Fact.Opened(leg))),
                        Map.of()));
                begun.countDown();
                await(goOn);
            });
            return null;
        }));
        taking.start();
        await(begun);
    }

    private static void await(CountDownLatch latch) {
        try {
            assertThat(latch.await(180, TimeUnit.SECONDS)).isTrue();
        } catch (InterruptedException e) {
            throw new AssertionError(e);
        }
    }

    @AfterEach
    void release() throws InterruptedException {
        goOn.countDown();
        if (taking != null) {
            taking.join();
        }
    }

    @Test
    void looksUnitsFiguresAndNewLegsAreKept() throws Exception {
        open("Spat Lass, port");
        go(Station.DRAIN);
        takeIn();
        // All of this happens while the file holds the log: it is let go of only below.
        robot.push(KeyCode.F6);
        robot.push(KeyCode.F7);
        robot.push(KeyCode.F8);
        assertThat(shop.yard().units()).isEqualTo(UnitSet.US);
        robot.push(KeyCode.F8);
        type(Field.DRAINED, "447 ml");
        assertThat(now().job().reading(Field.DRAINED)).hasValue(447);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(now().job().reading(Field.DRAINED)).hasValue(452);
        robot.push(KeyCode.CONTROL, KeyCode.Y);
        robot.push(KeyCode.CONTROL, KeyCode.N);
        robot.write("new boat");
        robot.push(KeyCode.CONTROL, KeyCode.ENTER);
        click("#take-in-position-single");
        click("#take-in-family-tern-60");
        click("#take-in-do");
        int opened = now().job().id();
        assertThat(now().job().leg().boat()).isEqualTo("new boat");

        goOn.countDown();
        taking.join();
        assertThat(shop.journal().bringInWaiting()).isTrue();
        int moved = shop.journal().numberOf(opened);
        int milky = job("Spat Lass, port");
        restart();
        assertThat(shop.journal().setting("glove", "off")).isEqualTo("on");
        assertThat(shop.journal().setting("look", "light")).isEqualTo("dark");
        assertThat(shop.yard().units()).isEqualTo(UnitSet.METRIC);
        assertThat(shop.leg(moved).boat()).isEqualTo("new boat");
        assertThat(shop.assessed(milky).orElseThrow().job().reading(Field.DRAINED))
                .hasValue(447);
        assertThat(Integrity.of(logbook(), DAY).troubles()).isEmpty();
    }
}
