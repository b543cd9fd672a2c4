package mussel.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import mussel.core.book.LogBook;
import mussel.store.SearchSql;

/** The same searches in the shell that comes with SQLite, as its own timer tells. */
final class SqliteShell {
    private static final Pattern TIME = Pattern.compile("(?m)^Run Time: real ([0-9.]+) user");

    private SqliteShell() {}

    /** How long each query took (ms), each asked once before; one figure that is none where there is no shell on this machine. */
    static double[] timed(Path log, List<LogBook.Query> queries) throws InterruptedException {
        StringBuilder script = new StringBuilder(".mode list\n");
        queries.forEach(q -> script.append(SearchSql.typed(q)).append('\n'));
        script.append(".timer on\n");
        queries.forEach(q -> script.append(SearchSql.typed(q)).append('\n'));
        try {
            Path typed = Files.createTempFile("mussel-shell", ".sql");
            Path told = Files.createTempFile("mussel-shell", ".txt");
            Files.writeString(typed, script);
            int end = new ProcessBuilder("sqlite3", "-readonly", log.toString())
                    .redirectInput(typed.toFile())
                    .redirectOutput(told.toFile())
                    .redirectError(ProcessBuilder.Redirect.INHERIT)
                    .start()
                    .waitFor();
            double[] ms = TIME.matcher(Files.readString(told, StandardCharsets.UTF_8))
                    .results()
                    .mapToDouble(m -> 1_000 * Double.parseDouble(m.group(1)))
                    .toArray();
            return end == 0 && ms.length == queries.size() ? ms : new double[] {Double.NaN};
        } catch (IOException e) {
            System.err.println("There is no sqlite3 shell to compare with: " + e.getMessage());
            return new double[] {Double.NaN};
        }
    }
}
