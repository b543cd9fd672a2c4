package mussel.desktop.job;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import mussel.core.job.Assessment;
import mussel.core.job.BenchLine;
import mussel.core.job.VisitWith;
import mussel.core.language.Messages;
import mussel.desktop.kit.AnsweredByKey;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** Puts this leg in one visit with any other leg of the bench: typed by its job number or its boat, ended by one key. */
final class OtherLegQuestion extends Column {
    private static final Messages TEXT = Messages.of(OtherLegQuestion.class);

    private static final int MOST_NAMED = 5;
    private static final int COLUMNS = 18;

    private final Desk desk;
    private final TextField typed = new TextField();
    private final Label says = Texts.sentence("");
    private final Label refusal = Texts.wrapped("", "refusal");
    /** The job it is typed for: the view of one leg is used for the next. */
    private int typedAt;

    private final Button end = new Button("End shared visit");

    OtherLegQuestion(Desk desk) {
        super(3);
        this.desk = desk;
        setId("visit-with");
        Label caption = Texts.dim(TEXT.get("other_leg_question.in_one_visit_with_another_leg"));
        caption.setLabelFor(typed);
        typed.setId("visit-with-typed");
        typed.setAccessibleText(caption.getText());
        typed.setPrefColumnCount(COLUMNS);
        typed.setOnAction(e -> {
            if (enter()) {
                fireEvent(new AnsweredByKey());
            }
        });
        typed.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                enter();
            }
        });
        end.setId("visit-with-end");
        end.setOnAction(e -> desk.note(VisitWith.ended()));
        for (var node : List.of(says, refusal)) {
            node.managedProperty().bind(node.visibleProperty());
            node.visibleProperty().bind(node.textProperty().isNotEmpty());
        }
        end.managedProperty().bind(end.visibleProperty());
        Row row = new Row(10, typed, end);
        row.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(caption, row, says, refusal);
    }

    /** Enters what was typed; says whether there is nothing left to do here. */
    private boolean enter() {
        if (typed.getText().isBlank() || typedAt != desk.job().id()) {
            typed.clear();
            return true;
        }
        List<BenchLine> meant = VisitWith.meant(
                typed.getText(),
                desk.shop().journal().benchLines().open(),
                desk.job().id());
        if (meant.size() != 1) {
            refusal.setText(
                    meant.isEmpty()
                            ? TEXT.get("other_leg_question.no_other_open_leg_is_called")
                            : TEXT.get("other_leg_question.that_fits_several_type_the_job", named(meant)));
            return false;
        }
        BenchLine other = meant.get(0);
        typed.clear();
        refusal.setText("");
        if (desk.note(List.of(VisitWith.with(other.leg())))) {
            desk.noteBeside(other.job(), VisitWith.with(desk.job().leg()));
        }
        return true;
    }

    private static String named(List<BenchLine> lines) {
        return lines.stream()
                        .limit(MOST_NAMED)
                        .map(l -> TEXT.get("other_leg_question.job", l.leg().title(), l.job()))
                        .collect(Collectors.joining(", "))
                + (lines.size() > MOST_NAMED ? TEXT.get("other_leg_question.and_more") : "");
    }

    void show(Assessment now) {
        if (typedAt != now.job().id()) {
            typedAt = now.job().id();
            typed.clear();
            refusal.setText("");
        }
        Optional<String> with = VisitWith.leg(now.job());
        boolean shared = with.isPresent()
                && now.sister()
                        .filter(s -> VisitWith.mutual(now.job(), s.job()))
                        .isPresent();
        end.setVisible(with.isPresent());
        says.setText(
                shared
                        ? TEXT.get(
                                "other_leg_question.both_stand_side_by_side_at",
                                now.visit().map(v -> v.says()).orElse(""))
                        : with.isPresent() ? TEXT.get("other_leg_question.the_other_leg_is_no_longer") : "");
    }
}
