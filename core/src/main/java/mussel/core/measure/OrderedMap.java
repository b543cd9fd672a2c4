package mussel.core.measure;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/** Copies of maps that keep their order: {@link Map#copyOf} deals one out anew at each start, and what is written from it differs each time. */
public final class OrderedMap {
    private OrderedMap() {}

    /** A copy that cannot be changed, in the order of the original. */
    public static <K, V> Map<K, V> copyOf(Map<? extends K, ? extends V> map) {
        return Collections.unmodifiableMap(new LinkedHashMap<>(map));
    }
}
