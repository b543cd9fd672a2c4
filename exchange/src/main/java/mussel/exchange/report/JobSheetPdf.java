package mussel.exchange.report;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import mussel.core.job.Assessment;
import mussel.core.job.Comeback;
import mussel.core.job.Consent;
import mussel.core.job.Countersign;
import mussel.core.job.EarlierHands;
import mussel.core.job.EngineSide;
import mussel.core.job.Field;
import mussel.core.job.HeldTest;
import mussel.core.job.Job;
import mussel.core.job.Scale;
import mussel.core.job.ShaftRunout;
import mussel.core.job.StepMinutes;
import mussel.core.job.Topic;
import mussel.core.leak.LeakMode;
import mussel.core.log.Due;
import mussel.core.measure.Display;
import mussel.core.measure.YardUnits;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.Fastener;
import mussel.core.sheet.Plug;
import mussel.core.verdict.Context;
import mussel.exchange.file.OutFile;
import org.apache.pdfbox.pdmodel.PDDocument;

/** The job sheet: what came in, what was found and done, what went in and what is next due, on one page for the owner. */
public final class JobSheetPdf {
    private static final float BODY = 9;
    private static final float FOOT = 7.5f;
    private static final float FOOT_ROOM = 46;

    private final Assessment all;
    private final Job job;
    private final YardUnits units;

    private JobSheetPdf(Assessment all) {
        this.all = all;
        this.job = all.job();
        this.units = all.yard().reads();
    }

    /** Writes the sheet of a job into a file, whole or not at all. An UncheckedIOException says why it could not. */
    public static void write(Assessment job, Path file) {
        write(job, file, Optional.empty());
    }

