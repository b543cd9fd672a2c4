package mussel.desktop.kit;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.function.ObjDoubleConsumer;
import javafx.animation.PauseTransition;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import mussel.core.measure.AmountReader;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.Range;
import mussel.core.measure.Typed;
import mussel.core.measure.YardUnits;

/**
 * A field for one quantity, typed with any unit. It shows what it understood, refuses nonsense in words beside it and then keeps the
 * old value. Blank means not measured. A figure is entered on Enter, on leaving, or when typing rests for a moment.
 */
public final class QuantityField extends VBox {
    private static final Duration REST = Duration.millis(1500);

    private final Kind kind;
    private final Range range;
    private final Label caption = new Label();
    private final TextField text = new TextField();
    private final Label reply = new Label();
    private final PauseTransition rest = new PauseTransition(REST);
    private YardUnits units = YardUnits.METRIC;
    private OptionalDouble value = OptionalDouble.empty();
    private boolean showing;
    private Consumer<Optional<Double>> onDraft = draft -> {};
    private ObjDoubleConsumer<String> onEnter = (typed, entered) -> {};
    private Runnable onClear = () -> {};

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
        reply.getStyleClass().add("reply");
        reply.setWrapText(true);
        reply.managedProperty().bind(reply.textProperty().isNotEmpty());
        getChildren().addAll(caption, text, reply);
        text.textProperty().addListener((o, was, is) -> typing());
        text.focusedProperty().addListener((o, was, is) -> focusChanged(is));
        text.setOnAction(e -> enter());
        text.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE && !text.getText().equals(shown())) {
                revert();
                e.consume();
            }
        });
        rest.setOnFinished(e -> enter());
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

    /** Called when the field was emptied: not measured. */
    public QuantityField onClear(Runnable handler) {
        onClear = handler;
        return this;
    }

    /** A field for longer figures. */
    public QuantityField wide() {
        getStyleClass().add("wide");
        return this;
    }

    /** The text control itself, for focus and tests. */
    public TextField text() {
        return text;
    }

    /** What the field says beside itself: what it understood, or why it refuses. */
    public String reply() {
        return reply.getText();
    }

    /** Shows the value of the job; what is being typed is left alone. */
    public void show(OptionalDouble current, YardUnits yardUnits) {
        boolean same = current.equals(value) && yardUnits == units;
        units = yardUnits;
        text.setPromptText(kind == Kind.COUNT ? "none" : units.symbol(kind));
        value = current;
        if (!same && !(text.isFocused() && rest.getStatus() == javafx.animation.Animation.Status.RUNNING)) {
            revert();
        }
    }

    private String shown() {
        return value.isPresent() ? Display.exact(kind, value.getAsDouble(), units) : "";
    }

    private void revert() {
        rest.stop();
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
        if (!focused) {
            enter();
        }
    }

    /** Finishes what stands in the field. */
    private void enter() {
        rest.stop();
        Typed typed = AmountReader.read(text.getText(), kind, units, range);
        if (typed instanceof Typed.Understood understood) {
            if (!text.getText().equals(shown())) {
                onEnter.accept(text.getText().strip(), understood.value());
            }
            if (!text.isFocused()) {
                revert();
            }
        } else if (typed instanceof Typed.Blank && value.isPresent()) {
            onDraft.accept(Optional.empty());
            onClear.run();
        } else if (typed instanceof Typed.Refused refused) {
            String old = shown();
            say(refused.sentence() + (old.isEmpty() ? " Nothing was entered." : " It stays " + old + "."), true);
        }
    }

    private void say(String sentence, boolean refused) {
        reply.setText(sentence);
        pseudoClassStateChanged(javafx.css.PseudoClass.getPseudoClass("refused"), refused);
        text.setAccessibleHelp(sentence);
    }
}
