package mussel.core.book;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mussel.core.job.Assessment;
import mussel.core.job.EngineSide;
import mussel.core.job.LegBefore;
import mussel.core.language.Messages;

/**
 * The spring of one boat as it is done: what its lay-up left open, what a winter does, and a start on cups.
 *
 * @param lines the steps
 */
public record SpringWork(List<LayUpWork.Line> lines) {
    /** What the steps every spring has are known by, in their order. */
    public static final List<String> STEPS = List.of("oil", "fuel", "battery", "moving", "start", "drips");

    private static final String LEFT = LegBefore.SPRING + "left-";
    private static final Messages TEXT = Messages.of(SpringWork.class);

    /** Keeps its own copy. */
    public SpringWork {
        lines = List.copyOf(lines);
    }

    /** The spring of a job. */
    public static SpringWork of(Assessment now) {
        List<LayUpWork.Line> lines = new ArrayList<>();
        Optional<Set<String>> done = now.before().layUp();
        for (LayUpWork.Line line : LayUpWork.of(now).lines()) {
            String step = line.id().substring(LegBefore.LAY_UP.length());
            if (done.isPresent() && !done.get().contains(line.id())) {
                lines.add(line(now, LEFT + step, TEXT.get("spring.left", line.says())));
            }
        }
        STEPS.forEach(s -> lines.add(line(now, LegBefore.SPRING + s, TEXT.get("spring." + s))));
        return new SpringWork(lines);
    }

    private static LayUpWork.Line line(Assessment now, String id, String says) {
        return new LayUpWork.Line(id, says, now.job().ticked(id).isPresent());
    }

    /** How many are done. */
    public int done() {
        return (int) lines.stream().filter(LayUpWork.Line::done).count();
    }

    /** The same as a list for paper. */
    public WorkList list(Assessment now) {
        return new WorkList(
                TEXT.get("list.spring"),
                TEXT.get("list.spring.intro"),
                lines.stream().map(l -> new WorkList.Line(l.says(), l.done())).toList(),
                new EngineSide(now).waiting());
    }
}
