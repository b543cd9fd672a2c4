package mussel.exchange.yard;

import com.fasterxml.jackson.core.JsonPointer;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import mussel.core.fill.FillInput;
import mussel.core.job.Yard;
import mussel.core.job.YardHabits;
import mussel.core.language.Messages;
import mussel.core.measure.AmountReader;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Problems;
import mussel.core.measure.Range;
import mussel.core.measure.TorqueUnit;
import mussel.core.measure.Typed;
import mussel.core.measure.UnitSet;
import mussel.core.measure.YardUnits;
import mussel.core.pump.PumpInput;
import mussel.core.sheet.PumpPolicy;
import mussel.core.visit.EngineSideItem;
import mussel.core.yard.YardForm;
import mussel.core.yard.YardTable;
import mussel.core.yard.YardTable.As;
import mussel.core.yard.YardTable.Column;
import mussel.exchange.library.Compact;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.record.RecordReader;

/** Everything a yard's sheet can say, as tables; and what was decided of it, put over the sheet. */
public final class YardTables {
    private static final Messages TEXT = Messages.of(YardTables.class);

    private static final Range ANY = Range.of(-1e9, 1e9);
    private static final int HOUR = 60;
    private static final String CREW = "crew";

    private static final List<YardTable> OWN = List.of(
            single("name", "Name", "", Column.text("", "name", "as printed on papers")),
            single("address", "Address", "Printed on every paper.", Column.text("", "address", "Slipway 3, Wrackness")),
            single("tax_number", "Tax number", "Printed on every paper.", Column.text("", "number", "")),
            single(
                    "tax",
                    "Tax",
                    "Blank: papers show amounts without tax and say so.",
                    Column.bare("", "tax", "20 %", As.SHARE)),
            single("foot", "Footer text on papers", "", Column.text("", "sentence", "")),
            single(
                    "units",
                    "Units",
                    "You can type values in any unit.",
                    Column.word("", "units", words(UnitSet.values()))),
            unitsOf(),
            single(
                    "currency",
                    "Currency",
                    "ISO 4217 code. Nothing is converted: saved amounts stay unchanged.",
                    Column.bare("", "currency", "USD", As.CODE)),
            single(
                    "money_as",
                    "Money format",
                    "Language and country for writing amounts; blank: those of the currency.",
                    Column.text("", "language and country", "en-US")),
            single("labour_per_h", "Labour rate", "", Column.figure("", "an hour", "72", Kind.MONEY)),
            single(
                    "downtime_per_day",
                    "Downtime cost per day",
                    "Cost to the owner, unless entered in the job.",
                    Column.figure("", "a day", "60", Kind.MONEY)),
            many(
                    "oils",
                    "Gear oils in stock",
                    "Viscosities and density are on the data sheet. The first oil is used unless another is specified.",
                    Column.text("/id", "id", "blue-90"),
                    Column.text("/title", "name", "Blue gear oil 80W-90"),
                    Column.word("/dye", "dye", words(Yard.Dye.values())),
                    Column.text("/grade", "grade", "GL-5 80W-90"),
                    Column.bare("/data/cst_40", "mm²/s at 40 °C", "165", As.NUMBER),
                    Column.bare("/data/cst_100", "mm²/s at 100 °C", "15.6", As.NUMBER),
                    Column.bare("/data/density_g_ml", "g/ml at 15 °C", "0.898", As.NUMBER)),
            many(
                    "bottles",
                    "Bottle sizes",
                    "",
                    Column.text("/name", "name", "litre"),
                    Column.figure("/ml", "holds", "1 l", Kind.VOLUME),
                    Column.figure("/price", "price", "19.00", Kind.MONEY),
                    Column.bare("/have", "full, in stock", "0", As.NUMBER),
                    Column.figure("/opened_ml", "in open bottle", "0 ml", Kind.VOLUME),
                    Column.word("/holds", "contents", words(FillInput.Holds.values()))),
            many(
                    "wrenches",
                    "Torque wrenches",
                    "Range and step in the unit of the wrench's own scale.",
                    Column.text("/wrench/id", "name", "middle one"),
                    Column.word("/wrench/unit", "unit", words(TorqueUnit.values())),
                    Column.bare("/wrench/min", "from", "10", As.NUMBER),
                    Column.bare("/wrench/max", "to", "60", As.NUMBER),
                    Column.bare("/wrench/step", "step", "0.5", As.NUMBER),
                    Column.figure("/wrench/lever_mm", "head to hand", "320 mm", Kind.LENGTH),
                    Column.bare("/wrench/accuracy", "accuracy", "3 %", As.SHARE),
                    Column.text("/calibrated", "calibrated", "2026-03-14"),
                    Column.bare("/every_months", "every (months)", "12", As.NUMBER)),
            many("tools", "Special tools", "As the steps name them.", Column.text("", "tool", "slide hammer")),
            new YardTable(
                    "hours",
                    "crew",
                    "Opening hours",
                    "/crew",
                    false,
                    List.of(
                            Column.bare("/opens", "opens", "8:00", As.CLOCK),
                            Column.bare("/closes", "closes", "16:30", As.CLOCK),
                            Column.bare("/benches", "benches", "2", As.NUMBER)),
                    "Benches: how many jobs at the same time."),
            new YardTable(
                    "closed",
                    "crew",
                    "Closed days",
                    "/crew/closed",
                    true,
                    List.of(Column.text("", "day", "2026-12-24")),
                    "In addition to Saturdays and Sundays. Enter absences in the work plan."),
            new YardTable(
                    "technicians",
                    "crew",
                    "Technicians",
                    "/crew/technicians",
                    true,
                    List.of(
                            Column.text("/name", "name", "first bench"),
                            Column.bare("/hours_per_day", "hours a day", "8", As.NUMBER),
                            Column.word("/standing", "works as", words(Yard.Standing.values()))),
                    "Hours per day for bench work. An apprentice's final checks need a sign-off. Entries keep the names of people who have left."),
            new YardTable(
                    "shared",
                    "crew",
                    "Limited tools",
                    "/crew/shared",
                    true,
                    List.of(
                            Column.text("/tool", "tool", "arbor press"),
                            Column.bare("/count", "how many", "1", As.NUMBER)),
                    ""),
            single(
                    "pump_habit",
                    "Pump policy",
                    "By condition: only what is worn; the rest is left to run and may fail before the next visit. By the calendar: renewed at its age; sound"
                            + " rubber is thrown away, and few fail on the water. Always: whenever the leg is down, since the labour is the cost.",
                    Column.word("/policy", "when", words(PumpPolicy.values())),
                    Column.bare("/calendar_months", "after (months)", "24", As.NUMBER),
                    Column.word("/extent", "how much", words(PumpInput.Extent.values()))),
            new YardTable(
                    "habits",
                    "habits",
                    "Shop practice",
                    "/habits",
                    false,
                    List.of(
                            Column.word("/plugs", "when draining, first", words(YardHabits.Plugs.values())),
                            Column.word("/washers", "plug gaskets", words(YardHabits.Washers.values())),
                            Column.word("/sealer", "gasket sealer", words(YardHabits.Sealer.values())),
                            Column.word("/traces", "trace of water", words(YardHabits.Traces.values())),
                            Column.word(
                                    "/printed_torque", "one printed torque", words(YardHabits.PrintedTorque.values()))),
                    YardHabits.risks()),
            many(
                    "clocks",
                    "Engine-side intervals",
                    "Hours or months, whichever comes first. What is not named goes by what manuals commonly ask; the engine’s own manual comes first.",
                    Column.word("/item", "work", words(EngineSideItem.values())),
                    Column.bare("/hours", "hours", "100", As.NUMBER),
                    Column.bare("/months", "months", "12", As.NUMBER)),
            single(
                    "frost_from",
                    "First day of freezing",
                    "Month and day; blank if it never freezes.",
                    Column.text("", "from", "11-15")),
            many(
                    "suppliers",
                    "Suppliers",
                    "In his own money; where that is not the yard’s, at the rate typed here: nothing is converted by itself. How his list’s columns are headed is"
                            + " remembered when one is taken in.",
                    Column.text("/id", "name", "Skerry Chandlers"),
                    Column.bare("/currency", "currency", "NOK", As.CODE),
                    Column.bare("/rate", "exchange rate", "0.086", As.NUMBER),
                    Column.text("/rate_on", "rate of", "2026-11-29"),
                    Column.bare("/shipping", "a parcel", "9.50", As.NUMBER),
                    Column.bare("/free_over", "free shipping from", "180", As.NUMBER),
                    Column.bare("/days", "days", "3", As.NUMBER),
                    Column.text("/columns/number", "number column", "Art. no"),
                    Column.text("/columns/price", "price column", "Net"),
                    Column.text("/columns/pack", "pack size column", "Per"),
                    Column.text("/columns/stock", "stock column", "In stock"),
                    Column.text("/columns/days", "days column", "Days")),
            many(
                    "prices",
                    "Prices",
                    "By the number in their list, in their own money. What the number is, the sheets say: a part of that number, or a kit. Lists of theirs are taken in"
                            + " above.",
                    Column.text("/supplier", "supplier", "Skerry Chandlers"),
                    Column.text("/number", "number", "T60-0601"),
                    Column.bare("/price", "price", "1.20", As.NUMBER),
                    Column.bare("/pack", "pack size", "1", As.NUMBER),
                    Column.bare("/stock", "packs in stock", "", As.NUMBER),
                    Column.bare("/days", "days", "", As.NUMBER)),
            many(
                    "least",
                    "Minimum stock",
                    "Shortages are shown in Records, Stock.",
                    Column.text("/family", "family", "tern-60"),
                    Column.text("/part", "part", "its id in the sheet"),
                    Column.bare("/count", "at least", "4", As.NUMBER)),
            many(
                    "coming",
                    "On order",
                    "Enter arrivals in Records, Stock.",
                    Column.text("/family", "family", "tern-60"),
                    Column.text("/part", "part", "its id in the sheet"),
                    Column.bare("/count", "still due", "4", As.NUMBER),
                    Column.text("/supplier", "from", "Skerry Chandlers"),
                    Column.text("/due", "expected", "2026-12-04")),
            many(
                    "exchange",
                    "Exchange units",
                    "For a leg not worth opening.",
                    Column.text("/family", "family", "tern-60"),
                    Column.text("/unit/name", "unit", "Rebuilt lower unit"),
                    Column.figure("/unit/price", "price", "1450", Kind.MONEY),
                    Column.figure("/unit/core_charge", "core charge", "300", Kind.MONEY),
                    Column.figure("/unit/minutes", "fitting time", "90 min", Kind.DURATION),
                    Column.bare("/unit/lead_days", "days", "8", As.NUMBER),
                    Column.figure("/unit/expected_life_h", "runs (h)", "1200", Kind.RUNNING)));

