package mussel.exchange.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.StepMinutes;
import mussel.core.job.Stores;
import mussel.core.job.Surroundings;
import mussel.core.job.Topic;
import mussel.core.parts.Catalogue;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.plan.Planning;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Judge;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;

class StepMinutesTest {
    private static final SpecSheet TERN = SheetFiles.shipped().get(0);
    private static final Judge JUDGE = new Judge(KnowledgeFiles.shipped());
    private final List<Entry> journal = new ArrayList<>();

    StepMinutesTest() {
        note(0, new Fact.Opened(new LegRef("l", "Byssus", LegRef.Position.SINGLE, TERN.id())));
        note(0, new Fact.Chosen(Scale.GOAL.of("impeller"), "yes"));
    }

    private void note(double minute, Fact fact) {
        journal.add(new Entry(journal.size() + 1L, 1, Instant.EPOCH.plusMillis((long) (minute * 60_000)), "a", fact));
    }

    private Assessment now() {
        return Assessment.of(
                Job.of(journal),
                TERN,
                new Surroundings(
                        SheetFiles.shippedYard(),
                        JUDGE,
                        List.of(),
                        LocalDate.of(2026, 11, 23),
                        new Stores(Catalogue.EMPTY, Map.of()),
                        new Planning()));
    }

    private void tick(int step, double minute) {
        List<PlannedStep> steps = now().plan().steps();
        note(minute, new Fact.Ticked(steps.get(step).step().id(), true));
    }

    @Test
    void theTimeFromTickToTickIsAStepsAndAPauseIsTakenOut() {
        tick(0, 10);
        tick(1, 18);
        tick(2, 30);
        tick(3, 30 + 16 * 60);
        StepMinutes took = StepMinutes.of(now());
        assertThat(took.steps())
                .as("the first begins at no tick, the last after a night")
                .hasSize(2);
        assertThat(took.minutes()).isCloseTo(20, within(1e-9));
        assertThat(took.pauses()).isCloseTo(16 * 60, within(1e-9));
        assertThat(took.says()).contains("2 of " + now().plan().steps().size() + " steps", "20 min");
    }

    /** A gap of two hours is a pause, unless somebody wrote down what was tried at what was stuck: then it is what that step took. */
    @Test
    void timeAtAStuckStepIsNoPauseAndIsKeptApart() {
        int stuck = seizing();
        tick(stuck - 1, 10);
        tick(stuck, 10 + 70);
        assertThat(StepMinutes.of(now()).steps()).isEmpty();
        assertThat(StepMinutes.of(now()).pauses()).isCloseTo(70, within(1e-9));
        String step = now().plan().steps().get(stuck).step().id();
        note(60, new Fact.Noted(Topic.STUCK.of(step), "penetrant overnight, then heat"));
        StepMinutes took = StepMinutes.of(now());
        assertThat(took.pauses()).isZero();
        assertThat(took.steps()).singleElement().satisfies(s -> {
            assertThat(s.step()).isEqualTo(step);
            assertThat(s.stuck()).isTrue();
            assertThat(s.minutes()).isCloseTo(70, within(1e-9));
        });
    }

    /** A step of the plan at which something may seize, quick enough for an hour to be a pause. */
    private int seizing() {
        List<PlannedStep> steps = now().plan().steps();
        for (int i = 1; i < steps.size(); i++) {
            if (steps.get(i).step().seizes().isPresent()
                    && steps.get(i).step().minutes().high() < 30) {
                return i;
            }
        }
        throw new AssertionError("nothing seizes");
    }

    @Test
    void whatIsTickedInOneGoTellsNothing() {
        tick(0, 10);
        tick(1, 10.01);
        tick(2, 10.02);
        assertThat(StepMinutes.of(now()).steps()).isEmpty();
        assertThat(StepMinutes.of(now()).says()).isEmpty();
    }
}
