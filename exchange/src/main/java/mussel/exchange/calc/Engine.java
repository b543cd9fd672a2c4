package mussel.exchange.calc;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.function.Supplier;
import mussel.core.anode.AnodeEngine;
import mussel.core.anode.AnodeInput;
import mussel.core.anode.AnodeResult;
import mussel.core.anode.AnodeWords;
import mussel.core.drain.DrainEngine;
import mussel.core.drain.DrainInput;
import mussel.core.drain.DrainResult;
import mussel.core.drain.DrainWords;
import mussel.core.estimate.EstimateEngine;
import mussel.core.estimate.EstimateInput;
import mussel.core.estimate.EstimateResult;
import mussel.core.estimate.EstimateWords;
import mussel.core.fill.FillEngine;
import mussel.core.fill.FillInput;
import mussel.core.fill.FillResult;
import mussel.core.fill.FillWords;
import mussel.core.leak.LeakEngine;
import mussel.core.leak.LeakInput;
import mussel.core.leak.LeakResult;
import mussel.core.leak.LeakWords;
import mussel.core.measure.Money;
import mussel.core.measure.Problems;
import mussel.core.measure.YardUnits;
import mussel.core.parts.PartsEngine;
import mussel.core.parts.PartsInput;
import mussel.core.parts.PartsResult;
import mussel.core.parts.PartsWords;
import mussel.core.plan.PlanEngine;
import mussel.core.plan.PlanInput;
import mussel.core.plan.PlanResult;
import mussel.core.plan.PlanWords;
import mussel.core.propeller.RunoutEngine;
import mussel.core.propeller.RunoutInput;
import mussel.core.propeller.RunoutResult;
import mussel.core.propeller.RunoutWords;
import mussel.core.pump.PumpEngine;
import mussel.core.pump.PumpInput;
import mussel.core.pump.PumpResult;
import mussel.core.pump.PumpWords;
import mussel.core.sheet.SpecSheet;
import mussel.core.shim.LashEngine;
import mussel.core.shim.LashInput;
import mussel.core.shim.LashResult;
import mussel.core.shim.PinionEngine;
import mussel.core.shim.PinionInput;
import mussel.core.shim.PinionResult;
import mussel.core.shim.ShimWords;
import mussel.core.shim.StackEngine;
import mussel.core.shim.StackInput;
import mussel.core.shim.StackResult;
import mussel.core.torque.TorqueEngine;
import mussel.core.torque.TorqueInput;
import mussel.core.torque.TorqueResult;
import mussel.core.torque.TorqueWords;
import mussel.core.verdict.Context;
import mussel.core.verdict.Tables;
import mussel.core.verdict.VerdictEngine;
import mussel.core.verdict.VerdictInput;
import mussel.core.verdict.VerdictResult;
import mussel.core.verdict.VerdictWords;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.record.RecordReader;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;

/** One engine of the core as the headless contract shows it. */
public final class Engine {
    private static final List<Engine> ALL = List.of(
            of("drain", DrainInput.class, in -> {
                DrainResult out = DrainEngine.run(in);
                return answer("drain", out, new DrainWords(in, out, YardUnits.METRIC).notes());
            }),
            of("leak", LeakInput.class, in -> {
                LeakResult out = LeakEngine.run(in);
                return answer("leak", out, new LeakWords(in, out, YardUnits.METRIC).notes());
            }),
            of("verdict", VerdictInput.class, (in, problems) -> in.check(KnowledgeFiles.shipped(), problems), in -> {
                Tables tables = Tables.of(KnowledgeFiles.shipped(), in.context().orElseGet(Context::empty));
                VerdictResult out = VerdictEngine.run(tables, in).with(VerdictEngine.repairs(tables, in));
                List<String> notes = new ArrayList<>(
                        new VerdictWords(tables.knowledge(), tables.context(), out, Money.UNSAID).notes());
                notes.add(VerdictWords.costs(in));
                return flat(answer("verdict", out, notes));
            }),
            of("pump", PumpInput.class, in -> {
                PumpResult out = PumpEngine.run(in);
                return answer("pump", out, new PumpWords(in, out).notes());
            }),
            planning(SheetFiles::shipped),
            of("parts", PartsInput.class, in -> {
                PartsResult out = PartsEngine.run(in);
                return answer("parts", out, new PartsWords(in, out, Money.UNSAID).notes());
            }),
            of("runout", RunoutInput.class, in -> {
                RunoutResult out = RunoutEngine.run(in);
                return answer("runout", out, new RunoutWords(in, out, YardUnits.METRIC).notes());
            }),
            of("anodes", AnodeInput.class, in -> {
                AnodeResult out = AnodeEngine.run(in);
                return answer("anodes", out, new AnodeWords(in, out).notes());
            }),
            of("pinion", PinionInput.class, in -> {
                PinionResult out = PinionEngine.run(in);
                return answer("pinion", out, ShimWords.pinion(in, out));
            }),
            of("lash", LashInput.class, in -> {
                LashResult out = LashEngine.run(in);
                return answer("lash", out, ShimWords.lash(in, out));
            }),
            of("stack", StackInput.class, in -> {
                StackResult out = StackEngine.run(in);
                return answer("stack", out, List.of(ShimWords.stack(out)));
            }),
            of("torque", TorqueInput.class, in -> {
                TorqueResult out = TorqueEngine.run(in);
                return answer("torque", out, TorqueWords.notes(in, out));
            }),
            of("fill", FillInput.class, in -> {
                FillResult out = FillEngine.run(in);
                return answer("fill", out, new FillWords(in, out, YardUnits.METRIC).notes());
            }),
            of("estimate", EstimateInput.class, in -> {
                EstimateResult out = EstimateEngine.run(in);
                return answer("estimate", out, new EstimateWords(in, out, Money.UNSAID).notes());
            }));

