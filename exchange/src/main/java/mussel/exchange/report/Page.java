package mussel.exchange.report;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** One A4 page, written from the top down in the product's type, black on white. Text is wrapped and stays selectable. */
final class Page implements AutoCloseable {
    static final float MARGIN = 42;
    static final float WIDTH = PDRectangle.A4.getWidth() - 2 * MARGIN;
    private static final float LEADING = 1.32f;

    private final PDFont regular;
    private final PDFont bold;
    private final PDPageContentStream out;
    private float y = PDRectangle.A4.getHeight() - MARGIN;

    Page(PDDocument document) throws IOException {
        regular = font(document, "Regular");
        bold = font(document, "Bold");
        PDPage page = new PDPage(PDRectangle.A4);
        document.addPage(page);
        out = new PDPageContentStream(document, page);
    }

    private static PDFont font(PDDocument document, String weight) throws IOException {
        try (InputStream in = Page.class.getResourceAsStream("/mussel/type/B612-" + weight + ".ttf")) {
            return PDType0Font.load(document, in, true);
        }
    }

    /** What is left to the bottom margin, in points. */
    float room() {
        return y - MARGIN;
    }

    void skip(float points) {
        y -= points;
    }

    void line() throws IOException {
        y -= 4;
        out.setLineWidth(0.7f);
        out.moveTo(MARGIN, y);
        out.lineTo(MARGIN + WIDTH, y);
        out.stroke();
        y -= 6;
    }

    void heading(String text, float size) throws IOException {
        write(bold, size, MARGIN, WIDTH, text);
    }

    void text(String text, float size) throws IOException {
        write(regular, size, MARGIN, WIDTH, text);
    }

    /** A caption and what stands behind it. */
    void pair(String caption, String text, float size) throws IOException {
        float top = y;
        write(bold, size, MARGIN, 118, caption);
        float afterCaption = y;
        y = top;
        write(regular, size, MARGIN + 124, WIDTH - 124, text);
        y = Math.min(y, afterCaption);
    }

    private void write(PDFont font, float size, float x, float width, String text) throws IOException {
        for (String line : wrap(font, size, width, text)) {
            y -= size * LEADING;
            out.beginText();
            out.setFont(font, size);
            out.newLineAtOffset(x, y + size * 0.3f);
            out.showText(line);
            out.endText();
        }
    }

    private static List<String> wrap(PDFont font, float size, float width, String text) throws IOException {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : printable(font, text).split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && font.getStringWidth(longer) / 1000 * size > width) {
                lines.add(line.toString());
                line = new StringBuilder(word);
            } else {
                line = new StringBuilder(longer);
            }
        }
        lines.add(line.toString());
        return lines;
    }

    /** What the type has no shape for becomes a question mark rather than an error. */
    private static String printable(PDFont font, String text) {
        StringBuilder out = new StringBuilder();
        text.replace('\n', ' ').replace('\t', ' ').codePoints().forEach(c -> {
            String one = Character.toString(c);
            try {
                font.encode(one);
                out.append(one);
            } catch (IOException | IllegalArgumentException e) {
                out.append('?');
            }
        });
        return out.toString();
    }

    @Override
    public void close() throws IOException {
        out.close();
    }
}
