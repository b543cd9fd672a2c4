package mussel.desktop.job;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mussel.core.language.Messages;
import mussel.core.library.Answer;
import mussel.core.library.Feature;
import mussel.core.library.Size;
import mussel.core.measure.NamedBy;
import mussel.core.sheet.Region;
import mussel.core.sheet.SpecSheet;
import mussel.desktop.cutaway.Thumbnail;
import mussel.desktop.kit.AnsweredByKey;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Question;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.SheetPane;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.Words;
import mussel.work.shop.ShopSheets;
import mussel.work.shop.Workshop;

/**
 * A leg that no file describes: what it is called and how big it is. How it is built may be picked from drawings, or be left for the steps to ask; the
 * drawing beside follows each answer, and what nobody has looked at is dashed.
 */
final class AnotherLeg extends Column {
    private static final Messages TEXT = Messages.of(AnotherLeg.class);

    private static final int LONGEST_NAME = 40;
    private static final double DRAWN = 0.44;
    private static final double SMALL = 0.16;
    private static final double ROOM = 250;
    private static final double LEAST_ROOM = 110;
    private static final double WIDTH = 400;
    private static final double HEIGHT = 560;
    private static final String NOBODY = "nobody";

    private final Workshop shop;
    private final ShopSheets described;
    private final Name name = new Name();
    private final PickRow size;
    private final StackPane picture = new StackPane();
    private final Map<String, PickRow> rows = new LinkedHashMap<>();
    private final Map<String, String> answers = new LinkedHashMap<>();
    private final List<Region> unknown;
    private final PickRow shares;
    private Optional<Size> picked = Optional.empty();
    private Optional<String> like = Optional.empty();
    private boolean shared;

    /** A name is typed with Enter after it. */
    private static final class Name extends TextField implements Question {
        private Name() {
            setId("another-name");
            setPromptText(TEXT.get("another_leg.as_it_is_written_on_the"));
            setAccessibleText(TEXT.get("another_leg.what_the_leg_is_called"));
            addEventFilter(KeyEvent.KEY_PRESSED, e -> {
                if (e.getCode() == KeyCode.ENTER && !open()) {
                    fireEvent(new AnsweredByKey());
                    e.consume();
                }
            });
        }

        @Override
        public boolean open() {
            return getText().isBlank();
        }

        @Override
        public Node stop() {
            return this;
        }
    }

    /** Asks for it; the end is where the keys go once name and size are said. */
    AnotherLeg(Workshop shop, Runnable end) {
        super(10);
        this.shop = shop;
        this.described = shop.sheets().described();
        this.unknown = described.drawing(Size.MID, Map.of());
        setId("another");
        Label called = new Words(TEXT.get("another_leg.what_it_is_called"));
        called.getStyleClass().add("caption");
        called.setLabelFor(name);
        size = new PickRow(
                        "another-size",
                        TEXT.get("another_leg.how_big_it_is"),
                        Arrays.stream(Size.values())
                                .map(s -> Choice.text(NamedBy.file(s), described.title(s)))
                                .toList())
                .keepsOne()
                .onPick(this::size);
        size.addEventHandler(AnsweredByKey.ANSWERED, e -> {
            if (wants().isEmpty()) {
                end.run();
                e.consume();
            }
        });
        size.setMinHeight(USE_PREF_SIZE);
        shares = new PickRow(
                        "another-shares",
                        TEXT.get("another_leg.its_sheet"),
                        List.of(
                                Choice.text("copy", TEXT.get("another_leg.copy_its_answers")),
                                Choice.text("share", TEXT.get("another_leg.same_leg_another_name"))))
                .optional()
                .keepsOne()
                .onPick(how -> share(how.equals(Optional.of("share"))));
        shares.show(Optional.of("copy"));
        shown(shares, false);
        Column asked = new Column(8);
        asked.getChildren().addAll(like(), shares, Texts.dim(TEXT.get("another_leg.how_it_is_built_as_far")));
        for (Feature feature : described.features()) {
            asked.getChildren().add(row(feature));
        }
        SheetPane all = new SheetPane(asked);
        all.setPrefHeight(ROOM);
        all.setMinHeight(LEAST_ROOM);
        HBox.setHgrow(all, Priority.ALWAYS);
        picture.setId("another-drawing");
        picture.setMinSize(WIDTH * DRAWN, LEAST_ROOM);
        picture.setPrefHeight(ROOM);
        picture.heightProperty().addListener((o, was, is) -> draw());
        asks();
        Row beside = new Row(14, picture, all);
        VBox.setVgrow(beside, Priority.SOMETIMES);
        getChildren().addAll(new Column(2, called, name), size, beside);
        draw();
    }

