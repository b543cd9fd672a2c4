package mussel.core.yard;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Supplier;
import mussel.core.job.Decisions;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.job.PumpHabit;
import mussel.core.job.Settings;
import mussel.core.job.Yard;
import mussel.core.language.Messages;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Problem;
import mussel.core.measure.Problems;
import mussel.core.measure.UnitSet;
import mussel.core.pump.PumpInput;
import mussel.core.sheet.PumpPolicy;

/**
 * The yard as its sheet has it and as it has decided since. Each decision is an entry of the yard's journal; what stood at any moment can be told, so that a leg
 * that was tagged keeps the yard it was worked by. Jobs are filed aside, and ask from other threads: one at a time.
 */
public final class YardDecisions {
    /** What is kept of a thing that the yard has not: nothing kept would mean that its sheet decides. */
    private static final String NONE = "null";

    /** Lines of one table that are told before the rest is only counted. */
    private static final int MOST_LINES = 12;

    private static final Messages TEXT = Messages.of(YardDecisions.class);
    private static final String NAME = "yard_name";
    private static final String PUMP_POLICY = "pump_policy";
    private static final String PUMP_MONTHS = "pump_calendar_months";
    private static final String PUMP_EXTENT = "pump_extent";

    private final Journal journal;
    private final Supplier<Yard> sheet;
    private final YardForm form;
    private volatile Optional<Yard> now = Optional.empty();
    private Optional<List<Entry>> entries = Optional.empty();
    private final Map<List<Long>, Yard> then = new HashMap<>();

    /**
     * The decisions of a journal.
     *
     * @param sheet the yard as its sheet has it
     */
    public YardDecisions(Journal journal, Supplier<Yard> sheet, YardForm form) {
        this.journal = journal;
        this.sheet = () -> before(journal, sheet.get());
        this.form = form;
    }

    /** A sheet with what programs before this one kept of name, units and habit, without an entry for it. */
    private static Yard before(Journal journal, Yard sheet) {
        PumpHabit habit = sheet.pump();
        boolean kept = List.of(PUMP_POLICY, PUMP_MONTHS, PUMP_EXTENT).stream()
                .anyMatch(k -> !journal.setting(k, "").isEmpty());
        Yard yard = sheet.in(Settings.constant(journal, "units", UnitSet.class, sheet.units()))
                .named(journal.setting(NAME, sheet.name()));
        return kept
                ? yard.with(new PumpHabit(
                        Settings.constant(journal, PUMP_POLICY, PumpPolicy.class, habit.policy()),
                        Settings.figure(journal, PUMP_MONTHS, habit.calendarMonths()),
                        Settings.constant(journal, PUMP_EXTENT, PumpInput.Extent.class, habit.extent())))
                : yard;
    }

    /** Whether the yard has said what it is called. */
    public boolean named() {
        return !journal.setting(NAME, "").isEmpty()
                || !journal.setting(Settings.YARD + "name", "").isEmpty();
    }

    /**
     * What was changed.
     *
     * @param at when
     * @param by by whom
     * @param lines what it changed, a line each
     */
    public record Change(Instant at, String by, List<String> lines) {
        /** Keeps its own copy. */
        public Change {
            lines = List.copyOf(lines);
        }
    }

    /** How the yard's tables are written. */
    public YardForm form() {
        return form;
    }

    /** The yard as it is. */
    public Yard yard() {
        Optional<Yard> kept = now;
        if (kept.isPresent()) {
            return kept.get();
        }
        return alone(() -> {
            now = Optional.of(over(sheet.get(), standing(all())));
            return now.get();
        });
    }

    /** One at a time, and only once the sheet is there: it may still be on its way, and nobody waits for whoever waits for it. */
    private <T> T alone(Supplier<T> work) {
        sheet.get();
        synchronized (this) {
            return work.get();
        }
    }

    /** The set of units that was kept, for who cannot wait for the yard's sheet. */
    public UnitSet unitsKept() {
        String kept = journal.setting(Settings.YARD + "units", "").replace("\"", "");
        return Arrays.stream(UnitSet.values())
                .filter(set -> NamedBy.file(set).equals(kept))
                .findFirst()
                .orElseGet(() -> Settings.constant(journal, "units", UnitSet.class, UnitSet.METRIC));
    }

    /** The yard as it was at a moment, in the units of today. */
    public Yard at(Instant moment) {
        return alone(() -> stoodAt(moment));
    }

    private Yard stoodAt(Instant moment) {
        List<Entry> about = all().stream().filter(this::ofTheSheet).toList();
        List<Entry> stood = about.stream().filter(e -> !e.at().isAfter(moment)).toList();
        // Between two decisions the yard is the same, whatever the moment.
        return stood.size() == about.size()
                ? yard()
                : then.computeIfAbsent(stood.stream().map(Entry::seq).toList(), m -> stood(stood));
    }