    private static final List<YardTable> ALL =
            Stream.concat(OWN.stream(), DiagnosisNumbers.ALL.stream()).toList();

    private static volatile Written written;

    private record Written(Yard yard, JsonNode tree) {}

    private YardTables() {}

    private static YardTable single(String thing, String title, String note, Column... columns) {
        return new YardTable(thing, thing, title, "/" + thing, false, List.of(columns), note);
    }

    private static YardTable many(String thing, String title, String note, Column... columns) {
        return new YardTable(thing, thing, title, "/" + thing, true, List.of(columns), note);
    }

    private static YardTable unitsOf() {
        List<Column> kinds = new ArrayList<>();
        for (Kind kind : List.of(Kind.VOLUME, Kind.PRESSURE, Kind.TEMPERATURE, Kind.TORQUE, Kind.LENGTH, Kind.MASS)) {
            kinds.add(Column.text("/" + NamedBy.file(kind), kind.phrase().replaceFirst("^an? ", ""), kind.canonical()));
        }
        return new YardTable(
                "units_of",
                "units_of",
                TEXT.get("yard_tables.what_it_reads_in_other_units"),
                "/units_of",
                false,
                kinds,
                TEXT.get("yard_tables.left_blank_as_the_set_has"));
    }

    private static List<String> words(Enum<?>... constants) {
        return Arrays.stream(constants).map(NamedBy::file).toList();
    }

