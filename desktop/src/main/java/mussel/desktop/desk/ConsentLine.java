package mussel.desktop.desk;

import mussel.core.job.Assessment;
import mussel.core.job.Consent;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Texts;

/** What is said of the owner's consent before a case is opened or parts are ordered; nothing where he agreed. */
public final class ConsentLine extends Column {
    /** The line; empty until it is shown. */
    public ConsentLine() {
        super(2);
        setId("consent-line");
        managedProperty().bind(javafx.beans.binding.Bindings.isNotEmpty(getChildren()));
    }

    /** Says what there is to be said. */
    public void show(Assessment now) {
        boolean open = now.job().tagged().isEmpty();
        getChildren()
                .setAll(
                        open
                                ? new Consent(now)
                                        .before().stream().map(Texts::caution).toList()
                                : java.util.List.of());
    }
}
