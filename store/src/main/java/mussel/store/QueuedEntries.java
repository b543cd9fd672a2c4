package mussel.store;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.exchange.file.Durable;
import mussel.exchange.job.FactJson;
import mussel.exchange.log.FactText;
import mussel.exchange.record.Json;

/**
 * What is entered while something long writes to the logbook, as a file that is taken in: it is on the disk in a file beside the logbook when the call
 * returns, counts at once, and goes into the logbook, in its order and once, as soon as that is free or is opened again. Asked from several threads.
 */
final class QueuedEntries {
    private static final Messages TEXT = Messages.of(QueuedEntries.class);

    private static final String ENDING = ".waiting";
    private static final String LOG = "log";
    private static final String GOING = "going";

    private final Path file;
    private final String log;
    private final List<Change> changes = new ArrayList<>();
    /** Numbers given to what waits and to what comes in meanwhile: nobody else gets them. */
    private long lastSeq;

    private int lastJob;
    /** Numbers that entries and jobs got in the logbook where another had taken their own meanwhile. */
    private final Map<Long, Long> seqs = new HashMap<>();

    private final Map<Integer, Integer> moved = new HashMap<>();

    /**
     * What goes in together.
     *
     * @param entries entries, with the numbers they were given
     * @param settings settings by name
     * @param sheets texts of sheets by name
     */
    record Change(List<Entry> entries, Map<String, String> settings, Map<String, String> sheets) {}

    /** Puts a change into the logbook, all of it or nothing. */
    interface Taking {
        /** Returns false where somebody else still writes. */
        boolean take(Change change);
    }

    /** What waits for the log of that id; what was left waiting for it is read. */
    QueuedEntries(Path logFile, String log) {
        this.file = logFile.resolveSibling(logFile.getFileName() + ENDING);
        this.log = log;
        if (Files.exists(file)) {
            read();
        }
    }

    private void read() {
        try {
            List<String> lines = Files.readAllLines(file, StandardCharsets.UTF_8);
            if (lines.isEmpty()
                    || !Json.mapper().readTree(lines.get(0)).path(LOG).asText().equals(log)) {
                Files.move(file, file.resolveSibling(file.getFileName() + "-other-" + System.nanoTime()));
                return;
            }
            for (String line : lines.subList(1, lines.size())) {
                // A line that was cut off had not been answered for.
                JsonNode node = line.endsWith("}")
                        ? Json.mapper().readTree(line)
                        : Json.mapper().nullNode();
                if (node.has(GOING)) {
                    JsonNode going = node.get(GOING);
                    going.path("seqs")
                            .properties()
                            .forEach(e -> seqs.put(
                                    Long.valueOf(e.getKey()), e.getValue().asLong()));
                    going.path("jobs")
                            .properties()
                            .forEach(e -> moved.put(
                                    Integer.valueOf(e.getKey()), e.getValue().asInt()));
                } else if (node.isObject()) {
                    changes.add(change(node));
                }
            }
        } catch (IOException | RuntimeException e) {
            throw new JournalException(
                    TEXT.get(
                            "queued_entries.entries_that_wait_in_could_not",
                            file,
                            (e instanceof IOException io
                                    ? Durable.why(io)
                                    : TEXT.get("queued_entries.they_are_damaged"))),
                    e);
        }
    }

    /** Whether anything waits. */
    synchronized boolean some() {
        return !changes.isEmpty();
    }

    /** A number for the next entry, above all that were given and those up to the last in the logbook. */
    synchronized long nextSeq(long last) {
        lastSeq = Math.max(lastSeq, last) + 1;
        return lastSeq;
    }

    /** The same for a new job. */
    synchronized int nextJob(int last) {
        lastJob = Math.max(lastJob, last) + 1;
        return lastJob;
    }

    /** Keeps entries, with settings that follow from them. */
    synchronized List<Entry> keep(
            int job, Instant at, String by, List<Fact> facts, long last, Map<String, String> settings) {
        List<Entry> made = new ArrayList<>();
        for (Fact fact : facts) {
            made.add(new Entry(nextSeq(last), job, at, by, fact));
        }
        keep(new Change(made, settings, Map.of()));
        return made;
    }

    /** Keeps the text of a sheet. */
    synchronized void keepSheet(String name, String text) {
        keep(new Change(List.of(), Map.of(), Map.of(name, text)));
    }

    private void keep(Change change) {
        try {
            if (!Files.exists(file)) {
                Durable.write(
                        file,
                        out -> out.write(line(Json.mapper().createObjectNode().put(LOG, log))));
            }
            append(json(change));
        } catch (IOException e) {
            throw new JournalException(TEXT.get("queued_entries.the_logbook_is_being_written_to", Durable.why(e)), e);
        }
        changes.add(change);
    }