    /** The same for who does not know how they are written down. */
    public static YardForm form() {
        return new Form();
    }

    private static final class Form implements YardForm {
        @Override
        public List<YardTable> tables() {
            return ALL;
        }

        @Override
        public List<List<String>> lines(YardTable table, Yard yard) {
            return YardTables.lines(table, yard);
        }

        @Override
        public Optional<String> decided(YardTable table, Yard yard, List<List<String>> lines, Problems problems) {
            return told(YardTables.decided(table, yard, lines), problems);
        }

        @Override
        public Map<String, String> things(Yard yard) {
            return YardTables.things(yard);
        }

        @Override
        public Optional<Yard> with(Yard yard, Map<String, String> decided, Problems problems) {
            return told(YardTables.with(yard, decided), problems);
        }

        private static <T> Optional<T> told(Read<T> read, Problems problems) {
            read.problems().forEach(p -> problems.at(p.at(), p.problem()));
            return read.value();
        }
    }

    /** The tables, in the order they are asked. */
    public static List<YardTable> all() {
        return ALL;
    }

    /** The table of that id. */
    public static YardTable table(String id) {
        return ALL.stream().filter(t -> t.id().equals(id)).findFirst().orElseThrow();
    }

    /** The lines of a table, as people write them. */
    public static List<List<String>> lines(YardTable table, Yard yard) {
        JsonNode there = asTree(yard).at(table.at());
        List<JsonNode> lines = new ArrayList<>();
        if (table.many()) {
            there.forEach(lines::add);
        } else {
            lines.add(there);
        }
        return lines.stream()
                .map(line -> table.columns().stream()
                        .map(c -> write(c, line.at(c.at()), yard.reads()))
                        .toList())
                .toList();
    }

