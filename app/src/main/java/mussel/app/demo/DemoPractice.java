package mussel.app.demo;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.Scale;
import mussel.core.practice.Exercise;
import mussel.core.practice.LegName;
import mussel.core.practice.Lesson;
import mussel.core.practice.PracticeLeg;
import mussel.core.verdict.Judge;
import mussel.core.verdict.VerdictResult;
import mussel.exchange.practice.LessonFiles;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import mussel.store.LogKind;
import mussel.store.SqliteJournal;

/** The demo yard's apprentice: a dozen legs handed back, by habit at first, with more looks later. */
public final class DemoPractice {
    private static final String WHO = "bench";
    private static final int LEGS = 12;
    private static final int BY_HABIT = 5;
    private static final long SEED = 1;

    private final SqliteJournal journal;
    private final List<Lesson> lessons = LessonFiles.shipped();
    private final Judge judge = new Judge(KnowledgeFiles.shipped());
    private final double rate = SheetFiles.shippedYard().labourPerH();

    private DemoPractice(SqliteJournal journal) {
        this.journal = journal;
    }

    /** Fills a practice log, as seen at that moment; one that is there stays. */
    public static void fill(Path file, Instant now) {
        if (Files.exists(file)) {
            return;
        }
        DemoYard.Ago clock = new DemoYard.Ago(now);
        try (SqliteJournal journal = SqliteJournal.open(file, clock)) {
            journal.mark(LogKind.PRACTICE);
            DemoPractice apprentice = new DemoPractice(journal);
            for (int i = 0; i < LEGS; i++) {
                clock.set(3 * (LEGS - i));
                apprentice.leg(i, LocalDate.ofInstant(clock.day(3 * (LEGS - i)), ZoneOffset.UTC));
            }
        }
    }

    private void leg(int nr, LocalDate day) {
        Lesson lesson = lessons.get(nr % lessons.size());
        PracticeLeg leg = lesson.next(SEED, 100 * nr, judge.tables(lesson.context()), rate)
                .orElseThrow();
        int job = journal.open(new LegName(SEED, leg.number(), Optional.of(lesson.id()), Optional.empty()).leg(), WHO)
                .job();
        journal.append(job, WHO, new Fact.Chosen(Scale.COACHED.address(), nr < BY_HABIT ? "no" : "yes"));
        lesson.looks().forEach(l -> look(job, l));
        for (int more = 0; nr >= BY_HABIT && more < nr; more++) {
            Exercise exercise = exercise(job);
            exercise.bench().ranked().advised(exercise.knowledge()).ifPresent(t -> t.findings()
                    .forEach(l -> look(job, l)));
        }
        List<Fact> facts = new ArrayList<>();
        exercise(job).bench().believed().decisions().stream()
                .filter(VerdictResult.Decision::act)
                .forEach(d -> facts.add(new Fact.Chosen(Scale.GOAL.of(d.goal()), "yes")));
        facts.add(new Fact.Tagged(day));
        journal.append(job, WHO, facts);
    }

    private Exercise exercise(int job) {
        return Exercise.of(Job.of(journal.entries(job)), judge::tables, lessons, rate)
                .orElseThrow();
    }

    private void look(int job, String finding) {
        List<Fact> shows = exercise(job).look(finding);
        if (!shows.isEmpty()) {
            journal.append(job, WHO, shows);
        }
    }
}
