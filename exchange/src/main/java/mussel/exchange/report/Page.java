package mussel.exchange.report;

import java.io.IOException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/**
 * A4 pages, written from the top down in the product's type, black on white; what does not fit goes on a further page. Text is wrapped and
 * stays selectable.
 */
final class Page implements AutoCloseable {
    static final float MARGIN = 42;
    static final float WIDTH = PDRectangle.A4.getWidth() - 2 * MARGIN;
    private static final float LEADING = 1.32f;
    private static final float FOOT = 30;

    private final TypeFace regular;
    private final TypeFace bold;
    private final PDDocument document;
    private PDPageContentStream out;
    private float y;

    Page(PDDocument document) throws IOException {
        regular = new TypeFace(document, false);
        bold = new TypeFace(document, true);
        this.document = document;
        turn();
    }

    /** Goes on at the top of a new page. */
    private void turn() throws IOException {
        if (out != null) {
            out.close();
        }
        PDPage page = new PDPage(PDRectangle.A4);
        document.addPage(page);
        out = new PDPageContentStream(document, page);
        y = PDRectangle.A4.getHeight() - MARGIN;
    }

    /** Turns the page where less than so much is left (points). */
    void keepTogether(float points) throws IOException {
        if (room() < points) {
            turn();
        }
    }

    /** A filled bar and a mark on it, between two figures of an axis: shares of the width from 0 to 1. */
    void bar(String caption, double from, double to, double mark, float size) throws IOException {
        keepTogether(size * 2);
        write(bold, size, MARGIN, 150, caption);
        float left = MARGIN + 156;
        float width = WIDTH - 156;
        out.setNonStrokingColor(0.72f);
        out.addRect(left + (float) from * width, y + 2, Math.max(1.5f, (float) (to - from) * width), size * 0.8f);
        out.fill();
        out.setNonStrokingColor(0f);
        out.addRect(left + (float) mark * width - 1, y, 2, size * 1.2f);
        out.fill();
    }

    /** What is left to the bottom margin, in points. */
    float room() {
        return y - MARGIN;
    }

    void skip(float points) {
        y -= points;
    }

    /** A picture as wide as the text, or smaller where it is; on the next page where this one has no room for it. */
    void picture(byte[] png, float points) throws IOException {
        PDImageXObject image = PDImageXObject.createFromByteArray(document, png, "drawing");
        float scale = points / image.getWidth();
        float high = image.getHeight() * scale;
        keepTogether(high + 4);
        y -= high;
        out.drawImage(image, MARGIN, y, image.getWidth() * scale, high);
        y -= 4;
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

    private void write(TypeFace font, float size, float x, float width, String text) throws IOException {
        for (String line : font.wrap(size, width, text)) {
            if (y - size * LEADING < FOOT) {
                turn();
            }
            y -= size * LEADING;
            font.line(out, size, x, y + size * 0.3f, line);
        }
    }

    @Override
    public void close() throws IOException {
        out.close();
    }
}
