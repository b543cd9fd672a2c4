package mussel.bench;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import mussel.core.book.OpenLog;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Journal;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.Topic;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.sheet.KeptSheet;
import mussel.exchange.sheet.SheetFiles;
import mussel.store.FileStore;

/** A log as a large yard has it after many years: legs with forty jobs each, one with two hundred, thirty entries a job. Seeded. */
final class LogGenerator {
    private static final int JOBS_A_LEG = 40;
    private static final int LONG_LIFE = 200;
    private static final Instant FIRST = Instant.parse("2004-01-05T08:00:00Z");
    private static final long LAST_DAY = LocalDate.of(2026, 11, 20).toEpochDay();
    private static final List<String> WORDS = List.of(
            "milky",
            "grey",
            "noise",
            "ahead",
            "astern",
            "berth",
            "sheen",
            "hub",
            "line",
            "weed",
            "sand",
            "cold",
            "hot",
            "weak",
            "telltale",
            "grinding",
            "slow",
            "shift",
            "jumps",
            "stiff",
            "propeller",
            "struck",
            "mooring",
            "winter",
            "oil",
            "drops",
            "hard",
            "start",
            "smell",
            "burnt",
            "rust",
            "plug",
            "torn",
            "washer",
            "seal",
            "leaks");

    private static final Map<String, KeptSheet> SHEETS =
            SheetFiles.shipped().stream().collect(Collectors.toMap(SpecSheet::id, KeptSheet::of));

    private final Random random = new Random(42);
    private long seq;

    void fill(Path log, int jobs) {
        try (OpenLog journal = new FileStore(log, Clock.systemUTC()).open()) {
            SHEETS.values().forEach(sheet -> journal.keepSheet(sheet.name(), sheet.text()));
            journal.bring(Map.of(), into -> {
                for (int job = 1; job <= jobs; job++) {
                    into.accept(new Journal.Brought(job, job(job, jobs), Map.of()));
                }
            });
        }
    }

    private List<Entry> job(int job, int jobs) {
        int legs = Math.max(1, jobs / JOBS_A_LEG);
        int leg = job <= LONG_LIFE ? 0 : job % legs;
        long day = FIRST.getEpochSecond() / 86_400 + (LAST_DAY - FIRST.getEpochSecond() / 86_400) * job / jobs;
        Instant at = LocalDate.ofEpochDay(day).atTime(8, 0).toInstant(ZoneOffset.UTC);
        boolean twin = leg % 2 == 0;
        LegRef ref = new LegRef(
                "leg-" + leg,
                "Workboat " + WORDS.get(leg % WORDS.size()) + " " + leg / 2,
                twin ? LegRef.Position.PORT : LegRef.Position.STARBOARD,
                leg % 3 == 0 ? "wren-8" : leg % 3 == 1 ? "tern-60" : "skua-225");
        double fill = leg % 3 == 0 ? 160 : leg % 3 == 1 ? 430 : 980;
        List<Fact> facts = new ArrayList<>();
        facts.add(new Fact.Opened(ref));
        // Half of them are from before jobs named their sheets.
        if (job % 2 == 0) {
            facts.add(new Fact.WorkedBy(SHEETS.get(ref.family()).name(), false));
        }
        read(facts, Field.ENGINE_HOURS, 40.0 * job / legs + leg % 100, "h");
        read(facts, Field.HOURS_SINCE_FILL, 20 + random.nextInt(80), "h");
        read(facts, Field.AGE, 12 + random.nextInt(200), "months");
        read(facts, Field.FILL, fill, "ml");
        read(facts, Field.DRAINED, fill * (0.95 + 0.08 * random.nextDouble()), "ml");
        read(facts, Field.FREE_WATER, random.nextInt(4), "ml");
        read(facts, Field.OIL_TEMP, 8 + random.nextInt(20), "°C");
        read(facts, Field.MINUTES, 20 + random.nextInt(40), "min");
        read(facts, Field.JAR_TOTAL, 100, "ml");
        read(facts, Field.JAR_WATER, random.nextInt(30) / 10.0, "ml");
        read(facts, Field.JAR_EMULSION, random.nextInt(8), "ml");
        facts.add(new Fact.Noted(Topic.COMPLAINT.address(), sentence()));
        facts.add(new Fact.Noted(Topic.AS_FOUND.of("prop_off"), sentence()));
        for (Scale scale : List.of(
                Scale.WATER,
                Scale.SAND,
                Scale.STORAGE,
                Scale.OIL_WATER,
                Scale.OIL_HEAT,
                Scale.OIL_METAL,
                Scale.LAST_JOB)) {
            facts.add(new Fact.Chosen(scale.address(), any(scale.outcomes())));
        }
        facts.add(new Fact.Chosen(Scale.MAGNET.of("drain"), any(Scale.MAGNET.outcomes())));
        facts.add(new Fact.Chosen(Scale.WASHERS.of("drain"), any(Scale.WASHERS.outcomes())));
        if (random.nextInt(3) == 0) {
            facts.add(new Fact.Chosen(Scale.GOAL.of("impeller"), "yes"));
            facts.add(new Fact.Chosen(Scale.VANES_SEEN.address(), "yes"));
            facts.add(Fact.Read.byHand(Field.VANE_WEAR.of("2"), random.nextInt(12) / 10.0, "mm"));
        }
        if (random.nextInt(20) == 0) {
            facts.add(new Fact.Chosen(Scale.GOAL.of("driveshaft_seals"), "yes"));
            facts.add(new Fact.Chosen(Scale.CONFIRMED.of("driveshaft_water_lip"), any(List.of("yes", "no"))));
        }
        facts.add(new Fact.Chosen(Scale.OIL_LAST.address(), "blue-90"));
        facts.add(new Fact.Chosen(Scale.OIL_NEW.address(), "blue-90"));
        for (String step : List.of("prop_off", "tab_off", "linkage_open", "leg_loose")) {
            facts.add(new Fact.Ticked(step, true));
        }
        read(facts, Field.PUMPED, fill, "ml");
        if (job <= jobs - Math.min(60, jobs / 10)) {
            facts.add(new Fact.Tagged(LocalDate.ofEpochDay(day)));
        }
        List<Entry> entries = new ArrayList<>();
        for (Fact fact : facts) {
            entries.add(new Entry(++seq, job, at.plusSeconds(40L * entries.size()), "bench", fact));
        }
        return entries;
    }

    private static void read(List<Fact> facts, Field field, double value, String unit) {
        facts.add(Fact.Read.byHand(field.address(), value, value + " " + unit));
    }

    private String any(List<String> of) {
        return of.get(random.nextInt(of.size()));
    }

    private String sentence() {
        List<String> words = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            words.add(any(WORDS));
        }
        return String.join(" ", words);
    }

    /** Words as somebody types them: one to three, the last unfinished as often as not. */
    static String typed(Random random) {
        List<String> words = new ArrayList<>();
        for (int i = random.nextInt(3); i >= 0; i--) {
            words.add(WORDS.get(random.nextInt(WORDS.size())));
        }
        String text = String.join(" ", words);
        return random.nextBoolean() ? text.substring(0, Math.max(2, text.length() - 2)) : text;
    }
}
