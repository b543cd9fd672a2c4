package mussel.app.demo;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import mussel.app.Yards;
import mussel.core.book.LogKind;
import mussel.core.book.OpenLog;
import mussel.core.job.Journal;
import mussel.core.job.LegRef;
import mussel.core.job.LegRef.Position;
import mussel.core.leak.LeakMode;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.sheet.SheetFiles;
import mussel.store.FileStore;

/** The workboats of a made-up mussel farm, and the yard that keeps their legs. Everything here is invented. */
public final class DemoYard {
    private DemoYard() {}

    /** Fills a new log file with the demo, as seen at that moment. */
    public static void fill(Path file, Instant now) {
        Ago clock = new Ago(now);
        FileStore store = new FileStore(file, clock);
        try (OpenLog journal = store.open()) {
            journal.mark(LogKind.DEMO);
            List<SpecSheet> families = SheetFiles.shipped();
            DemoJob.Bench bench = new DemoJob.Bench(journal, clock, families);
            new DemoYears(bench)
                    .fill(
                            tern("Byssus", Position.SINGLE),
                            tern("Spat Lass", Position.PORT),
                            tern("Spat Lass", Position.STARBOARD));
            earlier(bench);
            spatLass(bench);
            byssus(bench);
            others(bench);
            soundHarvester(bench);
            punt(bench);
            slackWater(bench);
            shelf(journal);
            clock.set(0);
            Yards.over(journal, store, families).fileEverything();
        }
    }

    private static LegRef tern(String boat, Position position) {
        return new LegRef("demo-" + boat.replace(' ', '-') + "-" + position, boat, position, "tern-60");
    }

    private static LegRef wren(String boat) {
        return new LegRef("demo-" + boat.replace(' ', '-'), boat, Position.SINGLE, "wren-8");
    }

    /** Services of the last year, which set the clocks. */
    private static void earlier(DemoJob.Bench bench) {
        for (Position side : List.of(Position.PORT, Position.STARBOARD)) {
            DemoJob.open(bench, 341, tern("Spat Lass", side))
                    .read("engine_hours", side == Position.PORT ? "374 h" : "371 h")
                    .choose("water", "sea")
                    .choose("sand", "no")
                    .choose("storage", "frost")
                    .choose("oil_last", "blue-90")
                    .read("drained", "405 ml")
                    .read("oil_temp", "21 °C")
                    .read("minutes", "35 min")
                    .choose("oil_water", "none")
                    .choose("oil_heat", "darkened")
                    .read("pumped", "432 ml")
                    .choose("oil_new", "blue-90")
                    .tag(340);
        }
        DemoJob.open(bench, 352, tern("Byssus", Position.SINGLE))
                .read("engine_hours", "1 214 h")
                .choose("water", "sea")
                .choose("sand", "yes")
                .choose("storage", "frost")
                .choose("oil_last", "blue-90")
                .read("drained", "398 ml")
                .read("oil_temp", "17 °C")
                .read("minutes", "40 min")
                .choose("oil_water", "haze")
                .goal("impeller")
                .everything()
                .choose("confirmed", "plug_washers", "yes")
                .choose("confirmed", "driveshaft_oil_lip", "no")
                .read("pumped", "428 ml")
                .putOff("thermostat", "its gasket was not in the yard")
                .tag(351);
        kelpRunner(bench);
        DemoJob.open(bench, 9, wren("Line Tender 4"))
                .read("engine_hours", "212 h")
                .choose("water", "sea")
                .choose("sand", "yes")
                .choose("oil_last", "amber-90")
                .read("drained", "148 ml")
                .read("oil_temp", "12 °C")
                .read("minutes", "45 min")
                .choose("oil_water", "none")
                .goal("driveshaft_seals")
                .everything()
                .choose("confirmed", "driveshaft_water_lip", "yes")
                .choose("confirmed", "propshaft_water_lip", "no")
                .read("pumped", "158 ml")
                .tag(8);
    }

