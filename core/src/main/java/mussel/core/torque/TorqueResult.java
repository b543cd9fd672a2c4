package mussel.core.torque;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.measure.TorqueUnit;

/**
 * The wrench and its setting.
 *
 * @param target what the sheet's aim is, in all units
 * @param choice the wrench to take; empty when none keeps the range, or the unit is asked for first
 * @param nearest where none keeps the range, the one that misses it by the least
 * @param unitAsked whether the torque is beyond what the bolt holds, so that its unit is asked for before any setting is shown
 * @param refused why each other wrench was not taken
 * @param stages the torque of each stage
 * @param order the bolts in the order of tightening, each once; the same for every stage
 * @param clampKn the clamp at the target (kN); empty without thread and strength
 * @param proofShare the clamp as a share of the proof load; empty likewise
 * @param warnings what looks wrong
 */
public record TorqueResult(
        Target target,
        Optional<Choice> choice,
        Optional<Nearest> nearest,
        boolean unitAsked,
        List<Refused> refused,
        List<StageTorque> stages,
        List<Integer> order,
        OptionalDouble clampKn,
        OptionalDouble proofShare,
        List<String> warnings) {
    /** Keeps its own copies. */
    public TorqueResult {
        refused = List.copyOf(refused);
        stages = List.copyOf(stages);
        order = List.copyOf(order);
        warnings = List.copyOf(warnings);
    }

    /** A torque in all units. */
    public record Target(double nm, double lbfIn, double lbfFt, double kgfM) {
        /** A torque given in newton metres. */
        static Target of(double nm) {
            return new Target(
                    nm, TorqueUnit.LBF_IN.fromNm(nm), TorqueUnit.LBF_FT.fromNm(nm), TorqueUnit.KGF_M.fromNm(nm));
        }
    }

    /**
     * A wrench and its setting.
     *
     * @param wrench its id
     * @param setting on its dial
     * @param unit of the dial
     * @param deliveredNm what reaches the bolt (N·m)
     * @param lowNm that less the wrench's accuracy (N·m)
     * @param highNm that plus the wrench's accuracy (N·m)
     */
    public record Choice(
            String wrench, double setting, TorqueUnit unit, double deliveredNm, double lowNm, double highNm) {
        /** How wide the delivered band is (N·m). */
        double band() {
            return highNm - lowNm;
        }
    }

    /**
     * The wrench that comes nearest.
     *
     * @param choice the wrench and its setting
     * @param missNm by how much what it delivers leaves the range (N·m)
     */
    public record Nearest(Choice choice, double missNm) {}

    /**
     * A wrench not taken.
     *
     * @param wrench its id
     * @param why the reason in a sentence
     */
    public record Refused(String wrench, String why) {}

    /**
     * One stage.
     *
     * @param share of the full torque
     * @param nm at the bolt (N·m)
     * @param setting on the chosen wrench's dial; empty without one, or where the dial does not go that low
     */
    public record StageTorque(double share, double nm, OptionalDouble setting) {}
}
