package mussel.core.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.Goal;
import mussel.core.sheet.SetupSheet;
import mussel.core.sheet.SetupSheet.GearPlace;
import mussel.core.shim.LashInput;

/** Setting up the gears: pinion first, then each gear, since the pinion moves both lashes. */
public final class SetupWork {
    private static final Messages TEXT = Messages.of(SetupWork.class);

    private final Job job;
    private final SetupSheet sheet;
    private final SetupReadings read;
    private final boolean called;
    private final List<SetupPlace> places = new ArrayList<>();

    private SetupWork(Job job, SetupSheet sheet, Stores stores, boolean called) {
        this.job = job;
        this.sheet = sheet;
        this.read = new SetupReadings(job, sheet, stores);
        this.called = called;
        places.add(SetupPlace.pinion(read));
        sheet.gears().forEach(gear -> places.add(SetupPlace.gear(read, gear)));
    }

    /** The set-up of a job; empty where the family's sheet has none. */
    static Optional<SetupWork> of(Assessment all) {
        return all.sheet()
                .setup()
                .map(s -> new SetupWork(
                        all.job(), s, all.stores(), all.sheet().means(all.goals(), Goal.Meaning.MOVES_GEARS)));
    }

    /** What the sheet says. */
    public SetupSheet sheet() {
        return sheet;
    }

    /** Whether the goals bring new gears, bearings or housing, which need new shims. */
    public boolean called() {
        return called;
    }

    /** The places in the order they are set. */
    public List<SetupPlace> places() {
        return List.copyOf(places);
    }

    /** One place. */
    public SetupPlace place(String id) {
        return places.stream().filter(p -> p.id().equals(id)).findFirst().orElseThrow();
    }

    /** Whether anything was measured or put in. */
    public boolean begun() {
        return places.stream()
                .anyMatch(p -> p.presentMm().isPresent()
                        || !p.taken().isEmpty()
                        || p.targetMm().isPresent());
    }

    /** Whether every place is set. */
    public boolean done() {
        return places.stream().allMatch(SetupPlace::set);
    }

    /** The place to go on with; empty when all are set. */
    public Optional<SetupPlace> next() {
        return places.stream().filter(p -> !p.set()).findFirst();
    }

    /** What the drawer has left once this job's pieces are out of it, by size (mm). */
    public Map<Double, Integer> drawer() {
        Map<Double, Integer> left = new LinkedHashMap<>();
        for (double mm : sheet.shimsMm()) {
            left.put(
                    mm,
                    read.stores().shelf().getOrDefault(SetupSheet.shimId(mm), 0)
                            - used().getOrDefault(SetupSheet.shimId(mm), 0));
        }
        return left;
    }

    /** What this job takes out of the drawer, by the id of the size. */
    public Map<String, Integer> used() {
        Map<String, Integer> used = new LinkedHashMap<>();
        places.forEach(p ->
                p.taken().forEach((size, count) -> used.merge(SetupSheet.shimId(size / 1_000.0), count, Integer::sum)));
        return used;
    }

    /** What the pinion's new stack does to each lash before anything is assembled, a sentence a gear. */
    public List<String> pinionMoves() {
        SetupPlace pinion = places.get(0);
        OptionalDouble stack = pinion.taken().isEmpty() ? pinion.targetMm() : OptionalDouble.of(pinion.takenMm());
        if (stack.isEmpty() || pinion.presentMm().isEmpty()) {
            return List.of();
        }
        double change = stack.getAsDouble() - pinion.presentMm().getAsDouble();
        List<String> says = new ArrayList<>();
        for (GearPlace gear : sheet.gears()) {
            double moved = lashChange(gear, change);
            Optional<SetupPlace.LashAnswer> lash = place(gear.id()).lash();
            says.add(
                    lash.isEmpty()
                            ? TEXT.get("setup.moves", gear.title(), signed(moved))
                            : TEXT.get(
                                    "setup.moves.to",
                                    gear.title(),
                                    signed(moved),
                                    mm(lash.get().out().lashMm() + moved)));
        }
        return says;
    }

    /**
     * What a change of the pinion's shim does to a gear's lash (mm): the same bevel factor, with the pinion as the member that moves.
     */
    double lashChange(GearPlace gear, double changeMm) {
        LashInput.Gears teeth = gear.teeth();
        double factor = new LashInput.Gears(
                        teeth.pinionTeeth(),
                        teeth.gearTeeth(),
                        teeth.pressureAngleDeg(),
                        teeth.spiralAngleDeg(),
                        LashInput.Member.PINION)
                .factor();
        return (sheet.pinion().thicker() == LashInput.Thicker.REDUCES ? -1 : 1) * factor * changeMm;
    }

    /** The rolling torque and the end play against the sheet, and what the teeth's bearing asks for; sentences. */
    public List<Check> checks() {
        List<Check> checks = new ArrayList<>();
        sheet.rolling().ifPresent(limits -> check(checks, "rolling", Field.ROLLING, Kind.TORQUE, limits));
        sheet.endPlay().ifPresent(limits -> check(checks, "end_play", Field.END_PLAY, Kind.LENGTH, limits));
        for (GearPlace gear : sheet.gears()) {
            job.choice(Scale.CONTACT.of(gear.id()))
                    .ifPresent(where ->
                            checks.add(new Check(where.equals("centred"), TEXT.get("contact." + where, gear.title()))));
        }
        return checks;
    }

    private void check(List<Check> checks, String name, Field field, Kind kind, SetupSheet.Limits limits) {
        job.reading(field).ifPresent(figure -> {
            String key = limits.holds(figure) ? ".ok" : figure < limits.low() ? ".low" : ".high";
            checks.add(new Check(
                    limits.holds(figure),
                    TEXT.get(
                            name + key,
                            Display.exact(kind, figure, YardUnits.METRIC),
                            Display.exact(kind, limits.low(), YardUnits.METRIC),
                            Display.exact(kind, limits.high(), YardUnits.METRIC))));
        });
    }

    /** What a school takes for granted. */
    public static String assumes(SetupPlace.School school) {
        return TEXT.get("school." + school.name().toLowerCase(java.util.Locale.ROOT));
    }

    /**
     * A figure or look against the sheet.
     *
     * @param ok whether it is as it should be
     * @param says what it means
     */
    public record Check(boolean ok, String says) {}

    private static String mm(double value) {
        return String.format(java.util.Locale.ROOT, "%.3f mm", value);
    }

    private static String signed(double value) {
        return String.format(java.util.Locale.ROOT, "%+.3f mm", value).replace('-', '−');
    }
}
