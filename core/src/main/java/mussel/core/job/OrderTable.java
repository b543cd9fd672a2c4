package mussel.core.job;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.parts.Offer;
import mussel.core.parts.PartsResult;
import mussel.core.parts.PartsWords;

/**
 * What the job needs as a table: each part with what it is for, where it comes from, what it costs there and when it is here; what a kit leaves out is
 * marked on its line.
 *
 * @param lines one for each part, in the order of the plan
 */
public record OrderTable(List<Line> lines) {
    private static final Messages TEXT = Messages.of(OrderTable.class);

    /** Keeps its own copy. */
    public OrderTable {
        lines = List.copyOf(lines);
    }

    /**
     * One part.
     *
     * @param row how many are needed, taken, ordered, here and on the shelf
     * @param number the sheet's number; empty where it has none
     * @param purpose what it is for
     * @param from where it comes from; empty while no order is worked out
     * @param price what it costs there (money); for a kit on its first part's line alone
     * @param when when it is here, in words; empty while nobody knows
     * @param left what a kit ordered beside it leaves out: this part; empty where it does not
     */
    public record Line(
            Supply.Row row,
            String number,
            String purpose,
            String from,
            OptionalDouble price,
            String when,
            String left) {}

    /** The table of a job, with the order worked out for what is still open, where there is one. */
    public static OrderTable of(Assessment now, Optional<Supply.Answer> answer) {
        Set<String> priced = new HashSet<>();
        return new OrderTable(now.supply().rows().stream()
                .map(row -> line(now, row, answer, priced))
                .toList());
    }

    private static Line line(Assessment now, Supply.Row row, Optional<Supply.Answer> answer, Set<String> priced) {
        String number = now.sheet()
                .part(row.part())
                .map(p -> p.number())
                .filter(mussel.core.sheet.Step::says)
                .orElse("");
        String purpose = now.plan().parts().stream()
                .filter(p -> p.part().part().equals(row.part()))
                .map(p -> p.why())
                .distinct()
                .collect(Collectors.joining("; "));
        Line bare = new Line(row, number, purpose, "", OptionalDouble.empty(), "", "");
        if (row.open() == 0) {
            return settled(now, bare);
        }
        return answer.filter(a -> a.result().feasible())
                .map(a -> ordered(a, bare, priced))
                .orElse(bare);
    }

    private static Line with(Line line, String from, OptionalDouble price, String when, String left) {
        return new Line(line.row(), line.number(), line.purpose(), from, price, when, left);
    }

    /** A part that is taken, here or on its way. */
    private static Line settled(Assessment now, Line line) {
        Supply.Row row = line.row();
        List<String> from = new ArrayList<>();
        if (row.taken() > 0) {
            from.add(TEXT.get("order.shelf"));
        }
        Optional<Order> order = now.job().orders().stream()
                .filter(o -> o.brings().containsKey(row.part()))
                .reduce((a, b) -> b);
        order.ifPresent(o -> from.add(TEXT.get("order.of", o.placed().order())));
        boolean here = row.taken() + row.here() >= row.need();
        String when = here
                ? TEXT.get("order.here")
                : order.map(o -> String.valueOf(o.due())).orElse("");
        return with(line, String.join(", ", from), OptionalDouble.empty(), when, "");
    }

    private static Line ordered(Supply.Answer answer, Line line, Set<String> priced) {
        String part = line.row().part();
        PartsResult out = answer.result();
        boolean kit = out.lines().stream().anyMatch(l -> offer(answer, l).isKit());
        for (PartsResult.Line each : out.lines()) {
            Offer offer = offer(answer, each);
            if (offer.of(part) == 0) {
                continue;
            }
            boolean first = priced.add(each.sku() + "/" + each.supplier());
            String from = TEXT.get(offer.isKit() ? "order.kit" : "order.single", each.sku(), each.supplier());
            return with(
                    line,
                    from,
                    first ? OptionalDouble.of(each.cost()) : OptionalDouble.empty(),
                    PartsWords.days(each.leadDays()),
                    kit && !offer.isKit() ? TEXT.get("order.left") : "");
        }
        boolean shelf = out.fromShelf().stream().anyMatch(w -> w.part().equals(part));
        return shelf
                ? with(
                        line,
                        TEXT.get("order.shelf"),
                        OptionalDouble.empty(),
                        TEXT.get("order.here"),
                        kit ? TEXT.get("order.left") : "")
                : line;
    }

    private static Offer offer(Supply.Answer answer, PartsResult.Line line) {
        return answer.input().offers().stream()
                .filter(o -> o.sku().equals(line.sku()) && o.supplier().equals(line.supplier()))
                .findFirst()
                .orElseThrow();
    }
}
