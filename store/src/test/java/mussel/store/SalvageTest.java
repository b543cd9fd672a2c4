package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import mussel.core.job.Address;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.job.Topic;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Damaged copies of a log: opened right, or refused in words, and every whole entry is brought out. */
@Tag("attack")
class SalvageTest {
    private static final Clock NOON = Clock.fixed(Instant.parse("2026-11-23T12:00:00Z"), ZoneOffset.UTC);
    private static final int PAGE = 4_096;

    @TempDir
    static Path shared;

    @TempDir
    Path folder;

    private static byte[] sound;
    private static final Map<Long, Entry> ENTRIES = new HashMap<>();

    @BeforeAll
    static void fill() throws IOException {
        Path log = shared.resolve("yard.mussel");
        try (SqliteJournal journal = SqliteJournal.open(log, NOON)) {
            for (int job = 1; job <= 25; job++) {
                journal.open(new LegRef("leg-" + job, "Byssus " + job, LegRef.Position.SINGLE, "wren-8"), "bench");
                for (int i = 1; i <= 20; i++) {
                    journal.append(job, "bench", Fact.Read.byHand(Address.the("drained"), 100 * job + i, i + " ml"));
                }
                journal.append(job, "bench", new Fact.Noted(Topic.COMPLAINT.address(), "milky ".repeat(job * 60)));
            }
            journal.keepSetting("yard_name", "Slip");
            journal.all().forEach(job -> job.forEach(e -> ENTRIES.put(e.seq(), e)));
        }
        sound = Files.readAllBytes(log);
    }

    @Test
    void aSoundLogComesOutWhole() throws IOException {
        Path damaged = Files.write(folder.resolve("damaged.mussel"), sound);
        Path out = folder.resolve("out.mussel");
        List<String> says = Salvage.bring(damaged, out, NOON);
        assertThat(says).contains("No entry is known to be missing.");
        assertThat(brought(out)).isEqualTo(ENTRIES);
        assertThat(Integrity.of(out, NOON).troubles()).isEmpty();
        try (SqliteJournal journal = SqliteJournal.read(out, NOON)) {
            assertThat(journal.setting("yard_name", "")).isEqualTo("Slip");
        }
        assertThatThrownBy(() -> Salvage.bring(damaged, out, NOON)).hasMessageContaining("never overwritten");
        assertThat(damaged).hasBinaryContent(sound);
    }

    /** Its beginning, where the database keeps what lies where, is gone: the pages say it themselves. */
    @Test
    void withoutItsBeginningItComesOutWholeWithItsSettings() throws IOException {
        byte[] bytes = sound.clone();
        Arrays.fill(bytes, 0, PAGE, (byte) 0x5A);
        Path damaged = Files.write(folder.resolve("damaged.mussel"), bytes);
        Path out = folder.resolve("out.mussel");
        assertThat(Salvage.bring(damaged, out, NOON)).contains("No entry is known to be missing.");
        assertThat(brought(out)).isEqualTo(ENTRIES);
        try (SqliteJournal journal = SqliteJournal.read(out, NOON)) {
            assertThat(journal.setting("yard_name", "")).isEqualTo("Slip");
        }
    }

    private static Map<Long, Entry> brought(Path out) {
        Map<Long, Entry> brought = new HashMap<>();
        try (SqliteJournal journal = SqliteJournal.read(out, NOON)) {
            journal.all().forEach(job -> job.forEach(e -> brought.put(e.seq(), e)));
        }
        return brought;
    }

    @Test
    void whatIsDamagedAndWhatIsLostIsNamed() throws IOException {
        byte[] bytes = sound.clone();
        String text = new String(bytes, java.nio.charset.StandardCharsets.ISO_8859_1);
        bytes[text.indexOf("\"value\":707") + 9] = '9';
        Path damaged = Files.write(folder.resolve("damaged.mussel"), bytes);
        List<String> says = Salvage.bring(damaged, folder.resolve("out.mussel"), NOON);
        assertThat(says).anyMatch(s -> s.startsWith("Job 7, entry ") && s.contains("does not fit its seal"));
        assertThat(brought(folder.resolve("out.mussel"))).hasSize(ENTRIES.size() - 1);
        assertThatThrownBy(() ->
                        Salvage.bring(Files.writeString(folder.resolve("x"), "Dear diary"), folder.resolve("y"), NOON))
                .hasMessageContaining("no whole entry");
    }

