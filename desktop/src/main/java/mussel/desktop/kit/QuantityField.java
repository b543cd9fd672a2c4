package mussel.desktop.kit;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.function.DoubleFunction;
import java.util.function.ObjDoubleConsumer;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.util.Duration;
import mussel.core.language.Messages;
import mussel.core.measure.AmountReader;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.Range;
import mussel.core.measure.Typed;
import mussel.core.measure.YardUnits;

/**
 * A field for one quantity, typed with any unit. It shows what it understood, refuses nonsense in words beside it and then keeps the
 * old value. Blank means not measured. A figure is entered on Enter, on leaving, or when typing rests for a moment. One
 * that is unlikely is asked about beside the field and stands meanwhile.
 */
public final class QuantityField extends Column implements Question {
    private static final Messages TEXT = Messages.of(QuantityField.class);

    private static final Duration REST = Duration.millis(1500);

    private final Kind kind;
    private final Range range;
    private final Label caption = new Words();
    private final TextField text = new TextField();
    /** What it says beside itself; most fields never say anything. */
    private Optional<Label> reply = Optional.empty();

    private final PauseTransition rest = new PauseTransition(REST);
    private YardUnits units = YardUnits.METRIC;
    private OptionalDouble value = OptionalDouble.empty();
    private boolean showing;
    private boolean needed = true;
    private String supposed = "";
    private Consumer<Optional<Double>> onDraft = draft -> {};
    private ObjDoubleConsumer<String> onEnter = (typed, entered) -> {};
    private Runnable onClear = () -> {};
    private DoubleFunction<Optional<String>> doubts = figure -> Optional.empty();
    private OnDoubted onDoubted = (typed, entered, doubt, confirmed) -> onEnter.accept(typed, entered);
    /** The text that was asked about last; empty while nothing is. */
    private String asked = "";
    /** The text that was taken while typing rested; empty once the field shows a value again. */
    private String taken = "";
    /** Whether the figure being entered is what became of the one taken while typing rested. */
    private boolean further;

    /** Takes an unlikely figure all the same. */
    public interface OnDoubted {
        /**
         * A figure that was asked about.
         *
         * @param typed the text as typed
         * @param entered in the canonical unit
         * @param doubt what was asked
         * @param confirmed whether it was confirmed, or left standing
         */
        void enter(String typed, double entered, String doubt, boolean confirmed);
    }

