package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.input.KeyCode;
import mussel.core.measure.Money;
import mussel.core.measure.UnitSet;
import org.junit.jupiter.api.Test;

/** The first start of all: name, units and currency, nothing else, and never again. */
class FirstStartTest extends WindowJourney {
    @Test
    void asksForNameUnitsAndCurrencyOnce() throws Exception {
        robot.interact(window::firstStart);
        click("#first-begin");
        assertThat(window.lookup("#first-start")).as("an empty name is refused").isNotNull();
        robot.clickOn("#first-name").write("Pier End");
        click("#first-units-US");
        robot.clickOn("#first-currency").write("dollars");
        click("#first-begin");
        assertThat(window.lookup("#first-start")).as("no currency is refused").isNotNull();
        robot.clickOn("#first-currency").push(KeyCode.CONTROL, KeyCode.A);
        robot.write("usd").push(KeyCode.ENTER);
        assertThat(window.lookup("#first-start")).isNull();
        assertThat(shop.yard().name()).isEqualTo("Pier End");
        assertThat(shop.yard().units()).isEqualTo(UnitSet.US);
        assertThat(shop.units().money()).isEqualTo(new Money("USD", "en-US"));
        restart();
        robot.interact(window::firstStart);
        assertThat(window.lookup("#first-start")).isNull();
        assertThat(shop.yard().name()).isEqualTo("Pier End");
        assertThat(shop.yard().units()).isEqualTo(UnitSet.US);
        assertThat(shop.units().money()).isEqualTo(new Money("USD", "en-US"));
    }
}
