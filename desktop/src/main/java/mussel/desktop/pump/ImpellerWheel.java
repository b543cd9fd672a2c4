package mussel.desktop.pump;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntConsumer;
import javafx.css.PseudoClass;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleRole;
import javafx.scene.Group;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.SVGPath;
import javafx.scene.text.Text;
import mussel.core.language.Messages;
import mussel.core.pump.PumpInput.Crack;
import mussel.core.pump.PumpInput.Vane;

/** The impeller seen from above, each vane as it was found: worn short, bent, cracked, burnt or gone. A vane is picked to mark it. */
final class ImpellerWheel extends Pane {
    private static final Messages TEXT = Messages.of(ImpellerWheel.class);

    private static final PseudoClass PICKED = PseudoClass.getPseudoClass("picked");
    private static final PseudoClass BURNT = PseudoClass.getPseudoClass("burnt");
    private static final double MIDDLE = 104;
    private static final double HUB = 40;
    private static final double TIP = 90;
    private static final double HALF = 10;
    private static final double PX_PER_MM = 6;
    private static final int STEPS = 8;

    /** A vane is drawn bent by half its set at the tip: what is dragged is read back so. */
    private static final double DRAWN = 0.5;

    private static final double MOST_SET = 90;

    private final List<Group> vanes = new ArrayList<>();
    private final IntConsumer onPick;
    private final OnBent onBent;
    private List<Vane> shown = List.of();
    private int pickedVane;

    /** A vane was bent to how it looks. */
    interface OnBent {
        /**
         * The set a vane was dragged to.
         *
         * @param vane counted from 1
         * @param degrees how far it stays bent
         * @param done whether it was let go
         */
        void bent(int vane, double degrees, boolean done);
    }

    /** A wheel that says which vane, counted from 1, was picked, and how far one was dragged. */
    ImpellerWheel(int count, IntConsumer onPick, OnBent onBent) {
        this.onPick = onPick;
        this.onBent = onBent;
        getStyleClass().add("impeller-wheel");
        setMinSize(2 * MIDDLE, 2 * MIDDLE);
        setPrefSize(2 * MIDDLE, 2 * MIDDLE);
        setMaxSize(2 * MIDDLE, 2 * MIDDLE);
        Circle cup = new Circle(MIDDLE, MIDDLE, TIP + 8);
        cup.getStyleClass().add("cup");
        Circle hub = new Circle(MIDDLE, MIDDLE, HUB);
        hub.getStyleClass().add("hub");
        Circle shaft = new Circle(MIDDLE, MIDDLE, HUB * 0.42);
        shaft.getStyleClass().add("shaft-hole");
        getChildren().add(cup);
        for (int i = 1; i <= count; i++) {
            vanes.add(vane(i));
        }
        getChildren().addAll(vanes);
        getChildren().addAll(hub, shaft);
        for (int i = 0; i < count; i++) {
            double angle = angle(i, count);
            Text number = new Text(String.valueOf(i + 1));
            number.getStyleClass().add("vane-number");
            number.setX(MIDDLE + Math.cos(angle) * (HUB - 12) - 4);
            number.setY(MIDDLE + Math.sin(angle) * (HUB - 12) + 5);
            number.setMouseTransparent(true);
            getChildren().add(number);
        }
    }

    private static double angle(int index, int count) {
        return -Math.PI / 2 + 2 * Math.PI * index / count;
    }