    /** A field with its caption, kind of quantity and valid range. */
    public QuantityField(String id, String label, Kind kind, Range range) {
        this.kind = kind;
        this.range = range;
        setId(id);
        getStyleClass().add("quantity");
        caption.setText(label);
        caption.getStyleClass().add("caption");
        caption.setManaged(!label.isEmpty());
        caption.setVisible(!label.isEmpty());
        caption.setLabelFor(text);
        text.getStyleClass().add("figure");
        text.setAccessibleRole(AccessibleRole.TEXT_FIELD);
        text.setAccessibleText(label);
        text.setPrefColumnCount(6);
        getChildren().addAll(caption, text);
        text.textProperty().addListener((o, was, is) -> typing());
        text.focusedProperty().addListener((o, was, is) -> focusChanged(is));
        text.setOnAction(e -> {
            if (finish(true)) {
                fireEvent(new AnsweredByKey());
            }
        });
        text.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE && !text.getText().equals(shown())) {
                revert();
                e.consume();
            }
        });
        rest.setOnFinished(e -> finish(false));
    }

    /** Called with the figure while it is typed; empty when there is none. */
    public QuantityField onDraft(Consumer<Optional<Double>> handler) {
        onDraft = handler;
        return this;
    }

    /** Called with the text and the canonical value once a figure is finished. */
    public QuantityField onEnter(ObjDoubleConsumer<String> handler) {
        onEnter = handler;
        return this;
    }

    /** What makes a figure unlikely, and how it is taken when it is typed all the same. */
    public QuantityField onDoubt(DoubleFunction<Optional<String>> doubt, OnDoubted handler) {
        doubts = doubt;
        onDoubted = handler;
        return this;
    }

    /** Shows in a blank field what is known without asking: it needs no answer then. */
    public void suppose(String supposed) {
        this.supposed = supposed;
        prompt();
    }

    private void prompt() {
        text.setPromptText(supposed.isEmpty() ? (kind == Kind.COUNT ? "none" : units.symbol(kind)) : supposed);
        text.setAccessibleRoleDescription(supposed.isEmpty() ? TEXT.get("quantity_field.not_measured") : supposed);
    }

    @Override
    public boolean open() {
        return needed && value.isEmpty() && supposed.isEmpty();
    }

    @Override
    public Node stop() {
        return text;
    }

    /** What is being typed becomes a figure now. */
    public void settle() {
        if (resting()) {
            finish(false);
        }
    }

    /** Takes a key that was typed elsewhere as the first of a new figure. */
    public void typeInto(String first) {
        text.requestFocus();
        text.setText(first);
        Platform.runLater(() -> text.positionCaret(text.getLength()));
    }

    /** Called when the field was emptied: not measured. */
    public QuantityField onClear(Runnable handler) {
        onClear = handler;
        return this;
    }

    /** A field whose caption is a name that may take two lines. */
    public QuantityField tall() {
        getStyleClass().add("tall");
        caption.setWrapText(true);
        caption.setMinHeight(USE_PREF_SIZE);
        return this;
    }

    /** A field for longer figures. */
    public QuantityField wide() {
        getStyleClass().add("wide");
        return this;
    }

    /** A figure that need not be given: it is never what the focus goes on to. */
    public QuantityField optional() {
        needed = false;
        return this;
    }

    /** Whether the figure being entered is what became of one that was entered while typing rested: that one was only its beginning. */
    public boolean further() {
        return further;
    }

    /** The text control itself, for focus and tests. */
    public TextField text() {
        return text;
    }

    /** What the field says beside itself: what it understood, or why it refuses. */
    public String reply() {
        return reply.map(Label::getText).orElse("");
    }

    /** Shows the value of the job; what is being typed is left alone, also where a rest in it made a figure of it. */
    public void show(OptionalDouble current, YardUnits yardUnits) {
        boolean same = current.equals(value) && yardUnits.equals(units);
        units = yardUnits;
        prompt();
        value = current;
        if (!same && !(text.isFocused() && (resting() || says(current)))) {
            revert();
        }
    }

    private boolean resting() {
        return rest.getStatus() == Animation.Status.RUNNING;
    }

    /** Whether the text reads as this figure already. */
    private boolean says(OptionalDouble figure) {
        return figure.isPresent()
                && AmountReader.read(text.getText(), kind, units, range) instanceof Typed.Understood understood
                && understood.value() == figure.getAsDouble();
    }

    private String shown() {
        return value.isPresent() ? Display.exact(kind, value.getAsDouble(), units) : "";
    }

    private void revert() {
        rest.stop();
        taken = "";
        showing = true;
        text.setText(shown());
        showing = false;
        say("", false);
    }

    private void typing() {
        if (showing) {
            return;
        }
        Typed typed = AmountReader.read(text.getText(), kind, units, range);
        if (typed instanceof Typed.Understood understood) {
            boolean converted = !understood.unit().equals(units.symbol(kind));
            say(converted ? "= " + Display.exact(kind, understood.value(), units) : "", false);
            onDraft.accept(Optional.of(understood.value()));
        } else if (typed instanceof Typed.Refused refused) {
            say(refused.sentence(), true);
            onDraft.accept(Optional.empty());
        } else {
            say("", false);
            onDraft.accept(Optional.empty());
        }
        rest.playFromStart();
    }

    private void focusChanged(boolean focused) {
        if (focused) {
            Platform.runLater(() -> {
                if (text.isFocused() && text.getText().equals(shown())) {
                    text.selectAll();
                }
            });
        } else {
            finish(false);
        }
    }

    /** Finishes what stands in the field; says whether nothing is left to ask about it. */
    private boolean finish(boolean byKey) {
        rest.stop();
        Typed typed = AmountReader.read(text.getText(), kind, units, range);
        if (typed instanceof Typed.Understood understood) {
            return take(understood.value(), byKey);
        }
        if (typed instanceof Typed.Blank) {
            if (value.isPresent()) {
                onDraft.accept(Optional.empty());
                onClear.run();
            }
            return true;
        }
        if (typed instanceof Typed.Refused refused) {
            List<Typed.Understood> likely = refused.ways().stream()
                    .filter(way -> doubts.apply(way.value()).isEmpty())
                    .toList();
            if (likely.size() == 1) {
                return take(likely.get(0).value(), byKey);
            }
            String old = shown();
            say(
                    refused.sentence()
                            + (old.isEmpty()
                                    ? TEXT.get("quantity_field.nothing_was_entered")
                                    : TEXT.get("quantity_field.it_stays", old)),
                    true);
        }
        return false;
    }

    /** Enters a figure; an unlikely one is asked about first, and stands meanwhile. */
    private boolean take(double figure, boolean byKey) {
        String written = text.getText().strip();
        boolean again = !asked.isEmpty() && asked.equals(written);
        boolean fresh = !text.getText().equals(shown()) && !written.equals(taken);
        if (fresh || again) {
            further = fresh && !taken.isEmpty() && written.startsWith(taken);
            taken = written;
            Optional<String> doubt = doubts.apply(figure);
            if (doubt.isEmpty()) {
                asked = "";
                onEnter.accept(written, figure);
            } else if (!again) {
                onDoubted.enter(written, figure, doubt.get(), false);
                asked = text.getText().strip();
                ask(doubt.get());
                return false;
            } else if (byKey) {
                asked = "";
                onDoubted.enter(written, figure, doubt.get(), true);
            }
        }
        if ((!text.isFocused() || byKey) && value.isPresent()) {
            boolean asking = !asked.isEmpty();
            String question = reply();
            revert();
            if (asking) {
                say(question, true);
            }
        }
        if (byKey && text.isFocused()) {
            text.selectAll();
        }
        return true;
    }

    private void ask(String doubt) {
        say(TEXT.get("quantity_field.it_stands_enter_confirms_it", doubt), true);
    }

    private void say(String sentence, boolean refused) {
        if (reply.isEmpty() && !sentence.isEmpty()) {
            Label made = Texts.wrapped("", "reply");
            made.managedProperty().bind(made.textProperty().isNotEmpty());
            getChildren().add(made);
            reply = Optional.of(made);
        }
        reply.ifPresent(r -> r.setText(sentence));
        pseudoClassStateChanged(javafx.css.PseudoClass.getPseudoClass("refused"), refused);
        text.setAccessibleHelp(sentence);
    }
}
