package mussel.exchange.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.fail;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Random;
import mussel.core.book.LogCopy;
import mussel.exchange.record.Mutations;
import mussel.exchange.record.Read;
import org.junit.jupiter.api.Test;

class LogJsonTest {
    private static final LogCopy COPY =
            new LogCopy(Map.of("units", "US", "by", "“bench”"), List.of(Samples.job(1, 1), Samples.job(7, 40)));

    static byte[] written(LogCopy copy) {
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            LogJson.write(copy, out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Read<LogCopy> read(String text) {
        return LogJson.read(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
    }

    private static String text() {
        return new String(written(COPY), StandardCharsets.UTF_8);
    }

    @Test
    void whatIsWrittenAndReadAgainIsTheSame() {
        assertThat(read(text()).value()).contains(COPY);
        assertThat(read(text()).problems()).isEmpty();
    }

    @Test
    void theFileKeepsToItsPublishedSchema() {
        Schema schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(LogSchema.text());
        assertThat(schema.validate(text(), InputFormat.JSON)).isEmpty();
        assertThat(schema.validate(text().replace("\"kind\":\"ticked\"", "\"kind\":\"tocked\""), InputFormat.JSON))
                .isNotEmpty();
    }

    @Test
    void whatIsWrongIsToldWithItsLine() {
        String broken = text().replace("\"outcome\":\"milky\"", "\"outcome\":\"muddy\"");
        assertThat(read(broken).value()).isEmpty();
        assertThat(read(broken).problems())
                .first()
                .asString()
                .startsWith("line 8: chooses “muddy” on oil_water; there are none, haze");
        String far = text().replace("\"value\":412.25", "\"value\":4.1225E9");
        assertThat(read(far).problems())
                .first()
                .asString()
                .contains("hour meter")
                .contains("50000.0 h");
        assertThat(read("{}").problems()).first().asString().contains("is no log of Mussel");
        assertThat(read("[1").problems()).isNotEmpty();
        assertThat(read(text().replace("\"version\":1", "\"version\":2")).problems())
                .first()
                .asString()
                .contains("reads 1");
        assertThat(read(text().substring(0, text().length() / 2)).problems())
                .first()
                .asString()
                .startsWith("line ");
    }

    @Test
    void aJobThatIsThereTwiceIsRefused() {
        LogCopy twice = new LogCopy(Map.of(), List.of(Samples.job(1, 1), Samples.job(1, 40)));
        assertThat(LogJson.read(new ByteArrayInputStream(written(twice))).problems())
                .hasSize(1);
    }

    /** Five thousand files with bytes flipped, cut out, doubled, swapped or cut off: refused with sentences, or read as they now stand. */
    @Test
    void mutatedFilesAreRefusedOrReadRight() {
        byte[] sound = written(COPY);
        Random random = new Random(2026);
        int read = 0;
        for (int i = 0; i < 5_000; i++) {
            byte[] mutated = Mutations.of(sound, random);
            try {
                Read<LogCopy> result = LogJson.read(new ByteArrayInputStream(mutated));
                if (result.value().isPresent()) {
                    read++;
                    LogCopy copy = result.value().get();
                    assertThat(LogJson.read(new ByteArrayInputStream(written(copy)))
                                    .value())
                            .contains(copy);
                } else {
                    assertThat(result.problems()).isNotEmpty();
                    assertThat(result.problems()).noneMatch(p -> p.problem().contains("Exception"));
                }
            } catch (RuntimeException e) {
                fail("file " + i + ": " + new String(mutated, StandardCharsets.UTF_8), e);
            }
        }
        assertThat(read).isGreaterThan(50);
    }
}
