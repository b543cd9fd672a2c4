package mussel.core.shim;

import java.util.List;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;

/**
 * What the pinion engine needs: the second school, marks on the case and a measured bearing height.
 *
 * @param constantMm the family's constant (mm)
 * @param marks marks stamped on case and gears; none where there are none
 * @param heightsMm the bearing's height at three places or more (mm)
 * @param spreadLimitMm how far these may differ (mm)
 */
public record PinionInput(
        @Given(value = "the family's constant", kind = Kind.LENGTH, min = 0, minOpen = true, max = 1_000)
                double constantMm,
        @Given("the marks") List<Mark> marks,
        @Given(value = "the measured heights", kind = Kind.LENGTH, min = 0, minOpen = true, max = 1_000, atLeast = 3)
                List<Double> heightsMm,
        @Given(value = "how far the heights may differ", kind = Kind.LENGTH, min = 0, max = 10) double spreadLimitMm) {
    /** Keeps its own copies. */
    public PinionInput {
        marks = List.copyOf(marks);
        heightsMm = List.copyOf(heightsMm);
    }

    /**
     * A mark.
     *
     * @param name where it stands
     * @param coefficient how it counts
     * @param hundredths its figure in hundredths of a millimetre
     */
    public record Mark(
            @Given("the mark's name") String name,
            @Given(value = "the mark's coefficient", min = -10, max = 10) double coefficient,
            @Given(value = "the mark's figure in hundredths of a millimetre", min = -500, max = 500)
                    double hundredths) {}
}
