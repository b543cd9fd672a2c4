package mussel.exchange.library;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import mussel.core.language.Messages;
import mussel.core.sheet.Fastener;
import mussel.exchange.library.Expansion.Answers;

/** Fills what stands in braces in the texts of a step: sockets, wrenches, taps and drivers by its fasteners and seals, and what the leg weighs. */
final class Filler {
    private static final Messages TEXT = Messages.of(Filler.class);

    private static final Pattern BRACES = Pattern.compile("\\{(\\w+)(?: (\\w+))?}");
    private static final Pattern METRIC = Pattern.compile("M(\\d+)(?:x.*)?");
    private static final String INCH_POUNDS =
            "Inch-pounds, not foot-pounds. A slip is a factor of twelve and snaps the bolt.";

    /** Widths across flats of the small hexagons marine fasteners have (mm), JIS B 1180 and B 1181. */
    private static final Map<Integer, Integer> FLATS = Map.of(5, 8, 6, 10, 8, 12, 10, 14, 12, 17, 16, 24, 20, 30);

    /** Click wrenches as they are sold: least and most (N·m). */
    private static final List<double[]> WRENCHES = List.of(
            new double[] {1, 12}, new double[] {5, 25}, new double[] {10, 60}, new double[] {40, 200}, new double[] {
                80, 400
            });

    /** Words that stand alone in braces, and those that need a fastener or a seal after them. */
    static final Set<String> ALONE = Set.of("weight", "gear", "fitting", "turning", "trailing", "wrench");

    static final Set<String> OF_ONE = Set.of("count", "socket", "driver", "depth", "tap");

    private static final List<String> COUNTED = List.of(
            "no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve");

    private final Manual manual;
    private final Answers answers;
    private final Map<String, ObjectNode> fasteners;

    Filler(Manual manual, Answers answers, Map<String, ObjectNode> fasteners) {
        this.manual = manual;
        this.answers = answers;
        this.fasteners = fasteners;
    }

    void fill(ObjectNode step) {
        tools(step);
        for (String text : new String[] {"title", "detail", "school", "ask"}) {
            if (step.has(text)) {
                step.put(text, filled(step.get(text).asText()));
            }
        }
        hows(step.path("parts_out"));
        hows(step.path("parts_in"));
        cautions(step);
    }

    private void hows(JsonNode lines) {
        for (JsonNode line : lines) {
            if (line.has("how")) {
                ((ObjectNode) line).put("how", filled(line.get("how").asText()));
            }
        }
    }

    /** Tools in their order, each once; wrenches for what the step tightens stand where the library says a wrench is taken. */
    private void tools(ObjectNode step) {
        Set<String> tools = new LinkedHashSet<>();
        for (JsonNode tool : step.path("tools")) {
            if (tool.asText().equals("{wrench}")) {
                tools.addAll(wrenches(step));
            } else if (tool.asText().startsWith("{tap ")) {
                tap(tool.asText()).ifPresent(tools::add);
            } else {
                tools.add(filled(tool.asText()));
            }
        }
        if (step.has("tools")) {
            ArrayNode list = step.putArray("tools");
            tools.forEach(list::add);
        }
    }

    private List<String> wrenches(ObjectNode step) {
        List<String> ids = new ArrayList<>();
        step.path("fasteners").forEach(f -> ids.add(f.asText()));
        List<String> named = ids.stream()
                .flatMap(f -> manual.torque(f).stream())
                .map(Filler::wrench)
                .distinct()
                .toList();
        return named.isEmpty() && !ids.isEmpty() ? List.of(TEXT.get("filler.torque_wrench")) : named;
    }

    private static String wrench(Fastener.Torque torque) {
        double low = torque.range().lowNm();
        double high = torque.range().highNm();
        double[] fits = WRENCHES.stream()
                .filter(w -> w[0] <= low && high <= w[1])
                .findFirst()
                .orElse(WRENCHES.get(high > WRENCHES.get(1)[1] ? WRENCHES.size() - 1 : 0));
        return TEXT.get("filler.torque_wrench_n_m", (int) fits[0], (int) fits[1]);
    }

