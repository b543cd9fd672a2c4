package mussel.desktop.book;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import mussel.core.job.JournalException;
import mussel.core.job.Yard;
import mussel.core.language.Messages;
import mussel.core.measure.AmountReader;
import mussel.core.measure.DecimalMark;
import mussel.core.measure.Kind;
import mussel.core.measure.Money;
import mussel.core.measure.Range;
import mussel.core.measure.Typed;
import mussel.core.parts.Price;
import mussel.core.parts.PriceColumn;
import mussel.core.parts.PriceHead;
import mussel.core.parts.PriceList;
import mussel.core.parts.PriceQuestion;
import mussel.core.parts.Seller;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.ScrollArea;
import mussel.desktop.kit.Texts;
import mussel.work.background.BackgroundQuery;
import mussel.work.shop.Workshop;

/** A supplier's price list that may be taken in: whose it is, in which money, which column is what; what it would change; then it is taken, or not. */
public final class PriceListPage extends Column {
    private static final Messages TEXT = Messages.of(PriceListPage.class);

    private static final int MOST_PROBLEMS = 40;
    private static final String NONE = "–";
    private static final double LIST = 190;
    private static final double MOST_RATE = 1_000_000;

    private final Workshop shop;
    private final Path file;
    private final Consumer<String> onDone;
    private final TextField name = field("prices-supplier", "supplier name", 16);
    private final TextField money = field("prices-currency", "NOK", 5);
    private final TextField rate = field("prices-rate", "0.086", 8);
    private final Map<PriceColumn, ComboBox<String>> columns = new EnumMap<>(PriceColumn.class);
    private final PickRow known;
    private final PickRow marks;
    private final Column matched = new Column(6);
    private final Column says = new Column(3);
    private final Label refusal = Texts.wrapped("", "refusal");
    private final Label progress = Texts.dim("");
    private final Button act = new Button("Check file");
    private final Button leave = new Button("Cancel");
    private final BackgroundQuery aside;
    private final AtomicBoolean stopped = new AtomicBoolean();
    private Optional<PriceHead> head = Optional.empty();
    private Optional<DecimalMark> mark = Optional.empty();
    private Optional<Found> found = Optional.empty();

    /** What was found, and the yard with it taken in. */
    private record Found(PriceList list, Yard yard) {}

    /** Whether a file is a list by its name. */
    public static boolean takes(Path file) {
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        return name.endsWith(".csv") || name.endsWith(".tsv");
    }

    /** The page of a file; what became of it is said when it is taken in. */
    public PriceListPage(Workshop shop, Path file, Runnable onLeave, Consumer<String> onDone) {
        super(10);
        this.shop = shop;
        aside = new BackgroundQuery(shop.background(), this::refuse);
        this.file = file;
        this.onDone = onDone;
        setId("price-list-page");
        getStyleClass().addAll("station", "sheet-over");
        List<Seller> sellers = shop.sellers();
        known = new PickRow(
                        "prices-known",
                        TEXT.get("price_list_page.whose_list_it_is"),
                        sellers.stream()
                                .map(s -> PickRow.Choice.text(s.id(), s.id()))
                                .toList())
                .optional()
                .onPick(id -> sellers.stream()
                        .filter(s -> id.equals(Optional.of(s.id())))
                        .findFirst()
                        .ifPresent(this::sells));
        marks = new PickRow(
                        "prices-mark",
                        TEXT.get("price_list_page.before_decimals_stands"),
                        List.of(
                                PickRow.Choice.text("POINT", TEXT.get("price_list_page.a_point_1_234_50")),
                                PickRow.Choice.text("COMMA", TEXT.get("price_list_page.a_comma_1_234_50"))))
                .onPick(m -> {
                    mark = m.map(DecimalMark::valueOf);
                    touched();
                });
        shown(marks, false);
        Flow whose = new Flow(
                10,
                6,
                named("Supplier", name),
                named(TEXT.get("price_list_page.his_money"), money),
                named(TEXT.get("price_list_page.one_of_his_is_in", yardsMoney()), rate));
        List.of(name, money, rate).forEach(f -> f.textProperty().addListener((o, was, is) -> touched()));
        name.textProperty().addListener((o, was, is) -> reread());
        act.setId("prices-do");
        act.getStyleClass().add("act");
        act.setDisable(true);
        act.setOnAction(e -> act());
        leave.setId("prices-leave");
        leave.setOnAction(e -> {
            if (aside.busy()) {
                stopped.set(true);
            } else {
                onLeave.run();
            }
        });
        progress.setId("prices-progress");
        says.setId("prices-says");
        refusal.setId("prices-refusal");
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        ScrollPane scroll = new ScrollArea(says);
        scroll.setFitToWidth(true);
        scroll.setMaxHeight(LIST);
        scroll.managedProperty().bind(javafx.beans.binding.Bindings.isNotEmpty(says.getChildren()));
        if (!sellers.isEmpty()) {
            getChildren().add(known);
        }
        getChildren().addAll(0, List.of(Texts.title(file.getFileName().toString())));
        getChildren().addAll(whose, matched, marks, refusal, scroll, new Row(10, act, leave, progress));
        aside.ask(stop -> shop.priceLists().head(file, Map.of()), this::begins);
    }

