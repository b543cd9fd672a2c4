package mussel.core.job;

/**
 * What an entry is about: a field or scale, and which one of several where there are several (a plug, a bottle, a part).
 *
 * @param name the field's, scale's or topic's id
 * @param of which one; empty where there is only one
 */
public record Address(String name, String of) {
    /** The only one of its name. */
    public static Address the(String name) {
        return new Address(name, "");
    }
}
