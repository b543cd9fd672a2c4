package mussel.core.brief;

import static mussel.core.brief.Briefing.TEXT;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mussel.core.brief.Brief.Fold;
import mussel.core.estimate.EstimateInput.Doubtful;
import mussel.core.job.Assessment;
import mussel.core.job.LoosePiece;
import mussel.core.job.OneVisit;
import mussel.core.job.Order;
import mussel.core.job.ProofWork.Proof;
import mussel.core.job.ProofWork.State;
import mussel.core.job.SetupWork;
import mussel.core.job.Supply;
import mussel.core.log.Due;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.YardUnits;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.Goal;
import mussel.core.sheet.Step;
import mussel.core.verdict.Finding;
import mussel.core.verdict.VerdictResult.CauseBelief;
import mussel.core.verdict.VerdictResult.Check;

/** What can be folded away beside a station; each adds its line where it has something to say. */
final class Folds {
    /** The fold that is drawn as bars where there is room for it. */
    static final String EVIDENCE = "evidence";

    private static final int FEW = 5;
    private static final double WEIGHTY_BITS = 0.2;

    private final Assessment now;
    private final List<Fold> list = new ArrayList<>();

    Folds(Assessment now) {
        this.now = now;
    }

    List<Fold> list() {
        return list;
    }

    private Folds add(String id, String value, List<String> lines) {
        if (!lines.isEmpty()) {
            list.add(new Fold(id, TEXT.get("fold." + id), value, lines));
        }
        return this;
    }

    /** What is different on this one leg. */
    Folds own() {
        return now.before()
                .ofTheLeg(mussel.core.job.Topic.LEG_OWN, now.job())
                .map(own -> add(
                        "own",
                        own.job() == now.job().id() ? "" : TEXT.get("fold.own.value", String.valueOf(own.job())),
                        List.of(own.text())))
                .orElse(this);
    }

    /** What the owner said. */
    Folds told() {
        Optional<String> words = now.job().note(mussel.core.job.Topic.COMPLAINT.address());
        return words.map(w -> add("told", "", List.of(w))).orElse(this);
    }

    /** What speaks for and against the likeliest cause. */
    Folds evidence() {
        if (now.findings().isEmpty()) {
            return this;
        }
        CauseBelief first = now.verdict().causes().get(0);
        String title = now.knowledge().cause(first.id()).orElseThrow().title(now.context());
        List<String> lines = new ArrayList<>();
        lines.add(TEXT.get("evidence.of", title, Display.percent(first.probability())));
        first.evidence().stream()
                .filter(e -> Math.abs(e.bits()) >= WEIGHTY_BITS)
                .sorted(Comparator.comparingDouble(e -> -Math.abs(e.bits())))
                .limit(FEW)
                .forEach(e -> lines.add(TEXT.get(
                        e.bits() > 0 ? "evidence.for" : "evidence.against",
                        now.knowledge().finding(e.finding()).map(Finding::title).orElse(e.finding()),
                        now.findings().get(e.finding()).outcome().replace('_', ' '))));
        return add(EVIDENCE, TEXT.get("fold.evidence.value", now.findings().size()), lines);
    }

    /** The looks worth most after the one on the button. */
    Folds looks() {
        List<Check> worth = now.verdict().checks().stream()
                .filter(c -> c.value() > 0)
                .limit(FEW)
                .toList();
        return add(
                "looks",
                String.valueOf(worth.size()),
                worth.stream()
                        .map(c -> TEXT.get(
                                "look.line",
                                now.knowledge()
                                        .finding(c.finding())
                                        .map(Finding::title)
                                        .orElse(c.finding()),
                                Display.workTime(c.minutes()),
                                now.yard().money().sum(c.saves())))
                        .toList());
    }

    Folds water() {
        return now.drain()
                .words()
                .filter(w ->
                        now.drain().result().orElseThrow().water().fraction().isPresent())
                .map(w -> {
                    var share = now.drain().result().orElseThrow().water();
                    String value = share.high().isPresent()
                            ? Display.percentRange(
                                    share.fraction().getAsDouble(),
                                    share.low().getAsDouble(),
                                    share.high().getAsDouble())
                            : Display.percent(share.fraction().getAsDouble());
                    List<String> lines = new ArrayList<>(List.of(w.water(), w.balance()));
                    now.drain()
                            .result()
                            .flatMap(d -> d.ingressMlPerH().isPresent() ? w.ingress() : Optional.empty())
                            .ifPresent(lines::add);
                    return add("water", value, lines);
                })
                .orElse(this);
    }

