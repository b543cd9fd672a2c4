package mussel.core.job;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.log.Due;
import mussel.core.sheet.Goal;
import mussel.core.sheet.Interval;

/**
 * What a job makes due. A service counts from this job where the job has done it; gear oil that stayed in counts from its last fill, where that
 * is known, and else this job says nothing of it: what an earlier one said stands.
 */
final class NextDue {
    private static final Messages TEXT = Messages.of(NextDue.class);
    /** A job tagged so shortly before frost has laid the leg up (days). */
    private static final int LAID_UP_DAYS = 60;

    private static final String SPRING = "spring";
    private static final int WINTER = 5;
    private static final int YEAR = 12;

    private final Assessment now;
    private final Job job;
    private final LocalDate done;
    private final boolean hard;

    NextDue(Assessment now, LocalDate today) {
        this.now = now;
        this.job = now.job();
        this.done = job.tagged().orElse(today);
        this.hard = job.choice(Scale.SAND).equals(Optional.of("yes"));
    }

    List<Due> all() {
        List<Due> due = new ArrayList<>();
        OptionalDouble hours = job.reading(Field.ENGINE_HOURS);
        List<String> goals = now.goals();
        for (Interval interval :
                now.leftAlone() ? List.<Interval>of() : now.sheet().intervals()) {
            switch (interval.counts()) {
                case GEAR_OIL -> oil(interval, hours).ifPresent(due::add);
                case PUMP -> {
                    if (now.sheet().renewsImpeller(goals)) {
                        due.add(Due.after(interval, hours, done, hard));
                    }
                }
                case OIL_RECHECK -> {
                    // The oil that stayed in for work on the pump alone tells nothing new in ten hours.
                    if (!goals.isEmpty() && changed()) {
                        due.add(Due.after(interval, hours, done, hard));
                    }
                }
                case BREAK_IN -> runningIn(interval, hours, goals).ifPresent(due::add);
                case JOB -> due.add(Due.after(interval, hours, done, hard));
            }
        }
        due.addAll(new EngineSide(now).due(done, hours));
        layUp().ifPresent(due::add);
        spring().ifPresent(due::add);
        return List.copyOf(due);
    }

    private Optional<Due> oil(Interval interval, OptionalDouble hours) {
        OptionalDouble ran = now.known(Field.HOURS_SINCE_FILL);
        OptionalDouble months = now.known(Field.MONTHS_SINCE_FILL);
        if (changed()) {
            return Optional.of(Due.after(interval, hours, done, hard));
        }
        if (ran.isEmpty() && months.isEmpty()) {
            return Optional.empty();
        }
        OptionalDouble filledAt = hours.isPresent() && ran.isPresent()
                ? OptionalDouble.of(hours.getAsDouble() - ran.getAsDouble())
                : OptionalDouble.empty();
        return Optional.of(Due.after(interval, filledAt, done.minusMonths(Math.round(months.orElse(0))), hard));
    }

    /** Oil came out or went in, or the work that was chosen fills the case. */
    private boolean changed() {
        return job.reading(Field.PUMPED).isPresent()
                || job.reading(Field.DRAINED).isPresent()
                || now.plan().steps().stream().anyMatch(s -> Assessment.isFilling(s.step()));
    }

    /** New gears or bearings run in, and so does a whole leg whose meter shows less than its first change. */
    private Optional<Due> runningIn(Interval interval, OptionalDouble hours, List<String> goals) {
        if (now.sheet().means(goals, Goal.Meaning.RUNS_IN)) {
            return Optional.of(Due.after(interval, hours, done, hard));
        }
        return hours.isPresent() && hours.getAsDouble() < interval.hours()
                ? Optional.of(Due.after(interval, OptionalDouble.of(0), done, hard))
                : Optional.empty();
    }

    private Optional<Due> layUp() {
        boolean freezes = job.choice(Scale.STORAGE).equals(Optional.of("frost"));
        return freezes
                ? now.yard()
                        .frostAfter(done.plusDays(LAID_UP_DAYS))
                        .map(day -> new Due(Due.LAY_UP, TEXT.get("lay_up"), OptionalDouble.empty(), day))
                : Optional.empty();
    }

    /** What was laid up is put in commission some five months on; what was, a year on. */
    private Optional<Due> spring() {
        boolean up = !LegBefore.layUp(job).isEmpty();
        boolean down = job.steps().stream().anyMatch(s -> s.startsWith(LegBefore.SPRING));
        return up || down
                ? Optional.of(new Due(
                        SPRING, TEXT.get("spring"), OptionalDouble.empty(), done.plusMonths(down ? YEAR : WINTER)))
                : Optional.empty();
    }
}
