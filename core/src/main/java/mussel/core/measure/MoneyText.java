package mussel.core.measure;

import java.math.BigDecimal;
import java.text.DecimalFormatSymbols;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;

/**
 * How an amount of one currency is written. A text is an amount only if the whole of it is one: a figure with at most one decimal mark and groups of three
 * digits of one kind, with the currency's code, symbol or name before or after it. Nothing is found inside other text. Digits of every script count.
 */
public final class MoneyText {
    /** No amount is written longer than this. */
    private static final int LONGEST = 60;

    private static final int MOST_WHOLE = 18;
    private static final int MOST_DECIMALS = 4;
    private static final int MOST_COUNT = 6;
    private static final int GROUP = 3;
    /** Who groups by lakh and crore. */
    private static final Set<String> LAKH_MONEY = Set.of("INR", "PKR", "BDT", "NPR", "BTN", "LKR");

    private static final Set<String> LAKH_COUNTRIES = Set.of("IN", "PK", "BD", "NP", "BT", "LK");
    private static final char SPACE = ' ';
    private static final char APOSTROPHE = '\'';
    private static final char ARABIC_DECIMAL = '\u066b';
    private static final char ARABIC_GROUP = '\u066c';

    private final List<String> names;
    private final boolean coins;
    /** Whether groups before the last three digits may have two. */
    private final boolean lakh;
    /** Marks of the place the money is written by that are neither point nor comma, as the dollar sign before centavos in Cape Verde. */
    private final char ownDecimal;

    private final char ownGroup;

    /**
     * Texts in that money.
     *
     * @param money the currency; where nobody has said which it is, only bare figures are amounts
     */
    public MoneyText(Money money) {
        names = money.said() ? names(money) : List.of();
        coins = money.digits() > 0;
        lakh = LAKH_MONEY.contains(money.code())
                || LAKH_COUNTRIES.contains(
                        Locale.forLanguageTag(money.written()).getCountry());
        DecimalFormatSymbols marks = DecimalFormatSymbols.getInstance(Locale.forLanguageTag(money.written()));
        ownDecimal = marks.getMonetaryDecimalSeparator();
        ownGroup = marks.getMonetaryGroupingSeparator();
    }

    private static List<String> names(Money money) {
        Currency currency = Currency.getInstance(money.code());
        Locale locale = Locale.forLanguageTag(money.written());
        return Stream.of(
                        money.code(),
                        money.symbol(),
                        currency.getSymbol(Locale.ENGLISH),
                        currency.getDisplayName(Locale.ENGLISH),
                        currency.getDisplayName(locale))
                .map(MoneyText::plain)
                .flatMap(MoneyText::abbreviated)
                .filter(n -> !n.isEmpty())
                .distinct()
                .sorted(Comparator.comparingInt(String::length).reversed().thenComparing(n -> n))
                .toList();
    }

    /** A name with and without the point of an abbreviation. */
    private static Stream<String> abbreviated(String name) {
        String bare = name.endsWith(".") ? name.substring(0, name.length() - 1) : name;
        boolean word = !bare.isEmpty() && Character.isLetter(bare.charAt(bare.length() - 1));
        return word ? Stream.of(bare, bare + ".") : Stream.of(name, bare);
    }

    /** Whether letters or a symbol beside a figure name something other than this money. */
    boolean isOther(String named) {
        String bare = plain(named).replaceAll("[ .]", "");
        return names.stream().noneMatch(n -> n.replaceAll("[ .]", "").equalsIgnoreCase(bare));
    }

    /**
     * The amount that a text is where that mark stands before decimals. A text that can be read in two ways even so, as {@code kr.50}, is none.
     *
     * @return zero or more, exact; empty where the text is no amount
     */
    public Optional<BigDecimal> amount(String text, DecimalMark mark) {
        List<BigDecimal> readings = readings(text, mark);
        return readings.size() == 1 ? Optional.of(readings.get(0)) : Optional.empty();
    }

    /** Every amount that a text can be where that mark stands before decimals. */
    public List<BigDecimal> readings(String text, DecimalMark mark) {
        if (text.length() > LONGEST) {
            return List.of();
        }
        String plain = plain(text, ownDecimal, ownGroup);
        Stream<String> figures =
                !plain.isEmpty() && isDigit(plain.charAt(0)) && isDigit(plain.charAt(plain.length() - 1))
                        ? Stream.of(plain)
                        : Stream.concat(Stream.of(plain), names.stream().flatMap(n -> without(plain, n)));
        return figures.distinct()
                .flatMap(t -> figure(t, mark).stream())
                .map(BigDecimal::stripTrailingZeros)
                .distinct()
                .toList();
    }

