package mussel.exchange.yard;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import mussel.core.drain.DrainInput;
import mussel.core.fill.FillInput;
import mussel.core.fill.FillInput.Bottle;
import mussel.core.job.PumpHabit;
import mussel.core.job.Yard;
import mussel.core.job.YardHabits;
import mussel.core.measure.Money;
import mussel.core.measure.Problem;
import mussel.core.measure.TorqueUnit;
import mussel.core.measure.UnitSet;
import mussel.core.parts.Catalogue;
import mussel.core.parts.Price;
import mussel.core.parts.Seller;
import mussel.core.pump.PumpInput;
import mussel.core.sheet.PumpPolicy;
import mussel.core.torque.TorqueInput;
import mussel.core.verdict.Overrides;
import mussel.core.verdict.RepairNumber;
import mussel.core.visit.EngineSideItem;
import mussel.core.yard.YardTable;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class YardTablesTest {
    private static final Yard SHIPPED = SheetFiles.shippedYard();

    private static <T> T one(Random random, List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    private static Optional<String> maybe(Random random, String text) {
        return random.nextBoolean() ? Optional.of(text) : Optional.empty();
    }

    private static double figure(Random random, double least, double most, int decimals) {
        double unit = Math.pow(10, decimals);
        return Math.round((least + random.nextDouble() * (most - least)) * unit) / unit;
    }

    /** A yard as any yard could be. */
    private static Yard yard(long seed) {
        Random random = new Random(seed);
        Optional<String> currency =
                maybe(random, one(random, List.of("USD", "NOK", "EUR", "SEK", "GBP", "DKK", "CAD", "ISK")));
        List<Yard.Oil> oils = new ArrayList<>();
        List<Bottle> bottles = new ArrayList<>();
        List<Yard.Wrench> wrenches = new ArrayList<>();
        for (int i = 0; i <= random.nextInt(3); i++) {
            oils.add(new Yard.Oil(
                    "oil-" + i,
                    "Oil " + i + ", in: a \"can\"",
                    one(random, List.of(Yard.Dye.values())),
                    new DrainInput.Oil(
                            figure(random, 60, 200, 1), figure(random, 8, 18, 2), figure(random, 0.85, 0.92, 3)),
                    maybe(random, "GL-5 80W-90")));
            bottles.add(new Bottle(
                    "bottle " + i,
                    figure(random, 50, 25_000, 1),
                    figure(random, 0, 900, 2),
                    random.nextInt(4),
                    0,
                    i == 0 ? FillInput.Holds.GEAR_OIL : one(random, List.of(FillInput.Holds.values()))));
        }
        for (int i = 0; i < random.nextInt(4); i++) {
            wrenches.add(new Yard.Wrench(
                    new TorqueInput.Wrench(
                            "wrench " + i,
                            one(random, List.of(TorqueUnit.values())),
                            figure(random, 0, 10, 1),
                            figure(random, 11, 300, 1),
                            figure(random, 0.05, 2, 2),
                            figure(random, 100, 900, 0),
                            figure(random, 0.01, 0.1, 3)),
                    random.nextBoolean() ? "-" : "2026-0" + (1 + random.nextInt(9)) + "-14",
                    1 + random.nextInt(24)));
        }
        Map<String, String> units = new LinkedHashMap<>();
        if (random.nextBoolean()) {
            units.put("torque", "lbf·ft");
        }
        if (random.nextBoolean()) {
            units.put("volume", one(random, List.of("ml", "l", "fl oz")));
        }
        List<Seller> suppliers = new ArrayList<>();
        List<Price> prices = new ArrayList<>();
        for (int i = 0; i < random.nextInt(3); i++) {
            suppliers.add(new Seller(
                    "Supplier " + i,
                    maybe(random, one(random, List.of("USD", "NOK", "SEK"))),
                    random.nextBoolean() ? OptionalDouble.of(figure(random, 0.01, 20, 4)) : OptionalDouble.empty(),
                    maybe(random, "2026-11-02"),
                    figure(random, 0, 40, 2),
                    random.nextBoolean() ? OptionalDouble.of(figure(random, 50, 500, 0)) : OptionalDouble.empty(),
                    random.nextInt(20),
                    random.nextBoolean() ? Map.of() : Map.of("number", "Art. no", "price", "Net, each")));
            for (int j = 0; j < random.nextInt(5); j++) {
                prices.add(new Price(
                        "Supplier " + i,
                        "T60-" + (600 + j),
                        figure(random, 0, 400, 2),
                        1 + random.nextInt(9),
                        random.nextBoolean() ? OptionalDouble.of(random.nextInt(50)) : OptionalDouble.empty(),
                        random.nextBoolean() ? OptionalDouble.of(random.nextInt(15)) : OptionalDouble.empty()));
            }
        }
        return new Yard(
                "Yard " + seed,
                one(random, List.of(UnitSet.values())),
                units,
                currency,
                currency.filter(c -> random.nextBoolean()).map(c -> one(random, List.of("en-US", "nb-NO", "de-DE"))),
                oils,
                bottles,
                figure(random, 10, 900, 2),
                figure(random, 0, 9_000, 0),
                random.nextBoolean()
                        ? Optional.of(new PumpHabit(
                                one(random, List.of(PumpPolicy.values())),
                                1 + random.nextInt(60),
                                one(random, List.of(PumpInput.Extent.values()))))
                        : Optional.empty(),
                wrenches,
                random.nextBoolean() ? List.of() : List.of("slide hammer", "arbor press, small"),
                random.nextBoolean()
                        ? Optional.of(new Yard.Crew(
                                7 + random.nextInt(8) / 4.0,
                                16.5,
                                List.of(
                                        new Yard.Technician("first", 7.5),
                                        new Yard.Technician("second", 4, one(random, List.of(Yard.Standing.values())))),
                                random.nextBoolean() ? List.of() : List.of(new Yard.Shared("leak tester", 2)),
                                random.nextBoolean()
                                        ? OptionalDouble.of(1 + random.nextInt(4))
                                        : OptionalDouble.empty(),
                                random.nextBoolean() ? List.of() : List.of("2026-12-24", "2026-12-31")))
                        : Optional.empty(),
                maybe(random, "Slipway 3"),
                maybe(random, "TX 12"),
                random.nextBoolean() ? OptionalDouble.of(figure(random, 0, 0.3, 3)) : OptionalDouble.empty(),
                maybe(random, "we call you before continuing"),
                maybe(random, "11-15"),
                suppliers,
                prices,
                random.nextBoolean()
                        ? List.of()
                        : List.of(new Yard.Exchange(
                                "tern-60",
                                new Catalogue.Unit(
                                        "Rebuilt",
                                        figure(random, 100, 5_000, 2),
                                        figure(random, 0, 500, 0),
                                        random.nextInt(200),
                                        random.nextInt(20),
                                        random.nextBoolean()
                                                ? OptionalDouble.of(figure(random, 100, 3_000, 0))
                                                : OptionalDouble.empty()))),
                random.nextBoolean()
                        ? Optional.of(new YardHabits(
                                one(random, List.of(YardHabits.Plugs.values())),
                                one(random, List.of(YardHabits.Washers.values())),
                                one(random, List.of(YardHabits.Sealer.values())),
                                one(random, List.of(YardHabits.Traces.values())),
                                one(random, List.of(YardHabits.PrintedTorque.values()))))
                        : Optional.empty(),
                random.nextBoolean() ? List.of() : List.of(new Yard.Least("tern-60", "plug_washer", random.nextInt(9))),
                random.nextBoolean()
                        ? List.of()
                        : List.of(new Yard.Coming(
                                "tern-60", "ds_seal", 1 + random.nextInt(9), "Supplier 0", "2026-12-04")),
                random.nextBoolean()
                        ? Optional.empty()
                        : Optional.of(new Overrides(
                                List.of(new Overrides.Prior("ds_seal", figure(random, 0.001, 0.9, 4), "seen here")),
                                List.of(new Overrides.Row(
                                        "oil_water", "base", List.of(figure(random, 0, 1, 3), 0.05), "counted, once")),
                                List.of(
                                        new Overrides.Cost(
                                                "impeller",
                                                OptionalDouble.of(figure(random, 0, 9, 2)),
                                                OptionalDouble.of(3),
                                                OptionalDouble.empty(),
                                                OptionalDouble.empty(),
                                                "ours"),
                                        new Overrides.Cost(
                                                "gears",
                                                OptionalDouble.empty(),
                                                OptionalDouble.empty(),
                                                OptionalDouble.of(figure(random, 0, 900, 2)),
                                                OptionalDouble.of(99),
                                                "ours")),
                                List.of(
                                        new RepairNumber(
                                                "visit_hours", Optional.empty(), figure(random, 0, 9, 2), "far away"),
                                        new RepairNumber(
                                                "brings_back",
                                                Optional.of("oil_aged"),
                                                figure(random, 0, 1, 2),
                                                "ours")))),
                random.nextBoolean()
                        ? List.of()
                        : List.of(new Yard.Clock(
                                one(random, List.of(EngineSideItem.values())),
                                1 + random.nextInt(300),
                                1 + random.nextInt(48))));
    }

    /** The same yard set up table by table from another one, as in the window. */
    private static Yard typed(Yard from, Yard wanted) {
        Yard made = from;
        for (YardTable table : YardTables.all()) {
            // Whoever has no crew of his own leaves those tables alone.
            boolean crew = table.thing().equals("crew");
            if (crew && wanted.crew().isEmpty()
                    || table.id().equals("pump_habit") && wanted.pumpHabit().isEmpty()
                    || table.id().equals("habits") && wanted.habits().isEmpty()) {
                made = YardTables.with(made, Map.of(table.thing(), "")).value().orElseThrow();
                continue;
            }
            Yard reading = made;
            // Units and money are asked first: what follows is read in them.
            List<List<String>> lines = YardTables.lines(table, wanted);
            String decided = YardTables.decided(table, reading, lines)
                    .value()
                    .orElseThrow(() -> new AssertionError(table.id() + " " + lines + ": "
                            + YardTables.decided(table, reading, lines).problems()));
            made = YardTables.with(made, Map.of(table.thing(), decided)).value().orElseThrow();
        }
        return made;
    }

    @Test
    void aRandomYardSaysItselfAndComesBackFromItsThings() {
        for (long seed = 0; seed < 300; seed++) {
            Yard yard = yard(seed);
            Map<String, String> things = new LinkedHashMap<>(YardTables.things(yard));
            YardTables.things(SHIPPED).keySet().forEach(thing -> things.putIfAbsent(thing, ""));
            assertThat(YardTables.with(SHIPPED, things).value())
                    .as("yard " + seed)
                    .contains(yard);
        }
    }

    @Test
    void everyTableOfARandomYardDecidesWhatItShows() {
        for (long seed = 0; seed < 300; seed++) {
            Yard yard = yard(seed);
            for (YardTable table : YardTables.all()) {
                String said = YardTables.things(yard).getOrDefault(table.thing(), "");
                boolean nothing = said.isEmpty()
                        && (table.thing().equals("crew")
                                || table.id().equals("pump_habit")
                                || table.id().equals("habits"));
                if (!nothing) {
                    assertThat(YardTables.decided(table, yard, YardTables.lines(table, yard))
                                    .value())
                            .as("yard " + seed + ", " + table.id() + ": " + YardTables.lines(table, yard))
                            .contains(said);
                }
            }
        }
    }

    @Test
    void aYardSetUpTableByTableIsTheYardOfItsSheet() {
        for (long seed = 0; seed < 60; seed++) {
            Yard yard = yard(seed);
            Yard made = typed(SHIPPED, yard);
            assertThat(made).as("yard " + seed).isEqualTo(yard);
        }
    }

    @Test
    void aYardWrittenAsAFileIsTheSameElsewhere() {
        for (long seed = 0; seed < 100; seed++) {
            Yard yard = yard(seed);
            byte[] file = YardTables.yaml(yard).getBytes(java.nio.charset.StandardCharsets.UTF_8);
            assertThat(SheetFiles.yard(file).value()).as("yard " + seed).contains(yard);
        }
    }

    private static List<List<String>> lines(String... cells) {
        return List.of(List.of(cells));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    labour_per_h | -5         | Labour rate, an hour
                    labour_per_h | 1,234      | two ways
                    labour_per_h | 99999999   | Labour rate
                    labour_per_h | 12 kr      | not your money
                    currency     | kroner     | no currency
                    money_as     | Norwegian  | no place
                    frost_from   | November   | month and day
                    units        | imperial   | units
                    tax          | 120 %      | Tax, tax
                    """)
    void whatCannotBeIsNamedByItsTable(String table, String typed, String says) {
        assertThat(YardTables.decided(YardTables.table(table), SHIPPED, lines(typed))
                        .problems())
                .extracting(Problem::toString)
                .singleElement()
                .asString()
                .contains(says);
    }

    @Test
    void aWrongCellOfALongTableIsNamedByLineAndColumn() {
        YardTable bottles = YardTables.table("bottles");
        assertThat(YardTables.decided(
                                bottles,
                                SHIPPED,
                                List.of(
                                        List.of("litre", "1 l", "19", "", ""),
                                        List.of("", "", "", "", ""),
                                        List.of("can", "much", "40", "", "")))
                        .problems())
                .extracting(Problem::toString)
                .singleElement()
                .asString()
                .contains("Bottle sizes, line 3, holds");
        assertThat(YardTables.decided(bottles, SHIPPED, List.of()).problems()).hasSize(1);
        assertThat(YardTables.decided(bottles, SHIPPED, lines("can", "5 l", "40", "", ""))
                        .value())
                .hasValueSatisfying(v -> assertThat(v).contains("5000"));
    }

    @Test
    void aYardInDollarsAndOneInKronerWriteTheirMoney() {
        Yard dollars = YardTables.with(SHIPPED, Map.of("currency", "\"USD\"", "money_as", ""))
                .value()
                .orElseThrow();
        Yard kroner = YardTables.with(SHIPPED, Map.of("currency", "\"NOK\"", "money_as", "\"nb-NO\""))
                .value()
                .orElseThrow();
        assertThat(dollars.money()).isEqualTo(new Money("USD", "en-US"));
        assertThat(YardTables.lines(YardTables.table("labour_per_h"), dollars)).containsExactly(List.of("$72.00"));
        assertThat(YardTables.lines(YardTables.table("labour_per_h"), kroner)
                        .get(0)
                        .get(0))
                .startsWith("kr")
                .endsWith("72,00");
    }

    @Test
    void aYardReadsSingleKindsInOtherUnits() {
        Yard yard = YardTables.with(SHIPPED, Map.of("units_of", "{\"torque\": \"lbf.ft\", \"volume\": \"l\"}"))
                .value()
                .orElseThrow();
        assertThat(yard.reads().symbol(mussel.core.measure.Kind.TORQUE)).isEqualTo("lbf·ft");
        assertThat(YardTables.lines(YardTables.table("bottles"), yard).get(0).get(1))
                .isEqualTo("0.25 l");
        assertThat(YardTables.with(SHIPPED, Map.of("units_of", "{\"torque\": \"l\"}"))
                        .problems())
                .hasSize(1);
    }
}
