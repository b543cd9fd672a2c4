package mussel.desktop.book;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import mussel.desktop.FxThread;
import mussel.desktop.Pressing;
import mussel.work.shop.ImportPreview;
import org.junit.jupiter.api.Test;

/** What a file would change, in its states: refused, nothing new, much, and on its way in. */
class TakeInPageTest {
    private static final Path FILE = Path.of("elsewhere", "yard.json");

    private final List<String> done = new ArrayList<>();

    private static ImportPreview incoming(List<String> says, boolean changes) {
        return new ImportPreview(FILE, says, List.of(), changes, pace -> {}, () -> {});
    }

    private TakeInPage page(ImportPreview incoming) {
        TakeInPage page = new TakeInPage(incoming, () -> done.add("take"), () -> done.add("leave"));
        new Scene(page, 640, 480);
        page.applyCss();
        page.layout();
        return page;
    }

    private static Button button(TakeInPage page, String id) {
        return (Button) page.lookup(id);
    }

    @Test
    void whatIsRefusedCannotBeTakenInAndSaysWhy() throws Exception {
        FxThread.on(() -> {
            TakeInPage page =
                    page(ImportPreview.refused(FILE, List.of("line 8: chooses “muddy”", "line 9: is no field")));
            assertThat(Pressing.words(page)).contains("yard.json", "Not imported:", "line 8", "line 9");
            assertThat(button(page, "#take-in-file-do").isDisabled()).isTrue();
            return null;
        });
    }

    @Test
    void whatIsHereAlreadyNeedsNoTakingIn() throws Exception {
        FxThread.on(() -> {
            TakeInPage page = page(incoming(List.of("0 new jobs"), false));
            assertThat(Pressing.words(page)).contains("Nothing new in this file.");
            assertThat(button(page, "#take-in-file-do").isDisabled()).isTrue();
            return null;
        });
    }

    @Test
    void ofManyLinesTheFirstAreShownAndTheRestIsCounted() throws Exception {
        FxThread.on(() -> {
            List<String> says = IntStream.range(0, 5_000)
                    .mapToObj(i -> "Job " + i + ": new.")
                    .toList();
            String words = Pressing.words(page(incoming(says, true)));
            assertThat(words).contains("Job 199: new.", "4800 more.").doesNotContain("Job 200: new.");
            return null;
        });
    }

    @Test
    void itIsTakenOrLeft() throws Exception {
        FxThread.on(() -> {
            TakeInPage page = page(incoming(List.of("1 new jobs"), true));
            button(page, "#take-in-file-do").fire();
            assertThat(done).containsExactly("take");
            button(page, "#take-in-file-leave").fire();
            assertThat(done).containsExactly("take", "leave");
            return null;
        });
    }
}
