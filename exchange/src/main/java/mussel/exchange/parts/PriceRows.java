package mussel.exchange.parts;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mussel.core.measure.Money;
import mussel.core.parts.DecimalMark;
import mussel.core.parts.Price;
import mussel.core.parts.PriceColumn;
import mussel.core.parts.PriceList;
import mussel.core.parts.PriceQuestion;
import org.apache.commons.csv.CSVRecord;

/** The lines of a price list, one after another. What a price means is known only when all were seen: one of them tells the decimal mark of all. */
final class PriceRows {
    private static final int MOST_TOLD = 40;
    private static final double MOST = 1_000_000;
    private static final double ABSURD = 20;
    private static final Pattern MARKED = Pattern.compile("\\d[\\d.,]*");
    private static final Pattern LETTERS = Pattern.compile("\\p{Lu}{3}");
    private static final Pattern WHOLE = Pattern.compile("\\d{1,6}");

    private final PriceQuestion asked;
    private final Map<PriceColumn, Integer> places;
    private final List<String> told;
    private final Map<String, Raw> wanted = new LinkedHashMap<>();
    private final Map<String, Integer> seen = new HashMap<>();
    private final Map<DecimalMark, Long> proof = new HashMap<>();
    private final Map<String, Price> before = new HashMap<>();
    private int read;
    private int untold;
    private boolean ambiguous;

    /** A line that names something known, as it came. */
    private record Raw(String number, String price, String pack, String stock, String days, long line) {}

    PriceRows(PriceQuestion asked, Map<PriceColumn, Integer> places, List<String> told) {
        this.asked = asked;
        this.places = places;
        this.told = new ArrayList<>(told);
        asked.before().stream()
                .filter(p -> p.supplier().equalsIgnoreCase(asked.seller().id()))
                .forEach(p -> before.put(Price.same(p.number()), p));
    }

    int read() {
        return read;
    }

    private void tell(long line, String what) {
        if (told.size() < MOST_TOLD) {
            told.add("Line " + line + " " + what);
        } else {
            untold++;
        }
    }

    private String cell(CSVRecord line, PriceColumn column) {
        Integer at = places.get(column);
        return at == null || at >= line.size() ? "" : line.get(at);
    }

    void add(CSVRecord line, long at) {
        read++;
        String number = cell(line, PriceColumn.NUMBER);
        String price = cell(line, PriceColumn.PRICE);
        if (number.isBlank()) {
            if (!price.isBlank()) {
                tell(at, "has a price and no number: left out.");
            }
            return;
        }
        proves(price, at);
        String same = Price.same(number);
        Integer earlier = seen.putIfAbsent(same, (int) at);
        if (earlier != null) {
            doubled(same, number, price, at, earlier);
        }
        if (!asked.known().test(number)) {
            return;
        }
        if (price.isBlank()) {
            tell(at, "has no price for " + number + ": left out.");
            return;
        }
        wanted.putIfAbsent(
                same,
                new Raw(
                        number,
                        price,
                        cell(line, PriceColumn.PACK),
                        cell(line, PriceColumn.STOCK),
                        cell(line, PriceColumn.DAYS),
                        at));
    }

    private void doubled(String same, String number, String price, long at, int earlier) {
        Raw first = wanted.get(same);
        if (first == null || !first.price().equals(price)) {
            tell(
                    at,
                    "has " + number + " again, which stands in line " + earlier + " already"
                            + (first == null ? "." : " at another price: the first counts."));
        }
    }

    /** What a price tells of the decimal mark of all of them. */
    private void proves(String price, long at) {
        Matcher digits = MARKED.matcher(bare(price));
        if (!digits.find()) {
            return;
        }
        String figure = digits.group();
        int point = figure.lastIndexOf('.');
        int comma = figure.lastIndexOf(',');
        if (point < 0 && comma < 0) {
            return;
        }
        DecimalMark last = point > comma ? DecimalMark.POINT : DecimalMark.COMMA;
        boolean again = figure.indexOf(last.mark()) != figure.lastIndexOf(last.mark());
        boolean both = point >= 0 && comma >= 0;
        int decimals = figure.length() - Math.max(point, comma) - 1;
        if (again) {
            proof.putIfAbsent(last.other(), at);
        } else if (both || decimals != 3) {
            proof.putIfAbsent(last, at);
        } else {
            ambiguous = true;
        }
    }

