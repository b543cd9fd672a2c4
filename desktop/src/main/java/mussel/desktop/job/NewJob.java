package mussel.desktop.job;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.language.Messages;
import mussel.core.measure.NamedBy;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.SheetPane;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.Words;
import mussel.work.shop.Workshop;

/** Taking a leg in: which boat, which leg of it, which family. A leg that was here before is recognised. */
public final class NewJob extends Column {
    private static final Messages TEXT = Messages.of(NewJob.class);

    private static final String ANOTHER = "another-leg";

    private final Workshop shop;
    private final StackPane another = new StackPane();
    private final Button take = new Button(TEXT.get("new_job.add"));
    private Optional<AnotherLeg> described = Optional.empty();
    private final TextField boat = new TextField();
    private final PickRow position;
    private final PickRow family;
    private final Label known = Texts.dim("");
    private final Label refusal = Texts.wrapped("", "refusal");
    private Optional<String> chosenPosition = Optional.of("single");
    private Optional<String> chosenFamily = Optional.empty();

    /** The form; calls back with the leg, or to close it. */
    public NewJob(Workshop shop, Consumer<LegRef> onTaken, Runnable onCancel) {
        super(12);
        this.shop = shop;
        setId("take-in");
        getStyleClass().addAll("station", "sheet-over");
        boat.setId("take-in-boat");
        boat.setPromptText("boat's name");
        boat.setAccessibleText("boat's name");
        position = new PickRow(
                        "take-in-position",
                        TEXT.get("new_job.where_it_hangs"),
                        List.of(LegRef.Position.values()).stream()
                                .map(p -> Choice.text(NamedBy.file(p), p.title()))
                                .toList())
                .onPick(p -> {
                    chosenPosition = p;
                    recognise();
                });
        position.keepsOne().show(chosenPosition);
        family = new PickRow(
                        "take-in-family",
                        TEXT.get("new_job.family"),
                        Stream.concat(
                                        shop.families().stream().map(f -> Choice.text(f.id(), f.title())),
                                        Stream.of(Choice.text(ANOTHER, TEXT.get("new_job.another_leg"))))
                                .toList())
                .keepsOne()
                .onPick(this::choose);
        known.managedProperty().bind(known.textProperty().isNotEmpty());
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        position.setMinHeight(USE_PREF_SIZE);
        family.setMinHeight(USE_PREF_SIZE);
        VBox.setVgrow(another, Priority.SOMETIMES);
        another.setVisible(false);
        another.setManaged(false);
        boat.textProperty().addListener((o, was, is) -> recognise());
        boat.setOnAction(e -> position.stop().requestFocus());
        take.setId("take-in-do");
        take.getStyleClass().add("act");
        take.setOnAction(e -> take(onTaken));
        Button cancel = new Button(TEXT.get("new_job.not_now"));
        cancel.setCancelButton(true);
        cancel.setOnAction(e -> onCancel.run());
        Label boatLabel = new Words("Boat");
        boatLabel.getStyleClass().add("caption");
        boatLabel.setLabelFor(boat);
        Column form = new Column(12, new Column(2, boatLabel, boat), known, position, family, another);
        getChildren()
                .addAll(
                        Texts.title(TEXT.get("new_job.take_in_a_leg")),
                        new Form(form),
                        refusal,
                        new Row(10, take, cancel));
    }

    /** As tall as what is asked wherever there is room for it, and scrolled where there is none. */
    private static final class Form extends StackPane {
        private static final double EDGE = 6;

        private final Column asked;

        private Form(Column asked) {
            super(pane(asked));
            this.asked = asked;
            setMinHeight(0);
        }

        private static SheetPane pane(Column asked) {
            SheetPane pane = new SheetPane(asked);
            pane.setFitToHeight(true);
            return pane;
        }

        @Override
        protected double computePrefHeight(double width) {
            return Math.ceil(asked.prefHeight(width)) + EDGE;
        }
    }

    /** Puts the caret where typing starts. */
    public void begin() {
        boat.requestFocus();
    }

    private void choose(Optional<String> which) {
        chosenFamily = which;
        boolean unknown = which.equals(Optional.of(ANOTHER));
        if (unknown && described.isEmpty()) {
            described = Optional.of(new AnotherLeg(shop, take::requestFocus));
            another.getChildren().setAll(described.get());
        }
        another.setVisible(unknown);
        another.setManaged(unknown);
        if (unknown) {
            Platform.runLater(() -> described.get().begin());
        }
    }

    private Optional<LegRef> earlier() {
        return chosenPosition.isEmpty()
                ? Optional.empty()
                : shop.journal().benchLines().leg(boat.getText().strip(), position());
    }

    private LegRef.Position position() {
        return List.of(LegRef.Position.values()).stream()
                .filter(p -> NamedBy.file(p).equals(chosenPosition.orElseThrow()))
                .findFirst()
                .orElseThrow();
    }

    private void recognise() {
        Optional<LegRef> leg = earlier();
        known.setText(
                leg.map(l -> TEXT.get("new_job.this_leg_was_here_before_its")).orElse(""));
        leg.ifPresent(l -> {
            chosenFamily = Optional.of(l.family());
            family.show(chosenFamily);
        });
    }

    private void take(Consumer<LegRef> onTaken) {
        String name = boat.getText().strip();
        if (name.isEmpty() || name.length() > LegRef.LONGEST_NAME) {
            refusal.setText(TEXT.get("new_job.type_the_boats_name_at_most", LegRef.LONGEST_NAME, name.length()));
        } else if (chosenPosition.isEmpty() || chosenFamily.isEmpty()) {
            refusal.setText(TEXT.get("new_job.pick_where_the_leg_hangs_and"));
        } else if (!wanted().isEmpty()) {
            refusal.setText(wanted());
        } else {
            String id =
                    earlier().map(LegRef::id).orElseGet(() -> UUID.randomUUID().toString());
            try {
                onTaken.accept(new LegRef(id, name, position(), familyOf()));
            } catch (JournalException e) {
                refusal.setText(e.getMessage());
            }
        }
    }

    private String wanted() {
        return chosenFamily.equals(Optional.of(ANOTHER))
                ? described.map(AnotherLeg::wants).orElse("")
                : "";
    }

    private String familyOf() {
        return chosenFamily.equals(Optional.of(ANOTHER))
                ? described.orElseThrow().describe().id()
                : chosenFamily.get();
    }
}
