package mussel.desktop.book;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import mussel.core.book.ShelfPlan;
import mussel.core.fill.FillEngine;
import mussel.core.fill.FillInput;
import mussel.core.job.JournalException;
import mussel.core.job.Suppliers;
import mussel.core.job.Yard;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.Money;
import mussel.core.parts.PartsEngine;
import mussel.core.parts.PartsInput;
import mussel.core.parts.PartsResult;
import mussel.core.parts.PartsWords;
import mussel.core.parts.Wanted;
import mussel.core.sheet.Part;
import mussel.core.sheet.SpecSheet;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Rows;
import mussel.desktop.kit.SheetPane;
import mussel.desktop.kit.Texts;
import mussel.work.background.BackgroundQuery;
import mussel.work.shop.Workshop;

/** What lies on the shelf against what the bench wants, what falls due and what is to stay; the order that closes the gap; and what is on its way. */
final class ShelfPage implements BookPage {
    private static final Messages TEXT = Messages.of(ShelfPage.class);

    private static final String ALL = "asked-for";
    /** Lines that a window of the usual size shows. */
    private static final int AT_ONCE = 12;

    private static final int AT_A_TIME = 6;

    private final Workshop shop;
    private final BackgroundQuery aside;
    private final Consumer<String> onTrouble;
    private final Column page = new Column();
    private final Column coming = new Column(6);
    private final Column order = new Column(4);
    private final Column ordered = new Column(4);
    private final Column table = new Column(2);
    private final Rows<ShelfRow> rows;
    private final Column families = new Column();
    private final Label said = Texts.dim("");
    private final PauseTransition further = new PauseTransition(Duration.millis(30));
    private String shown = ALL;

    ShelfPage(Workshop shop, BackgroundQuery aside, Consumer<String> onTrouble) {
        this.shop = shop;
        this.aside = aside;
        this.onTrouble = onTrouble;
        rows = new Rows<>(table, () -> new ShelfRow(this::counted, this::keep));
        coming.setId("shelf-coming");
        order.setId("shelf-order");
        table.setId("shelf-table");
        said.setId("shelf-said");
        said.managedProperty().bind(said.textProperty().isNotEmpty());
        for (Column each : List.of(coming, order, ordered)) {
            each.managedProperty().bind(javafx.beans.binding.Bindings.isNotEmpty(each.getChildren()));
        }
        Column sheet = new Column(10);
        sheet.getChildren()
                .addAll(
                        Texts.title(TEXT.get("shelf_page.the_shelf")),
                        Texts.sentence(TEXT.get("shelf_page.against_it_stand_what_the_bench", ShelfPlan.MONTHS)),
                        said,
                        coming,
                        order,
                        families,
                        ShelfRow.head(),
                        table,
                        ordered);
        SheetPane pane = new SheetPane(sheet);
        VBox.setVgrow(pane, javafx.scene.layout.Priority.ALWAYS);
        page.setId("shelf-page");
        page.getStyleClass().add("station");
        page.getChildren().add(pane);
    }

    @Override
    public Node node() {
        return page;
    }

    @Override
    public void undo() {
        change(shop::undoYard);
    }

    @Override
    public void redo() {
        change(shop::redoYard);
    }

    private void change(Runnable change) {
        try {
            change.run();
            onTrouble.accept("");
        } catch (JournalException e) {
            onTrouble.accept(e.getMessage());
        }
        show();
    }

    private void counted(ShelfPlan.Line line, int count) {
        change(() -> shop.shelf().count(line.family(), line.part(), count));
    }

    private void keep(ShelfPlan.Line line, int least) {
        change(() -> shop.shelf().keep(line.family(), line.part(), least));
    }

    @Override
    public void show() {
        if (families.getChildren().isEmpty()) {
            List<PickRow.Choice> choices = new ArrayList<>();
            choices.add(PickRow.Choice.text(ALL, TEXT.get("shelf_page.what_is_asked_for")));
            shop.families()
                    .forEach(f -> choices.add(PickRow.Choice.text(f.id(), TEXT.get("shelf_page.all_of", f.title()))));
            PickRow pick = new PickRow("shelf-family", "", choices).keepsOne().onPick(id -> {
                shown = id.orElse(ALL);
                show();
            });
            pick.show(Optional.of(ALL));
            families.getChildren().add(pick);
        }
        parcels();
        if (table.getChildren().isEmpty()) {
            said.setText(TEXT.get("shelf_page.working_out_what_the_stock_has"));
        }
        aside.ask(stop -> shop.apart(Workshop::shelfPlan), plan -> {
            lines(plan);
            order(plan);
        });
    }

