package mussel.exchange.library;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import mussel.core.language.Messages;
import mussel.core.library.SheetValues.Lash;
import mussel.core.library.Value;
import mussel.core.measure.Kind;
import mussel.core.measure.Problems;
import mussel.core.measure.Range;
import mussel.core.sheet.SetupSheet;
import mussel.core.sheet.SetupSheet.GearPlace;
import mussel.core.sheet.SetupSheet.Limits;
import mussel.core.sheet.SetupSheet.PinionPlace;
import mussel.core.shim.LashInput.Gears;
import mussel.core.shim.LashInput.Member;
import mussel.core.shim.LashInput.Thicker;

/**
 * How gears are set up by the third school, measured lash, from the little a manual prints of it and what can be counted and measured on the bench. The
 * rest is what bevel gears of outboard legs usually have, and is named an estimate: it moves the correction by a factor, never the window.
 */
final class LashTold {
    private static final Messages TEXT = Messages.of(LashTold.class);

    private static final Range WINDOW = new Range(0.01, 3, false);
    private static final Range RADIUS = new Range(5, 200, false);
    private static final Pattern TEETH = Pattern.compile("[5-9]|[1-9]\\d");
    /** The usual pressure angle of bevel gears (ISO 677 and 678). */
    private static final double PRESSURE_ANGLE = 20;
    /** A usual spiral angle; straight teeth have none, and the factor of these is 15 % smaller. */
    private static final double SPIRAL_ANGLE = 30;
    /** How far the lash may differ around before a shaft is bent or a race not seated; assumed (mm). */
    private static final double SPREAD = 0.08;
    /** Sizes that shims are sold in; assumed (mm). */
    private static final List<Double> SHIMS = List.of(0.05, 0.1, 0.15, 0.2, 0.3, 0.5, 1.0);

    private final Printed printed;
    private final Problems problems;

    LashTold(Printed printed, Problems problems) {
        this.printed = printed;
        this.problems = problems;
    }

    /** The set-up; empty until everything of it is there. */
    Optional<SetupSheet> setup(Lash lash) {
        Optional<Limits> forward = window(lash.forward(), "forward");
        Optional<Limits> reverse = window(lash.reverse(), "reverse");
        OptionalDouble pinion = teeth(lash.pinionTeeth(), "pinion_teeth");
        OptionalDouble gear = teeth(lash.gearTeeth(), "gear_teeth");
        OptionalDouble radius = lash.pitchRadius()
                .map(v -> printed.figure(v, Kind.LENGTH, RADIUS, "/values/lash/pitch_radius"))
                .orElse(OptionalDouble.empty());
        if (forward.isEmpty() || reverse.isEmpty() || pinion.isEmpty() || gear.isEmpty() || radius.isEmpty()) {
            return Optional.empty();
        }
        Gears teeth = new Gears(
                (int) pinion.getAsDouble(), (int) gear.getAsDouble(), PRESSURE_ANGLE, SPIRAL_ANGLE, Member.GEAR);
        return Optional.of(new SetupSheet(
                new PinionPlace(OptionalDouble.empty(), SPREAD, Thicker.REDUCES, List.of()),
                List.of(
                        place(
                                "forward",
                                TEXT.get("lash_told.forward_gear"),
                                radius.getAsDouble(),
                                forward.get(),
                                teeth),
                        place(
                                "reverse",
                                TEXT.get("lash_told.reverse_gear"),
                                radius.getAsDouble(),
                                reverse.get(),
                                teeth)),
                SHIMS,
                Optional.empty(),
                Optional.empty(),
                lash.forward().map(Value::page).orElse("-")));
    }

    private static GearPlace place(String id, String title, double radius, Limits window, Gears teeth) {
        return new GearPlace(id, title, radius, window, SPREAD, Thicker.REDUCES, teeth);
    }

    private Optional<Limits> window(Optional<Value> value, String gear) {
        return value.flatMap(v -> printed.range(v, Kind.LENGTH, WINDOW, "/values/lash/" + gear));
    }

    private OptionalDouble teeth(Optional<Value> value, String which) {
        if (value.isEmpty()) {
            return OptionalDouble.empty();
        }
        String text = value.get().value().strip();
        if (!TEETH.matcher(text).matches()) {
            problems.at("/values/lash/" + which, TEXT.get("lash_told.is_count_the_teeth_from_5", text));
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(Double.parseDouble(text));
    }
}
