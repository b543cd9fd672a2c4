package mussel.desktop.shell;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import mussel.core.language.Messages;
import mussel.core.measure.Money;
import mussel.core.measure.UnitSet;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.Words;
import mussel.work.shop.Workshop;

/** The only questions before the first leg: what the yard is called, what it reads in, in what it reckons, and whether it wants the demo yard’s sheets. */
final class FirstStart extends Column {
    private static final Messages TEXT = Messages.of(FirstStart.class);

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
        name.setPromptText(TEXT.get("first_start.as_it_stands_on_your_papers"));
        name.setAccessibleText(TEXT.get("first_start.the_yards_name"));
        Label caption = new Words(TEXT.get("first_start.the_yards_name_2"));
        caption.getStyleClass().add("caption");
        caption.setLabelFor(name);
        Label refusal = Texts.wrapped("", "refusal");
        PickRow in = new PickRow(
                        "first-units",
                        TEXT.get("first_start.it_reads_in"),
                        List.of(
                                PickRow.Choice.text("METRIC", TEXT.get("first_start.metric_ml_mm_n_m_kpa")),
                                PickRow.Choice.text("US", TEXT.get("first_start.us_fl_oz_in_lbf_in"))))
                .keepsOne()
                .onPick(u -> units = UnitSet.valueOf(u.orElseThrow()));
        in.show(Optional.of(units.name()));
        PickRow sheets = new PickRow(
                        "first-sheets",
                        TEXT.get("first_start.sheets_to_begin_with"),
                        List.of(
                                PickRow.Choice.text("on", TEXT.get("first_start.the_demo_yards_invented_legs_and")),
                                PickRow.Choice.text("off", TEXT.get("first_start.none_i_take_my_own_in"))))
                .keepsOne()
                .onPick(w -> demo = w.equals(Optional.of("on")));
        sheets.show(Optional.of("on"));
        Label moneyCaption = new Words(TEXT.get("first_start.the_money_it_reckons_in"));
        moneyCaption.getStyleClass().add("caption");
        moneyCaption.setLabelFor(money);
        money.setId("first-currency");
        money.setPromptText(TEXT.get("first_start.its_code_like_usd_or_nok"));
        money.setAccessibleText(TEXT.get("first_start.the_currency_by_its_code_of"));
        Button begin = new Button(TEXT.get("first_start.begin"));
        begin.setId("first-begin");
        begin.getStyleClass().add("act");
        begin.setDefaultButton(true);
        begin.setOnAction(e -> {
            String typed = name.getText().strip();
            if (typed.isEmpty() || typed.length() > LONGEST_NAME) {
                refusal.setText(TEXT.get("first_start.a_name_of_1_to_characters", LONGEST_NAME));
            } else if (!money.getText().isBlank() && Money.of(money.getText()).isEmpty()) {
                refusal.setText(TEXT.get(
                        "first_start.is_no_currency_type_its_code",
                        money.getText().strip()));
            } else {
                onDone.accept(
                        new Answers(typed, units, Money.of(money.getText()).map(Money::code), demo));
            }
        });
        getChildren()
                .addAll(
                        Texts.title(TEXT.get("first_start.mussel")),
                        Texts.sentence(TEXT.get("first_start.four_questions_then_the_bench_is")),
                        new Column(2, caption, name),
                        in,
                        new Column(2, moneyCaption, money),
                        sheets,
                        refusal,
                        begin,
                        Texts.dim(TEXT.get("first_start.figures_can_be_typed_in_any")));
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
