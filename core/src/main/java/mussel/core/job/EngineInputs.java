package mussel.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.drain.DrainInput;
import mussel.core.drain.DrainResult;
import mussel.core.drain.OilLook;
import mussel.core.fill.FillInput;
import mussel.core.measure.Problem;
import mussel.core.measure.Problems;
import mussel.core.plan.Plan;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Place;

/** What drain and fill are asked, gathered from the job, its sheet and the yard. */
record EngineInputs(Assessment all) {
    /** What the drain engine is asked; nothing until volume, temperature and minutes are there. */
    Optional<DrainInput> drain() {
        OptionalDouble drained = all.job().reading(Field.DRAINED);
        OptionalDouble temp = all.job().reading(Field.OIL_TEMP);
        OptionalDouble minutes = all.job().reading(Field.MINUTES);
        OptionalDouble capacity = capacity();
        if (drained.isEmpty() || temp.isEmpty() || minutes.isEmpty() || capacity.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new DrainInput(
                capacity.getAsDouble(),
                all.known(Field.FILL),
                20,
                drained.getAsDouble(),
                all.job().reading(Field.DRAINED_U).orElse(5),
                all.job().reading(Field.MEASURED_TEMP),
                all.job().reading(Field.FREE_WATER).orElse(0),
                OptionalDouble.empty(),
                temp.getAsDouble(),
                minutes.getAsDouble(),
                !all.job().choice(Scale.VENT).equals(Optional.of("shut")),
                all.water(),
                all.oil().was().data(),
                all.sheet().gearcase(),
                all.job().choice(Scale.OIL_WATER).map(o -> Assessment.constant(OilLook.class, o)),
                jar(),
                all.job().reading(Field.MASS),
                2,
                all.known(Field.HOURS_SINCE_FILL),
                all.job().reading(Field.STORAGE_MIN),
                OptionalDouble.empty()));
    }

    /** What the case holds: by the sheet, else what went in last. */
    private OptionalDouble capacity() {
        OptionalDouble sheet = all.sheet().oil().capacityMl();
        return sheet.isPresent() ? sheet : all.known(Field.FILL);
    }

    private Optional<DrainInput.Jar> jar() {
        OptionalDouble total = all.job().reading(Field.JAR_TOTAL);
        boolean anyLayer = all.job().reading(Field.JAR_WATER).isPresent()
                || all.job().reading(Field.JAR_EMULSION).isPresent();
        return total.isPresent() && anyLayer
                ? Optional.of(new DrainInput.Jar(
                        total.getAsDouble(),
                        all.job().reading(Field.JAR_WATER).orElse(0),
                        all.job().reading(Field.JAR_EMULSION).orElse(0)))
                : Optional.empty();
    }

    /** What the fill engine is asked; nothing while nobody knows what the case holds. */
    Optional<FillInput> fill(Plan plan, Optional<DrainResult> drain) {
        if (all.sheet().oil().capacityMl().isEmpty()) {
            return Optional.empty();
        }
        double capacity = all.sheet().oil().capacityMl().getAsDouble();
        List<FillInput.Bottle> bottles = new ArrayList<>();
        for (FillInput.Bottle b : all.yard().bottles(FillInput.Holds.GEAR_OIL)) {
            bottles.add(new FillInput.Bottle(
                    b.name(),
                    b.ml(),
                    b.price(),
                    (int) all.job().reading(Field.BOTTLE_HAVE.of(b.name())).orElse(b.have()),
                    all.job().reading(Field.BOTTLE_OPENED.of(b.name())).orElse(b.openedMl())));
        }
        double residual = strippedBare(plan)
                ? 0
                : Math.min(capacity, drain.map(DrainResult::residualMl).orElse(0.0));
        return Optional.of(new FillInput(
                capacity,
                residual,
                all.sheet().oil().purgeMl(),
                all.sheet().oil().spillMl(),
                bottles,
                all.job().reading(Field.PUMPED)));
    }

    /** Whether the gears were out, and the case washed and dried with them: one that was only drained keeps what clings to its walls, whatever its goals. */
    private boolean strippedBare(Plan plan) {
        return plan.steps().stream()
                .map(Plan.PlannedStep::step)
                .anyMatch(s -> s.phase() == Phase.STRIP
                        && s.place() == Place.GEARS
                        && all.job().ticked(s.id()).isPresent());
    }

    /** What is wrong with it. */
    static List<Problem> problems(DrainInput input) {
        Problems found = new Problems();
        input.oil().check(found, "/oil");
        input.jar().ifPresent(j -> j.check(found, "/jar"));
        input.check(found, "");
        return found.list();
    }

    /** What does not fit together in what the fill engine is to be fed. */
    static List<Problem> problems(FillInput input) {
        Problems found = new Problems();
        input.check(found, "");
        return found.list();
    }
}
