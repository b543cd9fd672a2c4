package mussel.desktop.book;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.sheet.Phase;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.ScrollIntoView;
import mussel.desktop.kit.Texts;
import mussel.work.shop.Workshop;

/** The steps of a leg's work, phase by phase; words and minutes of each can be changed where it stands. */
final class SheetSteps extends Column {
    private static final Messages TEXT = Messages.of(SheetSteps.class);

    private static final Pattern MINUTES =
            Pattern.compile("([\\d.,]+)\\s*/\\s*([\\d.,]+)\\s*/\\s*([\\d.,]+)\\s*(?:min)?");
    private static final int COLUMNS = 16;

    private final Workshop shop;
    private final Runnable onKept;
    private final PickRow which;
    private final Column list = new Column(4);
    private Optional<String> phase = Optional.empty();
    private Optional<String> changing = Optional.empty();
    private SpecSheet sheet;

    SheetSteps(Workshop shop, Runnable onKept) {
        super(6);
        this.shop = shop;
        this.onKept = onKept;
        which = new PickRow(
                        "sheet-steps",
                        TEXT.get("sheet_steps.steps_of"),
                        Arrays.stream(Phase.values())
                                .map(p -> Choice.text(p.name(), p.title()))
                                .toList())
                .optional()
                .onPick(p -> {
                    phase = p;
                    changing = Optional.empty();
                    show(sheet);
                });
        list.setId("sheet-step-list");
        getChildren().addAll(which, list);
    }

    void show(SpecSheet of) {
        if (sheet != null && !sheet.id().equals(of.id())) {
            changing = Optional.empty();
        }
        sheet = of;
        which.show(phase);
        List<Node> rows = new ArrayList<>();
        for (Step step : of.steps()) {
            if (phase.equals(Optional.of(step.phase().name()))) {
                rows.add(changing.equals(Optional.of(step.id())) ? new Editor(step) : row(step));
            }
        }
        list.getChildren().setAll(rows);
    }

    private Node row(Step step) {
        Label text = Texts.sentence(TEXT.get("sheet_steps.min", step.title(), minutes(step)));
        text.setMinWidth(0);
        text.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(text, Priority.ALWAYS);
        Button change = new Button(TEXT.get("sheet_steps.change"));
        change.setId("change-step-" + step.id());
        change.setAccessibleText(TEXT.get("sheet_steps.change_the_step", step.title()));
        change.setMinWidth(USE_PREF_SIZE);
        change.setDisable(!shop.sheets().described().changeable(sheet.id()));
        change.setOnAction(e -> {
            changing = Optional.of(step.id());
            show(sheet);
            list.lookupAll(".text-field").stream().findFirst().ifPresent(field -> {
                field.requestFocus();
                field.fireEvent(new ScrollIntoView());
            });
        });
        Row row = new Row(12, change, text);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static String minutes(Step step) {
        return Display.significant(step.minutes().low()) + " / "
                + Display.significant(step.minutes().likely()) + " / "
                + Display.significant(step.minutes().high());
    }

    /** One step being changed. */
    private final class Editor extends Column {
        private final Step step;
        private final TextField title = new TextField();
        private final TextArea detail = new PlainArea();
        private final TextField minutes = new TextField();
        private final Label refusal = Texts.wrapped("", "refusal");

        private Editor(Step step) {
            super(6);
            this.step = step;
            getStyleClass().add("card");
            title.setText(step.title());
            title.setId("step-title");
            title.setAccessibleText(TEXT.get("sheet_steps.what_is_done"));
            title.setOnAction(e -> keep());
            detail.setText(Step.says(step.detail()) ? step.detail() : "");
            detail.setId("step-detail");
            detail.setAccessibleText(TEXT.get("sheet_steps.how_it_is_done"));
            detail.setWrapText(true);
            detail.setPrefRowCount(3);
            minutes.setText(SheetSteps.minutes(step));
            minutes.setId("step-minutes");
            minutes.setAccessibleText(TEXT.get("sheet_steps.minutes_when_all_goes_well_usually"));
            minutes.setPrefColumnCount(COLUMNS);
            minutes.setMaxWidth(USE_PREF_SIZE);
            minutes.setOnAction(e -> keep());
            Button keep = new Button(TEXT.get("sheet_steps.keep"));
            keep.setId("step-keep");
            keep.setOnAction(e -> keep());
            Button leave = new Button(TEXT.get("sheet_steps.leave_it"));
            leave.setOnAction(e -> {
                changing = Optional.empty();
                show(sheet);
            });
            refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
            getChildren()
                    .addAll(
                            Texts.dim(TEXT.get("sheet_steps.what_is_done_left_blank_as")),
                            title,
                            Texts.dim(TEXT.get("sheet_steps.how")),
                            detail,
                            Texts.dim(TEXT.get("sheet_steps.minutes_when_all_goes_well_usually_2")),
                            minutes,
                            refusal,
                            new Row(10, keep, leave));
        }

        private void keep() {
            try {
                String how = Step.says(step.detail()) ? step.detail() : "";
                shop.sheets()
                        .step(
                                sheet.id(),
                                step.id(),
                                changed(title.getText(), step.title()),
                                changed(detail.getText(), how),
                                took());
                changing = Optional.empty();
                onKept.run();
            } catch (JournalException e) {
                refusal.setText(TEXT.get("sheet_steps.not_kept", e.getMessage()));
            }
        }

        private Optional<String> changed(String now, String was) {
            return now.strip().equals(was.strip()) ? Optional.empty() : Optional.of(now);
        }

        private Optional<Step.Minutes> took() {
            if (minutes.getText().strip().equals(SheetSteps.minutes(step))) {
                return Optional.empty();
            }
            Matcher three = MINUTES.matcher(minutes.getText().strip());
            if (!three.matches()) {
                throw new JournalException(TEXT.get("sheet_steps.the_minutes_are_three_figures_with"));
            }
            return Optional.of(
                    new Step.Minutes(figure(three.group(1)), figure(three.group(2)), figure(three.group(3))));
        }

        private double figure(String text) {
            try {
                return Double.parseDouble(text.replace(',', '.'));
            } catch (NumberFormatException e) {
                throw new JournalException(TEXT.get("sheet_steps.is_no_figure_of_minutes", text), e);
            }
        }
    }
}
