package mussel.core.job;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import mussel.core.language.Messages;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;

/**
 * A job as its entries leave it: the fold of a journal. Holds no state of its own; the same entries give the same job.
 */
public final class Job {
    private static final Messages TEXT = Messages.of(Job.class);

    private final int id;
    private final Mark mark;
    private final Instant opened;
    private final Instant touched;
    private LegRef leg;
    private final Map<Address, Fact.Read> readings = new LinkedHashMap<>();
    private final Map<Address, Instant> readAt = new HashMap<>();
    private final Map<Address, String> choices = new LinkedHashMap<>();
    private final Map<Address, Instant> choseAt = new LinkedHashMap<>();
    private final Map<Address, String> notes = new LinkedHashMap<>();
    private final Map<String, Instant> ticks = new LinkedHashMap<>();
    private final Map<String, Holding> holds = new LinkedHashMap<>();
    private final Map<String, Fact.Ordered> ordered = new LinkedHashMap<>();
    private final Map<String, LocalDate> arrived = new LinkedHashMap<>();
    private final Map<String, List<Fact.Delivered>> delivered = new LinkedHashMap<>();
    private final Set<String> people = new LinkedHashSet<>();
    private final List<Fact.Pictured> pictures = new ArrayList<>();
    private Optional<LocalDate> tagged = Optional.empty();
    private Optional<Instant> taggedAt = Optional.empty();
    private Optional<String> sheet = Optional.empty();
    private final List<Entry> unread = new ArrayList<>();
    private final UndoLine undoLine;
    private Optional<List<Hold>> held = Optional.empty();

    private Job(List<Entry> entries) {
        Entry first = entries.get(0);
        if (!(first.fact() instanceof Fact.Opened start)) {
            throw new JournalException(TEXT.get("job.job_cannot_be_shown_its_first", first.job()));
        }
        id = first.job();
        mark = new Mark(id, entries.size(), entries.get(entries.size() - 1).seq());
        opened = first.at();
        touched = entries.get(entries.size() - 1).at();
        undoLine = UndoLine.of(entries);
        leg = start.leg();
        for (Entry entry : undoLine.standing()) {
            people.add(entry.by());
            entry.fact().in(new Folding(entry)).run();
        }
    }

    /**
     * Where a job stands: entries are only ever added, so two of the same mark are the same.
     *
     * @param job its number
     * @param entries how many it was folded from
     * @param last the number of the last of them
     */
    public record Mark(int job, int entries, long last) {}

    /** Where it stands. */
    public Mark mark() {
        return mark;
    }

    /**
     * Folds the entries of one job, in their order.
     *
     * @throws JournalException with a sentence when the first is not its opening
     */
    public static Job of(List<Entry> entries) {
        return new Job(entries);
    }

    /** What each kind of fact changes on the job. */
    private final class Folding implements Fact.Cases<Runnable> {
        private static final Runnable NOTHING = () -> {};

        private final Entry entry;

        Folding(Entry entry) {
            this.entry = entry;
        }

        @Override
        public Runnable opened(Fact.Opened fact) {
            return NOTHING;
        }

        @Override
        public Runnable legCorrected(Fact.LegCorrected fact) {
            return () -> leg = fact.leg();
        }

        @Override
        public Runnable read(Fact.Read fact) {
            return () -> {
                readings.put(fact.about(), fact);
                readAt.putIfAbsent(fact.about(), entry.at());
            };
        }

        @Override
        public Runnable chosen(Fact.Chosen fact) {
            return () -> {
                choices.put(fact.about(), fact.outcome());
                choseAt.put(fact.about(), entry.at());
            };
        }

        @Override
        public Runnable cleared(Fact.Cleared fact) {
            return () -> {
                readings.remove(fact.about());
                readAt.remove(fact.about());
                choices.remove(fact.about());
                notes.remove(fact.about());
            };
        }

        @Override
        public Runnable ticked(Fact.Ticked fact) {
            return () -> {
                if (fact.done()) {
                    ticks.put(fact.step(), entry.at());
                } else {
                    ticks.remove(fact.step());
                }
            };
        }

        @Override
        public Runnable noted(Fact.Noted fact) {
            return () -> notes.put(fact.about(), fact.text());
        }

        @Override
        public Runnable holdBegun(Fact.HoldBegun fact) {
            return () -> holds.put(fact.hold(), new Holding(fact, entry.at(), new ArrayList<>()));
        }

        @Override
        public Runnable held(Fact.Held fact) {
            return () -> Optional.ofNullable(holds.get(fact.hold()))
                    .ifPresent(h -> h.readings().addAll(fact.readings()));
        }

        @Override
        public Runnable ordered(Fact.Ordered fact) {
            return () -> ordered.put(fact.order(), fact);
        }

        @Override
        public Runnable arrived(Fact.Arrived fact) {
            return () -> arrived.put(fact.order(), fact.on());
        }

        @Override
        public Runnable delivered(Fact.Delivered fact) {
            return () -> delivered
                    .computeIfAbsent(fact.order(), o -> new ArrayList<>())
                    .add(fact);
        }

        @Override
        public Runnable pictured(Fact.Pictured fact) {
            return () -> pictures.add(fact);
        }

