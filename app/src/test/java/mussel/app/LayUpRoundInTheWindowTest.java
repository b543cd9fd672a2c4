package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.input.KeyCode;
import mussel.core.book.LayUpWork;
import org.junit.jupiter.api.Test;

/** The round before frost in the window: what to buy for all boats, and a boat's own list that is ticked and kept. */
class LayUpRoundInTheWindowTest extends DemoJourney {
    private void due() {
        robot.push(KeyCode.CONTROL, KeyCode.L);
        click("#book-page-due");
    }

    @Test
    void aBoatOfTheRoundIsTickedAndWhatToBuyFollowsItsFigures() throws Exception {
        due();
        assertThat(said("#round"))
                .contains("Lay-up before freezing: 4 boats", "Byssus: 0 of 6 steps")
                .contains("of gear oil for 4 boats")
                .contains("Spat Lass, port: amount of engine oil, stabiliser not known");
        click("#round-demo-Byssus-SINGLE");
        click("#station-beside");
        click("#layup-open");
        click("#field-fuel_tank .text-field");
        robot.write("40 l\n");
        click("#field-stabiliser_dose .text-field");
        robot.write("2.5\n");
        assertThat(said("#layup")).contains("Add fuel stabiliser: 100 ml (1 × stabiliser");
        click("#layup-fuel");
        click("#layup-fog");
        assertThat(LayUpWork.of(now()).done()).isEqualTo(2);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(LayUpWork.of(now()).done()).as("undone").isEqualTo(1);

        restart();
        due();
        assertThat(said("#round"))
                .contains("Byssus: 1 of 6 steps", "100 ml of stabiliser for one boat: buy 1 × stabiliser");
    }
}
