package mussel.exchange.library;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import mussel.core.language.Messages;
import mussel.core.library.CompactSheet;
import mussel.core.library.SheetValues;
import mussel.core.library.SheetValues.HoldLimits;
import mussel.core.library.SheetValues.Screw;
import mussel.core.library.Value;
import mussel.core.measure.Kind;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Problems;
import mussel.core.measure.Range;
import mussel.core.sheet.Fastener;
import mussel.core.sheet.LeakTest;
import mussel.core.sheet.SetupSheet;
import mussel.exchange.library.Expansion.Answers;
import mussel.exchange.record.Json;

/** What a manual says, put into the full sheet; what it never says is estimated from the size, and named so. */
final class Manual {
    private static final Messages TEXT = Messages.of(Manual.class);

    private static final String MINUTES = "minutes";
    private static final Pattern COUNT = Pattern.compile("[1-9]|[1-3]\\d|40");
    private static final Range VOLUMES = new Range(10, 20_000, false);
    private static final Range MINUTES_HELD = new Range(0.01, 1_440, false);
    private static final Range DROPS = new Range(0.01, 400, false);
    private static final Range RUNOUTS = new Range(0.01, 2, false);
    private static final Range TORQUES = new Range(0.05, 1_000, false);

    private final CompactSheet sheet;
    private final JsonNode size;
    private final Optional<SheetValues> values;
    private final Map<String, Fastener.Torque> torques = new LinkedHashMap<>();
    private OptionalDouble capacity = OptionalDouble.empty();
    private OptionalDouble air = OptionalDouble.empty();
    private OptionalDouble weightKg = OptionalDouble.empty();
    private OptionalDouble runoutMm = OptionalDouble.empty();
    private Optional<LeakTest.Limits> pressure = Optional.empty();
    private Optional<LeakTest.Limits> vacuum = Optional.empty();
    private Optional<SetupSheet> meshing = Optional.empty();

    Manual(Library library, CompactSheet sheet) {
        this.sheet = sheet;
        this.size = library.size(sheet.size());
        this.values = sheet.values();
    }

    /** Reads every figure, telling what cannot be read. */
    void check(Problems problems) {
        if (values.isEmpty()) {
            return;
        }
        Printed printed = new Printed(problems);
        SheetValues says = values.get();
        says.oil()
                .flatMap(SheetValues.Oil::capacity)
                .ifPresent(v -> capacity = printed.figure(v, Kind.VOLUME, VOLUMES, "/values/oil/capacity"));
        says.weight().ifPresent(v -> {
            OptionalDouble grams = printed.figure(v, Kind.MASS, new Range(1_000, 500_000, false), "/values/weight");
            weightKg = grams.isPresent() ? OptionalDouble.of(grams.getAsDouble() / 1_000) : grams;
        });
        says.runout().ifPresent(v -> runoutMm = printed.figure(v, Kind.LENGTH, RUNOUTS, "/values/runout"));
        says.leakTest().ifPresent(holds -> {
            holds.air().ifPresent(v -> air = printed.figure(v, Kind.VOLUME, VOLUMES, "/values/leak_test/air"));
            pressure = holds.pressure().flatMap(h -> limits(h, false, printed, "/values/leak_test/pressure"));
            vacuum = holds.vacuum().flatMap(h -> limits(h, true, printed, "/values/leak_test/vacuum"));
        });
        meshing = says.lash().flatMap(lash -> new LashTold(printed, problems).setup(lash));
        says.fasteners().forEach((id, screw) -> screw.count()
                .filter(c -> !COUNT.matcher(c.value().strip()).matches())
                .ifPresent(c -> problems.at(
                        "/values/fasteners/" + id + "/count", TEXT.get("manual.is_a_whole_number_from_1", c.value()))));
        says.fasteners().forEach((id, screw) -> screw.torque()
                .flatMap(v -> printed.torque(v, TORQUES, "/values/fasteners/" + id + "/torque"))
                .ifPresent(t -> torques.put(id, t)));
    }

