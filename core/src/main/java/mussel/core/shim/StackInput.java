package mussel.core.shim;

import java.util.List;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Problems;

/**
 * What the stack engine needs.
 *
 * @param targetMm how thick the stack shall be (mm)
 * @param toleranceMm how far off it may be (mm)
 * @param drawer the shims there are
 * @param maxPieces the most pieces in a stack
 */
public record StackInput(
        @Given(value = "how thick the stack shall be", kind = Kind.LENGTH, min = -20, max = 20) double targetMm,
        @Given(value = "how far off it may be", kind = Kind.LENGTH, min = 0, max = 5) double toleranceMm,
        @Given(value = "the drawer of shims", atLeast = 1) List<Shim> drawer,
        @Given(value = "the most pieces", min = 1, max = MOST_PIECES, orElse = "5") int maxPieces)
        implements Checked {
    private static final Messages TEXT = Messages.of(StackInput.class);

    static final int MOST_PIECES = 20;
    private static final int MOST_SIZES = 100;

    /** Keeps its own copy. */
    public StackInput {
        drawer = List.copyOf(drawer);
    }

    @Override
    public void check(Problems problems, String pointer) {
        problems.unless(
                drawer.size() <= MOST_SIZES,
                pointer + "/drawer",
                TEXT.get("stack_input.has_sizes_at_most_are_tried", drawer.size(), MOST_SIZES));
    }
}
