package mussel.desktop.cutaway;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.scene.AccessibleRole;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import javafx.scene.shape.QuadCurve;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.SVGPath;
import mussel.core.drain.DrainResult.WaterShare;
import mussel.core.job.Assessment;
import mussel.core.job.Field;
import mussel.core.job.Scale;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Region;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Rows;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.Words;

/**
 * The leg cut open lengthwise, drawn from its sheet: the oil with the level and the look that was recorded, water at the bottom at its
 * computed volume, the parts of the step under way outlined, what is off the leg faded.
 */
public final class Cutaway extends Column {
    private static final Messages TEXT = Messages.of(Cutaway.class);

    private static final double WIDTH = 360;
    private static final double HEIGHT = 560;
    private static final double VENT_BELOW_TOP = 26;
    private static final int STREAKS = 34;
    private static final PseudoClass OFF = PseudoClass.getPseudoClass("off");
    private static final PseudoClass FOLDED = PseudoClass.getPseudoClass("folded");
    /** From here on a place is named on the folded strip. */
    private static final double NAMED = 0.15;

    private static final int MOST_NAMED = 4;
    private static final PseudoClass AT_WORK = PseudoClass.getPseudoClass("at-work");

    private final Pane frame = new Pane();
    private final Group drawing = new Group();
    private final Label caption = new Words();
    private final javafx.scene.transform.Scale zoom = new javafx.scene.transform.Scale(1, 1);
    private final Group oil = new Group();
    private final SVGPath hollow = new SVGPath();
    private final Tint tint = new Tint();
    private final Map<SVGPath, Region> regions = new LinkedHashMap<>();
    private final Cavity cavity;
    private final Label heading = new Words("The leg");
    private final VBox figures = new Column(4);
    private final Rows<Label> figureRows = new Rows<>(figures, () -> Texts.wrapped("", "strip-figure"));
    private final List<SVGPath> parts = new ArrayList<>();
    private final Pointer pointer;
    private Consumer<Boolean> onGo = strip -> {};
    private Assessment shown;
    private boolean folded;

    /** The drawing of one family. */
    public Cutaway(SpecSheet sheet) {
        getStyleClass().add("cutaway");
        SVGPath room = null;
        for (Region region : sheet.drawing()) {
            SVGPath shape = shape(region);
            if (region.kind() == Region.Material.CAVITY) {
                room = shape;
                drawing.getChildren().addAll(shape, oil);
            } else {
                drawing.getChildren().add(shape);
            }
        }
        cavity = Cavity.of(room, room.getBoundsInLocal().getMinY() + VENT_BELOW_TOP);
        hollow.setContent(room.getContent());
        oil.setMouseTransparent(true);
        drawing.getChildren().add(tint);
        drawing.getTransforms().add(zoom);
        drawing.setManaged(false);
        frame.getChildren().add(drawing);
        frame.setMinSize(120, 180);
        VBox.setVgrow(frame, Priority.ALWAYS);
        caption.getStyleClass().add("dim");
        caption.setWrapText(true);
        caption.setMinHeight(USE_PREF_SIZE);
        heading.getStyleClass().add("heading");
        heading.setMinHeight(USE_PREF_SIZE);
        figures.setVisible(false);
        figures.setManaged(false);
        getChildren().addAll(heading, frame, figures, caption);
        pointer = new Pointer(regions, parts);
        setId("cutaway");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        addEventHandler(KeyEvent.KEY_PRESSED, this::pressed);
        focusedProperty().addListener((o, was, is) -> focused(is));
        frame.widthProperty().addListener((o, was, is) -> fit());
        frame.heightProperty().addListener((o, was, is) -> fit());
    }

    /** How to get from a part to the station where it comes off (true) or goes in (false). */
    public void setOnGo(Consumer<Boolean> handler) {
        onGo = handler;
    }

    private void open(SVGPath shape, String part) {
        shown.sheet().part(part).ifPresent(p -> PartPage.open(shape, shown, p, onGo));
    }

    /** Folds the drawing to a narrow strip with its figures beneath, and back. */
    public void setFolded(boolean on) {
        folded = on;
        heading.setVisible(!on);
        heading.setManaged(!on);
        tint.setVisible(!on);
        figures.setVisible(on);
        figures.setManaged(on);
        frame.setMinSize(on ? 60 : 120, on ? 120 : 180);
        frame.setMaxHeight(on ? 190 : Double.MAX_VALUE);
        pseudoClassStateChanged(FOLDED, on);
        if (shown != null) {
            say();
        }
    }

