package mussel.exchange.parts;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import mussel.core.language.Messages;
import mussel.core.measure.DecimalMark;
import mussel.core.measure.MoneyText;
import mussel.core.parts.Price;
import mussel.core.parts.PriceColumn;
import mussel.core.parts.PriceLine;
import mussel.core.parts.PriceList;
import mussel.core.parts.PriceQuestion;
import org.apache.commons.csv.CSVRecord;

/**
 * The lines of a price list, one after another. A cell is a price only if the whole of it is one in the way the list writes them; which way that is the
 * prices themselves tell once all were seen, and no other cell.
 */
final class PriceRows {
    private static final Messages TEXT = Messages.of(PriceRows.class);

    private static final double ABSURD = 20;
    private static final int MOST_PACK = 10_000;
    private static final int MOST_STOCK = 100_000;
    private static final int MOST_DAYS = 1_000;
    private static final int LONGEST_SHOWN = 40;

    private final PriceQuestion asked;
    private final Map<PriceColumn, Integer> places;
    private final int columns;
    private final List<String> told;
    private final MoneyText text;
    private final double most;
    private final List<Raw> rows = new ArrayList<>();
    private final Map<String, Raw> first = new HashMap<>();
    private final Map<DecimalMark, Long> proof = new EnumMap<>(DecimalMark.class);
    private final Map<String, Price> before = new HashMap<>();
    private int read;
    private boolean open;

    /**
     * A line as it came.
     *
     * @param problem why it is left out, known before the way of writing is; empty where it is not
     */
    private record Raw(long line, String number, Map<PriceColumn, String> cells, String problem) {
        String cell(PriceColumn column) {
            return cells.getOrDefault(column, "");
        }
    }

    /**
     * Rows under a head.
     *
     * @param places where the columns asked for stand
     * @param columns how many columns the head has
     */
    PriceRows(PriceQuestion asked, Map<PriceColumn, Integer> places, int columns, List<String> told) {
        this.asked = asked;
        this.places = places;
        this.columns = columns;
        this.told = List.copyOf(told);
        this.text = new MoneyText(asked.money());
        this.most = PriceList.MOST * asked.money().magnitude();
        asked.before().stream()
                .filter(p -> p.supplier().equalsIgnoreCase(asked.seller().id()))
                .forEach(p -> before.put(Price.same(p.number()), p));
    }

    int read() {
        return read;
    }

    void add(CSVRecord line, long at) {
        read++;
        Map<PriceColumn, String> cells = new EnumMap<>(PriceColumn.class);
        places.forEach((column, place) -> cells.put(column, place < line.size() ? line.get(place) : ""));
        String number = cells.get(PriceColumn.NUMBER).strip();
        String price = cells.get(PriceColumn.PRICE);
        if (number.isEmpty()) {
            if (!price.isBlank()) {
                rows.add(new Raw(at, "", Map.of(), TEXT.get("price_rows.there_is_a_price_and_no")));
            }
            return;
        }
        if (!asked.known().test(number)) {
            return;
        }
        Raw row = new Raw(at, number, cells, problem(line, number, price));
        rows.add(row);
        if (row.problem().isEmpty()) {
            first.putIfAbsent(Price.same(number), row);
            learn(price, at);
        }
    }

    /** What is wrong with a line however its list writes amounts. */
    private String problem(CSVRecord line, String number, String price) {
        for (int i = columns; i < line.size(); i++) {
            if (!line.get(i).isBlank()) {
                return TEXT.get("price_rows.the_line_has_columns_and_the", line.size(), columns);
            }
        }
        if (price.isBlank()) {
            return TEXT.get("price_rows.there_is_no_price");
        }
        Raw earlier = first.get(Price.same(number));
        if (earlier != null) {
            return TEXT.get(
                    "price_rows.the_number_is_in_line_already",
                    earlier.line(),
                    (earlier.cell(PriceColumn.PRICE).equals(price) ? "." : TEXT.get("price_rows.the_prices_differ")));
        }
        boolean amount = List.of(DecimalMark.values()).stream()
                .anyMatch(m -> text.amount(price, m).isPresent());
        return amount ? "" : notAPrice(price);
    }

    private String notAPrice(String price) {
        return TEXT.get(
                "price_rows.is_not_a_price_in",
                shown(price),
                (asked.money().said() ? asked.money().code() : TEXT.get("price_rows.bare_figures")));
    }

    private static String shown(String cell) {
        return cell.length() > LONGEST_SHOWN ? cell.substring(0, LONGEST_SHOWN) + "…" : cell;
    }