    /** Sealed without a hold, and back within two months. */
    private static void kelpRunner(DemoJob.Bench bench) {
        DemoJob.open(bench, 262, tern("Kelp Runner", Position.SINGLE))
                .read("engine_hours", "181 h")
                .choose("water", "brackish")
                .choose("oil_last", "blue-90")
                .read("drained", "419 ml")
                .read("oil_temp", "11 °C")
                .read("minutes", "45 min")
                .choose("oil_water", "streaks")
                .goal("driveshaft_seals")
                .choose("consent", "yes")
                .read("consent_sum", "1150")
                .everything()
                .choose("confirmed", "driveshaft_water_lip", "yes")
                .read("pumped", "430 ml")
                .tag(261);
        DemoJob.open(bench, 205, tern("Kelp Runner", Position.SINGLE))
                .read("engine_hours", "204 h")
                .choose("water", "brackish")
                .choose("storage", "frost")
                .choose("oil_last", "blue-90")
                .note("complaint", "Milky again after two months.")
                .choose("comeback", "yes")
                .read("drained", "426 ml")
                .read("oil_temp", "14 °C")
                .read("minutes", "45 min")
                .choose("oil_water", "milky")
                .goal("driveshaft_seals")
                .everything()
                .hold(LeakMode.PRESSURE, "")
                .choose("confirmed", "driveshaft_water_lip", "yes")
                .read("pumped", "430 ml")
                .tag(204);
    }

    /** Twins: the port leg has milky oil, the starboard one is still to be looked at. */
    private static void spatLass(DemoJob.Bench bench) {
        DemoJob.open(bench, 2, tern("Spat Lass", Position.PORT))
                .read("engine_hours", "412 h")
                .read("hours_since_fill", "38 h")
                .read("storage_min", "-9 °C")
                .choose("water", "sea")
                .choose("sand", "no")
                .choose("storage", "mooring")
                .choose("last_job", "oil_only")
                .choose("oil_last", "blue-90")
                .choose("came_for", "oil_outside", "yes")
                .note("complaint", "Oil sheen at the berth after a week of harvesting. Runs and shifts well.")
                .note("promised", "Friday")
                .read("rest", "14 h")
                .choose("vent_crack", "hiss")
                .read("fill", "430 ml")
                .read("drained", "452 ml")
                .read("free_water", "12 ml")
                .read("oil_temp", "18 °C")
                .read("minutes", "20 min")
                .read("mass", "415 g")
                .read("jar_total", "100 ml")
                .read("jar_water", "2 ml")
                .read("jar_emulsion", "14 ml")
                .choose("oil_water", "milky")
                .choose("oil_heat", "fresh")
                .choose("oil_metal", "none")
                .choose("blade_edges", "nicked")
                .read("runout_high", "0.11 mm")
                .read("runout_low", "-0.01 mm")
                .choose("magnet", "drain", "paste")
                .choose("magnet", "vent_starboard", "clean")
                .choose("washers", "drain", "flattened")
                .choose("washers", "vent_port", "sound")
                .choose("washers", "vent_starboard", "sound");
        DemoJob.open(bench, 1, tern("Spat Lass", Position.STARBOARD))
                .read("engine_hours", "409 h")
                .choose("water", "sea")
                .choose("sand", "no")
                .choose("oil_last", "blue-90")
                .choose("came_for", "service", "yes")
                .note("complaint", "Nothing seen; down because its sister is.")
                .note("promised", "Friday");
    }

    /** Held, soaped, judged, and in pieces on the mat; all holds on the simulated tester. */
    private static void byssus(DemoJob.Bench bench) {
        DemoJob.open(bench, 3, tern("Byssus", Position.SINGLE))
                .read("engine_hours", "1 322 h")
                .read("hours_since_fill", "108 h")
                .read("age", "9 years")
                .choose("water", "sea")
                .choose("sand", "yes")
                .choose("storage", "mooring")
                .choose("last_job", "oil_only")
                .choose("oil_last", "blue-90")
                .choose("came_for", "water_in_oil", "yes")
                .note("complaint", "Milky drops at the hub after the autumn harvest.")
                .note("promised", "Thursday")
                .read("fill", "428 ml")
                .read("drained", "449 ml")
                .read("free_water", "6 ml")
                .read("oil_temp", "16 °C")
                .read("minutes", "30 min")
                .choose("oil_water", "streaks")
                .choose("oil_heat", "fresh")
                .choose("oil_metal", "none")
                .choose("magnet", "drain", "paste")
                .choose("washers", "drain", "flattened")
                .choose("prop_hub_oil", "", "none")
                .hold(LeakMode.PRESSURE, "driveshaft_water_lip")
                .hold(LeakMode.VACUUM, "driveshaft_water_lip")
                .goal("driveshaft_seals")
                .goal("pump_kit")
                .steps(13)
                .choose("confirmed", "driveshaft_water_lip", "yes")
                .choose("confirmed", "driveshaft_oil_lip", "no")
                .note("owner", "the farm’s skipper")
                .read("anode_left", "tab", "45")
                .read("anode_left", "outer_pair", "70")
                .choose("grease_point", "steering", "rusty")
                .choose("grease_point", "swivel", "clean")
                .read("cylinders", "3")
                .choose("plug_colour", "1", "brown")
                .choose("plug_colour", "2", "black")
                .choose("plug_colour", "3", "brown")
                .read("engine_takes", "2 800 ml")
                .read("filter_holds", "300 ml")
                .choose("consent", "up_to")
                .read("consent_limit", "900")
                .choose("consent_how", "phone")
                .found("tab_off", "third mark to port")
                .found("linkage_open", "six and a half turns")
                .found("leg_loose", "aft pair 10 mm longer; none missing")
                .found("housing_off", "plain, spring, plain");
    }

