package mussel.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Journal;
import mussel.core.job.Journal.Brought;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.job.Settings;
import mussel.core.language.Messages;
import mussel.exchange.file.Durable;
import mussel.exchange.file.OutFile;
import mussel.exchange.file.Scratch;
import mussel.exchange.log.Chain;
import mussel.exchange.log.FactText;

/**
 * Brings every entry that is whole out of a damaged logbook into a new one, and says which are not. An entry is whole when it fits the seal it
 * carries; of a log from before seals, when it can be understood.
 */
public final class Salvage {
    private static final Messages TEXT = Messages.of(Salvage.class);

    private static final int MOST_TOLD = 200;
    private static final int COLUMNS = 6;
    private static final int HEAD_COLUMNS = 4;
    private static final int SHEET_COLUMNS = 3;

    private final Path damaged;
    private final Map<Long, Raw> whole = new TreeMap<>();
    private final Map<Long, Raw> unsealed = new TreeMap<>();
    private final Map<Long, Integer> broken = new TreeMap<>();
    private final Map<Integer, Head> heads = new HashMap<>();
    /** Settings met on pages by themselves; those of the write-ahead file come last and count. */
    private final Map<String, String> found = new HashMap<>();

    /** Sheets that jobs were worked by, as far as each fits its name. */
    private final Map<String, String> sheets = new TreeMap<>();

    private final List<String> says = new ArrayList<>();

    private Salvage(Path damaged) {
        this.damaged = damaged;
    }

    private record Raw(long seq, int job, String at, String by, String fact) {
        boolean fits(byte[] hash) {
            return Arrays.equals(Chain.seal(seq, job, at, by, fact), Chain.sealOf(hash));
        }
    }

    /**
     * Brings out what is whole.
     *
     * @param damaged the damaged logbook, which stays as it is
     * @param out the new one; there must be none of that name
     * @return what was brought out and what was not, in sentences
     * @throws JournalException with a sentence when nothing can be read or written; there is no new one then
     */
    public static List<String> bring(Path damaged, Path out, Clock clock) {
        if (!Files.isRegularFile(damaged)) {
            throw new JournalException(TEXT.get("salvage.is_no_file", damaged));
        }
        Path target = OutFile.of(out, OutFile.Kind.LOG, false).path();
        Salvage salvage = new Salvage(LogFile.real(damaged));
        try {
            salvage.scan();
            if (salvage.whole.isEmpty()) {
                throw new JournalException(TEXT.get("salvage.there_is_no_whole_entry_in", damaged));
            }
            salvage.write(target, clock);
            return salvage.says;
        } catch (IOException e) {
            throw new JournalException(TEXT.get("salvage.could_not_be_read", damaged, Durable.why(e)), e);
        }
    }

    private void scan() throws IOException {
        try (RawPages pages = new RawPages(damaged)) {
            pages.rows(this::row);
        }
        if (whole.isEmpty() && !unsealed.isEmpty()) {
            whole.putAll(unsealed);
            says.add(TEXT.get("salvage.the_logbook_is_from_before_entries"));
        }
        whole.keySet().forEach(broken::remove);
    }

    private void row(long number, List<Object> values) {
        if (values.size() == 2 && values.get(0) instanceof String key && values.get(1) instanceof String value) {
            if (number == RawPages.NO_NUMBER && Settings.problem(key, value).isEmpty()) {
                found.put(key, value);
            }
            return;
        }
        if (values.size() == SHEET_COLUMNS
                && values.get(1) instanceof String name
                && values.get(2) instanceof byte[] content) {
            SheetTable.unpacked(name, content).ifPresent(text -> sheets.put(name, text));
            return;
        }
        if (values.size() == HEAD_COLUMNS && values.get(3) instanceof byte[] link && link.length == Chain.BYTES) {
            if (values.get(1) instanceof Long entries && values.get(2) instanceof Long last) {
                Head head = new Head((int) number, entries, last, link);
                heads.merge(head.job(), head, (a, b) -> a.entries() >= b.entries() ? a : b);
            }
            return;
        }
        boolean entry = (values.size() == COLUMNS || values.size() == COLUMNS - 1)
                && values.get(0) == null
                && values.get(1) instanceof Long
                && values.subList(2, 5).stream().allMatch(String.class::isInstance);
        if (!entry || number <= 0) {
            return;
        }
        Raw raw = new Raw(
                number, ((Long) values.get(1)).intValue(), (String) values.get(2), (String) values.get(3), (String)
                        values.get(4));
        if (values.size() == COLUMNS && values.get(5) instanceof byte[] hash && hash.length == 2 * Chain.BYTES) {
            if (raw.fits(hash)) {
                whole.put(number, raw);
            } else {
                broken.putIfAbsent(number, raw.job());
            }
        } else if (understood(raw)) {
            unsealed.putIfAbsent(number, raw);
        }
    }

    private static boolean understood(Raw raw) {
        return at(raw).isPresent() && !(FactText.read(raw.fact()) instanceof Fact.Unread);
    }

