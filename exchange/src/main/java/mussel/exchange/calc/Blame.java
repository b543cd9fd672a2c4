package mussel.exchange.calc;

import com.fasterxml.jackson.core.JsonPointer;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.DoubleNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mussel.core.language.Messages;
import mussel.core.measure.Problem;

/**
 * Finds the input that keeps a result from being finite: each figure, the most extreme first, is put to a moderate value for a try; the one with
 * which a finite result comes out is to blame.
 */
final class Blame {
    private static final Messages TEXT = Messages.of(Blame.class);

    private static final double[] MODERATE = {1, 10, 0.5, 20, 100, 0};
    private static final int MOST_TRIED = 60;

    private Blame() {}

    /** Whether every figure in an answer is finite. */
    static boolean finite(JsonNode node) {
        if (node.isFloatingPointNumber()) {
            return Double.isFinite(node.doubleValue());
        }
        for (JsonNode child : node) {
            if (!finite(child)) {
                return false;
            }
        }
        return true;
    }

    /**
     * The problem of an input whose result would not be finite.
     *
     * @param compute computes once more; empty where no finite result comes out
     */
    static Problem of(JsonNode input, Function<JsonNode, Optional<ObjectNode>> compute) {
        List<JsonPointer> figures = new ArrayList<>();
        gather(input, JsonPointer.empty(), figures);
        figures.sort(Comparator.comparingDouble(
                (JsonPointer p) -> -extreme(input.at(p).doubleValue())));
        for (JsonPointer figure : figures.subList(0, Math.min(MOST_TRIED, figures.size()))) {
            for (double moderate : MODERATE) {
                JsonNode tried = input.deepCopy();
                put(tried, figure, moderate);
                if (compute.apply(tried).isPresent()) {
                    return new Problem(
                            figure.toString(),
                            TEXT.get(
                                    "blame.is_beside_the_other_figures_no",
                                    input.at(figure).asText()));
                }
            }
        }
        return new Problem(
                figures.isEmpty() ? "" : figures.get(0).toString(), TEXT.get("blame.and_the_other_figures_give_no"));
    }

    private static void gather(JsonNode node, JsonPointer at, List<JsonPointer> figures) {
        if (node.isNumber()) {
            figures.add(at);
        } else if (node.isObject()) {
            node.properties().forEach(p -> gather(p.getValue(), at.appendProperty(p.getKey()), figures));
        } else {
            for (int i = 0; i < node.size(); i++) {
                gather(node.get(i), at.appendIndex(i), figures);
            }
        }
    }

    private static double extreme(double value) {
        return value == 0 ? 50 : Math.abs(Math.log10(Math.abs(value)));
    }

    private static void put(JsonNode tree, JsonPointer at, double value) {
        JsonNode parent = tree.at(at.head());
        if (parent instanceof ObjectNode object) {
            object.set(at.last().getMatchingProperty(), DoubleNode.valueOf(value));
        } else if (parent instanceof ArrayNode array) {
            array.set(at.last().getMatchingIndex(), DoubleNode.valueOf(value));
        }
    }
}
