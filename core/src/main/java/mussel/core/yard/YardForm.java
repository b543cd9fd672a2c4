package mussel.core.yard;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.job.Yard;
import mussel.core.measure.Problems;

/** How what a yard decides is written down: thing by thing as texts that are kept, table by table as lines that people fill in. */
public interface YardForm {
    /** The tables, in the order they are asked. */
    List<YardTable> tables();

    /** The lines of a table, as people write them. */
    List<List<String>> lines(YardTable table, Yard yard);

    /** What a table's lines decide of its thing, as a text to be kept; empty after problems, each with line and column. */
    Optional<String> decided(YardTable table, Yard yard, List<List<String>> lines, Problems problems);

    /** What a yard says, thing by thing, as texts to be kept. */
    Map<String, String> things(Yard yard);

    /** A yard with what was decided put over it; empty after problems. */
    Optional<Yard> with(Yard yard, Map<String, String> decided, Problems problems);
}