    private boolean ofTheSheet(Entry entry) {
        return entry.fact() instanceof Fact.Retracted
                || entry.fact() instanceof Fact.Decided decided && decided.key().startsWith(Settings.YARD);
    }

    private Yard stood(List<Entry> about) {
        Map<String, String> stood = standing(about);
        // In which units it is read is the reader's matter.
        Map<String, String> today = form.things(yard());
        for (String units : List.of("units", "units_of")) {
            stood.put(units, today.getOrDefault(units, NONE));
        }
        return over(sheet.get(), stood);
    }

    /** What was kept is read anew, as after entries came in from elsewhere. */
    public synchronized void forget() {
        now = Optional.empty();
        entries = Optional.empty();
        then.clear();
    }

    /** The entries about the yard's things, and what takes them back. */
    private List<Entry> all() {
        if (entries.isEmpty()) {
            Set<Long> ours = new TreeSet<>();
            List<Entry> about = new ArrayList<>();
            for (Entry entry : journal.entries(Journal.YARD)) {
                boolean is = entry.fact() instanceof Fact.Decided decided && told(decided.key())
                        || entry.fact() instanceof Fact.Retracted back && ours.contains(back.entry());
                if (is) {
                    ours.add(entry.seq());
                    about.add(entry);
                }
            }
            entries = Optional.of(List.copyOf(about));
        }
        return entries.get();
    }

    /** Whether that is told on the yard's page: sheets have a page of their own. */
    private static boolean told(String key) {
        return key.startsWith(Settings.YARD)
                || key.startsWith(Settings.SHELF)
                || key.startsWith(Settings.AWAY)
                || key.equals(Settings.LOGO)
                || Settings.HABITS.contains(key);
    }

    /** Decides something that is no thing of the yard's sheet, by the name of its setting: a count on the shelf, days away, a habit. */
    public synchronized void keep(String by, String key, String value) {
        if (!journal.setting(key, "").equals(value)) {
            Decisions.about(journal, key).decide(by, value);
            forget();
        }
    }

    private static Set<String> keys(List<Entry> about) {
        Set<String> keys = new LinkedHashSet<>();
        about.forEach(e -> {
            if (e.fact() instanceof Fact.Decided decided) {
                keys.add(decided.key());
            }
        });
        return keys;
    }

    /** What stands after some entries, thing by text; without what nothing stands of. */
    private static Map<String, String> standing(List<Entry> about) {
        Map<String, String> standing = new TreeMap<>();
        for (String key : keys(about)) {
            String value = key.startsWith(Settings.YARD) ? Decisions.value(Decisions.about(key, about)) : "";
            if (!value.isEmpty()) {
                standing.put(key.substring(Settings.YARD.length()), value);
            }
        }
        return standing;
    }

    /** What is decided over a sheet. A thing that this program does not understand is left out, and counts for nothing. */
    private Yard over(Yard base, Map<String, String> decided) {
        Yard yard = base;
        Problems problems = new Problems();
        Optional<Yard> whole = form.with(base, decided, problems);
        if (whole.isPresent()) {
            return whole.get();
        }
        for (Map.Entry<String, String> thing : decided.entrySet()) {
            yard = form.with(yard, Map.of(thing.getKey(), thing.getValue()), new Problems())
                    .orElse(yard);
        }
        return yard;
    }

    /** The yard as it would be with a table's lines; a JournalException says what is wrong with them. */
    public Yard would(YardTable table, List<List<String>> lines) {
        return alone(() -> with(table.thing(), text(table, lines)));
    }

    private String text(YardTable table, List<List<String>> lines) {
        Problems problems = new Problems();
        return form.decided(table, yard(), lines, problems).orElseThrow(() -> refused(problems));
    }

    private Yard with(String thing, String text) {
        Problems problems = new Problems();
        return form.with(yard(), Map.of(thing, text), problems).orElseThrow(() -> refused(problems));
    }

    private static JournalException refused(Problems problems) {
        List<String> told = problems.list().stream()
                .map(Problem::toString)
                .map(p -> p.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + p.substring(1) + ".")
                .toList();
        return new JournalException(String.join(" ", told));
    }

    /** Decides a table's lines; a JournalException says what is wrong with them, and nothing has changed then. */
    public void decide(String by, YardTable table, List<List<String>> lines) {
        alone(() -> decided(by, table.thing(), text(table, lines)));
    }

    /** Decides everything as another yard has it, thing by thing. */
    public void decide(String by, Yard as) {
        Set<String> things = new LinkedHashSet<>(form.things(as).keySet());
        things.addAll(form.things(yard()).keySet());
        things.forEach(thing -> decide(by, thing, as));
    }

    /** Decides that a thing is as another yard has it. */
    public void decide(String by, String thing, Yard as) {
        alone(() -> decided(by, thing, form.things(as).getOrDefault(thing, NONE)));
    }

