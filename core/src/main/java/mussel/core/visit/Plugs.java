package mussel.core.visit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import mussel.core.language.Messages;

/**
 * What plugs tell: a cylinder unlike its sisters is a finding; all alike of a wrong colour is one of the whole engine.
 *
 * @param colours by cylinder: brown, black, pale or wet
 */
public record Plugs(Map<Integer, String> colours) {
    private static final Messages TEXT = Messages.of(Plugs.class);
    private static final String RIGHT = "brown";

    /** Keeps its own copy, in the cylinders' order. */
    public Plugs {
        colours = java.util.Collections.unmodifiableMap(new TreeMap<>(colours));
    }

    /** The cylinders that are unlike most of their sisters; where no colour is most of them, those that are not brown. */
    public List<Integer> odd() {
        if (colours.size() < 2) {
            return colours.entrySet().stream()
                    .filter(e -> !e.getValue().equals(RIGHT))
                    .map(Map.Entry::getKey)
                    .toList();
        }
        String usual = usual().orElse(RIGHT);
        return colours.entrySet().stream()
                .filter(e -> !e.getValue().equals(usual))
                .map(Map.Entry::getKey)
                .toList();
    }

    /** The colour of more than half of them; empty where there is none. */
    private Optional<String> usual() {
        Map<String, Long> counts =
                colours.values().stream().collect(Collectors.groupingBy(c -> c, Collectors.counting()));
        return counts.entrySet().stream()
                .filter(e -> 2 * e.getValue() > colours.size())
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /** What they tell, in sentences. */
    public List<String> says() {
        if (colours.isEmpty()) {
            return List.of();
        }
        List<Integer> odd = odd();
        if (odd.isEmpty() && colours.size() > 1) {
            String colour = colours.values().iterator().next();
            return List.of(TEXT.get("plugs.all", colour, TEXT.get("plugs." + colour)));
        }
        List<String> says = new ArrayList<>();
        String usual = usual().orElse(RIGHT);
        for (int cylinder : odd) {
            String colour = colours.get(cylinder);
            says.add(TEXT.get("plugs.odd", String.valueOf(cylinder), colour, usual, TEXT.get("plugs." + colour)));
        }
        return says;
    }
}
