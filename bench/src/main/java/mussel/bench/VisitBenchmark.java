package mussel.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntConsumer;
import mussel.app.ForBench;
import mussel.core.book.LayUpRound;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Journal;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.visit.EngineSideItem;
import mussel.work.shop.Workshop;

/** What is due of a fleet of 500 legs with ten clocks each, and the lay-up of thirty boats as one round. */
final class VisitBenchmark {
    private static final int LEGS = 500;
    private static final int BOATS = 30;
    private static final int TIMES = 40;
    private static final int MOST = 10_000;
    private static final double ENGINE_ML = 2_800;
    private static final double TANK_ML = 40_000;

    List<Measured> run() {
        try {
            Path log = Files.createTempDirectory("mussel-visit").resolve("yard.mussel");
            Workshop shop = ForBench.open(log, Clock.systemUTC());
            List<Integer> jobs = new ArrayList<>();
            for (int i = 0; i < LEGS; i++) {
                jobs.add(serviced(shop.journal(), i));
            }
            shop.fileEverything();
            int clocks = shop.book().due(MOST).size();
            List<Measured> all = new ArrayList<>();
            all.add(new Measured(
                    "due of " + LEGS + " legs, " + clocks + " clocks, median",
                    median(i -> shop.book().due(MOST)),
                    "ms",
                    "under 50"));
            all.add(new Measured(
                    "lay-up round of " + BOATS + " boats, median", median(i -> round(shop, jobs)), "ms", "under 1000"));
            shop.journal().close();
            return all;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static int serviced(Journal journal, int number) {
        LegRef leg = new LegRef("l" + number, "Boat " + number, LegRef.Position.SINGLE, "tern-60");
        int job = journal.open(leg, "bench").job();
        List<Fact> facts = new ArrayList<>();
        facts.add(read(Field.ENGINE_HOURS, 100 + number));
        facts.add(new Fact.Chosen(Scale.WATER.address(), "sea"));
        facts.add(new Fact.Chosen(Scale.STORAGE.address(), "frost"));
        facts.add(read(Field.DRAINED, 405));
        facts.add(read(Field.PUMPED, 430));
        facts.add(read(Field.ENGINE_TAKES, ENGINE_ML));
        facts.add(read(Field.FUEL_TANK, TANK_ML));
        facts.add(read(Field.STABILISER_DOSE, 2.5));
        for (EngineSideItem item : EngineSideItem.values()) {
            facts.add(new Fact.Chosen(Scale.BESIDE.of(item.id()), "done"));
        }
        facts.add(new Fact.Ticked("layup:fuel", true));
        facts.add(new Fact.Tagged(LocalDate.now(Clock.systemUTC()).minusDays(100)));
        journal.append(job, "bench", facts);
        return job;
    }

    private static Fact read(Field field, double value) {
        return Fact.Read.byHand(field.address(), value, String.valueOf(value));
    }

    private static void round(Workshop shop, List<Integer> jobs) {
        LayUpRound.of(
                jobs.stream().limit(BOATS).map(shop::layUp).toList(),
                shop.yard().bottles());
    }

    private static double median(IntConsumer work) {
        double[] ms = new double[TIMES];
        for (int i = -5; i < TIMES; i++) {
            long start = System.nanoTime();
            work.accept(i);
            if (i >= 0) {
                ms[i] = (System.nanoTime() - start) / 1e6;
            }
        }
        return Measured.quantile(ms, 0.5);
    }
}
