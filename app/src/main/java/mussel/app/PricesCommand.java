package mussel.app;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.Callable;
import java.util.function.Predicate;
import mussel.core.book.OpenLog;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.core.measure.DecimalMark;
import mussel.core.measure.Money;
import mussel.core.parts.Price;
import mussel.core.parts.PriceColumn;
import mussel.core.parts.PriceHead;
import mussel.core.parts.PriceLine;
import mussel.core.parts.PriceList;
import mussel.core.parts.PriceQuestion;
import mussel.core.parts.Seller;
import mussel.exchange.parts.PriceListFile;
import mussel.exchange.record.Json;
import mussel.work.shop.Workshop;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.ParentCommand;
import picocli.CommandLine.Spec;

@Command(
        name = "prices",
        mixinStandardHelpOptions = true,
        description = "Shows what would be read from a supplier's price list, line by line. Nothing is changed.")
final class PricesCommand implements Callable<Integer> {
    private static final Messages TEXT = Messages.of(PricesCommand.class);

    @ParentCommand
    private Main main;

    @Parameters(paramLabel = "LIST", description = "the price list (CSV)")
    private Path list;

    @Option(names = "--supplier", required = true, paramLabel = "NAME", description = "whose list it is")
    private String supplier;

    @Option(
            names = "--currency",
            paramLabel = "C",
            description = "the list's currency, like EUR (default: the supplier's, else the yard's)")
    private Optional<String> currency;

    @Option(
            names = "--columns",
            split = ",",
            paramLabel = "COLUMN=NAME",
            description =
                    "how its columns are named, like number=Art,price=Net; also pack, stock and days (default: by their names)")
    private Map<String, String> columns = new LinkedHashMap<>();

    @Option(
            names = "--decimal",
            paramLabel = "MARK",
            description = "the mark before decimals, point or comma (default: as the prices tell)")
    private Optional<DecimalMark> decimal;

    @Option(names = "--json", description = "as JSON")
    private boolean json;

    @Spec
    private CommandSpec spec;

    /** What is known of the supplier and of prices here. */
    private record Known(Seller seller, Money money, Predicate<String> numbers, List<Price> prices) {}

    @Override
    public Integer call() throws JsonProcessingException {
        Known known = known();
        Map<PriceColumn, String> asked = asked(known.seller());
        PriceList read = PriceListFile.read(
                list,
                new PriceQuestion(known.seller(), known.money(), asked, decimal, number -> true, known.prices()),
                lines -> true);
        if (json) {
            spec.commandLine()
                    .getOut()
                    .println(Json.mapper()
                            .writerWithDefaultPrettyPrinter()
                            .writeValueAsString(tree(read, known, asked)));
        } else {
            print(read, known);
        }
        return 0;
    }

    private Known known() {
        Clock clock = main.clock();
        if (!Files.exists(main.log())) {
            Seller seller = Seller.named(supplier);
            return new Known(
                    seller,
                    money(
                            seller,
                            OwnFiles.OwnYard.load(DataFolder.path()).yard().money()),
                    n -> true,
                    List.of());
        }
        try (OpenLog journal = main.store().read()) {
            Workshop shop = Yards.over(journal, main.store());
            Seller seller = shop.sellers().stream()
                    .filter(s -> s.id().equalsIgnoreCase(supplier))
                    .findFirst()
                    .orElseGet(() -> Seller.named(supplier));
            return new Known(
                    seller,
                    money(seller, shop.yard().money()),
                    shop.numbers(seller.id()),
                    currency.isPresent() ? List.of() : shop.yard().prices());
        }
    }

    private Money money(Seller seller, Money yards) {
        return currency.or(seller::currency)
                .map(code -> Money.of(code)
                        .orElseThrow(() ->
                                new JournalException(TEXT.get("prices_command.is_not_a_currency_enter_its", code))))
                .orElse(yards);
    }

    private Map<PriceColumn, String> asked(Seller seller) {
        PriceHead head = PriceListFile.head(list, seller.columns());
        if (columns.isEmpty()) {
            return head.guessed();
        }
        Map<PriceColumn, String> asked = new EnumMap<>(PriceColumn.class);
        columns.forEach((column, name) -> asked.put(column(column), name));
        return asked;
    }

    private static PriceColumn column(String name) {
        for (PriceColumn column : PriceColumn.values()) {
            if (key(column).equalsIgnoreCase(name.strip())) {
                return column;
            }
        }
        throw new JournalException(TEXT.get("prices_command.is_not_a_column_use_number", name));
    }

    private static String key(PriceColumn column) {
        return column.name().toLowerCase(Locale.ROOT);
    }

    private static ObjectNode tree(PriceList read, Known known, Map<PriceColumn, String> asked) {
        ObjectNode tree = Json.mapper().createObjectNode();
        tree.put("supplier", known.seller().id());
        tree.put("currency", known.money().code());
        tree.put("decimal", read.decimal().map(m -> String.valueOf(m.mark())).orElse(null));
        tree.put("open", read.open());
        ObjectNode names = tree.putObject("columns");
        asked.forEach((column, name) -> names.put(key(column), name));
        ArrayNode told = tree.putArray("told");
        read.told().forEach(told::add);
        ArrayNode lines = tree.putArray("lines");
        for (PriceLine line : read.lines()) {
            boolean counts = line.counts() && !read.open();
            ObjectNode node = lines.addObject();
            node.put("line", line.line());
            node.put("number", line.number());
            node.put("price", counts ? BigDecimal.valueOf(line.price().getAsDouble()) : null);
            node.put("pack", counts ? line.pack() : null);
            node.put("stock", whole(line.stock()));
            node.put("days", whole(line.days()));
            node.put("problem", line.problem().isEmpty() ? null : line.problem());
            node.put("known", known.numbers().test(line.number()));
        }
        return tree;
    }

    private static Integer whole(OptionalDouble count) {
        return count.isPresent() ? (int) count.getAsDouble() : null;
    }

    private void print(PriceList read, Known known) {
        PrintWriter out = spec.commandLine().getOut();
        read.told().forEach(out::println);
        if (read.open()) {
            out.println(TEXT.get("prices_command.some_prices_can_be_read_in"));
        }
        read.prices()
                .forEach(p -> out.println(p.number() + "  " + known.money().exact(p.price())
                        + (p.pack() > 1 ? " for a pack of " + p.pack() : "")));
        read.problems().forEach(out::println);
        out.println(TEXT.get(
                "prices_command.lines_prices", read.read(), read.prices().size()));
    }
}