    private static String write(Column column, JsonNode value, YardUnits units) {
        if (value.isMissingNode() || value.isNull() || value.asText().equals("-")) {
            return "";
        }
        return switch (column.as()) {
            case TEXT, CODE, WORD -> value.asText();
            case FIGURE -> figure(column.kind().orElseThrow(), value.asDouble(), units);
            case NUMBER -> plain(value.asDouble());
            case SHARE -> plain(decimal(value.asDouble()).movePointRight(2).doubleValue()) + " %";
            case CLOCK -> clock(value.asDouble());
            case SHARES -> {
                List<String> shares = new ArrayList<>();
                value.forEach(v ->
                        shares.add(plain(decimal(v.asDouble()).movePointRight(2).doubleValue())));
                yield String.join("; ", shares) + " %";
            }
        };
    }

    /** A figure in the yard's unit where that gives it back as it is; else in the canonical one. */
    private static String figure(Kind kind, double value, YardUnits units) {
        String shown = Display.exact(kind, value, units);
        return AmountReader.read(shown, kind, units, ANY) instanceof Typed.Understood back && back.value() == value
                ? shown
                : plain(value) + " " + kind.canonical();
    }

    /** A figure that can be read in one way only: a fourth decimal where there are just three. */
    private static String plain(double value) {
        String plain = decimal(value).stripTrailingZeros().toPlainString();
        return AmountReader.eitherWay(plain) ? plain + "0" : plain;
    }

