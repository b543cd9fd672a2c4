package mussel.core.job;

import java.util.ArrayList;
import java.util.List;
import mussel.core.measure.Sentences;
import mussel.core.sheet.FamilySheet;
import mussel.core.sheet.Step;

/**
 * Something a family's sheet does not say yet: told by what it holds up, never by a percentage.
 *
 * @param at its place in the full sheet, as a JSON Pointer
 * @param title what it is
 * @param stations where it is wanted
 */
public record Missing(String at, String title, List<Station> stations) {
    private static final Sentences SAY = Sentences.beside(Missing.class);

    /** Keeps its own copy. */
    public Missing {
        stations = List.copyOf(stations);
    }

    /** Everything a sheet does not say, in the order of the stations that want it. */
    public static List<Missing> of(FamilySheet sheet) {
        List<Missing> all = new ArrayList<>();
        if (sheet.oil().capacityMl().isEmpty()) {
            all.add(new Missing("/oil/capacity_ml", SAY.say("missing.capacity"), List.of(Station.DRAIN, Station.FILL)));
        }
        if (sheet.leakTest().pressure().isEmpty()) {
            all.add(new Missing(
                    "/leak_test/pressure", SAY.say("missing.pressure"), List.of(Station.LEAK, Station.PROVE)));
        }
        if (sheet.leakTest().vacuum().isEmpty()) {
            all.add(new Missing("/leak_test/vacuum", SAY.say("missing.vacuum"), List.of(Station.LEAK, Station.PROVE)));
        }
        if (sheet.pump().isEmpty()) {
            all.add(new Missing("/pump", SAY.say("missing.pump"), List.of(Station.PUMP)));
        }
        if (sheet.setup().isEmpty()) {
            all.add(new Missing("/setup", SAY.say("missing.setup"), List.of(Station.SETUP)));
        }
        for (int i = 0; i < sheet.fasteners().size(); i++) {
            var fastener = sheet.fasteners().get(i);
            if (fastener.torque().isEmpty()) {
                all.add(new Missing(
                        "/fasteners/" + i + "/torque",
                        SAY.say("missing.torque", fastener.title()),
                        List.of(Station.BUILD)));
            }
        }
        if (!Step.says(sheet.oil().grade())) {
            all.add(new Missing("/oil/grade", SAY.say("missing.grade"), List.of(Station.FILL)));
        }
        return all;
    }

    /** What a station wants and the sheet does not say. */
    public static List<Missing> at(FamilySheet sheet, Station station) {
        return of(sheet).stream().filter(m -> m.stations().contains(station)).toList();
    }
}