    private static void others(DemoJob.Bench bench) {
        DemoJob.open(bench, 6, tern("Longline 3", Position.SINGLE))
                .read("engine_hours", "880 h")
                .choose("water", "sea")
                .choose("sand", "yes")
                .choose("oil_last", "green-90")
                .read("drained", "391 ml")
                .read("oil_temp", "24 °C")
                .read("minutes", "30 min")
                .choose("oil_water", "none")
                .choose("oil_heat", "darkened")
                .choose("oil_metal", "sheen")
                .choose("magnet", "drain", "bristle")
                .goal("pump_kit")
                .steps(21);
        DemoJob.open(bench, 12, tern("Kelp Runner", Position.SINGLE))
                .read("engine_hours", "230 h")
                .choose("water", "brackish")
                .choose("oil_last", "blue-90")
                .read("drained", "371 ml")
                .read("oil_temp", "9 °C")
                .read("minutes", "50 min")
                .choose("oil_water", "streaks")
                .choose("oil_heat", "burnt")
                .goal("driveshaft_seals")
                .steps(14)
                .note("waits_for", "driveshaft seals, Thursday");
        DemoJob.open(bench, 4, wren("Workshop skiff"))
                .read("engine_hours", "95 h")
                .choose("water", "fresh")
                .choose("oil_last", "amber-90")
                .read("drained", "166 ml")
                .read("free_water", "9 ml")
                .read("oil_temp", "14 °C")
                .read("minutes", "30 min")
                .choose("oil_water", "sludge")
                .choose("oil_heat", "darkened")
                .choose("came_for", "gear_trouble", "yes")
                .note("complaint", "Forty years old, hard to shift, stood under a hedge for two winters.");
        DemoJob.open(bench, 5, wren("Raft tender"))
                .read("engine_hours", "655 h")
                .choose("water", "sea")
                .choose("sand", "no")
                .choose("oil_last", "amber-90")
                .read("drained", "150 ml")
                .read("oil_temp", "16 °C")
                .read("minutes", "40 min")
                .choose("oil_water", "none")
                .choose("oil_heat", "fresh")
                .goal("impeller")
                .beforeFilling()
                .choose("oil_new", "amber-90");
        DemoJob.open(bench, 1, tern("Harvest barge Long Name of the Loch", Position.PORT));
    }

    /** The big twins: the port leg weeps at the propeller and is on the scales, the starboard one waits. */
    private static void soundHarvester(DemoJob.Bench bench) {
        DemoJob.open(bench, 3, skua(Position.PORT))
                .read("engine_hours", "1 845 h")
                .read("hours_since_fill", "96 h")
                .read("age", "7 years")
                .choose("water", "sea")
                .choose("sand", "no")
                .choose("storage", "mooring")
                .choose("last_job", "oil_only")
                .choose("oil_last", "blue-90")
                .choose("came_for", "oil_outside", "yes")
                .choose("came_for", "hot", "yes")
                .note("complaint", "Oil behind the propeller, hot at speed last week.")
                .note("promised", "Wednesday week")
                .read("fill", "980 ml")
                .read("drained", "940 ml")
                .read("oil_temp", "19 °C")
                .read("minutes", "45 min")
                .choose("oil_water", "haze")
                .choose("oil_heat", "darkened")
                .choose("oil_metal", "none")
                .choose("magnet", "drain", "paste")
                .choose("washers", "drain", "sound")
                .choose("prop_hub_oil", "", "running")
                .choose("telltale_tank", "", "weak")
                .read("vane_wear", "2", "0.9 mm")
                .read("vane_missing", "4", "6 mm")
                .choose("vane_crack", "5", "surface")
                .read("plate_groove", "", "0.15 mm")
                .read("plate_warp", "", "0.05 mm")
                .read("housing_groove", "", "0.1 mm")
                .read("impeller_age", "", "38 months")
                .choose("hub_bond", "", "sound")
                .choose("pump_key", "", "worn")
                .goal("propshaft_seals")
                .goal("pump_kit")
                .choose("one_visit", "yes")
                .note("owner", "the farm’s manager")
                .note("foreseen", "Driveshaft seals; Bearings")
                .choose("consent", "up_to")
                .read("consent_limit", "1800")
                .choose("consent_how", "writing")
                .goal("driveshaft_seals");
        DemoJob.open(bench, 3, skua(Position.STARBOARD))
                .read("engine_hours", "1 851 h")
                .choose("water", "sea")
                .choose("oil_last", "blue-90")
                .choose("came_for", "service", "yes")
                .note("complaint", "Nothing seen; down because its sister is.")
                .goal("impeller");
    }

