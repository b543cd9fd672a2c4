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
                        List.of(Policy.values()),
                        Optional.empty(),
                        1,
                        SheetFiles.shippedYard().labourPerH()));
        double seconds = (System.nanoTime() - begun) / NANOS;
        return List.of(
                new Measured(
                        off.shares() + " shares of " + MANY + " legs, the worst (" + off.where() + ")",
                        off.worst(),
                        "s.e.",
                        "under " + Frequencies.TOLERATED),
                new Measured(LEGS + " practice legs in five ways", seconds, "s", "under 600"),
                new Measured("checks the state forbade", result.forbiddenActs(), "", "0"),
                new Measured("the advice’s lead over single checks", lead(result, "single"), "%", "over 5"),
                new Measured("the advice’s lead over the checklist", lead(result, "checklist"), "%", "over 12"));
    }

    /** By how much the advice is cheaper than another way, in per cent of what that costs. */
    private static double lead(PracticeResult result, String than) {
        double cheaper = result.pairs().stream()
                .filter(p -> p.policy().equals("advice") && p.against().equals(than))
                .mapToDouble(p -> -p.difference())
                .findFirst()
                .orElseThrow();
        double costs = result.policies().stream()
                .filter(p -> p.policy().equals(than))
                .mapToDouble(PracticeResult.Cost::costMean)
                .findFirst()
                .orElseThrow();
        return 100 * cheaper / costs;
    }
}
