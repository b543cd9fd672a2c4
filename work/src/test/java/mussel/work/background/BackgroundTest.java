package mussel.work.background;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import mussel.core.job.JournalException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class BackgroundTest {
    private final ExecutorService interfaceThread = Executors.newSingleThreadExecutor();
    private final Background background = new Background(interfaceThread);
    private final List<Object> answers = new ArrayList<>();
    private final List<String> troubles = new ArrayList<>();

    @AfterEach
    void close() throws Exception {
        on(() -> {
            background.close();
            return null;
        });
        interfaceThread.shutdown();
    }

    private <T> T on(Callable<T> work) throws Exception {
        return interfaceThread.submit(work).get(60, TimeUnit.SECONDS);
    }

    private static void await(CountDownLatch latch) throws InterruptedException {
        assertThat(latch.await(60, TimeUnit.SECONDS)).isTrue();
    }

    /** Work that goes on until it is told to stop, and tells that it was. */
    private static Background.Work<String> endless(CountDownLatch begun, CountDownLatch stopped) {
        return stop -> {
            CountDownLatch told = new CountDownLatch(1);
            stop.onStop(told::countDown);
            begun.countDown();
            await(told);
            stopped.countDown();
            return "late";
        };
    }

    private void untilIdle() throws Exception {
        for (int i = 0; i < 6_000 && background.busy(); i++) {
            TimeUnit.MILLISECONDS.sleep(10);
        }
        assertThat(background.busy()).isFalse();
        on(() -> null);
    }

    @Test
    void aLaterQuestionStopsTheOneBeforeAndOnlyItsAnswerComes() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch stopped = new CountDownLatch(1);
        BackgroundQuery query = new BackgroundQuery(background, troubles::add);
        on(() -> {
            query.ask(endless(begun, stopped), answers::add);
            return null;
        });
        await(begun);
        on(() -> {
            query.ask(stop -> "second", answers::add);
            return null;
        });
        await(stopped);
        untilIdle();
        assertThat(answers).containsExactly("second");
        assertThat(troubles).isEmpty();
    }

    @Test
    void whatFailsIsToldInASentence() throws Exception {
        BackgroundQuery query = new BackgroundQuery(background, troubles::add);
        on(() -> {
            query.ask(
                    stop -> {
                        throw new JournalException("The disk is full.");
                    },
                    answers::add);
            return null;
        });
        untilIdle();
        on(() -> {
            query.ask(
                    stop -> {
                        throw new IllegalStateException("a nest of wires");
                    },
                    answers::add);
            return null;
        });
        untilIdle();
        assertThat(troubles)
                .containsExactly("The disk is full.", "This could not be calculated. See the log in the data folder.");
        assertThat(answers).isEmpty();
    }

    @Test
    void closingStopsWhatIsAtWorkAndNothingBeginsAfterwards() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch stopped = new CountDownLatch(1);
        on(() -> background.begin(endless(begun, stopped), answers::add, e -> troubles.add("failed")));
        await(begun);
        AtomicBoolean ran = new AtomicBoolean();
        BackgroundTask after = on(() -> {
            background.close();
            return background.begin(
                    stop -> {
                        ran.set(true);
                        return "after";
                    },
                    answers::add,
                    e -> troubles.add("failed"));
        });
        await(stopped);
        untilIdle();
        assertThat(ran).isFalse();
        assertThat(on(after::running)).isFalse();
        assertThat(answers).isEmpty();
        assertThat(troubles).isEmpty();
    }

    @Test
    void moreThanCanWaitIsRefusedInASentence() throws Exception {
        CountDownLatch go = new CountDownLatch(1);
        on(() -> {
            for (int i = 0; i < 200; i++) {
                background.begin(
                        stop -> {
                            stop.onStop(go::countDown);
                            await(go);
                            return "done";
                        },
                        answers::add,
                        e -> troubles.add(e.getMessage()));
            }
            return null;
        });
        assertThat(troubles).isNotEmpty().allMatch(t -> t.startsWith("Too much is being worked out at once."));
        int refused = troubles.size();
        go.countDown();
        untilIdle();
        assertThat(answers).hasSize(200 - refused);
    }
}
