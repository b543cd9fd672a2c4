package mussel.core.job;

import java.util.Optional;
import mussel.core.anode.AnodeInput;
import mussel.core.drain.DrainInput;
import mussel.core.estimate.EstimateInput;
import mussel.core.fill.FillInput;
import mussel.core.language.Messages;
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
    ENGINE_HOURS(Kind.RUNNING, Range.of(0, 50_000)),
    /** Running hours since the oil was changed. */
    HOURS_SINCE_FILL(DrainInput.class, "hoursSinceFill"),
    /** Months since the oil was changed. */
    MONTHS_SINCE_FILL(Kind.MONTHS, Range.of(0, 600)),
    /** The coldest it will be stored at. */
    STORAGE_MIN(DrainInput.class, "storageMinC"),
    /** What went in last. */
    FILL(DrainInput.class, "fillMl"),
    /** Hours the leg rested before draining. */
    REST(Kind.DURATION, Range.of(0, 525_600)),
    /** What came out. */
    DRAINED(DrainInput.class, "drainedMl"),
    /** How well that is known. */
    DRAINED_U(DrainInput.class, "drainedUMl"),
    /** Water that ran out first. */
    FREE_WATER(DrainInput.class, "freeWaterMl"),
    /** The oil while it drained. */
    OIL_TEMP(DrainInput.class, "oilTempC"),
    /** The oil when its volume was read. */
    MEASURED_TEMP(DrainInput.class, "measuredTempC"),
    /** How long it drained. */
    MINUTES(DrainInput.class, "minutes"),
    /** The weight of what came out. */
    MASS(DrainInput.class, "massG"),
    /** The sample in the jar. */
    JAR_TOTAL(DrainInput.Jar.class, "totalMl"),
    /** Water at the bottom of the jar. */
    JAR_WATER(DrainInput.Jar.class, "waterMl"),
    /** The milky layer of the jar. */
    JAR_EMULSION(DrainInput.Jar.class, "emulsionMl"),
    /** The leg's age. */
    AGE(Kind.MONTHS, Range.of(0, 1_200)),
    /** The barometer during the holds. */
    BAROMETER(LeakInput.class, "baroKpa"),
    /** The resolution of the gauge read by hand. */
    GAUGE_STEP(LeakInput.class, "gaugeStepKpa"),
    /** Whole bottles owned, by bottle. */
    BOTTLE_HAVE(Kind.COUNT, Range.of(0, 10_000)),
    /** What is left in an opened bottle, by bottle. */
    BOTTLE_OPENED(FillInput.Bottle.class, "openedMl"),
    /** What the case took. */
    PUMPED(FillInput.class, "pumpedMl"),
    /** How much of a vane's tip is worn off, by vane. */
    VANE_WEAR(PumpInput.Vane.class, "tipWearMm"),
    /** How far a vane stays bent, by vane. */
    VANE_SET(Kind.ANGLE, Range.of(0, 120)),
    /** How much of a vane is gone, by vane. */
    VANE_MISSING(PumpInput.Vane.class, "missingMm"),
    /** How much the impeller's end faces have lost. */
    FACE_WEAR(PumpInput.class, "faceWearMm"),
    /** The deepest groove in the wear plate. */
    PLATE_GROOVE(PumpInput.class, "plateGrooveMm"),
    /** The deepest groove in housing or cup. */
    HOUSING_GROOVE(PumpInput.class, "housingGrooveMm"),
    /** How far the plate is out of flat. */
    PLATE_WARP(PumpInput.class, "plateWarpMm"),
    /** How long the impeller has been in. */
    IMPELLER_AGE(PumpInput.class, "ageMonths"),
    /** How long the impeller has run. */
    IMPELLER_HOURS(PumpInput.class, "hours"),
    /** The engine's speed while the telltale was caught, by reading. */
    FLOW_RPM(Kind.SPEED, Range.of(100, 10_000)),
    /** What the telltale gave, by reading. */
    FLOW_CAUGHT(Kind.VOLUME, Range.of(0, 100_000)),
    /** How long that took, by reading. */
    FLOW_TIME(Kind.TIMED, Range.of(1, 3_600)),
    /** How many of a needed part were taken from the shelf, by part. */
    FROM_SHELF(Kind.COUNT, Range.of(0, 1_000)),
    /** Days until the parts must be here. */
    PARTS_DEADLINE(Kind.DAYS, Range.of(0, 1_000)),
    /** How many of a loose piece were counted on the mat, by part. */
    COUNTED(Kind.COUNT, Range.of(0, 1_000)),
    /** The torque a bolt was brought to, by fastener group and bolt. */
    TORQUED(Kind.TORQUE, Range.of(0, 10_000)),
    /** The length of the adapter on the wrench, by fastener group. */
    ADAPTER(TorqueInput.Adapter.class, "extensionMm"),
    /** The angle of the adapter to the wrench, by fastener group. */
    ADAPTER_ANGLE(Kind.ANGLE, Range.of(-180, 180)),
    /** What a locknut takes to turn before it clamps, by fastener group. */
    PREVAILING(TorqueInput.class, "prevailingNm"),
    /** What is stamped on case or gear, in hundredths of a millimetre, by mark. */
    MARK(Kind.COUNT, Range.of(-500, 500)),
    /** The height of the pinion's bearing, by place around. */
    HEIGHT(Kind.LENGTH, Range.of(0, 1_000)),
    /** The shims that were in, by place. */
    PRESENT_SHIM(LashInput.class, "presentShimMm"),
    /** Where the indicator reads, from the shaft's middle, by place. */
    ARM(LashInput.class, "armMm"),
    /** The indicator's reading of the lash with the shims that were in, by place and position around. */
    LASH(LashInput.class, "readingsMm"),
    /** The same with the new stack in, by place and position around. */
    LASH_AFTER(LashInput.class, "readingsMm"),
    /** How many shims of a size went in, by place and size in micrometres. */
    SHIM_IN(Kind.COUNT, Range.of(0, 100)),
    /** The torque that turns the assembled shafts. */
    ROLLING(Kind.TORQUE, Range.of(0, 1_000)),
    /** The end play of the propeller shaft. */
    END_PLAY(Kind.LENGTH, Range.of(0, 100)),
    /** The indicator's highest mark over one turn of the propeller shaft. */
    RUNOUT_HIGH(RunoutInput.class, "highestMm"),
    /** Its lowest mark. */
    RUNOUT_LOW(RunoutInput.class, "lowestMm"),
    /** How far the propeller shaft lifts in its bearings. */
    RUNOUT_PLAY(RunoutInput.class, "playMm"),
    /** The case after the run. */
    RUN_TEMP(Kind.TEMPERATURE, Range.of(-30, 200)),
    /** The parts' price, where it is not the catalogue's. */
    PARTS_COST(EstimateInput.class, "partsTotal", Kind.MONEY),
    /** Special tools to buy or hire. */
    TOOLS_COST(EstimateInput.class, "toolsTotal", Kind.MONEY),
    /** How long the repaired leg should run. */
    REPAIR_LIFE(EstimateInput.class, "repairLifeH"),
    /** Days until the repaired leg is back. */
    REPAIR_DAYS(EstimateInput.class, "repairLeadDays", Kind.DAYS),
    /** What a day without the leg costs. */
    DOWNTIME_COST(EstimateInput.class, "downtimePerDay", Kind.MONEY),
    /** The engine's cylinders. */
    CYLINDERS(Kind.COUNT, Range.of(1, 12)),
    /** What the engine takes without its filter, as its manual says. */
    ENGINE_TAKES(Kind.VOLUME, Range.of(100, 100_000)),
    /** What a new oil filter holds. */
    FILTER_HOLDS(Kind.VOLUME, Range.of(0, 10_000)),
    /** What went into the engine. */
    ENGINE_OIL_IN(Kind.VOLUME, Range.of(0, 100_000)),
    /** What an anode has left, in per cent of a new one, by anode. */
    ANODE_LEFT(AnodeInput.class, "leftPct"),
    /** How long the anodes were in the water since they were new. */
    ANODE_MONTHS(AnodeInput.class, "months"),
    /** The fuel in the tank. */
    FUEL_TANK(Kind.VOLUME, Range.of(0, 2_000_000)),
    /** Stabiliser for each litre of fuel, as its bottle says, in ml. */
    STABILISER_DOSE(Kind.COUNT, Range.above(0, 100)),
    /** Water in the bowl of the fuel separator. */
    BOWL_WATER(Kind.VOLUME, Range.of(0, 20_000)),
    /** The most the owner agreed to. */
    CONSENT_LIMIT(Kind.MONEY, Range.of(0, 10_000_000)),
    /** The most he spends without being asked. */
    SPENDING_LIMIT(Kind.MONEY, Range.of(0, 10_000_000)),
    /** The most the estimate named when the owner said yes to it. */
    CONSENT_SUM(Kind.MONEY, Range.of(0, 10_000_000)),
    /** How sure somebody is of a goal on a practice leg, in per cent, by goal. */
    SUSPECTED(Kind.COUNT, Range.of(0, 100)),
    /** What putting right what earlier hands did costs, by step. */
    HANDS_COST(Kind.MONEY, Range.of(0, 1_000_000)),
    /** What a practice leg cost more than the advice would have. */
    LOST(Kind.MONEY, Range.of(-10_000_000, 10_000_000));

    private static final Messages TEXT = Messages.of(Field.class);

    private final Kind kind;
    private final Range range;

    Field(Kind kind, Range range) {
        this.kind = kind;
        this.range = range;
    }

    Field(Class<? extends Record> input, String component, Kind kind) {
        this(kind, Ranges.range(input, component));
    }

    Field(Class<? extends Record> input, String component) {
        this(Ranges.kind(input, component), Ranges.range(input, component));
    }

    /** The field's label. */
    public String label() {
        return TEXT.of(this);
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
