package mussel.core.parts;

/** What an order is best at. */
public enum Objective {
    /** The least money. */
    COST,
    /** The fewest days until the last parcel is here, then the least money. */
    SPEED;

    /** The other one. */
    public Objective other() {
        return this == COST ? SPEED : COST;
    }
}