    private void append(ObjectNode node) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.APPEND)) {
            ByteBuffer bytes = ByteBuffer.wrap(line(node));
            while (bytes.hasRemaining()) {
                channel.write(bytes);
            }
            channel.force(true);
        }
    }

    private static byte[] line(ObjectNode node) {
        return (node + "\n").getBytes(StandardCharsets.UTF_8);
    }

    /**
     * Writes down, before a change is committed to the logbook, the numbers its entries get there: whoever starts after the plug was pulled knows by
     * them which entries are in.
     */
    synchronized void going(Map<Long, Long> entries, Map<Integer, Integer> jobs) {
        seqs.putAll(entries);
        moved.putAll(jobs);
        if (entries.isEmpty() && jobs.isEmpty()) {
            return;
        }
        ObjectNode node = Json.mapper().createObjectNode();
        ObjectNode going = node.putObject(GOING);
        going.set("seqs", Json.mapper().valueToTree(entries));
        going.set("jobs", Json.mapper().valueToTree(jobs));
        try {
            append(node);
        } catch (IOException e) {
            throw new JournalException(
                    TEXT.get("queued_entries.entries_that_wait_in_could_not_2", file, Durable.why(e)), e);
        }
    }

    /** The number an entry got where another had taken its own. */
    synchronized long seqOf(long seq) {
        return seqs.getOrDefault(seq, seq);
    }

    /** The entries of a job: those of the logbook, read here so that none is missed on its way in, and those that wait. */
    synchronized List<Entry> with(int job, Supplier<List<Entry>> inLog) {
        List<Entry> all = new ArrayList<>(inLog.get());
        changes.stream()
                .flatMap(c -> c.entries().stream())
                .filter(e -> e.job() == job)
                .forEach(all::add);
        return all;
    }

    /** The jobs whose entries wait. */
    synchronized Set<Integer> jobs() {
        return changes.stream()
                .flatMap(c -> c.entries().stream())
                .map(Entry::job)
                .collect(Collectors.toSet());
    }

    /** The text of a sheet that waits. */
    synchronized Optional<String> sheet(String name) {
        return changes.stream()
                .flatMap(c -> Optional.ofNullable(c.sheets().get(name)).stream())
                .findFirst();
    }

    /** Puts what waits into the logbook, in its order; what finds it taken goes on waiting. Says whether nothing waits any more. */
    synchronized boolean bringIn(Taking taking) {
        while (!changes.isEmpty()) {
            if (!taking.take(changes.get(0))) {
                return false;
            }
            changes.remove(0);
        }
        return end();
    }

    private boolean end() {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            // What is in it is in the logbook: the next start finds that out.
            return true;
        }
        return true;
    }

    /** The same after other work: what cannot go in goes on waiting, and is no failure of the work it waited for. */
    void tryBringIn(Taking taking) {
        try {
            bringIn(taking);
        } catch (JournalException e) {
            System.getLogger("mussel").log(System.Logger.Level.WARNING, "Entries go on waiting", e);
        }
    }

    /** The number a job got when it went in, where another had taken its own meanwhile. */
    synchronized int numberOf(int job) {
        return moved.getOrDefault(job, job);
    }

    /**
     * Puts what waits into the logbook when it is opened. What the logbook refuses for its own sake, and would refuse each time, is kept in a file of its
     * own, so that it holds up nothing that comes after it.
     *
     * @return what was set aside and where, in a sentence; empty where nothing was
     */
    synchronized String bringInOrSetAside(Taking taking, Predicate<JournalException> forGood) {
        StringBuilder told = new StringBuilder();
        while (true) {
            try {
                bringIn(taking);
                return told.toString();
            } catch (JournalException e) {
                if (!forGood.test(e)) {
                    throw e;
                }
                Path aside = file.resolveSibling(file.getFileName() + "-refused-" + System.nanoTime());
                byte[] refused = line(json(changes.remove(0)));
                try {
                    Durable.write(aside, out -> out.write(refused));
                } catch (IOException io) {
                    throw new JournalException(
                            TEXT.get("queued_entries.entries_that_wait_in_could_not_3", file, Durable.why(io)), e);
                }
                told.append(TEXT.get("queued_entries.an_entry_made_while_the_logbook"))
                        .append(aside)
                        .append(". ")
                        .append(e.getMessage());
            }
        }
    }

    private static ObjectNode json(Change change) {
        ObjectNode node = Json.mapper().createObjectNode();
        ArrayNode entries = node.putArray("entries");
        for (Entry entry : change.entries()) {
            entries.addObject()
                    .put("seq", entry.seq())
                    .put("job", entry.job())
                    .put("at", entry.at().toString())
                    .put("by", entry.by())
                    .put("fact", FactJson.write(entry.fact()));
        }
        node.set("settings", Json.mapper().valueToTree(change.settings()));
        node.set("sheets", Json.mapper().valueToTree(change.sheets()));
        return node;
    }

    private static Change change(JsonNode node) {
        List<Entry> entries = new ArrayList<>();
        node.path("entries")
                .forEach(e -> entries.add(new Entry(
                        e.path("seq").asLong(),
                        e.path("job").asInt(),
                        Instant.parse(e.path("at").asText()),
                        e.path("by").asText(),
                        FactText.read(e.path("fact").asText()))));
        return new Change(List.copyOf(entries), texts(node.path("settings")), texts(node.path("sheets")));
    }

    private static Map<String, String> texts(JsonNode node) {
        return node.isObject()
                ? Json.mapper().convertValue(node, new TypeReference<LinkedHashMap<String, String>>() {})
                : Map.of();
    }
}
