package mussel.exchange.library;

import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mussel.core.language.Messages;
import mussel.core.library.Value;
import mussel.core.measure.AmountReader;
import mussel.core.measure.Kind;
import mussel.core.measure.Problems;
import mussel.core.measure.Range;
import mussel.core.measure.TorqueUnit;
import mussel.core.measure.Typed;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.Fastener;
import mussel.core.sheet.SetupSheet;

/** Reads what a manual prints: single figures, and ranges like {@code 34-40 N·m}. */
final class Printed {
    private static final Messages TEXT = Messages.of(Printed.class);

    private static final Pattern RANGE = Pattern.compile("(.*\\d)\\s*(?:-|–|to|\\.\\.)\\s*([\\d.,]+)\\s*(\\D[^\\d]*)");
    private static final Pattern SINGLE = Pattern.compile("([\\d.,]+)\\s*(\\D.*)");

    private final Problems problems;

    Printed(Problems problems) {
        this.problems = problems;
    }

    /** A figure in the kind's canonical unit; empty after a problem. */
    OptionalDouble figure(Value value, Kind kind, Range range, String at) {
        return figure(value.value(), kind, range, at)
                .map(u -> OptionalDouble.of(u.value()))
                .orElse(OptionalDouble.empty());
    }

    private Optional<Typed.Understood> figure(String text, Kind kind, Range range, String at) {
        Typed typed = AmountReader.read(text, kind, YardUnits.METRIC, range);
        if (typed instanceof Typed.Understood understood) {
            if (text.strip().matches("[-+−]?[\\d.,]+")) {
                problems.at(at, TEXT.get("printed.is_without_a_unit_write_it", text));
                return Optional.empty();
            }
            return Optional.of(understood);
        }
        problems.at(
                at,
                typed instanceof Typed.Refused refused
                        ? TEXT.get("printed.cannot_be_read", refused.sentence())
                        : TEXT.get("printed.is_empty"));
        return Optional.empty();
    }

    /** From what to what a figure may lie, in the kind's canonical unit; empty after a problem. */
    Optional<SetupSheet.Limits> range(Value value, Kind kind, Range range, String at) {
        Matcher both = RANGE.matcher(value.value().strip());
        if (!both.matches()) {
            problems.at(at, TEXT.get("printed.is_two_figures_with_a_hyphen", value.value()));
            return Optional.empty();
        }
        Optional<Typed.Understood> low = figure(both.group(1) + " " + both.group(3), kind, range, at);
        Optional<Typed.Understood> high =
                low.isEmpty() ? low : figure(both.group(2) + " " + both.group(3), kind, range, at);
        if (low.isEmpty() || high.isEmpty()) {
            return Optional.empty();
        }
        if (high.get().value() <= low.get().value()) {
            problems.at(at, TEXT.get("printed.is_the_range_stands_upside_down", value.value()));
            return Optional.empty();
        }
        return Optional.of(new SetupSheet.Limits(low.get().value(), high.get().value()));
    }

    /** A torque with its range and the unit it is printed in; empty after a problem. */
    Optional<Fastener.Torque> torque(Value value, Range range, String at) {
        Matcher both = RANGE.matcher(value.value().strip());
        Matcher one = SINGLE.matcher(value.value().strip());
        String unit = both.matches() ? both.group(3) : one.matches() ? one.group(2) : "";
        String low = both.matches() ? both.group(1) : one.matches() ? one.group(1) : value.value();
        String high = both.matches() ? both.group(2) : low;
        Optional<Typed.Understood> least = figure(low + " " + unit, Kind.TORQUE, range, at);
        if (least.isEmpty()) {
            return Optional.empty();
        }
        Optional<Typed.Understood> most = figure(high + " " + unit, Kind.TORQUE, range, at);
        Optional<Fastener.Unit> printed = Arrays.stream(TorqueUnit.values())
                .filter(u -> u.symbol().equals(least.get().unit()))
                .map(u -> Fastener.Unit.valueOf(u.name()))
                .findFirst();
        if (printed.isEmpty()) {
            problems.at(at, TEXT.get("printed.is_in_write_it_in_n", least.get().unit()));
            return Optional.empty();
        }
        if (most.isPresent() && most.get().figure() < least.get().figure()) {
            problems.at(at, TEXT.get("printed.is_the_range_stands_upside_down_2", value.value()));
            return Optional.empty();
        }
        return most.map(m -> new Fastener.Torque(least.get().figure(), m.figure(), printed.get()));
    }
}
