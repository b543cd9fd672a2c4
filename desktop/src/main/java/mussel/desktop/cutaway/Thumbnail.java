package mussel.desktop.cutaway;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Group;
import javafx.scene.shape.SVGPath;
import javafx.scene.transform.Scale;
import mussel.core.job.BenchLine;
import mussel.core.sheet.Region;

/** A small still picture of a leg with its oil, for a card. */
public final class Thumbnail extends Group {
    /** The picture of a leg's outline at a share of its full size. */
    public Thumbnail(List<Region> outline, Optional<BenchLine.Oil> oil, double factor) {
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
            drawing.getChildren().add(shape);
        }
        drawing.getTransforms().add(new Scale(factor, factor));
        drawing.setMouseTransparent(true);
        getChildren().add(drawing);
    }
}