    private static BigDecimal decimal(double value) {
        return new BigDecimal(Double.toString(value));
    }

    private static String clock(double hours) {
        long minutes = Math.round(hours * HOUR);
        return minutes == hours * HOUR ? minutes / HOUR + String.format(":%02d", minutes % HOUR) : plain(hours);
    }

    /**
     * What a table's lines decide: the value of its thing, as JSON text. Lines that are blank all over are left out; a blank in a line is what the sheet takes where
     * nothing is said.
     *
     * @return the text, or every problem with the line and column it is in
     */
    public static Read<String> decided(YardTable table, Yard yard, List<List<String>> lines) {
        Problems problems = new Problems();
        ArrayNode read = JsonNodeFactory.instance.arrayNode();
        for (int i = 0; i < lines.size(); i++) {
            if (!table.many() || lines.get(i).stream().anyMatch(c -> !c.isBlank())) {
                read.add(line(table, yard.reads(), lines.get(i), i, problems));
            }
        }
        if (!problems.none()) {
            return new Read<>(Optional.empty(), problems.list());
        }
        ObjectNode whole = (ObjectNode) tree(yard);
        if (table.thing().equals(CREW) && !whole.has(CREW)) {
            whole.set(CREW, Json.mapper().valueToTree(Yard.Crew.USUAL));
        }
        if (table.many() || !(read.path(0) instanceof ObjectNode one)) {
            put(whole, table.at(), table.many() ? read : read.path(0));
        } else {
            // What else stands there is other tables' business.
            table.columns().forEach(c -> put(whole, table.at() + c.at(), one.at(c.at())));
        }
        Read<Yard> made = RecordReader.read(whole, Yard.class);
        made.problems().forEach(p -> problems.at(place(table, p.at(), lines), p.problem()));
        return made.value().isEmpty()
                ? new Read<>(Optional.empty(), problems.list())
                : Read.of(things(made.value().get()).getOrDefault(table.thing(), ""));
    }

    private static JsonNode line(YardTable table, YardUnits units, List<String> line, int number, Problems problems) {
        ObjectNode made = JsonNodeFactory.instance.objectNode();
        JsonNode only = JsonNodeFactory.instance.missingNode();
        for (int c = 0; c < table.columns().size(); c++) {
            Column column = table.columns().get(c);
            String text = c < line.size() ? line.get(c).strip() : "";
            if (text.isEmpty()) {
                continue;
            }
            try {
                JsonNode value = read(column, text, units);
                if (column.at().isEmpty()) {
                    only = value;
                } else {
                    put(made, column.at(), value);
                }
            } catch (IllegalArgumentException e) {
                problems.at(place(table, number, column), e.getMessage());
            }
        }
        boolean alone =
                table.columns().size() == 1 && table.columns().get(0).at().isEmpty();
        return alone ? only : made;
    }

    private static JsonNode read(Column column, String text, YardUnits units) {
        JsonNodeFactory nodes = JsonNodeFactory.instance;
        return switch (column.as()) {
            case TEXT, WORD -> nodes.textNode(text);
            case CODE -> nodes.textNode(text.toUpperCase(Locale.ROOT));
            case FIGURE -> nodes.numberNode(amount(text, column.kind().orElseThrow(), units));
            case NUMBER -> nodes.numberNode(amount(text, Kind.COUNT, units));
            case SHARE ->
                nodes.numberNode(decimal(amount(text.replaceFirst("\\s*%$", ""), Kind.COUNT, units))
                        .movePointLeft(2)
                        .doubleValue());
            case CLOCK -> nodes.numberNode(hours(text, units));
            case SHARES -> {
                ArrayNode shares = nodes.arrayNode();
                for (String each : text.replace("%", "").strip().split("[;\\s]+")) {
                    shares.add(decimal(amount(each, Kind.COUNT, units))
                            .movePointLeft(2)
                            .doubleValue());
                }
                yield shares;
            }
        };
    }

