package mussel.core.job;

/**
 * What an entry is about: a field or scale, and which one of several where there are several (a plug, a bottle, a part).
 *
 * @param name the field's, scale's or topic's id
 * @param of which one; empty where there is only one
 */
public record Address(String name, String of) {
    /** Written out: the generated one is spun at run time, and an address is the first key of anything that is asked for. */
    @Override
    public int hashCode() {
        return 31 * name.hashCode() + of.hashCode();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Address address && name.equals(address.name) && of.equals(address.of);
    }

    /** The only one of its name. */
    public static Address the(String name) {
        return new Address(name, "");
    }
}
