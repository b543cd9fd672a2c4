package mussel.exchange.report;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mussel.core.estimate.EstimateEngine;
import mussel.core.estimate.EstimateInput;
import mussel.core.estimate.EstimateResult.Option;
import mussel.core.estimate.EstimateWords;
import mussel.core.job.Assessment;
import mussel.core.job.Consent;
import mussel.core.job.EarlierHands;
import mussel.core.job.LoosePiece;
import mussel.core.job.OneVisit;
import mussel.core.job.Order;
import mussel.core.job.RepairWorth;
import mussel.core.job.Topic;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Money;
import mussel.core.measure.TorqueUnit;
import mussel.core.parts.PartsWords;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.Part;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Step;
import mussel.exchange.file.OutFile;
import mussel.exchange.parts.OrderCsv;
import org.apache.pdfbox.pdmodel.PDDocument;

/** What a yard prints beside the job sheet: the owner's estimate, an order, and the mat with the way back. */
public final class Papers {
    private static final Messages TEXT = Messages.of(Papers.class);

    private static final float BODY = 10;
    private static final float FOOT = 8;
    private static final float ROOM_FOR_STEPS = 90;
    private static final double LEAST_SPREAD = 0.005;

    private Papers() {}

    /** The estimate for the owner, in plain words. An UncheckedIOException says why it could not be written. */
    public static void estimate(Assessment job, Path file) {
        estimate(job, file, Optional.empty());
    }

    /** The same with the yard's logo above it: a picture, JPEG, PNG or GIF. */
    public static void estimate(Assessment job, Path file, Optional<byte[]> logo) {
        Optional<OneVisit> both =
                job.visit().filter(OneVisit::oneOwner).filter(v -> v.worth().isPresent());
        RepairWorth worth = OneVisit.worthOf(job)
                .orElseThrow(() -> new UncheckedIOException(
                        new IOException("nothing is to be done yet, so there is nothing to weigh")));
        print(TEXT.get("papers.estimate_job", job.job().id()), file, page -> {
            Letterhead.logo(page, logo);
            EstimateWords words = worth.words();
            Money money = words.money();
            head(page, job, TEXT.get("papers.repair_it_exchange_it_or_leave"));
            if (both.isPresent()) {
                page.heading(both.get().says(), BODY);
                page.skip(4);
            }
            page.heading(words.advice(), BODY + 1);
            page.skip(4);
            page.text(words.range() + " " + Letterhead.beside(job.yard()), BODY);
            page.skip(10);
            bars(page, worth);
            page.skip(8);
            page.heading(TEXT.get("papers.what_is_in_the_repair"), 12);
            if (both.isPresent()) {
                for (Assessment leg : both.get().legs()) {
                    page.pair(capital(both.get().briefly(leg)), goals(leg), BODY);
                }
            } else {
                page.pair(TEXT.get("papers.to_be_done"), goals(job), BODY);
            }
            page.pair(
                    TEXT.get("papers.work"),
                    TEXT.get(
                            "papers.at_an_hour",
                            (both.isPresent()
                                    ? TEXT.get(
                                            "papers.on_the_mean_for_both",
                                            Display.workTime(
                                                    worth.input().minutes().mean()))
                                    : job.planWords().time()),
                            money.exact(worth.input().labourPerH())),
                    BODY);
            page.pair(TEXT.get("papers.parts"), money.exact(worth.input().partsTotal()), BODY);
            if (worth.input().toolsTotal() > 0) {
                page.pair(
                        TEXT.get("papers.special_tools"),
                        money.exact(worth.input().toolsTotal()),
                        BODY);
            }
            if (worth.input().downtimePerDay() > 0) {
                page.pair(
                        TEXT.get("papers.days_without_it"),
                        TEXT.get(
                                "papers.at",
                                Math.round(worth.input().repairLeadDays()),
                                money.exact(worth.input().downtimePerDay())),
                        BODY);
            }
            doubtful(page, money, worth.input().doubtful());
            List<EarlierHands.Found> hands = EarlierHands.of(job);
            if (!hands.isEmpty()) {
                page.pair(
                        TEXT.get("papers.found_work_of_earlier_hands"),
                        hands.stream().map(h -> h.says(money)).collect(java.util.stream.Collectors.joining("; ")) + ".",
                        BODY);
            }
            page.skip(6);
            for (String flip : words.flips()) {
                page.text(flip, BODY);
            }
            for (String part : worth.unpriced()) {
                page.text(TEXT.get("papers.no_price_is_listed_for_it", part), BODY);
            }
            Consent consent = new Consent(job);
            page.skip(6);
            page.heading(TEXT.get("papers.what_you_say_to_it"), 12);
            page.text(
                    consent.answer() == Consent.Answer.NONE ? TEXT.get("papers.yes_yes_up_to_no_name") : consent.says(),
                    BODY);
            page.text(TEXT.get("papers.more_may_come_on_top_once"), BODY);
            page.text(TEXT.get("papers.these_are_estimates_what_is_found"), BODY);
            foot(page, job);
        });
    }

