package mussel.core.job;

import java.util.Optional;
import mussel.core.anode.AnodeInput;
import mussel.core.drain.DrainInput;
import mussel.core.estimate.EstimateInput;
import mussel.core.fill.FillInput;
import mussel.core.leak.LeakInput;
import mussel.core.measure.Kind;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Range;
import mussel.core.measure.Ranges;
import mussel.core.propeller.RunoutInput;
import mussel.core.pump.PumpInput;
import mussel.core.shim.LashInput;
import mussel.core.torque.TorqueInput;

/** Every quantity a job can hold, with its label, kind and valid range. */
public enum Field {
    /** The engine's hour meter at intake. */
    ENGINE_HOURS("hour meter", Kind.RUNNING, Range.of(0, 50_000)),
    /** Running hours since the oil was changed. */
    HOURS_SINCE_FILL("hours on oil", DrainInput.class, "hoursSinceFill"),
    /** Months since the oil was changed. */
    MONTHS_SINCE_FILL("months on oil", Kind.MONTHS, Range.of(0, 600)),
    /** The coldest it will be stored at. */
    STORAGE_MIN("coldest storage", DrainInput.class, "storageMinC"),
    /** What went in last. */
    FILL("went in last", DrainInput.class, "fillMl"),
    /** Hours the leg rested before draining. */
    REST("rested", Kind.DURATION, Range.of(0, 525_600)),
    /** What came out. */
    DRAINED("came out", DrainInput.class, "drainedMl"),
    /** How well that is known. */
    DRAINED_U("give or take", DrainInput.class, "drainedUMl"),
    /** Water that ran out first. */
    FREE_WATER("water first", DrainInput.class, "freeWaterMl"),
    /** The oil while it drained. */
    OIL_TEMP("oil at", DrainInput.class, "oilTempC"),
    /** The oil when its volume was read. */
    MEASURED_TEMP("read at", DrainInput.class, "measuredTempC"),
    /** How long it drained. */
    MINUTES("drained for", DrainInput.class, "minutes"),
    /** The weight of what came out. */
    MASS("weight", DrainInput.class, "massG"),
    /** The sample in the jar. */
    JAR_TOTAL("in the jar", DrainInput.Jar.class, "totalMl"),
    /** Water at the bottom of the jar. */
    JAR_WATER("clear water", DrainInput.Jar.class, "waterMl"),
    /** The milky layer of the jar. */
    JAR_EMULSION("milky layer", DrainInput.Jar.class, "emulsionMl"),
    /** The leg's age. */
    AGE("age", Kind.MONTHS, Range.of(0, 1_200)),
    /** The barometer during the holds. */
    BAROMETER("barometer", LeakInput.class, "baroKpa"),
    /** The resolution of the gauge read by hand. */
    GAUGE_STEP("gauge step", LeakInput.class, "gaugeStepKpa"),
    /** Whole bottles owned, by bottle. */
    BOTTLE_HAVE("whole ones", Kind.COUNT, Range.of(0, 10_000)),
    /** What is left in an opened bottle, by bottle. */
    BOTTLE_OPENED("left in an opened one", FillInput.Bottle.class, "openedMl"),
    /** What the case took. */
    PUMPED("went in", FillInput.class, "pumpedMl"),
    /** How much of a vane's tip is worn off, by vane. */
    VANE_WEAR("tip worn by", PumpInput.Vane.class, "tipWearMm"),
    /** How far a vane stays bent, by vane. */
    VANE_SET("stays bent by", Kind.ANGLE, Range.of(0, 120)),
    /** How much of a vane is gone, by vane. */
    VANE_MISSING("missing", PumpInput.Vane.class, "missingMm"),
    /** How much the impeller's end faces have lost. */
    FACE_WEAR("end faces", PumpInput.class, "faceWearMm"),
    /** The deepest groove in the wear plate. */
    PLATE_GROOVE("plate groove", PumpInput.class, "plateGrooveMm"),
    /** The deepest groove in housing or cup. */
    HOUSING_GROOVE("housing groove", PumpInput.class, "housingGrooveMm"),
    /** How far the plate is out of flat. */
    PLATE_WARP("plate out of flat", PumpInput.class, "plateWarpMm"),
    /** How long the impeller has been in. */
    IMPELLER_AGE("impeller in for", PumpInput.class, "ageMonths"),
    /** How long the impeller has run. */
    IMPELLER_HOURS("impeller hours", PumpInput.class, "hours"),
    /** The engine's speed while the telltale was caught, by reading. */
    FLOW_RPM("engine speed", Kind.SPEED, Range.of(100, 10_000)),
    /** What the telltale gave, by reading. */
    FLOW_CAUGHT("caught", Kind.VOLUME, Range.of(0, 100_000)),
    /** How long that took, by reading. */
    FLOW_TIME("in", Kind.TIMED, Range.of(1, 3_600)),
    /** How many of a needed part were taken from the shelf, by part. */
    FROM_SHELF("from the shelf", Kind.COUNT, Range.of(0, 1_000)),
    /** Days until the parts must be here. */
    PARTS_DEADLINE("here within", Kind.DAYS, Range.of(0, 1_000)),
    /** How many of a loose piece were counted on the mat, by part. */
    COUNTED("counted", Kind.COUNT, Range.of(0, 1_000)),
    /** The torque a bolt was brought to, by fastener group and bolt. */
    TORQUED("torqued to", Kind.TORQUE, Range.of(0, 10_000)),
    /** The length of the adapter on the wrench, by fastener group. */
    ADAPTER("crowfoot", TorqueInput.Adapter.class, "extensionMm"),
    /** The angle of the adapter to the wrench, by fastener group. */
    ADAPTER_ANGLE("its angle", Kind.ANGLE, Range.of(-180, 180)),
    /** What a locknut takes to turn before it clamps, by fastener group. */
    PREVAILING("locknut's drag", TorqueInput.class, "prevailingNm"),
    /** What is stamped on case or gear, in hundredths of a millimetre, by mark. */
    MARK("mark, in hundredths", Kind.COUNT, Range.of(-500, 500)),
    /** The height of the pinion's bearing, by place around. */
    HEIGHT("height", Kind.LENGTH, Range.of(0, 1_000)),
    /** The shims that were in, by place. */
    PRESENT_SHIM("shims that were in", LashInput.class, "presentShimMm"),
    /** Where the indicator reads, from the shaft's middle, by place. */
    ARM("arm of the indicator", LashInput.class, "armMm"),
    /** The indicator's reading of the lash with the shims that were in, by place and position around. */
    LASH("lash", LashInput.class, "readingsMm"),
    /** The same with the new stack in, by place and position around. */
    LASH_AFTER("lash with the new stack", LashInput.class, "readingsMm"),
    /** How many shims of a size went in, by place and size in micrometres. */
    SHIM_IN("shims put in", Kind.COUNT, Range.of(0, 100)),
    /** The torque that turns the assembled shafts. */
    ROLLING("rolling torque", Kind.TORQUE, Range.of(0, 1_000)),
    /** The end play of the propeller shaft. */
    END_PLAY("end play", Kind.LENGTH, Range.of(0, 100)),
    /** The indicator's highest mark over one turn of the propeller shaft. */
    RUNOUT_HIGH("highest mark", RunoutInput.class, "highestMm"),
    /** Its lowest mark. */
    RUNOUT_LOW("lowest mark", RunoutInput.class, "lowestMm"),
    /** How far the propeller shaft lifts in its bearings. */
    RUNOUT_PLAY("bearing play", RunoutInput.class, "playMm"),
    /** The case after the run. */
    RUN_TEMP("case after the run", Kind.TEMPERATURE, Range.of(-30, 200)),
    /** The parts' price, where it is not the catalogue's. */
    PARTS_COST("parts in all", EstimateInput.class, "partsTotal", Kind.MONEY),
    /** Special tools to buy or hire. */
    TOOLS_COST("special tools", EstimateInput.class, "toolsTotal", Kind.MONEY),
    /** How long the repaired leg should run. */
    REPAIR_LIFE("repair lasts", EstimateInput.class, "repairLifeH"),
    /** Days until the repaired leg is back. */
    REPAIR_DAYS("in the yard for", EstimateInput.class, "repairLeadDays", Kind.DAYS),
    /** What a day without the leg costs. */
    DOWNTIME_COST("a day without it", EstimateInput.class, "downtimePerDay", Kind.MONEY),
    /** The engine's cylinders. */
    CYLINDERS("cylinders", Kind.COUNT, Range.of(1, 12)),
    /** What the engine takes without its filter, as its manual says. */
    ENGINE_TAKES("engine takes", Kind.VOLUME, Range.of(100, 100_000)),
    /** What a new oil filter holds. */
    FILTER_HOLDS("filter holds", Kind.VOLUME, Range.of(0, 10_000)),
    /** What went into the engine. */
    ENGINE_OIL_IN("went in", Kind.VOLUME, Range.of(0, 100_000)),
    /** What an anode has left, in per cent of a new one, by anode. */
    ANODE_LEFT("left, in per cent", AnodeInput.class, "leftPct"),
    /** How long the anodes were in the water since they were new. */
    ANODE_MONTHS("months since new", AnodeInput.class, "months"),
    /** The fuel in the tank. */
    FUEL_TANK("fuel in the tank", Kind.VOLUME, Range.of(0, 2_000_000)),
    /** Stabiliser for each litre of fuel, as its bottle says, in ml. */
    STABILISER_DOSE("stabiliser, ml/l", Kind.COUNT, Range.above(0, 100)),
    /** Water in the bowl of the fuel separator. */
    BOWL_WATER("water in the bowl", Kind.VOLUME, Range.of(0, 20_000)),
    /** The most the owner agreed to. */
    CONSENT_LIMIT("up to", Kind.MONEY, Range.of(0, 10_000_000)),
    /** The most he spends without being asked. */
    SPENDING_LIMIT("without asking, up to", Kind.MONEY, Range.of(0, 10_000_000)),
    /** The most the estimate named when the owner said yes to it. */
    CONSENT_SUM("as estimated, up to", Kind.MONEY, Range.of(0, 10_000_000)),
    /** How sure somebody is of a goal on a practice leg, in per cent, by goal. */
    SUSPECTED("suspected, %", Kind.COUNT, Range.of(0, 100)),
    /** What putting right what earlier hands did costs, by step. */
    HANDS_COST("putting it right", Kind.MONEY, Range.of(0, 1_000_000)),
    /** What a practice leg cost more than the advice would have. */
    LOST("lost against the advice", Kind.MONEY, Range.of(-10_000_000, 10_000_000));

    private final String label;
    private final Kind kind;
    private final Range range;

    Field(String label, Kind kind, Range range) {
        this.label = label;
        this.kind = kind;
        this.range = range;
    }

    Field(String label, Class<? extends Record> input, String component, Kind kind) {
        this(label, kind, Ranges.range(input, component));
    }

    Field(String label, Class<? extends Record> input, String component) {
        this(label, Ranges.kind(input, component), Ranges.range(input, component));
    }

    /** The field's label. */
    public String label() {
        return label;
    }

    /** The kind of quantity. */
    public Kind kind() {
        return kind;
    }

    /** The valid range in the kind's canonical unit. */
    public Range range() {
        return range;
    }

    /** Its address where there is only one. */
    public Address address() {
        return Address.the(NamedBy.file(this));
    }

    /** Its address for one of several. */
    public Address of(String which) {
        return new Address(NamedBy.file(this), which);
    }

    /** The field an address names, where it names one. */
    public static Optional<Field> at(Address address) {
        for (Field field : values()) {
            if (NamedBy.file(field).equals(address.name())) {
                return Optional.of(field);
            }
        }
        return Optional.empty();
    }
}
