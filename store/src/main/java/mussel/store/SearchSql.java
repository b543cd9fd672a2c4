package mussel.store;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import mussel.core.book.LogBook;
import mussel.core.book.LogBook.Query;
import mussel.core.book.LogBook.State;

/** What a search asks of SQLite's full text index. */
public final class SearchSql {
    private SearchSql() {}

    /** The statement; where {@link #match} is not empty it is its one parameter. */
    static String of(Query query) {
        String columns = "SELECT v.job, v.leg, v.title, v.named, v.day, v.tagged, ";
        if (match(query).isEmpty()) {
            return columns + "'' FROM visit v ORDER BY v.job DESC LIMIT " + LogBook.MOST_FOUND;
        }
        String snippet = words(query.text()).isEmpty() ? "''" : "snippet(search, 0, '[', ']', '…', 10)";
        return columns + snippet + " FROM search JOIN visit v ON v.job = search.rowid"
                + " WHERE search MATCH ? ORDER BY search.rowid DESC LIMIT " + LogBook.MOST_FOUND;
    }

    /** The same statement as it can be typed into any SQLite shell. */
    public static String typed(Query query) {
        return of(query).replace("?", "'" + match(query).replace("'", "''") + "'") + ";";
    }

    /** One word of the index for one value of a filter. */
    static String mark(String filter, String value) {
        return filter + value.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]", "");
    }

    /** The query in the language of the index: every word, the last one as a beginning; quotes and signs are no operators here. */
    static String match(Query query) {
        List<String> words = words(query.text());
        List<String> parts = new ArrayList<>();
        for (int i = 0; i < words.size(); i++) {
            boolean unfinished = i == words.size() - 1 && query.text().endsWith(words.get(i));
            parts.add("words:\"" + words.get(i) + "\"" + (unfinished ? "*" : ""));
        }
        Stream.of(
                        query.state() == State.ANY
                                ? Optional.<String>empty()
                                : Optional.of(mark("state", query.state().name())),
                        query.family().map(f -> mark("family", f)),
                        query.year().map(y -> mark("year", String.valueOf(y))))
                .flatMap(Optional::stream)
                .forEach(m -> parts.add("marks:" + m));
        return String.join(" AND ", parts);
    }

    private static List<String> words(String text) {
        return Stream.of(text.split("[^\\p{L}\\p{N}]+"))
                .filter(w -> !w.isEmpty())
                .toList();
    }
}
