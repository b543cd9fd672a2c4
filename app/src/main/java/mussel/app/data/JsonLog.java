package mussel.app.data;

import com.fasterxml.jackson.core.JsonProcessingException;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import mussel.core.book.LogSource;
import mussel.core.job.Entry;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.core.measure.Problem;
import mussel.exchange.log.LogJson;
import mussel.exchange.log.LogSheets;
import mussel.exchange.record.Read;

/** A log as a JSON file. The first walk finds whether it is sound; each later one must meet the same bytes. */
final class JsonLog implements LogSource {
    private static final Messages TEXT = Messages.of(JsonLog.class);

    private final Path file;
    private Optional<byte[]> sum = Optional.empty();

    JsonLog(Path file) {
        this.file = file;
    }

    /** The file is no sound log. */
    static final class UnsoundException extends RuntimeException {
        private static final long serialVersionUID = 1L;
        private final transient List<Problem> problems;

        UnsoundException(List<Problem> problems) {
            this.problems = List.copyOf(problems);
        }

        List<Problem> problems() {
            return problems;
        }
    }

    @Override
    public Map<String, String> walk(Consumer<List<Entry>> job) {
        MessageDigest digest = sha256();
        try (InputStream in = new DigestInputStream(new BufferedInputStream(Files.newInputStream(file)), digest)) {
            Read<Map<String, String>> read = sum.isEmpty() ? LogJson.walk(in, job) : LogJson.walkAgain(in, job);
            in.transferTo(OutputStream.nullOutputStream());
            byte[] met = digest.digest();
            if (sum.isPresent() && !Arrays.equals(sum.get(), met)) {
                throw changed();
            }
            Map<String, String> settings = read.value().orElseThrow(() -> new UnsoundException(read.problems()));
            sum = Optional.of(met);
            return settings;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void sheets(BiConsumer<String, String> each) {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            LogSheets.walk(in, sheet -> each.accept(sheet.name(), sheet.text()));
        } catch (JsonProcessingException e) {
            throw changed();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static JournalException changed() {
        return new JournalException(TEXT.get("json_log.the_file_has_changed_since_it"));
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }
}
