package mussel.desktop.book;

import java.nio.file.Path;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import mussel.core.job.JournalException;
import mussel.core.job.Settings;
import mussel.core.language.Messages;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.FileDialog;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.shop.Workshop;

/** The logo on the yard's papers: a picture kept beside the journal. */
final class YardLogo extends Column {
    private static final Messages TEXT = Messages.of(YardLogo.class);

    private static final double HIGH = 36;

    private final Workshop shop;
    private final Runnable onChanged;
    private final Label trouble = Texts.wrapped("", "refusal");

    YardLogo(Workshop shop, double button, Runnable onChanged) {
        super(2);
        this.shop = shop;
        this.onChanged = onChanged;
        trouble.managedProperty().bind(trouble.textProperty().isNotEmpty());
        String name = shop.journal().setting(Settings.LOGO, "");
        Button choose = new Button(name.isEmpty() ? TEXT.get("yard_logo.say") : TEXT.get("yard_logo.change"));
        choose.setId("change-logo");
        choose.setAccessibleText(TEXT.get("yard_logo.choose_the_logo_on_the_yards"));
        choose.setPrefWidth(button);
        choose.setMinWidth(Label.USE_PREF_SIZE);
        choose.setDisable(shop.journal().readOnly());
        choose.setOnAction(e -> choose());
        Row row = new Row(
                12,
                choose,
                Texts.sentence(
                        name.isEmpty() ? TEXT.get("yard_logo.its_logo_not_said") : TEXT.get("yard_logo.its_logo")));
        row.setAlignment(Pos.CENTER_LEFT);
        if (!name.isEmpty()) {
            Image image = new Image(shop.pictures().at(name).toUri().toString(), 0, 2 * HIGH, true, true, false);
            ImageView view = new ImageView(image);
            view.setPreserveRatio(true);
            view.setFitHeight(HIGH);
            Button away = new Button(TEXT.get("yard_logo.take_it_away"));
            away.setId("logo-away");
            away.setOnAction(e -> keep(""));
            row.getChildren()
                    .addAll(image.isError() ? Texts.dim(TEXT.get("yard_logo.the_picture_is_not_here")) : view, away);
        }
        getChildren().addAll(row, trouble);
    }

    private void choose() {
        FileDialog.open(this, TEXT.get("yard_logo.the_logo_on_the_yards_papers"), FileDialog.Kind.PICTURE)
                .ifPresent(this::put);
    }

    /** Keeps a picture beside the journal as the logo. */
    void put(Path file) {
        try {
            keep(shop.pictures().keep(file));
        } catch (JournalException e) {
            trouble.setText(e.getMessage());
        }
    }

    private void keep(String name) {
        try {
            shop.decisions().keep(shop.by(), Settings.LOGO, name);
            onChanged.run();
        } catch (JournalException e) {
            trouble.setText(e.getMessage());
        }
    }
}
