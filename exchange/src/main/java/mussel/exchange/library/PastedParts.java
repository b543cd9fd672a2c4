package mussel.exchange.library;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import mussel.core.sheet.Part;
import mussel.core.sheet.SpecSheet;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Lines of a parts list as a spreadsheet gives them when they are copied: number, name, how many, with tabs, semicolons or commas between. A line names
 * the part most of whose words it has; one that fits two parts alike names neither.
 */
public final class PastedParts {
    private static final int MOST_LINES = 500;
    private static final double LEAST_ALIKE = 0.55;
    private static final Set<String> NO_WORDS = Set.of("of", "the", "for", "a", "set", "assy", "kit");

    private PastedParts() {}

    /**
     * A line.
     *
     * @param text as it came
     * @param number the number in it
     * @param part the part it names; empty where no part of the leg is called so
     */
    public record Line(String text, String number, Optional<Part> part) {}

    /** Reads the lines of a text; the first five hundred of more. Lines without a number and a name are left out, as headings are. */
    public static List<Line> read(SpecSheet sheet, String text) {
        char between = text.indexOf('\t') >= 0 ? '\t' : text.indexOf(';') >= 0 ? ';' : ',';
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(between)
                .setIgnoreSurroundingSpaces(true)
                .setQuote(null)
                .get();
        try (CSVParser rows = CSVParser.parse(new StringReader(text), format)) {
            return StreamSupport.stream(rows.spliterator(), false)
                    .limit(MOST_LINES)
                    .filter(PastedParts::isPart)
                    .map(row -> line(sheet, row))
                    .toList();
        } catch (IOException e) {
            throw new IllegalStateException("a text in memory cannot be read", e);
        }
    }

    /** A number has a figure in it, a name has a letter. */
    private static boolean isPart(CSVRecord row) {
        return row.size() >= 2
                && row.get(0).chars().anyMatch(Character::isDigit)
                && row.get(0).length() <= 40
                && row.get(1).chars().anyMatch(Character::isLetter);
    }

    private static Line line(SpecSheet sheet, CSVRecord row) {
        return new Line(row.stream().collect(Collectors.joining(", ")), row.get(0), named(sheet, row.get(1)));
    }

    /** The part of a leg that somebody means by a name; empty where none is called so, or two are alike. */
    static Optional<Part> named(SpecSheet sheet, String name) {
        Set<String> words = words(name);
        List<Part> parts = new ArrayList<>(sheet.parts());
        parts.sort(Comparator.comparingDouble((Part p) -> -alike(words, words(p.title()))));
        double best = alike(words, words(parts.get(0).title()));
        boolean alone = parts.size() == 1 || alike(words, words(parts.get(1).title())) < best;
        return best >= LEAST_ALIKE && alone ? Optional.of(parts.get(0)) : Optional.empty();
    }

    /** The share of words both have among those either has (Jaccard). */
    private static double alike(Set<String> one, Set<String> other) {
        Set<String> both = new HashSet<>(one);
        both.retainAll(other);
        Set<String> either = new HashSet<>(one);
        either.addAll(other);
        return either.isEmpty() ? 0 : (double) both.size() / either.size();
    }

    private static Set<String> words(String name) {
        return Arrays.stream(
                        name.toLowerCase(Locale.ROOT).replace("o-ring", "oring").split("[^\\p{L}0-9]+"))
                .map(w -> w.length() > 3 && w.endsWith("s") ? w.substring(0, w.length() - 1) : w)
                .filter(w -> !w.isEmpty() && !NO_WORDS.contains(w))
                .collect(Collectors.toSet());
    }
}
