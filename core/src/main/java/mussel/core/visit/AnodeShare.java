package mussel.core.visit;

import java.util.Locale;
import mussel.core.measure.Sentences;

/**
 * What an anode has left, by eye or by weight.
 *
 * @param which which anode
 * @param left per cent of a new one that is left, 0 to 100
 */
public record AnodeShare(String which, double left) {
    /** At this share or less it is renewed: below it the rest goes quickly and no longer covers the leg. */
    public static final double RENEW_AT = 50;

    private static final Sentences SAY = Sentences.beside(AnodeShare.class);
    private static final double WHOLE = 100;

    /**
     * What is left by weight.
     *
     * @param newG the weight of a new one (g), above 0
     * @param nowG its weight now, dry and brushed (g)
     */
    public static AnodeShare byWeight(String which, double newG, double nowG) {
        return new AnodeShare(which, Math.max(0, Math.min(WHOLE, WHOLE * nowG / newG)));
    }

    /** Whether it is renewed. */
    public boolean renew() {
        return left <= RENEW_AT;
    }

    /** What it comes to, in words. */
    public String says() {
        return SAY.say(
                renew() ? "anodes.renew" : "anodes.keep",
                which.replace('_', ' '),
                String.format(Locale.ROOT, "%.0f", left));
    }
}
