package mussel.exchange.parts;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Locale;
import java.util.stream.Collectors;
import mussel.core.job.Order;
import mussel.core.job.Supply;
import mussel.exchange.record.Csv;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** An order as CSV by RFC 4180. A cell that a spreadsheet would take for a formula gets an apostrophe before it. */
public final class OrderCsv {
    private OrderCsv() {}

    /** The order's lines with a head line. */
    public static String write(Order order, Supply supply) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter csv = new CSVPrinter(text, CSVFormat.RFC4180)) {
            csv.printRecord("order", "reference", "supplier", "number", "what", "qty", "cost", "due", "simulated");
            for (Order.Line line : order.placed().lines()) {
                String what = line.contains().stream()
                        .map(c -> c.qty() + " x " + supply.title(c.part()))
                        .collect(Collectors.joining("; "));
                csv.printRecord(
                        Csv.plain(order.placed().order()),
                        Csv.plain(order.placed().reference()),
                        Csv.plain(line.supplier()),
                        Csv.plain(line.sku()),
                        Csv.plain(what),
                        line.qty(),
                        String.format(Locale.ROOT, "%.2f", line.cost()),
                        line.due(),
                        order.placed().simulated() ? "yes" : "no");
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }
}
