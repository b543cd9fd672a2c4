package mussel.desktop.desk;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import mussel.core.job.BenchLine;
import mussel.core.job.BenchLines;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.sheet.Region;

/** A journal in memory that can be told to refuse. */
public final class MemoryJournal implements Journal, BenchLines {
    private final List<Entry> entries = new ArrayList<>();
    private final Map<String, String> settings = new HashMap<>();
    private final Map<Integer, BenchLine> lines = new LinkedHashMap<>();
    private final Map<String, List<Region>> outlines = new HashMap<>();
    private final Map<String, String> sheets = new TreeMap<>();
    private boolean refusing;

    /** From now on nothing can be written, as on a full disk. */
    public void refuse(boolean on) {
        refusing = on;
    }

    private Entry add(int job, String by, Fact fact) {
        if (refusing) {
            throw new JournalException("That could not be written to the logbook: the disk is full.");
        }
        Entry entry = new Entry(entries.size() + 1L, job, Instant.EPOCH, by, fact);
        entries.add(entry);
        return entry;
    }

    @Override
    public Entry open(LegRef leg, String by) {
        return add(entries.stream().mapToInt(Entry::job).max().orElse(0) + 1, by, new Fact.Opened(leg));
    }

    @Override
    public Entry append(int job, String by, Fact fact) {
        return add(job, by, fact);
    }

    @Override
    public List<Entry> append(int job, String by, List<Fact> facts) {
        return facts.stream().map(f -> add(job, by, f)).toList();
    }

    @Override
    public List<Entry> entries(int job) {
        return entries.stream().filter(e -> e.job() == job).toList();
    }

    @Override
    public Optional<Job.Mark> mark(int job) {
        List<Entry> of = entries(job);
        return of.isEmpty()
                ? Optional.empty()
                : Optional.of(new Job.Mark(job, of.size(), of.get(of.size() - 1).seq()));
    }

    @Override
    public List<List<Entry>> all() {
        Map<Integer, List<Entry>> jobs = new LinkedHashMap<>();
        entries.stream().filter(e -> e.job() != YARD).forEach(e -> jobs.computeIfAbsent(e.job(), j -> new ArrayList<>())
                .add(e));
        return List.copyOf(jobs.values());
    }

    @Override
    public Changes since(long mark) {
        return new Changes(
                entries.size(),
                entries.stream().filter(e -> e.seq() > mark).map(Entry::job).collect(Collectors.toSet()));
    }

    @Override
    public List<Integer> numbers() {
        return entries.stream()
                .map(Entry::job)
                .filter(job -> job != YARD)
                .distinct()
                .toList();
    }

    @Override
    public List<Integer> jobsBegun(String leg, Instant at) {
        return numbers();
    }

    @Override
    public void bring(Map<String, String> brought, Consumer<Consumer<Brought>> jobs) {
        throw new UnsupportedOperationException("Imports are tested on a file");
    }

    @Override
    public Map<String, String> settings() {
        return Map.copyOf(settings);
    }

    @Override
    public String setting(String key, String fallback) {
        return settings.getOrDefault(key, fallback);
    }

    @Override
    public void keepSetting(String key, String value) {
        settings.put(key, value);
    }

    @Override
    public Entry decide(String by, Fact fact, String key, String value) {
        Entry made = add(YARD, by, fact);
        settings.put(key, value);
        return made;
    }

    @Override
    public void keepSheet(String name, String text) {
        if (refusing) {
            throw new JournalException("That could not be written to the logbook: the disk is full.");
        }
        sheets.putIfAbsent(name, text);
    }

    @Override
    public Optional<String> sheet(String name) {
        return Optional.ofNullable(sheets.get(name));
    }

    @Override
    public List<String> sheetNames() {
        return List.copyOf(sheets.keySet());
    }

    @Override
    public BenchLines benchLines() {
        return this;
    }

    @Override
    public boolean readOnly() {
        return false;
    }

    @Override
    public void close() {
        entries.clear();
    }

    @Override
    public List<BenchLine> open() {
        return lines.values().stream().filter(BenchLine::open).toList();
    }

    @Override
    public List<BenchLine> lastTagged() {
        Map<String, BenchLine> last = new LinkedHashMap<>();
        lines.values().stream()
                .filter(l -> !l.open())
                .forEach(l -> last.put(l.leg().id(), l));
        return List.copyOf(last.values());
    }

    @Override
    public List<BenchLine> find(String text) {
        return lines.values().stream()
                .filter(l -> l.words().contains(text.toLowerCase(java.util.Locale.ROOT)))
                .toList();
    }

    @Override
    public List<Integer> jobsOf(String leg) {
        return lines.values().stream()
                .filter(l -> l.leg().id().equals(leg))
                .map(BenchLine::job)
                .toList();
    }

    @Override
    public Optional<LegRef> leg(String boat, LegRef.Position position) {
        return lines.values().stream()
                .map(BenchLine::leg)
                .filter(l -> l.boat().equalsIgnoreCase(boat) && l.position() == position)
                .reduce((a, b) -> b);
    }

    void keep(BenchLine line) {
        lines.put(line.job(), line);
    }

    @Override
    public Map<String, Integer> shelfChange(String family, int exceptJob) {
        Map<String, Integer> change = new HashMap<>();
        lines.values().stream()
                .filter(l -> l.leg().family().equals(family) && l.job() != exceptJob)
                .forEach(l -> l.shelf().forEach((part, qty) -> change.merge(part, qty, Integer::sum)));
        return change;
    }

    @Override
    public List<Region> outline(String family) {
        return outlines.getOrDefault(family, List.of());
    }

    @Override
    public void keepOutline(String family, List<Region> regions) {
        outlines.put(family, regions);
    }
}