    private static Optional<LeakTest.Limits> limits(HoldLimits hold, boolean below, Printed printed, String at) {
        Range pressures = new Range(-100, 400, false);
        OptionalDouble start = figure(hold.start(), Kind.PRESSURE, pressures, printed, at + "/start");
        OptionalDouble limit = figure(hold.limit(), Kind.PRESSURE, pressures, printed, at + "/limit");
        OptionalDouble minutes = figure(hold.hold(), Kind.DURATION, MINUTES_HELD, printed, at + "/hold");
        OptionalDouble drop = figure(hold.allowedDrop(), Kind.PRESSURE, DROPS, printed, at + "/allowed_drop");
        if (start.isEmpty() || limit.isEmpty() || minutes.isEmpty() || drop.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new LeakTest.Limits(
                signed(start.getAsDouble(), below),
                signed(limit.getAsDouble(), below),
                minutes.getAsDouble(),
                drop.getAsDouble(),
                page(hold)));
    }

    private static OptionalDouble figure(Optional<Value> value, Kind kind, Range range, Printed printed, String at) {
        return value.map(v -> printed.figure(v, kind, range, at)).orElse(OptionalDouble.empty());
    }

    /** The page of a hold, else of the first of its figures that has one. */
    private static String page(HoldLimits hold) {
        return hold.page().equals("-")
                ? Stream.of(hold.start(), hold.limit(), hold.hold(), hold.allowedDrop())
                        .flatMap(Optional::stream)
                        .map(Value::page)
                        .filter(p -> !p.equals("-"))
                        .findFirst()
                        .orElse("-")
                : hold.page();
    }

    /** A vacuum is often written without its sign. */
    private static double signed(double kpa, boolean below) {
        return below ? -Math.abs(kpa) : kpa;
    }

    /** Puts construction, oil, case, holds, pump and set-up into the full sheet. */
    void into(ObjectNode full, Answers answers) {
        ArrayNode estimates = full.putArray("estimates");
        construction(full.putObject("construction"), answers, estimates);
        oil(full.putObject("oil"), estimates);
        if (values.flatMap(SheetValues::draining).isPresent()) {
            full.set("case", tree(values.flatMap(SheetValues::draining).get()));
        } else {
            full.set("case", size.get("case"));
            estimates.add("/case");
        }
        ObjectNode holds = full.putObject("leak_test");
        OptionalDouble room = air.isPresent() ? air : capacity;
        holds.put("air_ml", room.orElse(size.get("air_ml").asDouble()));
        if (room.isEmpty()) {
            estimates.add("/leak_test/air_ml");
        }
        pressure.ifPresent(p -> holds.set("pressure", tree(p)));
        vacuum.ifPresent(v -> holds.set("vacuum", tree(v)));
        values.flatMap(SheetValues::pump).ifPresent(p -> full.set("pump", tree(p)));
        values.flatMap(SheetValues::setup)
                .ifPresentOrElse(
                        s -> full.set("setup", tree(s)),
                        () -> meshing.ifPresent(m -> {
                            full.set("setup", tree(m));
                            estimates.add("/setup");
                        }));
    }

    private void construction(ObjectNode into, Answers answers, ArrayNode estimates) {
        into.put("case_kind", answers.get("case").replace("split_skeg", "split"));
        into.put("seal_layout", answers.get("driveshaft_lips"));
        into.put("drive", answers.get("drive"));
        into.put("carrier", answers.get("propshaft_carrier"));
        into.put("driveshaft_turns", answers.get("driveshaft_turns"));
        ArrayNode turns = into.putArray("propeller_turns");
        if (answers.get("propeller_turns").equals("either")) {
            turns.add("clockwise").add("counter_clockwise");
        } else {
            turns.add(answers.get("propeller_turns"));
        }
        into.put("fill", answers.get("fill"));
        into.put("fitting", fitting().orElse("-"));
        into.put("removal_gear", gear(answers));
        into.put(
                "linkage", values.flatMap(SheetValues::linkage).orElse(TEXT.get("manual.mark_it_before_it_is_opened")));
        into.put("weight_kg", weightKg.orElse(size.get("weight_kg").asDouble()));
        runoutMm.ifPresent(mm -> into.put("runout_limit_mm", mm));
        if (weightKg.isEmpty()) {
            estimates.add("/construction/weight_kg");
        }
    }

