package mussel.exchange.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import mussel.core.job.JournalException;
import mussel.core.measure.DecimalMark;
import mussel.core.measure.Money;
import mussel.core.parts.Price;
import mussel.core.parts.PriceColumn;
import mussel.core.parts.PriceHead;
import mussel.core.parts.PriceList;
import mussel.core.parts.PriceQuestion;
import mussel.core.parts.Seller;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PriceListFileTest {
    private static final Map<PriceColumn, String> TWO =
            Map.of(PriceColumn.NUMBER, "Number", PriceColumn.PRICE, "Price");

    @TempDir
    private Path folder;

    private Path file(String text, Charset in) throws IOException {
        return Files.write(folder.resolve("list.csv"), text.getBytes(in));
    }

    private Path file(String... lines) throws IOException {
        return file(String.join("\n", lines) + "\n", StandardCharsets.UTF_8);
    }

    private static PriceQuestion asking(Map<PriceColumn, String> columns, Price... before) {
        return new PriceQuestion(
                Seller.named("Skerry").asking(Optional.of("NOK"), OptionalDouble.of(0.09), Optional.empty()),
                Money.of("NOK").orElseThrow(),
                columns,
                Optional.empty(),
                n -> Price.same(n).startsWith("A"),
                List.of(before));
    }

    private static Price price(String number, double price) {
        return new Price("Skerry", number, price, 1, OptionalDouble.empty(), OptionalDouble.empty());
    }

    private static PriceList read(Path file, PriceQuestion asked) {
        return PriceListFile.read(file, asked, n -> true);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '!',
            value = {
                "1234.50 ! 1234.5",
                "1,234.50 ! 1234.5",
                "1.234,50 ! 1234.5",
                "1 234,50 ! 1234.5",
                "12 345 678,00 kr ! -1",
                "kr 89,- ! 89",
                "NOK 89,90 ! 89.9",
                "1'234.50 ! 1234.5",
                "USD 5.10 ! -1",
                "-3.00 ! -1",
                "3.00- ! -1",
                "0.00 ! -1",
                "on request ! -1",
                "1.2.3 ! -1",
                ".50 ! 0.5",
                "0,345 ! 0.345",
                "12 50 ! -1",
                "$12.50 ! -1",
                "12.50 usd ! -1",
                "(12.50) ! -1",
                "–12.50 ! -1",
                "12.50 CR ! -1",
                "see page 7 ! -1",
                "2 weeks ! -1",
                "12% ! -1",
                "=B7 ! -1",
                "kr.50 ! -1",
                "12.50 kr ! 12.5",
            })
    void aPriceIsReadAsItIsWrittenOrLeftOutByItsLine(String written, double value) throws IOException {
        PriceList list = read(file("Number;Price", "A1;" + written), asking(TWO));
        if (value < 0) {
            assertThat(list.prices()).isEmpty();
            assertThat(list.problems())
                    .singleElement()
                    .asString()
                    .startsWith("Line 2: A1.")
                    .contains("Line skipped");
        } else {
            assertThat(list.prices()).containsExactly(price("A1", value));
            assertThat(list.problems()).isEmpty();
        }
    }

    @Test
    void oneLineTellsTheDecimalMarkOfAllAndNobodyGuesses() throws IOException {
        assertThat(read(file("Number;Price", "A1;1,234", "A7;0,50"), asking(TWO))
                        .prices())
                .containsExactly(price("A1", 1.234), price("A7", 0.5));
        assertThat(read(file("Number;Price", "A1;1,234", "A7;1,234.50"), asking(TWO))
                        .prices())
                .containsExactly(price("A1", 1234), price("A7", 1234.5));
        // What is not taken proves nothing: a number nobody knows, another money, a line of too many columns.
        for (String other : List.of("B7;0,50", "A7;EUR 0,50", "A7;0,50;x;y", ";0,50")) {
            assertThat(read(file("Number;Price", "A1;1,234", other), asking(TWO))
                            .open())
                    .as(other)
                    .isTrue();
        }
        PriceList open = read(file("Number;Price", "A1;1,234", "A2;5"), asking(TWO));
        assertThat(open.open()).isTrue();
        assertThat(open.prices()).isEmpty();
        PriceQuestion said = asking(TWO);
        assertThat(read(
                                file("Number;Price", "A1;1,234", "A2;5"),
                                new PriceQuestion(
                                        said.seller(),
                                        said.money(),
                                        TWO,
                                        Optional.of(DecimalMark.POINT),
                                        said.known(),
                                        List.of()))
                        .prices())
                .containsExactly(price("A1", 1234), price("A2", 5));
        PriceList both = read(file("Number;Price", "A1;1,50", "A2;1.75"), asking(TWO));
        assertThat(both.open()).isTrue();
        assertThat(both.told().get(0)).contains("Line 3", "line 2");
    }

    @Test
    void whatIsDoubledBareOrAbsurdIsToldByItsLine() throws IOException {
        PriceList list = read(
                file(
                        "Price list of the winter,",
                        "Number,Price,In a pack,Stock,Days",
                        "A1,10.00,10,4,2",
                        "a 1,11.00,10,4,2",
                        ",12.00,,,",
                        "A2,,1,1,1",
                        "A3,4300.00,1,1,1",
                        "A4,5.00,box,3,3",
                        "A5,6.00,\"1,000\",-3,soon",
                        "B1,1.00,1,1,1"),
                asking(
                        Map.of(
                                PriceColumn.NUMBER, "number",
                                PriceColumn.PRICE, "Price",
                                PriceColumn.PACK, "In a pack",
                                PriceColumn.STOCK, "Stock",
                                PriceColumn.DAYS, "Days"),
                        price("A3", 43)));
        assertThat(list.read()).isEqualTo(8);
        assertThat(list.prices())
                .containsExactly(
                        new Price("Skerry", "A1", 10, 10, OptionalDouble.of(4), OptionalDouble.of(2)),
                        new Price("Skerry", "A5", 6, 1000, OptionalDouble.empty(), OptionalDouble.empty()));
        assertThat(list.problems())
                .hasSize(6)
                .anySatisfy(t -> assertThat(t).startsWith("Line 4: a 1.").contains("line 3", "differ"))
                .anySatisfy(t -> assertThat(t).startsWith("Line 5: ").contains("without a number"))
                .anySatisfy(t -> assertThat(t).startsWith("Line 6: A2.").contains("No price"))
                .anySatisfy(t -> assertThat(t).startsWith("Line 7: A3.").contains("twentyfold"))
                .anySatisfy(t -> assertThat(t).startsWith("Line 8: A4.").contains("box", "Line skipped"))
                .anySatisfy(t -> assertThat(t).startsWith("Line 9: A5.").contains("soon", "the price is used"));
    }

    @Test
    void aListInAnotherEncodingIsReadAndToldAndAMissingColumnNamed() throws IOException {
        String text = "Number;Price;Name\nA1;2,50;seal\nA2;3,50;Dichtring größer\n";
        PriceHead head = PriceListFile.head(file(text, Charset.forName("windows-1252")), Map.of());
        assertThat(head.told()).singleElement().asString().contains("Line 3", "Windows-1252");
        assertThat(head.first().get(1)).contains("Dichtring größer");
        assertThat(PriceListFile.head(file(text, StandardCharsets.UTF_16), Map.of())
                        .columns())
                .containsExactly("Number", "Price", "Name");
        Path plain = file(text, StandardCharsets.UTF_8);
        assertThatThrownBy(() -> read(plain, asking(Map.of(PriceColumn.NUMBER, "Number", PriceColumn.PRICE, "Net"))))
                .isInstanceOf(JournalException.class)
                .hasMessageContainingAll("“Net”", "line 1", "Number, Price, Name");
        assertThatThrownBy(() -> read(plain, asking(Map.of(PriceColumn.PRICE, "Price"))))
                .hasMessageContaining("numbers");
        Path broken = file("Number;Price", "A1;\"2,50", "A2;3");
        assertThatThrownBy(() -> read(broken, asking(TWO))).hasMessageContaining("quotation marks");
        assertThatThrownBy(() -> PriceListFile.head(folder.resolve("gone.csv"), Map.of()))
                .hasMessageContaining("is not there");
    }

    @Test
    void columnsAreGuessedByTheirNamesAndRememberedAsTheyWere() throws IOException {
        Path list = file("Art. no;Description;Net price;Per;In stock;Lead days", "A1;x;1,00;1;1;1");
        assertThat(PriceListFile.head(list, Map.of()).guessed())
                .containsExactlyInAnyOrderEntriesOf(Map.of(
                        PriceColumn.NUMBER, "Art. no",
                        PriceColumn.PRICE, "Net price",
                        PriceColumn.PACK, "Per",
                        PriceColumn.STOCK, "In stock",
                        PriceColumn.DAYS, "Lead days"));
        assertThat(PriceListFile.head(list, Map.of("number", "description", "price", "net price"))
                        .guessed())
                .containsExactlyInAnyOrderEntriesOf(
                        Map.of(PriceColumn.NUMBER, "Description", PriceColumn.PRICE, "Net price"));
    }

    @Test
    void randomPricesComeBackInBothWaysOfWritingThem() throws IOException {
        Random random = new Random(18);
        for (Locale as : List.of(Locale.US, Locale.GERMANY, Locale.forLanguageTag("nb-NO"))) {
            List<String> lines = new ArrayList<>(List.of("Number\tPrice"));
            List<Price> wanted = new ArrayList<>();
            for (int i = 0; i < 500; i++) {
                double price = (1 + random.nextInt(90_000_000)) / 100.0;
                wanted.add(price("A" + i, price));
                lines.add("A" + i + "\t" + String.format(as, "%,.2f", price));
            }
            assertThat(read(file(lines.toArray(String[]::new)), asking(TWO)).prices())
                    .isEqualTo(wanted);
        }
    }

    @Test
    void aLongListTellsHowFarItIsAndStops() throws IOException {
        StringBuilder text = new StringBuilder("Number,Price\n");
        for (int i = 0; i < 10_000; i++) {
            text.append('B').append(i).append(",1.50\n");
        }
        Path list = file(text.toString(), StandardCharsets.UTF_8);
        AtomicInteger asked = new AtomicInteger();
        assertThatThrownBy(() -> PriceListFile.read(list, asking(TWO), n -> asked.incrementAndGet() < 3))
                .hasMessageContaining("Stopped");
        assertThat(asked).hasValue(3);
        assertThat(read(list, asking(TWO)).read()).isEqualTo(10_000);
    }
}