    private void pressed(KeyEvent e) {
        if (pointer.move(e.getCode())) {
            say();
            e.consume();
        } else if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
            pointer.at().ifPresent(shape -> open(shape, regions.get(shape).part()));
            e.consume();
        }
    }

    private void focused(boolean is) {
        if (is) {
            Set<String> atWork = partsAtWork(shown);
            pointer.begin(parts.stream()
                    .filter(s -> atWork.contains(regions.get(s).part()))
                    .findFirst());
        } else {
            pointer.to(Optional.empty());
        }
        say();
    }

    /** The line under the drawing: the part the arrow keys stand on, else what is known of the oil. */
    private void say() {
        String pointed = pointer.title();
        String known = folded ? briefly(shown) : caption(shown);
        caption.setText(pointed.isEmpty() ? known : TEXT.get("cutaway.enter_all_that_is_known_of", pointed));
        setAccessibleText(TEXT.get("cutaway.the_leg", caption.getText()));
        figureRows.begin();
        if (folded) {
            shown.suspicion().entrySet().stream()
                    .filter(e -> e.getValue() >= NAMED)
                    .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
                    .limit(MOST_NAMED)
                    .forEach(e -> figureRows
                            .next()
                            .setText(e.getKey().replace('_', ' ') + " "
                                    + Display.percent(e.getValue()).replace(' ', '\u00a0')));
        }
        figureRows.end();
    }

    private static String briefly(Assessment now) {
        return now.job().reading(Field.PUMPED).isPresent()
                ? "filled"
                : now.job()
                        .choice(Scale.OIL_WATER)
                        .map(l -> TEXT.get("cutaway.oil", l))
                        .orElse("");
    }

    private void fit() {
        double factor = Math.min(frame.getWidth() / WIDTH, frame.getHeight() / HEIGHT);
        zoom.setX(factor);
        zoom.setY(factor);
        drawing.setLayoutX((frame.getWidth() - WIDTH * factor) / 2);
        drawing.setLayoutY(Math.max(0, (frame.getHeight() - HEIGHT * factor) / 2));
    }

    private SVGPath shape(Region region) {
        SVGPath shape = new SVGPath();
        shape.setContent(region.path());
        shape.getStyleClass().addAll("region", "of-" + region.kind().name().toLowerCase(java.util.Locale.ROOT));
        regions.put(shape, region);
        if (Step.says(region.title())) {
            Tooltip.install(shape, new Tooltip(region.title()));
            shape.setAccessibleText(region.title());
        }
        if (Step.says(region.part()) && region.kind() != Region.Material.LINE) {
            parts.add(shape);
            shape.setOnMouseClicked(e -> {
                requestFocus();
                pointer.to(Optional.of(shape));
                say();
                open(shape, region.part());
            });
        }
        return shape;
    }

    /** Shows the job as it stands. */
    public void show(Assessment now) {
        shown = now;
        pour(now);
        tint.show(regions, now.suspicion());
        say();
        Set<String> off = now.partsOff();
        Set<String> atWork = partsAtWork(now);
        regions.forEach((shape, region) -> {
            shape.pseudoClassStateChanged(OFF, off.contains(region.part()));
            shape.pseudoClassStateChanged(AT_WORK, atWork.contains(region.part()));
        });
    }

    private static Set<String> partsAtWork(Assessment now) {
        Set<String> parts = new HashSet<>();
        now.plan().steps().stream()
                .filter(s -> s.step().phase() != Phase.PROVE)
                .filter(s -> now.job().ticked(s.step().id()).isEmpty())
                .findFirst()
                .ifPresent(s -> {
                    s.step().partsOut().forEach(p -> parts.add(p.part()));
                    s.step().partsIn().forEach(p -> parts.add(p.part()));
                });
        return parts;
    }

    private void pour(Assessment now) {
        oil.getChildren().setAll(Inside.of(hollow, poured(now)));
    }

    private static Node surface(double level) {
        Rectangle surface = new Rectangle(0, level, WIDTH, 2);
        surface.getStyleClass().add("oil-surface");
        return surface;
    }

    /** The oil as seen, taken in at once: one by one each shape would measure the drawing anew. */
    private List<Node> poured(Assessment now) {
        Optional<String> look = now.job().choice(Scale.OIL_WATER);
        Optional<String> heat = now.job().choice(Scale.OIL_HEAT);
        boolean judged = look.isPresent() || heat.isPresent();
        boolean filled = now.job().reading(Field.PUMPED).isPresent();
        if (!judged && !filled && now.drain().result().isEmpty() || !filled && empty(now)) {
            return List.of();
        }
        List<Node> in = new ArrayList<>();
        double share = share(now, filled);
        double level = cavity.level(share);
        Rectangle body = new Rectangle(0, level, WIDTH, HEIGHT - level);
        body.setFill(
                filled
                        ? OilPaint.fresh(now.oil().fill().dye())
                        : OilPaint.found(now.oil().was().dye(), look, heat));
        in.add(body);
        if (!filled) {
            suspended(in, look, now.job().choice(Scale.OIL_METAL), level);
            settled(in, now);
        }
        in.add(surface(level));
        return in;
    }

    /** Whether the oil is out and the case is being opened: then none is drawn in it. */
    private static boolean empty(Assessment now) {
        return now.job().reading(Field.DRAINED).isPresent()
                && now.plan().of(Phase.STRIP).stream()
                        .anyMatch(s -> now.job().ticked(s.step().id()).isPresent());
    }

    private static double share(Assessment now, boolean filled) {
        if (now.sheet().oil().capacityMl().isEmpty()) {
            return 1;
        }
        double capacity = now.sheet().oil().capacityMl().getAsDouble();
        if (filled) {
            return now.job().reading(Field.PUMPED).orElse(capacity) / capacity;
        }
        OptionalDouble drained = now.job().reading(Field.DRAINED);
        return drained.isEmpty()
                ? 1
                : (drained.getAsDouble()
                                + now.drain().result().map(d -> d.residualMl()).orElse(0.0))
                        / capacity;
    }

    /** Streaks of water and glints of metal, where they were seen; placed by a fixed seed, so that a repaint moves nothing. */
    private void suspended(List<Node> in, Optional<String> look, Optional<String> metal, double level) {
        Random random = new Random(7);
        boolean streaks = look.equals(Optional.of("streaks")) || look.equals(Optional.of("milky"));
        for (int i = 0; streaks && i < STREAKS; i++) {
            double x = 40 + random.nextDouble() * 170;
            double y = level + 8 + random.nextDouble() * Math.max(1, cavity.bottom() - level - 16);
            QuadCurve streak = new QuadCurve(x, y, x + 6, y - 4 + random.nextDouble() * 8, x + 13, y);
            streak.setFill(null);
            streak.setStroke(OilPaint.STREAK.deriveColor(0, 1, 1, 0.75));
            streak.setStrokeWidth(1.6 + random.nextDouble() * 1.4);
            in.add(streak);
        }
        boolean flakes = metal.equals(Optional.of("flakes"));
        for (int i = 0; (flakes || metal.equals(Optional.of("sheen"))) && i < 40; i++) {
            Circle glint = new Circle(
                    40 + random.nextDouble() * 170,
                    level + random.nextDouble() * Math.max(1, cavity.bottom() - level),
                    flakes ? 2.2 : 1,
                    OilPaint.GLINT);
            in.add(glint);
        }
    }

    private void settled(List<Node> in, Assessment now) {
        double ml = now.drain()
                .result()
                .map(d -> d.water())
                .flatMap(Cutaway::volume)
                .orElse(now.job().reading(Field.FREE_WATER).orElse(0));
        OptionalDouble capacity = now.sheet().oil().capacityMl();
        if (ml <= 0.5 || capacity.isEmpty()) {
            return;
        }
        double top = cavity.level(Math.min(1, ml / capacity.getAsDouble()));
        Rectangle water = new Rectangle(0, top, WIDTH, HEIGHT - top);
        water.setFill(OilPaint.WATER);
        in.add(water);
    }

    private static Optional<Double> volume(WaterShare water) {
        return water.ml().isPresent() ? Optional.of(water.ml().getAsDouble()) : Optional.empty();
    }

    private static String caption(Assessment now) {
        if (now.job().reading(Field.PUMPED).isPresent()) {
            return TEXT.get(
                    "cutaway.filled_with",
                    now.oil().fillNamed().orElse(TEXT.get("cutaway.gear_oil")),
                    Display.exact(
                            Kind.VOLUME,
                            now.job().reading(Field.PUMPED).orElse(0),
                            now.yard().reads()));
        }
        Optional<String> look = now.job().choice(Scale.OIL_WATER);
        if (look.isEmpty() && now.drain().result().isEmpty()) {
            return TEXT.get("cutaway.nothing_is_known_of_the_oil");
        }
        StringBuilder text = new StringBuilder("Oil ");
        text.append(look.map(l -> l.equals("none") ? TEXT.get("cutaway.clear_in_its_own_dye") : l)
                .orElse(TEXT.get("cutaway.not_judged_by_eye")));
        now.drain()
                .result()
                .map(d -> d.water())
                .filter(w -> w.high().isPresent())
                .ifPresent(w -> text.append(", ")
                        .append(Display.percent(w.fraction().getAsDouble()))
                        .append(TEXT.get("cutaway.water"))
                        .append(Display.percent(w.low().getAsDouble()))
                        .append(" to ")
                        .append(Display.percent(w.high().getAsDouble()))
                        .append(")"));
        return text.append(
                        empty(now)
                                ? TEXT.get("cutaway.it_is_out_the_case_is")
                                : TEXT.get("cutaway.an_estimate_level_as_it_came"))
                .toString();
    }

    /** The regions and what they show, for tests and help. */
    List<Region> shownRegions() {
        return List.copyOf(regions.values());
    }
}
