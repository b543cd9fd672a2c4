package mussel.desktop.book;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mussel.core.job.MissingValue;
import mussel.core.language.Messages;
import mussel.core.sheet.SpecSheet;
import mussel.desktop.desk.ManualValues;
import mussel.desktop.desk.PagePicture;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.ScrollIntoView;
import mussel.desktop.kit.Texts;
import mussel.work.shop.SheetLibrary.Said;
import mussel.work.shop.Workshop;

/** What a sheet says of its manual, a line each with its page; each can be changed where it stands. */
final class ManualLines extends Column {
    private static final Messages TEXT = Messages.of(ManualLines.class);

    private static final double BUTTON = 92;

    private final Workshop shop;
    private final ManualValues manual;
    private Optional<String> changing = Optional.empty();
    private String family = "";

    ManualLines(Workshop shop, ManualValues manual) {
        super(4);
        this.shop = shop;
        this.manual = manual;
        setId("sheet-says");
    }

    void show(SpecSheet sheet) {
        if (!family.equals(sheet.id())) {
            changing = Optional.empty();
            family = sheet.id();
        }
        Map<String, Said> said = shop.sheets().described().said(sheet.id());
        List<Node> lines = new ArrayList<>();
        for (MissingValue what : MissingValue.sayable(sheet)) {
            lines.add(
                    changing.equals(Optional.of(what.at()))
                            ? manual.change(sheet, what, said)
                            : line(sheet, what, said));
        }
        getChildren().setAll(lines);
    }

    /** Nothing is being changed any more. */
    void done() {
        changing = Optional.empty();
    }

    private Node line(SpecSheet sheet, MissingValue what, Map<String, Said> said) {
        String says = what.asks().stream()
                .filter(a -> said.containsKey(a.at()))
                .map(a -> (a.title().isEmpty() ? "" : a.title() + " ")
                        + said.get(a.at()).value())
                .collect(Collectors.joining(", "));
        String page = what.asks().stream()
                .filter(a -> said.containsKey(a.at()))
                .map(a -> Texts.page(said.get(a.at()).page()))
                .filter(p -> !p.isEmpty())
                .findFirst()
                .orElse("");
        Label text = Texts.sentence(what.title() + ": " + (says.isEmpty() ? "not entered" : says + page) + ".");
        text.setMinWidth(0);
        HBox.setHgrow(text, Priority.ALWAYS);
        text.setMaxWidth(Double.MAX_VALUE);
        Button change = new Button(says.isEmpty() ? TEXT.get("manual_lines.say") : TEXT.get("manual_lines.change"));
        change.setId("change" + what.at().replace('/', '-'));
        change.setAccessibleText((says.isEmpty() ? "say" : "change") + ": " + what.title());
        change.setMinWidth(USE_PREF_SIZE);
        change.setOnAction(e -> {
            changing = Optional.of(what.at());
            show(sheet);
            lookupAll(".text-field").stream().findFirst().ifPresent(field -> {
                field.requestFocus();
                field.fireEvent(new ScrollIntoView());
            });
        });
        change.setPrefWidth(BUTTON);
        Row row = new Row(12, change, text);
        row.setAlignment(Pos.CENTER_LEFT);
        if (shop.sheets().described().page(sheet.id(), what.group()).isPresent()) {
            row.getChildren().add(new PagePicture(shop, sheet.id(), what));
        }
        return row;
    }
}
