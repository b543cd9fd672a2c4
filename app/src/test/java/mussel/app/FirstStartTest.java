package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import mussel.core.measure.YardUnits;
import org.junit.jupiter.api.Test;

/** The first start of all: a name and units, nothing else, and never again. */
class FirstStartTest extends WindowJourney {
    @Test
    void asksForNameAndUnitsOnce() throws Exception {
        robot.interact(window::firstStart);
        click("#first-begin");
        assertThat(window.lookup("#first-start")).as("an empty name is refused").isNotNull();
        robot.clickOn("#first-name").write("Pier End");
        click("#first-units-US");
        click("#first-begin");
        assertThat(window.lookup("#first-start")).isNull();
        assertThat(shop.yard().name()).isEqualTo("Pier End");
        assertThat(shop.yard().reads()).isEqualTo(YardUnits.US);
        restart();
        robot.interact(window::firstStart);
        assertThat(window.lookup("#first-start")).isNull();
        assertThat(shop.yard().name()).isEqualTo("Pier End");
        assertThat(shop.yard().reads()).isEqualTo(YardUnits.US);
    }
}
