package mussel.bench;

import java.util.List;
import java.util.Optional;
import mussel.core.practice.Frequencies;
import mussel.core.practice.Policy;
import mussel.core.practice.Practice;
import mussel.core.practice.PracticeInput;
import mussel.core.practice.PracticeResult;
import mussel.core.verdict.Context;
import mussel.core.verdict.Judge;
import mussel.core.verdict.Knowledge;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;

/** Practice legs against their tables, all hundred thousand of them; and what it takes to go about two thousand in every way. */
final class PracticeBenchmark {
    private static final int MANY = 100_000;
    private static final int LEGS = 2_000;
    private static final double NANOS = 1e9;

    List<Measured> run() {
        Knowledge knowledge = KnowledgeFiles.shipped();
        Context hot = Context.empty().withComplaint(List.of(Context.Complaint.HOT));
        Frequencies off = Frequencies.of(99, new Judge(knowledge).tables(hot), MANY);
        long begun = System.nanoTime();
        PracticeResult result = Practice.run(
                knowledge,
                new PracticeInput(
                        LEGS,
                        1,
                        List.of(Policy.ADVICE, Policy.CHECKLIST, Policy.STRIP, Policy.BLIND),
                        Optional.empty(),
                        1,
                        SheetFiles.shippedYard().labourPerH()));
        double seconds = (System.nanoTime() - begun) / NANOS;
        double lead = result.pairs().stream()
                .filter(p -> p.policy().equals("advice") && p.against().equals("checklist"))
                .mapToDouble(p -> -p.difference())
                .findFirst()
                .orElseThrow();
        double checklist = result.policies().get(1).costMean();
        return List.of(
                new Measured(
                        off.shares() + " shares of " + MANY + " legs, the worst (" + off.where() + ")",
                        off.worst(),
                        "s.e.",
                        "under " + Frequencies.TOLERATED),
                new Measured(LEGS + " practice legs in four ways", seconds, "s", "under 60"),
                new Measured("the advice’s lead over the checklist", 100 * lead / checklist, "%", "over 10"));
    }
}
