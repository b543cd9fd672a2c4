package mussel.core.measure;

import java.lang.reflect.RecordComponent;
import java.util.Arrays;

/** Reads kinds and ranges off the {@link Given} annotations, so that a screen asks for just what the engine takes. */
public final class Ranges {
    private Ranges() {}

    /** The valid range of a record's component. */
    public static Range range(Class<? extends Record> input, String component) {
        return range(given(input, component));
    }

    /** The range an annotation states. */
    public static Range range(Given given) {
        return new Range(given.min(), given.max(), given.minOpen());
    }

    /** The kind of quantity of a record's component. */
    public static Kind kind(Class<? extends Record> input, String component) {
        return given(input, component).kind();
    }

    private static Given given(Class<? extends Record> input, String component) {
        return Arrays.stream(input.getRecordComponents())
                .filter(c -> c.getName().equals(component))
                .findFirst()
                .map((RecordComponent c) -> c.getAnnotation(Given.class))
                .orElseThrow(() -> new IllegalArgumentException(input.getSimpleName() + " has no input " + component));
    }
}
