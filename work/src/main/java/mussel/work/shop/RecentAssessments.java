package mussel.work.shop;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.job.Assessment;
import mussel.core.job.Job;
import mussel.core.job.LegBefore;
import mussel.core.job.OtherLeg;
import mussel.core.job.OwnRecord;
import mussel.core.job.Stores;
import mussel.core.job.Surroundings;
import mussel.core.job.Yard;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Judge;

/** The assessments the desk asked for last. One is given again only where everything it was made from is what it was. Lives on the interface thread. */
final class RecentAssessments {
    /** As many as a full bench and a few legs beside it. */
    private static final int MOST = 16;

    private final Map<Integer, Kept> kept = new LinkedHashMap<>(32, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Integer, Kept> eldest) {
            return size() > MOST;
        }
    };

    private record Kept(Basis basis, Assessment assessment) {}

    /** What an assessment is made from. Yard, tables and sheet are compared by identity: they are replaced, never changed. */
    private record Basis(
            Job.Mark mark,
            SpecSheet sheet,
            Yard yard,
            Judge judge,
            List<String> twinFound,
            LocalDate today,
            Stores stores,
            ZoneId zone,
            LegBefore before,
            Optional<OtherLeg> sister,
            OwnRecord own) {
        static Basis of(Job job, SpecSheet sheet, Surroundings around) {
            return new Basis(
                    job.mark(),
                    sheet,
                    around.yard(),
                    around.judge(),
                    around.twinFound(),
                    around.today(),
                    around.stores(),
                    around.zone(),
                    around.before().get(),
                    around.sister(),
                    around.own());
        }

        boolean same(Basis other) {
            return mark.equals(other.mark)
                    && sheet == other.sheet
                    && yard == other.yard
                    && judge == other.judge
                    && twinFound.equals(other.twinFound)
                    && today.equals(other.today)
                    && stores.catalogue() == other.stores.catalogue()
                    && stores.shelf().equals(other.stores.shelf())
                    && zone.equals(other.zone)
                    && before.equals(other.before)
                    && sister.map(Basis::stands).equals(other.sister.map(Basis::stands))
                    && sister.flatMap(OtherLeg::assessed).equals(other.sister.flatMap(OtherLeg::assessed))
                    && own == other.own;
        }

        private static Job.Mark stands(OtherLeg sister) {
            return sister.job().mark();
        }
    }

    /** The assessment of a job, made anew where anything has changed. */
    Assessment of(Job job, SpecSheet sheet, Surroundings around) {
        Basis basis = Basis.of(job, sheet, around);
        Kept before = kept.get(job.id());
        if (before != null && before.basis().same(basis)) {
            return before.assessment();
        }
        Assessment made = Assessment.of(job, sheet, around.with(basis.before()));
        kept.put(job.id(), new Kept(basis, made));
        return made;
    }
}
