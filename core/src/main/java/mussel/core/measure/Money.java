package mussel.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.text.DecimalFormatSymbols;
import java.text.NumberFormat;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * The money a yard reckons in, and how it is written there: symbol, marks and their places by the rules of a language and country (Unicode CLDR, as the Java
 * platform has them). Amounts are bare figures of it; nothing is ever converted from one currency to another.
 *
 * @param code the currency by ISO 4217, like NOK; empty where the yard has not said, and figures stand bare
 * @param written the language and country whose rules amounts are written by, as a BCP 47 tag like nb-NO
 */
public record Money(String code, String written) {
    /** Of a yard that has not said which. */
    public static final Money UNSAID = new Money("", "en");

    private static final int SIGNIFICANT = 3;
    /** A country's rules come before those of its neighbours who pay in the same. */
    private static final List<String> WHERE =
            List.of("en-US", "en-GB", "en-IE", "nb-NO", "sv-SE", "da-DK", "en-CA", "en-AU", "en-NZ");

    /**
     * How many zeros more an amount has than the same value in euro, for currencies of small units: by the exchange rates of 2025, to the nearest power
     * of ten; two where a currency has no coins and is not named here. It widens bounds against slips of the finger and converts nothing.
     */
    private static final Map<String, Integer> ZEROS = zeros(Map.of(
            6, "IRR",
            5, "LBP",
            4, "VND IDR UZS LAK GNF SYP PYG SLL STD ZWL",
            3, "KHR MGA TZS UGX COP MMK IQD KRW KPW RWF BIF MNT NGN MWK CDF SOS CLP ARS AOA SDG",
            2,
                    "JPY HUF ISK KZT AMD DZD XOF XAF KMF DJF CRC LKR PKR HTG NPR RSD ALL RUB INR BDT ETB KES VUV XPF GYD JMD LRD YER AFN MKD MUR MZN"
                            + " UYU BTN CVE GMD SSP SRD TWD PHP DOP KGS THB CZK TRY UAH EGP LSL ERN"));

    private static Map<String, Integer> zeros(Map<Integer, String> codes) {
        Map<String, Integer> zeros = new HashMap<>();
        codes.forEach((count, all) -> Arrays.stream(all.split(" ")).forEach(code -> zeros.put(code, count)));
        return OrderedMap.copyOf(zeros);
    }

    /** A code is written in capitals. */
    public Money {
        code = code.strip().toUpperCase(Locale.ROOT);
    }

    /** The currency of that code, written as where it is at home; empty where there is none of that code. */
    public static Optional<Money> of(String code) {
        return currency(code).map(currency -> new Money(currency.getCurrencyCode(), home(currency)));
    }

    /** The currency of that code by the rules of a place; empty where there is none of that code or no such place. */
    public static Optional<Money> of(String code, String written) {
        return isPlace(written) ? currency(code).map(c -> new Money(c.getCurrencyCode(), written)) : Optional.empty();
    }

    /** Whether amounts can be written by the rules of that language and country. */
    public static boolean isPlace(String written) {
        Locale locale = Locale.forLanguageTag(written);
        return !locale.getLanguage().isEmpty()
                && Arrays.asList(Locale.getAvailableLocales()).contains(locale);
    }

    private static Optional<Currency> currency(String code) {
        try {
            return Optional.of(Currency.getInstance(code.strip().toUpperCase(Locale.ROOT)))
                    .filter(Money::isPaidWith);
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    /** Gold, drawing rights, codes for tests and for no currency stand in ISO 4217 as well: nobody pays with them, and they have no coins. */
    private static boolean isPaidWith(Currency currency) {
        return currency.getDefaultFractionDigits() >= 0;
    }

    /** Where currencies are at home that are not among the first: looked for once, when one of them is asked for. */
    private static final class Homes {
        private static final Map<String, String> BY_CODE = new HashMap<>();

        static {
            Arrays.stream(Locale.getAvailableLocales())
                    .filter(l -> l.getCountry().length() == 2)
                    .sorted(Comparator.comparingInt(
                                    (Locale l) -> l.toLanguageTag().length())
                            .thenComparing(Locale::toLanguageTag))
                    .forEach(l -> {
                        try {
                            Currency paid = Currency.getInstance(l);
                            if (paid != null) {
                                BY_CODE.putIfAbsent(paid.getCurrencyCode(), l.toLanguageTag());
                            }
                        } catch (IllegalArgumentException noCountryOfToday) {
                            // Nobody pays there.
                        }
                    });
        }
    }

    private static String home(Currency currency) {
        return WHERE.stream()
                .filter(tag -> pays(Locale.forLanguageTag(tag), currency))
                .findFirst()
                .or(() -> Optional.ofNullable(Homes.BY_CODE.get(currency.getCurrencyCode())))
                .orElse("en");
    }

    private static boolean pays(Locale locale, Currency currency) {
        return currency.equals(Currency.getInstance(locale));
    }

    /** Whether the yard has said which. */
    public boolean said() {
        return !code.isEmpty();
    }

    /** Its sign where it is at home, or its code; empty where the yard has not said. */
    public String symbol() {
        return said() ? Currency.getInstance(code).getSymbol(locale()) : "";
    }

    /** How many decimals its coins have: 2 for most, 0 for yen, 3 for Kuwaiti dinars; 2 where the yard has not said. */
    public int digits() {
        return said() ? Math.max(0, Currency.getInstance(code).getDefaultFractionDigits()) : 2;
    }

    /** What stands before decimals where it is written; a point where neither point nor comma does. */
    public DecimalMark mark() {
        return DecimalFormatSymbols.getInstance(locale()).getMonetaryDecimalSeparator() == ','
                ? DecimalMark.COMMA
                : DecimalMark.POINT;
    }

    /** A power of ten, 1 or more, by which sensible amounts of it are larger than in euro. */
    public double magnitude() {
        return Math.pow(10, ZEROS.getOrDefault(code, digits() == 0 ? 2 : 0));
    }

    /** An exact amount: a price, to the smallest coin. */
    public String exact(double amount) {
        return written(BigDecimal.valueOf(amount).setScale(digits(), RoundingMode.HALF_EVEN), digits());
    }

    /** A sum that was worked out, as sure as such sums are: whole from ten on, three leading digits from a thousand on. */
    public String sum(double amount) {
        int whole = (int) Math.floor(Math.log10(Math.max(1, Math.abs(amount)))) + 1;
        int place = whole > SIGNIFICANT ? whole - SIGNIFICANT : whole > 1 ? 0 : -1;
        return whole(BigDecimal.valueOf(amount).setScale(-place, RoundingMode.HALF_EVEN));
    }

    /** A sum that was worked out with a known spread: to the last place the spread leaves standing. */
    public String sum(double amount, double u) {
        return Double.isFinite(u) ? whole(Display.roundedTo(amount, Math.max(u, 0.005))) : sum(amount);
    }

    private String whole(BigDecimal amount) {
        return written(amount, Math.max(0, amount.stripTrailingZeros().scale()));
    }

    private String written(BigDecimal amount, int decimals) {
        if (!said()) {
            return mussel.core.language.Figures.fixed(amount, decimals);
        }
        NumberFormat format = NumberFormat.getCurrencyInstance(locale());
        format.setCurrency(Currency.getInstance(code));
        format.setMinimumFractionDigits(decimals);
        format.setMaximumFractionDigits(decimals);
        format.setRoundingMode(RoundingMode.HALF_EVEN);
        return format.format(amount);
    }

    private Locale locale() {
        return Locale.forLanguageTag(written);
    }
}