    private static void bars(Page page, RepairWorth worth) throws IOException {
        EstimateWords words = worth.words();
        Money money = words.money();
        double most =
                worth.result().options().stream().mapToDouble(Option::p90).max().orElse(1) * 1.05;
        for (Option option : worth.result().options()) {
            page.bar(name(option), option.p10() / most, option.p90() / most, Math.min(1, option.mean() / most), BODY);
            page.text(
                    TEXT.get(
                            "papers.on_the_mean",
                            words.about(option, option.mean()),
                            spread(words, option),
                            (option.perLifeHour().isPresent()
                                    ? TEXT.get(
                                            "papers.for_each_hour_it_should_last",
                                            money.sum(option.perLifeHour().getAsDouble()))
                                    : ""),
                            (option.leadDays() > 0 ? "; " + PartsWords.days(Math.round(option.leadDays())) : "")),
                    FOOT + 1);
            page.skip(4);
        }
        page.text(TEXT.get("papers.grey_where_eight_of_ten_cases"), FOOT);
    }

    private static String spread(EstimateWords words, Option option) {
        if (option.name().equals(EstimateEngine.LEAVE)) {
            return TEXT.get("papers.nothing_if_it_holds_if_it", words.about(option, option.p90()));
        }
        return option.p90() - option.p10() < LEAST_SPREAD
                ? TEXT.get("papers.a_fixed_price")
                : TEXT.get(
                        "papers.to_in_eight_of_ten_cases",
                        words.about(option, option.p10()),
                        words.about(option, option.p90()));
    }

    private static String name(Option option) {
        String title = EstimateWords.title(option.name());
        return option.name().equals(EstimateEngine.REPAIR) || option.name().equals(EstimateEngine.LEAVE)
                ? capital(title)
                : title;
    }

    private static void doubtful(Page page, Money money, List<EstimateInput.Doubtful> doubtful) throws IOException {
        if (!doubtful.isEmpty()) {
            page.pair(
                    TEXT.get("papers.may_come_on_top"),
                    doubtful.stream()
                            .limit(6)
                            .map(d -> TEXT.get(
                                    "papers.in_100", d.part(), money.sum(d.price()), Math.round(100 * d.probability())))
                            .collect(Collectors.joining("; ")),
                    BODY);
        }
    }

    /** An order as it was placed. An UncheckedIOException says why it could not be written. */
    public static void order(Assessment job, Order order, Path file) {
        order(job, order, file, Optional.empty());
    }

    /** The same with the yard's logo above it: a picture, JPEG, PNG or GIF. */
    public static void order(Assessment job, Order order, Path file, Optional<byte[]> logo) {
        if (file.getFileName().toString().endsWith(".csv")) {
            byte[] list = OrderCsv.write(order, job.supply()).getBytes(StandardCharsets.UTF_8);
            OutFile.of(file, OutFile.Kind.CSV, true).write(out -> out.write(list));
            return;
        }
        Money money = job.yard().money();
        print(TEXT.get("papers.order", order.placed().order()), file, page -> {
            Letterhead.logo(page, logo);
            head(page, job, TEXT.get("papers.order", order.placed().order()));
            if (order.placed().simulated()) {
                page.heading(TEXT.get("papers.placed_with_a_simulated_supplier_nothing"), BODY);
            }
            page.text(TEXT.get("papers.their_reference", order.placed().reference()), BODY);
            Map<String, List<Order.Line>> bySupplier = order.placed().lines().stream()
                    .collect(Collectors.groupingBy(Order.Line::supplier, LinkedHashMap::new, Collectors.toList()));
            for (Map.Entry<String, List<Order.Line>> supplier : bySupplier.entrySet()) {
                page.skip(6);
                page.heading(supplier.getKey(), 12);
                for (Order.Line line : supplier.getValue()) {
                    String what = line.contains().stream()
                            .map(c -> c.qty() + " × " + job.supply().title(c.part()))
                            .collect(Collectors.joining(", "));
                    page.pair(
                            line.qty() + " × " + line.sku(),
                            TEXT.get("papers.here", what, money.exact(line.cost()), line.due()),
                            BODY);
                }
            }
            page.line();
            page.pair(TEXT.get("papers.shipping"), money.exact(order.placed().shipping()), BODY);
            page.pair(TEXT.get("papers.in_all"), money.exact(order.placed().total()), BODY);
            Letterhead.foot(page, job.yard(), BODY);
        });
    }

    /** The mat in the order it came off, and mirrored as the way back. An UncheckedIOException says why it could not be written. */
    public static void mat(Assessment job, Path file) {
        mat(job, List.of(), List.of(), file);
    }

