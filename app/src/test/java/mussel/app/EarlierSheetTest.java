package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import mussel.core.job.Assessment;
import mussel.core.job.LegRef;
import mussel.exchange.sheet.SheetFiles;
import mussel.store.FileStore;
import mussel.work.shop.Workshop;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A job that was begun by an earlier sheet of its family goes on by it; one that was not is worked by today's. */
class EarlierSheetTest {
    @TempDir
    Path folder;

    @Test
    void whatWasTickedStaysTicked() {
        Workshop shop =
                Yards.open(new FileStore(folder.resolve("yard.mussel"), WindowJourney.DAY), SheetFiles.shipped());
        int old = shop.takeIn(new LegRef("a", "Byssus", LegRef.Position.SINGLE, "wren-8"));
        shop.tick(old, "kill_cord");
        shop.tick(old, "rod_mark");
        int fresh = shop.takeIn(new LegRef("b", "Raft tender", LegRef.Position.SINGLE, "wren-8"));
        shop.tick(fresh, "kill_cord");

        Assessment begun = of(shop, old);
        assertThat(begun.sheet().step("rod_mark")).isPresent();
        assertThat(begun.sheet().step("linkage_open")).isEmpty();
        Assessment today = of(shop, fresh);
        assertThat(today.sheet().step("linkage_open")).isPresent();
        shop.journal().close();
    }

    private static Assessment of(Workshop shop, int job) {
        return shop.jobs().stream().filter(j -> j.job().id() == job).findFirst().orElseThrow();
    }
}
