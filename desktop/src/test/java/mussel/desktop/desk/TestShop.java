package mussel.desktop.desk;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import mussel.core.job.Fact;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.leak.HoldFile;
import mussel.core.verdict.Overrides;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import mussel.sim.instrument.SimulatedLeakTester;

/** A shop on a journal in memory, with the families and tables that ship. */
public final class TestShop {
    /** Its journal. */
    public final MemoryJournal journal = new MemoryJournal();
    /** The shop. */
    public final Workshop shop;

    /** An empty shop. */
    public TestShop() {
        shop = new Workshop(
                journal,
                CompletableFuture.completedFuture(new Workshop.Catalogue(
                        SheetFiles.shipped(),
                        SheetFiles.shippedYard(),
                        KnowledgeFiles.shipped(),
                        Overrides.none(),
                        "test")),
                Clock.fixed(Instant.parse("2026-11-23T09:00:00Z"), ZoneOffset.UTC),
                new Workshop.Ports(
                        (job, file) -> {},
                        file -> new HoldFile(Optional.empty(), List.of(), List.of("no files here")),
                        SimulatedLeakTester::new));
    }

    /** Takes a leg in and puts its job on a desk. */
    public Desk leg(String boat, LegRef.Position position, String family) {
        int job = shop.takeIn(new LegRef(boat + position, boat, position, family));
        shop.refreshBench();
        return shop.desk(job);
    }

    /** A leg of the middle family with milky oil. */
    public Desk milky() {
        Desk desk = leg("Spat Lass", LegRef.Position.PORT, "tern-60");
        desk.note(new Fact.Chosen(Scale.OIL_WATER.address(), "milky"));
        return desk;
    }
}