    /** What is left of a text without a name before or after it. */
    private static Stream<String> without(String text, String name) {
        Stream<String> before = text.regionMatches(true, 0, name, 0, name.length())
                ? Stream.of(text.substring(name.length()).strip())
                : Stream.empty();
        int end = text.length() - name.length();
        Stream<String> after = end > 0 && text.regionMatches(true, end, name, 0, name.length())
                ? Stream.of(text.substring(0, end).strip())
                : Stream.empty();
        return Stream.concat(before, after);
    }

    /**
     * The count that a text is: digits, alone or in groups of three.
     *
     * @param mark what stands before decimals where it was written, so that the other mark groups; where that is not known only blanks do
     * @return 0 to 999 999; empty where the text is no count
     */
    public static OptionalInt count(String text, Optional<DecimalMark> mark) {
        if (text.length() > LONGEST) {
            return OptionalInt.empty();
        }
        return whole(plain(text), mark.map(m -> m.other().mark()).orElse(SPACE), false)
                .filter(d -> d.length() <= MOST_COUNT)
                .map(d -> OptionalInt.of(Integer.parseInt(d)))
                .orElseGet(OptionalInt::empty);
    }

    /** A text with plain digits, one kind of blank and of apostrophe, and no marks of direction. */
    static String plain(String text) {
        return plain(text, '.', ',');
    }

    private static String plain(String text, char decimal, char group) {
        StringBuilder plain = new StringBuilder(text.length());
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (Character.getType(c) == Character.FORMAT) {
                continue;
            }
            int digit = Character.isDigit(c) ? Character.digit(c, 10) : -1;
            if (digit >= 0) {
                plain.append((char) ('0' + digit));
            } else if (Character.isWhitespace(c) || Character.isSpaceChar(c)) {
                plain.append(SPACE);
            } else if (isBetweenDigits(text, i) && c == decimal && c != ',') {
                plain.append('.');
            } else if (isBetweenDigits(text, i) && c == group && c != ',' && c != '.') {
                plain.append(APOSTROPHE);
            } else {
                plain.append(c == '’' || c == ARABIC_GROUP ? APOSTROPHE : c == ARABIC_DECIMAL ? '.' : c);
            }
        }
        return plain.toString().strip();
    }

    private static boolean isBetweenDigits(String text, int at) {
        return at > 0
                && at < text.length() - 1
                && Character.isDigit(text.charAt(at - 1))
                && Character.isDigit(text.charAt(at + 1));
    }

    private Optional<BigDecimal> figure(String text, DecimalMark mark) {
        int at = text.indexOf(mark.mark());
        String before = at < 0 ? text : text.substring(0, at);
        String after = at < 0 ? "" : text.substring(at + 1);
        if (at >= 0 && !isFraction(after, before.isEmpty())) {
            return Optional.empty();
        }
        Optional<String> whole =
                at == 0 ? Optional.of("0") : whole(before, mark.other().mark(), lakh);
        return whole.map(w -> new BigDecimal(after.isEmpty() || after.equals("-") ? w : w + "." + after));
    }

    /** What may follow the decimal mark: digits, or the dash that says there are no coins. */
    private boolean isFraction(String after, boolean first) {
        if (after.equals("-")) {
            return !first;
        }
        return !after.isEmpty()
                && after.length() <= MOST_DECIMALS
                && (coins || after.length() != GROUP)
                && after.chars().allMatch(MoneyText::isDigit);
    }

    /**
     * The digits of a whole number, without groups or in groups by marks of one kind: of three digits, or of two before the last three as in India; empty
     * where it is none.
     */
    private static Optional<String> whole(String text, char mark, boolean lakh) {
        StringBuilder digits = new StringBuilder();
        List<Integer> groups = new ArrayList<>();
        char by = 0;
        int run = 0;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (isDigit(c)) {
                digits.append(c);
                run++;
            } else if ((c == mark || c == SPACE || c == APOSTROPHE) && (by == 0 || by == c)) {
                by = c;
                groups.add(run);
                run = 0;
            } else {
                return Optional.empty();
            }
        }
        boolean sound = !digits.isEmpty()
                && digits.length() <= MOST_WHOLE
                && (groups.isEmpty() || run == GROUP && areGroups(groups, lakh && by == mark))
                && (digits.length() == 1 || digits.charAt(0) != '0');
        return sound ? Optional.of(digits.toString()) : Optional.empty();
    }

    private static boolean areGroups(List<Integer> before, boolean lakh) {
        int first = before.get(0);
        List<Integer> others = before.subList(1, before.size());
        return first > 0
                && (first <= GROUP && others.stream().allMatch(g -> g == GROUP)
                        || lakh && first < GROUP && others.stream().allMatch(g -> g == GROUP - 1));
    }

    private static boolean isDigit(int c) {
        return c >= '0' && c <= '9';
    }
}