    private void lines(ShelfPlan plan) {
        boolean all = shown.equals(ALL);
        List<ShelfPlan.Line> lines = all
                ? plan.lines()
                : shop.families().stream()
                        .filter(f -> f.id().equals(shown))
                        .flatMap(f -> f.parts().stream().map(p -> line(plan, f, p)))
                        .toList();
        rows.begin();
        lay(lines, all, AT_ONCE);
        said.setText(plan.lines().isEmpty() ? TEXT.get("shelf_page.nothing_was_counted_and_nothing_is") : "");
    }

    /** Lays out some lines and the others a few at a time: those that are seen first do not wait for the rest. */
    private void lay(List<ShelfPlan.Line> lines, boolean named, int now) {
        further.stop();
        lines.stream().limit(now).forEach(l -> rows.next().show(l, shop.units(), named));
        if (lines.size() <= now) {
            rows.end();
            return;
        }
        further.setOnFinished(e -> lay(lines.subList(now, lines.size()), named, AT_A_TIME));
        further.playFromStart();
    }

    private static ShelfPlan.Line line(ShelfPlan plan, SpecSheet family, Part part) {
        return plan.lines().stream()
                .filter(l -> l.family().equals(family.id()) && l.part().equals(part.id()))
                .findFirst()
                .orElseGet(() -> new ShelfPlan.Line(
                        family.id(),
                        family.title(),
                        part.id(),
                        part.title(),
                        Suppliers.number(part),
                        0,
                        0,
                        0,
                        0,
                        List.of(),
                        0));
    }

    private void parcels() {
        List<Node> lines = new ArrayList<>();
        List<Yard.Coming> all = shop.yard().coming();
        if (!all.isEmpty()) {
            lines.add(Texts.heading(TEXT.get("shelf_page.on_its_way")));
        }
        for (int i = 0; i < all.size(); i++) {
            lines.add(new ComingRow(
                    i,
                    all.get(i),
                    title(all.get(i)),
                    (parcel, came) -> change(() -> shop.shelf().came(parcel, came.here(), came.back()))));
        }
        coming.getChildren().setAll(lines);
    }

    private String title(Yard.Coming parcel) {
        return shop.families().stream()
                .filter(f -> f.id().equals(parcel.family()))
                .flatMap(f -> f.part(parcel.part()).stream().map(p -> p.title() + ", " + f.title()))
                .findFirst()
                .orElse(parcel.part().replace('_', ' ') + ", " + parcel.family());
    }

    /** The order that closes the gap, worked out beside the window. */
    private void order(ShelfPlan plan) {
        order.getChildren().clear();
        ordered.getChildren().clear();
        if (plan.missing().isEmpty()) {
            if (!plan.lines().isEmpty()) {
                order.getChildren()
                        .add(Texts.sentence(TEXT.get("shelf_page.nothing_is_missing_for_the_next", ShelfPlan.MONTHS)));
            }
            return;
        }
        order.getChildren().add(Texts.heading(TEXT.get("shelf_page.what_closes_the_gap_at_the")));
        Label working = Texts.dim(TEXT.get("shelf_page.working_it_out"));
        order.getChildren().add(working);
        PartsInput asked = plan.order(shop::catalogue);
        List<String> unlisted = plan.unlisted(shop::catalogue);
        aside.ask(stop -> PartsEngine.run(asked, stop), found -> {
            order.getChildren().remove(working);
            answer(plan, asked, found, unlisted);
        });
    }

