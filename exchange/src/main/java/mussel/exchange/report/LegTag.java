package mussel.exchange.report;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import mussel.core.job.Assessment;
import mussel.core.job.Field;
import mussel.core.job.LegRef;
import mussel.core.language.Messages;
import mussel.core.log.Due;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.YardUnits;
import mussel.exchange.file.OutFile;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** The tag that hangs on the leg: what was done, when again, and a QR code (ISO/IEC 18004) that opens the leg when it is scanned into the window. */
public final class LegTag {
    private static final Messages TEXT = Messages.of(LegTag.class);

    /** What the code begins with; the leg's id follows. */
    public static final String SCHEME = "mussel:leg:";

    private static final float MM = 72 / 25.4f;
    private static final float WIDTH = 105 * MM;
    private static final float HEIGHT = 74 * MM;
    private static final float EDGE = 6 * MM;
    private static final float CODE = 34 * MM;
    private static final int QUIET = 4;

    private LegTag() {}

    /** What the code of a leg says. */
    public static String code(LegRef leg) {
        return SCHEME + leg.id();
    }

    /** Writes the tag as PDF, A7 across. An UncheckedIOException says why it could not. */
    public static void write(Assessment job, Path file) {
        try (PDDocument document = new PDDocument()) {
            document.getDocumentInformation()
                    .setTitle(TEXT.get("leg_tag.tag_job", job.job().id()));
            PDPage page = new PDPage(new PDRectangle(WIDTH, HEIGHT));
            document.addPage(page);
            TypeFace bold = new TypeFace(document, true);
            TypeFace plain = new TypeFace(document, false);
            try (PDPageContentStream out = new PDPageContentStream(document, page)) {
                squares(out, matrix(code(job.job().leg())));
                Lines lines = new Lines(out, HEIGHT - EDGE);
                lines.line(bold, 12, job.job().leg().title(), WIDTH - 2 * EDGE);
                lines.line(
                        plain,
                        8,
                        TEXT.get("leg_tag.job", job.sheet().title(), job.job().id()),
                        WIDTH - 2 * EDGE);
                float beside = WIDTH - 2 * EDGE - CODE;
                String hours = job.job().reading(Field.ENGINE_HOURS).isPresent()
                        ? Display.exact(
                                Kind.RUNNING,
                                job.job().reading(Field.ENGINE_HOURS).getAsDouble(),
                                YardUnits.METRIC)
                        : TEXT.get("leg_tag.hours_not_read");
                lines.line(plain, 9, job.job().tagged().orElse(job.today()) + ", " + hours, beside);
                lines.line(plain, 9, job.oil().fillNamed().orElse(TEXT.get("leg_tag.gear_oil_not_chosen")), beside);
                lines.down(4);
                for (Due due : job.due()) {
                    lines.line(bold, 9, due.what(), beside);
                    lines.line(plain, 8, due.limits(), beside);
                }
                Optional<String> unproven = job.proof().unproven();
                if (unproven.isPresent()) {
                    lines.line(bold, 8, unproven.get(), beside);
                }
                Optional<String> notReal = NotReal.of(job);
                if (notReal.isPresent()) {
                    lines.line(plain, 7, notReal.get(), beside);
                }
                lines.line(plain, 7, TEXT.get("leg_tag.the_makers_manual_outranks_this_tag"), beside);
            }
            OutFile.of(file, OutFile.Kind.PDF, true).write(document::save);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static BitMatrix matrix(String text) {
        try {
            return new QRCodeWriter()
                    .encode(
                            text,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(
                                    EncodeHintType.ERROR_CORRECTION,
                                    ErrorCorrectionLevel.Q,
                                    EncodeHintType.MARGIN,
                                    QUIET,
                                    EncodeHintType.CHARACTER_SET,
                                    "UTF-8"));
        } catch (WriterException e) {
            throw new IllegalStateException("A leg's id is too long for a code", e);
        }
    }

    private static void squares(PDPageContentStream out, BitMatrix matrix) throws IOException {
        float size = CODE / matrix.getWidth();
        float left = WIDTH - EDGE - CODE;
        for (int y = 0; y < matrix.getHeight(); y++) {
            for (int x = 0; x < matrix.getWidth(); x++) {
                if (matrix.get(x, y)) {
                    out.addRect(left + x * size, EDGE + CODE - (y + 1) * size, size, size);
                }
            }
        }
        out.fill();
    }

    /** Lines from the top down, each broken into as many as it takes. */
    private static final class Lines {
        private final PDPageContentStream out;
        private float y;

        Lines(PDPageContentStream out, float top) {
            this.out = out;
            this.y = top;
        }

        void down(float points) {
            y -= points;
        }

        void line(TypeFace font, float size, String text, float width) throws IOException {
            for (String line : font.wrap(size, width, text)) {
                y -= size * 1.25f;
                font.line(out, size, EDGE, y, line);
            }
        }
    }
}
