package mussel.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.pump.PumpEngine;
import mussel.core.pump.PumpInput;
import mussel.core.pump.PumpInput.Crack;
import mussel.core.pump.PumpInput.FlowReading;
import mussel.core.pump.PumpInput.HousingState;
import mussel.core.pump.PumpInput.HubBond;
import mussel.core.pump.PumpInput.KeyState;
import mussel.core.pump.PumpInput.Vane;
import mussel.core.pump.PumpInput.Where;
import mussel.core.pump.PumpResult;
import mussel.core.pump.PumpWords;
import mussel.core.sheet.PumpGeometry;
import mussel.core.sheet.PumpSheet;
import mussel.core.sheet.SpecSheet;

/** The pump of a job: what the pump engine is fed from its entries, and what comes of it. */
public final class PumpWork {
    /** The most telltale readings a job keeps. */
    public static final int MOST_FLOWS = 6;
    /** The finding of the hub bond, where a person picks it. */
    public static final String HUB_BOND = "hub_bond";
    /** The finding of the pump key. */
    public static final String PUMP_KEY = "pump_key";

    private static final int USUAL_VANES = 6;

    private final PumpInput in;
    private final PumpResult out;
    private final boolean looked;
    private final boolean simulatedFlow;

    private PumpWork(Job job, SpecSheet sheet, Yard yard) {
        Optional<PumpSheet> pump = sheet.pump();
        List<Vane> vanes = vanes(job, vaneCount(sheet));
        List<FlowReading> flows = flows(job);
        this.in = new PumpInput(
                vanes,
                job.reading(Field.FACE_WEAR),
                job.choice(Scale.RUBBER).equals(Optional.of("hardened")),
                job.choice(Scale.HOUSING_STATE).map(h -> Assessment.constant(HousingState.class, h)),
                job.choice(Address.the(HUB_BOND)).map(b -> Assessment.constant(HubBond.class, b)),
                job.choice(Address.the(PUMP_KEY)).map(k -> Assessment.constant(KeyState.class, k)),
                job.reading(Field.PLATE_GROOVE),
                job.reading(Field.HOUSING_GROOVE),
                job.reading(Field.PLATE_WARP),
                job.reading(Field.IMPELLER_AGE),
                job.reading(Field.IMPELLER_HOURS),
                yard.pump().policy(),
                yard.pump().calendarMonths(),
                yard.pump().extent(),
                job.choice(Scale.SAND).equals(Optional.of("yes")),
                pump.flatMap(PumpSheet::limits),
                pump.flatMap(PumpSheet::geometry),
                flows,
                pump.map(PumpSheet::telltaleShare).orElse(OptionalDouble.empty()));
        this.out = PumpEngine.run(in);
        this.looked = !vanes.isEmpty()
                || in.hubBond().isPresent()
                || in.key().isPresent()
                || in.plateGrooveMm().isPresent()
                || in.housingGrooveMm().isPresent()
                || in.faceWearMm().isPresent()
                || in.hardened()
                || in.housingState().isPresent()
                || !flows.isEmpty();
        this.simulatedFlow = job.readings().entrySet().stream()
                .anyMatch(
                        e -> e.getKey().name().equals(Field.FLOW_TIME.address().name())
                                && e.getValue().simulated());
    }

    static PumpWork of(Job job, SpecSheet sheet, Yard yard) {
        return new PumpWork(job, sheet, yard);
    }

    /** How many vanes the family's impeller has. */
    public static int vaneCount(SpecSheet sheet) {
        return sheet.pump()
                .flatMap(PumpSheet::geometry)
                .map(PumpGeometry::vanes)
                .orElse(USUAL_VANES);
    }

    /** Once one vane is marked, or the rest said to be sound, those without a mark count as sound. */
    private static List<Vane> vanes(Job job, int count) {
        List<Vane> vanes = new ArrayList<>();
        boolean any = job.choice(Scale.VANES_SEEN).equals(Optional.of("yes"));
        for (int i = 1; i <= count; i++) {
            String vane = String.valueOf(i);
            OptionalDouble wear = job.reading(Field.VANE_WEAR.of(vane));
            OptionalDouble set = job.reading(Field.VANE_SET.of(vane));
            OptionalDouble missing = job.reading(Field.VANE_MISSING.of(vane));
            Optional<String> crack = job.choice(Scale.VANE_CRACK.of(vane));
            Optional<String> burnt = job.choice(Scale.VANE_BURNT.of(vane));
            any |= wear.isPresent() || set.isPresent() || missing.isPresent() || crack.isPresent() || burnt.isPresent();
            vanes.add(new Vane(
                    wear.orElse(0),
                    set.orElse(0),
                    crack.map(c -> Assessment.constant(Crack.class, c)).orElse(Crack.NONE),
                    missing.orElse(0),
                    burnt.equals(Optional.of("yes"))));
        }
        return any ? vanes : List.of();
    }

    private static List<FlowReading> flows(Job job) {
        List<FlowReading> flows = new ArrayList<>();
        for (int i = 1; i <= MOST_FLOWS; i++) {
            String nr = String.valueOf(i);
            OptionalDouble rpm = job.reading(Field.FLOW_RPM.of(nr));
            OptionalDouble caught = job.reading(Field.FLOW_CAUGHT.of(nr));
            OptionalDouble time = job.reading(Field.FLOW_TIME.of(nr));
            Optional<String> where = job.choice(Scale.FLOW_WHERE.of(nr));
            if (rpm.isPresent() && caught.isPresent() && time.isPresent() && where.isPresent()) {
                flows.add(new FlowReading(
                        rpm.getAsDouble(),
                        caught.getAsDouble() / 1_000,
                        time.getAsDouble(),
                        Where.valueOf(where.get().toUpperCase(Locale.ROOT))));
            }
        }
        return flows;
    }

    /** What the engine was fed. */
    public PumpInput input() {
        return in;
    }

    /** What it says. */
    public PumpResult result() {
        return out;
    }

    /** The same in words. */
    public PumpWords words() {
        return new PumpWords(in, out);
    }

    /** Whether anything of the pump was looked at or measured. */
    public boolean looked() {
        return looked;
    }

    /** Whether impeller, hub, plate and housing have all been looked at. */
    public boolean allLooked() {
        return !in.vanes().isEmpty()
                && in.hubBond().isPresent()
                && in.plateGrooveMm().isPresent()
                && in.housingGrooveMm().isPresent();
    }

    /** Whether a telltale was timed by a simulated stopwatch. */
    public boolean simulatedFlow() {
        return simulatedFlow;
    }
}
