package mussel.core.measure;

import java.util.List;

/**
 * Why a figure is what it is.
 *
 * @param title what the figure is
 * @param figure the figure with its unit
 * @param formula the formula in words and symbols
 * @param inputs what went in
 * @param source where the formula comes from
 * @param uncertainty how far off it may be, and that it is an estimate where it is one
 * @param wouldChange what would change the decision
 */
public record Explanation(
        String title,
        String figure,
        String formula,
        List<InputLine> inputs,
        String source,
        String uncertainty,
        String wouldChange) {
    /** Keeps its own copy of the inputs. */
    public Explanation {
        inputs = List.copyOf(inputs);
    }

    /**
     * One input of a figure.
     *
     * @param name what it is
     * @param figure its figure with the unit
     * @param origin who says so: read at the bench, the sheet, assumed
     */
    public record InputLine(String name, String figure, String origin) {}
}
