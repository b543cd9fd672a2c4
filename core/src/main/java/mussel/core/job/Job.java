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
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;

/**
 * A job as its entries leave it: the fold of a journal. Holds no state of its own; the same entries give the same job.
 */
public final class Job {
    private final int id;
    private final Mark mark;
    private final Instant opened;
    private final Instant touched;
    private final LegRef leg;
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
    private final Optional<LocalDate> tagged;
    private final Optional<Instant> taggedAt;
    private final Optional<String> sheet;
    private final List<Entry> unread = new ArrayList<>();
    private final UndoLine undoLine;
    private Optional<List<Hold>> held = Optional.empty();

    private Job(List<Entry> entries) {
        Entry first = entries.get(0);
        if (!(first.fact() instanceof Fact.Opened start)) {
            throw new JournalException(
                    "Job " + first.job()
                            + " cannot be shown: its first entry, which names the leg, is missing or cannot be read. Everything in it is kept; mussel check says what is wrong.");
        }
        id = first.job();
        mark = new Mark(id, entries.size(), entries.get(entries.size() - 1).seq());
        opened = first.at();
        touched = entries.get(entries.size() - 1).at();
        undoLine = UndoLine.of(entries);
        LegRef ref = start.leg();
        LocalDate closed = null;
        Instant closedAt = null;
        String workedBy = null;
        for (Entry entry : undoLine.standing()) {
            people.add(entry.by());
            if (entry.fact() instanceof Fact.LegCorrected corrected) {
                ref = corrected.leg();
            } else if (entry.fact() instanceof Fact.Tagged tag) {
                closed = tag.on();
                closedAt = entry.at();
            } else if (entry.fact() instanceof Fact.WorkedBy by) {
                workedBy = by.sheet();
            } else if (entry.fact() instanceof Fact.Unread) {
                unread.add(entry);
            } else {
                apply(entry);
            }
        }
        leg = ref;
        tagged = Optional.ofNullable(closed);
        taggedAt = Optional.ofNullable(closedAt);
        sheet = Optional.ofNullable(workedBy);
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

    private void apply(Entry entry) {
        Fact fact = entry.fact();
        if (fact instanceof Fact.Read read) {
            readings.put(read.about(), read);
            readAt.putIfAbsent(read.about(), entry.at());
        } else if (fact instanceof Fact.Chosen chosen) {
            choices.put(chosen.about(), chosen.outcome());
            choseAt.put(chosen.about(), entry.at());
        } else if (fact instanceof Fact.Noted noted) {
            notes.put(noted.about(), noted.text());
        } else if (fact instanceof Fact.Cleared cleared) {
            readings.remove(cleared.about());
            readAt.remove(cleared.about());
            choices.remove(cleared.about());
            notes.remove(cleared.about());
        } else if (fact instanceof Fact.HoldBegun begun) {
            holds.put(begun.hold(), new Holding(begun, entry.at(), new ArrayList<>()));
        } else if (fact instanceof Fact.Held held && holds.containsKey(held.hold())) {
            holds.get(held.hold()).readings().addAll(held.readings());
        } else if (fact instanceof Fact.Ordered order) {
            ordered.put(order.order(), order);
        } else if (fact instanceof Fact.Arrived here) {
            arrived.put(here.order(), here.on());
        } else if (fact instanceof Fact.Delivered part) {
            delivered.computeIfAbsent(part.order(), o -> new ArrayList<>()).add(part);
        } else if (fact instanceof Fact.Pictured picture) {
            pictures.add(picture);
        } else if (fact instanceof Fact.Ticked ticked) {
            if (ticked.done()) {
                ticks.put(ticked.step(), entry.at());
            } else {
                ticks.remove(ticked.step());
            }
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
