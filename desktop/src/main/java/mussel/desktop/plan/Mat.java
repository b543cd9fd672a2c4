package mussel.desktop.plan;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.JournalException;
import mussel.core.job.LoosePiece;
import mussel.core.job.Topic;
import mussel.core.language.Messages;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.Part;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Place;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.Paper;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.FileDialog;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/**
 * The mat: every part in the order and grouping it came off, with how it lay and its pictures. What is still on the leg is an empty
 * outline. Loose pieces are counted below.
 */
final class Mat extends Column {
    private static final Messages TEXT = Messages.of(Mat.class);

    private static final double PICTURE = 120;

    private final Desk desk;
    private final Label printed = Texts.dim("");
    private final Map<String, Image> images = new HashMap<>();
    private final Map<String, Node> counts = new HashMap<>();
    private final JobFields fields;

    Mat(Desk desk) {
        super(10);
        this.desk = desk;
        this.fields = new JobFields(desk);
        getStyleClass().add("mat");
    }

    void show(Assessment now) {
        getChildren().clear();
        Map<Place, FlowPane> groups = new TreeMap<>();
        Map<Place, Set<String>> lying = new HashMap<>();
        int number = 1;
        boolean next = true;
        for (PlannedStep planned : now.stripSteps()) {
            boolean off = now.job().ticked(planned.step().id()).isPresent();
            String found =
                    now.job().note(Topic.AS_FOUND.of(planned.step().id())).orElse("");
            for (PartQty out : planned.step().partsOut()) {
                Part part = now.sheet().part(out.part()).orElseThrow();
                MatPiece.Where where = off ? MatPiece.Where.LIES : next ? MatPiece.Where.NEXT : MatPiece.Where.AWAY;
                String word = where == MatPiece.Where.NEXT
                        ? TEXT.get("mat.comes_next_lay_it_here")
                        : off && !found.isEmpty()
                                ? TEXT.get("mat.as_found", found)
                                : part.alwaysNew() ? TEXT.get("mat.always_new") : "";
                groups.computeIfAbsent(part.group(), g -> new Flow(6, 6))
                        .getChildren()
                        .add(new MatPiece(now.sheet(), number++, out, where, part.alwaysNew(), word));
                lying.computeIfAbsent(part.group(), g -> new HashSet<>()).add(out.part());
            }
            next &= off || planned.step().partsOut().isEmpty();
        }
        if (groups.isEmpty()) {
            getChildren().add(Texts.dim(TEXT.get("mat.nothing_comes_off_yet_choose_what")));
            return;
        }
        groups.forEach((place, pieces) -> getChildren().add(group(now, place, pieces, lying.get(place))));
        loose(now.loose(), now);
        Button print = new Button(TEXT.get("mat.print_the_mat_and_the_way"));
        print.setId("print-mat");
        print.setOnAction(e -> Paper.place(
                        desk.shop(),
                        this,
                        TEXT.get("mat.the_mat"),
                        "mat-" + now.job().id() + ".pdf")
                .ifPresent(this::print));
        HBox paper = new Row(12, print, printed);
        paper.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        getChildren().add(paper);
    }

    /** Writes the mat, drawn both ways, into a file off the interface thread. */
    void print(Path file) {
        Assessment job = desk.now();
        MatPrint drawn = new MatPrint(job, getScene());
        List<byte[]> cameOff = drawn.cameOff();
        List<byte[]> wayBack = drawn.wayBack();
        Paper.write(
                desk.shop(),
                TEXT.get("mat.the_mat"),
                file,
                () -> desk.shop().papers().mat(job, cameOff, wayBack, file),
                printed::setText);
    }

