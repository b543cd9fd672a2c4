package mussel.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class UndoLineTest {
    private static final LegRef LEG = new LegRef("l", "Byssus", LegRef.Position.SINGLE, "tern-60");

    private final List<Entry> journal = new ArrayList<>(List.of(entry(1, new Fact.Opened(LEG))));

    private static Entry entry(long seq, Fact fact) {
        return new Entry(seq, 1, Instant.EPOCH, "a", fact);
    }

    private void append(Fact fact) {
        journal.add(entry(journal.size() + 1L, fact));
    }

    private Job job() {
        return Job.of(journal);
    }

    private void undo() {
        job().undoLine().undoable().ifPresent(e -> append(new Fact.Retracted(e.seq())));
    }

    private void redo() {
        job().undoLine().redoable().ifPresent(e -> append(new Fact.Retracted(e.seq())));
    }

    /** Any mixture of entering, undoing and redoing leaves what two plain stacks would leave. */
    @Property
    void undoAndRedoBehaveLikeTwoStacks(@ForAll @Size(max = 60) List<@IntRange(min = 0, max = 5) Integer> moves) {
        journal.subList(1, journal.size()).clear();
        Deque<Double> done = new ArrayDeque<>();
        Deque<Double> undone = new ArrayDeque<>();
        double next = 0;
        for (int move : moves) {
            if (move == 0) {
                undo();
                if (!done.isEmpty()) {
                    undone.push(done.pop());
                }
            } else if (move == 1) {
                redo();
                if (!undone.isEmpty()) {
                    done.push(undone.pop());
                }
            } else {
                append(Fact.Read.byHand(Field.DRAINED.address(), ++next, ""));
                done.push(next);
                undone.clear();
            }
            OptionalDouble expected = done.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(done.peek());
            assertThat(job().reading(Field.DRAINED)).isEqualTo(expected);
            assertThat(job().undoLine().undoable().isPresent()).isEqualTo(!done.isEmpty());
            assertThat(job().undoLine().redoable().isPresent()).isEqualTo(!undone.isEmpty());
        }
    }

    @Test
    void clearingMeansNotMeasured() {
        append(Fact.Read.byHand(Field.DRAINED.address(), 452, "452 ml"));
        append(new Fact.Cleared(Field.DRAINED.address()));
        assertThat(job().reading(Field.DRAINED)).isEmpty();
        undo();
        assertThat(job().reading(Field.DRAINED)).hasValue(452);
    }

    @Test
    void aTagCanBeTakenBack() {
        append(new Fact.Tagged(java.time.LocalDate.of(2026, 11, 23)));
        assertThat(job().tagged()).isPresent();
        undo();
        assertThat(job().tagged()).isEmpty();
        redo();
        assertThat(job().tagged()).isPresent();
    }

    @Test
    void theOpeningIsNotUndone() {
        assertThat(job().undoLine().undoable()).isEmpty();
    }

    @Test
    void aStepTickedAndUntickedIsOpenAgain() {
        append(new Fact.Ticked("leg_drop", true));
        assertThat(job().ticked("leg_drop")).isPresent();
        append(new Fact.Ticked("leg_drop", false));
        assertThat(job().ticked("leg_drop")).isEmpty();
    }

    @Test
    void aJournalThatDoesNotBeginWithItsOpeningIsRefused() {
        List<Entry> headless = List.of(entry(5, new Fact.Ticked("x", true)));
        assertThatThrownBy(() -> Job.of(headless)).hasMessageContaining("its first entry, which names the leg");
    }

    @Test
    void aReadingIsAFiniteFigure() {
        assertThatThrownBy(() -> Fact.Read.byHand(Field.DRAINED.address(), Double.NaN, ""))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
