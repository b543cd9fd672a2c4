package mussel.core.measure;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/**
 * The units and the money a yard reads and writes in; figures typed without a unit are in these. A yard takes one of the usual sets, and may read single kinds
 * in other units: torque in lbf·ft, volume in millilitres.
 */
public final class YardUnits {
    /** Millilitres, kilopascals, degrees Celsius, newton metres, millimetres. */
    public static final YardUnits METRIC = new YardUnits(UnitSet.METRIC, Map.of(), Money.UNSAID);
    /** US fluid ounces (fl oz), psi, degrees Fahrenheit, inch-pounds, thousandths of an inch, ounces. */
    public static final YardUnits US = new YardUnits(UnitSet.US, Map.of(), Money.UNSAID);

    private final UnitSet set;
    private final Map<Kind, String> own;
    private final Map<Kind, String> symbols = new EnumMap<>(Kind.class);
    private final Money money;

    private YardUnits(UnitSet set, Map<Kind, String> own, Money money) {
        this.set = set;
        this.own = OrderedMap.copyOf(own);
        this.money = money;
        for (Kind kind : Kind.values()) {
            symbols.put(kind, own.getOrDefault(kind, set.symbol(kind)));
        }
        symbols.put(Kind.MONEY, money.symbol());
    }

    /** One of the usual sets. */
    public static YardUnits of(UnitSet set) {
        return set == UnitSet.US ? US : METRIC;
    }

    /** The same, reading one kind in another unit; empty where that is no unit of the kind. */
    public Optional<YardUnits> with(Kind kind, String symbol) {
        return kind == Kind.MONEY
                ? Optional.empty()
                : UnitTable.find(symbol, kind).map(unit -> {
                    Map<Kind, String> other = new EnumMap<>(Kind.class);
                    other.putAll(own);
                    other.put(kind, unit.symbol());
                    return new YardUnits(set, other, money);
                });
    }

    /** The same, reckoning in other money. */
    public YardUnits in(Money other) {
        return new YardUnits(set, own, other);
    }

    /** The usual set it is made from. */
    public UnitSet set() {
        return set;
    }

    /** The money it reckons in. */
    public Money money() {
        return money;
    }

    /** The symbol of the yard's unit for the kind; empty for a bare count, and for money of a yard that has not said which. */
    public String symbol(Kind kind) {
        return symbols.get(kind);
    }

    /** Turns a figure in the yard's unit into the canonical one. */
    public double toCanonical(Kind kind, double figure) {
        return same(kind) ? figure : unit(kind).toCanonical(figure);
    }

    /** Turns a canonical figure into the yard's unit. */
    public double fromCanonical(Kind kind, double value) {
        return same(kind) ? value : unit(kind).fromCanonical(value);
    }

    private boolean same(Kind kind) {
        return kind == Kind.MONEY || symbol(kind).equals(kind.canonical());
    }

    private UnitSymbol unit(Kind kind) {
        return UnitTable.find(symbol(kind), kind).orElseThrow();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof YardUnits units
                && units.set == set
                && units.own.equals(own)
                && units.money.equals(money);
    }

    @Override
    public int hashCode() {
        return java.util.Objects.hash(set, own, money);
    }

    @Override
    public String toString() {
        return set + " " + own + " " + money.code();
    }
}