    private String yardsMoney() {
        Money own = shop.yard().money();
        return own.said() ? own.code() : TEXT.get("price_list_page.the_yards_money");
    }

    private static TextField field(String id, String example, int wide) {
        TextField field = new TextField();
        field.setId(id);
        field.setPromptText(example);
        field.setPrefColumnCount(wide);
        return field;
    }

    private static Node named(String title, TextField field) {
        field.setAccessibleText(title);
        return new Column(2, Texts.dim(title), field);
    }

    private static void shown(Node node, boolean is) {
        node.setVisible(is);
        node.setManaged(is);
    }

    private void sells(Seller seller) {
        name.setText(seller.id());
        money.setText(seller.currency().orElse(""));
        rate.setText(
                seller.rate().isPresent()
                        ? java.math.BigDecimal.valueOf(seller.rate().getAsDouble())
                                .stripTrailingZeros()
                                .toPlainString()
                        : "");
    }

    /** The columns as they were matched for him the last time. */
    private void reread() {
        shop.yard()
                .supplier(name.getText().strip())
                .filter(s -> !s.columns().isEmpty())
                .ifPresent(s -> columns.forEach((column, box) -> box.getItems().stream()
                        .filter(h -> h.equalsIgnoreCase(s.columns().getOrDefault(key(column), NONE)))
                        .findFirst()
                        .ifPresent(box::setValue)));
    }

    private static String key(PriceColumn column) {
        return column.name().toLowerCase(Locale.ROOT);
    }

    private void begins(PriceHead began) {
        head = Optional.of(began);
        act.setDisable(false);
        matched.getChildren().add(Texts.heading(TEXT.get("price_list_page.its_columns")));
        Flow row = new Flow(10, 6);
        for (PriceColumn column : PriceColumn.values()) {
            ComboBox<String> box = new ComboBox<>();
            box.setId("prices-column-" + key(column));
            box.getItems().add(NONE);
            began.columns().stream().filter(c -> !c.isBlank()).distinct().forEach(box.getItems()::add);
            box.setValue(began.guessed().getOrDefault(column, NONE));
            box.setAccessibleText(TEXT.get("price_list_page.the_column_of", title(column)));
            box.valueProperty().addListener((o, was, is) -> touched());
            columns.put(column, box);
            row.getChildren().add(new Column(2, Texts.dim(title(column)), box));
        }
        matched.getChildren().add(row);
        began.first().stream().limit(2).forEach(line -> matched.getChildren().add(Texts.dim(String.join(" · ", line))));
        began.told().forEach(t -> matched.getChildren().add(Texts.sentence(t)));
        reread();
        name.requestFocus();
    }

    private static String title(PriceColumn column) {
        return switch (column) {
            case NUMBER -> "numbers";
            case PRICE -> "prices";
            case PACK -> TEXT.get("price_list_page.in_a_pack");
            case STOCK -> TEXT.get("price_list_page.packs_he_has");
            case DAYS -> "days";
        };
    }

    private void touched() {
        found = Optional.empty();
        act.setText(TEXT.get("price_list_page.look_into_it"));
        says.getChildren().clear();
        refusal.setText("");
    }

    private void refuse(String why) {
        progress.setText("");
        act.setDisable(head.isEmpty());
        leave.setText(TEXT.get("price_list_page.leave_it"));
        refusal.setText(why);
    }

    private void act() {
        try {
            if (found.isPresent()) {
                take(found.get());
            } else if (!aside.busy()) {
                look();
            }
        } catch (JournalException e) {
            refuse(e.getMessage());
        }
    }

