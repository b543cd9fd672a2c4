package mussel.desktop.cutaway;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.scene.Group;
import javafx.scene.shape.SVGPath;
import javafx.scene.transform.Scale;
import mussel.core.job.BenchLine;
import mussel.core.sheet.Region;

/** A small still picture of a leg with its oil, for a card. */
public final class Thumbnail extends Group {
    private static final PseudoClass AT_WORK = PseudoClass.getPseudoClass("at-work");

    /** The picture of a leg without oil, some regions of it lit. */
    public Thumbnail(List<Region> drawing, List<Region> lit, double factor) {
        this(drawing, Optional.empty(), factor, lit);
    }

    /** The picture of a leg's outline at a share of its full size. */
    public Thumbnail(List<Region> outline, Optional<BenchLine.Oil> oil, double factor) {
        this(outline, oil, factor, List.of());
    }

    private Thumbnail(List<Region> outline, Optional<BenchLine.Oil> oil, double factor, List<Region> lit) {
        Group drawing = new Group();
        for (Region region : outline) {
            SVGPath shape = new SVGPath();
            shape.setContent(region.path());
            if (region.kind() == Region.Material.CAVITY && oil.isPresent()) {
                shape.getStyleClass().addAll("region", "thumb-oil");
                BenchLine.Oil in = oil.get();
                shape.setFill(OilPaint.found(in.dye(), in.water(), in.heat()));
            } else {
                shape.getStyleClass()
                        .addAll("region", "of-" + region.kind().name().toLowerCase(Locale.ROOT));
            }
            shape.pseudoClassStateChanged(AT_WORK, lit.contains(region));
            drawing.getChildren().add(shape);
        }
        drawing.getTransforms().add(new Scale(factor, factor));
        drawing.setMouseTransparent(true);
        getChildren().add(drawing);
    }
}
