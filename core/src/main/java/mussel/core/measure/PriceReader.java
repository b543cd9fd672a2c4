package mussel.core.measure;

import java.math.BigDecimal;
import java.util.Currency;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads an amount of money as people write it: {@code 1,234.50}, {@code 1.234,50}, {@code 1 234,50 kr}, {@code $12}. The last of two different marks is the
 * decimal one; a single mark before exactly three digits may be either, and is asked about rather than guessed.
 */
final class PriceReader {
    private static final Pattern AMOUNT =
            Pattern.compile("(\\D*?)\\s*([-−]?)\\s*(\\d[\\d.,'’\\u00a0\\u2009\\u202f ]*)\\s*(\\D*)");
    private static final Pattern GROUPED = Pattern.compile("\\d{1,3}(?:[.,' ]\\d{3})+");

    private PriceReader() {}

    static Typed read(String text, YardUnits units, Range range) {
        Matcher amount = AMOUNT.matcher(text);
        if (!amount.matches()) {
            return refuse(
                    "“%s” is no amount of money. Type a figure, like %s.",
                    text, units.money().exact(12));
        }
        String before = amount.group(1);
        boolean leads = before.endsWith(".") || before.endsWith(",");
        if (leads && before.length() > 1 && Character.isLetter(before.charAt(before.length() - 2))) {
            return refuse(
                    "“%s” can be read in two ways. Write the currency after the figure, and 0 before its decimal mark.",
                    text);
        }
        String named = (before + amount.group(4)).replaceAll("[\\s\\u00a0\\u202f.,]", "");
        if (!named.isEmpty() && !names(named, units.money())) {
            return refuse(
                    units.money().said()
                            ? "“%s” is not the yard's money, %s. Convert it at the day's rate and type that."
                            : "“%s” names a currency, and the yard has not said which is its own. Say so in the yard's page of the book, or type the bare figure.",
                    named,
                    units.money().code());
        }
        Optional<String> plain = plain((leads ? "0" + before.charAt(before.length() - 1) : "")
                .concat(amount.group(3))
                .replaceAll("[\\u00a0\\u2009\\u202f]", " ")
                .replace('’', '\'')
                .strip());
        if (plain.isEmpty()) {
            return refuse(
                    "“%s” can be read in two ways, or in none. Write it without thousands marks, like 1234.50.", text);
        }
        double value =
                new BigDecimal(plain.get()).doubleValue() * (amount.group(2).isEmpty() ? 1 : -1);
        if (!range.holds(value)) {
            return refuse(
                    "%s is outside what can be: %s.", units.money().exact(value), range.inWords(units.money()::exact));
        }
        return new Typed.Understood(value, value, units.money().symbol());
    }

    private static boolean names(String typed, Money money) {
        if (!money.said()) {
            return false;
        }
        Currency currency = Currency.getInstance(money.code());
        String bare = typed.toLowerCase(Locale.ROOT);
        return bare.equals(money.code().toLowerCase(Locale.ROOT))
                || bare.equals(money.symbol().toLowerCase(Locale.ROOT).replace(".", ""))
                || bare.equals(currency.getDisplayName(Locale.ENGLISH)
                        .toLowerCase(Locale.ROOT)
                        .replace(" ", ""));
    }

    /** The digits with a point before the decimals; empty where the marks leave it open. */
    private static Optional<String> plain(String digits) {
        int last = Math.max(digits.lastIndexOf('.'), digits.lastIndexOf(','));
        if (last < 0) {
            return digits.matches("\\d+") || GROUPED.matcher(digits).matches()
                    ? Optional.of(digits.replaceAll("[ ']", ""))
                    : Optional.empty();
        }
        char mark = digits.charAt(last);
        String whole = digits.substring(0, last);
        String decimals = digits.substring(last + 1);
        boolean again = whole.indexOf(mark) >= 0;
        if (again) {
            // The same mark twice groups thousands, and there are no decimals.
            return GROUPED.matcher(digits).matches()
                            && digits.chars()
                                            .filter(c -> c == '.' || c == ',')
                                            .distinct()
                                            .count()
                                    == 1
                    ? Optional.of(digits.replaceAll("[., ']", ""))
                    : Optional.empty();
        }
        boolean grouped = GROUPED.matcher(whole).matches();
        boolean sound = grouped || whole.matches("\\d+");
        if (!sound || !decimals.matches("\\d+") || decimals.length() == 3 && !grouped) {
            return Optional.empty();
        }
        return Optional.of(whole.replaceAll("[., ']", "") + "." + decimals);
    }

    private static Typed refuse(String pattern, Object... parts) {
        return new Typed.Refused(String.format(Locale.ROOT, pattern, parts));
    }
}
