package mussel.desktop.book;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mussel.core.book.LayUpRound;
import mussel.core.book.LayUpWork;
import mussel.core.book.LogBook.Awaiting;
import mussel.core.book.WorkList;
import mussel.core.job.BenchLine;
import mussel.core.job.LegRef;
import mussel.core.job.Yard;
import mussel.core.language.Messages;
import mussel.core.log.Due;
import mussel.desktop.desk.Paper;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.background.BackgroundQuery;
import mussel.work.shop.Workshop;

/** The round before frost: each boat that is to be laid up with how far it is, and what to buy for all of them. */
final class RoundCard extends Column {
    private static final Messages TEXT = Messages.of(RoundCard.class);

    private static final int MOST = 60;
    private static final int MONTHS = 3;

    private final Workshop shop;
    private final Consumer<Integer> onOpen;
    private final Label said = Texts.dim("");
    private final BackgroundQuery looking;

    RoundCard(Workshop shop, Consumer<Integer> onOpen) {
        super(6);
        this.shop = shop;
        this.onOpen = onOpen;
        looking = new BackgroundQuery(shop.background(), said::setText);
        setId("round");
        getStyleClass().add("side");
    }

    /** Shows the round of what waits; nothing where no boat is to be laid up within the season. */
    void show(List<Awaiting> awaiting) {
        Map<String, LegRef> legs = new LinkedHashMap<>();
        awaiting.stream()
                .filter(a -> a.due().id().equals(Due.LAY_UP))
                .filter(a -> !a.due().on().isAfter(shop.today().plusMonths(MONTHS)))
                .limit(MOST)
                .forEach(a -> legs.put(a.leg().id(), a.leg()));
        hide(legs.isEmpty());
        looking.ask(stop -> shop.apart(own -> looked(own, legs.values())), this::lay);
    }

    private void hide(boolean hidden) {
        setVisible(!hidden);
        setManaged(!hidden);
    }

    /**
     * A boat of the round.
     *
     * @param leg its leg
     * @param here its job, where it has been taken in
     * @param done how many steps of its lay-up are done
     * @param boat what it needs; empty where nothing is known of the leg
     */
    private record Looked(LegRef leg, Optional<Integer> here, int done, Optional<LayUpRound.Boat> boat) {}

    private static List<Looked> looked(Workshop shop, Collection<LegRef> legs) {
        Map<String, Integer> open = shop.journal().benchLines().open().stream()
                .collect(Collectors.toMap(l -> l.leg().id(), BenchLine::job, (first, later) -> later));
        return legs.stream()
                .map(leg -> {
                    Optional<Integer> here = Optional.ofNullable(open.get(leg.id()));
                    return new Looked(
                            leg,
                            here,
                            here.map(shop::layUpDone).orElse(0),
                            here.or(() -> last(shop, leg)).map(shop::layUp));
                })
                .toList();
    }

    private void lay(List<Looked> boats) {
        List<Node> rows = new ArrayList<>();
        List<WorkList.Line> lines = new ArrayList<>();
        for (Looked each : boats) {
            String says = each.leg().title()
                    + each.here()
                            .map(j -> TEXT.get("round_card.of_steps_job", each.done(), LayUpWork.STEPS.size(), j))
                            .orElse(TEXT.get("round_card.not_taken_in"));
            lines.add(new WorkList.Line(says, each.done() == LayUpWork.STEPS.size()));
            rows.add(row(each.leg(), each.here(), says));
        }
        getChildren().clear();
        hide(rows.isEmpty());
        if (rows.isEmpty()) {
            return;
        }
        LayUpRound round = LayUpRound.of(
                boats.stream().flatMap(b -> b.boat().stream()).toList(),
                shop.yard().bottles());
        getChildren()
                .add(Texts.heading(TEXT.get(
                        "round_card.the_round_before_frost", rows.size(), (rows.size() == 1 ? " boat" : " boats"))));
        getChildren().addAll(rows);
        round.lines().forEach(l -> getChildren().add(Texts.sentence(l.says(shop.units()))));
        if (round.cost() > 0) {
            getChildren()
                    .add(Texts.wrapped(
                            TEXT.get("round_card.in_all", shop.units().money().exact(round.cost())), "strong"));
        }
        round.unknown().forEach(u -> getChildren().add(Texts.dim(u + ".")));
        Button print = new Button(TEXT.get("round_card.print_the_round"));
        print.setId("round-print");
        print.setOnAction(e -> print(lines, round));
        getChildren().add(new Row(8, print, said));
    }

    private static Optional<Integer> last(Workshop shop, LegRef leg) {
        return shop.journal().benchLines().jobsOf(leg.id()).stream().max(Integer::compare);
    }

    private void print(List<WorkList.Line> lines, LayUpRound round) {
        List<String> notes = new ArrayList<>();
        round.lines().forEach(l -> notes.add(l.says(shop.units())));
        if (round.cost() > 0) {
            notes.add(TEXT.get("round_card.in_all", shop.units().money().exact(round.cost())));
        }
        round.unknown().forEach(u -> notes.add(u + "."));
        WorkList list = LayUpRound.list(lines, notes);
        Yard yard = shop.yard();
        LocalDate day = shop.today();
        Paper.place(shop, this, "Round", "round.pdf")
                .ifPresent(file -> Paper.write(
                        shop,
                        TEXT.get("round_card.the_round"),
                        file,
                        () -> shop.papers().list(yard, day, list, file),
                        said::setText));
    }

    private Node row(LegRef leg, Optional<Integer> open, String how) {
        Label says = Texts.sentence(how);
        says.setMinWidth(0);
        says.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(says, Priority.ALWAYS);
        Button go = new Button(open.isPresent() ? TEXT.get("round_card.open") : TEXT.get("round_card.take_in"));
        go.setId("round-" + leg.id().replace(' ', '-'));
        go.setAccessibleText((open.isPresent() ? "open: " : TEXT.get("round_card.take_in_2")) + leg.title());
        go.setMinWidth(Label.USE_PREF_SIZE);
        go.setDisable(shop.journal().readOnly());
        go.setOnAction(e -> onOpen.accept(open.orElseGet(() -> shop.takeIn(leg))));
        Row row = new Row(8, says, go);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }
}
