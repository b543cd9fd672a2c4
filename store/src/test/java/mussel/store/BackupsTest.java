package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import mussel.core.job.Fact;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.job.Topic;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class BackupsTest {
    private static final Instant NOON = Instant.parse("2026-11-23T12:00:00Z");
    private static final Clock CLOCK = Clock.fixed(NOON, ZoneOffset.UTC);

    @TempDir
    Path folder;

    private Path log;

    @BeforeEach
    void fill() {
        log = folder.resolve("it's ours.mussel");
        note("first");
    }

    private static Clock day(int day) {
        return Clock.fixed(NOON.plus(Duration.ofDays(day)), ZoneOffset.UTC);
    }

    private void note(String text) {
        try (SqliteJournal journal = SqliteJournal.open(log, CLOCK)) {
            int job = journal.numbers().isEmpty()
                    ? journal.open(new LegRef("l", "Boat", LegRef.Position.SINGLE, "wren-8"), "bench")
                            .job()
                    : 1;
            journal.append(job, "bench", new Fact.Noted(Topic.COMPLAINT.address(), text));
        }
    }

    private int entries(Path file) {
        try (SqliteJournal journal = SqliteJournal.read(file, CLOCK)) {
            return journal.entries(1).size();
        }
    }

    private Path picture() throws IOException {
        Path picture = Files.write(folder.resolve("hub.png"), new byte[] {1, 2, 3});
        String name = PictureFolder.beside(log).keep(picture);
        try (SqliteJournal journal = SqliteJournal.open(log, CLOCK)) {
            journal.append(1, "bench", new Fact.Pictured(Topic.AS_FOUND.of("x"), name, "hub"));
        }
        return PictureFolder.beside(log).at(name);
    }

    @Test
    void oneADayAndKeptByAge() {
        for (int day = 0; day < 120; day++) {
            Backups today = Backups.of(log, day(day));
            assertThat(today.daily()).isPresent();
            assertThat(today.daily()).isEmpty();
        }
        List<Backups.Kept> kept = Backups.of(log, day(119)).kept();
        assertThat(kept).hasSizeBetween(15, 22);
        assertThat(kept.subList(0, 8))
                .extracting(k -> k.made().toLocalDate())
                .isEqualTo(java.time.LocalDate.of(2026, 11, 23)
                        .plusDays(112)
                        .datesUntil(java.time.LocalDate.of(2026, 11, 23).plusDays(120))
                        .sorted(java.util.Comparator.reverseOrder())
                        .toList());
    }

    @Test
    void whatIsRestoredIsWhatWasAndWhatWasThereIsKept() throws IOException {
        Path picture = picture();
        Path travels = folder.resolve("yard" + Backups.ENDING);
        Backups backups = Backups.of(log, CLOCK);
        backups.everything(travels, false);
        note("second");
        Files.delete(picture);
        assertThat(Integrity.of(log, CLOCK).troubles())
                .singleElement()
                .asString()
                .contains("is missing");
        Path before = backups.restore(travels).before().orElseThrow();
        assertThat(entries(log)).isEqualTo(3);
        assertThat(picture).exists();
        assertThat(Integrity.of(log, CLOCK).troubles()).isEmpty();
        assertThat(Integrity.of(log, CLOCK).pictures()).isEqualTo(1);
        backups.restore(before);
        assertThat(entries(log)).isEqualTo(4);
    }

    @Test
    void anotherMachineGetsEverythingFromOneFile() throws IOException {
        picture();
        Path travels = folder.resolve("yard" + Backups.ENDING);
        Backups.of(log, CLOCK).everything(travels, false);
        Path there = folder.resolve("other").resolve("yard.mussel");
        assertThat(Backups.of(there, CLOCK).restore(travels).before()).isEmpty();
        assertThat(entries(there)).isEqualTo(3);
        assertThat(Integrity.of(there, CLOCK).troubles()).isEmpty();
    }

    @Test
    void whatWasCutOffHalfMadeIsClearedAwayByTheNext() throws IOException {
        Path daily = Backups.of(log, CLOCK).daily().orElseThrow();
        for (String half : List.of(".half", ".copy", ".copy-journal")) {
            Files.write(daily.resolveSibling("2026-11-22-120000-daily.mussel-backup" + half), new byte[9]);
        }
        Path notes = Files.write(daily.resolveSibling("notes.txt"), new byte[9]);
        Path next = Backups.of(log, day(1)).daily().orElseThrow();
        try (var files = Files.list(daily.getParent())) {
            assertThat(files).containsExactlyInAnyOrder(daily, next, notes);
        }
    }

    @Test
    void theYardsOwnSheetsTravelWithTheLog() throws IOException {
        Path data = folder.resolve("data");
        Files.createDirectories(data.resolve("families").resolve("deeper"));
        String yard = shipped("yard.yaml");
        Files.writeString(data.resolve("yard.yaml"), yard);
        String own = shipped("families/wren-8.yaml").replaceFirst("(?m)^id: wren-8", "id: own-40");
        Files.writeString(data.resolve("families").resolve("own-40.yaml"), own);
        Files.writeString(data.resolve("families").resolve("spoilt.yaml"), "id: spoilt\n");
        Files.writeString(data.resolve("families").resolve("deeper").resolve("x.yaml"), "no sheet");
        Files.writeString(data.resolve("mussel.0.log"), "no sheet");
        Path travels = folder.resolve("yard" + Backups.ENDING);
        Backups.of(log, data, CLOCK).everything(travels, false);

        Path there = folder.resolve("there");
        Files.createDirectories(there);
        Files.writeString(there.resolve("yard.yaml"), "name: Slip\n");
        Backups elsewhere = Backups.of(there.resolve("yard.mussel"), there, CLOCK);
        assertThat(elsewhere.meets(travels))
                .extracting(SheetInBackup::says)
                .containsExactly(
                        "Sheet families/own-40.yaml: comes in; it counts from the next start on.",
                        "Sheet families/spoilt.yaml: left out; it is missing: the family's name.",
                        "Sheet yard.yaml: the one that is here stays.");
        elsewhere.restore(travels);
        assertThat(there.resolve("families").resolve("own-40.yaml")).hasContent(own);
        assertThat(there.resolve("families").resolve("spoilt.yaml")).doesNotExist();
        assertThat(there.resolve("yard.yaml")).hasContent("name: Slip");
        assertThat(there.resolve("mussel.0.log")).doesNotExist();
        assertThat(elsewhere.meets(travels))
                .extracting(SheetInBackup::says)
                .filteredOn(s -> !s.contains("spoilt"))
                .allMatch(s -> s.endsWith("the one that is here stays."));
    }

    private static String shipped(String name) throws IOException {
        try (var in = mussel.exchange.sheet.SheetFiles.class.getResourceAsStream(name)) {
            return new String(in.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        }
    }

    /** A backup made by somebody else can hold any name, and anything under it. */
    @Test
    void whatNoBackupHoldsIsRefusedBeforeAByteIsWritten() throws IOException {
        Path travels = folder.resolve("yard" + Backups.ENDING);
        Backups.of(log, CLOCK).everything(travels, false);
        for (String name : List.of(
                "sheets/../out.yaml",
                "sheets/families/../../out.yaml",
                "sheets/families/..\\..\\out.yaml",
                "sheets/families/.hidden.yaml",
                "sheets/yard.mussel",
                "pictures/../../out.jpg",
                "pictures/out.jpg",
                "pictures/" + "0".repeat(64) + ".exe",
                "/out.yaml")) {
            refused(travels, name, 1);
        }
        refused(travels, "pictures/" + "0".repeat(64) + ".png", (int) PictureFolder.MOST_BYTES + 1);
        refused(travels, "sheets/yard.yaml", 9 * 1024 * 1024);
    }

    private void refused(Path sound, String name, int bytes) throws IOException {
        Path evil = folder.resolve("evil" + Backups.ENDING);
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(evil));
                ZipFile from = new ZipFile(sound.toFile())) {
            zip.putNextEntry(new ZipEntry("log"));
            from.getInputStream(from.getEntry("log")).transferTo(zip);
            zip.putNextEntry(new ZipEntry(name));
            zip.write(new byte[bytes]);
        }
        Path there = folder.resolve("a").resolve("b").resolve("there");
        Backups backups = Backups.of(there.resolve("yard.mussel"), there, CLOCK);
        assertThatThrownBy(() -> backups.restore(evil)).as(name).hasMessageContaining("no backup of Mussel");
        try (var files = Files.walk(folder.resolve("a"))) {
            assertThat(files.filter(Files::isRegularFile)
                            .map(f -> f.getFileName().toString()))
                    .as(name)
                    .containsExactly("yard.mussel.lock");
        }
    }

    @Test
    void automaticOnesShareTheirPictures() throws IOException {
        Path picture = picture();
        Path daily = Backups.of(log, CLOCK).daily().orElseThrow();
        Files.delete(picture);
        Backups.of(log, CLOCK).restore(daily);
        assertThat(picture).exists();
    }

    /** Damaged backups are refused and leave the logbook as it is, or are sound after all. */
    @Test
    void aDamagedBackupNeverReplacesALogbook() throws IOException {
        Path travels = folder.resolve("yard" + Backups.ENDING);
        Backups.of(log, CLOCK).everything(travels, false);
        byte[] sound = Files.readAllBytes(travels);
        byte[] inside = Files.readAllBytes(Backups.unpack(travels, folder.resolve("sound.mussel")));
        Random random = new Random(3);
        for (int i = 0; i < Integer.getInteger("mussel.mutations", 300); i++) {
            byte[] bytes =
                    java.util.Arrays.copyOf(sound, random.nextBoolean() ? sound.length : random.nextInt(sound.length));
            if (bytes.length > 0) {
                bytes[random.nextInt(bytes.length)] ^= (byte) (1 + random.nextInt(255));
            }
            Path damaged = Files.write(folder.resolve("damaged" + Backups.ENDING), bytes);
            try {
                assertThat(Backups.unpack(damaged, folder.resolve("out.mussel")))
                        .hasBinaryContent(inside);
            } catch (JournalException e) {
                assertThat(e).hasMessageContaining("damaged").hasMessageNotContaining("Exception");
            }
        }
        assertThat(entries(log)).isEqualTo(2);
    }

    /** Neither its beginning nor its middle can be read any more: it is set aside as it is and the backup takes its place. */
    @Test
    void aDamagedLogbookIsSetAsideAndTheBackupTakesItsPlace() throws IOException {
        Path travels = folder.resolve("yard" + Backups.ENDING);
        Backups.of(log, CLOCK).everything(travels, false);
        byte[] sound = Files.readAllBytes(log);
        for (int from : new int[] {0, 4_096}) {
            byte[] damaged = sound.clone();
            java.util.Arrays.fill(damaged, from, Math.min(damaged.length, from + 9_000), (byte) 0x5a);
            Files.write(log, damaged);
            Clock later = day(from);
            assertThatThrownBy(() -> SqliteJournal.openOrRead(log, CLOCK)).isInstanceOf(JournalException.class);
            Path aside = Backups.of(log, later).restore(travels).before().orElseThrow();
            assertThat(aside).hasBinaryContent(damaged);
            assertThat(aside.getFileName().toString()).contains(".set-aside-");
            assertThat(entries(log)).isEqualTo(2);
        }
    }

    @Test
    void aLogbookThatIsOpenIsNotReplaced() throws IOException {
        Path travels = folder.resolve("yard" + Backups.ENDING);
        Backups.of(log, CLOCK).everything(travels, false);
        note("second");
        try (SqliteJournal open = SqliteJournal.open(log, CLOCK)) {
            assertThatThrownBy(() -> Backups.of(log, CLOCK).restore(travels)).hasMessageContaining("another Mussel");
            assertThat(open.entries(1)).hasSize(3);
        }
        assertThat(entries(log)).isEqualTo(3);
        assertThat(Backups.of(log, CLOCK).kept()).as("nothing was done").isEmpty();
    }

    @Test
    void backupsOfTheSameSecondKeepEachOther() {
        Backups backups = Backups.of(log, CLOCK);
        Path first = backups.beside("before-restore");
        note("second");
        Path second = backups.beside("before-restore");
        assertThat(second).isNotEqualTo(first);
        assertThat(backups.kept()).extracting(Backups.Kept::file).containsExactlyInAnyOrder(first, second);
    }

    @Test
    void aFileThatIsNoBackupIsRefused() throws IOException {
        Path text = Files.writeString(folder.resolve("notes.txt"), "hello");
        assertThatThrownBy(() -> Backups.of(log, CLOCK).restore(text))
                .isInstanceOf(JournalException.class)
                .hasMessageContaining("no backup of Mussel");
        assertThat(entries(log)).isEqualTo(2);
    }

    @Test
    void aLogThatMayNotBeWrittenIsShownForReading() throws Exception {
        try (SqliteJournal journal = SqliteJournal.openOrRead(log, CLOCK)) {
            assertThat(journal.readOnly()).isFalse();
            assertThatThrownBy(() -> SqliteJournal.openOrRead(log, CLOCK)).hasMessageContaining("another Mussel");
        }
        Path lock = log.resolveSibling(log.getFileName() + ".lock");
        Files.delete(lock);
        Files.createDirectory(lock);
        try (SqliteJournal journal = SqliteJournal.openOrRead(log, CLOCK)) {
            assertThat(journal.readOnly()).isTrue();
            assertThat(journal.whyReadOnly()).contains("cannot be written");
            assertThat(journal.entries(1)).hasSize(2);
            assertThatThrownBy(() -> journal.append(1, "bench", new Fact.Ticked("x", true)))
                    .hasMessageContaining("reading only");
        }
    }

    /** As on a medium for reading only: not even the files beside the log can be made. */
    @Test
    void aLogIsReadAsItLiesWhereNothingCanBeMadeBesideIt() throws Exception {
        for (String beside : List.of("-shm", ".lock")) {
            Path there = log.resolveSibling(log.getFileName() + beside);
            Files.deleteIfExists(there);
            Files.createDirectory(there);
        }
        try (SqliteJournal journal = SqliteJournal.openOrRead(log, CLOCK)) {
            assertThat(journal.readOnly()).isTrue();
            assertThat(journal.entries(1)).hasSize(2);
        }
    }

    @Test
    void aCheckFindsAnEntryThatCannotBeRead() throws Exception {
        try (var db = DriverManager.getConnection("jdbc:sqlite:" + log);
                var statement = db.createStatement()) {
            statement.execute("INSERT INTO entry (job, at, by, fact) VALUES (1, '2026-11-23T12:00:00Z', 'x', '{')");
        }
        assertThat(Integrity.of(log, CLOCK).troubles())
                .containsExactly(
                        "Job 1, entry 3: something else inserted it; it carries no seal.",
                        "Job 1, entry 3: it is not understood and counts for nothing: it is not whole.");
        assertThat(entries(log)).as("the others can be read all the same").isEqualTo(3);
    }

    /** Seven are kept whatever the clock says, and an odd clock is told. */
    @Test
    void aWrongClockCostsNoBackup() {
        for (int day = 0; day < 10; day++) {
            Backups.of(log, day(day)).daily();
        }
        Backups ahead = Backups.of(log, day(3 * 365));
        assertThat(ahead.oddClock())
                .hasValueSatisfying(s -> assertThat(s).contains("2029").contains("set the clock right"));
        int before = ahead.kept().size();
        ahead.daily();
        assertThat(ahead.kept()).as("none was let go").hasSize(before + 1);
        Backups again = Backups.of(log, day(3 * 365 + 1));
        again.daily();
        assertThat(again.kept())
                .as("now it is taken at its word, but for the latest")
                .hasSizeGreaterThanOrEqualTo(7);
        Backups back = Backups.of(log, day(-30));
        assertThat(back.oddClock()).hasValueSatisfying(s -> assertThat(s).contains("goes back in time"));
    }

    @Test
    void aBadPictureHereGivesWayToAGoodOneAndADamagedOneThereSpoilsNothing() throws IOException {
        Path picture = picture();
        Path travels = folder.resolve("yard" + Backups.ENDING);
        Backups.of(log, CLOCK).everything(travels, false);
        Files.write(picture, new byte[] {9, 9, 9});
        Backups.of(log, CLOCK).restore(travels);
        assertThat(picture).hasBinaryContent(new byte[] {1, 2, 3});

        byte[] bytes = Files.readAllBytes(travels);
        String text = new String(bytes, java.nio.charset.StandardCharsets.ISO_8859_1);
        int at = text.indexOf("pictures/") + "pictures/".length() + 64 + 5;
        bytes[at] ^= 0x7F;
        Path spoilt = Files.write(folder.resolve("spoilt" + Backups.ENDING), bytes);
        Files.delete(picture);
        assertThat(Backups.of(log, CLOCK).restore(spoilt).says())
                .singleElement()
                .asString()
                .contains("damaged; it was left out");
        assertThat(entries(log)).isEqualTo(3);

        byte[] listless = java.util.Arrays.copyOf(Files.readAllBytes(travels), (int) Files.size(travels) - 60);
        Path cut = Files.write(folder.resolve("cut" + Backups.ENDING), listless);
        Backups.of(log, CLOCK).restore(cut);
        assertThat(entries(log)).as("the journal comes first and is whole").isEqualTo(3);
    }

    @Test
    void aLinkMeetsTheSameLockAndRestoreGoesThroughIt() throws IOException {
        Path link = Files.createSymbolicLink(folder.resolve("link.mussel"), log);
        Path travels = folder.resolve("yard" + Backups.ENDING);
        Backups.of(link, CLOCK).everything(travels, false);
        note("second");
        try (SqliteJournal open = SqliteJournal.open(link, CLOCK)) {
            assertThatThrownBy(() -> SqliteJournal.open(log, CLOCK)).hasMessageContaining("another Mussel");
            assertThat(open.file()).isEqualTo(log.toRealPath());
        }
        Backups.of(link, CLOCK).restore(travels);
        assertThat(link).isSymbolicLink();
        assertThat(entries(log)).isEqualTo(2);
    }
}