    private static double amount(String text, Kind kind, YardUnits units) {
        Typed typed = AmountReader.read(text, kind, units, ANY);
        if (typed instanceof Typed.Understood understood) {
            return understood.value();
        }
        throw new IllegalArgumentException(
                typed instanceof Typed.Refused refused ? "cannot be read: " + refused.sentence() : "is blank");
    }

    private static double hours(String text, YardUnits units) {
        if (!text.contains(":")) {
            return amount(text, Kind.COUNT, units);
        }
        if (!text.matches("([01]?\\d|2[0-4]):[0-5]\\d")) {
            throw new IllegalArgumentException("is “" + text + "”; write the time of day like 8:30");
        }
        String[] parts = text.split(":");
        return Integer.parseInt(parts[0]) + Integer.parseInt(parts[1]) / (double) HOUR;
    }

    private static void put(ObjectNode into, String at, JsonNode value) {
        JsonPointer place = JsonPointer.compile(at);
        String name = place.last().getMatchingProperty();
        if (value.isMissingNode() || value.isNull()) {
            if (into.at(place.head()) instanceof ObjectNode parent) {
                parent.remove(name);
            }
            return;
        }
        ObjectNode parent = place.head().matches() ? into : into.withObject(place.head());
        parent.set(name, value);
    }

    private static String place(YardTable table, int line, Column column) {
        return table.title() + (table.many() ? ", line " + (line + 1) : "") + ", " + column.title();
    }

    /** Where a problem of the whole sheet is for people. */
    private static String place(YardTable table, String at, List<List<String>> lines) {
        for (int i = 0; i < Math.max(1, lines.size()); i++) {
            String before = table.at() + (table.many() ? "/" + i : "");
            for (Column column : table.columns()) {
                if (at.equals(before + column.at())) {
                    return place(table, i, column);
                }
            }
        }
        return table.title();
    }

    /** The tree of a yard for reading only: all tables of a page are read off one and the same yard. */
    private static JsonNode asTree(Yard yard) {
        Written last = written;
        if (last == null || last.yard() != yard) {
            last = new Written(yard, tree(yard));
            written = last;
        }
        return last.tree();
    }

    private static JsonNode tree(Yard yard) {
        JsonNode tree = Json.mapper().valueToTree(yard);
        strip(tree);
        return tree;
    }

    /** What nobody said is no value. */
    private static void strip(JsonNode node) {
        if (node instanceof ObjectNode object) {
            object.properties().removeIf(f -> f.getValue().isNull());
        }
        node.forEach(YardTables::strip);
    }

    /** A yard's sheet as YAML, as it can be taken in elsewhere. */
    public static String yaml(Yard yard) {
        return Compact.yaml(tree(yard));
    }

    /** What a yard's sheet says, thing by thing, each as JSON text. */
    public static Map<String, String> things(Yard yard) {
        Map<String, String> things = new LinkedHashMap<>();
        tree(yard).properties().forEach(f -> things.put(f.getKey(), f.getValue().toString()));
        return things;
    }

    /**
     * A yard with what was decided put over its sheet; an empty text takes a thing out.
     *
     * @param decided things by JSON text
     * @return the yard, or every problem
     */
    public static Read<Yard> with(Yard yard, Map<String, String> decided) {
        ObjectNode whole = (ObjectNode) tree(yard);
        Problems problems = new Problems();
        decided.forEach((thing, text) -> {
            try {
                put(
                        whole,
                        "/" + thing,
                        text.isEmpty()
                                ? JsonNodeFactory.instance.missingNode()
                                : Json.mapper().readTree(text));
            } catch (JsonProcessingException e) {
                problems.at("/" + thing, TEXT.get("yard_tables.cannot_be_read"));
            }
        });
        Read<Yard> read = RecordReader.read(whole, Yard.class);
        return problems.none() ? read : new Read<>(Optional.empty(), problems.list());
    }
}