    /** Whether anything became different by it. */
    private boolean decided(String by, String thing, String text) {
        String kept = text.isEmpty() ? NONE : text;
        with(thing, kept);
        boolean other = !kept.equals(form.things(yard()).getOrDefault(thing, NONE));
        if (other) {
            Decisions.about(journal, Settings.YARD + thing).decide(by, kept);
            forget();
        }
        return other;
    }

    /** What was changed and stands, the latest first. */
    public List<Change> history() {
        return alone(this::told);
    }

    private List<Change> told() {
        List<Change> changes = new ArrayList<>();
        Map<String, String> decided = new TreeMap<>();
        Map<String, String> others = new TreeMap<>();
        Yard before = sheet.get();
        List<Entry> stand = new ArrayList<>();
        keys(all()).forEach(key -> stand.addAll(Decisions.about(journal, key).standing()));
        stand.sort(Comparator.comparingLong(Entry::seq));
        for (Entry entry : stand) {
            if (entry.fact() instanceof Fact.Decided made && !made.key().startsWith(Settings.YARD)) {
                String was = others.getOrDefault(made.key(), "");
                others.put(made.key(), made.value());
                changes.add(0, new Change(entry.at(), entry.by(), List.of(said(made, was))));
            } else if (entry.fact() instanceof Fact.Decided made) {
                decided.put(made.key().substring(Settings.YARD.length()), made.value());
                Yard after = over(sheet.get(), decided);
                changes.add(0, new Change(entry.at(), entry.by(), differences(before, after)));
                before = after;
            }
        }
        return changes;
    }

    /** A decision that is no thing of the yard's sheet, in words. */
    private static String said(Fact.Decided made, String was) {
        String[] names = made.key().split(":", 3);
        String now = said(made.value());
        if (made.key().equals(Settings.LOGO)) {
            return TEXT.get(made.value().isEmpty() ? "logo.gone" : "logo");
        }
        return names.length == 3
                ? TEXT.get("shelf", names[2].replace('_', ' '), names[1], now, said(was))
                : names.length == 2
                        ? TEXT.get("away", names[1], now, said(was))
                        : TEXT.get("habit", made.key().replaceAll("[_-]", " "), now, said(was));
    }

    /** What differs between two yards, a line each, in the words of the tables. */
    public List<String> differences(Yard before, Yard after) {
        List<String> lines = new ArrayList<>();
        for (YardTable table : form.tables()) {
            List<String> was = written(table, before);
            List<String> is = written(table, after);
            if (was.equals(is)) {
                continue;
            }
            if (!table.many()) {
                lines.add(TEXT.get("yard_decisions.was", table.title(), said(is.get(0)), said(was.get(0))));
                continue;
            }
            some(lines, table.title(), is, was);
            some(lines, table.title() + ", gone", was, is);
        }
        return lines;
    }

    /** Lines that are only in the one; of many the first ones, and how many more. */
    private static void some(List<String> lines, String title, List<String> in, List<String> notIn) {
        Set<String> others = new HashSet<>(notIn);
        List<String> only = in.stream().filter(l -> !others.contains(l)).toList();
        only.stream().limit(MOST_LINES).forEach(l -> lines.add(title + ": " + l));
        if (only.size() > MOST_LINES) {
            lines.add(TEXT.get("more", title, only.size() - MOST_LINES));
        }
    }

    private static String said(String cells) {
        return cells.isEmpty() ? TEXT.get("yard_decisions.not_said") : cells;
    }

    private List<String> written(YardTable table, Yard yard) {
        return form.lines(table, yard).stream().map(table::inWords).toList();
    }

    /** Whether a decision can be taken back. */
    public synchronized boolean undoable() {
        return last(Decisions::undoable).isPresent();
    }

    /** Whether one that was taken back can be made again. */
    public synchronized boolean redoable() {
        return redo().isPresent();
    }

    /** Takes the last decision back, whatever it was about. */
    public synchronized void undo(String by) {
        last(Decisions::undoable).ifPresent(d -> d.undo(by));
        forget();
    }

    /** Makes the one again that was taken back last. */
    public synchronized void redo(String by) {
        redo().ifPresent(d -> d.redo(by));
        forget();
    }

    private Optional<Decisions> last(java.util.function.Function<Decisions, Optional<Entry>> which) {
        return keys(all()).stream()
                .map(key -> Decisions.about(journal, key))
                .filter(d -> which.apply(d).isPresent())
                .max(Comparator.comparingLong(d -> which.apply(d).orElseThrow().seq()));
    }

    /** Of the things whose last entry takes something back, the one where that came last. */
    private Optional<Decisions> redo() {
        return keys(all()).stream()
                .map(key -> Decisions.about(journal, key))
                .filter(d -> d.redoable().isPresent())
                .max(Comparator.comparingLong(
                        d -> d.entries().get(d.entries().size() - 1).seq()));
    }
}