    /** Who sells, as it is typed here; a JournalException says what is wrong with it. */
    private Seller seller() {
        String typed = name.getText().strip();
        if (typed.isEmpty()) {
            throw new JournalException(TEXT.get("price_list_page.say_whose_list_it_is_his"));
        }
        Seller seller = shop.sellers().stream()
                .filter(s -> s.id().equalsIgnoreCase(typed))
                .findFirst()
                .orElseGet(() -> Seller.named(typed));
        String code = money.getText().strip();
        if (!code.isEmpty() && Money.of(code).isEmpty()) {
            throw new JournalException(TEXT.get("price_list_page.is_no_currency_type_its_code", code));
        }
        Optional<String> his = Money.of(code).map(Money::code);
        OptionalDouble at = rate();
        if (his.isPresent() && !his.get().equals(shop.yard().money().code()) && at.isEmpty()) {
            throw new JournalException(TEXT.get("price_list_page.his_money_is_type_the_days", his.get(), yardsMoney()));
        }
        Map<String, String> heads = new TreeMap<>();
        columns().forEach((column, h) -> heads.put(key(column), h));
        Optional<String> on = at.isEmpty()
                ? Optional.empty()
                : seller.rate().equals(at) && seller.rateOn().isPresent()
                        ? seller.rateOn()
                        : Optional.of(shop.today().toString());
        return seller.asking(his, at, on).listing(heads);
    }

    private OptionalDouble rate() {
        Typed typed = AmountReader.read(rate.getText(), Kind.COUNT, shop.units(), Range.above(0, MOST_RATE));
        if (typed instanceof Typed.Refused refused) {
            throw new JournalException(TEXT.get("price_list_page.the_rate_cannot_be_read", refused.sentence()));
        }
        return typed instanceof Typed.Understood is ? OptionalDouble.of(is.value()) : OptionalDouble.empty();
    }

    private Map<PriceColumn, String> columns() {
        Map<PriceColumn, String> said = new EnumMap<>(PriceColumn.class);
        columns.forEach((column, box) -> {
            if (!NONE.equals(box.getValue())) {
                said.put(column, box.getValue());
            }
        });
        return said;
    }

    private Money moneyOf(Seller seller) {
        return seller.currency().flatMap(Money::of).orElseGet(() -> shop.yard().money());
    }

    private void look() {
        Seller seller = seller();
        List<Price> before = shop.yard().prices();
        PriceQuestion asked =
                new PriceQuestion(seller, moneyOf(seller), columns(), mark, shop.numbers(seller.id()), before);
        stopped.set(false);
        act.setDisable(true);
        leave.setText(TEXT.get("price_list_page.stop"));
        progress.setText(TEXT.get("price_list_page.reading"));
        Yard yard = shop.yard();
        aside.ask(
                stop -> {
                    PriceList list = shop.priceLists().read(file, asked, lines -> {
                        Platform.runLater(() -> progress.setText(TEXT.get("price_list_page.lines_so_far", lines)));
                        return !stopped.get();
                    });
                    Yard with = with(yard, list, seller);
                    List<String> changes = list.open() ? List.of() : shop.apart(own -> own.wouldChange(with, stop));
                    return new Read(list, with, changes);
                },
                read -> looked(read, before));
    }

    /** A list that was read, the yard with its prices, and what these change on the legs that are open. */
    private record Read(PriceList list, Yard with, List<String> changes) {}

    private static Yard with(Yard yard, PriceList list, Seller seller) {
        List<Seller> sellers = new ArrayList<>(yard.suppliers());
        sellers.removeIf(s -> s.id().equalsIgnoreCase(seller.id()));
        sellers.add(seller);
        return yard.buying(sellers, list.over(yard.prices()));
    }

    private void looked(Read read, List<Price> before) {
        PriceList list = read.list();
        progress.setText("");
        act.setDisable(false);
        leave.setText(TEXT.get("price_list_page.leave_it"));
        List<String> lines = new ArrayList<>();
        if (list.open()) {
            shown(marks, true);
            refusal.setText(
                    (TEXT.get("price_list_page.some_prices_can_be_read_in", String.join(" ", list.told()))).strip());
            return;
        }
        lines.addAll(list.says(before));
        lines.addAll(list.told());
        List<String> problems = list.problems();
        problems.stream().limit(MOST_PROBLEMS).forEach(lines::add);
        if (problems.size() > MOST_PROBLEMS) {
            lines.add(TEXT.get("price_list_page.more_lines_are_left_out", (problems.size() - MOST_PROBLEMS)));
        }
        if (!read.changes().isEmpty()) {
            lines.add(TEXT.get("price_list_page.on_the_legs_that_are_open"));
            lines.addAll(read.changes());
        }
        lines.stream().map(Texts::sentence).forEach(says.getChildren()::add);
        if (!list.prices().isEmpty()) {
            found = Optional.of(new Found(list, read.with()));
            act.setText(TEXT.get("price_list_page.take_it_in"));
        }
        act.requestFocus();
    }

    private void take(Found taken) {
        shop.decisions().decide(shop.by(), "suppliers", taken.yard());
        shop.decisions().decide(shop.by(), "prices", taken.yard());
        onDone.accept(TEXT.get(
                "price_list_page.taken_in_prices_of",
                taken.list().prices().size(),
                name.getText().strip()));
    }
}
