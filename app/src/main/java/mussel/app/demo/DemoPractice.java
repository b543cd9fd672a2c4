package mussel.app.demo;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import mussel.core.book.LogKind;
import mussel.core.book.OpenLog;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.Scale;
import mussel.core.job.Surroundings;
import mussel.core.job.Yard;
import mussel.core.practice.Exercise;
import mussel.core.practice.LegName;
import mussel.core.practice.Lesson;
import mussel.core.practice.PracticeLeg;
import mussel.core.practice.Workplace;
import mussel.core.sheet.SpecSheet;
import mussel.core.simulated.SimulatedInstruments;
import mussel.core.verdict.Judge;
import mussel.exchange.practice.LessonFiles;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import mussel.store.FileStore;

/** The demo yard's apprentice: a dozen legs handed back, by habit at first, with more looks later. */
public final class DemoPractice {
    private static final String WHO = "bench";
    private static final int LEGS = 12;
    private static final int BY_HABIT = 5;
    private static final long SEED = 1;

    private final Journal journal;
    private final List<Lesson> lessons = LessonFiles.shipped();
    private final Judge judge = new Judge(KnowledgeFiles.shipped());
    private final Yard yard = SheetFiles.shippedYard();
    private final List<SpecSheet> sheets = SheetFiles.shipped();
    private final LocalDate today;

    private DemoPractice(Journal journal, LocalDate today) {
        this.journal = journal;
        this.today = today;
    }

    /** Fills the practice log of a shop's log, as seen at that moment; one that is there stays. */
    public static void beside(Path log, Instant now) {
        DemoYard.Ago clock = new DemoYard.Ago(now);
        FileStore store = new FileStore(log, clock).practice();
        if (Files.exists(store.file())) {
            return;
        }
        try (OpenLog journal = store.open()) {
            journal.mark(LogKind.PRACTICE);
            DemoPractice apprentice = new DemoPractice(journal, LocalDate.ofInstant(now, ZoneOffset.UTC));
            for (int i = 0; i < LEGS; i++) {
                clock.set(3 * (LEGS - i));
                apprentice.leg(i, LocalDate.ofInstant(clock.day(3 * (LEGS - i)), ZoneOffset.UTC));
            }
        }
    }

    private void leg(int nr, LocalDate day) {
        Lesson lesson = lessons.get(nr % lessons.size());
        SpecSheet sheet = sheets.get(nr % sheets.size());
        LegName any = name(0, lesson, sheet);
        PracticeLeg leg = lesson.next(
                        SEED,
                        100 * nr,
                        judge.tables(Exercise.context(any, Optional.of(lesson), Optional.of(sheet))),
                        yard.labourPerH())
                .orElseThrow();
        boolean coached = nr >= BY_HABIT;
        int job = journal.open(name(leg.number(), lesson, sheet).leg(), WHO).job();
        journal.append(job, WHO, Exercise.opening(leg.context(), lesson.came(), coached));
        lesson.looks().forEach(l -> look(job, l, sheet));
        for (int more = 0; coached && more < nr; more++) {
            Exercise exercise = exercise(job, sheet);
            exercise.bench().advised().ifPresent(r -> r.looks().forEach(l -> look(job, l, sheet)));
        }
        Exercise done = exercise(job, sheet);
        journal.append(
                job,
                WHO,
                done.bench().best().goals().stream()
                        .<Fact>map(goal -> new Fact.Chosen(Scale.GOAL.of(goal), "yes"))
                        .toList());
        journal.append(job, WHO, exercise(job, sheet).handBack(day));
    }

    private static LegName name(int number, Lesson lesson, SpecSheet sheet) {
        return new LegName(SEED, number, Optional.of(lesson.id()), Optional.of(sheet.id()));
    }

    private Exercise exercise(int job, SpecSheet sheet) {
        Workplace at =
                new Workplace(sheet, new Surroundings(yard, judge, List.of(), today), new SimulatedInstruments());
        return Exercise.of(Job.of(journal.entries(job)), judge::tables, lessons, yard.labourPerH(), Optional.of(at))
                .orElseThrow();
    }

    private void look(int job, String finding, SpecSheet sheet) {
        List<Fact> shows = exercise(job, sheet).look(finding);
        if (!shows.isEmpty()) {
            journal.append(job, WHO, shows);
        }
    }
}
