package mussel.exchange.parts;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mussel.core.measure.Money;
import mussel.core.parts.PriceColumn;
import mussel.core.parts.PriceLine;
import mussel.core.parts.PriceList;
import mussel.core.parts.PriceQuestion;
import mussel.core.parts.Seller;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Random price lists whose every price is known because it was written here, with cells among them that are no price: none is read as another amount, and each
 * line that is left out is told.
 */
@Tag("attack")
class PriceAttackTest {
    private static final long SEED = 20261201;
    private static final Map<PriceColumn, String> COLUMNS =
            Map.of(PriceColumn.NUMBER, "Number", PriceColumn.PRICE, "Price", PriceColumn.PACK, "Pack");
    /** No price in euro, whichever way a list writes its amounts. */
    private static final List<String> NO_PRICE = List.of(
            ("see page 7|2 weeks|12%|=B7|(12.50)|–12.50|-12.50|−12.50|12.50-|12.50–|12.50 CR|CR 12.50|$12.50|12.50 usd|USD 12.50|£12|"
                            + "12.50 kr|12 50|1 23 456|1,23,4.5|1.2.3|n/a|POA|TBC|on request|12/50|12:50|1e3|1E+03|0x12|12.50 per pack|"
                            + "from 12.50|ca. 12|~12|12.50*|12.50 (net)|12.50 + VAT|12-15|12..15|12,,15|#REF!|€€12|EUR EUR 12|€12€ each|"
                            + "12.5O|l2.50|1,000,00|1.000.00.0|12,345,6|12.345,67.8|1'2|1'23'456|.|,|-|–|—|€|EUR|00.50.|12.|12,|,-|"
                            + "12 €/100|12 each|2 for 5|2x12.50|@12.50|12.50!|12.50?|\"12.50\"|'12.50|12.50'|[12.50]|{12.50}|<12.50|>12.50|≈12|"
                            + "½|12½|¼|٣ $|１２ ＄|12.50\u00a0SEK|12.50 eurocent|12c|12 ct|012.50|0012|0,0,0|1 000 00|1.00.000|NaN|Infinity|null|"
                            + "true|2026-12-01|01.12.2026|1.12.26|12.50;13|12.50 13.50|12.50/13.50|call|free|gratis|nil|zero|twelve|12 fifty|"
                            + "12,50,-|12.-.-|--12|-.50|+12.50|12.50+|*12|12\u200bx|12\u0000.5|1.234.56|1,234,56|1.2345.678|12.50€kr|kr12.50€")
                    .split("\\|"));

    @TempDir
    private Path folder;

    /** How a list writes its amounts. */
    private record Style(char decimal, String group, String before, String after, char separator) {
        static Style any(Random random) {
            boolean point = random.nextBoolean();
            String[] groups = {"", point ? "," : ".", " ", "'", "\u00a0"};
            String[] names = {"", "EUR ", "€", "€ "};
            boolean leads = random.nextBoolean();
            String name = names[random.nextInt(names.length)];
            return new Style(
                    point ? '.' : ',',
                    groups[random.nextInt(groups.length)],
                    leads ? name : "",
                    leads || name.isEmpty() ? "" : " " + name.strip(),
                    ";\t|".charAt(random.nextInt(3)));
        }

        String write(long cents, Random random) {
            String whole = String.valueOf(cents / 100);
            StringBuilder grouped = new StringBuilder();
            for (int i = 0; i < whole.length(); i++) {
                grouped.append(i > 0 && (whole.length() - i) % 3 == 0 ? group : "")
                        .append(whole.charAt(i));
            }
            boolean bare = cents % 100 == 0 && random.nextInt(4) == 0;
            String decimals = bare ? "" : decimal + String.format("%02d", cents % 100);
            return before + grouped + decimals + after;
        }
    }

