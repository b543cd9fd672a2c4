package mussel.exchange.log;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.MalformedInputException;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.LongStream;
import mussel.core.book.LogCopy;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.Settings;
import mussel.core.language.Messages;
import mussel.core.measure.Problem;
import mussel.exchange.file.Durable;
import mussel.exchange.job.FactJson;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.sheet.KeptSheet;

/**
 * A log, or some of its jobs, as JSON: every entry as it is in the journal, one a line. What is written and read again is the same. Reading
 * takes all or nothing; what is wrong is told with its line.
 */
public final class LogJson {
    private static final Messages TEXT = Messages.of(LogJson.class);

    /** The name of the format, in each file. */
    public static final String FORMAT = "mussel-log";

    /** Reads one value after the other out of a document. */
    static final ObjectMapper PARTS = Json.mapper().copy().disable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS);
    /**
     * Version 2 carries the head of each job's chain, and how much there is of everything; version 3 the sheets that jobs were worked by and, as
     * job 0, what the yard has decided; version 4 a seal over settings, sheets and heads.
     */
    private static final int VERSION = 4;

    private static final int SEALED = 4;

    private static final int COUNTED = 2;

    private static final int FIRST_VERSION = 1;
    /** The largest number of an entry and of a job that another may follow: 2^53 - 1, which every reader of JSON keeps, and a billion. */
    private static final long MOST_SEQ = (1L << 53) - 1;

    private static final int MOST_JOB = 1_000_000_000;
    private static final int MOST_PROBLEMS = 20;
    private static final int LONGEST_NAME = 200;

    private final JsonParser in;
    private final List<Problem> problems = new ArrayList<>();
    private final Map<String, String> settings = new TreeMap<>();
    private final Consumer<List<Entry>> each;
    private final boolean known;
    private final Set<Integer> numbers = new HashSet<>();
    /** The numbers of all entries; looked through for doubles at the end, since millions of them as objects would fill the memory. */
    private final LongStream.Builder sequence = LongStream.builder();

    private String format = "";
    private int version;
    private long entries;
    private final Sum sum = new Sum();
    private int headless;
    private Optional<Count> counted = Optional.empty();
    private boolean jobsSeen;

    /** How much a file says it holds. */
    private record Count(long jobs, long entries, String seal) {}

    /** The sum over settings, names of sheets and heads of jobs, whatever their order. */
    private static final class Sum {
        private byte[] all = Chain.start();

        void setting(String key, String value) {
            add("setting", key, value);
        }

        void sheet(String name) {
            add("sheet", name);
        }

        void job(int job, String head) {
            add("job", job, head);
        }

        private void add(Object... parts) {
            all = Chain.sum(all, Chain.digest(parts));
        }

        String hex() {
            return HexFormat.of().formatHex(all);
        }
    }

    private LogJson(JsonParser in, Consumer<List<Entry>> each, boolean known) {
        this.in = in;
        this.each = each;
        this.known = known;
    }

    /** Writes a copy as UTF-8; the stream stays open. */
    public static void write(LogCopy copy, OutputStream out) throws IOException {
        write(copy.settings(), copy.jobs(), out);
    }

    /** Writes settings and jobs that go by no kept sheet; the stream stays open. */
    public static void write(Map<String, String> settings, Iterable<List<Entry>> jobs, OutputStream out)
            throws IOException {
        write(settings, Collections.emptyIterator(), jobs, out);
    }

    /** Writes settings, sheets and jobs one after the other, so that a log of any size goes through; the stream stays open. */
    public static void write(
            Map<String, String> settings, Iterator<KeptSheet> sheets, Iterable<List<Entry>> jobs, OutputStream out)
            throws IOException {
        try (JsonGenerator json = Json.mapper().getFactory().createGenerator(out)) {
            json.disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);
            json.writeStartObject();
            json.writeStringField("format", FORMAT);
            json.writeNumberField("version", VERSION);
            Sum sum = new Sum();
            json.writeObjectFieldStart("settings");
            for (Map.Entry<String, String> setting : new TreeMap<>(settings).entrySet()) {
                json.writeStringField(setting.getKey(), setting.getValue());
                sum.setting(setting.getKey(), setting.getValue());
            }
            json.writeEndObject();
            LogSheets.write(json, sheets, sum::sheet);
            json.writeArrayFieldStart("jobs");
            long count = 0;
            long entries = 0;
            for (List<Entry> job : jobs) {
                count++;
                entries += job.size();
                json.writeRaw('\n');
                json.writeStartObject();
                json.writeNumberField("job", job.get(0).job());
                String head = Chain.head(job);
                json.writeStringField("head", head);
                sum.job(job.get(0).job(), head);
                json.writeArrayFieldStart("entries");
                for (Entry entry : job) {
                    json.writeRaw('\n');
                    entry(json, entry);
                }
                json.writeEndArray();
                json.writeEndObject();
            }
            json.writeEndArray();
            json.writeObjectFieldStart("count");
            json.writeNumberField("jobs", count);
            json.writeNumberField("entries", entries);
            json.writeStringField("seal", sum.hex());
            json.writeEndObject();
            json.writeEndObject();
            json.writeRaw('\n');
        }
    }

    private static void entry(JsonGenerator json, Entry entry) throws IOException {
        json.writeStartObject();
        json.writeNumberField("seq", entry.seq());
        json.writeStringField("at", entry.at().toString());
        json.writeStringField("by", entry.by());
        json.writeFieldName("fact");
        json.writeRawValue(FactJson.write(entry.fact()));
        json.writeEndObject();
    }

    /** Reads a log that fits into memory, all of it or nothing. */
    public static Read<LogCopy> read(InputStream utf8) {
        List<List<Entry>> jobs = new ArrayList<>();
        Read<Map<String, String>> settings = walk(utf8, jobs::add);
        return settings.value().isPresent()
                ? Read.of(new LogCopy(settings.value().get(), jobs))
                : new Read<>(Optional.empty(), settings.problems());
    }

    /**
     * Goes through a log of any size and hands over each sound job; the stream stays open. Only when all is sound are the settings returned, and only then may what
     * was handed over be used.
     */
    public static Read<Map<String, String>> walk(InputStream utf8, Consumer<List<Entry>> each) {
        return walk(utf8, each, false);
    }

    /** Goes once more through a log that was found sound: whether each job can be read as a whole is not tried again. */
    public static Read<Map<String, String>> walkAgain(InputStream utf8, Consumer<List<Entry>> each) {
        return walk(utf8, each, true);
    }

    private static Read<Map<String, String>> walk(InputStream utf8, Consumer<List<Entry>> each, boolean known) {
        try (JsonParser parser = PARTS.getFactory().createParser(utf8)) {
            parser.disable(JsonParser.Feature.AUTO_CLOSE_SOURCE);
            LogJson reader = new LogJson(parser, each, known);
            reader.document();
            return reader.problems.isEmpty() ? Read.of(reader.settings) : new Read<>(Optional.empty(), reader.problems);
        } catch (JsonProcessingException e) {
            String line = e.getLocation() == null
                    ? ""
                    : TEXT.get("log_json.line", e.getLocation().getLineNr());
            return new Read<>(
                    Optional.empty(), List.of(new Problem(line, TEXT.get("log_json.is_not_json", Json.plain(e)))));
        } catch (MalformedInputException e) {
            return Read.refused(TEXT.get("log_json.is_not_utf_8_text"));
        } catch (IOException e) {
            return Read.refused(TEXT.get("log_json.cannot_be_read", Durable.why(e)));
        }
    }

    private static String firstLine(String message) {
        String line = message.lines().findFirst().orElse("");
        return line.length() > 160 ? line.substring(0, 160) + "…" : line;
    }

    private void document() throws IOException {
        if (in.nextToken() != JsonToken.START_OBJECT) {
            refuse(TEXT.get("log_json.must_be_an_object_with_format"));
            return;
        }
        while (in.nextToken() == JsonToken.FIELD_NAME && problems.size() < MOST_PROBLEMS) {
            String name = in.currentName();
            JsonToken value = in.nextToken();
            switch (name) {
                case "format" -> format = value == JsonToken.VALUE_STRING ? in.getText() : "";
                case "version" -> version = value == JsonToken.VALUE_NUMBER_INT ? whole(in.getValueAsLong()) : 0;
                case "settings" -> settings(value);
                case LogSheets.FIELD ->
                    LogSheets.walk(in, sheet -> sum.sheet(sheet.name())).ifPresent(this::refuse);
                case "jobs" -> jobs(value);
                case "count" -> counted = count(value);
                default -> {
                    refuse(TEXT.get("log_json.has_which_is_no_field_here", name));
                    in.skipChildren();
                }
            }
        }
        if (problems.isEmpty() && in.nextToken() != null) {
            refuse(TEXT.get("log_json.goes_on_after_its_end"));
        }
        if (!format.equals(FORMAT)) {
            problems.add(0, new Problem("", TEXT.get("log_json.is_no_log_of_mussel_its", FORMAT)));
        } else if (version < FIRST_VERSION || version > VERSION) {
            problems.add(
                    0,
                    new Problem(
                            "",
                            version > VERSION
                                    ? TEXT.get("log_json.is_a_log_of_version_this", version, VERSION)
                                    : TEXT.get("log_json.has_no_version_this_program_knows")));
        } else if (problems.isEmpty()) {
            if (!jobsSeen) {
                problems.add(new Problem("", TEXT.get("log_json.has_no_jobs")));
            }
            doubles();
            complete();
        }
    }

    /** A file that was cut and closed again by hand holds less than it says. */
    private void complete() {
        counted.filter(c -> c.jobs() != numbers.size() || c.entries() != entries)
                .ifPresent(c -> problems.add(new Problem(
                        "",
                        TEXT.get(
                                "log_json.holds_jobs_with_entries_and_says",
                                numbers.size(),
                                entries,
                                c.jobs(),
                                c.entries()))));
        if (version >= COUNTED && counted.isEmpty()) {
            problems.add(new Problem("", TEXT.get("log_json.does_not_say_how_much_it")));
        }
        if (version >= COUNTED && headless > 0) {
            problems.add(new Problem(
                    "",
                    headless == 1
                            ? TEXT.get("log_json.has_a_job_without_a_head")
                            : TEXT.get("log_json.has_jobs_without_a_head_somebody", headless)));
        }
        if (version >= SEALED && problems.isEmpty() && !counted.get().seal().equals(sum.hex())) {
            problems.add(new Problem("", TEXT.get("log_json.is_not_as_it_was_written")));
        }
    }

    private Optional<Count> count(JsonToken begin) throws IOException {
        JsonNode tree = begin == JsonToken.START_OBJECT ? in.readValueAsTree() : null;
        if (tree == null
                || tree.size() != (tree.path("seal").isTextual() ? 3 : 2)
                || !tree.path("jobs").isIntegralNumber()
                || !tree.path("entries").isIntegralNumber()) {
            refuse(TEXT.get("log_json.count_has_two_whole_numbers_jobs"));
            in.skipChildren();
            return Optional.empty();
        }
        return Optional.of(new Count(
                tree.get("jobs").longValue(),
                tree.get("entries").longValue(),
                tree.path("seal").asText()));
    }

    private void doubles() {
        long[] sorted = sequence.build().sorted().toArray();
        for (int i = 1; i < sorted.length && problems.size() < MOST_PROBLEMS; i++) {
            if (sorted[i] == sorted[i - 1]) {
                problems.add(new Problem("", TEXT.get("log_json.has_two_entries_with_the_number", sorted[i])));
            }
        }
    }

    private static int number(long value) {
        return value == (int) value ? (int) value : -1;
    }

    private static int whole(long value) {
        return value == (int) value ? (int) value : 0;
    }

    private void refuse(String problem) {
        refuse(in.currentLocation().getLineNr(), problem);
    }

    private void refuse(int line, String problem) {
        if (problems.size() < MOST_PROBLEMS) {
            problems.add(new Problem(TEXT.get("log_json.line", line), problem));
        }
    }

    private void settings(JsonToken begin) throws IOException {
        if (begin != JsonToken.START_OBJECT) {
            refuse(TEXT.get("log_json.settings_must_be_an_object_of"));
            in.skipChildren();
            return;
        }
        while (in.nextToken() == JsonToken.FIELD_NAME) {
            String key = in.currentName();
            if (in.nextToken() == JsonToken.VALUE_STRING) {
                String value = in.getText();
                Settings.problem(key, value).ifPresent(why -> refuse(TEXT.get("log_json.the_setting", key, why)));
                settings.put(key, value);
                sum.setting(key, value);
            } else {
                refuse(TEXT.get("log_json.the_setting_must_be_a_text", key));
                in.skipChildren();
            }
        }
    }

    private void jobs(JsonToken begin) throws IOException {
        jobsSeen = true;
        if (begin != JsonToken.START_ARRAY) {
            refuse(TEXT.get("log_json.jobs_must_be_a_list"));
            in.skipChildren();
            return;
        }
        while (in.nextToken() != JsonToken.END_ARRAY && in.currentToken() != null) {
            if (in.currentToken() == JsonToken.START_OBJECT) {
                job();
            } else {
                refuse(TEXT.get("log_json.a_job_must_be_an_object"));
                in.skipChildren();
            }
        }
    }

    private void job() throws IOException {
        int begins = in.currentLocation().getLineNr();
        int job = -1;
        String head = "";
        List<Line> lines = new ArrayList<>();
        while (in.nextToken() == JsonToken.FIELD_NAME) {
            String name = in.currentName();
            JsonToken value = in.nextToken();
            if (name.equals("job") && value == JsonToken.VALUE_NUMBER_INT) {
                job = in.getNumberType() == JsonParser.NumberType.BIG_INTEGER ? -1 : number(in.getLongValue());
            } else if (name.equals("head") && value == JsonToken.VALUE_STRING) {
                head = in.getText();
            } else if (name.equals("entries") && value == JsonToken.START_ARRAY) {
                while (in.nextToken() != JsonToken.END_ARRAY && in.currentToken() != null) {
                    lines.add(new Line(in.currentLocation().getLineNr(), in.readValueAsTree()));
                }
            } else {
                refuse(TEXT.get("log_json.a_job_has_a_number_as"));
                in.skipChildren();
            }
        }
        if (job < Journal.YARD || job > MOST_JOB || !numbers.add(job)) {
            refuse(begins, TEXT.get("log_json.a_jobs_number_must_be_its", MOST_JOB));
        } else if (lines.isEmpty()) {
            refuse(begins, TEXT.get("log_json.job_has_no_entries", job));
        } else {
            entries(begins, job, head, lines);
        }
    }

    /** An entry as a tree with the line it begins on. */
    private record Line(int line, JsonNode tree) {}

    private void entries(int begins, int job, String head, List<Line> lines) {
        int before = problems.size();
        entries += lines.size();
        FactRules rules = new FactRules(job == Journal.YARD);
        List<Entry> entries = new ArrayList<>();
        for (Line line : lines) {
            Optional<Entry> entry = entry(line, job);
            entry.flatMap(e -> rules.problem(e.seq(), e.fact())).ifPresent(p -> refuse(line.line(), p));
            entry.ifPresent(entries::add);
        }
        if (problems.size() == before) {
            String is = Chain.head(entries);
            sum.job(job, is);
            headless += head.isEmpty() ? 1 : 0;
            if (!head.isEmpty() && !head.equals(is)) {
                refuse(begins, TEXT.get("log_json.job_is_not_as_it_was", job));
            } else if (known || job == Journal.YARD || folds(entries)) {
                each.accept(entries);
            } else {
                refuse(begins, TEXT.get("log_json.job_cannot_be_read_as_a", job));
            }
        }
    }

    /** Whether a job comes of them: the last gate before anything is taken in, whatever the rules above have missed. */
    private static boolean folds(List<Entry> entries) {
        try {
            return Folding.works(Job.of(entries));
        } catch (RuntimeException e) {
            return false;
        }
    }

    private Optional<Entry> entry(Line line, int job) {
        JsonNode tree = line.tree();
        Set<String> names = new HashSet<>();
        tree.fieldNames().forEachRemaining(names::add);
        if (!tree.isObject() || !names.equals(Set.of("seq", "at", "by", "fact"))) {
            refuse(line.line(), TEXT.get("log_json.an_entry_has_seq_at_by"));
            return Optional.empty();
        }
        JsonNode by = tree.get("by");
        boolean sound = tree.get("seq").isIntegralNumber()
                && tree.get("seq").canConvertToLong()
                && tree.get("seq").longValue() > 0
                && tree.get("seq").longValue() <= MOST_SEQ
                && tree.get("at").isTextual()
                && by.isTextual()
                && by.textValue().length() <= LONGEST_NAME;
        if (!sound) {
            refuse(line.line(), TEXT.get("log_json.seq_must_be_a_number_of", MOST_SEQ));
            return Optional.empty();
        }
        sequence.add(tree.get("seq").longValue());
        try {
            Instant at = Instant.parse(tree.get("at").textValue());
            Fact fact = FactJson.strict(tree.get("fact"));
            return Optional.of(new Entry(tree.get("seq").longValue(), job, at, by.textValue(), fact));
        } catch (DateTimeException e) {
            refuse(line.line(), TEXT.get("log_json.at_must_be_a_time_like"));
        } catch (IllegalArgumentException e) {
            refuse(line.line(), firstLine(e.getMessage()));
        }
        return Optional.empty();
    }
}
