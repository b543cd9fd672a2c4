package mussel.desktop.desk;

import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import mussel.core.job.JournalException;
import mussel.core.job.MissingValue;
import mussel.core.language.Messages;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.FileDialog;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.shop.Workshop;

/** The page of the manual where something is said, as a picture: small beside it, large on demand. */
public final class PagePicture extends Column {
    private static final Messages TEXT = Messages.of(PagePicture.class);

    private static final double SMALL = 38;
    private static final double LARGE = 460;

    private final Workshop shop;
    private final String family;
    private final MissingValue what;
    private final Label trouble = Texts.wrapped("", "refusal");
    private boolean large;

    /** The page of what a family's manual says. */
    public PagePicture(Workshop shop, String family, MissingValue what) {
        super(4);
        this.shop = shop;
        this.family = family;
        this.what = what;
        trouble.managedProperty().bind(trouble.textProperty().isNotEmpty());
        show();
    }

    private void show() {
        Optional<String> picture = shop.sheets().described().page(family, what.group());
        getChildren()
                .setAll(
                        picture.isPresent() ? shown(picture.get()) : put(TEXT.get("page_picture.picture_of_the_page")),
                        trouble);
    }

    private Button put(String words) {
        Button put = new Button(words);
        put.setId("page" + what.group().replace('/', '-'));
        put.setAccessibleText(TEXT.get("page_picture.a_picture_of_the_manuals_page", what.title()));
        put.setMinWidth(USE_PREF_SIZE);
        put.setOnAction(e -> choose());
        return put;
    }

    private Column shown(String name) {
        Path file = shop.pictures().at(name);
        ImageView view = new ImageView(new Image(file.toUri().toString(), LARGE * 2, LARGE * 2, true, true, false));
        view.setPreserveRatio(true);
        view.setFitHeight(large ? LARGE : SMALL);
        if (view.getImage().isError()) {
            return new Column(4, Texts.dim(TEXT.get("page_picture.the_picture_of_this_page_is")), put("Another"));
        }
        Button page = new Button("", view);
        page.setId("page" + what.group().replace('/', '-'));
        page.setAccessibleText(
                (large ? TEXT.get("page_picture.the_page_large") : TEXT.get("page_picture.the_page_small"))
                        + what.title());
        page.setOnAction(e -> {
            large = !large;
            show();
            lookupAll(".button").stream().findFirst().ifPresent(b -> b.requestFocus());
        });
        if (!large) {
            return new Column(0, page);
        }
        Button away = new Button(TEXT.get("page_picture.take_the_picture_away"));
        away.setOnAction(e -> keep(""));
        return new Column(4, page, new Row(8, put(TEXT.get("page_picture.another_picture")), away));
    }

    private void choose() {
        FileDialog.open(this, TEXT.get("page_picture.the_page_of_the_manual", what.title()), FileDialog.Kind.PICTURE)
                .ifPresent(this::put);
    }

    /** Keeps a picture beside the journal and puts it here. */
    void put(Path file) {
        try {
            keep(shop.pictures().keep(file));
        } catch (JournalException e) {
            trouble.setText(e.getMessage());
        }
    }

    private void keep(String name) {
        try {
            shop.sheets().described().page(family, what.group(), name);
            trouble.setText("");
            large = false;
            show();
        } catch (JournalException e) {
            trouble.setText(e.getMessage());
        }
    }
}