    /** The gear the leg comes off in; neutral, with everything marked, where nobody knows. */
    static String gear(Answers answers) {
        String gear = answers.get("removal_gear");
        return gear.equals(mussel.core.library.Answer.UNKNOWN) ? "neutral" : gear;
    }

    private void oil(ObjectNode into, ArrayNode estimates) {
        Optional<SheetValues.Oil> oil = values.flatMap(SheetValues::oil);
        capacity.ifPresent(ml -> into.put("capacity_ml", ml));
        into.put("grade", oil.flatMap(SheetValues.Oil::grade).map(Value::value).orElse("-"));
        JsonNode usual = size.get("oil");
        OptionalDouble purge = oil.map(SheetValues.Oil::purgeMl).orElse(OptionalDouble.empty());
        OptionalDouble spill = oil.map(SheetValues.Oil::spillMl).orElse(OptionalDouble.empty());
        into.put("purge_ml", purge.orElse(usual.get("purge_ml").asDouble()));
        into.put("spill_ml", spill.orElse(usual.get("spill_ml").asDouble()));
        if (purge.isEmpty() || spill.isEmpty()) {
            estimates.add("/oil/purge_ml").add("/oil/spill_ml");
        }
    }

    private static JsonNode tree(Record value) {
        return Json.mapper().valueToTree(value);
    }

    /** The leg's weight, as the cautions say it. */
    String weight() {
        String kg = TEXT.get(
                "manual.kg", plain(weightKg.orElse(size.get("weight_kg").asDouble())));
        return weightKg.isPresent() ? kg : TEXT.get("manual.some_an_estimate_for_a_leg", kg);
    }

    private static String plain(double figure) {
        return figure == Math.rint(figure) ? String.valueOf((long) figure) : String.valueOf(figure);
    }

    Optional<String> fitting() {
        return values.flatMap(SheetValues::fitting).map(Value::value);
    }

    Optional<String> depth(String seal) {
        return values.map(v -> v.seals().get(seal)).flatMap(SheetValues.SealFit::depth);
    }

    /** The driver for the seal made of that part. */
    Optional<String> driver(String seal) {
        return values.map(v -> v.seals().get(seal))
                .flatMap(SheetValues.SealFit::driver)
                .map(Value::value);
    }

    Optional<Fastener.Torque> torque(String fastener) {
        return Optional.ofNullable(torques.get(fastener));
    }

    Optional<String> socket(String fastener) {
        return values.map(v -> v.fasteners().get(fastener)).flatMap(Screw::socket);
    }

    Optional<String> thread(String fastener) {
        return values.map(v -> v.fasteners().get(fastener)).flatMap(Screw::thread);
    }

    /** Puts what the manual says of a group of fasteners over what the library says. */
    void screw(ObjectNode fastener) {
        String id = fastener.get("id").asText();
        Screw says = values.map(v -> v.fasteners().get(id)).orElse(null);
        if (says == null) {
            return;
        }
        ObjectNode change = Json.mapper().valueToTree(says);
        change.remove(Set.of("torque", "socket"));
        says.count()
                .ifPresent(c -> change.put("count", Integer.parseInt(c.value().strip())));
        Optional<String> page = says.torque().map(Value::page).filter(p -> !p.equals("-"));
        page.ifPresent(p -> change.put("page", p));
        Expansion.merge(fastener, change);
        torque(id).ifPresent(t -> fastener.set("torque", tree(t)));
    }

    /** Times a step for a leg of the size. */
    void time(ObjectNode step) {
        ObjectNode minutes = (ObjectNode) step.get(MINUTES);
        boolean joint = step.get("place").asText().equals(NamedBy.file(mussel.core.sheet.Place.JOINT));
        double factor = joint && size.has("joint_minutes")
                ? size.get("joint_minutes").asDouble()
                : size.get(MINUTES).asDouble();
        ObjectNode timed = step.putObject(MINUTES);
        minutes.properties()
                .forEach(m -> timed.put(
                        m.getKey(), Math.max(1, Math.rint(factor * m.getValue().asDouble()))));
    }
}
