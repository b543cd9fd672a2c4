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
import mussel.core.language.Messages;
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
    private static final Messages TEXT = Messages.of(JobSheetPdf.class);

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
                    .setTitle(TEXT.get("job_sheet_pdf.job", job.id(), job.leg().title()));
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
                TEXT.get(
                        "job_sheet_pdf.job_taken_in",
                        all.sheet().title(),
                        job.id(),
                        job.opened().toString().substring(0, 10),
                        job.tagged()
                                .map(d -> TEXT.get("job_sheet_pdf.tagged", d))
                                .orElse(TEXT.get("job_sheet_pdf.not_finished")),
                        Letterhead.who(all.yard())),
                BODY + 1);
        page.line();
        Optional<String> notReal = NotReal.of(all);
        if (notReal.isPresent()) {
            page.heading(notReal.get(), BODY);
        }
        String countersign = Countersign.of(all).says();
        page.pair(
                TEXT.get("job_sheet_pdf.at_the_bench"),
                String.join(", ", job.people()) + (countersign.isEmpty() ? "" : ". " + countersign),
                BODY);
        page.pair(TEXT.get("job_sheet_pdf.hour_meter"), reading(Field.ENGINE_HOURS), BODY);
        page.pair(
                TEXT.get("job_sheet_pdf.runs_in"),
                TEXT.get("job_sheet_pdf.sand_or_shallows", choice(Scale.WATER), choice(Scale.SAND)),
                BODY);
        String cameFor = String.join(
                ", ",
                all.context().complaint().stream().map(Context.Complaint::title).toList());
        if (!cameFor.isEmpty()) {
            pair(page, TEXT.get("job_sheet_pdf.came_in_for"), cameFor);
        }
        job.note(Topic.COMPLAINT.address()).ifPresent(c -> pair(page, TEXT.get("job_sheet_pdf.what_was_seen"), c));
        page.skip(6);
    }

    private void found(Page page) throws IOException {
        page.heading(TEXT.get("job_sheet_pdf.what_came_out"), 12);
        page.pair(
                TEXT.get("job_sheet_pdf.oil"),
                TEXT.get(
                        "job_sheet_pdf.water_heat_metal",
                        choice(Scale.OIL_WATER),
                        choice(Scale.OIL_HEAT),
                        choice(Scale.OIL_METAL)),
                BODY);
        page.pair(
                TEXT.get("job_sheet_pdf.volume"),
                TEXT.get(
                        "job_sheet_pdf.in_at_water_first",
                        reading(Field.DRAINED),
                        reading(Field.MINUTES),
                        reading(Field.OIL_TEMP),
                        reading(Field.FREE_WATER)),
                BODY);
        page.pair(
                TEXT.get("job_sheet_pdf.plugs"),
                all.sheet().plugs().stream().map(this::plug).collect(Collectors.joining("; ")),
                BODY);
        if (all.drain().words().isPresent()) {
            for (String note : all.drain().words().get().notes()) {
                page.text(note, BODY);
            }
            page.text(TEXT.get("job_sheet_pdf.water_and_volume_are_estimates_their"), FOOT);
        }
        page.skip(6);
    }

    /** What the holds prove and what is wrong, as far as anything was looked at. */
    private void judged(Page page) throws IOException {
        if (all.findings().isEmpty()) {
            return;
        }
        page.heading(TEXT.get("job_sheet_pdf.what_is_wrong"), 12);
        for (HeldTest held : all.holdsBefore()) {
            String mode = held.hold().mode() == LeakMode.PRESSURE
                    ? TEXT.get("job_sheet_pdf.pressure_hold")
                    : TEXT.get("job_sheet_pdf.vacuum_hold");
            String words = held.words(units)
                    .map(w -> w.paper())
                    .orElse(TEXT.get("job_sheet_pdf.not_enough_readings_to_judge"));
            page.pair(mode + (held.hold().simulated() ? " (simulated)" : ""), words, BODY);
        }
        ShaftRunout.of(job, all.sheet())
                .flatMap(r -> r.words(units))
                .ifPresent(w -> pair(
                        page,
                        TEXT.get("job_sheet_pdf.propeller_shaft"),
                        w.notes().get(0)));
        page.text(all.verdictWords().head(), BODY);
        if (all.verdictWords().lipSide().isPresent()) {
            page.text(all.verdictWords().lipSide().get(), BODY);
        }
        page.text(
                TEXT.get(
                        "job_sheet_pdf.probabilities_are_estimates_from_the_diagnosis",
                        all.knowledge().knowledgeVersion()),
                FOOT);
        page.skip(6);
    }

    private String plug(Plug plug) {
        String washer = job.choice(Scale.WASHERS.of(plug.id()))
                .map(w -> TEXT.get("job_sheet_pdf.washer", w))
                .orElse(TEXT.get("job_sheet_pdf.washer_not_judged"));
        String magnet = plug.magnetic()
                ? TEXT.get(
                        "job_sheet_pdf.magnet",
                        job.choice(Scale.MAGNET.of(plug.id())).orElse(TEXT.get("job_sheet_pdf.not_judged")))
                : "";
        return plug.title() + ": " + washer + magnet;
    }

    private void done(Page page) throws IOException {
        page.heading(
                job.tagged().isPresent()
                        ? TEXT.get("job_sheet_pdf.what_was_done")
                        : TEXT.get("job_sheet_pdf.what_is_planned_and_how_far"),
                12);
        List<PlannedStep> ticked = all.plan().steps().stream()
                .filter(s -> job.ticked(s.step().id()).isPresent())
                .toList();
        String goals = all.goals().stream()
                .map(g -> all.sheet().goal(g).orElseThrow().title())
                .collect(Collectors.joining(", "));
        page.pair(
                job.tagged().isPresent()
                        ? TEXT.get("job_sheet_pdf.repaired")
                        : TEXT.get("job_sheet_pdf.to_be_repaired"),
                goals.isEmpty() ? TEXT.get("job_sheet_pdf.nothing_but_the_oil") : goals,
                BODY);
        if (!all.plan().steps().isEmpty()) {
            String took = StepMinutes.of(all).says();
            page.pair(
                    TEXT.get("job_sheet_pdf.steps"),
                    TEXT.get(
                            "job_sheet_pdf.of_done",
                            ticked.size(),
                            all.plan().steps().size(),
                            (took.isEmpty() ? "" : ". " + took)),
                    BODY);
            page.pair(
                    TEXT.get("job_sheet_pdf.new_parts"),
                    all.plan().parts().stream()
                            .map(p -> p.part().qty() + " × "
                                    + all.sheet()
                                            .part(p.part().part())
                                            .orElseThrow()
                                            .title())
                            .collect(Collectors.joining(", ")),
                    BODY);
            page.pair(
                    TEXT.get("job_sheet_pdf.torques"),
                    all.plan().fasteners().stream().map(JobSheetPdf::torque).collect(Collectors.joining("; ")),
                    BODY);
        }
        noted(page, TEXT.get("job_sheet_pdf.as_found"), Topic.AS_FOUND);
        List<EarlierHands.Found> hands = EarlierHands.of(all);
        if (!hands.isEmpty()) {
            page.pair(
                    TEXT.get("job_sheet_pdf.earlier_hands"),
                    hands.stream().map(h -> h.says(all.yard().money())).collect(Collectors.joining("; ")),
                    BODY);
        }
        noted(page, TEXT.get("job_sheet_pdf.stuck_and_what_was_tried"), Topic.STUCK);
        noted(page, TEXT.get("job_sheet_pdf.fell_in_not_out_yet"), Topic.FELL_IN);
        page.pair(
                TEXT.get("job_sheet_pdf.oil_filled"),
                all.oil().fillNamed().orElse("not chosen") + ", " + reading(Field.PUMPED),
                BODY);
        all.fill()
                .words()
                .filter(w -> !w.check().isEmpty())
                .ifPresent(w -> pair(page, TEXT.get("job_sheet_pdf.level"), w.check()));
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
            page.pair(TEXT.get("job_sheet_pdf.beside_the_leg"), String.join(" ", done), BODY);
        }
        List<String> waiting = beside.waiting();
        if (!waiting.isEmpty()) {
            page.pair(TEXT.get("job_sheet_pdf.waits"), String.join(" ", waiting), BODY);
        }
        Consent consent = new Consent(all);
        if (consent.answer() != Consent.Answer.NONE) {
            page.pair(
                    TEXT.get("job_sheet_pdf.agreed"),
                    consent.says() + consent.beyond().map(b -> " " + b).orElse(""),
                    BODY);
        }
        for (String comeback : new Comeback(all).says()) {
            page.pair(TEXT.get("job_sheet_pdf.came_back"), comeback, BODY);
        }
    }

    private void next(Page page) throws IOException {
        page.heading(TEXT.get("job_sheet_pdf.next_due"), 12);
        String unread = job.reading(Field.ENGINE_HOURS).isPresent()
                ? ""
                : TEXT.get("job_sheet_pdf.the_hour_meter_was_not_read");
        for (Due due : all.due()) {
            page.pair(due.what(), due.limits() + unread, BODY);
        }
    }

    private void foot(Page page) throws IOException {
        page.skip(Math.max(6, page.room() - FOOT_ROOM - (all.yard().foot().isPresent() ? FOOT_ROOM / 2 : 0)));
        page.line();
        page.text(
                TEXT.get(
                        "job_sheet_pdf.values_from_the_makers_manual_for",
                        all.sheet().origin()),
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
                : TEXT.get("job_sheet_pdf.not_measured");
    }

    private String choice(Scale scale) {
        return job.choice(scale)
                .map(c -> c.replace('_', ' ').toLowerCase(Locale.ROOT))
                .orElse(TEXT.get("job_sheet_pdf.not_judged"));
    }
}
