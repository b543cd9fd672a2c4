package mussel.core.shim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class StackEngineTest {
    @Property(tries = 300)
    void isTheBestOfAllStacks(@ForAll long seed) {
        Random random = new Random(seed);
        List<Shim> drawer = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(6); i++) {
            drawer.add(new Shim((5 + random.nextInt(60)) / 100.0, random.nextInt(4)));
        }
        StackInput in = new StackInput(
                random.nextInt(1_200) / 1_000.0, random.nextInt(30) / 1_000.0, drawer, 1 + random.nextInt(5));

        StackResult found = StackEngine.run(in);
        List<Integer> best = bestOfAll(in);

        assertThat(micrometres(found)).isEqualTo(best);
        assertThat(found.thicknessMm()).isCloseTo(best.stream().mapToInt(s -> s).sum() / 1_000.0, within(1e-9));
        assertThat(found.feasible()).isEqualTo(off(best, in) <= Math.round(in.toleranceMm() * 1_000));
    }

    @Test
    void aTargetAtOrBelowNothingTakesNoShim() {
        StackResult out = StackEngine.run(new StackInput(-0.05, 0.02, List.of(new Shim(0.1, 3)), 5));

        assertThat(out.pieces()).isEmpty();
        assertThat(out.feasible()).isFalse();
        assertThat(out.errorMm()).isCloseTo(0.05, within(1e-9));
    }

    @Test
    void twoEntriesOfOneThicknessAreOneDrawer() {
        StackResult out = StackEngine.run(new StackInput(0.3, 0, List.of(new Shim(0.1, 1), new Shim(0.1, 2)), 5));

        assertThat(out.pieces()).containsExactly(new Shim(0.1, 3));
    }

    private static List<Integer> micrometres(StackResult stack) {
        List<Integer> pieces = new ArrayList<>();
        stack.pieces().forEach(p -> {
            for (int i = 0; i < p.count(); i++) {
                pieces.add(p.micrometres());
            }
        });
        return pieces;
    }

    private static int off(List<Integer> stack, StackInput in) {
        return Math.abs(stack.stream().mapToInt(s -> s).sum() - (int) Math.round(in.targetMm() * 1_000));
    }

    /** Walks through every stack there is. */
    private static List<Integer> bestOfAll(StackInput in) {
        List<Integer> pieces = new ArrayList<>();
        in.drawer().forEach(s -> {
            for (int i = 0; i < s.count(); i++) {
                pieces.add(s.micrometres());
            }
        });
        pieces.sort(Comparator.reverseOrder());
        List<List<Integer>> all = new ArrayList<>();
        for (int bits = 0; bits < 1 << pieces.size(); bits++) {
            List<Integer> stack = new ArrayList<>();
            for (int i = 0; i < pieces.size(); i++) {
                if ((bits >> i & 1) == 1) {
                    stack.add(pieces.get(i));
                }
            }
            if (stack.size() <= in.maxPieces()) {
                all.add(stack);
            }
        }
        long tolerance = Math.round(in.toleranceMm() * 1_000);
        Comparator<List<Integer>> fewest = Comparator.comparingInt(List::size);
        Comparator<List<Integer>> nearest = Comparator.comparingInt(s -> off(s, in));
        Comparator<List<Integer>> larger = (a, b) -> {
            for (int i = 0; i < Math.min(a.size(), b.size()); i++) {
                int order = Integer.compare(b.get(i), a.get(i));
                if (order != 0) {
                    return order;
                }
            }
            return 0;
        };
        return all.stream()
                .filter(s -> off(s, in) <= tolerance)
                .min(fewest.thenComparing(nearest).thenComparing(larger))
                .orElseGet(() -> all.stream()
                        .min(nearest.thenComparing(fewest).thenComparing(larger))
                        .orElseThrow());
    }
}
