package mussel.exchange.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.Scale;
import mussel.core.practice.Bench;
import mussel.core.practice.Curve;
import mussel.core.practice.Exercise;
import mussel.core.practice.LegName;
import mussel.core.practice.Lesson;
import mussel.core.practice.PracticeLeg;
import mussel.core.practice.PracticeReview;
import mussel.core.practice.Reckoning;
import mussel.core.verdict.Judge;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.Tables;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;

/** The lessons, exercises told by their entries, and how somebody gets on. */
class LessonsTest {
    private static final Knowledge KNOWLEDGE = KnowledgeFiles.shipped();
    private static final Judge JUDGE = new Judge(KNOWLEDGE);
    private static final double RATE = 72;
    private static final List<Lesson> LESSONS = LessonFiles.shipped();

    private final List<Entry> entries = new ArrayList<>();

    private void note(Fact fact) {
        entries.add(new Entry(entries.size() + 1L, 1, Instant.ofEpochSecond(entries.size()), "Una", fact));
    }

    private Exercise exercise() {
        return Exercise.of(Job.of(entries), JUDGE::tables, LESSONS, RATE).orElseThrow();
    }

    private void begin(Lesson lesson) {
        PracticeLeg leg =
                lesson.next(1, 0, JUDGE.tables(lesson.context()), RATE).orElseThrow();
        note(new Fact.Opened(new LegName(1, leg.number(), Optional.of(lesson.id()), Optional.empty()).leg()));
    }

