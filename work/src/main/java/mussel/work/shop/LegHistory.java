package mussel.work.shop;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.LegBefore;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.VisitWith;

/** What the journal says of a leg beside the job in hand: its own earlier jobs, and what was found on its sister. Looked up once a sitting. */
final class LegHistory {
    /** Earlier jobs of a leg that are looked at for what its dates say. */
    private static final int FEW = 4;

    /** Earlier jobs that stay read: those of a full bench. */
    private static final int MOST_READ = 48;

    private final Journal journal;
    private final ZoneId zone;
    private final Map<String, List<String>> twins = new HashMap<>();
    private final Map<String, List<Integer>> sisters = new HashMap<>();
    private final Map<Integer, LegBefore> before = new HashMap<>();
    private final Map<Integer, Job> read = new LinkedHashMap<>(64, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Integer, Job> eldest) {
            return size() > MOST_READ;
        }
    };

    LegHistory(Journal journal, ZoneId zone) {
        this.journal = journal;
        this.zone = zone;
    }

    void forget() {
        twins.clear();
        sisters.clear();
        before.clear();
    }

    /** What the last few jobs of the leg say of it. */
    LegBefore before(Job job) {
        return before.computeIfAbsent(
                job.id(), id -> LegBefore.of(earlier(job).limit(FEW).toList(), zone));
    }

    /** Earlier jobs of the leg, the latest first, read as they are asked for. */
    Stream<Job> earlier(Job job) {
        List<Integer> jobs =
                new ArrayList<>(journal.benchLines().jobsOf(job.leg().id()).stream()
                        .filter(j -> j < job.id())
                        .toList());
        Collections.reverse(jobs);
        return jobs.stream().map(this::job);
    }

    /** A job as the journal has it now; read only where it has moved on since it was read last. */
    private Job job(int id) {
        Job there = read.get(id);
        if (there == null || !journal.mark(id).equals(Optional.of(there.mark()))) {
            there = Job.of(journal.entries(id));
            read.put(id, there);
        }
        return there;
    }

    /** Causes confirmed on the leg that hangs beside that of the job, in its last job. */
    List<String> twinFound(Job job) {
        if (job.leg().position() == LegRef.Position.SINGLE || job.leg().position() == LegRef.Position.SPARE) {
            return List.of();
        }
        return twins.computeIfAbsent(job.leg().id(), leg -> sisterFound(job));
    }

    /** The job worked on in one visit with a job, else that of the leg that hangs beside it, where both are in the yard at the same time. */
    Optional<Job> sister(Job job) {
        Optional<Job> visiting = VisitWith.leg(job).stream()
                .flatMap(leg -> latest(journal.benchLines().jobsOf(leg)).stream())
                .map(this::job)
                .filter(other -> VisitWith.mutual(job, other) && together(job, other))
                .findFirst();
        if (visiting.isPresent()) {
            return visiting;
        }
        if (!job.leg().position().isTwin()) {
            return Optional.empty();
        }
        return sisters.computeIfAbsent(job.leg().id(), leg -> sisters(job)).stream()
                .map(this::job)
                .filter(s -> together(job, s))
                .findFirst();
    }

    private List<Integer> sisters(Job job) {
        return Stream.of(LegRef.Position.PORT, LegRef.Position.STARBOARD)
                .filter(p -> p != job.leg().position())
                .flatMap(p -> journal.benchLines().leg(job.leg().boat(), p).stream())
                .flatMap(leg -> latest(journal.benchLines().jobsOf(leg.id())).stream())
                .toList();
    }

    private static List<Integer> latest(List<Integer> jobs) {
        List<Integer> latest = new ArrayList<>(jobs.subList(Math.max(0, jobs.size() - FEW), jobs.size()));
        Collections.reverse(latest);
        return latest;
    }

    private static boolean together(Job one, Job other) {
        return !one.taggedAt().map(t -> t.isBefore(other.opened())).orElse(false)
                && !other.taggedAt().map(t -> t.isBefore(one.opened())).orElse(false);
    }

    private List<String> sisterFound(Job job) {
        return Stream.of(LegRef.Position.PORT, LegRef.Position.STARBOARD)
                .filter(p -> p != job.leg().position())
                .flatMap(p -> journal.benchLines().leg(job.leg().boat(), p).stream())
                .flatMap(leg -> journal.benchLines().jobsOf(leg.id()).stream().reduce((a, b) -> b).stream())
                .flatMap(sister -> confirmed(sister).stream())
                .toList();
    }

    private List<String> confirmed(int job) {
        return job(job).choices().entrySet().stream()
                .filter(c -> c.getKey().name().equals(Scale.CONFIRMED.address().name())
                        && c.getValue().equals("yes"))
                .map(c -> c.getKey().of())
                .toList();
    }
}
