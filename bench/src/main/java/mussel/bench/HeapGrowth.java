package mussel.bench;

import java.lang.management.ManagementFactory;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import javax.management.JMException;
import javax.management.ObjectName;

/** Which classes hold more of the heap than when it was first asked, after a full collection each time. */
final class HeapGrowth {
    private static final int TOLD = 8;
    private static final double KILO = 1024;

    private final Map<String, Long> first = new HashMap<>();

    /** What grew most since the first call, with by how much (kB); empty at the first call. */
    String since() {
        Map<String, Long> now = bytesByClass();
        if (first.isEmpty()) {
            first.putAll(now);
            return "";
        }
        return now.entrySet().stream()
                .map(e -> Map.entry(e.getKey(), e.getValue() - first.getOrDefault(e.getKey(), 0L)))
                .sorted(Map.Entry.<String, Long>comparingByValue().reversed())
                .limit(TOLD)
                .map(e -> e.getKey() + " +" + Math.round(e.getValue() / KILO) + " kB")
                .collect(Collectors.joining("; "));
    }

    /** The virtual machine's own count; its lines are number, instances, bytes, class. */
    private static Map<String, Long> bytesByClass() {
        Map<String, Long> bytes = new HashMap<>();
        try {
            String histogram = (String) ManagementFactory.getPlatformMBeanServer()
                    .invoke(
                            new ObjectName("com.sun.management:type=DiagnosticCommand"),
                            "gcClassHistogram",
                            new Object[] {new String[0]},
                            new String[] {String[].class.getName()});
            for (String line : histogram.lines().toList()) {
                String[] parts = line.strip().split("\\s+");
                if (parts.length >= 4 && parts[0].endsWith(":")) {
                    bytes.merge(parts[3], Long.parseLong(parts[2]), Long::sum);
                }
            }
        } catch (JMException e) {
            throw new IllegalStateException("The virtual machine does not count its heap", e);
        }
        return bytes;
    }
}
