package mussel.exchange.parts;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CoderResult;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.core.parts.PriceColumn;
import mussel.core.parts.PriceHead;
import mussel.core.parts.PriceList;
import mussel.core.parts.PriceQuestion;
import mussel.exchange.file.InFile;
import mussel.exchange.record.Read;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A supplier's price list as CSV: with commas, semicolons, tabs or bars; in UTF-8, UTF-16 with its mark, or what old programs write (Windows-1252), which is said. Its
 * head is the first line with two columns or more.
 */
public final class PriceListFile {
    private static final Messages TEXT = Messages.of(PriceListFile.class);

    private static final long MOST_BYTES = 32L * 1024 * 1024;
    private static final int MOST_IN_A_LINE = 1_000_000;
    private static final int MOST_LINES = 500_000;
    private static final String SEPARATORS = ",;\t|";
    private static final Charset OLD = Charset.forName("windows-1252");
    private static final int FIRST = 3;
    private static final int PACE = 2_000;

    private static final Map<PriceColumn, List<String>> WORDS = new EnumMap<>(Map.of(
            PriceColumn.NUMBER,
            List.of("number", "part", "art", "sku", "item", "code", "nr", "no"),
            PriceColumn.PRICE,
            List.of("net", "price", "preis", "pris", "prix", "each", "cost"),
            PriceColumn.PACK,
            List.of("pack", "per", "unit", "content"),
            PriceColumn.STOCK,
            List.of("stock", "avail", "hand", "lager"),
            PriceColumn.DAYS,
            List.of("day", "lead", "deliver", "transit")));

    private final Path file;
    private final List<String> told = new ArrayList<>();
    private final String text;

    private PriceListFile(Path file) {
        this.file = file;
        Read<byte[]> bytes = InFile.bytes(file, MOST_BYTES);
        text = decoded(
                bytes.value().orElseThrow(() -> refused(bytes.problems().get(0).problem())));
        int line = 1;
        for (int from = 0; from < text.length(); line++) {
            int end = text.indexOf('\n', from);
            int to = end < 0 ? text.length() : end;
            if (to - from > MOST_IN_A_LINE) {
                throw refused(TEXT.get("price_list_file.has_a_line_of_more_than", line));
            }
            from = to + 1;
        }
        if (line > MOST_LINES) {
            throw refused(TEXT.get("price_list_file.has_more_than_lines_split_it", MOST_LINES));
        }
    }

    private JournalException refused(String why) {
        return new JournalException(TEXT.get("price_list_file.nothing_of_it_was_taken_in", file.getFileName(), why));
    }

    /**
     * How a list begins.
     *
     * @param remembered how its columns were headed the last time, by the names of what stands in them
     * @throws JournalException with a sentence when it is no list
     */
    public static PriceHead head(Path file, Map<String, String> remembered) {
        PriceListFile list = new PriceListFile(file);
        try (CSVParser parser = list.parser()) {
            List<String> head = null;
            List<List<String>> first = new ArrayList<>();
            for (CSVRecord line : parser) {
                if (head == null) {
                    head = headed(line) ? List.of(line.values()) : null;
                } else if (first.size() < FIRST) {
                    first.add(List.of(line.values()));
                } else {
                    break;
                }
            }
            if (head == null) {
                throw list.refused(TEXT.get("price_list_file.has_no_line_with_two_columns"));
            }
            return new PriceHead(head, guess(head, remembered), first, list.told);
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            throw list.refused(TEXT.get("price_list_file.is_not_csv_check_its_quotation"));
        }
    }

    /**
     * Reads a list.
     *
     * @param goOn told how many lines were read, now and then; false to stop
     * @throws JournalException with a sentence when a column is missing, it is no list, or it was stopped
     */
    public static PriceList read(Path file, PriceQuestion asked, IntPredicate goOn) {
        PriceListFile list = new PriceListFile(file);
        PriceRows rows = null;
        long at = 1;
        try (CSVParser parser = list.parser()) {
            for (CSVRecord line : parser) {
                at = parser.getCurrentLineNumber();
                if (rows == null) {
                    rows = headed(line)
                            ? new PriceRows(asked, list.places(line, asked, at), filled(line), list.told)
                            : null;
                    continue;
                }
                rows.add(line, at);
                if (rows.read() % PACE == 0 && !goOn.test(rows.read())) {
                    throw new JournalException(
                            TEXT.get("price_list_file.stopped_nothing_of_was_taken_in", file.getFileName()));
                }
            }
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            throw list.refused(TEXT.get("price_list_file.is_not_csv_from_line_on", at));
        }
        if (rows == null) {
            throw list.refused(TEXT.get("price_list_file.has_no_line_with_two_columns"));
        }
        return rows.result();
    }