    @Test
    void noPriceIsReadAsAnotherAndEveryLineLeftOutIsTold() throws IOException {
        Integer scale = Integer.getInteger("mussel.attack");
        int files = scale == null ? 150 : 4 * scale;
        List<String> failed = new ArrayList<>();
        int cells = 0;
        int open = 0;
        for (int i = 0; i < files; i++) {
            Random random = new Random(SEED + i);
            Style style = Style.any(random);
            List<String> lines =
                    new ArrayList<>(List.of(String.join(String.valueOf(style.separator()), "Number", "Price", "Pack")));
            Map<String, Long> truth = new HashMap<>();
            int count = 1 + random.nextInt(60);
            for (int line = 0; line < count; line++) {
                String number = "A" + line;
                boolean good = random.nextInt(3) > 0;
                long cents = 1 + (long) Math.exp(random.nextDouble() * Math.log(90_000_000));
                String cell = good ? style.write(cents, random) : NO_PRICE.get(random.nextInt(NO_PRICE.size()));
                truth.put(number, good ? cents : null);
                String quoted = cell.indexOf(style.separator()) >= 0 || cell.indexOf('"') >= 0
                        ? '"' + cell.replace("\"", "\"\"") + '"'
                        : cell;
                lines.add(number + style.separator() + quoted + style.separator() + (random.nextBoolean() ? "" : "1"));
            }
            cells += count;
            PriceList list = read(lines);
            open += list.open() ? 1 : 0;
            judge("seed " + (SEED + i) + " " + style, list, truth, failed);
        }
        System.out.println("ATTACK price lists: " + files + " files with " + cells + " cells tried, " + open
                + " asked for their decimal mark, " + failed.size() + " failed");
        assertThat(failed).isEmpty();
    }

    private PriceList read(List<String> lines) throws IOException {
        Path file = Files.write(folder.resolve("list.csv"), lines);
        return PriceListFile.read(
                file,
                new PriceQuestion(
                        Seller.named("Skerry"),
                        Money.of("EUR").orElseThrow(),
                        COLUMNS,
                        Optional.empty(),
                        number -> true,
                        List.of()),
                read -> true);
    }

    private static void judge(String which, PriceList list, Map<String, Long> truth, List<String> failed) {
        Map<String, PriceLine> read = new HashMap<>();
        list.lines().forEach(line -> read.put(line.number(), line));
        for (Map.Entry<String, Long> each : truth.entrySet()) {
            PriceLine line = read.get(each.getKey());
            if (line == null) {
                failed.add(which + ", " + each.getKey() + ": not told of");
            } else if (line.counts() && !list.open()) {
                boolean right = each.getValue() != null
                        && Math.round(line.price().getAsDouble() * 100) == each.getValue()
                        && Math.abs(line.price().getAsDouble() * 100 - each.getValue()) < 1e-6;
                if (!right) {
                    failed.add(which + ", " + each.getKey() + ": read as "
                            + line.price().getAsDouble() + ", written as " + each.getValue());
                }
            } else if (!list.open() && each.getValue() != null) {
                failed.add(which + ", " + each.getKey() + ": left out, " + line.problem());
            } else if (line.problem().isEmpty() && !list.open()) {
                failed.add(which + ", " + each.getKey() + ": left out without a word");
            }
        }
    }

    @Test
    void cellsThatHangAReaderAreRefusedAtOnce() throws IOException {
        for (String nasty : List.of("-", "1,", "1.", "€", "' ", "1'", "kr", "\u00a0", "1 ", "9")) {
            String cell = String.join("", Collections.nCopies(100_000 / nasty.length(), nasty));
            PriceList list = read(List.of("Number;Price;Pack", "A1;" + cell + ";1", "A2;12.50;" + cell, "A3;12.50;1"));
            assertThat(list.prices()).as(nasty).hasSize(1);
            assertThat(list.problems()).as(nasty).hasSize(nasty.isBlank() ? 1 : 2);
        }
    }
}
