package mussel.core.measure;

import java.util.Locale;

/** How Java names are written in files and on the command line: {@code tau40Min} as {@code tau_40_min}. */
public final class NamedBy {
    private NamedBy() {}

    /** The name in files of a component: lower case, underscores before capitals and before a figure of two digits or more. */
    public static String file(String component) {
        return component
                .replaceAll("([A-Z])(?=[A-Z])", "$1_")
                .replaceAll("([a-z])([A-Z])", "$1_$2")
                .replaceAll("([0-9])([A-Z])", "$1_$2")
                .replaceAll("([a-z]{2,})([0-9])", "$1_$2")
                .toLowerCase(Locale.ROOT);
    }

    /** The name in files of an enum constant. */
    public static String file(Enum<?> constant) {
        return constant instanceof Written written
                ? written.file()
                : constant.name().toLowerCase(Locale.ROOT);
    }
}