    /** Bytes, pages, pieces: what can be opened says what it said, what cannot is refused in words, and salvage gives every entry whose bytes are whole. */
    @Test
    void noDamageMakesALogSilentlyWrongAndEveryWholeEntryComesOut() throws IOException {
        Attack attack = new Attack("damaged copies of a log");
        Random random = new Random(11);
        for (int i = 0; i < Attack.times(40, 1_000); i++) {
            int kind = i % 4;
            byte[] bytes = sound.clone();
            boolean[] hurt = new boolean[bytes.length / PAGE + 1];
            if (kind == 0) {
                for (int n = 0; n < 1 + random.nextInt(8); n++) {
                    int at = random.nextInt(bytes.length);
                    bytes[at] ^= (byte) (1 + random.nextInt(255));
                    hurt[at / PAGE] = true;
                }
            } else if (kind == 1) {
                int page = random.nextInt(bytes.length / PAGE);
                Arrays.fill(bytes, page * PAGE, (page + 1) * PAGE, (byte) random.nextInt(256));
                hurt[page] = true;
            } else if (kind == 2) {
                int left = random.nextInt(bytes.length);
                bytes = Arrays.copyOf(bytes, left);
                Arrays.fill(hurt, left / PAGE, hurt.length, true);
            } else {
                int from = random.nextInt(bytes.length);
                int to = Math.min(bytes.length, from + random.nextInt(20_000));
                random.nextBytes(bytes);
                System.arraycopy(sound, 0, bytes, 0, from);
                System.arraycopy(sound, to, bytes, to, bytes.length - to);
                Arrays.fill(hurt, from / PAGE, Math.min(hurt.length, to / PAGE + 1), true);
            }
            byte[] damaged = bytes;
            int n = i;
            attack.attempt("copy " + n + " of kind " + kind, () -> look(damaged, hurt, n));
        }
        attack.over();
    }

    private void look(byte[] bytes, boolean[] hurt, int n) throws IOException {
        Path damaged = Files.write(folder.resolve("damaged-" + n + ".mussel"), bytes);
        try (SqliteJournal journal = SqliteJournal.read(damaged, NOON)) {
            boolean told = !Integrity.chains(damaged, jobs -> true).isEmpty();
            Map<Long, Entry> shown = new HashMap<>();
            journal.all().forEach(job -> job.forEach(e -> shown.put(e.seq(), e)));
            assertThat(told || shown.equals(ENTRIES)).as("right, or told").isTrue();
        } catch (JournalException e) {
            assertThat(e).hasMessageNotContaining("Exception").hasMessageNotContaining("null");
        }
        Path out = folder.resolve("out-" + n + ".mussel");
        Map<Long, Entry> brought = new HashMap<>();
        try {
            Salvage.bring(damaged, out, NOON);
            brought.putAll(brought(out));
        } catch (JournalException e) {
            assertThat(e).hasMessageContaining("no whole entry");
        }
        brought.values().stream().filter(e -> !e.by().equals("salvage")).forEach(e -> assertThat(e)
                .isEqualTo(ENTRIES.get(e.seq())));
        for (Map.Entry<Long, Integer> whole : pagesOfEntries().entrySet()) {
            if (!hurt[whole.getValue()]) {
                assertThat(brought).as("entry on a page that is whole").containsKey(whole.getKey());
            }
        }
    }

    private static Map<Long, Integer> pages;

    /** On which page of the sound log each entry lies that lies on one page: by the text of its reading, which stands once in the table. */
    private static Map<Long, Integer> pagesOfEntries() {
        if (pages == null) {
            Map<Long, Integer> found = new HashMap<>();
            String text = new String(sound, java.nio.charset.StandardCharsets.ISO_8859_1);
            ENTRIES.values().stream().filter(e -> e.fact() instanceof Fact.Read).forEach(e -> {
                String value = "\"value\":" + ((Fact.Read) e.fact()).value() + ",";
                int at = text.indexOf(value);
                if (at >= 0 && text.indexOf(value, at + 1) < 0) {
                    found.put(e.seq(), at / PAGE);
                }
            });
            assertThat(found).hasSizeGreaterThan(300);
            pages = found;
        }
        return pages;
    }
}
