package mussel.desktop.book;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.core.sheet.Part;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.shop.SheetLibrary.Pasted;
import mussel.work.shop.Workshop;

/** The numbers of a leg's parts, taken from lines that were copied out of a spreadsheet, looked at before they are kept. */
final class SheetNumbers extends Column {
    private static final Messages TEXT = Messages.of(SheetNumbers.class);

    private static final int ROWS = 4;
    private static final int MOST_SHOWN = 40;

    private final Workshop shop;
    private final Consumer<String> onTrouble;
    private final Runnable onKept;
    private final Label known = Texts.sentence("");
    private final TextArea pasted = new PlainArea();
    private final Column found = new Column(2);
    private final Button keep = new Button("Save numbers");
    private SpecSheet sheet;

    SheetNumbers(Workshop shop, Consumer<String> onTrouble, Runnable onKept) {
        super(6);
        this.shop = shop;
        this.onTrouble = onTrouble;
        this.onKept = onKept;
        pasted.setId("sheet-pasted");
        pasted.setPromptText(TEXT.get("sheet_numbers.paste_lines_from_a_parts_list"));
        pasted.setAccessibleText(TEXT.get("sheet_numbers.lines_of_a_parts_list_number"));
        pasted.setPrefRowCount(ROWS);
        pasted.textProperty().addListener((o, was, is) -> look());
        keep.setId("sheet-numbers-keep");
        keep.setOnAction(e -> keep());
        getChildren().addAll(known, pasted, found, new Row(10, keep));
    }

    void show(SpecSheet of) {
        if (sheet != null && !sheet.id().equals(of.id())) {
            pasted.clear();
        }
        sheet = of;
        List<String> without = of.parts().stream()
                .filter(p -> !Step.says(p.number()))
                .map(Part::title)
                .toList();
        known.setText(TEXT.get(
                "sheet_numbers.of_parts_have_a_number",
                (of.parts().size() - without.size()),
                of.parts().size(),
                (without.isEmpty() ? "" : TEXT.get("sheet_numbers.without_one", String.join(", ", without)))));
        look();
    }

    private void look() {
        List<Node> lines = new ArrayList<>();
        List<Pasted> read = shop.sheets().described().pasted(sheet, pasted.getText());
        for (Pasted line : read.subList(0, Math.min(MOST_SHOWN, read.size()))) {
            lines.add(
                    line.part().isPresent()
                            ? Texts.sentence(TEXT.get("sheet_numbers.is_the_number_of", line.number(), line.title()))
                            : Texts.wrapped(
                                    TEXT.get("sheet_numbers.names_no_part_of_this_leg", line.text()), "refusal"));
        }
        if (read.isEmpty() && !pasted.getText().isBlank()) {
            lines.add(Texts.wrapped(TEXT.get("sheet_numbers.no_line_of_that_has_a"), "refusal"));
        }
        found.getChildren().setAll(lines);
        keep.setDisable(read.stream().noneMatch(l -> l.part().isPresent()));
    }

    private void keep() {
        Map<String, String> numbers = new LinkedHashMap<>();
        shop.sheets().described().pasted(sheet, pasted.getText()).forEach(l -> l.part()
                .ifPresent(p -> numbers.put(p, l.number())));
        try {
            shop.sheets().number(sheet.id(), numbers);
            pasted.clear();
            onKept.run();
        } catch (JournalException e) {
            onTrouble.accept(e.getMessage());
        }
    }
}
