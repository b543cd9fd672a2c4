package mussel.work.shop;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.function.IntFunction;
import mussel.core.book.LayUpRound;
import mussel.core.book.LayUpWork;
import mussel.core.book.LogBook;
import mussel.core.book.YardEffect;
import mussel.core.job.Assessment;
import mussel.core.job.BenchLine;
import mussel.core.job.EarlierJob;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.OtherLeg;
import mussel.core.job.OwnRecord;
import mussel.core.job.Settings;
import mussel.core.job.Stores;
import mussel.core.job.Surroundings;
import mussel.core.job.Yard;
import mussel.core.language.Messages;
import mussel.core.measure.StopToken;
import mussel.core.plan.Planning;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Judge;

/** What a job is judged in, brought together: its leg's history, its sister, shelf and catalogue, and what the yard's own jobs say. */
final class JobSurroundings {
    private static final Messages TEXT = Messages.of(JobSurroundings.class);

    /** The yard's own times are those of its last jobs of a family: how it worked years ago says little. */
    private static final int LATELY = 60;
    /** The most legs named as changed by a decision. */
    private static final int MOST_CHANGED = 24;

    private final Journal journal;
    private final LogBook book;
    private final Clock clock;
    private final SpecSheets families;
    private final Shelf shelf;
    private final Function<Yard, Judge> judge;
    private final LegHistory history;
    /** Plans made before. */
    private final Planning planning = new Planning();

    private final RecentAssessments sisters = new RecentAssessments();
    private final Map<String, OwnRecord> own = new HashMap<>();
    /** Families whose record is up to date. */
    private final Set<String> fresh = new HashSet<>();

    JobSurroundings(
            Journal journal, LogBook book, Clock clock, SpecSheets families, Shelf shelf, Function<Yard, Judge> judge) {
        this.journal = journal;
        this.book = book;
        this.clock = clock;
        this.families = families;
        this.shelf = shelf;
        this.judge = judge;
        history = new LegHistory(journal, clock.getZone());
    }

    /** What other jobs say is looked up anew. */
    void forget() {
        history.forget();
        fresh.clear();
    }

    /** Earlier jobs of the leg of that job in a sentence each, the latest first. */
    List<String> earlier(Job job, Yard yard) {
        return history.earlier(job)
                .map(j -> EarlierJob.words(j, families.workedBy(j), yard))
                .toList();
    }

    /** Where a job of a yard stands. */
    Surroundings of(Job job, Yard yard) {
        return of(job, yard, shelf.stores(job, yard));
    }

    /** The same with another shelf and catalogue. */
    Surroundings of(Job job, Yard yard, Stores stores) {
        Surroundings alone = alone(job, yard, stores);
        return sister(job, yard).map(alone::beside).orElse(alone);
    }

    private Surroundings alone(Job job, Yard yard, Stores stores) {
        return new Surroundings(
                yard,
                judge.apply(yard),
                history.twinFound(job),
                LocalDate.now(clock),
                stores,
                planning,
                clock.getZone(),
                () -> history.before(job),
                Optional.empty(),
                own(job.leg().family()));
    }

    private Optional<OtherLeg> sister(Job job, Yard yard) {
        return history.sister(job)
                .map(other ->
                        new OtherLeg(other, OtherLeg.oneVisit(job, other) ? assessed(other, yard) : Optional.empty()));
    }

    private Optional<Assessment> assessed(Job sister, Yard yard) {
        return families.workedBy(sister)
                .map(sheet -> sisters.of(sister, sheet, alone(sister, yard, shelf.stores(sister, yard))));
    }

    /** What another yard would change on the legs that are open, a line for each leg it changes; of more than the bench holds at once the first ones. */
    List<String> wouldChange(Yard other, IntFunction<Optional<Assessment>> job, StopToken stop) {
        List<String> lines = new ArrayList<>();
        for (BenchLine line : journal.benchLines().open()) {
            stop.check();
            if (lines.size() == MOST_CHANGED) {
                lines.add(TEXT.get("job_surroundings.and_perhaps_others"));
                break;
            }
            job.apply(line.job()).ifPresent(before -> {
                List<String> effect = YardEffect.of(
                        before,
                        Assessment.of(
                                before.job(),
                                before.sheet(),
                                of(before.job(), other, shelf.would(before.job(), other))));
                if (!effect.isEmpty()) {
                    lines.add(line.leg().title() + ": " + String.join("; ", effect) + ".");
                }
            });
        }
        return lines;
    }

    /** What the boat of a job needs before frost. */
    LayUpRound.Boat layUp(Job job, Yard yard) {
        OptionalDouble gear = families.workedBy(job)
                .map(SpecSheet::oil)
                .filter(oil -> oil.capacityMl().isPresent())
                .map(oil -> OptionalDouble.of(oil.capacityMl().getAsDouble() + oil.purgeMl() + oil.spillMl()))
                .orElse(OptionalDouble.empty());
        return new LayUpRound.Boat(job.leg().title(), LayUpWork.needs(job, history.before(job), yard), gear);
    }

    /** What the yard's own jobs of a family say. */
    OwnRecord own(String family) {
        OwnRecord known = own.get(family);
        if (known == null || !fresh.contains(family)) {
            OwnRecord now = OwnRecord.of(book.lately(family, LATELY), counting());
            // What says the same stays the same: plans made by it are kept.
            known = now.equals(known) ? known : now;
            own.put(family, known);
            fresh.add(family);
        }
        return known;
    }

    /** Whether what came back counts in what leaving a thing costs. */
    boolean counting() {
        return journal.setting(Settings.COMEBACKS, "off").equals("on");
    }
}
