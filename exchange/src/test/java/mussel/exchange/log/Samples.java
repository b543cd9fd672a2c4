package mussel.exchange.log;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.LegRef;
import mussel.core.job.Order;
import mussel.core.job.Scale;
import mussel.core.job.Topic;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.core.leak.Stage;
import mussel.core.parts.Wanted;

/** A job with every kind of entry in it. */
final class Samples {
    static final Instant BEGUN = Instant.parse("2026-11-20T08:00:00.123456Z");

    private Samples() {}

    /** What a yard has decided, and taken back. */
    static List<Entry> yard(long firstSeq) {
        return List.of(
                new Entry(firstSeq, 0, BEGUN, "bench", new Fact.Decided("sheet:byssus", "{\"title\":\"Byssus\"}")),
                new Entry(firstSeq + 1, 0, BEGUN, "bench", new Fact.Decided("sheet:byssus", "{}")),
                new Entry(firstSeq + 2, 0, BEGUN, "bench", new Fact.Retracted(firstSeq + 1)));
    }

    static List<Entry> job(int job, long firstSeq) {
        LegRef leg = new LegRef("leg-" + job, "=Spat \"Lass\"\n, the", LegRef.Position.PORT, "tern-60");
        List<Fact> facts = List.of(
                new Fact.Opened(leg),
                new Fact.LegCorrected(new LegRef(leg.id(), "Spat Lass", LegRef.Position.STARBOARD, "tern-60")),
                Fact.Read.byHand(Field.ENGINE_HOURS.address(), 412.25, "412,25 h"),
                Fact.Read.byHand(Field.DRAINED.address(), 451.9999999999999, "452 ml"),
                new Fact.Read(Field.OIL_TEMP.address(), 18, "-@18 °C", "=cmd", true),
                new Fact.Chosen(Scale.OIL_WATER.address(), "milky"),
                new Fact.Chosen(Scale.MAGNET.of("drain"), "bristle"),
                new Fact.Cleared(Field.OIL_TEMP.address()),
                new Fact.Noted(Topic.COMPLAINT.address(), "Öl-Film ‘am Steg’ – 漏れ"),
                new Fact.HoldBegun("hold-1", LeakMode.PRESSURE, 0.5, "practice tester", true),
                new Fact.Held(
                        "hold-1",
                        List.of(
                                new LeakReading(0, 100, 20, Optional.empty()),
                                new LeakReading(60, 99.5, 20.1, Optional.of(Stage.DRIVESHAFT)))),
                new Fact.Chosen(Scale.GOAL.of("impeller"), "yes"),
                new Fact.Ticked("prop_off", true),
                new Fact.Ordered(
                        "order-1",
                        "REF",
                        true,
                        List.of(new Order.Line(
                                "K-1",
                                "Lochside",
                                2,
                                33.1,
                                List.of(new Wanted("impeller", 1)),
                                LocalDate.of(2026, 12, 1))),
                        4.5,
                        70.7),
                new Fact.Arrived("order-1", LocalDate.of(2026, 12, 2)),
                new Fact.Pictured(Topic.AS_FOUND.of("prop_off"), "ab12".repeat(16) + ".jpg", "hub"),
                new Fact.Retracted(firstSeq + 12),
                new Fact.Retracted(firstSeq + 16),
                new Fact.WorkedBy("00112233445566778899aabbccddeeff", true),
                new Fact.Delivered("order-1", "Lochside", "K-1", 2, 1, LocalDate.of(2026, 12, 2)),
                new Fact.Countersigned(LocalDate.of(2026, 12, 3)),
                new Fact.Tagged(LocalDate.of(2026, 12, 3)));
        List<Entry> entries = new ArrayList<>();
        for (int i = 0; i < facts.size(); i++) {
            entries.add(new Entry(firstSeq + i, job, BEGUN.plusSeconds(60L * i), "bench", facts.get(i)));
        }
        return entries;
    }
}
