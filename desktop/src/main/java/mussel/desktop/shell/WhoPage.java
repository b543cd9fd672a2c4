package mussel.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import mussel.core.job.Yard;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.shop.Workshop;

/** Who is at the bench: picked with one key from those who work here, or typed; the name stands on every entry from then on. */
final class WhoPage extends Column {
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
                        "Who",
                        names.stream().map(n -> PickRow.Choice.text(n, n)).toList())
                .onPick(n -> n.ifPresent(onPicked));
        who.show(Optional.of(shop.by()));
        TextField other = new TextField();
        other.setId("who-other");
        other.setPromptText("somebody else");
        other.setAccessibleText("the name of somebody else");
        Label refusal = Texts.wrapped("", "refusal");
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        other.setOnAction(e -> {
            String name = other.getText().strip();
            if (name.isEmpty() || name.length() > LONGEST_NAME) {
                refusal.setText("A name of 1 to " + LONGEST_NAME + " characters goes here.");
            } else {
                onPicked.accept(name);
            }
        });
        Button close = new Button("Not now");
        close.setCancelButton(true);
        close.setOnAction(e -> onClose.run());
        getChildren()
                .addAll(
                        Texts.title("Who is at the bench"),
                        Texts.sentence(
                                "The name stands on every entry made from now on. There is no password: a bench trusts"
                                        + " who stands at it. Who works here is said on the page Yard of the book."),
                        who,
                        other,
                        refusal,
                        new Row(10, close));
    }
}
