package mussel.core.job;

import java.time.LocalDate;
import java.time.MonthDay;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import mussel.core.drain.DrainInput;
import mussel.core.fill.FillInput;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Money;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Problems;
import mussel.core.measure.UnitSet;
import mussel.core.measure.Wide;
import mussel.core.measure.YardUnits;
import mussel.core.parts.Catalogue;
import mussel.core.parts.Price;
import mussel.core.parts.Seller;
import mussel.core.torque.TorqueInput;
import mussel.core.verdict.Overrides;
import mussel.core.visit.EngineSideItem;

/**
 * What a yard keeps and how it works.
 *
 * @param name the yard's name, as printed
 * @param units the usual set of units it reads in
 * @param unitsOf what it reads in other units than that set's, kind by symbol
 * @param currency the money it reckons in, by its code of ISO 4217; empty where it has not said
 * @param moneyAs the language and country whose rules it writes money by, like nb-NO; the currency's home where it has not said
 * @param oils the oils on its shelf
 * @param bottles the bottles it buys
 * @param labourPerH its labour rate (money per hour)
 * @param downtimePerDay what a day without a leg costs an owner, unless a job says otherwise (money per day)
 * @param pumpHabit how it renews pumps
 * @param wrenches its torque wrenches
 * @param tools the special tools it has, as the steps name them
 * @param crew who works when, and what they share; empty where the sheet does not say
 * @param address where it is, as printed
 * @param taxNumber its tax number, as printed
 * @param tax the tax on its papers, as a share; empty where they show sums without it
 * @param foot what stands at the foot of its papers
 * @param frostFrom from which day of the year frost is to be reckoned with, like 11-01; empty where it never freezes
 * @param suppliers who sells to it, beside those of its catalogue
 * @param prices what they ask by number
 * @param exchange whole units to be had in exchange, beside those of its catalogue
 * @param habits which school it follows where there are several
 * @param least how many of a part are to lie on its shelf at least
 * @param coming what is on its way to the shelf
 * @param tables its own numbers for the diagnosis tables
 * @param clocks its own clocks for work beside the leg
 */