        @Override
        public Runnable workedBy(Fact.WorkedBy fact) {
            return () -> sheet = Optional.of(fact.sheet());
        }

        @Override
        public Runnable decided(Fact.Decided fact) {
            return NOTHING;
        }

        @Override
        public Runnable countersigned(Fact.Countersigned fact) {
            return NOTHING;
        }

        @Override
        public Runnable tagged(Fact.Tagged fact) {
            return () -> {
                tagged = Optional.of(fact.on());
                taggedAt = Optional.of(entry.at());
            };
        }

        @Override
        public Runnable unread(Fact.Unread fact) {
            return () -> unread.add(entry);
        }

        @Override
        public Runnable retracted(Fact.Retracted fact) {
            return NOTHING;
        }
    }

    private record Holding(Fact.HoldBegun begun, Instant at, List<LeakReading> readings) {
        Hold hold() {
            return new Hold(
                    begun.hold(),
                    begun.mode(),
                    begun.gaugeStepKpa(),
                    begun.instrument(),
                    begun.simulated(),
                    at,
                    readings);
        }
    }

    /** The holds, in the order they were begun. */
    public List<Hold> holds() {
        if (held.isEmpty()) {
            held = Optional.of(holds.values().stream().map(Holding::hold).toList());
        }
        return held.get();
    }

    /** The last hold of a mode. */
    public Optional<Hold> hold(LeakMode mode) {
        return holds().stream().filter(h -> h.mode() == mode).reduce((first, later) -> later);
    }

    /** The orders placed for it, in their order. */
    public List<Order> orders() {
        // An order without a line brings nothing and is never due: it cannot be placed, whatever another program wrote.
        return ordered.values().stream()
                .filter(o -> !o.lines().isEmpty())
                .map(o -> Order.of(
                        o, Optional.ofNullable(arrived.get(o.order())), delivered.getOrDefault(o.order(), List.of())))
                .toList();
    }

    /** Pictures put with something, in the order they came. */
    public List<Fact.Pictured> pictures(Address about) {
        return pictures.stream().filter(p -> p.about().equals(about)).toList();
    }

    /** Every picture, in the order they came. */
    public List<Fact.Pictured> pictures() {
        return Collections.unmodifiableList(pictures);
    }

    /** The job's number, as on its tag. */
    public int id() {
        return id;
    }

    /** The leg it is about. */
    public LegRef leg() {
        return leg;
    }

    /** When it was opened. */
    public Instant opened() {
        return opened;
    }

    /** When the last entry was made. */
    public Instant touched() {
        return touched;
    }

    /** Who made its entries, in the order they came to it; those who left the yard among them. */
    public List<String> people() {
        return List.copyOf(people);
    }

    /** The moment it was entered that the leg is tagged, once it is. */
    public Optional<Instant> taggedAt() {
        return taggedAt;
    }

    /** The day the leg was tagged, once it is. */
    public Optional<LocalDate> tagged() {
        return tagged;
    }

    /** The name of the sheet it was worked by last; empty where nobody wrote that down yet. */
    public Optional<String> sheet() {
        return sheet;
    }

    /** A reading in its canonical unit; empty when not measured. */
    public OptionalDouble reading(Address about) {
        Fact.Read read = readings.get(about);
        return read == null ? OptionalDouble.empty() : OptionalDouble.of(read.value());
    }

    /** The reading of a field there is only one of. */
    public OptionalDouble reading(Field field) {
        return reading(field.address());
    }

    /** When a reading there is only one of was first made; empty while it is not. */
    public Optional<Instant> readAt(Field field) {
        return Optional.ofNullable(readAt.get(field.address()));
    }

    /** A reading with how it was made. */
    public Optional<Fact.Read> read(Address about) {
        return Optional.ofNullable(readings.get(about));
    }

    /** A choice; empty when not answered. */
    public Optional<String> choice(Address about) {
        return Optional.ofNullable(choices.get(about));
    }

    /** When what is chosen there was chosen; empty when not answered. */
    public Optional<Instant> chosenAt(Address about) {
        return choices.containsKey(about) ? Optional.of(choseAt.get(about)) : Optional.empty();
    }

    /** The choice on a scale there is only one of. */
    public Optional<String> choice(Scale scale) {
        return choice(scale.address());
    }

    /** What was written down. */
    public Optional<String> note(Address about) {
        return Optional.ofNullable(notes.get(about));
    }

    /** The steps that were ticked. */
    public Set<String> steps() {
        return Collections.unmodifiableSet(ticks.keySet());
    }

    /** When a step was done; empty while it is not. */
    public Optional<Instant> ticked(String step) {
        return Optional.ofNullable(ticks.get(step));
    }

    /** Everything chosen, by address. */
    public Map<Address, String> choices() {
        return Collections.unmodifiableMap(choices);
    }

    /** Everything written down, by address. */
    public Map<Address, String> notes() {
        return Collections.unmodifiableMap(notes);
    }

    /** Everything read, by address. */
    public Map<Address, Fact.Read> readings() {
        return Collections.unmodifiableMap(readings);
    }

    /** Entries that are not understood here: kept as they are, and counted for nothing. */
    public List<Entry> unread() {
        return Collections.unmodifiableList(unread);
    }

    /** What undo and redo would act on. */
    public UndoLine undoLine() {
        return undoLine;
    }
}