    private static String bare(String text) {
        StringBuilder bare = new StringBuilder(text.length());
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (!Character.isWhitespace(c) && !Character.isSpaceChar(c) && c != '\'' && c != '’') {
                bare.append(c);
            }
        }
        return bare.toString();
    }

    PriceList result() {
        if (asked.mark().isEmpty() && (proof.size() > 1 || proof.isEmpty() && ambiguous)) {
            if (proof.size() > 1) {
                told.add(
                        0,
                        "Its prices are written in both ways, as in the lines "
                                + proof.get(DecimalMark.POINT) + " and " + proof.get(DecimalMark.COMMA)
                                + ": say which mark stands before decimals.");
            }
            return new PriceList(read, List.of(), true, told, untold);
        }
        DecimalMark mark =
                asked.mark().orElseGet(() -> proof.keySet().stream().findFirst().orElse(DecimalMark.POINT));
        List<Price> prices = new ArrayList<>();
        wanted.values().forEach(raw -> price(raw, mark).ifPresent(prices::add));
        return new PriceList(read, prices, false, told, untold);
    }

    private Optional<Price> price(Raw raw, DecimalMark mark) {
        Optional<Double> asks = amount(raw.price(), mark, raw.line(), raw.number());
        if (asks.isEmpty()) {
            return Optional.empty();
        }
        Price was = before.get(Price.same(raw.number()));
        if (was != null
                && was.price() > 0
                && (asks.get() > was.price() * ABSURD || asks.get() < was.price() / ABSURD)) {
            tell(
                    raw.line(),
                    "asks " + plain(asks.get()) + " for " + raw.number() + ", which was " + plain(was.price())
                            + ": more than twentyfold, left as it was. Type it under What they ask if it is so.");
            return Optional.empty();
        }
        OptionalDouble pack = whole(raw.pack(), "pack of", raw);
        return Optional.of(new Price(
                asked.seller().id(),
                raw.number(),
                asks.get(),
                (int) Math.max(1, pack.orElse(1)),
                whole(raw.stock(), "stock of", raw),
                whole(raw.days(), "days for", raw)));
    }

    private Optional<Double> amount(String text, DecimalMark mark, long line, String number) {
        Matcher letters = LETTERS.matcher(text);
        String own = asked.seller().currency().orElse("");
        while (letters.find()) {
            String code = letters.group();
            if (!own.isEmpty() && !code.equals(own) && Money.of(code).isPresent()) {
                tell(line, "asks “" + text + "” for " + number + ", which is not his money, " + own + ": left out.");
                return Optional.empty();
            }
        }
        String bare = bare(text);
        if (bare.matches("[^\\d]*[-−][^\\d]*\\d.*") || bare.matches(".*\\d[-−][^\\d]*")) {
            tell(line, "asks “" + text + "” for " + number + ": no price is below nothing, left out.");
            return Optional.empty();
        }
        Matcher digits = MARKED.matcher(bare);
        String figure = digits.find() ? digits.group() : "";
        boolean once = !figure.isEmpty() && !digits.find();
        String group = Pattern.quote(String.valueOf(mark.other().mark()));
        String decimal = Pattern.quote(String.valueOf(mark.mark()));
        String trimmed = figure.replaceAll("[.,]+$", "");
        if (!once || !trimmed.matches("(\\d+|\\d{1,3}(" + group + "\\d{3})+)(" + decimal + "\\d+)?")) {
            tell(line, "asks “" + text + "” for " + number + ": no amount, left out.");
            return Optional.empty();
        }
        double value = new BigDecimal(trimmed.replaceAll(group, "").replace(mark.mark(), '.')).doubleValue();
        if (value == 0 || value > MOST) {
            tell(
                    line,
                    "asks “" + text + "” for " + number + ": "
                            + (value == 0 ? "nothing is given away, left out." : "more than a million, left out."));
            return Optional.empty();
        }
        return Optional.of(value);
    }

    private OptionalDouble whole(String text, String what, Raw raw) {
        String bare = bare(text);
        if (bare.isEmpty()) {
            return OptionalDouble.empty();
        }
        Matcher whole = WHOLE.matcher(bare);
        if (!whole.find() || bare.startsWith("-")) {
            tell(
                    raw.line(),
                    "has “" + text + "” as the " + what + " " + raw.number() + ": no figure, taken as not said.");
            return OptionalDouble.empty();
        }
        double most = what.startsWith("days") ? 1_000 : what.startsWith("pack") ? 10_000 : 100_000;
        return OptionalDouble.of(Math.min(most, Double.parseDouble(whole.group())));
    }

    private static String plain(double price) {
        return BigDecimal.valueOf(price).toPlainString();
    }
}