    /** The same with the yard's logo above it: a picture, JPEG, PNG or GIF. */
    public static void write(Assessment job, Path file, Optional<byte[]> logo) {
        try {
            byte[] page = new JobSheetPdf(job).bytes(logo);
            OutFile.of(file, OutFile.Kind.PDF, true).write(out -> out.write(page));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private byte[] bytes(Optional<byte[]> logo) throws IOException {
        try (PDDocument document = new PDDocument()) {
            document.getDocumentInformation()
                    .setTitle("Job " + job.id() + ", " + job.leg().title());
            document.getDocumentInformation().setCreator("Mussel");
            try (Page page = new Page(document)) {
                Letterhead.logo(page, logo);
                head(page);
                found(page);
                judged(page);
                done(page);
                visit(page);
                PutBack.print(page, all);
                next(page);
                foot(page);
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    private void head(Page page) throws IOException {
        page.heading(job.leg().title(), 18);
        page.text(
                all.sheet().title() + ", job " + job.id() + ", taken in "
                        + job.opened().toString().substring(0, 10)
                        + job.tagged().map(d -> ", tagged " + d).orElse(", not finished") + ". "
                        + Letterhead.who(all.yard()) + ".",
                BODY + 1);
        page.line();
        Optional<String> notReal = NotReal.of(all);
        if (notReal.isPresent()) {
            page.heading(notReal.get(), BODY);
        }
        String countersign = Countersign.of(all).says();
        page.pair(
                "At the bench",
                String.join(", ", job.people()) + (countersign.isEmpty() ? "" : ". " + countersign),
                BODY);
        page.pair("Hour meter", reading(Field.ENGINE_HOURS), BODY);
        page.pair("Runs in", choice(Scale.WATER) + ", sand or shallows: " + choice(Scale.SAND), BODY);
        String cameFor = String.join(
                ", ",
                all.context().complaint().stream().map(Context.Complaint::title).toList());
        if (!cameFor.isEmpty()) {
            pair(page, "Came in for", cameFor);
        }
        job.note(Topic.COMPLAINT.address()).ifPresent(c -> pair(page, "What was seen", c));
        page.skip(6);
    }

    private void found(Page page) throws IOException {
        page.heading("What came out", 12);
        page.pair(
                "Oil",
                "water: " + choice(Scale.OIL_WATER) + "; heat: " + choice(Scale.OIL_HEAT) + "; metal: "
                        + choice(Scale.OIL_METAL),
                BODY);
        page.pair(
                "Volume",
                reading(Field.DRAINED) + " in " + reading(Field.MINUTES) + " at " + reading(Field.OIL_TEMP)
                        + ", water first: " + reading(Field.FREE_WATER),
                BODY);
        page.pair("Plugs", all.sheet().plugs().stream().map(this::plug).collect(Collectors.joining("; ")), BODY);
        if (all.drain().words().isPresent()) {
            for (String note : all.drain().words().get().notes()) {
                page.text(note, BODY);
            }
            page.text("Water and volume are estimates; their bounds are two standard uncertainties.", FOOT);
        }
        page.skip(6);
    }

    /** What the holds prove and what is wrong, as far as anything was looked at. */
    private void judged(Page page) throws IOException {
        if (all.findings().isEmpty()) {
            return;
        }
        page.heading("What is wrong", 12);
        for (HeldTest held : all.holdsBefore()) {
            String mode = held.hold().mode() == LeakMode.PRESSURE ? "Pressure hold" : "Vacuum hold";
            String words = held.words(units).map(w -> w.paper()).orElse("not enough readings to judge.");
            page.pair(mode + (held.hold().simulated() ? " (simulated)" : ""), words, BODY);
        }
        ShaftRunout.of(job, all.sheet())
                .flatMap(r -> r.words(units))
                .ifPresent(w -> pair(page, "Propeller shaft", w.notes().get(0)));
        page.text(all.verdictWords().head(), BODY);
        if (all.verdictWords().lipSide().isPresent()) {
            page.text(all.verdictWords().lipSide().get(), BODY);
        }
        page.text(
                "Probabilities are estimates from the diagnosis tables "
                        + all.knowledge().knowledgeVersion() + ".",
                FOOT);
        page.skip(6);
    }

    private String plug(Plug plug) {
        String washer =
                job.choice(Scale.WASHERS.of(plug.id())).map(w -> "washer " + w).orElse("washer not judged");
        String magnet = plug.magnetic()
                ? ", magnet " + job.choice(Scale.MAGNET.of(plug.id())).orElse("not judged")
                : "";
        return plug.title() + ": " + washer + magnet;
    }

    private void done(Page page) throws IOException {
        page.heading(job.tagged().isPresent() ? "What was done" : "What is planned, and how far it is", 12);
        List<PlannedStep> ticked = all.plan().steps().stream()
                .filter(s -> job.ticked(s.step().id()).isPresent())
                .toList();
        String goals = all.goals().stream()
                .map(g -> all.sheet().goal(g).orElseThrow().title())
                .collect(Collectors.joining(", "));
        page.pair(
                job.tagged().isPresent() ? "Repaired" : "To be repaired",
                goals.isEmpty() ? "nothing but the oil" : goals,
                BODY);
        if (!all.plan().steps().isEmpty()) {
            String took = StepMinutes.of(all).says();
            page.pair(
                    "Steps",
                    ticked.size() + " of " + all.plan().steps().size() + " done" + (took.isEmpty() ? "" : ". " + took),
                    BODY);
            page.pair(
                    "New parts",
                    all.plan().parts().stream()
                            .map(p -> p.part().qty() + " × "
                                    + all.sheet()
                                            .part(p.part().part())
                                            .orElseThrow()
                                            .title())
                            .collect(Collectors.joining(", ")),
                    BODY);
            page.pair(
                    "Torques",
                    all.plan().fasteners().stream().map(JobSheetPdf::torque).collect(Collectors.joining("; ")),
                    BODY);
        }
        noted(page, "As found", Topic.AS_FOUND);
        List<EarlierHands.Found> hands = EarlierHands.of(all);
        if (!hands.isEmpty()) {
            page.pair(
                    "Earlier hands",
                    hands.stream().map(h -> h.says(all.yard().money())).collect(Collectors.joining("; ")),
                    BODY);
        }
        noted(page, "Stuck, and what was tried", Topic.STUCK);
        noted(page, "Fell in, not out yet", Topic.FELL_IN);
        page.pair("Oil filled", all.oil().fillNamed().orElse("not chosen") + ", " + reading(Field.PUMPED), BODY);
        all.fill().words().filter(w -> !w.check().isEmpty()).ifPresent(w -> pair(page, "Level", w.check()));
        page.skip(6);
    }

    /** What was written down at the steps, each under its step. */
    private void noted(Page page, String heading, Topic topic) throws IOException {
        String noted = job.notes().entrySet().stream()
                .filter(n -> n.getKey().name().equals(topic.address().name()))
                .filter(n -> !n.getValue().isBlank())
                .map(n ->
                        all.sheet()
                                        .step(n.getKey().of())
                                        .map(s -> s.title())
                                        .orElse(n.getKey().of().replace('_', ' ')) + ": " + n.getValue())
                .collect(Collectors.joining("; "));
        if (!noted.isEmpty() && page.room() > FOOT_ROOM + 120) {
            page.pair(heading, noted, BODY);
        }
    }

    private static String torque(Fastener f) {
        return f.title() + " " + f.tightness();
    }

    /** What was done beside the leg, what waits with its risk, what the owner agreed to, and whether it came back. */
    private void visit(Page page) throws IOException {
        EngineSide beside = new EngineSide(all);
        List<String> done = beside.done();
        if (!done.isEmpty()) {
            page.pair("Beside the leg", String.join(" ", done), BODY);
        }
        List<String> waiting = beside.waiting();
        if (!waiting.isEmpty()) {
            page.pair("Waits", String.join(" ", waiting), BODY);
        }
        Consent consent = new Consent(all);
        if (consent.answer() != Consent.Answer.NONE) {
            page.pair(
                    "Agreed",
                    consent.says() + consent.beyond().map(b -> " " + b).orElse(""),
                    BODY);
        }
        for (String comeback : new Comeback(all).says()) {
            page.pair("Came back", comeback, BODY);
        }
    }

    private void next(Page page) throws IOException {
        page.heading("Next due", 12);
        String unread = job.reading(Field.ENGINE_HOURS).isPresent() ? "" : " (the hour meter was not read)";
        for (Due due : all.due()) {
            page.pair(due.what(), due.limits() + unread, BODY);
        }
    }

    private void foot(Page page) throws IOException {
        page.skip(Math.max(6, page.room() - FOOT_ROOM - (all.yard().foot().isPresent() ? FOOT_ROOM / 2 : 0)));
        page.line();
        page.text(
                "Values from: " + all.sheet().origin()
                        + ". The maker's manual for the exact unit outranks every value on this sheet."
                        + " Where warranty, passenger craft or local code ask for a licensed technician, the work is theirs.",
                FOOT);
        Letterhead.foot(page, all.yard(), FOOT + 1);
    }

    private static void pair(Page page, String caption, String text) {
        try {
            page.pair(caption, text, BODY);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private String reading(Field field) {
        return job.reading(field).isPresent()
                ? Display.exact(field.kind(), job.reading(field).getAsDouble(), units)
                : "not measured";
    }

    private String choice(Scale scale) {
        return job.choice(scale)
                .map(c -> c.replace('_', ' ').toLowerCase(Locale.ROOT))
                .orElse("not judged");
    }
}
