package mussel.desktop.desk;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import mussel.core.book.Filed;
import mussel.core.book.LogBook;
import mussel.core.log.MeterReading;
import mussel.core.log.Visit;
import mussel.core.verdict.Calibration;

/** A book without a file, for tests of screens. */
final class MemoryBook implements LogBook {
    private final MemoryJournal journal;
    private final Map<Integer, Filed> filed = new TreeMap<>();
    private final Map<Integer, Integer> upto = new LinkedHashMap<>();
    private final TreeSet<Integer> owed = new TreeSet<>();

    MemoryBook(MemoryJournal journal) {
        this.journal = journal;
    }

    @Override
    public void file(List<Filed> jobs) {
        jobs.forEach(job -> {
            filed.put(job.visit().job(), job);
            upto.put(job.visit().job(), journal.entries(job.visit().job()).size());
            owed.remove(job.visit().job());
            journal.keep(job.line());
        });
    }

    @Override
    public void owe(List<Integer> jobs) {
        jobs.forEach(job -> {
            upto.put(job, journal.entries(job).size());
            owed.add(job);
        });
    }

    @Override
    public List<Integer> owed() {
        return List.copyOf(owed.descendingSet());
    }

    @Override
    public void settle(List<Filed> jobs) {
        file(jobs.stream().filter(job -> owed.contains(job.visit().job())).toList());
    }

    @Override
    public List<Integer> stale() {
        return journal.all().stream()
                .filter(entries -> upto.getOrDefault(entries.get(0).job(), 0) != entries.size())
                .map(entries -> entries.get(0).job())
                .toList();
    }

    private List<Visit> all() {
        return filed.values().stream().map(Filed::visit).toList();
    }

    @Override
    public Optional<Visit> visit(int job) {
        return Optional.ofNullable(filed.get(job)).map(Filed::visit);
    }

    @Override
    public List<Visit> visits(String leg) {
        List<Visit> visits =
                new ArrayList<>(all().stream().filter(v -> v.leg().equals(leg)).toList());
        Collections.reverse(visits);
        return visits;
    }

    @Override
    public List<Visit> lately(String family, int most) {
        return every().stream()
                .filter(v -> v.family().equals(family) && v.tagged().isPresent())
                .sorted(java.util.Comparator.comparing(Visit::job).reversed())
                .limit(most)
                .toList();
    }

    @Override
    public List<Visit> every() {
        return all().stream()
                .sorted(java.util.Comparator.comparing(Visit::leg).thenComparing(Visit::job))
                .toList();
    }

    @Override
    public List<Found> search(Query query) {
        return filed.values().stream()
                .filter(f -> f.words().toLowerCase().contains(query.text().toLowerCase()))
                .filter(f ->
                        query.state() == State.ANY || f.visit().tagged().isPresent() == (query.state() == State.TAGGED))
                .map(Filed::visit)
                .map(v -> new Found(
                        v.job(),
                        v.leg(),
                        v.title(),
                        v.familyTitle(),
                        v.day(),
                        v.tagged().isPresent(),
                        ""))
                .toList();
    }

    @Override
    public int jobs() {
        return filed.size();
    }

    @Override
    public Choices choices() {
        Map<String, String> families = new LinkedHashMap<>();
        all().forEach(v -> families.put(v.family(), v.familyTitle()));
        return new Choices(
                families, all().stream().map(v -> v.day().getYear()).distinct().toList());
    }

    @Override
    public Optional<String> twin(String leg) {
        return all().stream()
                .filter(v -> v.leg().equals(leg))
                .flatMap(v -> all().stream()
                        .filter(o -> o.boat().equals(v.boat()) && !o.leg().equals(leg)))
                .map(Visit::leg)
                .findFirst();
    }

    @Override
    public List<Renewed> renewals() {
        return all().stream()
                .filter(v -> v.hours().isPresent())
                .flatMap(v -> v.renewals().stream()
                        .map(r -> new Renewed(v.leg(), v.hours().getAsDouble(), v.water(), v.sand(), r)))
                .toList();
    }

    @Override
    public Map<String, MeterReading> lastReadings() {
        Map<String, MeterReading> last = new LinkedHashMap<>();
        readings().forEach((leg, readings) -> last.put(leg, readings.get(readings.size() - 1)));
        return last;
    }

    private Map<String, List<MeterReading>> readings() {
        Map<String, List<MeterReading>> readings = new LinkedHashMap<>();
        all().stream().filter(v -> v.hours().isPresent()).forEach(v -> readings.computeIfAbsent(
                        v.leg(), l -> new ArrayList<>())
                .add(new MeterReading(v.day(), v.hours().getAsDouble())));
        return readings;
    }

    @Override
    public List<Awaiting> due(int most) {
        return journal.benchLines().lastTagged().stream()
                .flatMap(l -> l.due().stream()
                        .map(d -> new Awaiting(
                                l.job(),
                                l.leg(),
                                d,
                                readings().getOrDefault(l.leg().id(), List.of()))))
                .sorted(Comparator.comparing(Awaiting::likely))
                .limit(most)
                .toList();
    }

    @Override
    public List<Awaiting> next(int most) {
        return due(most);
    }

    @Override
    public List<Calibration.Judged> judged() {
        return all().stream()
                .flatMap(v -> v.expected().stream())
                .map(e -> new Calibration.Judged(e.cause(), e.probability(), e.prior(), e.found()))
                .toList();
    }

    @Override
    public <T> T aside(Function<LogBook, T> ask) {
        return ask.apply(this);
    }
}