    private CSVParser parser() throws IOException {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator())
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get();
        return CSVParser.parse(new StringReader(text), format);
    }

    /** How many columns a line has, empty ones at its end aside. */
    private static int filled(CSVRecord line) {
        int count = line.size();
        while (count > 0 && line.get(count - 1).isBlank()) {
            count--;
        }
        return count;
    }

    private static boolean headed(CSVRecord line) {
        return line.stream().filter(c -> !c.isBlank()).count() > 1;
    }

    /** What separates columns: what stands oftenest in the first line that has any of them. */
    private char separator() {
        for (String line : (Iterable<String>) text.lines().limit(40)::iterator) {
            char best = ',';
            long most = 0;
            for (char each : SEPARATORS.toCharArray()) {
                long count = line.chars().filter(c -> c == each).count();
                if (count > most) {
                    best = each;
                    most = count;
                }
            }
            if (most > 0) {
                return best;
            }
        }
        return ',';
    }

    private String decoded(byte[] bytes) {
        if (bytes.length > 1
                && (bytes[0] == (byte) 0xff && bytes[1] == (byte) 0xfe
                        || bytes[0] == (byte) 0xfe && bytes[1] == (byte) 0xff)) {
            return bare(new String(bytes, StandardCharsets.UTF_16));
        }
        CharsetDecoder strict = StandardCharsets.UTF_8.newDecoder();
        ByteBuffer in = ByteBuffer.wrap(bytes);
        CharBuffer out = CharBuffer.allocate(bytes.length + 1);
        CoderResult result = strict.decode(in, out, true);
        if (!result.isError()) {
            out.flip();
            return bare(out.toString());
        }
        int line = 1;
        for (int i = 0; i < in.position(); i++) {
            line += bytes[i] == '\n' ? 1 : 0;
        }
        told.add(TEXT.get("price_list_file.line_is_no_utf_8_the", line));
        return new String(bytes, OLD);
    }

    private static String bare(String text) {
        return text.startsWith("\ufeff") ? text.substring(1) : text;
    }

    /** Where the columns asked for stand. */
    private Map<PriceColumn, Integer> places(CSVRecord head, PriceQuestion asked, long line) {
        Map<PriceColumn, Integer> places = new EnumMap<>(PriceColumn.class);
        List<String> missing = new ArrayList<>();
        asked.columns().forEach((column, name) -> {
            for (int i = 0; i < head.size(); i++) {
                if (head.get(i).equalsIgnoreCase(name.strip()) && places.put(column, i) != null) {
                    throw refused(TEXT.get("price_list_file.has_two_columns_with_the_name", name.strip(), line));
                }
            }
            if (!places.containsKey(column)) {
                missing.add("“" + name + "”");
            }
        });
        if (!missing.isEmpty()) {
            throw refused(TEXT.get(
                    "price_list_file.has_no_column_in_its_head",
                    String.join(", ", missing),
                    line,
                    String.join(", ", head.values())));
        }
        for (PriceColumn column : PriceColumn.values()) {
            if (column.needed() && !places.containsKey(column)) {
                throw refused(TEXT.get(
                        "price_list_file.needs_the_column_of_its_said",
                        (column == PriceColumn.NUMBER ? "numbers" : "prices")));
            }
        }
        return places;
    }

    /** Which column is what: as it was the last time, else as its name says; none is two things. */
    private static Map<PriceColumn, String> guess(List<String> head, Map<String, String> remembered) {
        Map<PriceColumn, String> guessed = new EnumMap<>(PriceColumn.class);
        Set<String> used = new HashSet<>();
        for (PriceColumn column : PriceColumn.values()) {
            String name = remembered.getOrDefault(column.name().toLowerCase(Locale.ROOT), "");
            head.stream()
                    .filter(h -> !name.isEmpty() && h.equalsIgnoreCase(name))
                    .findFirst()
                    .ifPresent(h -> {
                        guessed.put(column, h);
                        used.add(h);
                    });
        }
        for (PriceColumn column : PriceColumn.values()) {
            if (!guessed.containsKey(column) && remembered.isEmpty()) {
                named(head, used, WORDS.get(column)).ifPresent(h -> {
                    guessed.put(column, h);
                    used.add(h);
                });
            }
        }
        return guessed;
    }

    private static Optional<String> named(List<String> head, Set<String> used, List<String> words) {
        return words.stream()
                .flatMap(word -> head.stream()
                        .filter(h -> !h.isBlank() && !used.contains(h))
                        .filter(h -> (" " + h.toLowerCase(Locale.ROOT)).matches(".*[^\\p{L}]" + word + ".*")))
                .findFirst();
    }
}
