package mussel.exchange.record;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Problem;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class RecordReaderTest {
    enum Colour {
        DARK_RED,
        BLUE
    }

    record Inner(@Given("the name") String name) {}

    record Outer(
            @Given(value = "the size", kind = Kind.LENGTH, min = 0, max = 10) double sizeMm,
            @Given(value = "the count", min = 0, max = 5, orElse = "2") int count,
            @Given("the weight") OptionalDouble weightG,
            @Given("the colour") Optional<Colour> colour,
            @Given(value = "whether it shines", orElse = "false") boolean shines,
            @Given("the inner ones") List<Inner> inner) {}

    private static Read<Outer> read(String json) {
        return RecordReader.read(Json.tree(json.getBytes(UTF_8)).value().orElseThrow(), Outer.class);
    }

    @Test
    void whatIsAbsentTakesItsFallback() {
        assertThat(read("{\"size_mm\": 0.3}").value())
                .contains(new Outer(0.3, 2, OptionalDouble.empty(), Optional.empty(), false, List.of()));
    }

    @Test
    void everythingGivenIsTaken() {
        assertThat(read("{\"size_mm\":1,\"count\":3,\"weight_g\":2.5,\"colour\":\"dark_red\",\"shines\":true,"
                                + "\"inner\":[{\"name\":\"a\"}]}")
                        .value())
                .contains(new Outer(
                        1, 3, OptionalDouble.of(2.5), Optional.of(Colour.DARK_RED), true, List.of(new Inner("a"))));
    }

    @Test
    void eachProblemStandsAtItsPlace() {
        List<Problem> problems = read("{\"size_mm\":11,\"count\":2.5,\"colour\":\"DARK_RED\",\"shines\":\"yes\","
                        + "\"inner\":[{\"name\":\"a\"},{\"name\":3},7],\"a/b\":1}")
                .problems();
        assertThat(problems)
                .extracting(Problem::at)
                .containsExactlyInAnyOrder(
                        "/a~1b", "/size_mm", "/count", "/colour", "/shines", "/inner/1/name", "/inner/2");
        assertThat(problems)
                .extracting(Problem::problem)
                .anyMatch(p -> p.equals("is 11; the size goes from 0 mm to 10 mm"));
    }

    @Test
    void aListIsNoObjectAndAnObjectNoList() {
        assertThat(read("[]").problems()).extracting(Problem::at).containsExactly("");
        assertThat(read("{\"size_mm\":1,\"inner\":{}}").problems())
                .extracting(Problem::at)
                .containsExactly("/inner");
    }

    @Property
    void aDoubleWrittenReadsBackToTheBit(@ForAll double any) {
        double size = Math.abs(any) % 10;
        if (Double.isFinite(size)) {
            assertThat(read("{\"size_mm\":" + size + "}").value().orElseThrow().sizeMm())
                    .isEqualTo(size);
        }
    }

    @Property
    void noTextBreaksTheReader(@ForAll String text) {
        Read<com.fasterxml.jackson.databind.JsonNode> tree = Json.tree(text.getBytes(UTF_8));
        assertThat(tree.value().isPresent()).isEqualTo(tree.problems().isEmpty());
        tree.value().ifPresent(t -> assertThat(RecordReader.read(t, Outer.class).problems())
                .isNotEmpty());
    }
}
