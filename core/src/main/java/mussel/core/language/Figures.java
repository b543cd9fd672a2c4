package mussel.core.language;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Writes bare figures as they look everywhere in Mussel: a point as decimal mark, hard spaces in long ones, a real minus. */
public final class Figures {
    private static final char HARD_SPACE = '\u00a0';

    private Figures() {}

    /** A figure as it is. */
    public static String of(Number value) {
        return plain(new BigDecimal(value.toString()));
    }

    /** A figure with so many decimals, the last ones even where they are zeros. */
    public static String fixed(BigDecimal value, int decimals) {
        return grouped(value.setScale(decimals, RoundingMode.HALF_EVEN).toPlainString());
    }

    /** A figure without trailing zeros. */
    public static String plain(BigDecimal value) {
        BigDecimal stripped = value.signum() == 0 ? BigDecimal.ZERO : value.stripTrailingZeros();
        return grouped(stripped.scale() < 0 ? stripped.setScale(0).toPlainString() : stripped.toPlainString());
    }

    private static String grouped(String text) {
        int start = text.startsWith("-") ? 1 : 0;
        int point = text.indexOf('.') < 0 ? text.length() : text.indexOf('.');
        StringBuilder out = new StringBuilder(text);
        for (int i = point - 3; i > start && point - start > 4; i -= 3) {
            out.insert(i, HARD_SPACE);
        }
        return out.toString().replace('-', '−');
    }
}
