package mussel.core.fill;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mussel.core.fill.FillInput.Bottle;
import mussel.core.fill.FillResult.Check;
import mussel.core.fill.FillResult.Origin;
import mussel.core.fill.FillResult.Pour;
import mussel.core.fill.FillResult.Use;

/** How much oil to buy, pour and leave. A pure function of its input. */
public final class FillEngine {
    /** How far the volume pumped may be off, as a share of the capacity. */
    public static final double CHECK_SHARE = 0.05;

    private static final double NOTHING_ML = 1e-9;
    private static final double UNSURE_SHARE = 0.25;

    private FillEngine() {}

    /** Computes the fill; the input has been checked. */
    public static FillResult run(FillInput in) {
        double need = in.capacityMl() - in.residualMl() + in.purgeMl() + in.spillMl();
        List<Pour> pour = new ArrayList<>();
        double rest = pourOpened(in, need, pour);
        rest = pourWhole(in, rest, pour);
        double missing = !pour.isEmpty() && rest <= unsureMl(in) ? rest : 0;
        if (rest - missing > NOTHING_ML) {
            buy(in, rest, pour);
        }
        Pour last = pour.isEmpty() ? null : pour.get(pour.size() - 1);
        return new FillResult(
                need,
                uses(in, pour),
                pour,
                cost(in, pour),
                last == null ? 0 : last.leavesMl(),
                Optional.ofNullable(last).map(Pour::name),
                missing,
                check(in));
    }

    /** How well the need is known: what is purged, spilt and still inside, each to a quarter (ml). */
    private static double unsureMl(FillInput in) {
        return UNSURE_SHARE
                * Math.sqrt(
                        in.residualMl() * in.residualMl() + in.purgeMl() * in.purgeMl() + in.spillMl() * in.spillMl());
    }

    private static double pourOpened(FillInput in, double need, List<Pour> pour) {
        double rest = need;
        List<Bottle> opened = in.bottles().stream()
                .filter(b -> b.openedMl() > 0)
                .sorted(Comparator.comparingDouble(Bottle::openedMl))
                .toList();
        for (Bottle b : opened) {
            rest = take(b.name(), Origin.OPENED, b.openedMl(), rest, pour);
        }
        return rest;
    }

    private static double pourWhole(FillInput in, double need, List<Pour> pour) {
        double rest = need;
        for (Bottle b : bySize(in)) {
            for (int i = 0; i < b.have() && rest > NOTHING_ML; i++) {
                rest = take(b.name(), Origin.OWNED, b.ml(), rest, pour);
            }
        }
        return rest;
    }

    private static void buy(FillInput in, double need, List<Pour> pour) {
        List<Bottle> bottles = bySize(in);
        int[] counts = CheapestCover.of(bottles, need);
        double rest = need;
        for (int i = 0; i < counts.length; i++) {
            for (int n = 0; n < counts[i]; n++) {
                rest = take(bottles.get(i).name(), Origin.BOUGHT, bottles.get(i).ml(), rest, pour);
            }
        }
    }

    /** Pours what is needed from one bottle and says what is still needed after it. */
    private static double take(String name, Origin origin, double holds, double need, List<Pour> pour) {
        if (need <= NOTHING_ML) {
            return need;
        }
        double gives = Math.min(holds, need);
        pour.add(new Pour(name, origin, holds, gives));
        return need - gives;
    }

    private static List<Bottle> bySize(FillInput in) {
        return in.bottles().stream()
                .sorted(Comparator.comparingDouble(Bottle::ml))
                .toList();
    }

    private static List<Use> uses(FillInput in, List<Pour> pour) {
        List<Use> uses = new ArrayList<>();
        for (Bottle b : in.bottles()) {
            int owned = count(pour, b, Origin.OWNED);
            int bought = count(pour, b, Origin.BOUGHT);
            double opened = pour.stream()
                    .filter(p -> p.origin() == Origin.OPENED && p.name().equals(b.name()))
                    .mapToDouble(Pour::givesMl)
                    .sum();
            if (owned + bought > 0 || opened > 0) {
                uses.add(new Use(b.name(), owned + bought, bought, opened));
            }
        }
        return uses;
    }

    private static int count(List<Pour> pour, Bottle bottle, Origin origin) {
        return (int) pour.stream()
                .filter(p -> p.origin() == origin && p.name().equals(bottle.name()))
                .count();
    }

    private static double cost(FillInput in, List<Pour> pour) {
        return in.bottles().stream()
                .mapToDouble(b -> b.price() * count(pour, b, Origin.BOUGHT))
                .sum();
    }

    private static Optional<Check> check(FillInput in) {
        if (in.pumpedMl().isEmpty()) {
            return Optional.empty();
        }
        double off = in.pumpedMl().getAsDouble() - (in.capacityMl() - in.residualMl());
        if (Math.abs(off) <= CHECK_SHARE * in.capacityMl()) {
            return Optional.of(Check.AS_EXPECTED);
        }
        return Optional.of(off < 0 ? Check.SHORT : Check.OVER);
    }
}
