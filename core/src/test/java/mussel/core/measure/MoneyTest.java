package mussel.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.Currency;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MoneyTest {
    private static final Range ANY = Range.of(-10_000_000, 1e13);

    private static Money money(String code, String as) {
        return Money.of(code, as).orElseThrow();
    }

    private static String plain(String written) {
        return written.replaceAll("[\\u00a0\\u202f]", " ");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    USD | en-US | 1234.5 | $1,234.50
                    NOK | nb-NO | 1234.5 | kr 1 234,50
                    SEK | sv-SE | 1234.5 | 1 234,50 kr
                    EUR | de-DE | 1234.5 | 1.234,50 €
                    EUR | en-IE | 0      | €0.00
                    JPY | ja-JP | 1234.5 | ￥1,234
                    """)
    void aPriceIsWrittenByTheRulesOfItsPlace(String code, String as, double amount, String written) {
        assertThat(plain(money(code, as).exact(amount))).isEqualTo(written);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    5.43   | $5.4
                    29.93  | $30
                    391.2  | $391
                    1286.4 | $1,290
                    12864  | $12,900
                    0      | $0
                    """)
    void aSumThatWasWorkedOutHasNoCents(double amount, String written) {
        assertThat(money("USD", "en-US").sum(amount)).isEqualTo(written);
    }

    @Test
    void aSumIsAsSureAsItsSpread() {
        assertThat(plain(money("NOK", "nb-NO").sum(1286.4, 110))).isEqualTo("kr 1 290");
        assertThat(money("USD", "en-US").sum(1286.4, 340)).isEqualTo("$1,300");
    }

    @Test
    void everyCurrencyThereIsIsWrittenSomewhere() {
        for (Currency currency : Currency.getAvailableCurrencies()) {
            if (currency.getDefaultFractionDigits() < 0) {
                // Gold, drawing rights, codes for tests and for none: nobody pays with them.
                assertThat(Money.of(currency.getCurrencyCode()))
                        .as(currency.getCurrencyCode())
                        .isEmpty();
                continue;
            }
            Money money = Money.of(currency.getCurrencyCode()).orElseThrow();
            assertThat(money.exact(12)).as(currency.getCurrencyCode()).matches(".*\\p{Nd}.*");
        }
        assertThat(Money.of("XAU")).isEmpty();
        assertThat(Money.of("XXX")).isEmpty();
        assertThat(Money.of("XOF")).isPresent();
        assertThat(Money.of("kr")).isEmpty();
        assertThat(Money.of("usd")).contains(new Money("USD", "en-US"));
        assertThat(Money.of("NOK")).contains(new Money("NOK", "nb-NO"));
        assertThat(Money.of("NOK", "xx-YY")).isEmpty();
    }

    @Test
    void whoHasNotSaidWhichWritesBareFigures() {
        assertThat(Money.UNSAID.exact(1234.5)).isEqualTo("1234.50");
        assertThat(plain(Money.UNSAID.exact(12345.5))).isEqualTo("12 345.50");
        assertThat(plain(Money.UNSAID.sum(12864))).isEqualTo("12 900");
        assertThat(Money.UNSAID.symbol()).isEmpty();
    }

    private static Typed read(String text, Money money) {
        return AmountReader.read(text, Kind.MONEY, YardUnits.METRIC.in(money), ANY);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    12          | 12
                    12.5        | 12.5
                    12,50       | 12.5
                    1,234.50    | 1234.5
                    1.234,50    | 1234.5
                    1 234,50    | 1234.5
                    1,234,567   | 1234567
                    $ 1,234.5   | 1234.5
                    12 USD      | 12
                    12 $        | 12
                    0,125       | 0.125
                    .5          | 0.5
                    ,50         | 0.5
                    $.50        | 0.5
                    Fr.5        |
                    1,234       |
                    1.234       |
                    1,23,4.5    |
                    12.34.5     |
                    twelve      |
                    12 kr       |
                    12-50       |
                    2026-12-01  |
                    12--        |
                    --12        |
                    12 -        | -12
                    €12         |
                    """)
    void amountsAreReadAsTheyAreWritten(String text, Double amount) {
        Typed typed = read(text, money("USD", "en-US"));
        if (amount == null) {
            assertThat(typed).isInstanceOf(Typed.Refused.class);
        } else {
            assertThat(((Typed.Understood) typed).value()).isEqualTo(amount);
        }
    }

    @Test
    void otherMoneyIsRefusedAndNeverConverted() {
        assertThat(((Typed.Refused) read("12 €", money("NOK", "nb-NO"))).sentence())
                .contains("is not your money, NOK");
        assertThat(((Typed.Refused) read("12 €", Money.UNSAID)).sentence()).contains("no currency is set");
        assertThat(((Typed.Understood) read("12,50 kr", money("NOK", "nb-NO"))).value())
                .isEqualTo(12.5);
    }

    @Test
    void whatIsWrittenIsReadAgain() {
        List<String> elsewhere = List.of(
                "en-US", "nb-NO", "de-DE", "fr-FR", "es-ES", "tr-TR", "ar-EG", "hi-IN", "ja-JP", "de-CH", "fa-IR");
        for (Currency currency : Currency.getAvailableCurrencies()) {
            for (Money money : ways(currency.getCurrencyCode(), elsewhere)) {
                double coin = Math.pow(10, -money.digits());
                for (long coins : new long[] {5, 750, 99_999, 123_450, 12_345_678}) {
                    double amount =
                            new BigDecimal(coins).movePointLeft(money.digits()).doubleValue();
                    String written = money.exact(amount);
                    assertThat(read(written, money))
                            .as("%s in %s, %s", currency, money.written(), written)
                            .isInstanceOfSatisfying(Typed.Understood.class, is -> assertThat(is.value())
                                    .isCloseTo(amount, within(coin / 100)));
                }
            }
        }
    }

    private static List<Money> ways(String code, List<String> elsewhere) {
        return Stream.concat(
                        Money.of(code).stream(), elsewhere.stream().flatMap(place -> Money.of(code, place).stream()))
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    LKR | si-LK | රු.12     |
                    PAB | es-PA | B/.12     |
                    PAB | es-PA | B/.12.00  | 12
                    JPY | ja-JP | ¥1,234    | 1234
                    KWD | en-US | 12.345    | 12.345
                    KWD | en-US | 12,345    |
                    BHD | ar-BH | ١٢٫٣٤٥    | 12.345
                    EGP | ar-EG | ١٬٢٣٤٫٥٠  | 1234.5
                    DKK | da-DK | kr.50     |
                    DKK | da-DK | 50 kr.    | 50
                    INR | en-IN | ₹12,34,567.00 | 1234567
                    IDR | id-ID | Rp 18.000.000 | 18000000
                    EUR | de-DE | 89,-      | 89
                    EUR | de-DE | -89,50 €  | -89.5
                    """)
    void amountsOfEveryMoneyAreTypedAsTheyAreWrittenThere(String code, String as, String text, Double amount) {
        Typed typed = read(text, money(code, as));
        if (amount == null) {
            assertThat(typed).as(text).isInstanceOf(Typed.Refused.class);
        } else {
            assertThat(((Typed.Understood) typed).value()).as(text).isEqualTo(amount);
        }
    }
}
