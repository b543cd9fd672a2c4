package mussel.bench;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** What holds the interface thread: looked at again and again while it does not answer, told by the code of ours it is in most often. */
final class InterfaceThreadSampler {
    private static final String INTERFACE_THREAD = "JavaFX Application Thread";
    private static final String OURS = "mussel.";

    private final Map<String, Integer> seen = new HashMap<>();

    /** Looks once. */
    void look() {
        Thread.getAllStackTraces().entrySet().stream()
                .filter(e -> e.getKey().getName().equals(INTERFACE_THREAD))
                .map(e -> where(e.getValue()))
                .forEach(at -> seen.merge(at, 1, Integer::sum));
    }

    private static String where(StackTraceElement[] stack) {
        Optional<StackTraceElement> ours = Arrays.stream(stack)
                .filter(f -> f.getClassName().startsWith(OURS))
                .findFirst();
        return ours.or(() -> Arrays.stream(stack)
                        .filter(f -> f.getMethodName()
                                .matches(
                                        "doCSSPass|doLayoutPass|doSyncPass|synchronizeSceneNodes|renderScene|snapshot"))
                        .findFirst())
                .map(f -> f.getClassName().substring(f.getClassName().lastIndexOf('.') + 1) + "." + f.getMethodName())
                .orElse(stack.length == 0 ? "nothing" : stack[0].getMethodName());
    }

    /** Where it was most often, in brackets; empty where nobody looked. */
    String most() {
        return seen.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(e -> " [" + e.getKey() + "]")
                .orElse("");
    }
}
