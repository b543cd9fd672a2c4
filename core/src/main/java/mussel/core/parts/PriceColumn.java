package mussel.core.parts;

/** What stands in a column of a supplier's price list. */
public enum PriceColumn {
    /** The number: the one column besides prices no list can do without. */
    NUMBER,
    /** What a pack costs. */
    PRICE,
    /** How many are in a pack. */
    PACK,
    /** How many packs he has. */
    STOCK,
    /** Days until it is here. */
    DAYS;

    /** Whether no list can do without it. */
    public boolean needed() {
        return this == NUMBER || this == PRICE;
    }
}
