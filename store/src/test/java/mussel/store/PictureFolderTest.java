package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import mussel.core.job.JournalException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PictureFolderTest {
    @TempDir
    private Path folder;

    @Test
    void theSamePictureIsKeptOnceAndReadsBack() throws IOException {
        PictureFolder pictures = PictureFolder.beside(folder.resolve("yard.mussel"));
        Path first = Files.write(folder.resolve("washers.png"), new byte[] {1, 2, 3});
        Path again = Files.write(folder.resolve("other name.PNG"), new byte[] {1, 2, 3});

        String name = pictures.keep(first);

        assertThat(pictures.keep(again)).isEqualTo(name);
        assertThat(Files.readAllBytes(pictures.at(name))).containsExactly(1, 2, 3);
        assertThat(kept()).hasSize(1);
    }

    @Test
    void whatIsNoPictureIsRefusedAndNothingIsKept() throws IOException {
        PictureFolder pictures = PictureFolder.beside(folder.resolve("yard.mussel"));
        Path text = Files.writeString(folder.resolve("notes.txt"), "x");

        assertThatThrownBy(() -> pictures.keep(text))
                .isInstanceOf(JournalException.class)
                .hasMessageContaining("notes.txt")
                .hasMessageContaining("JPEG");
        assertThatThrownBy(() -> pictures.keep(folder.resolve("gone.png"))).isInstanceOf(JournalException.class);
        assertThat(folder.resolve("yard.mussel.pictures")).doesNotExist();
    }

    @Test
    void aNameNeverLeadsOutOfTheFolder() {
        PictureFolder pictures = PictureFolder.beside(folder.resolve("yard.mussel"));

        for (String name : List.of("../../secret.png", "/", "..", "", "a\0b.png", "x".repeat(5_000))) {
            assertThat(pictures.at(name).normalize().getParent())
                    .as(name.substring(0, Math.min(20, name.length())))
                    .isEqualTo(folder.resolve("yard.mussel.pictures"));
        }
    }

    private List<Path> kept() throws IOException {
        try (Stream<Path> files = Files.list(folder.resolve("yard.mussel.pictures"))) {
            return files.toList();
        }
    }
}