    private static Lesson lesson(String id) {
        return LESSONS.stream().filter(l -> l.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void thereAreTwelveOrMoreAndEachHasLegsThatItsHabitDoesNotSolve() {
        assertThat(LESSONS).hasSizeGreaterThanOrEqualTo(12);
        assertThat(LESSONS).anyMatch(Lesson::handOver);
        Set<String> ids = new HashSet<>();
        for (Lesson lesson : LESSONS) {
            assertThat(ids.add(lesson.id())).as(lesson.id()).isTrue();
            assertThat(lesson.known(KNOWLEDGE)).as(lesson.id()).isTrue();
            assertThat(lesson.why().length()).as(lesson.id()).isGreaterThan(80);
            Tables tables = JUDGE.tables(lesson.context());
            int after = 0;
            for (int i = 0; i < 3; i++) {
                PracticeLeg leg = lesson.next(7, after, tables, RATE).orElseThrow();
                after = leg.number();
                Bench habit = new Bench(leg, tables, Bench.Prices.tables(RATE), lesson.came());
                lesson.looks().forEach(habit::look);
                Reckoning came = habit.handBack();
                assertThat(came.missed().size() + came.needless().size())
                        .as(lesson.id() + ", leg " + after)
                        .isPositive();
                assertThat(lesson.oneOf().isEmpty() || lesson.oneOf().stream().anyMatch(leg.causes()::contains))
                        .isTrue();
            }
        }
    }

    @Test
    void anExerciseIsToldByItsEntriesAndReckonedAgainstTheAdviceAndOneWhoKnew() {
        begin(lesson("colour"));
        assertThat(exercise().told()).as("not handed back").isEmpty();
        note(new Fact.Chosen(Scale.COACHED.address(), "no"));
        exercise().look("oil_water").forEach(this::note);
        exercise().look("washers").forEach(this::note);
        assertThat(exercise().look("washers")).as("made already").isEmpty();
        assertThat(exercise().bench().minutes()).as("drained once, two looks").isEqualTo(20);
        note(Fact.Read.byHand(Field.SUSPECTED.of("oil_change"), 90, "90"));
        note(new Fact.Chosen(Scale.GOAL.of("oil_change"), "yes"));
        note(new Fact.Tagged(LocalDate.of(2026, 11, 29)));
        Exercise done = exercise();
        PracticeReview told = done.told().orElseThrow();
        assertThat(told.looks()).extracting(PracticeReview.Made::finding).containsExactly("oil_water", "washers");
        assertThat(told.looks().get(0).minutes()).as("its set-up with it").isEqualTo(3);
        assertThat(told.own().done())
                .as("the washers of plugs that were out with it")
                .containsExactlyInAnyOrder("oil_change", "plug_washers");
        assertThat(told.own().cost())
                .isEqualTo(told.own().looking() + told.own().work() + told.own().comebacks());
        assertThat(told.lost()).isEqualTo(told.own().cost() - told.advice().cost());
        assertThat(told.knowing().cost()).isLessThanOrEqualTo(told.advice().cost());
        assertThat(told.score()).hasValueSatisfying(s -> assertThat(s).isBetween(0.0, 6.7));
        assertThat(done.causes()).isNotEmpty();
        assertThat(told.right()).isTrue();
        assertThat(exercise().told()).as("told twice, told alike").isEqualTo(Optional.of(told));
    }

    @Test
    void sureAndRightScoresBetterThanSureAndWrong() {
        begin(lesson("thermostat"));
        List<Entry> before = List.copyOf(entries);
        List<Double> scores = new ArrayList<>();
        for (int sure : List.of(99, 50, 1)) {
            entries.clear();
            entries.addAll(before);
            note(Fact.Read.byHand(Field.SUSPECTED.of("thermostat"), sure, ""));
            note(new Fact.Tagged(LocalDate.of(2026, 11, 29)));
            scores.add(exercise().told().orElseThrow().score().orElseThrow());
        }
        assertThat(scores).isSorted();
    }

    @Test
    void whatIsADealersWorkIsHandedOver() {
        begin(lesson("hand_over"));
        List<Entry> before = List.copyOf(entries);
        String called = exercise().bench().leg().called().get(0);
        note(new Fact.Chosen(Scale.GOAL.of(called), "yes"));
        note(new Fact.Tagged(LocalDate.of(2026, 11, 29)));
        PracticeReview mended = exercise().told().orElseThrow();
        assertThat(mended.right()).isFalse();
        assertThat(exercise().wrong()).as("not the yard's to do").contains(called);
        entries.clear();
        entries.addAll(before);
        note(new Fact.Chosen(Scale.HANDED_OVER.address(), "yes"));
        note(new Fact.Tagged(LocalDate.of(2026, 11, 29)));
        PracticeReview over = exercise().told().orElseThrow();
        assertThat(over.right()).isTrue();
        assertThat(exercise().wrong()).isEmpty();
        assertThat(over.own().cost()).isLessThan(mended.own().cost());
        assertThat(over.own().comebacks()).isZero();
    }

    @Test
    void whatIsTheYardsWorkAndWasHandedOverCountsAsGivenAway() {
        begin(lesson("colour"));
        List<String> called = exercise().bench().leg().called();
        assertThat(called).isNotEmpty();
        note(new Fact.Chosen(Scale.HANDED_OVER.address(), "yes"));
        assertThat(exercise().wrong()).as("not handed back yet").isEmpty();
        note(new Fact.Tagged(LocalDate.of(2026, 11, 29)));
        assertThat(exercise().wrong()).containsExactlyInAnyOrderElementsOf(called);
        assertThat(exercise().told().orElseThrow().right()).isFalse();
    }

    @Test
    void aCurveFollowsTheLastFewWithABandThatHoldsItsMean() {
        List<Curve.Point> points =
                Curve.of(List.of(300.0, 200.0, 100.0, 100.0, 0.0)).points();
        assertThat(points).hasSize(5);
        assertThat(points.get(0).low()).isEqualTo(300);
        assertThat(points.get(4).mean()).isEqualTo(140);
        assertThat(points).allSatisfy(p -> {
            assertThat(p.low()).isLessThanOrEqualTo(p.mean());
            assertThat(p.high()).isGreaterThanOrEqualTo(p.mean());
        });
        assertThat(Curve.of(List.of()).points()).isEmpty();
    }
}
