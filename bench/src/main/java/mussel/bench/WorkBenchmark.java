package mussel.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.IntConsumer;
import mussel.core.parts.PartsEngine;
import mussel.core.parts.PartsInput;
import mussel.core.parts.PartsResult;
import mussel.core.plan.PlanEngine;
import mussel.core.plan.PlanInput;
import mussel.core.sheet.Goal;
import mussel.core.sheet.SpecSheet;
import mussel.core.shim.Shim;
import mussel.core.shim.StackEngine;
import mussel.core.shim.StackInput;
import mussel.exchange.sheet.SheetFiles;

/** Plans with all goals and their 20,000 draws; orders of a job's size and big ones, each both for money and for speed. */
final class WorkBenchmark {
    private static final int JOBS = 100;
    private static final int BIG = 12;
    private static final int PLANS = 120;
    private static final int STACKS = 500;
    private static final int WARM = 20;

    private int unproven;
    private double worstGap;

    List<Measured> run() {
        List<Measured> all = new ArrayList<>();
        List<SpecSheet> families = SheetFiles.shipped();
        all.add(new Measured(
                "plan, all goals, 20,000 draws, 95th percentile",
                percentile95(PLANS, i -> plan(families.get(i % families.size()), i)),
                "ms",
                "under 60"));
        all.add(new Measured(
                "stack of shims, 12 sizes, up to 6 pieces, slowest of " + STACKS,
                slowest(STACKS, WorkBenchmark::stack),
                "ms",
                "under 20"));
        all.add(new Measured(
                "order of a job (15 needs), 95th percentile",
                percentile95(JOBS, i -> order(OrderGenerator.order(i, 15, 60, 3))),
                "ms",
                "under 200"));
        unproven = 0;
        worstGap = 0;
        all.add(new Measured(
                "big order (60 needs), slowest",
                slowest(BIG, i -> order(OrderGenerator.order(1_000 + i, 60, 300, 5))),
                "ms",
                "under 10000, both objectives"));
        all.add(new Measured("big orders not proven", unproven, "of " + 4 * BIG, ""));
        all.add(new Measured("big orders, widest gap", 100 * worstGap, "%", ""));
        return all;
    }

    /** A drawer of twelve sizes with one to six of each; targets from none to more than six of the thickest. */
    private static void stack(int seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Shim> drawer = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            drawer.add(new Shim(0.03 + 0.01 * random.nextInt(97) + 0.0001 * i, 1 + random.nextInt(6)));
        }
        StackEngine.run(new StackInput(random.nextDouble(0, 6.5), random.nextDouble(0, 0.02), drawer, 6));
    }

    private static void plan(SpecSheet sheet, int seed) {
        PlanEngine.run(
                new PlanInput(
                        sheet.id(),
                        sheet.goals().stream().map(Goal::id).toList(),
                        8,
                        true,
                        Optional.empty(),
                        List.of(),
                        seed),
                sheet);
    }

    private void order(PartsInput in) {
        PartsResult out = PartsEngine.run(in);
        note(out.gap());
        out.alternatives().forEach(a -> note(a.gap()));
    }

    private void note(double gap) {
        unproven += gap > 0 ? 1 : 0;
        worstGap = Math.max(worstGap, gap);
    }

    private static double percentile95(int times, IntConsumer work) {
        double[] ms = taken(times, work);
        return ms[(int) Math.ceil(0.95 * times) - 1];
    }

    private static double slowest(int times, IntConsumer work) {
        return taken(times, work)[times - 1];
    }

    private static double[] taken(int times, IntConsumer work) {
        for (int i = 0; i < Math.min(WARM, times); i++) {
            work.accept(i);
        }
        double[] ms = new double[times];
        for (int i = 0; i < times; i++) {
            long start = System.nanoTime();
            work.accept(i);
            ms[i] = (System.nanoTime() - start) / 1e6;
        }
        Arrays.sort(ms);
        return ms;
    }
}