    private final String name;
    private final Class<? extends Record> input;
    private final Function<JsonNode, Read<ObjectNode>> run;

    /** Rounds, sets and what belongs to them stand beside the causes. */
    private static ObjectNode flat(ObjectNode verdict) {
        ObjectNode repairs = (ObjectNode) verdict.remove("repairs");
        repairs.remove("chosen");
        repairs.path("sets").forEach(set -> ((ObjectNode) set)
                .put("total", set.path("now").asDouble() + set.path("later").asDouble()));
        return verdict.setAll(repairs);
    }

    private Engine(String name, Class<? extends Record> input, Function<JsonNode, Read<ObjectNode>> run) {
        this.name = name;
        this.input = input;
        this.run = run;
    }

    /** The engine {@code plan} over these families, as those a yard has added to the ones that ship. */
    public static Engine planning(Supplier<List<SpecSheet>> families) {
        return of("plan", PlanInput.class, (in, problems) -> in.check(families.get(), problems), in -> {
            SpecSheet sheet = families.get().stream()
                    .filter(f -> f.id().equals(in.family()))
                    .findFirst()
                    .orElseThrow();
            PlanResult out = PlanEngine.run(in, sheet);
            return answer("plan", out, new PlanWords(in, out, sheet).notes());
        });
    }

    /**
     * An engine that takes from this sheet what its input leaves out: the family for {@code plan}; what the case holds, and what is purged and spilt, for
     * {@code fill}. Others take nothing from a sheet.
     */
    public static Optional<Engine> on(SpecSheet sheet, String name) {
        Optional<Engine> engine = name.equals("plan") ? Optional.of(planning(() -> List.of(sheet))) : named(name);
        return engine.map(e -> new Engine(name, e.input, tree -> e.run.apply(filled(tree, sheet, name))));
    }

    private static JsonNode filled(JsonNode tree, SpecSheet sheet, String name) {
        if (!(tree instanceof ObjectNode given)) {
            return tree;
        }
        ObjectNode filled = given.deepCopy();
        if (name.equals("plan") && !filled.has("family")) {
            filled.put("family", sheet.id());
        }
        if (name.equals("fill")) {
            ObjectNode oil = Json.mapper().valueToTree(sheet.oil());
            for (String field : List.of("capacity_ml", "purge_ml", "spill_ml")) {
                if (!filled.has(field) && oil.hasNonNull(field)) {
                    filled.set(field, oil.get(field));
                }
            }
        }
        return filled;
    }

    private static <T extends Record> Engine of(String name, Class<T> type, Function<T, ObjectNode> compute) {
        return of(name, type, (in, problems) -> {}, compute);
    }

    /** An engine whose input is also checked against data that ship. */
    private static <T extends Record> Engine of(
            String name, Class<T> type, BiConsumer<T, Problems> check, Function<T, ObjectNode> compute) {
        return new Engine(name, type, tree -> {
            Read<T> in = RecordReader.read(tree, type);
            if (in.value().isEmpty()) {
                return new Read<>(Optional.empty(), in.problems());
            }
            Problems problems = new Problems();
            check.accept(in.value().get(), problems);
            if (!problems.none()) {
                return new Read<>(Optional.empty(), problems.list());
            }
            return finite(in.value().get(), compute)
                    .map(Read::of)
                    .orElseGet(() ->
                            new Read<>(Optional.empty(), List.of(Blame.of(tree, tried -> RecordReader.read(tried, type)
                                    .value()
                                    .flatMap(other -> finite(other, compute))))));
        });
    }

    /** The answer, where every figure in it is finite: what an engine throws at figures beyond its reach is none. */
    private static <T> Optional<ObjectNode> finite(T in, Function<T, ObjectNode> compute) {
        try {
            return Optional.of(compute.apply(in)).filter(Blame::finite);
        } catch (RuntimeException e) {
            System.getLogger("mussel").log(System.Logger.Level.INFO, "No finite result", e);
            return Optional.empty();
        }
    }

    private static ObjectNode answer(String engine, Record result, List<String> notes) {
        ObjectNode answer = Json.mapper().createObjectNode();
        answer.put("engine", engine);
        answer.setAll((ObjectNode) Json.mapper().valueToTree(result));
        notes.forEach(answer.putArray("notes")::add);
        return answer;
    }

    /** All engines there are. */
    public static List<Engine> all() {
        return ALL;
    }

    /** The engine of that name. */
    public static Optional<Engine> named(String name) {
        return ALL.stream().filter(e -> e.name.equals(name)).findFirst();
    }

    /** The engine's name. */
    public String name() {
        return name;
    }

    /** The record it takes. */
    public Class<? extends Record> input() {
        return input;
    }

    /** Runs the engine on one JSON object, or says everything that is wrong with it. */
    public Read<ObjectNode> run(byte[] utf8) {
        Read<JsonNode> tree = Json.tree(utf8);
        return tree.value().isPresent() ? run.apply(tree.value().get()) : new Read<>(Optional.empty(), tree.problems());
    }
}