    private static void punt(DemoJob.Bench bench) {
        DemoJob.open(bench, 2, new LegRef("demo-punt", "Mooring punt", Position.SINGLE, "dotterel-5"))
                .read("engine_hours", "61 h")
                .read("age", "4 years")
                .choose("water", "brackish")
                .choose("oil_last", "amber-90")
                .choose("came_for", "hot", "yes")
                .choose("came_for", "weak_stream", "yes")
                .note("complaint", "Does not pump; overheats after a minute.")
                .goal("impeller")
                .steps(3);
    }

    /** In pieces for new gears: marks and heights read, the lash measured with the shims found. */
    private static void slackWater(DemoJob.Bench bench) {
        DemoJob.open(bench, 5, new LegRef("demo-Slack Water", "Slack Water", Position.SINGLE, "skua-225"))
                .read("engine_hours", "2 316 h")
                .read("hours_since_fill", "96 h")
                .choose("water", "sea")
                .choose("sand", "no")
                .choose("oil_last", "blue-90")
                .choose("came_for", "noise", "yes")
                .note("complaint", "Knocks ahead since it struck the mooring; slivers on the magnet.")
                .note("promised", "Tuesday week")
                .read("drained", "961 ml")
                .read("oil_temp", "16 °C")
                .read("minutes", "40 min")
                .choose("oil_water", "none")
                .choose("oil_heat", "darkened")
                .choose("oil_metal", "flakes")
                .choose("magnet", "drain", "chips")
                .choose("washers", "drain", "flattened")
                .goal("gears")
                .goal("bearings")
                .stripped()
                .read("mark", "case", "6")
                .read("mark", "gear", "-4")
                .read("height", "1", "45.62 mm")
                .read("height", "2", "45.64 mm")
                .read("height", "3", "45.63 mm")
                .read("height", "4", "45.65 mm")
                .read("present_shim", "pinion", "0.75 mm")
                .read("present_shim", "forward", "0.62 mm")
                .read("present_shim", "reverse", "0.80 mm")
                .read("arm", "forward", "60 mm")
                .read("arm", "reverse", "60 mm")
                .choose("arm_on", "forward", "gear")
                .choose("arm_on", "reverse", "gear");
    }

    private static LegRef skua(Position position) {
        return new LegRef("demo-Sound Harvester-" + position, "Sound Harvester", position, "skua-225");
    }

    /** What was counted on the shelf. */
    private static void shelf(Journal journal) {
        Map<String, Integer> tern =
                Map.of("plug_washer", 14, "cotter_pin", 9, "ds_seal", 1, "impeller", 1, "pump_key", 4);
        tern.forEach((part, qty) -> journal.keepSetting("shelf:tern-60:" + part, String.valueOf(qty)));
        Map<String, Integer> skua = Map.of("plug_washer", 6, "cotter_pin", 5, "pump_key", 1);
        Map.of(50, 6, 80, 4, 100, 5, 120, 3, 150, 4, 180, 2, 200, 3, 250, 3, 300, 4, 500, 2)
                .forEach((size, qty) -> journal.keepSetting("shelf:skua-225:shim_" + size, String.valueOf(qty)));
        skua.forEach((part, qty) -> journal.keepSetting("shelf:skua-225:" + part, String.valueOf(qty)));
    }

    /** A clock that stands as many days before now as it is set to, moving on by a minute at every look. */
    static final class Ago extends Clock {
        private final Instant now;
        private Duration back = Duration.ZERO;

        Ago(Instant now) {
            this.now = now;
        }

        void set(int days) {
            back = Duration.ofDays(days);
        }

        /** Somebody works for a while (min). */
        void work(double minutes) {
            back = back.minus(Duration.ofSeconds(Math.round(60 * minutes)));
        }

        Instant day(int days) {
            return now.minus(Duration.ofDays(days));
        }

        @Override
        public Instant instant() {
            back = back.minus(Duration.ofSeconds(40));
            return now.minus(back.plus(Duration.ofHours(3)));
        }

        @Override
        public ZoneId getZone() {
            return ZoneId.of("UTC");
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }
    }
}