    Folds frost() {
        return now.drain()
                .words()
                .filter(w -> w.frosty())
                .map(w -> add("frost", TEXT.get("fold.frost.value", frostPoint()), List.of(w.frost())))
                .orElse(this);
    }

    private String frostPoint() {
        YardUnits units = now.yard().reads();
        double point = units.fromCanonical(
                Kind.TEMPERATURE, now.drain().result().orElseThrow().freeze().pointC());
        return Display.rounded(point, 0.3) + " " + units.symbol(Kind.TEMPERATURE);
    }

    /** What to do when a wet case must wait, and how long it still drains. */
    Folds waiting() {
        return now.drain()
                .words()
                .map(w -> {
                    List<String> lines = new ArrayList<>();
                    if (w.wet()) {
                        lines.add(w.bare());
                    }
                    lines.add(w.waiting());
                    return add("waiting", TEXT.get(w.wet() ? "fold.waiting.wet" : "fold.waiting.dry"), lines);
                })
                .orElse(this);
    }

    /** What is to be done. */
    Folds goals() {
        List<String> titles = now.goals().stream()
                .map(g -> now.sheet().goal(g).map(Goal::title).orElse(g))
                .toList();
        if (titles.isEmpty()) {
            return add("goals", TEXT.get("fold.goals.none"), List.of(TEXT.get("fold.goals.how")));
        }
        List<String> lines = new ArrayList<>(titles);
        lines.add(left());
        return add("goals", String.valueOf(titles.size()), lines);
    }

    private String left() {
        List<PlannedStep> open = now.plan().steps().stream()
                .filter(s -> now.job().ticked(s.step().id()).isEmpty())
                .toList();
        return TEXT.get("left", open.size(), Display.workTime(minutes(open)));
    }

    private double minutes(List<PlannedStep> steps) {
        return steps.stream()
                .mapToDouble(s -> s.step().meanMinutes(now.saltYears()))
                .sum();
    }

    Folds time() {
        List<PlannedStep> all = now.plan().steps();
        if (all.isEmpty()) {
            return this;
        }
        List<PlannedStep> done = all.stream()
                .filter(s -> now.job().ticked(s.step().id()).isPresent())
                .toList();
        return add(
                "time",
                TEXT.get("fold.time.value", Display.workTime(minutes(done)), Display.workTime(minutes(all))),
                List.of(left(), now.planWords().time()));
    }

    /** What lies on the mat. */
    Folds mat() {
        List<String> off = now.stripSteps().stream()
                .filter(s -> now.job().ticked(s.step().id()).isPresent())
                .flatMap(s -> s.step().partsOut().stream())
                .map(p -> now.supply().title(p.part()))
                .toList();
        int loose = now.loose().stream()
                .filter(l -> off.contains(now.supply().title(l.part())))
                .mapToInt(LoosePiece::expected)
                .sum();
        if (off.isEmpty()) {
            return this;
        }
        List<String> last = off.subList(Math.max(0, off.size() - FEW), off.size());
        return add("mat", TEXT.get("fold.mat.value", off.size(), loose), last);
    }

    /** Parts that are not here yet, with their day. */
    Folds coming() {
        List<Supply.Row> rows = now.supply().rows().stream()
                .filter(r -> r.taken() + r.here() < r.need())
                .toList();
        Optional<Order> last =
                now.job().orders().stream().filter(o -> o.arrived().isEmpty()).max(Comparator.comparing(Order::due));
        String value = last.map(o -> TEXT.get("fold.coming.due", rows.size(), String.valueOf(o.due())))
                .orElse(String.valueOf(rows.size()));
        return add(
                "coming",
                value,
                rows.stream()
                        .map(r -> TEXT.get(r.open() > 0 ? "coming.open" : "coming.ordered", r.need(), r.title()))
                        .toList());
    }

