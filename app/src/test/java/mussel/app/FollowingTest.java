package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Map;
import mussel.core.book.OpenLog;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.measure.UnitSet;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.sheet.SheetFiles;
import mussel.store.FileStore;
import mussel.work.shop.Workshop;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A shop that is open keeps answers. What another hand enters into the same log counts there after the next look, and not before it is asked for. */
class FollowingTest {
    private static final Clock DAY = Clock.fixed(Instant.parse("2026-11-23T09:00:00Z"), ZoneOffset.UTC);

    @TempDir
    Path folder;

    private OpenLog log;
    private Workshop shop;
    private String family;

    @BeforeEach
    void open() {
        FileStore store = new FileStore(folder.resolve("shop.mussel"), DAY);
        log = store.open();
        shop = Yards.over(log, store, SheetFiles.shipped());
        family = shop.families().get(0).id();
    }

    @AfterEach
    void close() {
        log.close();
    }

    private int job(LegRef.Position position) {
        return shop.takeIn(new LegRef("Byssus-" + position, "Byssus", position, family));
    }

    private Assessment now(int job) {
        return shop.recent(Job.of(log.entries(job))).orElseThrow();
    }

    @Test
    void aDecisionOfAnotherHandCountsAfterTheLook() {
        int job = job(LegRef.Position.SINGLE);
        Assessment before = now(job);
        shop.apart(other -> {
            other.readIn(UnitSet.US);
            other.shelf().count(family, before.sheet().parts().get(0).id(), 7);
            return null;
        });
        assertThat(now(job)).as("kept until the look").isSameAs(before);

        shop.follow();
        assertThat(shop.yard().units()).isEqualTo(UnitSet.US);
        assertThat(shop.shelf().counts(before.sheet()).values()).containsExactly(7);
        assertThat(now(job).yard().units()).isEqualTo(UnitSet.US);
        assertThat(now(job).stores().shelf().values()).contains(7);
    }

    @Test
    void whereNothingCameInWhatIsKeptStays() {
        int job = job(LegRef.Position.SINGLE);
        shop.follow();
        Assessment before = now(job);
        shop.follow();
        assertThat(now(job)).isSameAs(before);
    }

    @Test
    void whatIsFoundOnTheOtherLegCounts() {
        int port = job(LegRef.Position.PORT);
        int starboard = job(LegRef.Position.STARBOARD);
        shop.refreshBench();
        assertThat(now(port).verdictInput().context().orElseThrow().twinFound()).isEmpty();
        String cause = shop.tables().shippedTables().causes().get(0).id();
        shop.apart(
                other -> other.journal().append(starboard, "bob", new Fact.Chosen(Scale.CONFIRMED.of(cause), "yes")));
        shop.follow();
        assertThat(now(port).verdictInput().context().orElseThrow().twinFound()).containsExactly(cause);
    }

    @Test
    void aSheetWrittenElsewhereIsReadAnew() {
        SpecSheet before = shop.sheets()
                .workedBy(Job.of(log.entries(job(LegRef.Position.SINGLE))))
                .orElseThrow();
        String part = before.parts().get(0).id();
        shop.apart(other -> {
            other.sheets().number(family, Map.of(part, "MF-7001"));
            return null;
        });
        assertThat(shop.families().get(0)).isSameAs(before);
        shop.follow();
        assertThat(shop.families().get(0).parts().get(0).number()).isEqualTo("MF-7001");
    }
}
