package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import mussel.core.verdict.Overrides;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;

/** The stamp of what a yard works with is the same at every start: else every leg on the bench would be filed anew each time. */
class StampTest {
    private static String another() throws IOException, InterruptedException {
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        System.getProperty("java.class.path"),
                        Printed.class.getName())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
        assertThat(process.waitFor()).isZero();
        return printed;
    }

    @Test
    void twoStartsAgree() throws Exception {
        String here = Printed.stamp();
        assertThat(here).isNotBlank();
        assertThat(another()).isEqualTo(here);
    }

    /** Prints the stamp of the sheets that ship. */
    static final class Printed {
        private Printed() {}

        static String stamp() {
            return Yards.catalogue(
                            SheetFiles.shipped(),
                            "",
                            SheetFiles.shippedYard(),
                            new DiagnosisFile(KnowledgeFiles.shipped(), Overrides.none(), List.of()),
                            new CatalogueFolder(CatalogueFiles.shipped(), true, List.of()))
                    .stamp();
        }

        public static void main(String[] args) {
            System.out.println(stamp());
        }
    }
}
