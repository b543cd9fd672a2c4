package mussel.desktop.shell;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import mussel.core.measure.Money;
import mussel.core.measure.UnitSet;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.Words;
import mussel.work.shop.Workshop;

/** The only questions before the first leg: what the yard is called, what it reads in, in what it reckons, and whether it wants the demo yard’s sheets. */
final class FirstStart extends Column {
    private static final int LONGEST_NAME = 60;

    private final TextField name = new TextField();
    private final TextField money = new TextField();
    private UnitSet units = UnitSet.METRIC;
    private boolean demo = true;

    /**
     * What was answered.
     *
     * @param name what the yard is called
     * @param units the set of units it reads in
     * @param currency the money it reckons in, by its code; empty where it did not say
     * @param demo whether the demo yard's sheets and prices are to be there
     */
    record Answers(String name, UnitSet units, Optional<String> currency, boolean demo) {}

    /** The page; answers with what was said. */
    FirstStart(Consumer<Answers> onDone) {
        super(12);
        setId("first-start");
        getStyleClass().addAll("station", "sheet-over");
        name.setId("first-name");
        name.setPromptText("as it stands on your papers");
        name.setAccessibleText("the yard’s name");
        Label caption = new Words("The yard’s name");
        caption.getStyleClass().add("caption");
        caption.setLabelFor(name);
        Label refusal = Texts.wrapped("", "refusal");
        PickRow in = new PickRow(
                        "first-units",
                        "It reads in",
                        List.of(
                                PickRow.Choice.text("METRIC", "metric: ml, mm, N·m, kPa, °C, g"),
                                PickRow.Choice.text("US", "US: fl oz, in, lbf·in, psi, °F, oz")))
                .keepsOne()
                .onPick(u -> units = UnitSet.valueOf(u.orElseThrow()));
        in.show(Optional.of(units.name()));
        PickRow sheets = new PickRow(
                        "first-sheets",
                        "Sheets to begin with",
                        List.of(
                                PickRow.Choice.text("on", "the demo yard’s invented legs and prices"),
                                PickRow.Choice.text("off", "none: I take my own in")))
                .keepsOne()
                .onPick(w -> demo = w.equals(Optional.of("on")));
        sheets.show(Optional.of("on"));
        Label moneyCaption = new Words("The money it reckons in");
        moneyCaption.getStyleClass().add("caption");
        moneyCaption.setLabelFor(money);
        money.setId("first-currency");
        money.setPromptText("its code, like USD or NOK; blank for bare figures");
        money.setAccessibleText("the currency by its code of three letters");
        Button begin = new Button("Begin");
        begin.setId("first-begin");
        begin.getStyleClass().add("act");
        begin.setDefaultButton(true);
        begin.setOnAction(e -> {
            String typed = name.getText().strip();
            if (typed.isEmpty() || typed.length() > LONGEST_NAME) {
                refusal.setText(
                        "A name of 1 to " + LONGEST_NAME + " characters goes here; it can be changed in the book.");
            } else if (!money.getText().isBlank() && Money.of(money.getText()).isEmpty()) {
                refusal.setText("“" + money.getText().strip()
                        + "” is no currency: type its code of three letters, like USD or NOK, or leave it blank.");
            } else {
                onDone.accept(
                        new Answers(typed, units, Money.of(money.getText()).map(Money::code), demo));
            }
        });
        getChildren()
                .addAll(
                        Texts.title("Mussel"),
                        Texts.sentence("Four questions, then the bench is yours. Everything is kept as you make it."),
                        new Column(2, caption, name),
                        in,
                        new Column(2, moneyCaption, money),
                        sheets,
                        refusal,
                        begin,
                        Texts.dim(
                                "Figures can be typed in any unit all the same. The maker’s manual for the exact unit outranks every value shown here."));
    }

    /** Puts the caret where one begins. */
    /** Asks over the window, and keeps what was said. */
    static void ask(Workshop shop, Overlay overlay, Consumer<Runnable> guarded, Runnable whenDone) {
        FirstStart page = new FirstStart(said -> guarded.accept(() -> {
            overlay.close();
            shop.rename(said.name());
            shop.readIn(said.units());
            shop.reckonIn(said.currency());
            shop.setDemo(said.demo());
            whenDone.run();
        }));
        overlay.show(page);
        page.begin();
    }

    void begin() {
        name.requestFocus();
    }
}