    /**
     * The same with the mat drawn, row by row.
     *
     * @param cameOff PNG pictures of the rows as they came off
     * @param wayBack those of the way back
     */
    public static void mat(Assessment job, List<byte[]> cameOff, List<byte[]> wayBack, Path file) {
        print(TEXT.get("papers.the_mat_job", job.job().id()), file, page -> {
            head(page, job, TEXT.get("papers.the_mat"));
            int number = 1;
            page.heading(TEXT.get("papers.as_it_came_off"), 12);
            for (byte[] row : cameOff) {
                page.picture(row, Page.WIDTH);
            }
            for (PlannedStep step : job.stripSteps()) {
                for (PartQty out : step.step().partsOut()) {
                    piece(page, job, number++, out);
                }
                if (job.job().note(Topic.AS_FOUND.of(step.step().id())).isPresent()) {
                    page.pair(
                            "",
                            TEXT.get(
                                    "papers.as_found",
                                    job.job()
                                            .note(Topic.AS_FOUND.of(step.step().id()))
                                            .get()),
                            BODY);
                }
            }
            page.skip(6);
            page.heading(TEXT.get("papers.to_be_counted_before_the_leg"), 12);
            for (LoosePiece loose : job.loose()) {
                String counted = loose.counted().isPresent()
                        ? TEXT.get("papers.counted", Math.round(loose.counted().getAsDouble()))
                        : TEXT.get("papers.not_counted_yet");
                page.pair(
                        job.supply().title(loose.part()), TEXT.get("papers.came_off", loose.expected(), counted), BODY);
            }
            page.skip(6);
            page.keepTogether(ROOM_FOR_STEPS);
            page.heading(TEXT.get("papers.the_way_back"), 12);
            for (byte[] row : wayBack) {
                page.picture(row, Page.WIDTH);
            }
            for (PlannedStep step : job.buildSteps()) {
                back(page, job, step.step());
            }
            foot(page, job);
        });
    }

    private static void piece(Page page, Assessment job, int number, PartQty out) throws IOException {
        Part part = job.sheet().part(out.part()).orElseThrow();
        page.pair(
                number + "  " + (out.qty() > 1 ? out.qty() + " × " : "") + part.title(),
                (out.hasHow() ? out.how() : "")
                        + (part.alwaysNew() ? TEXT.get("papers.always_new", (out.hasHow() ? "; " : "")) : ""),
                BODY);
    }

    private static void back(Page page, Assessment job, Step step) throws IOException {
        String parts = step.partsIn().stream()
                .map(p -> (p.qty() > 1 ? p.qty() + " × " : "")
                        + job.supply().title(p.part())
                        + (p.hasHow() ? " (" + p.how() + ")" : ""))
                .collect(Collectors.joining(", "));
        String torques = step.fasteners().stream()
                .flatMap(f -> job.sheet().fastener(f).stream())
                .map(f -> f.title()
                        + f.torque()
                                .map(t -> " " + t.range().range(TorqueUnit.NM))
                                .orElse(TEXT.get("papers.torque_not_known")))
                .collect(Collectors.joining(", "));
        page.keepTogether(30);
        page.pair(
                (job.job().ticked(step.id()).isPresent() ? "[x] " : "[  ] ") + step.title(),
                parts + (parts.isEmpty() || torques.isEmpty() ? "" : ". ") + torques,
                BODY);
    }

    private static String capital(String text) {
        return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }

    private static String goals(Assessment job) {
        return job.goals().stream()
                .map(g -> job.sheet().goal(g).orElseThrow().title())
                .collect(Collectors.joining(", "));
    }

    static void head(Page page, Assessment job, String title) throws IOException {
        page.heading(title, 18);
        page.text(
                TEXT.get(
                        "papers.job",
                        job.job().leg().title(),
                        job.sheet().title(),
                        job.job().id(),
                        Letterhead.who(job.yard()),
                        job.today()),
                BODY);
        page.line();
        Optional<String> notReal = NotReal.of(job);
        if (notReal.isPresent()) {
            page.heading(notReal.get(), BODY);
        }
        page.skip(4);
    }

    static void foot(Page page, Assessment job) throws IOException {
        page.skip(10);
        page.line();
        page.text(
                TEXT.get("papers.values_from_the_makers_manual_for", job.sheet().origin()), FOOT);
        Letterhead.foot(page, job.yard(), FOOT + 1);
    }

    interface Writing {
        void on(Page page) throws IOException;
    }

    static void print(String title, Path file, Writing writing) {
        try (PDDocument document = new PDDocument()) {
            document.getDocumentInformation().setTitle(title);
            document.getDocumentInformation().setCreator("Mussel");
            try (Page page = new Page(document)) {
                writing.on(page);
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            OutFile.of(file, OutFile.Kind.PDF, true).write(out::writeTo);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
