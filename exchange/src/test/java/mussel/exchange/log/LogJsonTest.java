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
import mussel.core.measure.Problem;
import mussel.exchange.record.Mutations;
import mussel.exchange.record.Read;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LogJsonTest {
    private static final LogCopy COPY = new LogCopy(
            Map.of("units", "US", "by", "“bench”"), List.of(Samples.yard(30), Samples.job(1, 1), Samples.job(7, 40)));

    private static final Schema SCHEMA = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(LogSchema.text());

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
        assertThat(SCHEMA.validate(text(), InputFormat.JSON)).isEmpty();
        assertThat(SCHEMA.validate(first(), InputFormat.JSON)).isEmpty();
        assertThat(SCHEMA.validate(text().replace("\"kind\":\"ticked\"", "\"kind\":\"tocked\""), InputFormat.JSON))
                .isNotEmpty();
    }

    @Test
    void whatIsWrongIsToldWithItsLine() {
        String broken = first().replace("\"outcome\":\"milky\"", "\"outcome\":\"muddy\"");
        assertThat(read(broken).value()).isEmpty();
        assertThat(read(broken).problems())
                .first()
                .asString()
                .startsWith("line 12: chooses “muddy” on oil_water; there are none, haze");
        String far = first().replace("\"value\":412.25", "\"value\":4.1225E9");
        assertThat(read(far).problems())
                .first()
                .asString()
                .contains("hour meter")
                .contains("50000.0 h");
        assertThat(read("{}").problems()).first().asString().contains("is no log of Mussel");
        assertThat(read("[1").problems()).isNotEmpty();
        assertThat(read(text().replace("\"version\":4", "\"version\":5")).problems())
                .first()
                .asString()
                .contains("reads up to 4")
                .contains("newer Mussel");
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

    /** A file as the first version had it: nothing in it says what it holds. */
    private static String first() {
        return text().replaceAll("\"head\":\"[0-9a-f]+\",", "")
                .replaceAll(",\"count\":\\{[^}]*}", "")
                .replace("\"version\":4", "\"version\":1")
                .replace("\"sheets\":{},", "");
    }

    @Test
    void aFileOfTheFirstVersionIsRead() {
        assertThat(read(first()).value()).contains(COPY);
    }

    /** Each hand edit of a file of this version is refused, and so is one that lost its heads whatever its version. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "a setting changed | \"units\":\"US\" | \"units\":\"METRIC\" | its seal does not fit",
                "a setting taken out | \"units\":\"US\" | \"glove\":\"on\" | its seal does not fit",
                "heads taken out | \"head\":\"[0-9a-f]+\", | `` | jobs without a head",
                "the seal changed | \"seal\":\"[0-9a-f]{4} | \"seal\":\"0000 | its seal does not fit",
                "the seal taken out | ,\"seal\":\"[0-9a-f]+\" | `` | its seal does not fit",
                "a file of version 3 without heads | `(?s)\"version\":4(.*?)` | \"version\":3$1 | `` ",
            })
    void whatIsEditedByHandIsRefused(String what, String from, String to, String why) {
        String edited = text().replaceAll(from.strip(), to == null ? "" : to.strip());
        if (what.startsWith("a file of version 3")) {
            edited = edited.replaceAll("\"head\":\"[0-9a-f]+\",", "").replaceAll(",\"seal\":\"[0-9a-f]+\"", "");
            why = "jobs without a head";
        }
        assertThat(edited).as(what).isNotEqualTo(text());
        assertThat(read(edited).value()).as(what).isEmpty();
        assertThat(read(edited).problems()).as(what).anySatisfy(matching(why.strip()));
    }

    private static org.assertj.core.api.ThrowingConsumer<Problem> matching(String why) {
        return problem -> assertThat(problem.problem()).contains(why);
    }

    @Test
    void whatWasChangedTakenOutOrPutInIsTold() {
        assertThat(read(text().replaceFirst("\"value\":412.25", "\"value\":413.25"))
                        .problems())
                .singleElement()
                .asString()
                .contains("is not as it was written");
        assertThat(read(text().replaceFirst("\"entries\":(\\d+),\"seal\"", "\"entries\":1,\"seal\""))
                        .problems())
                .first()
                .asString()
                .contains("something was taken out or put in");
        assertThat(read(text().replaceAll(",\"count\":\\{[^}]*}", "")).problems())
                .first()
                .asString()
                .contains("its end is missing");
    }

    @Test
    void whatNothingCouldFollowOrNobodyCouldReadIsRefused() {
        for (String[] edit : new String[][] {
            {"\"job\":1,", "\"job\":2147483647,", "at most 1000000000"},
            {"\"job\":1,", "\"job\":99999999999999999999,", "its own"},
            {"\"seq\":2,", "\"seq\":9223372036854775807,", "at most 9007199254740991"},
            {"\"seq\":2,", "\"seq\":\"2\",", "seq must be a number"},
            {"\"seq\":1,", "\"seq\":9,", "below that of the entry before it"},
            {"\"value\":412.25", "\"value\":\"412.25\"", "value is missing or of another kind"},
            {"\"value\":412.25", "\"value\":\"Infinity\"", "missing or of another kind"},
            {"\"value\":412.25", "\"value\":\"NaN\"", "missing or of another kind"},
            {"\"value\":412.25", "\"value\":NaN", "NaN"},
            {"\"simulated\":false", "\"simulated\":\"false\"", "simulated"},
            {"\"simulated\":false", "\"simulated\":0", "simulated"},
            {"\"typed\":\"412", "\"typed\":412,\"x\":\"", "typed"}
        }) {
            String broken = first().replace(edit[0], edit[1]);
            assertThat(broken).as(edit[0]).isNotEqualTo(first());
            assertThat(read(broken).value()).as(edit[1]).isEmpty();
            assertThat(read(broken).problems())
                    .as(edit[1])
                    .anyMatch(p -> p.toString().contains(edit[2]))
                    .noneMatch(p -> p.toString().matches(".*(mussel\\.|java\\.|null|Exception).*"));
        }
        String wrong =
                first().replaceFirst("\"settings\":\\{[^}]*}", "\"settings\":{\"units\":\"furlong\",\"colour\":\"x\"}");
        assertThat(read(wrong).problems())
                .extracting(Problem::problem)
                .containsExactly(
                        "the setting units is “furlong”, which is none this program knows",
                        "the setting colour is none this program knows");
    }

    /** Whatever is read passes the published schema too. */
    @Test
    void mutatedFilesThatAreReadPassTheSchema() {
        Random random = new Random(7);
        byte[] sound = first().getBytes(StandardCharsets.UTF_8);
        int read = 0;
        for (int i = 0; i < 1_000; i++) {
            byte[] mutated = Mutations.of(sound, random);
            if (LogJson.read(new ByteArrayInputStream(mutated)).value().isPresent()) {
                read++;
                String text = new String(mutated, StandardCharsets.UTF_8);
                assertThat(SCHEMA.validate(text, InputFormat.JSON)).as(text).isEmpty();
            }
        }
        assertThat(read).isGreaterThan(10);
    }

    /** Five thousand files with bytes flipped, cut out, doubled, swapped or cut off: refused with sentences, or read as they now stand. */
    @Test
    void mutatedFilesAreRefusedOrReadRight() {
        byte[] sealed = written(COPY);
        byte[] bare = first().getBytes(StandardCharsets.UTF_8);
        Random random = new Random(2026);
        int read = 0;
        for (int i = 0; i < 5_000; i++) {
            boolean first = i % 2 == 0;
            byte[] mutated = Mutations.of(first ? bare : sealed, random);
            try {
                Read<LogCopy> result = LogJson.read(new ByteArrayInputStream(mutated));
                if (result.value().isPresent()) {
                    read++;
                    LogCopy copy = result.value().get();
                    assertThat(first || copy.equals(COPY))
                            .as("what carries its seal is right or refused")
                            .isTrue();
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
