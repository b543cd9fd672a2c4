package mussel.core.yard;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mussel.core.measure.Kind;

/**
 * Some of what a yard decides: lines of the same columns, or a single line.
 *
 * @param id its id
 * @param thing the thing of the yard it belongs to, as the yard's sheet names it: what is decided at once
 * @param title what it is
 * @param at its place in the yard's sheet, as a JSON Pointer
 * @param many whether there may be several lines, or none
 * @param columns what stands in a line
 * @param note what is to be known of it; empty where nothing is
 */
public record YardTable(
        String id, String thing, String title, String at, boolean many, List<Column> columns, String note) {
    /** Keeps its own copy. */
    public YardTable {
        columns = List.copyOf(columns);
    }

    /** A line as it is read: bare figures with what they are, nothing where there is none of a thing. */
    public String inWords(List<String> cells) {
        List<String> said = new ArrayList<>();
        for (int i = 0; i < cells.size(); i++) {
            Column column = columns.get(i);
            String cell = cells.get(i);
            boolean none = many && (cell.equals("0") || cell.startsWith("0 "));
            if (cell.isBlank() || none) {
                continue;
            }
            said.add(
                    switch (column.as()) {
                        case NUMBER, SHARES -> column.title() + " " + cell;
                        case WORD -> cell.replace('_', ' ');
                        default -> cell;
                    });
        }
        return String.join(", ", said);
    }

    /** How a column is written. */
    public enum As {
        /** Words. */
        TEXT,
        /** A code in capitals. */
        CODE,
        /** A figure of a kind, in any unit; a bare one is in the yard's. */
        FIGURE,
        /** A bare figure. */
        NUMBER,
        /** A share, written as per cent. */
        SHARE,
        /** Several shares, written as per cent one after another. */
        SHARES,
        /** A time of day, written 8:30. */
        CLOCK,
        /** One of some words. */
        WORD
    }

    /**
     * A column.
     *
     * @param at its place in the line, as a JSON Pointer; empty where the line is nothing else
     * @param title what it is
     * @param example how it is written
     * @param as how it is written
     * @param kind of a figure; empty of anything else
     * @param words of a word, as they are kept; empty of anything else
     */
    public record Column(String at, String title, String example, As as, Optional<Kind> kind, List<String> words) {
        /** Keeps its own copy. */
        public Column {
            words = List.copyOf(words);
        }

        /** A column of words. */
        public static Column text(String at, String title, String example) {
            return new Column(at, title, example, As.TEXT, Optional.empty(), List.of());
        }

        /** A column of figures of a kind. */
        public static Column figure(String at, String title, String example, Kind kind) {
            return new Column(at, title, example, As.FIGURE, Optional.of(kind), List.of());
        }

        /** A column of figures without a kind, written so. */
        public static Column bare(String at, String title, String example, As as) {
            return new Column(at, title, example, as, Optional.empty(), List.of());
        }

        /** A column of one of some words. */
        public static Column word(String at, String title, List<String> words) {
            return new Column(at, title, "", As.WORD, Optional.empty(), words);
        }
    }
}