@Wide("All settings of a shop: a component is a section of its file, and a table of its page is made from it.")
public record Yard(
        @Given("the yard's name") String name,
        @Given(value = "the units", orElse = "metric") UnitSet units,
        @Given("units of single kinds") Map<String, String> unitsOf,
        @Given("the currency (ISO 4217)") Optional<String> currency,
        @Given("how money is written (language and country)") Optional<String> moneyAs,
        @Given(value = "the oils", atLeast = 1) List<Oil> oils,
        @Given(value = "the bottles", atLeast = 1) List<FillInput.Bottle> bottles,
        @Given(value = "the labour rate (money per hour)", min = 0, max = 1e10, orElse = "72") double labourPerH,
        @Given(value = "what a day without a leg costs (money per day)", min = 0, max = 1e12, orElse = "0")
                double downtimePerDay,
        @Given("how it renews pumps") Optional<PumpHabit> pumpHabit,
        @Given("its torque wrenches") List<Wrench> wrenches,
        @Given("its special tools") List<String> tools,
        @Given("who works when") Optional<Crew> crew,
        @Given("its address") Optional<String> address,
        @Given("its tax number") Optional<String> taxNumber,
        @Given(value = "the tax on its papers (share)", min = 0, max = 1) OptionalDouble tax,
        @Given("what stands at the foot of its papers") Optional<String> foot,
        @Given("the first day of frost (month-day)") Optional<String> frostFrom,
        @Given("its suppliers") List<Seller> suppliers,
        @Given("what they ask") List<Price> prices,
        @Given("the exchange units") List<Exchange> exchange,
        @Given("its habits") Optional<YardHabits> habits,
        @Given("the least counts") List<Least> least,
        @Given("what is on its way") List<Coming> coming,
        @Given("its own numbers for the diagnosis tables") Optional<Overrides> tables,
        @Given("its own clocks") List<Clock> clocks)
        implements Checked {
    private static final Messages TEXT = Messages.of(Yard.class);

    /** Keeps its own copies. */
    public Yard {
        unitsOf = Collections.unmodifiableMap(new TreeMap<>(unitsOf));
        wrenches = List.copyOf(wrenches);
        tools = List.copyOf(tools);
        oils = List.copyOf(oils);
        bottles = List.copyOf(bottles);
        suppliers = List.copyOf(suppliers);
        prices = List.copyOf(prices);
        exchange = List.copyOf(exchange);
        least = List.copyOf(least);
        coming = List.copyOf(coming);
        clocks = List.copyOf(clocks);
        tables = tables.filter(t -> !t.equals(Overrides.none()));
    }

    /** The oil with that id; the first of the list where it is not known. */
    public Oil oil(Optional<String> id) {
        return oils.stream()
                .filter(o -> id.isPresent() && o.id().equals(id.get()))
                .findFirst()
                .orElse(oils.get(0));
    }

    /** The units and the money it reads and writes in. */
    public YardUnits reads() {
        YardUnits reads = YardUnits.of(units).in(money());
        for (Map.Entry<String, String> own : unitsOf.entrySet()) {
            Optional<Kind> kind = kind(own.getKey());
            reads = kind.isPresent() ? reads.with(kind.get(), own.getValue()).orElse(reads) : reads;
        }
        return reads;
    }

    private static Optional<Kind> kind(String name) {
        return Arrays.stream(Kind.values())
                .filter(k -> NamedBy.file(k).equals(name))
                .findFirst();
    }

    /** The money it reckons in. */
    public Money money() {
        // Both were checked as the sheet was read.
        return currency.flatMap(
                        code -> moneyAs.isPresent() ? Optional.of(new Money(code, moneyAs.get())) : Money.of(code))
                .orElse(Money.UNSAID);
    }

    /** The same yard reading in another set of units. */
    public Yard in(UnitSet other) {
        return but(name, other, currency, moneyAs, pumpHabit);
    }

    /** The same yard reckoning in another currency, by its code, written as where that is at home. */
    public Yard reckoning(Optional<String> in) {
        return but(name, units, in, Optional.empty(), pumpHabit);
    }

    /** The same yard with another habit for pumps. */
    public Yard with(PumpHabit habit) {
        return but(name, units, currency, moneyAs, Optional.of(habit));
    }

    /** The same yard under another name. */
    public Yard named(String other) {
        return but(other, units, currency, moneyAs, pumpHabit);
    }

    /** A yard of which nobody has said anything yet: one gear oil, the usual bottles without a price, nothing owned. */
    public Yard bare() {
        return new Yard(
                name,
                units,
                Map.of(),
                Optional.empty(),
                Optional.empty(),
                oils.subList(0, 1),
                bottles(FillInput.Holds.GEAR_OIL).stream()
                        .map(b -> new FillInput.Bottle(b.name(), b.ml(), 0, 0, 0))
                        .toList(),
                labourPerH,
                0,
                Optional.empty(),
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty(),
                List.of(),
                List.of(),
                Optional.empty(),
                List.of());
    }

    /** The same yard with other suppliers and what they ask. */
    public Yard buying(List<Seller> from, List<Price> at) {
        return trading(from, at, least, coming);
    }

    /** The same yard with other least counts. */
    public Yard keeping(List<Least> counts) {
        return trading(suppliers, prices, counts, coming);
    }

    /** The same yard with something else on its way. */
    public Yard awaiting(List<Coming> parcels) {
        return trading(suppliers, prices, least, parcels);
    }

    private Yard trading(List<Seller> from, List<Price> at, List<Least> counts, List<Coming> parcels) {
        return new Yard(
                name,
                units,
                unitsOf,
                currency,
                moneyAs,
                oils,
                bottles,
                labourPerH,
                downtimePerDay,
                pumpHabit,
                wrenches,
                tools,
                crew,
                address,
                taxNumber,
                tax,
                foot,
                frostFrom,
                from,
                at,
                exchange,
                habits,
                counts,
                parcels,
                tables,
                clocks);
    }

    private Yard but(
            String called, UnitSet reading, Optional<String> money, Optional<String> as, Optional<PumpHabit> habit) {
        return new Yard(
                called,
                reading,
                unitsOf,
                money,
                as,
                oils,
                bottles,
                labourPerH,
                downtimePerDay,
                habit,
                wrenches,
                tools,
                crew,
                address,
                taxNumber,
                tax,
                foot,
                frostFrom,
                suppliers,
                prices,
                exchange,
                habits,
                least,
                coming,
                tables,
                clocks);
    }

    /** The next day of frost after some day; empty where it never freezes. */
    public Optional<LocalDate> frostAfter(LocalDate day) {
        return frostFrom.map(text -> {
            LocalDate frost = MonthDay.parse("--" + text).atYear(day.getYear());
            return frost.isAfter(day) ? frost : frost.plusYears(1);
        });
    }

    /** The bottles that hold something. */
    public List<FillInput.Bottle> bottles(FillInput.Holds what) {
        return bottles.stream().filter(b -> b.holds() == what).toList();
    }

    /** When work beside the leg is due again: its own clock, else the usual one. */
    public Clock clock(EngineSideItem item) {
        return clocks.stream()
                .filter(c -> c.item() == item)
                .findFirst()
                .orElseGet(() -> new Clock(item, item.hours(), item.months()));
    }

    /** The supplier of that name, whatever the case of its letters. */
    public Optional<Seller> supplier(String name) {
        return suppliers.stream().filter(s -> s.id().equalsIgnoreCase(name)).findFirst();
    }

    /** How it renews pumps; by condition where it never said. */
    public PumpHabit pump() {
        return pumpHabit.orElse(PumpHabit.USUAL);
    }

    @Override
    public void check(Problems problems, String pointer) {
        currency.filter(code -> Money.of(code).isEmpty())
                .ifPresent(code ->
                        problems.at(pointer + "/currency", TEXT.get("yard.is_which_is_no_currency_write", code)));
        moneyAs.filter(as -> !Money.isPlace(as))
                .ifPresent(as -> problems.at(pointer + "/money_as", TEXT.get("yard.is_no_place_that_is_known", as)));
        unitsOf.forEach((name, symbol) -> problems.unless(
                kind(name).flatMap(k -> YardUnits.METRIC.with(k, symbol)).isPresent(),
                pointer + "/units_of/" + name,
                TEXT.get("yard.is_which_is_no_unit_of", symbol)));
        frostFrom.ifPresent(day -> {
            try {
                MonthDay.parse("--" + day);
            } catch (DateTimeParseException e) {
                problems.at(pointer + "/frost_from", TEXT.get("yard.is_write_month_and_day_like", day));
            }
        });
        problems.unless(
                !bottles(FillInput.Holds.GEAR_OIL).isEmpty(),
                pointer + "/bottles",
                TEXT.get("yard.name_none_that_holds_gear_oil"));
        for (int i = 0; i < suppliers.size(); i++) {
            Seller seller = suppliers.get(i);
            String code = seller.currency().orElse("");
            problems.unless(
                    code.isEmpty() || Money.of(code).isPresent(),
                    pointer + "/suppliers/" + i + "/currency",
                    TEXT.get("yard.is_which_is_no_currency_write", code));
            problems.unless(
                    supplier(seller.id()).equals(Optional.of(seller)),
                    pointer + "/suppliers/" + i + "/id",
                    TEXT.get("yard.is_a_second_time_a_supplier", seller.id()));
        }
        for (int i = 0; i < prices.size(); i++) {
            problems.unless(
                    supplier(prices.get(i).supplier()).isPresent(),
                    pointer + "/prices/" + i + "/supplier",
                    TEXT.get("yard.is_who_is_none_of_the", prices.get(i).supplier()));
        }
        for (int i = 0; i < coming.size(); i++) {
            String day = coming.get(i).due();
            try {
                LocalDate.parse(day);
            } catch (DateTimeParseException e) {
                problems.at(pointer + "/coming/" + i + "/due", TEXT.get("yard.is_write_the_day_like_2026", day));
            }
        }
        for (int i = 0; i < wrenches.size(); i++) {
            String day = wrenches.get(i).calibrated();
            try {
                if (!day.equals("-")) {
                    LocalDate.parse(day);
                }
            } catch (DateTimeParseException e) {
                problems.at(
                        pointer + "/wrenches/" + i + "/calibrated", TEXT.get("yard.is_write_the_day_like_2026_2", day));
            }
        }
    }

    /**
     * A torque wrench of the yard.
     *
     * @param wrench what it is
     * @param calibrated the day it last was, like 2026-03-14; a hyphen where nobody knows
     * @param everyMonths how often it should be
     */
    public record Wrench(
            @Given("the wrench") TorqueInput.Wrench wrench,
            @Given(value = "the day of its calibration", orElse = "-") String calibrated,
            @Given(value = "the months between calibrations", kind = Kind.MONTHS, min = 1, max = 120, orElse = "12")
                    int everyMonths) {
        /** When its calibration was or is due, in a sentence. */
        public String says(LocalDate today) {
            return calibrated.equals("-")
                    ? TEXT.get("wrench.never", wrench.id())
                    : TEXT.get(
                            overdue(today) ? "wrench.overdue" : "wrench.due",
                            wrench.id(),
                            LocalDate.parse(calibrated).plusMonths(everyMonths).toString());
        }

        /** Whether its calibration is overdue, or not known. */
        public boolean overdue(LocalDate today) {
            return calibrated.equals("-")
                    || LocalDate.parse(calibrated).plusMonths(everyMonths).isBefore(today);
        }
    }

    /**
     * How many of a part are to lie on the shelf at least.
     *
     * @param family of which legs
     * @param part the part's id
     * @param count how many
     */
    public record Least(
            @Given("the family") String family,
            @Given("the part") String part,
            @Given(value = "how many at least", min = 0, max = 10_000) int count) {}

    /**
     * A clock for work beside the leg.
     *
     * @param item which
     * @param hours after how many running hours it is due again (h)
     * @param months or after how many months, whichever comes first
     */
    public record Clock(
            @Given("the work") EngineSideItem item,
            @Given(value = "the hours", kind = Kind.RUNNING, min = 1, max = 10_000) double hours,
            @Given(value = "the months", kind = Kind.MONTHS, min = 1, max = 240) int months) {}

    /**
     * Parts on their way to the shelf.
     *
     * @param family of which legs
     * @param part the part's id
     * @param count how many are still to come
     * @param supplier who sends them
     * @param due the day they are to be here
     */
    public record Coming(
            @Given("the family") String family,
            @Given("the part") String part,
            @Given(value = "how many come", min = 1, max = 10_000) int count,
            @Given("who sends them") String supplier,
            @Given("the day they are to be here") String due) {}

    /**
     * A whole unit to be had in exchange for the old one.
     *
     * @param family of which legs
     * @param unit what it is and costs
     */
    public record Exchange(@Given("the family") String family, @Given("the exchange unit") Catalogue.Unit unit) {}

    /**
     * An oil on the shelf.
     *
     * @param id its id
     * @param title its name
     * @param dye the colour its blender gave it
     * @param data viscosity and density
     * @param grade its service class and viscosity as the bottle says them; empty where nobody wrote them down
     */
    public record Oil(
            @Given("the oil's id") String id,
            @Given("the oil's name") String title,
            @Given("the oil's dye") Dye dye,
            @Given("viscosity and density") DrainInput.Oil data,
            @Given("its class and viscosity") Optional<String> grade) {}

    /** The dyes of fresh gear oil. */
    public enum Dye {
        /** Green. */
        GREEN,
        /** Blue. */
        BLUE,
        /** Amber. */
        AMBER,
        /** Red. */
        RED
    }

    /**
     * Who works at the bench, when, and what they share.
     *
     * @param opens when the day begins (h after midnight)
     * @param closes when it ends (h after midnight)
     * @param technicians who works
     * @param shared tools of which there are few
     * @param benches how many legs can be worked on at once; as many as there are technicians where it does not say
     * @param closed the days nobody works, beside those each is away, like 2026-12-24
     */
    public record Crew(
            @Given(value = "when the day begins (hours after midnight)", min = 0, max = 24, orElse = "8") double opens,
            @Given(value = "when the day ends (hours after midnight)", min = 0, max = 24, orElse = "16.5")
                    double closes,
            @Given(value = "the technicians", atLeast = 1) List<Technician> technicians,
            @Given("the shared tools") List<Shared> shared,
            @Given(value = "how many benches there are", kind = Kind.COUNT, min = 1, max = 100) OptionalDouble benches,
            @Given("the days nobody works") List<String> closed)
            implements Checked {
        /** One technician, the usual day. */
        public static final Crew USUAL =
                new Crew(8, 16.5, List.of(new Technician("bench", 8)), List.of(), OptionalDouble.empty(), List.of());

        /** Keeps its own copies. */
        public Crew {
            technicians = List.copyOf(technicians);
            shared = List.copyOf(shared);
            closed = List.copyOf(closed);
        }

        /** The days nobody works. */
        public List<LocalDate> daysOff() {
            return closed.stream().map(LocalDate::parse).toList();
        }

        @Override
        public void check(Problems problems, String pointer) {
            problems.unless(opens < closes, pointer + "/closes", TEXT.get("yard.must_be_later_than_the_day"));
            for (int i = 0; i < closed.size(); i++) {
                try {
                    LocalDate.parse(closed.get(i));
                } catch (DateTimeParseException e) {
                    problems.at(pointer + "/closed/" + i, TEXT.get("yard.is_write_the_day_like_2026_3", closed.get(i)));
                }
            }
        }
    }

    /**
     * Somebody at the bench.
     *
     * @param name how he is called
     * @param hoursPerDay how much of his day is for the bench (h)
     * @param standing what he works as: an apprentice's proofs wait for a countersign
     */
    public record Technician(
            @Given("the name") String name,
            @Given(value = "the hours a day", min = 0.25, max = 24, orElse = "8") double hoursPerDay,
            @Given(value = "what he works as", orElse = "technician") Standing standing) {
        /** A technician. */
        public Technician(String name, double hoursPerDay) {
            this(name, hoursPerDay, Standing.TECHNICIAN);
        }
    }

    /** What somebody at the bench works as. */
    public enum Standing {
        /** Answers for what he proves. */
        TECHNICIAN,
        /** Learns: somebody else countersigns what he proves. */
        APPRENTICE
    }

    /** Whether somebody of that name learns here. */
    public boolean learns(String name) {
        return crew.stream()
                .flatMap(c -> c.technicians().stream())
                .anyMatch(t -> t.standing() == Standing.APPRENTICE && t.name().equals(name));
    }

    /**
     * A tool of which there are few.
     *
     * @param tool as the steps name it
     * @param count how many there are
     */
    public record Shared(
            @Given("the tool") String tool,
            @Given(value = "how many there are", min = 1, max = 100, orElse = "1") int count) {}
}
