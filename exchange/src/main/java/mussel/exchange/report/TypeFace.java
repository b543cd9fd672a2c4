package mussel.exchange.report;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/**
 * One weight of the type in a document. Letters the product's own type does not have (Greek, Cyrillic) come from a second one; what neither has is
 * marked with a box, so that nobody takes a name for whole that is not.
 */
final class TypeFace {
    private static final String MARK = "□";

    private final PDDocument document;
    private final boolean bold;
    private final PDFont own;
    private Optional<PDFont> wide = Optional.empty();

    TypeFace(PDDocument document, boolean bold) throws IOException {
        this.document = document;
        this.bold = bold;
        this.own = load(bold ? "B612-Bold" : "B612-Regular");
    }

    private PDFont load(String name) throws IOException {
        try (InputStream in = TypeFace.class.getResourceAsStream("/mussel/type/" + name + ".ttf")) {
            return PDType0Font.load(document, in, true);
        }
    }

    private PDFont wide() throws IOException {
        if (wide.isEmpty()) {
            wide = Optional.of(load(bold ? "DejaVuSans-Bold" : "DejaVuSans"));
        }
        return wide.get();
    }

    /** Letters that follow each other in one font. */
    private record Run(PDFont font, String text) {}

    private List<Run> runs(String text) throws IOException {
        List<Run> runs = new ArrayList<>();
        StringBuilder letters = new StringBuilder();
        PDFont now = own;
        for (int c : text.codePoints().toArray()) {
            String letter = Character.isISOControl(c) ? " " : Character.toString(c);
            PDFont font = has(own, letter) ? own : wide();
            if (font != own && !has(font, letter)) {
                letter = MARK;
            }
            if (font != now && !letters.isEmpty()) {
                runs.add(new Run(now, letters.toString()));
                letters.setLength(0);
            }
            now = font;
            letters.append(letter);
        }
        if (!letters.isEmpty()) {
            runs.add(new Run(now, letters.toString()));
        }
        return runs;
    }

    private static boolean has(PDFont font, String letter) throws IOException {
        try {
            return font.encode(letter).length > 0;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    /** How wide a text is (points). */
    float width(String text, float size) throws IOException {
        float width = 0;
        for (Run run : runs(text)) {
            width += run.font().getStringWidth(run.text());
        }
        return width / 1_000 * size;
    }

    /** Writes one line. */
    void line(PDPageContentStream out, float size, float x, float y, String text) throws IOException {
        out.beginText();
        out.newLineAtOffset(x, y);
        for (Run run : runs(text)) {
            out.setFont(run.font(), size);
            out.showText(run.text());
        }
        out.endText();
    }

    /** Breaks a text into lines of at most a width; a word longer than that is broken too. */
    List<String> wrap(float size, float width, String text) throws IOException {
        List<String> lines = new ArrayList<>();
        String line = "";
        for (String word : text.replaceAll("\\p{Cntrl}", " ").split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && width(longer, size) > width) {
                lines.add(line);
                line = word;
            } else {
                line = longer;
            }
            while (line.length() > 1 && width(line, size) > width) {
                int fits = fits(line, size, width);
                lines.add(line.substring(0, fits));
                line = line.substring(fits);
            }
        }
        lines.add(line);
        return lines;
    }

    private int fits(String line, float size, float width) throws IOException {
        int fits = 1;
        while (fits < line.length() && width(line.substring(0, fits + 1), size) <= width) {
            fits++;
        }
        return Character.isLowSurrogate(line.charAt(Math.min(fits, line.length() - 1))) && fits > 1 ? fits - 1 : fits;
    }
}
