package mussel.core.anode;

import java.util.OptionalDouble;

/**
 * How long an anode lasts.
 *
 * @param pctPerMonth how much of a new one goes in a month; empty without its months
 * @param monthsLeft months until it is renewed at the rate it went so far; empty without its months and where nothing has gone
 * @param monthsLow the same where as much less is left as its uncertainty
 * @param monthsHigh the same where as much more is left; empty where that would be a new one
 * @param verdict what that means
 */
public record AnodeResult(
        OptionalDouble pctPerMonth,
        OptionalDouble monthsLeft,
        OptionalDouble monthsLow,
        OptionalDouble monthsHigh,
        Verdict verdict) {
    /** What to do with it. */
    public enum Verdict {
        /** It is at its limit or below. */
        RENEW,
        /** It will be before the next look. */
        RENEW_EARLY,
        /** It may be before the next look. */
        LOOK_EARLIER,
        /** It lasts until the next look; without its months: it is above its limit. */
        KEEP
    }
}
