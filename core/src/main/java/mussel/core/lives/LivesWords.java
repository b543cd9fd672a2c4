package mussel.core.lives;

import java.util.ArrayList;
import java.util.List;
import mussel.core.language.Messages;
import mussel.core.lives.LivesResult.Bounded;
import mussel.core.lives.LivesResult.Fit;
import mussel.core.measure.Display;
import mussel.core.measure.Explanation;
import mussel.core.measure.Explanation.InputLine;
import mussel.core.measure.Kind;
import mussel.core.measure.Money;
import mussel.core.measure.YardUnits;

/** Lives in words. */
public final class LivesWords {
    private static final Messages TEXT = Messages.of(LivesWords.class);
    /** From here on the bounds carry a decision. */
    private static final int ENOUGH = 10;

    private final LivesInput in;
    private final LivesResult out;
    private final Money money;

    /** The words of a result, in the yard's money. */
    public LivesWords(LivesInput in, LivesResult out, Money money) {
        this.in = in;
        this.out = out;
        this.money = money;
    }

    /** Everything worth saying, the conclusion first. */
    public List<String> notes() {
        List<String> notes = new ArrayList<>();
        if (out.fit().isEmpty()) {
            notes.add(TEXT.get("too_few", out.failures(), out.count(), hours(out.hours()), LivesEngine.LEAST_FAILURES));
            return notes;
        }
        Fit fit = out.fit().get();
        out.interval()
                .ifPresent(i -> notes.add(TEXT.get(
                        "interval", Display.percent(in.risk()), hours(i.value()), hours(i.low()), hours(i.high()))));
        notes.add(pattern(fit.shape()));
        if (out.failures() < ENOUGH) {
            notes.add(TEXT.get("wide", out.failures()));
        }
        out.calendar()
                .ifPresent(c -> notes.add(TEXT.get(
                        "calendar",
                        Display.exact(Kind.MONTHS, in.calendarMonths().orElseThrow(), YardUnits.METRIC),
                        hours(c.hours()),
                        Display.percent(c.risk().value()),
                        Display.percent(c.risk().low()),
                        Display.percent(c.risk().high()))));
        if (!out.costs().isEmpty()) {
            notes.add(out.cheapest()
                    .map(c -> TEXT.get(
                            "cheapest",
                            hours(c.hours()),
                            money.exact(c.costPerHour()),
                            Display.percent(c.failedBefore())))
                    .orElseGet(() -> TEXT.get("never")));
        }
        return notes;
    }

    private static String pattern(Bounded shape) {
        String figure = TEXT.get("bounds", number(shape.value()), number(shape.low()), number(shape.high()));
        return shape.low() > 1
                ? TEXT.get("wears", figure)
                : shape.high() < 1 ? TEXT.get("young", figure) : TEXT.get("chance", figure);
    }

    /** How the interval came about. */
    public Explanation explainInterval() {
        Bounded interval = out.interval().orElseThrow();
        Fit fit = out.fit().orElseThrow();
        return new Explanation(
                TEXT.get("why.title", Display.percent(in.risk())),
                hours(interval.value()),
                TEXT.get("why.formula"),
                List.of(
                        new InputLine(TEXT.get("why.lives"), out.count() + "", TEXT.get("why.journal")),
                        new InputLine(TEXT.get("why.failures"), out.failures() + "", TEXT.get("why.journal")),
                        new InputLine(TEXT.get("why.scale"), hours(fit.scale().value()), TEXT.get("why.fit")),
                        new InputLine(TEXT.get("why.shape"), number(fit.shape().value()), TEXT.get("why.fit"))),
                TEXT.get("why.source"),
                TEXT.get(
                        "why.uncertainty",
                        Display.percent(in.confidence()),
                        hours(interval.low()),
                        hours(interval.high())),
                TEXT.get("why.change"));
    }

    private static String hours(double hours) {
        return Display.estimate(Kind.RUNNING, hours, YardUnits.METRIC);
    }

    private static String number(double value) {
        return Display.significant(value);
    }
}
