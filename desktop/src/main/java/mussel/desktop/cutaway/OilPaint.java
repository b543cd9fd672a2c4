package mussel.desktop.cutaway;

import java.util.Optional;
import javafx.scene.paint.Color;
import mussel.core.job.Yard.Dye;

/** What oil looks like: its dye, clouded by water, darkened by heat. One place, so that a jar and the cutaway show the same oil. */
public final class OilPaint {
    private static final Color MILK = Color.web("#D9CDB4");
    private static final Color COFFEE = Color.web("#6B543E");
    private static final Color AGED = Color.web("#3A2E20");
    private static final Color BURNT = Color.web("#1D1815");
    /** Water at the bottom. */
    public static final Color WATER = Color.web("#7FB2CC");
    /** Pale streaks and globules. */
    public static final Color STREAK = Color.web("#EFE6D2");
    /** Metal that glints. */
    public static final Color GLINT = Color.web("#F3F6F8");

    private OilPaint() {}

    /** Fresh oil of a dye. */
    public static Color fresh(Dye dye) {
        return Color.web(
                switch (dye) {
                    case GREEN -> "#5E9E5A";
                    case BLUE -> "#3F6FB0";
                    case AMBER -> "#C98E35";
                    case RED -> "#B2473F";
                });
    }

    /** Oil as it was found: outcomes of the water and the heat scale. */
    public static Color found(Dye dye, Optional<String> water, Optional<String> heat) {
        Color base = fresh(dye);
        Color heated =
                switch (heat.orElse("fresh")) {
                    case "darkened" -> base.interpolate(AGED, 0.55);
                    case "burnt" -> base.interpolate(BURNT, 0.92);
                    default -> base;
                };
        return switch (water.orElse("none")) {
            case "haze" -> heated.interpolate(MILK, 0.35);
            case "streaks" -> heated.interpolate(MILK, 0.2);
            case "milky" -> heated.interpolate(MILK, 0.82);
            case "sludge" -> heated.interpolate(COFFEE, 0.85);
            default -> heated;
        };
    }
}
