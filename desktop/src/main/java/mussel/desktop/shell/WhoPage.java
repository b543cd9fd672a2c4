package mussel.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import mussel.core.job.Yard;
import mussel.core.language.Messages;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.shop.Workshop;

/** Who is at the bench: picked with one key from those who work here, or typed; the name stands on every entry from then on. */
final class WhoPage extends Column {
    private static final Messages TEXT = Messages.of(WhoPage.class);

    private static final int LONGEST_NAME = 60;

    /** The page; calls back with the name. */
    WhoPage(Workshop shop, Consumer<String> onPicked, Runnable onClose) {
        super(12);
        setId("who-page");
        getStyleClass().addAll("station", "sheet-over");
        List<String> names = new ArrayList<>(shop.yard().crew().stream()
                .flatMap(c -> c.technicians().stream())
                .map(Yard.Technician::name)
                .toList());
        if (!names.contains(shop.by())) {
            names.add(shop.by());
        }
        PickRow who = new PickRow(
                        "who",
                        TEXT.get("who_page.who"),
                        names.stream().map(n -> PickRow.Choice.text(n, n)).toList())
                .onPick(n -> n.ifPresent(onPicked));
        who.show(Optional.of(shop.by()));
        TextField other = new TextField();
        other.setId("who-other");
        other.setPromptText(TEXT.get("who_page.somebody_else"));
        other.setAccessibleText(TEXT.get("who_page.the_name_of_somebody_else"));
        Label refusal = Texts.wrapped("", "refusal");
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        other.setOnAction(e -> {
            String name = other.getText().strip();
            if (name.isEmpty() || name.length() > LONGEST_NAME) {
                refusal.setText(TEXT.get("who_page.a_name_of_1_to_characters", LONGEST_NAME));
            } else {
                onPicked.accept(name);
            }
        });
        Button close = new Button(TEXT.get("who_page.not_now"));
        close.setCancelButton(true);
        close.setOnAction(e -> onClose.run());
        getChildren()
                .addAll(
                        Texts.title(TEXT.get("who_page.who_is_at_the_bench")),
                        Texts.sentence(TEXT.get("who_page.the_name_stands_on_every_entry")),
                        who,
                        other,
                        refusal,
                        new Row(10, close));
    }
}
