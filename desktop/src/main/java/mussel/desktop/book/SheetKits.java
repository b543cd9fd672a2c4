package mussel.desktop.book;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.core.sheet.SpecSheet;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.shop.Workshop;

/** The kits sold for a leg, a line each, changed where they stand. */
final class SheetKits extends Column {
    private static final Messages TEXT = Messages.of(SheetKits.class);

    private final Workshop shop;
    private final Runnable onKept;
    private final TextArea lines = new PlainArea();
    private final Label refusal = Texts.wrapped("", "refusal");
    private final Button keep = new Button("Save kits");
    private SpecSheet sheet;

    SheetKits(Workshop shop, Runnable onKept) {
        super(6);
        this.shop = shop;
        this.onKept = onKept;
        lines.setId("sheet-kits");
        lines.setWrapText(true);
        lines.setPrefRowCount(4);
        lines.setPromptText(TEXT.get("sheet_kits.seal_kit_12_345_2_driveshaft"));
        lines.setAccessibleText(TEXT.get("sheet_kits.kits_a_line_each_its_name"));
        lines.textProperty().addListener((o, was, is) -> keep.setDisable(is.equals(written())));
        keep.setId("sheet-kits-keep");
        keep.setOnAction(e -> keep());
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        getChildren()
                .addAll(Texts.dim(TEXT.get("sheet_kits.a_line_for_each_its_name")), lines, refusal, new Row(10, keep));
    }

    private String written() {
        return sheet == null ? "" : shop.sheets().described().kits(sheet);
    }

    void show(SpecSheet of) {
        boolean typed =
                sheet != null && sheet.id().equals(of.id()) && !lines.getText().equals(written());
        sheet = of;
        if (!typed) {
            lines.setText(written());
            refusal.setText("");
        }
        keep.setDisable(lines.getText().equals(written()));
    }

    private void keep() {
        try {
            shop.sheets().kits(sheet.id(), lines.getText());
            refusal.setText("");
            // What was taken is shown as the sheet has it from now on.
            sheet = null;
            onKept.run();
        } catch (JournalException e) {
            refusal.setText(TEXT.get("sheet_kits.not_kept", e.getMessage()));
        }
    }
}
