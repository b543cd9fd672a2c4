package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.input.KeyCode;
import mussel.core.book.ShelfPlan;
import mussel.core.job.Job;
import mussel.core.job.Order;
import mussel.core.job.Yard;
import mussel.desktop.parts.PartsStation;
import org.junit.jupiter.api.Test;

/** The shelf in the window: counted, kept at least, ordered for, and what comes is taken in, in parts and with what goes back. */
class ShelfPageTest extends DemoJourney {
    private void shelfPage() {
        robot.push(KeyCode.CONTROL, KeyCode.L);
        click("#book-page-shelf");
        worked();
    }

    private void type(String id, String figure) {
        // Lines further down the page come a moment after those that are seen at once.
        Hands.until(() -> window.lookup(id) != null);
        click(id + " .text-field");
        robot.push(KeyCode.CONTROL, KeyCode.A);
        robot.push(KeyCode.DELETE);
        robot.write(figure).push(KeyCode.ENTER);
        worked();
    }

    private ShelfPlan.Line line(String part) {
        return shop.shelfPlan().lines().stream()
                .filter(l -> l.family().equals("tern-60") && l.part().equals(part))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whatIsMissingIsOrderedAndComesInParts() throws Exception {
        shelfPage();
        type("#here-tern-60-impeller", "3");
        assertThat(line("impeller").here()).isEqualTo(3);
        type("#least-tern-60-impeller", "9");
        assertThat(shop.yard().least()).contains(new Yard.Least("tern-60", "impeller", 9));
        assertThat(line("impeller").gap()).isGreaterThanOrEqualTo(6);
        Hands.until(() -> window.lookup("#shelf-ordered") != null);
        assertThat(said("#shelf-order")).contains("all delivered in", "€");
        click("#shelf-ordered");
        assertThat(shop.shelfPlan().missing())
                .as("only what no supplier lists is still missing")
                .allMatch(l -> shop.catalogue(l.family()).of(l.family()).offers().stream()
                        .noneMatch(o -> o.of(l.part()) > 0));
        assertThat(line("impeller").coming()).isPositive();

        List<Yard.Coming> coming = shop.yard().coming();
        int at = coming.indexOf(coming.stream()
                .filter(c -> c.part().equals("impeller") && c.count() > 1)
                .findFirst()
                .orElseThrow());
        int ordered = coming.get(at).count();
        type("#came-" + at, "2");
        type("#back-" + at, "1");
        click("#take-in-" + at);
        assertThat(line("impeller").here()).as("one of the two went back").isEqualTo(4);
        assertThat(shop.yard().coming().get(at).count()).isEqualTo(ordered - 1);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(line("impeller").here()).as("taken back").isEqualTo(3);

        restart();
        assertThat(line("impeller").least()).isEqualTo(9);
    }

    @Test
    void anOrderOfALegComesInPartsToo() throws Exception {
        open("Spat Lass, port");
        click("#station-strip");
        click("#pick-goal-driveshaft_seals-yes");
        click("#station-parts");
        PartsStation parts = (PartsStation) window.station().orElseThrow();
        Hands.until(parts::ready);
        click("#order");
        Job job = now().job();
        Order order = job.orders().get(0);
        click("#some-" + order.placed().order());
        type("#back-0", String.valueOf(order.placed().lines().get(0).qty()));
        click("#came-take-0");
        Order after = now().job().orders().get(0);
        assertThat(after.still(after.placed().lines().get(0)))
                .as("all of it went back")
                .isEqualTo(order.placed().lines().get(0).qty());
        assertThat(after.delivered()).hasSize(1);
        assertThat(now().waits()).isNotEmpty();
    }
}
