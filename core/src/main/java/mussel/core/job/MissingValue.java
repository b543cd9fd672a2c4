package mussel.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mussel.core.language.Messages;
import mussel.core.sheet.Fastener;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;

/**
 * Something a family's sheet does not say yet: told by what it holds up, never by a percentage.
 *
 * @param at its place in the full sheet, as a JSON Pointer
 * @param title what it is
 * @param stations where it is wanted
 * @param asks what is typed from the manual for it; empty where a line does not hold it
 * @param meanwhile what goes until it was read, in a sentence; empty where nothing does
 */
public record MissingValue(String at, String title, List<Station> stations, List<Ask> asks, String meanwhile) {
    /** How many names of a place tell the group: nothing before the first slash, "values", the kind, which. */
    private static final int GROUP = 4;

    /** Where the run-out of the propeller shaft stands in the full sheet. */
    public static final String RUNOUT = "/construction/runout_limit_mm";

    private static final String SCREWS = "/values/fasteners/";

    private static final Messages TEXT = Messages.of(MissingValue.class);

    /** Keeps its own copies. */
    public MissingValue {
        stations = List.copyOf(stations);
        asks = List.copyOf(asks);
    }

    private MissingValue(String at, String title, List<Station> stations, List<Ask> asks) {
        this(at, title, stations, asks, "");
    }

    /** What a picture of the manual's page stands by: the group of its figures in the compact sheet, the same whether one or all of them are asked. */
    public String group() {
        return asks.stream()
                .findFirst()
                .map(ask -> Stream.of(ask.at().split("/"))
                        .limit(
                                asks.size() > 1 && !ask.at().startsWith(SCREWS)
                                        ? ask.at().split("/").length - 1
                                        : GROUP)
                        .collect(Collectors.joining("/")))
                .orElse(at);
    }

    /**
     * One figure or word of a manual.
     *
     * @param at where it goes in the compact sheet, as a JSON Pointer
     * @param title what it is; empty where the whole says so
     * @param example how a manual prints it
     */
    public record Ask(String at, String title, String example) {}

    /** Everything a sheet does not say, in the order of the stations that want it. */
    public static List<MissingValue> of(SpecSheet sheet) {
        List<MissingValue> all = new ArrayList<>();
        if (sheet.oil().capacityMl().isEmpty()) {
            all.add(one("/oil/capacity_ml", "capacity", "/values/oil/capacity", Station.DRAIN, Station.FILL));
        }
        if (!Step.says(sheet.oil().grade())) {
            all.add(one("/oil/grade", "grade", "/values/oil/grade", Station.FILL));
        }
        if (sheet.construction().runoutLimitMm().isEmpty()) {
            all.add(runout());
        }
        if (sheet.leakTest().pressure().isEmpty()) {
            all.add(hold("pressure"));
        }
        if (sheet.leakTest().vacuum().isEmpty()) {
            all.add(hold("vacuum"));
        }
        if (sheet.pump().isEmpty()) {
            all.add(pump());
        }
        if (sheet.setup().isEmpty()) {
            all.add(setup());
        }
        for (int i = 0; i < sheet.fasteners().size(); i++) {
            if (sheet.fasteners().get(i).torque().isEmpty()
                    || sheet.fasteners().get(i).count() == 0) {
                all.add(torque("/fasteners/" + i + "/torque", sheet.fasteners().get(i)));
            }
        }
        return all;
    }

    /** Everything a manual may say of a leg, said already or not, in the order a sheet tells it. */
    public static List<MissingValue> sayable(SpecSheet sheet) {
        List<MissingValue> all = new ArrayList<>();
        all.add(one("/oil/capacity_ml", "capacity", "/values/oil/capacity", Station.DRAIN, Station.FILL));
        all.add(one("/oil/grade", "grade", "/values/oil/grade", Station.FILL));
        all.add(one("/leak_test/air_ml", "air", "/values/leak_test/air", Station.LEAK));
        all.add(hold("pressure"));
        all.add(hold("vacuum"));
        all.add(pump());
        all.add(setup());
        all.add(runout());
        all.add(one("/construction/weight_kg", "weight", "/values/weight", Station.STRIP));
        for (int i = 0; i < sheet.fasteners().size(); i++) {
            Fastener fastener = sheet.fasteners().get(i);
            String told = SCREWS + fastener.id();
            List<Ask> asks = Stream.of("count", "thread", "torque", "strength")
                    .map(what -> new Ask(
                            told + "/" + what,
                            TEXT.get("missing.screw." + what),
                            TEXT.get("missing.screw." + what + ".example")))
                    .toList();
            all.add(new MissingValue("/fasteners/" + i, fastener.title(), List.of(Station.BUILD), asks));
        }
        return all;
    }

