package mussel.desktop.plan;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.Scene;
import javafx.scene.SnapshotParameters;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.transform.Scale;
import javax.imageio.ImageIO;
import mussel.core.job.Assessment;
import mussel.core.language.Messages;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Place;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Texts;

/** The rows of the mat as pictures for print: dark on white whatever the window's look, everything at its place. */
final class MatPrint {
    private static final Messages TEXT = Messages.of(MatPrint.class);

    private static final double WIDTH = 760;
    private static final double FINE = 2;

    private final Assessment now;
    private final List<String> styles;

    /** Pictures of a job's mat, styled as the window is. */
    MatPrint(Assessment now, Scene window) {
        this.now = now;
        this.styles = List.copyOf(window.getStylesheets());
    }

    /** Each row as it came off. */
    List<byte[]> cameOff() {
        return rows(now.stripSteps(), false);
    }

    /** Each row of the way back. */
    List<byte[]> wayBack() {
        return rows(now.buildSteps(), true);
    }

    private List<byte[]> rows(List<PlannedStep> steps, boolean back) {
        Map<Place, FlowPane> rows = new LinkedHashMap<>();
        int number = 1;
        for (PlannedStep planned : steps) {
            for (PartQty part : back ? planned.step().partsIn() : planned.step().partsOut()) {
                Place place = now.sheet().part(part.part()).orElseThrow().group();
                boolean renewed = now.plan().parts().stream()
                        .anyMatch(n -> n.part().part().equals(part.part()));
                String word = !renewed ? "" : back ? "new" : TEXT.get("mat_print.always_new");
                rows.computeIfAbsent(place, p -> new Flow(6, 6))
                        .getChildren()
                        .add(new MatPiece(now.sheet(), number++, part, MatPiece.Where.LIES, false, word));
            }
        }
        List<byte[]> pictures = new ArrayList<>();
        rows.forEach((place, pieces) -> pictures.add(picture(new Column(4, Texts.heading(place.title()), pieces))));
        return pictures;
    }

    private byte[] picture(VBox row) {
        row.getStyleClass().addAll("mussel", "mat-row");
        row.setPrefWidth(WIDTH);
        row.setMaxWidth(WIDTH);
        Scene scene = new Scene(row, WIDTH, 10, Color.WHITE);
        scene.getStylesheets().setAll(styles);
        row.applyCss();
        row.resize(WIDTH, row.prefHeight(WIDTH));
        row.layout();
        SnapshotParameters fine = new SnapshotParameters();
        fine.setTransform(new Scale(FINE, FINE));
        fine.setFill(Color.WHITE);
        return png(row.snapshot(fine, null));
    }

    private static byte[] png(WritableImage picture) {
        int wide = (int) picture.getWidth();
        int high = (int) picture.getHeight();
        PixelReader pixels = picture.getPixelReader();
        BufferedImage image = new BufferedImage(wide, high, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < high; y++) {
            for (int x = 0; x < wide; x++) {
                image.setRGB(x, y, pixels.getArgb(x, y));
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
