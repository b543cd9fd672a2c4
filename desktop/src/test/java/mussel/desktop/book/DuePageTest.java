package mussel.desktop.book;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.layout.StackPane;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.desktop.FxThread;
import mussel.desktop.Pressing;
import mussel.desktop.desk.TestShop;
import mussel.work.desk.Desk;
import org.junit.jupiter.api.Test;

/** What is due, and the lay-up, on a journal in memory. */
class DuePageTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 23);

    private final TestShop test = new TestShop();
    private final List<String> lives = new ArrayList<>();

    private Node shown() {
        test.shop.refreshBench();
        DuePage page = new DuePage(test.shop, lives::add, job -> {});
        page.show();
        StackPane root = new StackPane(page.node());
        new Scene(root, 1280, 700);
        root.applyCss();
        root.layout();
        return root;
    }

    private void tagged(String boat, String family, double hours, LocalDate day, Fact... more) {
        Desk desk = test.leg(boat, LegRef.Position.SINGLE, family);
        desk.read(Field.ENGINE_HOURS.address(), hours, "");
        desk.read(Field.PUMPED.address(), 300, "");
        for (Fact fact : more) {
            desk.note(fact);
        }
        desk.note(new Fact.Tagged(day));
    }

    private static void onPage(Callable<?> test) throws Exception {
        FxThread.on(test);
    }

    @Test
    void beforeAnythingIsTaggedItSaysWhenSomethingWillStandHere() throws Exception {
        onPage(() -> {
            assertThat(Pressing.words(shown())).contains("Nothing due yet");
            return null;
        });
    }

    @Test
    void whatIsDueStandsInTheOrderOfItsDayAndOpensItsLife() throws Exception {
        onPage(() -> {
            tagged("Byssus", "tern-60", 400, TODAY.minusMonths(13));
            tagged(
                    "Kelp Runner",
                    "wren-8",
                    60,
                    TODAY.minusMonths(2),
                    new Fact.Chosen(Scale.STORAGE.address(), "frost"));
            Node page = shown();
            String words = Pressing.words(page);
            assertThat(words.indexOf("Byssus · Gear oil")).isPositive();
            assertThat(words.indexOf("Kelp Runner · Gear oil")).isGreaterThan(words.indexOf("Byssus · Gear oil"));
            assertThat(words.indexOf("Kelp Runner · Lay-up before freezing"))
                    .isGreaterThan(words.indexOf("Kelp Runner · Gear oil"));
            assertThat(words).contains("overdue", "running hours not known", "Due by date, 2027-11-15");
            ((Button) page.lookupAll(".button").stream()
                            .filter(b -> "history of Byssus".equals(b.getAccessibleText()))
                            .findFirst()
                            .orElseThrow())
                    .fire();
            assertThat(lives).containsExactly("ByssusSINGLE");
            return null;
        });
    }

    @Test
    void aLegThatIsOnTheBenchNowIsSaidToBe() throws Exception {
        onPage(() -> {
            tagged("Byssus", "tern-60", 400, TODAY.minusMonths(13));
            assertThat(Pressing.words(shown())).doesNotContain("Open now");
            Desk desk = test.leg("Byssus", LegRef.Position.SINGLE, "tern-60");
            assertThat(Pressing.words(shown()))
                    .contains("Open now as job " + desk.job().id() + ".");
            return null;
        });
    }

    @Test
    void theLayUpCountsDoseAndBottlesOnceTheirFiguresAreTyped() throws Exception {
        onPage(() -> {
            Node page = shown();
            assertThat(Pressing.words(page))
                    .contains("the dose on the bottle", "see the maker’s manual for the amount");
            Pressing.type(page, "#layup-tank", "110 l");
            Pressing.type(page, "#layup-dose", "2,5");
            Pressing.type(page, "#layup-engine-oil", "4.2 l");
            Pressing.type(page, "#layup-filter", "300 ml");
            assertThat(Pressing.words(page))
                    .contains("Add fuel stabiliser: 275 ml")
                    .contains("4500 ml with the filter")
                    .contains("1 × engine oil litre + 1 × engine oil can, leaves 500 ml");
            Pressing.type(page, "#layup-tank", "much");
            assertThat(Pressing.words(page))
                    .as("nonsense leaves the old figure")
                    .contains("275 ml");
            Pressing.press(page, "#layup-family-skua-225");
            assertThat(Pressing.words(page)).contains("Skua 225 takes");
            return null;
        });
    }
}