    private static Optional<Instant> at(Raw raw) {
        try {
            return Optional.of(Instant.parse(raw.at()));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    private void write(Path out, Clock clock) throws IOException {
        Map<Integer, List<Entry>> jobs = new LinkedHashMap<>();
        for (Raw raw : whole.values()) {
            jobs.computeIfAbsent(raw.job(), j -> new ArrayList<>())
                    .add(new Entry(
                            raw.seq(), raw.job(), at(raw).orElse(Instant.EPOCH), raw.by(), FactText.read(raw.fact())));
        }
        int openings = open(jobs);
        Path half = Scratch.folder().resolve("log");
        try (SqliteJournal journal = SqliteJournal.open(half, clock)) {
            sheets.forEach(journal::keepSheet);
            journal.bring(
                    settings(),
                    each -> jobs.forEach((job, entries) -> each.accept(new Brought(job, entries, Map.of()))));
        }
        Durable.write(out, to -> Files.copy(half, to));
        Scratch.remove(half.getParent());
        int pictures = pictures(jobs, out);
        says.add(
                0,
                TEXT.get(
                        "salvage.brought_out_jobs_with_entries_into",
                        jobs.keySet().stream()
                                .filter(job -> job != Journal.YARD)
                                .count(),
                        (whole.size()),
                        (pictures > 0 ? TEXT.get("salvage.and_pictures", pictures) : ""),
                        out));
        if (openings > 0) {
            says.add(1, TEXT.get("salvage.of_the_jobs_had_lost_the", openings));
        }
        tell(jobs);
    }

    private void tell(Map<Integer, List<Entry>> jobs) {
        List<String> lost = new ArrayList<>();
        broken.forEach(
                (seq, job) -> lost.add(TEXT.get("salvage.entry_damaged_it_does_not_fit", ChainCheck.whose(job), seq)));
        Map<Integer, Long> brokenOf = new HashMap<>();
        broken.values().forEach(job -> brokenOf.merge(job, 1L, Long::sum));
        new TreeMap<>(heads).forEach((job, head) -> {
            long here = jobs.getOrDefault(job, List.of()).stream()
                            .filter(e -> whole.containsKey(e.seq()))
                            .count()
                    + brokenOf.getOrDefault(job, 0L);
            if (here < head.entries()) {
                lost.add(TEXT.get(
                        "salvage.of_its_entries_were_not_found",
                        ChainCheck.whose(job),
                        (head.entries() - here),
                        head.entries()));
            }
        });
        if (lost.isEmpty()) {
            says.add(TEXT.get("salvage.no_entry_is_known_to_be"));
        }
        says.addAll(lost.subList(0, Math.min(MOST_TOLD, lost.size())));
        if (lost.size() > MOST_TOLD) {
            says.add(TEXT.get("salvage.and_more", (lost.size() - MOST_TOLD)));
        }
    }

    /**
     * A job whose first entry is lost gets a stand-in before its others, under a number nobody has: jobs come in the order of their first entries, and
     * each has left at least its own lost number free below it.
     */
    private int open(Map<Integer, List<Entry>> jobs) {
        Set<Long> taken = new HashSet<>(whole.keySet());
        int stoodIn = 0;
        for (Map.Entry<Integer, List<Entry>> job : List.copyOf(jobs.entrySet())) {
            Entry first = job.getValue().get(0);
            if (first.fact() instanceof Fact.Opened || job.getKey() == Journal.YARD) {
                continue;
            }
            long seq = first.seq() - 1;
            while (taken.contains(seq)) {
                seq--;
            }
            if (seq < 1) {
                jobs.remove(job.getKey());
                says.add(TEXT.get("salvage.job_has_lost_its_first_entry", job.getKey()));
                continue;
            }
            taken.add(seq);
            LegRef leg = leg(job.getKey(), job.getValue());
            job.getValue().add(0, new Entry(seq, job.getKey(), first.at(), "salvage", new Fact.Opened(leg)));
            stoodIn++;
        }
        return stoodIn;
    }

    private LegRef leg(int job, List<Entry> entries) {
        return entries.stream()
                .map(Entry::fact)
                .filter(Fact.LegCorrected.class::isInstance)
                .map(f -> ((Fact.LegCorrected) f).leg())
                .findFirst()
                .or(() -> filed(job))
                .orElseGet(() -> new LegRef(
                        "salvaged-" + job, TEXT.get("salvage.salvaged_job", job), LegRef.Position.SINGLE, "not-known"));
    }

    /** The leg as the bench's line still has it. */
    private Optional<LegRef> filed(int job) {
        try (Connection reading = LogConnections.reading(damaged)) {
            return new Rows(reading, SqlWork.reading())
                            .query(
                                    "SELECT leg, boat, position, family FROM bench_line WHERE job = ?",
                                    row -> new LegRef(
                                            row.getString(1),
                                            row.getString(2),
                                            LegRef.Position.valueOf(row.getString(3)),
                                            row.getString(4)),
                                    job)
                            .stream()
                            .findFirst();
        } catch (SQLException | RuntimeException e) {
            return Optional.empty();
        }
    }

    private Map<String, String> settings() {
        Map<String, String> settings = new HashMap<>();
        try (Connection reading = LogConnections.reading(damaged)) {
            new Rows(reading, SqlWork.reading())
                    .query("SELECT key, value FROM setting", row -> Map.entry(row.getString(1), row.getString(2)))
                    .forEach(s -> settings.put(s.getKey(), s.getValue()));
        } catch (SQLException | RuntimeException e) {
            settings.putAll(found);
        }
        settings.entrySet()
                .removeIf(s -> Settings.problem(s.getKey(), s.getValue()).isPresent());
        if (settings.isEmpty()) {
            says.add(TEXT.get("salvage.no_settings_of_the_yard_were"));
        }
        return settings;
    }

    private int pictures(Map<Integer, List<Entry>> jobs, Path out) throws IOException {
        PictureFolder from = PictureFolder.beside(damaged);
        PictureFolder to = PictureFolder.beside(out);
        int brought = 0;
        for (List<Entry> entries : jobs.values()) {
            for (Entry entry : entries) {
                if (entry.fact() instanceof Fact.Pictured picture) {
                    Path file = from.at(picture.file());
                    if (Files.isRegularFile(file) && from.unchanged(file)) {
                        to.keep(file);
                        brought++;
                    } else {
                        says.add(TEXT.get("salvage.the_picture_is_missing_or_damaged", picture.file()));
                    }
                }
            }
        }
        return brought;
    }
}