    /** What a station wants and the sheet does not say. */
    public static List<MissingValue> at(SpecSheet sheet, Station station) {
        return of(sheet).stream().filter(m -> m.stations().contains(station)).toList();
    }

    /** What a station wants and the sheet does not say, in one sentence part; empty where it wants nothing. */
    public static Optional<String> wants(SpecSheet sheet, Station station) {
        List<String> wants = new ArrayList<>();
        List<String> torques = new ArrayList<>();
        for (MissingValue missing : at(sheet, station)) {
            sheet.fasteners().stream()
                    .filter(f -> missing.group().equals(SCREWS + f.id()))
                    .findFirst()
                    .ifPresentOrElse(f -> torques.add(f.title()), () -> wants.add(missing.title()));
        }
        if (!torques.isEmpty()) {
            wants.add(TEXT.get("missing.torques", String.join(", ", torques)));
        }
        return wants.isEmpty() ? Optional.empty() : Optional.of(String.join("; ", wants));
    }

    private static MissingValue one(String at, String what, String told, Station... stations) {
        return new MissingValue(
                at,
                TEXT.get("missing." + what),
                List.of(stations),
                List.of(new Ask(told, "", TEXT.get("missing." + what + ".example"))));
    }

    /** The torque; the count with it where nobody has counted them. */
    private static MissingValue torque(String at, Fastener fastener) {
        String told = SCREWS + fastener.id();
        List<Ask> asks = new ArrayList<>();
        if (fastener.count() == 0) {
            asks.add(new Ask(told + "/count", TEXT.get("missing.count"), TEXT.get("missing.count.example")));
        }
        if (fastener.torque().isEmpty()) {
            asks.add(new Ask(told + "/torque", TEXT.get("missing.tight"), TEXT.get("missing.torque.example")));
        }
        return new MissingValue(
                at,
                TEXT.get("missing.torque", fastener.title()),
                List.of(Station.BUILD),
                asks,
                fastener.torque().isEmpty() ? StandardTorque.meanwhile(fastener) : "");
    }

    private static MissingValue runout() {
        return one(RUNOUT, "runout", "/values/runout", Station.DRAIN);
    }

    private static MissingValue pump() {
        return new MissingValue(
                "/pump",
                TEXT.get("missing.pump"),
                List.of(Station.PUMP),
                Stream.of("tip_wear_mm", "set_deg", "plate_groove_mm", "housing_groove_mm", "plate_warp_mm")
                        .map(limit -> new Ask(
                                "/values/pump/limits/" + limit,
                                TEXT.get("missing.pump." + limit),
                                TEXT.get("missing.pump." + limit + ".example")))
                        .toList());
    }

    private static MissingValue setup() {
        return new MissingValue(
                "/setup",
                TEXT.get("missing.setup"),
                List.of(Station.SETUP),
                Stream.of("forward", "reverse", "pinion_teeth", "gear_teeth", "pitch_radius")
                        .map(what -> new Ask(
                                "/values/lash/" + what,
                                TEXT.get("missing.setup." + what),
                                TEXT.get("missing.setup." + what + ".example")))
                        .toList(),
                TEXT.get("missing.setup.meanwhile"));
    }

    private static MissingValue hold(String mode) {
        return new MissingValue(
                "/leak_test/" + mode,
                TEXT.get("missing." + mode),
                List.of(Station.LEAK, Station.PROVE),
                Stream.of("start", "limit", "hold", "allowed_drop")
                        .map(figure -> new Ask(
                                "/values/leak_test/" + mode + "/" + figure,
                                TEXT.get("missing.hold." + figure),
                                TEXT.get("missing." + mode + "." + figure + ".example")))
                        .toList());
    }
}
