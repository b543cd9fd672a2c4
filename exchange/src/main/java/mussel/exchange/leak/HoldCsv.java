package mussel.exchange.leak;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mussel.core.language.Messages;
import mussel.core.leak.LeakInput;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.core.measure.Kind;
import mussel.core.measure.Problem;
import mussel.core.measure.UnitSymbol;
import mussel.core.measure.UnitTable;
import mussel.exchange.file.InFile;
import mussel.exchange.record.Read;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Reads a hold from a CSV file (RFC 4180, with commas, semicolons or tabs; decimal points or commas; with or without a byte order mark).
 * The first line names three columns, each with its unit: {@code time (s), pressure (kPa), temperature (°C)}. All of it is read, or nothing:
 * what cannot be read is refused with its line.
 */
public final class HoldCsv {
    private static final Messages TEXT = Messages.of(HoldCsv.class);

    /** The most bytes a file may have. */
    public static final int MOST_BYTES = 16 * 1024 * 1024;
    /** The most readings a hold may have: ten a second for over two hours and a half. */
    public static final int MOST_READINGS = 100_000;

    /** Three cells a line, with room for words in the first. */
    private static final int MOST_IN_A_LINE = 10_000;

    private static final Pattern UNIT = Pattern.compile(".*?(?:[(\\[]([^)\\]]+)[)\\]]|[_ ]([^_ (\\[]+))\\s*");
    private static final Pattern CLOCK = Pattern.compile("(?:(\\d{1,3}):)?(\\d{1,2}):(\\d{2}(?:[.,]\\d+)?)");
    private static final double SECONDS = 60;
    private static final int LONGEST_HEAD = 200;

    private final List<LeakReading> readings = new ArrayList<>();
    private Column time;
    private Column pressure;
    private Column temperature;

    /** What was read of a hold. */
    public record Imported(LeakMode mode, List<LeakReading> readings) {
        /** Keeps its own copy. */
        public Imported {
            readings = List.copyOf(readings);
        }
    }

    /** A column with its unit. */
    private record Column(int at, UnitSymbol unit) {}

