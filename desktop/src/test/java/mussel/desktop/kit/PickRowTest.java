package mussel.desktop.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import mussel.desktop.FxThread;
import mussel.desktop.kit.PickRow.Choice;
import org.junit.jupiter.api.Test;

class PickRowTest {
    private final List<Optional<String>> picked = new ArrayList<>();

    private PickRow row() {
        PickRow row = new PickRow(
                        "pick-look",
                        "Water",
                        List.of(
                                Choice.text("none", "none"),
                                Choice.text("haze", "haze"),
                                Choice.text("milky", "milky")))
                .onPick(picked::add);
        new Scene(row);
        return row;
    }

    private static void key(Node row, String figure) {
        Node tile = row.lookup("#pick-look-none");
        tile.fireEvent(new KeyEvent(KeyEvent.KEY_TYPED, figure, "", KeyCode.UNDEFINED, false, false, false, false));
    }

    private static void press(Node row, KeyCode code) {
        row.lookup("#pick-look-none")
                .fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, false, false, false, false));
    }

    @Test
    void oneKeyPicksTheSameKeyKeepsAndDeleteClears() throws Exception {
        FxThread.on(() -> {
            PickRow row = row();
            key(row, "3");
            key(row, "3");
            key(row, "9");
            press(row, KeyCode.DELETE);
            assertThat(picked).containsExactly(Optional.of("milky"), Optional.empty());
            return null;
        });
    }

    @Test
    void anAnswerByKeyGoesOnAndOneThatIsNoneDoesNot() throws Exception {
        FxThread.on(() -> {
            PickRow row = row();
            List<String> on = new ArrayList<>();
            row.addEventHandler(AnsweredByKey.ANSWERED, e -> on.add("on"));
            assertThat(row.open()).isTrue();
            key(row, "9");
            assertThat(on).isEmpty();
            key(row, "2");
            press(row, KeyCode.ENTER);
            assertThat(on).hasSize(2);
            assertThat(row.open()).isFalse();
            return null;
        });
    }

    @Test
    void showingAChoiceIsNoPick() throws Exception {
        FxThread.on(() -> {
            PickRow row = row();
            row.show(Optional.of("haze"));
            assertThat(((ToggleButton) row.lookup("#pick-look-haze")).isSelected())
                    .isTrue();
            row.show(Optional.empty());
            assertThat(((ToggleButton) row.lookup("#pick-look-haze")).isSelected())
                    .isFalse();
            assertThat(picked).isEmpty();
            return null;
        });
    }

    @Test
    void everyTileSaysWhatItIs() throws Exception {
        FxThread.on(() -> {
            assertThat(row().lookup("#pick-look-milky").getAccessibleText()).isEqualTo("Water: milky, key 3");
            return null;
        });
    }
}