    private Optional<String> tap(String braces) {
        Matcher matcher = BRACES.matcher(braces);
        return matcher.matches()
                ? across(matcher.group(2)).map(d -> TEXT.get("filler.chasing_tap_m", d))
                : Optional.empty();
    }

    private Optional<Integer> across(String fastener) {
        return manual.thread(fastener)
                .map(METRIC::matcher)
                .filter(Matcher::matches)
                .map(m -> Integer.parseInt(m.group(1)));
    }

    /** Where a hand would be hurt, the library's cautions first; a torque printed in inch-pounds is warned of. */
    private void cautions(ObjectNode step) {
        ArrayNode cautions = JsonNodeFactory.instance.arrayNode();
        step.path("cautions").forEach(c -> cautions.add(filled(c.asText())));
        boolean tightens = step.get("phase").asText().equals("build");
        boolean inches = Stream.of(step.path("fasteners"))
                .flatMap(list -> {
                    List<String> ids = new ArrayList<>();
                    list.forEach(f -> ids.add(f.asText()));
                    return ids.stream();
                })
                .flatMap(f -> manual.torque(f).stream())
                .anyMatch(t -> t.unit() == Fastener.Unit.LBF_IN);
        if (tightens && inches) {
            cautions.add(INCH_POUNDS);
        }
        if (!cautions.isEmpty()) {
            step.set("cautions", cautions);
        }
    }

    /** The words in braces of a text that nothing is filled in for, as they stand in it. */
    static List<String> unknown(String text) {
        return BRACES.matcher(text)
                .results()
                .filter(found -> !isWord(found))
                .map(MatchResult::group)
                .toList();
    }

    private static boolean isWord(MatchResult found) {
        return found.group(2) == null ? ALONE.contains(found.group(1)) : OF_ONE.contains(found.group(1));
    }

    String filled(String text) {
        return BRACES.matcher(text).replaceAll(found -> Matcher.quoteReplacement(word(found)));
    }

    private String word(MatchResult found) {
        if (!isWord(found)) {
            return found.group();
        }
        String of = found.group(2);
        return switch (found.group(1)) {
            case "weight" -> manual.weight();
            case "gear" -> Manual.gear(answers);
            case "fitting" -> manual.fitting().orElse(TEXT.get("filler.the_fitting_of_its_fill_hole"));
            case "turning" -> turning(TEXT.get("filler.as_the_flywheel_runs"));
            case "trailing" -> TEXT.get("filler.trailing", turning(TEXT.get("filler.one_way_written_down")));
            case "count" ->
                fasteners.containsKey(of) && fasteners.get(of).path("count").asInt(1) > 0
                        ? counted(fasteners.get(of).path("count").asInt(1))
                        : "leg";
            case "socket" ->
                manual.socket(of)
                        .or(() -> across(of).map(FLATS::get).map(mm -> TEXT.get("filler.socket_mm", mm)))
                        .orElse(TEXT.get("filler.socket_that_fits"));
            case "driver" ->
                TEXT.get(
                        "filler.seal_driver",
                        manual.driver(of).map(d -> " " + d).orElse(""));
            case "depth" -> manual.depth(of).orElse(TEXT.get("filler.as_deep_as_the_old_one"));
            // A wrench and a tap stand among the tools alone; within a text they stay as they are.
            default -> found.group();
        };
    }

    private static String counted(int count) {
        return count < COUNTED.size() ? COUNTED.get(count) : String.valueOf(count);
    }

    private String turning(String unknown) {
        return switch (answers.get("driveshaft_turns")) {
            case "clockwise" -> "clockwise";
            case "counter_clockwise" -> "counter-clockwise";
            default -> unknown;
        };
    }
}