    /** What a price that counts tells of the decimal mark of all of them. */
    private void learn(String price, long at) {
        List<BigDecimal> point = text.readings(price, DecimalMark.POINT);
        List<BigDecimal> comma = text.readings(price, DecimalMark.COMMA);
        if (point.isEmpty() != comma.isEmpty()) {
            proof.putIfAbsent(comma.isEmpty() ? DecimalMark.POINT : DecimalMark.COMMA, at);
        } else if (!point.equals(comma)) {
            open = true;
        }
    }

    PriceList result() {
        Optional<DecimalMark> mark = asked.mark()
                .or(() -> proof.size() == 1
                        ? Optional.of(proof.keySet().iterator().next())
                        : Optional.empty());
        boolean unsure = mark.isEmpty() && (proof.size() > 1 || open);
        List<PriceLine> lines = rows.stream().map(row -> line(row, mark)).toList();
        List<String> all = new ArrayList<>(told);
        if (unsure && proof.size() > 1) {
            all.add(TEXT.get(
                    "price_rows.line_has_a_decimal_point_and",
                    proof.get(DecimalMark.POINT),
                    proof.get(DecimalMark.COMMA)));
        }
        return new PriceList(asked.seller().id(), read, lines, unsure, mark, all);
    }

    private PriceLine line(Raw row, Optional<DecimalMark> mark) {
        if (!row.problem().isEmpty()) {
            return leftOut(row, row.problem());
        }
        String cell = row.cell(PriceColumn.PRICE);
        Optional<BigDecimal> amount = mark.isPresent()
                ? text.amount(cell, mark.get())
                : text.amount(cell, DecimalMark.POINT)
                        .filter(a -> text.amount(cell, DecimalMark.COMMA).equals(Optional.of(a)));
        if (amount.isEmpty()) {
            return leftOut(
                    row,
                    mark.isPresent()
                            ? notAPrice(cell)
                            : TEXT.get("price_rows.can_be_read_with_a_decimal", shown(cell)));
        }
        double price = amount.get().doubleValue();
        if (price == 0 || price > most) {
            return leftOut(
                    row,
                    TEXT.get(
                            "price_rows.is",
                            shown(cell),
                            (price == 0
                                    ? TEXT.get("price_rows.no_price")
                                    : TEXT.get("price_rows.more_than_a_part_costs"))));
        }
        Price was = before.get(Price.same(row.number()));
        if (was != null && was.price() > 0 && (price > was.price() * ABSURD || price < was.price() / ABSURD)) {
            return leftOut(
                    row,
                    TEXT.get(
                            "price_rows.the_price_is_and_was_more",
                            amount.get().toPlainString(),
                            BigDecimal.valueOf(was.price()).toPlainString()));
        }
        return counts(row, price, mark);
    }

    private PriceLine counts(Raw row, double price, Optional<DecimalMark> mark) {
        String pack = row.cell(PriceColumn.PACK);
        OptionalInt in = pack.isBlank() ? OptionalInt.of(1) : MoneyText.count(pack, mark);
        if (in.isEmpty() || in.getAsInt() < 1 || in.getAsInt() > MOST_PACK) {
            return leftOut(row, TEXT.get("price_rows.is_not_a_number_of_pieces", shown(pack), MOST_PACK));
        }
        List<String> problems = new ArrayList<>();
        OptionalDouble stock = count(row, PriceColumn.STOCK, "a stock", MOST_STOCK, mark, problems);
        OptionalDouble days =
                count(row, PriceColumn.DAYS, TEXT.get("price_rows.a_number_of_days"), MOST_DAYS, mark, problems);
        return new PriceLine(
                row.line(),
                row.number(),
                OptionalDouble.of(price),
                in.getAsInt(),
                stock,
                days,
                String.join(" ", problems));
    }

    private static OptionalDouble count(
            Raw row, PriceColumn column, String what, int most, Optional<DecimalMark> mark, List<String> problems) {
        String cell = row.cell(column);
        if (cell.isBlank()) {
            return OptionalDouble.empty();
        }
        OptionalInt count = MoneyText.count(cell, mark);
        if (count.isEmpty() || count.getAsInt() > most) {
            problems.add(TEXT.get("price_rows.is_not_0_to_it_is", shown(cell), what, most));
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(count.getAsInt());
    }

    private static PriceLine leftOut(Raw row, String why) {
        return new PriceLine(
                row.line(),
                row.number(),
                OptionalDouble.empty(),
                1,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                TEXT.get("price_rows.the_line_is_left_out", why));
    }
}
