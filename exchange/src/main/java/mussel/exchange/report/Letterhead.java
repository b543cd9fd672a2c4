package mussel.exchange.report;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import mussel.core.job.Yard;
import mussel.core.language.Messages;
import mussel.core.measure.Display;

/** What a yard prints of itself: who and where it is at the head, its own sentence at the foot, and its tax where sums stand. */
final class Letterhead {
    private static final Messages TEXT = Messages.of(Letterhead.class);

    private static final float LOGO_HIGH = 40;
    private static final float LOGO_WIDE = 160;

    private Letterhead() {}

    /** Name, address and tax number in a line. */
    static String who(Yard yard) {
        return Stream.of(
                        Optional.of(yard.name()),
                        yard.address(),
                        yard.taxNumber().map(n -> TEXT.get("letterhead.tax_number", n)))
                .flatMap(Optional::stream)
                .collect(Collectors.joining(", "));
    }

    /** The yard's logo, small above the heading; left out where it is no picture that can be printed. */
    static void logo(Page page, Optional<byte[]> picture) throws IOException {
        if (picture.isEmpty()) {
            return;
        }
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(picture.get()));
        if (image != null && image.getWidth() > 0 && image.getHeight() > 0) {
            page.picture(picture.get(), Math.min(LOGO_WIDE, LOGO_HIGH * image.getWidth() / image.getHeight()));
        }
    }

    /** The yard's own sentence, where it has one. */
    static void foot(Page page, Yard yard, float size) throws IOException {
        if (yard.foot().isPresent()) {
            page.text(yard.foot().get(), size);
        }
    }

    /** Whether sums that were worked out are with tax, in a sentence; what comes on top where the yard has said how much. */
    static String beside(Yard yard) {
        return yard.tax().isEmpty()
                ? TEXT.get("letterhead.sums_are_without_tax")
                : TEXT.get(
                        "letterhead.sums_are_without_tax_comes_on",
                        Display.percent(yard.tax().getAsDouble()));
    }
}
