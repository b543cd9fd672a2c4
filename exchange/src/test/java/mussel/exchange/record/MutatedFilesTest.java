package mussel.exchange.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.fail;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.Stream;
import mussel.core.measure.Problems;
import mussel.exchange.leak.HoldCsv;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every kind of file that is taken in, damaged at random: refused with sentences or read, never a trace. Three hundred of each kind, or as many
 * as {@code -Dmussel.mutations} says; a log as JSON has a test of its own.
 */
class MutatedFilesTest {
    private static final String HOLD = "time (s),pressure (kPa),temperature (°C)\r\n"
            + "0,100,20\r\n30,99.9,20.1\r\n60,99.8,20.1\r\n90,99.7,20.2\r\n120,\"99.6\",20.2\r\n";
    private static final String OWN = "priors:\n  - {cause: case_leak, prior: 0.04, why: frost every winter}\n";

    /** A kind of file: a sound one, and its reader. */
    record Kind(String name, byte[] sound, Function<byte[], Read<?>> reader) {
        @Override
        public String toString() {
            return name;
        }
    }

    static Stream<Kind> kinds() {
        return Stream.of(
                new Kind("spec sheet", resource("sheet/earlier/wren-8.yaml"), SheetFiles::family),
                new Kind("compact sheet", resource("sheet/families/wren-8.yaml"), SheetFiles::family),
                new Kind("yard sheet", resource("sheet/yard.yaml"), SheetFiles::yard),
                new Kind("catalogue", resource("parts/catalogue.yaml"), CatalogueFiles::read),
                new Kind("own numbers", OWN.getBytes(StandardCharsets.UTF_8), MutatedFilesTest::overrides),
                new Kind("hold", HOLD.getBytes(StandardCharsets.UTF_8), HoldCsv::read));
    }

    private static Read<?> overrides(byte[] bytes) {
        Read<mussel.core.verdict.Overrides> read = KnowledgeFiles.overrides(bytes);
        read.value().ifPresent(own -> own.check(KnowledgeFiles.shipped(), new Problems()));
        return read;
    }

    private static byte[] resource(String name) {
        try (InputStream in = MutatedFilesTest.class.getResourceAsStream("/mussel/exchange/" + name)) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void areRefusedOrRead(Kind kind) {
        assertThat(kind.reader().apply(kind.sound()).value())
                .as("the sound one")
                .isPresent();
        Random random = new Random(kind.name().hashCode());
        int refused = 0;
        int files = Integer.getInteger("mussel.mutations", 300);
        for (int i = 0; i < files; i++) {
            byte[] mutated = Mutations.of(kind.sound(), random);
            try {
                Read<?> read = kind.reader().apply(mutated);
                assertThat(read.value().isPresent())
                        .isNotEqualTo(!read.problems().isEmpty());
                assertThat(read.problems())
                        .noneMatch(p -> p.problem().isBlank() || p.problem().contains("Exception"));
                refused += read.problems().isEmpty() ? 0 : 1;
            } catch (RuntimeException e) {
                fail(kind.name() + " " + i + ":\n" + new String(mutated, StandardCharsets.UTF_8), e);
            }
        }
        assertThat(refused).isGreaterThan(files / 20);
    }
}