    /** A group with its pictures; pictures are dropped on it or chosen. */
    private Node group(Assessment now, Place place, FlowPane pieces, Set<String> parts) {
        Address about = new Address("mat", place.name().toLowerCase(java.util.Locale.ROOT));
        Button add = new Button(TEXT.get("mat.add_a_picture"));
        add.setId("picture-" + about.of());
        add.setOnAction(e -> choose(about));
        Label margin = Texts.wrapped(margin(now, parts), "mat-margin");
        HBox.setHgrow(margin, javafx.scene.layout.Priority.ALWAYS);
        margin.setMaxWidth(Double.MAX_VALUE);
        add.setMinWidth(USE_PREF_SIZE);
        Label title = Texts.heading(place.title());
        title.setMinWidth(USE_PREF_SIZE);
        HBox head = new Row(12, title, margin, add);
        head.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        VBox group = new Column(4, head, pieces);
        group.getStyleClass().add("mat-row");
        List<Fact.Pictured> pictures = now.job().pictures(about);
        if (!pictures.isEmpty()) {
            FlowPane row = new Flow(6, 6);
            pictures.forEach(p -> row.getChildren().add(picture(p)));
            group.getChildren().add(row);
        }
        group.setOnDragOver(e -> {
            if (e.getDragboard().hasFiles()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
            e.consume();
        });
        group.setOnDragDropped(e -> dropped(e, about));
        return group;
    }

    private void dropped(DragEvent e, Address about) {
        e.getDragboard().getFiles().forEach(f -> keep(about, f.toPath()));
        e.setDropCompleted(true);
        e.consume();
    }

    private void choose(Address about) {
        FileDialog.openSeveral(this, TEXT.get("mat.pictures_of_the_mat"), FileDialog.Kind.PICTURE)
                .forEach(file -> keep(about, file));
    }

    /** Keeps a picture beside the journal and enters that it belongs here. */
    void keep(Address about, Path file) {
        try {
            String kept = desk.shop().pictures().keep(file);
            desk.note(new Fact.Pictured(about, kept, file.getFileName().toString()));
        } catch (JournalException e) {
            desk.tell(e.getMessage());
        }
    }

    private Node picture(Fact.Pictured pictured) {
        Image image = images.computeIfAbsent(
                pictured.file(),
                name -> new Image(
                        desk.shop().pictures().at(name).toUri().toString(),
                        PICTURE * 2,
                        PICTURE * 2,
                        true,
                        true,
                        true));
        ImageView view = new ImageView(image);
        view.setFitHeight(PICTURE);
        view.setPreserveRatio(true);
        view.setAccessibleText(TEXT.get("mat.picture", pictured.title()));
        return new Column(2, view, Texts.dim(pictured.title()));
    }

    private void loose(List<LoosePiece> loose, Assessment now) {
        if (loose.isEmpty()) {
            return;
        }
        FlowPane counted = new Flow(12, 8);
        for (LoosePiece piece : loose) {
            String label = TEXT.get("mat.of", now.supply().title(piece.part()), piece.expected());
            counted.getChildren().add(counts.computeIfAbsent(piece.part() + label, part -> fields.field(
                            Field.COUNTED, Field.COUNTED.of(piece.part()), label)
                    .tall()));
        }
        fields.show(now);
        String off = loose.stream()
                .filter(LoosePiece::off)
                .map(l -> now.supply().title(l.part()))
                .collect(Collectors.joining(", "));
        long open = loose.stream().filter(l -> l.counted().isEmpty()).count();
        int all = loose.stream().mapToInt(LoosePiece::expected).sum();
        getChildren().add(Texts.heading(TEXT.get("mat.loose_pieces_counted")));
        if (!off.isEmpty()) {
            getChildren().add(Texts.caution(TEXT.get("mat.the_count_is_off_look_for", off)));
        }
        getChildren()
                .add(Texts.sentence(TEXT.get(
                        "mat.small_loose_pieces_in_all_must",
                        all,
                        (open > 0
                                ? TEXT.get("mat.kinds_are_not_counted_yet", open)
                                : TEXT.get("mat.every_kind_is_counted")))));
        getChildren().add(counted);
    }

    /** The loose pieces of a row and how many of them were counted. */
    private static String margin(Assessment now, Set<String> parts) {
        List<LoosePiece> loose =
                now.loose().stream().filter(l -> parts.contains(l.part())).toList();
        if (loose.isEmpty()) {
            return "";
        }
        String what = loose.stream()
                .map(l -> l.expected() + " × " + now.supply().title(l.part()))
                .collect(Collectors.joining(", "));
        int all = loose.stream().mapToInt(LoosePiece::expected).sum();
        int counted =
                (int) loose.stream().mapToDouble(l -> l.counted().orElse(0)).sum();
        return TEXT.get("mat.loose_counted_of", what, counted, all);
    }
}