    private void answer(ShelfPlan plan, PartsInput asked, PartsResult found, List<String> unlisted) {
        Money money = shop.units().money();
        List<Node> lines = new ArrayList<>();
        List<Node> detail = new ArrayList<>();
        if (found.feasible() && !found.lines().isEmpty()) {
            Button place = new Button(TEXT.get("shelf_page.it_is_ordered"));
            place.setId("shelf-ordered");
            place.setDisable(shop.journal().readOnly());
            place.setOnAction(e -> change(() -> shop.shelf().ordered(ShelfPlan.coming(asked, found, shop.today()))));
            Label total = Texts.wrapped(
                    TEXT.get(
                            "shelf_page.all_here_in",
                            money.exact(found.total().orElse(0)),
                            PartsWords.days(found.leadDays().orElse(0)),
                            (found.shipping() > 0
                                    ? TEXT.get("shelf_page.shipping_in_it", money.exact(found.shipping()))
                                    : ""),
                            (found.gap() > 0 ? TEXT.get("shelf_page.not_proven_to_be_the_best") : "")),
                    "large");
            Row head = new Row(12, place, total);
            head.setAlignment(Pos.CENTER_LEFT);
            lines.add(head);
            Set<String> suppliers = new HashSet<>();
            detail.add(Texts.heading(TEXT.get("shelf_page.line_by_line")));
            found.lines().forEach(l -> {
                suppliers.add(l.supplier());
                detail.add(Texts.sentence(l.qty() + " × " + l.sku() + ", " + l.supplier() + ": " + brings(asked, l)
                        + ", " + money.exact(l.cost()) + ", " + PartsWords.days(l.leadDays())));
            });
            suppliers.stream()
                    .sorted()
                    .flatMap(s -> Suppliers.rate(shop.yard(), s).stream())
                    .forEach(r -> detail.add(Texts.dim(r + ".")));
        } else if (!found.feasible()) {
            lines.add(Texts.sentence(TEXT.get(
                    "shelf_page.suppliers_together_do_not_have_enough",
                    String.join(
                            ", ",
                            found.missing().stream()
                                    .map(w -> w.qty() + " × " + name(w.part()))
                                    .toList()))));
        }
        if (!unlisted.isEmpty()) {
            lines.add(Texts.sentence(TEXT.get("shelf_page.in_no_suppliers_list", String.join(", ", unlisted))));
        }
        Suppliers.unrated(shop.yard()).forEach(u -> lines.add(Texts.sentence(u)));
        oil(plan).ifPresent(o -> lines.add(Texts.sentence(o)));
        order.getChildren().addAll(lines);
        ordered.getChildren().addAll(detail);
    }

    private Optional<String> oil(ShelfPlan plan) {
        List<FillInput.Bottle> bottles = shop.yard().bottles(FillInput.Holds.GEAR_OIL);
        if (plan.oilMl() < 10 || bottles.isEmpty()) {
            return Optional.empty();
        }
        var fill = FillEngine.run(
                new FillInput(Math.min(200_000, plan.oilMl()), 0, 0, 0, bottles, java.util.OptionalDouble.empty()));
        String bought = String.join(
                " + ",
                fill.use().stream()
                        .filter(u -> u.buy() > 0)
                        .map(u -> u.buy() + " × " + u.name())
                        .toList());
        return Optional.of(TEXT.get(
                "shelf_page.gear_oil_for_what_is_due",
                Display.exact(Kind.VOLUME, plan.oilMl(), shop.units()),
                (bought.isEmpty()
                        ? TEXT.get("shelf_page.which_the_bottles_hold")
                        : TEXT.get("shelf_page.to_buy", bought))));
    }

    private String brings(PartsInput asked, PartsResult.Line line) {
        List<Wanted> contents = asked.offers().stream()
                .filter(o -> o.sku().equals(line.sku()) && o.supplier().equals(line.supplier()))
                .flatMap(o -> o.contains().stream())
                .toList();
        String leg = contents.stream()
                .map(w -> w.part().substring(0, w.part().indexOf('/')))
                .distinct()
                .flatMap(f -> shop.families().stream().filter(s -> s.id().equals(f)))
                .map(SpecSheet::title)
                .collect(Collectors.joining(", "));
        return contents.stream()
                        .map(w -> (w.qty() > 1 ? w.qty() + " × " : "") + part(w.part()))
                        .collect(Collectors.joining(", "))
                + " (" + leg + ")";
    }

    private String part(String key) {
        String family = key.substring(0, key.indexOf('/'));
        String part = key.substring(key.indexOf('/') + 1);
        return shop.families().stream()
                .filter(f -> f.id().equals(family))
                .flatMap(f -> f.part(part).stream())
                .map(Part::title)
                .findFirst()
                .orElse(part.replace('_', ' '));
    }

    private String name(String key) {
        int at = key.indexOf('/');
        return title(new Yard.Coming(key.substring(0, at), key.substring(at + 1), 1, "", ""));
    }
}
