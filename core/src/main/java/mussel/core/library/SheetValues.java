package mussel.core.library;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.OrderedMap;
import mussel.core.measure.Wide;
import mussel.core.sheet.Fastener;
import mussel.core.sheet.Gearcase;
import mussel.core.sheet.PumpSheet;
import mussel.core.sheet.SetupSheet;

/**
 * What a manual says of a family. Each may be missing: then nothing is invented, and the station that needs it asks for it.
 *
 * @param oil capacity and grade
 * @param fitting the fitting of the fill port
 * @param weight the leg's weight
 * @param runout the run-out of the propeller shaft it allows
 * @param linkage where the linkage is and what is never touched
 * @param magnets the plugs that have a magnet
 * @param seals how deep seals sit, and the driver that fits
 * @param fasteners counts, threads and torques
 * @param leakTest the holds
 * @param pump the water pump
 * @param setup how the gears are set up
 * @param lash how the gears mesh, where that is all that is known of setting them up
 * @param draining how the case drains, where somebody has timed it
 */
@Wide("The values of a manual: a component is a section of the file format.")
public record SheetValues(
        @Given("the oil it takes") Optional<Oil> oil,
        @Given("the fitting of the fill port") Optional<Value> fitting,
        @Given("the leg's weight") Optional<Value> weight,
        @Given("the run-out of the propeller shaft") Optional<Value> runout,
        @Given("how the shift shaft is joined, in words") Optional<String> linkage,
        @Given("the plugs with a magnet") List<String> magnets,
        @Given("how the seals sit") Map<String, SealFit> seals,
        @Given("the fasteners") Map<String, Screw> fasteners,
        @Given("the holds it is tested with") Optional<Holds> leakTest,
        @Given("the water pump") Optional<PumpSheet> pump,
        @Given("how the gears are set up") Optional<SetupSheet> setup,
        @Given("how the gears mesh") Optional<Lash> lash,
        @Given("how the case drains") Optional<Gearcase> draining) {
    /** Keeps its own copies. */
    public SheetValues {
        magnets = List.copyOf(magnets);
        seals = OrderedMap.copyOf(seals);
        fasteners = OrderedMap.copyOf(fasteners);
    }

    /**
     * The oil.
     *
     * @param capacity how much the case holds
     * @param grade the grade
     * @param purgeMl what the hose is purged with (ml)
     * @param spillMl what is lost at the plugs (ml)
     */
    public record Oil(
            @Given("how much oil the case holds") Optional<Value> capacity,
            @Given("the grade of oil") Optional<Value> grade,
            @Given(value = "what the hose is purged with", kind = Kind.VOLUME, min = 0, max = 2_000)
                    OptionalDouble purgeMl,
            @Given(value = "what is lost at the plugs", kind = Kind.VOLUME, min = 0, max = 2_000)
                    OptionalDouble spillMl) {}

    /**
     * How a seal sits.
     *
     * @param depth how deep it is pressed
     * @param driver the driver that fits
     */
    public record SealFit(
            @Given("how deep it is pressed") Optional<String> depth,
            @Given("the seal driver") Optional<Value> driver) {}

    /**
     * A group of fasteners.
     *
     * @param count how many
     * @param thread the thread
     * @param torque how tight
     * @param page where that stands
     * @param strength the strength class
     * @param title its name on this family, where it has another
     * @param secured what secures it
     * @param wetted how its thread is wetted
     * @param pattern how the group stands
     * @param hand which way it tightens
     * @param hidden where it hides
     * @param socket the socket that fits, where it is not the usual one for its thread
     */
    public record Screw(
            @Given("how many there are") Optional<Value> count,
            @Given("the thread") Optional<String> thread,
            @Given("the torque") Optional<Value> torque,
            @Given("the page of the manual") Optional<String> page,
            @Given("the strength class") Optional<String> strength,
            @Given("its name") Optional<String> title,
            @Given("what secures it") Optional<String> secured,
            @Given("how its thread is wetted") Optional<Fastener.Wetted> wetted,
            @Given("how the group stands") Optional<Fastener.Pattern> pattern,
            @Given("which way it tightens") Optional<Fastener.Hand> hand,
            @Given("where it hides") Optional<String> hidden,
            @Given("the socket that fits") Optional<String> socket) {}

    /**
     * The holds.
     *
     * @param air the air space with the oil out; as much as the oil where nobody says
     * @param pressure the pressure hold
     * @param vacuum the vacuum hold
     */
    public record Holds(
            @Given("the air space with the oil out") Optional<Value> air,
            @Given("the pressure hold") Optional<HoldLimits> pressure,
            @Given("the vacuum hold") Optional<HoldLimits> vacuum) {}

    /**
     * How the gears mesh: what a manual prints of the lash, and what is counted and measured on the gears. It counts once all five are there.
     *
     * @param forward between what and what the lash of the forward gear shall lie
     * @param reverse the same of the reverse gear
     * @param pinionTeeth the pinion's teeth
     * @param gearTeeth the gears' teeth
     * @param pitchRadius from the shaft's middle to the middle of a tooth's face
     */
    public record Lash(
            @Given("the lash of the forward gear") Optional<Value> forward,
            @Given("the lash of the reverse gear") Optional<Value> reverse,
            @Given("the pinion's teeth") Optional<Value> pinionTeeth,
            @Given("the gears' teeth") Optional<Value> gearTeeth,
            @Given("the pitch radius") Optional<Value> pitchRadius) {}

    /**
     * One hold; a vacuum may be written with or without its sign. It counts once all four figures are there.
     *
     * @param start the gauge pressure to start from
     * @param limit the gauge pressure never to pass
     * @param hold how long
     * @param allowedDrop how far it may move
     * @param page where that stands
     */
    public record HoldLimits(
            @Given("the gauge pressure to start from") Optional<Value> start,
            @Given("the gauge pressure never to pass") Optional<Value> limit,
            @Given("how long to hold") Optional<Value> hold,
            @Given("how far it may move") Optional<Value> allowedDrop,
            @Given(value = "the page of the manual", orElse = "-") String page) {}
}