    private Group vane(int number) {
        Group vane = new Group();
        vane.setId("vane-" + number);
        vane.setFocusTraversable(true);
        vane.setAccessibleRole(AccessibleRole.BUTTON);
        vane.setOnMousePressed(e -> pick(number));
        vane.setOnMouseDragged(e -> drag(number, e, false));
        vane.setOnMouseReleased(e -> {
            if (!e.isStillSincePress()) {
                drag(number, e, true);
            }
        });
        vane.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
                pick(number);
                e.consume();
            }
        });
        return vane;
    }

    private void pick(int number) {
        vanes.get(number - 1).requestFocus();
        onPick.accept(number);
    }

    /** Bends the vane so that its tip follows the pointer. */
    private void drag(int number, MouseEvent e, boolean done) {
        Point2D at = sceneToLocal(e.getSceneX(), e.getSceneY());
        double pointed = Math.atan2(at.getY() - MIDDLE, at.getX() - MIDDLE);
        double off = Math.toDegrees(pointed - angle(number - 1, vanes.size()));
        double turned = Math.abs(Math.IEEEremainder(off, 360));
        double degrees = Math.rint(Math.min(MOST_SET, turned / DRAWN));
        if (!done) {
            Vane was = shown.isEmpty() ? Vane.SOUND : shown.get(number - 1);
            Vane bent = new Vane(was.tipWearMm(), degrees, was.crack(), was.missingMm(), was.burnt());
            draw(vanes.get(number - 1), bent, angle(number - 1, vanes.size()), false, number == pickedVane);
        }
        onBent.bent(number, degrees, done);
    }

    /** Shows the vanes; none yet looked at where the list is empty. */
    void show(List<Vane> found, int picked) {
        shown = found;
        pickedVane = picked;
        for (int i = 0; i < vanes.size(); i++) {
            Vane vane = found.isEmpty() ? Vane.SOUND : found.get(i);
            draw(vanes.get(i), vane, angle(i, vanes.size()), found.isEmpty(), i + 1 == picked);
            vanes.get(i).setAccessibleText(TEXT.get("impeller_wheel.vane", (i + 1), words(vane, found.isEmpty())));
        }
    }

    private static void draw(Group group, Vane vane, double angle, boolean unseen, boolean picked) {
        double length = Math.max(6, TIP - HUB - PX_PER_MM * (vane.tipWearMm() + vane.missingMm()));
        // The shape stays while it is dragged: one that leaves the scene gets no more of the drag.
        SVGPath shape = group.getChildren().isEmpty()
                ? new SVGPath()
                : (SVGPath) group.getChildren().get(0);
        shape.setContent(outline(angle, length, Math.toRadians(vane.setDeg()), vane.missingMm() > 0));
        shape.getStyleClass().setAll(unseen ? "vane-unseen" : "vane");
        shape.pseudoClassStateChanged(PICKED, picked);
        shape.pseudoClassStateChanged(BURNT, vane.burnt());
        if (group.getChildren().isEmpty()) {
            group.getChildren().add(shape);
        }
        group.getChildren().remove(1, group.getChildren().size());
        if (vane.crack() != Crack.NONE) {
            double root = HUB + 8;
            double across = vane.crack() == Crack.THROUGH ? HALF : HALF * 0.4;
            Line crack = new Line(
                    x(angle, root, -HALF),
                    y(angle, root, -HALF),
                    x(angle, root + 4, across),
                    y(angle, root + 4, across));
            crack.getStyleClass().add("vane-crack");
            group.getChildren().add(crack);
        }
    }

    /** The vane as an outline from the hub: straight, or bent by its set; ragged at the end where a piece is gone. */
    private static String outline(double angle, double length, double set, boolean ragged) {
        StringBuilder left = new StringBuilder();
        StringBuilder right = new StringBuilder();
        for (int i = 0; i <= STEPS; i++) {
            double along = HUB - 4 + (length + 4) * i / STEPS;
            double bent = angle + set * DRAWN * Math.pow(i / (double) STEPS, 2);
            double half = HALF * (1 - 0.25 * i / STEPS);
            left.append(i == 0 ? "M" : "L").append(point(bent, along, -half));
            right.insert(0, "L" + point(bent, ragged && i == STEPS ? along - 9 : along, half));
        }
        return left + right.toString() + "Z";
    }

    private static String point(double angle, double along, double across) {
        return x(angle, along, across) + "," + y(angle, along, across) + " ";
    }

    private static double x(double angle, double along, double across) {
        return MIDDLE + Math.cos(angle) * along - Math.sin(angle) * across;
    }

    private static double y(double angle, double along, double across) {
        return MIDDLE + Math.sin(angle) * along + Math.cos(angle) * across;
    }

    /** A vane in words, for those who do not see it. */
    private static String words(Vane vane, boolean unseen) {
        if (unseen) {
            return TEXT.get("impeller_wheel.not_looked_at");
        }
        List<String> words = new ArrayList<>();
        if (vane.missingMm() > 0) {
            words.add(TEXT.get("impeller_wheel.mm_missing", vane.missingMm()));
        }
        if (vane.tipWearMm() > 0) {
            words.add(TEXT.get("impeller_wheel.tip_worn_by_mm", vane.tipWearMm()));
        }
        if (vane.crack() != Crack.NONE) {
            words.add(
                    vane.crack() == Crack.THROUGH
                            ? TEXT.get("impeller_wheel.cracked_through")
                            : TEXT.get("impeller_wheel.surface_crack"));
        }
        if (vane.burnt()) {
            words.add("burnt");
        }
        if (vane.setDeg() > 0) {
            words.add(TEXT.get("impeller_wheel.stays_bent_by_degrees", vane.setDeg()));
        }
        return words.isEmpty() ? "sound" : String.join(", ", words);
    }
}