    /** Answers of a leg that is known, to begin with. */
    private PickRow like() {
        List<Choice> known = new ArrayList<>(List.of(Choice.text(NOBODY, TEXT.get("another_leg.none_that_is_known"))));
        shop.families().forEach(f -> known.add(Choice.text(f.id(), f.title())));
        return new PickRow("another-like", TEXT.get("another_leg.built_like"), known)
                .optional()
                .onPick(family -> {
                    answers.clear();
                    like = family.filter(f -> !f.equals(NOBODY));
                    boolean shareable = like.filter(described::changeable).isPresent();
                    shown(shares, shareable);
                    share(shareable && shared);
                    family.map(described::answers).ifPresent(answers::putAll);
                    rows.forEach((feature, row) -> row.show(Optional.ofNullable(answers.get(feature))));
                    asks();
                    draw();
                });
    }

    /** Whether it is the same leg under another name: then nothing more is asked, and what differs is said in its sheet later. */
    private void share(boolean yes) {
        shared = yes;
        shares.show(Optional.of(yes ? "share" : "copy"));
        shown(size, !yes);
        asks();
    }

    /** Only what the answers so far leave to be asked is asked. */
    private void asks() {
        for (Feature feature : described.features()) {
            shown(rows.get(feature.id()), !shared && feature.asked(answers));
        }
    }

    private static void shown(Node node, boolean yes) {
        node.setVisible(yes);
        node.setManaged(yes);
    }

    private PickRow row(Feature feature) {
        List<Choice> choices = feature.answers().stream()
                .map(a -> new Choice(a.id(), a.title(), small(feature, a).orElse(null)))
                .toList();
        PickRow row = new PickRow("another-" + feature.id(), feature.title(), choices)
                .optional()
                .onPick(answer -> {
                    answer.ifPresentOrElse(a -> answers.put(feature.id(), a), () -> answers.remove(feature.id()));
                    asks();
                    draw();
                });
        rows.put(feature.id(), row);
        return row;
    }

    /** What an answer changes in the drawing, where it does. */
    private Optional<Node> small(Feature feature, Feature.Choice answer) {
        List<Region> after = described.drawing(Size.MID, Map.of(feature.id(), answer.id()));
        List<Region> changed = after.stream()
                .filter(r -> unknown.stream().noneMatch(b -> b.id().equals(r.id())))
                .toList();
        return changed.isEmpty() ? Optional.empty() : Optional.of(new Thumbnail(after, changed, SMALL));
    }

    private void size(Optional<String> which) {
        picked = Arrays.stream(Size.values())
                .filter(s -> which.equals(Optional.of(NamedBy.file(s))))
                .findFirst();
        draw();
    }

    private void draw() {
        double factor = picture.getHeight() > 0 ? Math.min(DRAWN, picture.getHeight() / HEIGHT) : DRAWN;
        picture.getChildren()
                .setAll(new Thumbnail(described.drawing(picked.orElse(Size.MID), answers), List.of(), factor));
    }

    /** Puts the caret where typing starts. */
    void begin() {
        name.requestFocus();
    }

    /** What is still to be said before it can be taken in; empty where nothing is. */
    String wants() {
        return name.getText().strip().length() > LONGEST_NAME
                ? TEXT.get(
                        "another_leg.say_it_in_at_most_characters",
                        LONGEST_NAME,
                        name.getText().strip().length())
                : name.open()
                        ? TEXT.get("another_leg.say_what_the_leg_is_called")
                        : picked.isEmpty() && !shared ? TEXT.get("another_leg.pick_how_big_it_is_weights") : "";
    }

    /** Keeps its sheet; it stands among the families from now on. */
    SpecSheet describe() {
        Map<String, String> given = new LinkedHashMap<>(answers);
        if (shared) {
            return shop.sheets().describeLike(name.getText().strip(), like.orElseThrow());
        }
        given.values().removeIf(Answer.UNKNOWN::equals);
        return shop.sheets().describe(name.getText().strip(), picked.orElseThrow(), given);
    }
}
