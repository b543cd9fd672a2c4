package mussel.core.job;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import mussel.core.measure.NamedBy;
import mussel.core.verdict.Finding;

/** What a job has open already, so that a look behind it costs no set-up. */
final class AccessOpen {
    private AccessOpen() {}

    /** The access levels open, as the diagnosis tables name them. */
    static List<String> of(Assessment all) {
        Job job = all.job();
        Set<String> off = all.partsOff();
        Stream<String> drained = job.reading(Field.DRAINED).isPresent() ? Stream.of("drain") : Stream.of();
        Stream<String> held = !job.holds().isEmpty() && off.isEmpty() ? Stream.of("hold") : Stream.of();
        Stream<String> parts = all.sheet().parts().stream()
                .filter(p -> off.contains(p.id()))
                .flatMap(p -> p.opens().stream())
                .map(NamedBy::file);
        return Stream.of(drained, held, parts, practised(all))
                .flatMap(s -> s)
                .distinct()
                .toList();
    }

    /** A look at a practice leg opens what it needs by itself, without a step of the plan. */
    private static Stream<String> practised(Assessment all) {
        return all.knowledge().findings().stream()
                .filter(f -> all.practice()
                        && all.job().choice(Scale.LOOKED.of(f.id())).isPresent())
                .map(Finding::access);
    }
}
