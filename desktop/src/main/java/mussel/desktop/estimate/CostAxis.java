package mussel.desktop.estimate;

import java.util.List;
import java.util.Locale;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import mussel.core.estimate.EstimateEngine;
import mussel.core.estimate.EstimateResult.Option;
import mussel.core.estimate.EstimateWords;
import mussel.core.language.Messages;
import mussel.core.parts.PartsWords;
import mussel.desktop.kit.Words;

/** All ways on one axis of money: where eight of ten cases lie as a bar, the mean as a line across it, the figures beside, ticks below. */
final class CostAxis extends Pane {
    private static final Messages TEXT = Messages.of(CostAxis.class);

    private static final PseudoClass CHEAPEST = PseudoClass.getPseudoClass("cheapest");
    private static final double BAR = 18;
    private static final double GAP = 12;
    private static final double LEAST = 3;
    private static final double FIXED = 0.005;
    private static final int TICKS = 5;

    private List<Option> options = List.of();
    private String cheapest = "";

    private EstimateWords words;

    CostAxis() {
        getStyleClass().add("cost-axis");
        setMinWidth(0);
        widthProperty().addListener((o, was, is) -> draw());
    }

    void show(EstimateWords in, List<Option> shown, String least) {
        words = in;
        options = List.copyOf(shown);
        cheapest = least;
        draw();
    }

    private void draw() {
        getChildren().clear();
        if (options.isEmpty() || getWidth() < 100) {
            return;
        }
        double step = tick(options.stream().mapToDouble(Option::p90).max().orElse(1));
        double most = options.stream()
                .mapToDouble(o -> Math.max(o.p90(), o.mean()))
                .max()
                .orElse(1);
        double end = step * Math.ceil(most / step);
        double y = 0;
        for (Option option : options) {
            y = way(option, y, end);
        }
        for (double at = 0; at <= end + step / 2; at += step) {
            double x = at / end * getWidth();
            Line line = new Line(x, 0, x, y);
            line.getStyleClass().add("cost-tick");
            getChildren().add(0, line);
            Label figure = label(words.money().sum(at), "small-dim");
            double wide = figure.prefWidth(-1);
            place(figure, Math.max(0, Math.min(getWidth() - wide, x - wide / 2)), y + 2);
        }
        setPrefHeight(y + 22);
        setMinHeight(y + 22);
    }

    /** One way: its name and figures over its bar; returns where the next begins. */
    private double way(Option option, double from, double end) {
        boolean best = option.name().equals(cheapest);
        String title = EstimateWords.title(option.name());
        Label name = label(
                title.substring(0, 1).toUpperCase(Locale.ROOT)
                        + title.substring(1)
                        + (best ? TEXT.get("cost_axis.the_least") : ""),
                "strong");
        Label figures = label(figures(option), "plain");
        boolean twoLines = name.prefWidth(-1) + figures.prefWidth(-1) + 16 > getWidth();
        double high = name.prefHeight(-1);
        place(name, 0, from);
        place(figures, twoLines ? 0 : getWidth() - figures.prefWidth(-1), from + (twoLines ? high : 0));
        double y = from + high * (twoLines ? 2 : 1) + 2;
        double scale = getWidth() / end;
        Rectangle range =
                new Rectangle(option.p10() * scale, y, Math.max(LEAST, (option.p90() - option.p10()) * scale), BAR);
        range.getStyleClass().add("cost-range");
        range.pseudoClassStateChanged(CHEAPEST, best);
        Line mean = new Line(option.mean() * scale, y - 3, option.mean() * scale, y + BAR + 3);
        mean.getStyleClass().add("mean-line");
        getChildren().addAll(range, mean);
        return y + BAR + GAP;
    }

    private String figures(Option option) {
        String mean = TEXT.get("cost_axis.about", words.about(option, option.mean()));
        String spread;
        if (option.name().equals(EstimateEngine.LEAVE)) {
            spread = TEXT.get("cost_axis.nothing_or_if_it_comes_back", words.about(option, option.p90()));
        } else if (option.p90() - option.p10() < FIXED) {
            mean = words.money().exact(option.mean());
            spread = TEXT.get("cost_axis.a_fixed_price");
        } else {
            spread = TEXT.get("cost_axis.to", words.about(option, option.p10()), words.about(option, option.p90()));
        }
        return mean + spread + (option.leadDays() > 0 ? "; " + PartsWords.days(Math.round(option.leadDays())) : "");
    }

    /** A label that is in the scene, so that it can be measured. */
    private Label label(String text, String style) {
        Label label = new Words(text);
        label.getStyleClass().add(style);
        getChildren().add(label);
        label.applyCss();
        return label;
    }

    private static void place(Region node, double x, double y) {
        node.resizeRelocate(x, y, node.prefWidth(-1), node.prefHeight(-1));
    }

    /** A round step that makes about five ticks: 1, 2 or 5 times a power of ten. */
    static double tick(double most) {
        double raw = Math.max(1, most) / TICKS;
        double power = Math.pow(10, Math.floor(Math.log10(raw)));
        double lead = raw / power;
        return power * (lead <= 1 ? 1 : lead <= 2 ? 2 : lead <= 5 ? 5 : 10);
    }
}
