package mussel.core.job;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.sheet.Region;

/** The lines of the bench as they are kept beside the journal. They can be made anew from it at any time. */
public interface BenchLines {
    /** The most lines a search answers with. */
    int MOST_FOUND = 60;

    /** The lines of the legs on the bench, in the order of their jobs. */
    List<BenchLine> open();

    /** The last tagged job of each leg. */
    List<BenchLine> lastTagged();

    /** Lines whose words hold the text, open ones first, at most {@link #MOST_FOUND}. */
    List<BenchLine> find(String text);

    /** The jobs of a leg, in order. */
    List<Integer> jobsOf(String leg);

    /** The last leg of that boat and position. */
    Optional<LegRef> leg(String boat, LegRef.Position position);

    /** How the jobs of a family, but for one, have changed what lies on the shelf, by part. */
    Map<String, Integer> shelfChange(String family, int exceptJob);

    /** The outline of a family's leg, as far as a small picture shows it; empty when it was never kept. */
    List<Region> outline(String family);

    /** Keeps the outline of a family. */
    void keepOutline(String family, List<Region> regions);
}
