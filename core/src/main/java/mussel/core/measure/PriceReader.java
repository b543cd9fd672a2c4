package mussel.core.measure;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import mussel.core.language.Messages;

/**
 * Reads an amount of money as people write it: {@code 1,234.50}, {@code 1.234,50}, {@code 1 234,50 kr}, {@code $12}. One that is a different amount with a
 * decimal point than with a decimal comma is asked about rather than guessed.
 */
final class PriceReader {
    private static final Messages TEXT = Messages.of(PriceReader.class);

    /** The most that is ever typed, in a currency whose unit is about a euro. */
    private static final double MOST = 10_000_000;

    private PriceReader() {}

    static Typed read(String text, YardUnits units, Range range) {
        Money money = units.money();
        String plain = MoneyText.plain(text);
        String unsigned = withoutSign(plain);
        List<BigDecimal> readings = readings(unsigned, money);
        if (readings.size() > 1) {
            return refuse(TEXT.get("price_reader.s_can_be_read_in_two"), text);
        }
        if (readings.isEmpty()) {
            return refuseText(text, unsigned, money);
        }
        double value = readings.get(0).doubleValue() * (unsigned.equals(plain) ? 1 : -1);
        Range sane = new Range(range.min(), sane(range, money), range.minOpen());
        if (!sane.holds(value)) {
            return refuse(
                    TEXT.get("price_reader.s_is_outside_what_can_be"), money.exact(value), sane.inWords(money::exact));
        }
        return new Typed.Understood(value, value, money.symbol());
    }

    private static double sane(Range range, Money money) {
        return Math.max(range.min(), Math.min(range.max(), MOST * money.magnitude()));
    }

    /** The different amounts that a text can be; where coins have three decimals, a single mark is the one of the place its money is written by. */
    private static List<BigDecimal> readings(String text, Money money) {
        MoneyText written = new MoneyText(money);
        List<BigDecimal> all = Stream.of(DecimalMark.values())
                .flatMap(mark -> written.readings(text, mark).stream())
                .distinct()
                .toList();
        String here = "\\D*\\d+" + Pattern.quote(String.valueOf(money.mark().mark())) + "\\d+\\D*";
        return all.size() > 1 && money.digits() == 3 && text.matches(here)
                ? written.amount(text, money.mark()).stream().toList()
                : all;
    }

    /** A minus stands before all figures, or last; one that stands between them, or after a decimal mark, is none. */
    private static String withoutSign(String text) {
        int at = Math.max(text.indexOf('-'), text.indexOf('−'));
        if (at < 0) {
            return text;
        }
        boolean first = text.substring(0, at).chars().noneMatch(Character::isDigit);
        boolean last = at == text.length() - 1 && at > 0 && ".,".indexOf(text.charAt(at - 1)) < 0;
        return first || last ? (text.substring(0, at) + text.substring(at + 1)).strip() : text;
    }

    private static Typed refuseText(String text, String unsigned, Money money) {
        String figure = unsigned.replaceAll("\\D+$", "").replaceAll("^\\D+", "");
        String named = unsigned.replace(figure, "").replaceAll("[\\s.,]", "");
        if (figure.isEmpty()) {
            return refuse(TEXT.get("price_reader.s_is_no_amount_of_money"), text, money.exact(12));
        }
        if (!named.isEmpty() && !money.said()) {
            return refuse(TEXT.get("price_reader.s_names_a_currency_and_the"), named);
        }
        if (!named.isEmpty() && new MoneyText(money).isOther(named)) {
            return refuse(TEXT.get("price_reader.s_is_not_the_yards_money"), named, money.code());
        }
        return refuse(TEXT.get("price_reader.s_can_be_read_in_two_2"), text);
    }

    private static Typed refuse(String pattern, Object... parts) {
        return new Typed.Refused(String.format(Locale.ROOT, pattern, parts));
    }
}
