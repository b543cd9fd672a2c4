package mussel.app.demo;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.job.LegRef;
import mussel.core.job.LegRef.Position;

/**
 * Two years of services before what is on the bench now: hours that grow, water that comes and goes, parts renewed sound or failed. Told
 * as few words a job, entered as any other.
 */
final class DemoYears {
    /**
     * One service.
     *
     * @param daysAgo when
     * @param hours the meter (h)
     * @param water the look of the oil
     * @param share how much of what was drained was water (0..1)
     * @param impeller sound, failed, or empty where it was left alone
     * @param seals like the impeller, for the driveshaft's seals
     */
    private record Service(int daysAgo, int hours, String water, double share, String impeller, String seals) {}

    private static final Map<String, Integer> FILLS = Map.of("tern-60", 430, "wren-8", 160, "skua-225", 980);

    private final DemoJob.Bench bench;

    DemoYears(DemoJob.Bench bench) {
        this.bench = bench;
    }

    void fill(LegRef byssus, LegRef spatPort, LegRef spatStarboard) {
        serve(
                spatPort,
                "no",
                new Service(741, 281, "none", 0.004, "sound", ""),
                new Service(551, 322, "haze", 0.011, "", ""));
        serve(
                spatStarboard,
                "no",
                new Service(741, 279, "none", 0.003, "sound", ""),
                new Service(551, 320, "none", 0.005, "", ""));
        serve(
                byssus,
                "yes",
                new Service(738, 960, "haze", 0.012, "failed", ""),
                new Service(642, 1_004, "streaks", 0.024, "", "failed"),
                new Service(531, 1_090, "none", 0.004, "failed", ""),
                new Service(447, 1_150, "haze", 0.010, "", ""));
        serve(
                leg("Longline 3", "tern-60"),
                "yes",
                new Service(728, 512, "none", 0.002, "failed", ""),
                new Service(545, 604, "none", 0.004, "failed", ""),
                new Service(362, 702, "haze", 0.013, "failed", "failed"),
                new Service(181, 796, "none", 0.003, "sound", ""));
        serve(
                leg("Kelp Runner", "tern-60"),
                "no",
                new Service(610, 92, "none", 0.001, "", ""),
                new Service(330, 158, "none", 0.006, "sound", ""));
        serve(
                leg("Raft tender", "wren-8"),
                "no",
                new Service(702, 388, "none", 0.004, "sound", ""),
                new Service(520, 455, "haze", 0.018, "", "sound"),
                new Service(340, 532, "none", 0.005, "failed", ""),
                new Service(160, 601, "none", 0.004, "", ""));
        for (Position side : List.of(Position.PORT, Position.STARBOARD)) {
            int ahead = side == Position.PORT ? 0 : 6;
            LegRef leg = new LegRef("demo-Sound Harvester-" + side, "Sound Harvester", side, "skua-225");
            serve(
                    leg,
                    "no",
                    new Service(720, 1_240 + ahead, "none", 0.003, "sound", ""),
                    new Service(540, 1_420 + ahead, "none", 0.006, "", side == Position.PORT ? "failed" : "sound"),
                    new Service(350, 1_585 + ahead, side == Position.PORT ? "haze" : "none", 0.009, "failed", ""),
                    new Service(100, 1_750 + ahead, "none", 0.004, "", ""));
        }
        serve(
                leg("Slack Water", "skua-225"),
                "no",
                new Service(690, 1_702, "none", 0.002, "sound", "sound"),
                new Service(505, 1_890, "streaks", 0.021, "", "failed"),
                new Service(300, 2_080, "none", 0.005, "failed", ""),
                new Service(120, 2_220, "none", 0.004, "", ""));
        serve(
                leg("Line Tender 4", "wren-8"),
                "yes",
                new Service(600, 74, "none", 0.003, "", ""),
                new Service(420, 118, "haze", 0.012, "failed", ""),
                new Service(215, 166, "none", 0.004, "", ""));
    }

    private static LegRef leg(String boat, String family) {
        String id = "demo-" + boat.replace(' ', '-');
        return new LegRef(family.equals("tern-60") ? id + "-SINGLE" : id, boat, Position.SINGLE, family);
    }

    private void serve(LegRef leg, String sand, Service... services) {
        for (Service service : services) {
            serve(leg, sand, service);
        }
    }

    private void serve(LegRef leg, String sand, Service service) {
        int fill = FILLS.get(leg.family());
        long drained = Math.round(fill * (0.955 + service.share()));
        DemoJob job = DemoJob.open(bench, service.daysAgo(), leg)
                .read("engine_hours", service.hours() + " h")
                .choose("water", "sea")
                .choose("sand", sand)
                .choose("oil_last", "blue-90")
                .read("drained", drained + " ml")
                .read("oil_temp", "18 °C")
                .read("minutes", "45 min")
                .read("jar_total", "100 ml")
                .read("jar_water", Math.round(service.share() * 1_000) / 10.0 + " ml")
                .read("jar_emulsion", "0 ml")
                .choose("oil_water", service.water())
                .choose("oil_heat", service.impeller().equals("failed") ? "darkened" : "fresh")
                .choose("magnet", "drain", service.hours() % 3 == 0 ? "clean" : "paste");
        if (!service.seals().isEmpty()) {
            job.goal("driveshaft_seals");
        }
        if (!service.impeller().isEmpty()) {
            job.choose("vanes_seen", "yes");
            if (service.impeller().equals("failed")) {
                job.read("vane_wear", "2", "2.4 mm").read("vane_wear", "4", "1.9 mm");
            }
            job.goal("impeller");
        }
        if (!service.seals().isEmpty() || !service.impeller().isEmpty()) {
            named(leg, service).ifPresent(sum -> job.read("consent_sum", sum).choose("consent", "yes"));
            job.everything();
        }
        if (!service.seals().isEmpty()) {
            job.choose("confirmed", "driveshaft_water_lip", service.seals().equals("failed") ? "yes" : "no")
                    .choose("confirmed", "plug_washers", "no");
        }
        job.choose("oil_new", "blue-90").read("pumped", fill + " ml").tag(service.daysAgo());
    }

    /** The most that an estimate named to the owner (money); of the small legs nobody wrote one. */
    private static Optional<String> named(LegRef leg, Service service) {
        boolean big = leg.family().equals("skua-225");
        if (leg.family().equals("wren-8")) {
            return Optional.empty();
        }
        if (service.seals().isEmpty()) {
            return Optional.of(big ? "650" : "480");
        }
        return Optional.of(big ? "960" : "700");
    }
}