    /** What is wrong, for stations where the work is in hand. */
    Folds wrong() {
        return now.findings().isEmpty()
                ? this
                : add("wrong", "", List.of(now.verdictWords().head()));
    }

    /** What is fitted next. */
    Folds fit() {
        List<String> next = now.buildSteps().stream()
                .filter(s -> now.job().ticked(s.step().id()).isEmpty())
                .flatMap(s -> s.step().partsIn().stream())
                .map(p -> p.hasHow()
                        ? now.supply().title(p.part()) + ": " + p.how()
                        : now.supply().title(p.part()))
                .toList();
        return add("fit", String.valueOf(next.size()), next.stream().limit(FEW).toList());
    }

    /** What each part is for. */
    Folds purposes() {
        List<String> lines = now.plan().parts().stream()
                .map(p -> TEXT.get("purpose", now.supply().title(p.part().part()), p.why()))
                .distinct()
                .toList();
        return add("purposes", TEXT.get("fold.purposes.value", now.goals().size()), lines);
    }

    Folds shelf() {
        List<String> lines = now.supply().rows().stream()
                .filter(r -> r.onShelf() > 0 || r.taken() > 0)
                .map(r -> TEXT.get("shelf.line", r.title(), r.taken(), r.onShelf()))
                .toList();
        return add("shelf", String.valueOf(lines.size()), lines);
    }

    /** What opening the case may bring on top. */
    Folds doubtful() {
        List<Doubtful> parts =
                OneVisit.worthOf(now).map(w -> w.input().doubtful()).orElse(List.of());
        double likely =
                parts.stream().mapToDouble(d -> d.price() * d.probability()).sum();
        return add(
                "doubtful",
                TEXT.get("fold.doubtful.value", now.yard().money().sum(likely)),
                parts.stream()
                        .map(d -> TEXT.get(
                                "doubtful.line",
                                d.part(),
                                now.yard().money().sum(d.price()),
                                String.valueOf(Math.round(100 * d.probability()))))
                        .toList());
    }

    Folds piece() {
        return now.pieceLost() ? add("piece", "", List.of(mussel.core.pump.PumpWords.missingPiece())) : this;
    }

    Folds moves() {
        return now.setup().map(s -> add("moves", "", s.pinionMoves())).orElse(this);
    }

    Folds drawer() {
        List<String> lines = now.setup().map(SetupWork::drawer).stream()
                .flatMap(d -> d.entrySet().stream())
                .filter(e -> e.getValue() > 0)
                .map(e -> e.getValue() + " × "
                        + Display.exact(Kind.LENGTH, e.getKey(), now.yard().reads()))
                .toList();
        return lines.isEmpty()
                ? this
                : add("drawer", TEXT.get("fold.drawer.value", lines.size()), List.of(String.join(", ", lines)));
    }

    Folds leave() {
        return now.fill().words().map(w -> add("leave", "", List.of(w.leave()))).orElse(this);
    }

    Folds grade() {
        String grade = now.sheet().oil().grade();
        return add(
                "grade",
                Step.says(grade) ? grade : TEXT.get("fold.grade.unknown"),
                List.of(now.oilGrade().says()));
    }

    Folds failed() {
        return add(
                "failed",
                String.valueOf(now.proof().failed().size()),
                now.proof().failed().stream().map(Proof::says).toList());
    }

    Folds unproven() {
        List<String> open = now.proof().proofs().stream()
                .filter(p -> p.state() == State.OPEN)
                .map(Proof::says)
                .toList();
        return add(
                "unproven",
                TEXT.get("fold.of", open.size(), now.proof().proofs().size()),
                open);
    }

    Folds due() {
        List<String> lines =
                now.due().stream().map(d -> d.what() + " " + d.limits()).toList();
        String first = now.due().stream()
                .map(Due::on)
                .min(Comparator.naturalOrder())
                .map(String::valueOf)
                .orElse("");
        return add("due", first, lines);
    }

    Folds undone() {
        List<String> lines = Stream.concat(now.blocks().stream(), now.leftUndone().stream())
                .distinct()
                .toList();
        return add("undone", String.valueOf(lines.size()), lines);
    }
}