    private static final class Refused extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Refused(long line, String why) {
            super(TEXT.get("hold_csv.line", line, why), null, false, false);
        }
    }

    private HoldCsv() {}

    /** Reads a file's bytes, or says on which line it stopped being readable. */
    public static Read<Imported> read(byte[] bytes) {
        if (bytes.length > MOST_BYTES) {
            return Read.refused(
                    TEXT.get("hold_csv.is_a_hold_has_at_most", InFile.size(bytes.length), InFile.size(MOST_BYTES)));
        }
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
            tooLong(text);
            return Read.of(new HoldCsv().parse(text.startsWith("\ufeff") ? text.substring(1) : text));
        } catch (CharacterCodingException e) {
            return Read.refused(TEXT.get("hold_csv.is_not_utf_8_text_save"));
        } catch (Refused e) {
            return new Read<>(Optional.empty(), List.of(new Problem("", e.getMessage())));
        } catch (UncheckedIOException | IOException | IllegalStateException e) {
            return Read.refused(TEXT.get("hold_csv.is_not_csv_check_its_quotation"));
        }
    }

    /** A line of many cells would be held in memory whole before anybody asks how many there are. */
    private static void tooLong(String text) {
        int from = 0;
        for (long line = 1; from < text.length(); line++) {
            int end = text.indexOf('\n', from);
            int length = (end < 0 ? text.length() : end) - from;
            if (length > MOST_IN_A_LINE) {
                throw new Refused(line, TEXT.get("hold_csv.has_characters_a_line_has_at", length, MOST_IN_A_LINE));
            }
            from += length + 1;
        }
    }

    private Imported parse(String text) throws IOException {
        char separator = separator(text);
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator)
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            boolean headed = false;
            for (CSVRecord line : parser) {
                if (!headed) {
                    head(line, parser.getCurrentLineNumber());
                    headed = true;
                } else {
                    take(line, parser.getCurrentLineNumber());
                }
            }
            if (!headed) {
                throw new Refused(1, TEXT.get("hold_csv.is_missing_the_file_is_empty"));
            }
        }
        if (readings.size() < LeakInput.LEAST_USED) {
            throw new Refused(
                    readings.size() + 1L,
                    TEXT.get("hold_csv.is_the_last_readings_and_at", readings.size(), LeakInput.LEAST_USED));
        }
        return new Imported(readings.get(0).gaugeKpa() > 0 ? LeakMode.PRESSURE : LeakMode.VACUUM, readings);
    }

    /** The separator that stands most often in the first line; semicolons and tabs before commas, which may be decimal. */
    private static char separator(String text) {
        String head = text.lines().findFirst().orElse("");
        if (head.indexOf('\t') >= 0) {
            return '\t';
        }
        return head.indexOf(';') >= 0 ? ';' : ',';
    }

    private void head(CSVRecord line, long number) {
        time = column(line, number, "time", Set.of("t"), Kind.DURATION, "time (s)");
        pressure = column(line, number, "pressure", Set.of("gauge", "p"), Kind.PRESSURE, "pressure (kPa)");
        temperature = column(line, number, "temp", Set.of("case"), Kind.TEMPERATURE, "temperature (°C)");
    }

    private static Column column(
            CSVRecord line, long number, String word, Set<String> others, Kind kind, String example) {
        for (int i = 0; i < line.size(); i++) {
            if (line.get(i).length() > LONGEST_HEAD) {
                throw new Refused(number, TEXT.get("hold_csv.names_a_column_with_more_than", LONGEST_HEAD));
            }
            String head = line.get(i).toLowerCase(Locale.ROOT).strip();
            if (head.startsWith(word) || others.contains(head.split("[\\s_(\\[]", 2)[0])) {
                Matcher unit = UNIT.matcher(line.get(i).strip());
                String spelled = unit.matches() ? unit.group(1) != null ? unit.group(1) : unit.group(2) : "";
                Optional<UnitSymbol> known =
                        spelled.isEmpty() ? Optional.empty() : UnitTable.find(spelled.strip(), kind);
                if (known.isEmpty()) {
                    throw new Refused(
                            number, TEXT.get("hold_csv.names_the_column_without_a_unit", line.get(i), example));
                }
                return new Column(i, known.get());
            }
        }
        throw new Refused(number, TEXT.get("hold_csv.names_no_column_for_the_write", word, example));
    }

    private void take(CSVRecord line, long number) {
        if (readings.size() == MOST_READINGS) {
            throw new Refused(number, TEXT.get("hold_csv.is_one_too_many_a_hold", MOST_READINGS));
        }
        double seconds = SECONDS * value(line, number, time, "time");
        double kpa = value(line, number, pressure, "pressure");
        double tempC = value(line, number, temperature, "temperature");
        if (kpa == 0) {
            throw new Refused(number, TEXT.get("hold_csv.has_a_gauge_at_zero_nothing"));
        }
        if (Math.abs(kpa) > 1_000 || tempC < -60 || tempC > 150 || seconds < 0) {
            throw new Refused(number, TEXT.get("hold_csv.holds_what_no_leak_test_shows"));
        }
        if (!readings.isEmpty()) {
            LeakReading before = readings.get(readings.size() - 1);
            if (seconds <= before.tS()) {
                throw new Refused(number, TEXT.get("hold_csv.runs_backwards_its_time_is_not"));
            }
            if (kpa > 0 != before.gaugeKpa() > 0) {
                throw new Refused(number, TEXT.get("hold_csv.changes_sign_a_file_holds_pressure"));
            }
        }
        readings.add(new LeakReading(seconds, kpa, tempC, Optional.empty()));
    }

    /** A cell in its column's canonical unit. */
    private static double value(CSVRecord line, long number, Column column, String what) {
        String cell = column.at() < line.size() ? line.get(column.at()).strip() : "";
        if (cell.isEmpty()) {
            throw new Refused(number, TEXT.get("hold_csv.has_no_fill_the_gap_or", what));
        }
        Matcher clock = CLOCK.matcher(cell);
        if (column.unit().kind() == Kind.DURATION && clock.matches()) {
            double hours = clock.group(1) == null ? 0 : Double.parseDouble(clock.group(1));
            return hours * 60
                    + Double.parseDouble(clock.group(2))
                    + Double.parseDouble(clock.group(3).replace(',', '.')) / SECONDS;
        }
        String plain = cell.replace('−', '-');
        boolean decimalComma = plain.indexOf(',') >= 0 && plain.indexOf(',') == plain.lastIndexOf(',');
        if (decimalComma && plain.indexOf('.') >= 0) {
            throw new Refused(number, TEXT.get("hold_csv.has_with_two_decimal_marks", cell));
        }
        try {
            double figure = Double.parseDouble(decimalComma ? plain.replace(',', '.') : plain);
            if (!Double.isFinite(figure) || !plain.matches("[-+]?[0-9.,]+(?:[eE][-+]?[0-9]+)?")) {
                throw new NumberFormatException(cell);
            }
            return column.unit().toCanonical(figure);
        } catch (NumberFormatException e) {
            throw new Refused(number, TEXT.get("hold_csv.has_where_the_goes_type_a", cell, what));
        }
    }
}
