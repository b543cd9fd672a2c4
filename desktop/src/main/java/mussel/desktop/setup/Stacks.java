package mussel.desktop.setup;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.SetupPlace;
import mussel.core.language.Messages;
import mussel.core.shim.LashResult;
import mussel.core.shim.Shim;
import mussel.core.shim.StackResult;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** The stacks that would do at a place, the best first, drawn to scale; one is taken out of the drawer. */
final class Stacks extends Column {
    private static final Messages TEXT = Messages.of(Stacks.class);

    private static final int MOST = 3;

    private final Desk desk;
    private final String place;

    Stacks(Desk desk, String place) {
        super(8);
        this.desk = desk;
        this.place = place;
    }

    void show(Assessment now, SetupPlace at) {
        List<Node> rows = new ArrayList<>();
        if (at.targetMm().isEmpty()) {
            getChildren().setAll(rows);
            return;
        }
        double target = at.targetMm().getAsDouble();
        boolean empty = now.setup().orElseThrow().drawer().values().stream().allMatch(n -> n <= 0)
                && at.taken().isEmpty();
        if (at.foundGoesBack()) {
            rows.add(Texts.wrapped(TEXT.get("stacks.what_was_found_goes_back_the"), "strong"));
        } else if (empty) {
            rows.add(Texts.wrapped(
                    TEXT.get("stacks.the_drawer_is_empty_count_the", String.format(Locale.ROOT, "%.3f mm", target)),
                    "strong"));
        }
        List<Shim> in = pieces(at.taken());
        List<Option> options = options(at).stream()
                .filter(o ->
                        !o.stack().pieces().isEmpty() && !o.stack().pieces().equals(in))
                .limit(MOST)
                .toList();
        double longest = Math.max(
                at.takenMm(),
                options.stream().mapToDouble(o -> o.stack().thicknessMm()).max().orElse(0));
        if (!in.isEmpty()) {
            rows.add(row(
                    in,
                    target,
                    longest,
                    TEXT.get("stacks.in", thickness(at.takenMm(), target)),
                    TEXT.get("stacks.put_back"),
                    true));
        }
        options.forEach(o -> rows.add(option(at, o, target, longest)));
        getChildren().setAll(rows);
    }

    /** The best stack and the others, each with its chance. */
    private static List<Option> options(SetupPlace at) {
        List<Option> options = new ArrayList<>();
        OptionalDouble chance = at.school() == SetupPlace.School.LASH
                ? at.lash().map(a -> a.out()).map(LashResult::pInWindow).orElse(OptionalDouble.empty())
                : OptionalDouble.empty();
        at.stack().ifPresent(s -> options.add(new Option(s, chance)));
        at.alternatives().forEach(a -> options.add(new Option(a.stack(), OptionalDouble.of(a.pInWindow()))));
        return options.stream()
                .filter(o -> options.stream()
                                .filter(other ->
                                        other.stack().pieces().equals(o.stack().pieces()))
                                .findFirst()
                                .orElseThrow()
                        == o)
                .toList();
    }

    private record Option(StackResult stack, OptionalDouble chance) {}

    private Node option(SetupPlace at, Option option, double target, double longest) {
        StackResult stack = option.stack();
        String says = thickness(stack.thicknessMm(), target)
                + (SetupPlace.near(stack.thicknessMm(), target) ? "" : TEXT.get("stacks.outside_the_tolerance"))
                + (option.chance().isPresent()
                        ? TEXT.get(
                                "stacks.in_the_window_times_of_100",
                                Math.round(100 * option.chance().getAsDouble()))
                        : "");
        return row(
                stack.pieces(),
                target,
                longest,
                says,
                at.taken().isEmpty() ? TEXT.get("stacks.take_this") : TEXT.get("stacks.take_this_instead"),
                false);
    }

    private Node row(List<Shim> pieces, double target, double longest, String says, String act, boolean in) {
        StackBar bar = new StackBar();
        bar.show(pieces, target, longest);
        String words = pieces.stream()
                .map(p -> p.count() + " × " + String.format(Locale.ROOT, "%.2f", p.mm()))
                .collect(Collectors.joining(" + "));
        Label label = Texts.sentence(TEXT.get("stacks.mm", words, says));
        Button take = new Button(act);
        take.setId((in ? "put-back-" : "take-stack-") + place);
        take.setMinWidth(USE_PREF_SIZE);
        take.setOnAction(e -> desk.note(in ? cleared(List.of()) : taken(pieces)));
        HBox line = new Row(12, bar, take);
        line.setAlignment(Pos.BOTTOM_LEFT);
        return new Column(2, line, label);
    }

    private Address at(double mm) {
        return Field.SHIM_IN.of(place + "." + Math.round(mm * 1_000));
    }

    private List<Fact> taken(List<Shim> pieces) {
        List<Fact> facts = cleared(pieces);
        pieces.forEach(
                p -> facts.add(Fact.Read.byHand(at(p.mm()), p.count(), TEXT.get("stacks.mm_2", p.count(), p.mm()))));
        return facts;
    }

    /** What is in and not among the pieces goes back into the drawer. */
    private List<Fact> cleared(List<Shim> pieces) {
        List<Fact> facts = new ArrayList<>();
        for (double mm : desk.now().setup().orElseThrow().sheet().shimsMm()) {
            boolean stays = pieces.stream().anyMatch(p -> Math.abs(p.mm() - mm) < 5e-4);
            if (!stays && desk.job().reading(at(mm)).isPresent()) {
                facts.add(new Fact.Cleared(at(mm)));
            }
        }
        facts.addAll(stale());
        return facts;
    }

    /** Lash read with another stack in says nothing of this one; the pinion's stack moves the lash of every gear. */
    private List<Fact> stale() {
        boolean all = place.equals(SetupPlace.PINION);
        return desk.job().readings().keySet().stream()
                .filter(a -> a.name().equals(Field.LASH_AFTER.address().name()))
                .filter(a -> all || a.of().startsWith(place + "."))
                .<Fact>map(Fact.Cleared::new)
                .toList();
    }

    private static List<Shim> pieces(Map<Integer, Integer> taken) {
        return taken.entrySet().stream()
                .sorted(Map.Entry.<Integer, Integer>comparingByKey().reversed())
                .map(e -> new Shim(e.getKey() / 1_000.0, e.getValue()))
                .toList();
    }

    private static String thickness(double mm, double target) {
        return String.format(Locale.ROOT, "%.3f mm in all, %+.3f mm off", mm, mm - target)
                .replace('-', '−');
    }
}
