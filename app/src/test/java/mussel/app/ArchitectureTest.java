package mussel.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.util.Locale;
import mussel.core.measure.Wide;
import mussel.desktop.shell.StyleCompiler;

@AnalyzeClasses(packages = "mussel", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    private static final int MOST_COMPONENTS = 12;

    @ArchTest
    static final ArchRule roomsWithoutCycles =
            slices().matching("mussel.(*).(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule modulesDependDownward = noClasses()
            .that()
            .resideInAnyPackage(
                    "mussel.core..", "mussel.exchange..", "mussel.work..", "mussel.store..", "mussel.desktop..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("mussel.app..");

    @ArchTest
    static final ArchRule workAndDesktopKnowNoFormatsNorStore = noClasses()
            .that()
            .resideInAnyPackage("mussel.desktop..", "mussel.work..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "mussel.exchange..", "mussel.store..", "java.sql..", "com.fasterxml..", "org.apache.pdfbox..");

    @ArchTest
    static final ArchRule onlyTheStoreKnowsSql = noClasses()
            .that()
            .resideOutsideOfPackage("mussel.store..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("java.sql..", "org.sqlite..", "org.flywaydb..");

    @ArchTest
    static final ArchRule logsAreOpenedThroughTheirStore = noClasses()
            .that()
            .resideOutsideOfPackage("mussel.store..")
            .should()
            .dependOnClassesThat()
            .haveSimpleName("SqliteJournal");

    @ArchTest
    static final ArchRule onlyTheSolverKnowsTheNativeOne = noClasses()
            .that()
            .resideOutsideOfPackage("mussel.solver..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("com.google.ortools..");

    @ArchTest
    static final ArchRule nobodyNamesTheSolver = noClasses()
            .that()
            .resideOutsideOfPackage("mussel.solver..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("mussel.solver..");

    @ArchTest
    static final ArchRule onlyTheDesktopAndTheApplicationKnowScreens = noClasses()
            .that()
            .resideInAnyPackage("mussel.core..", "mussel.exchange..", "mussel.work..", "mussel.store..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("javafx..", "mussel.desktop..");

    /** A record that is copied by position is read wrong from some width on; the limit is passed only for a reason that stands beside it. */
    @ArchTest
    static final ArchRule wideRecordsSayWhy = noClasses()
            .that(new DescribedPredicate<>("are records of more than " + MOST_COMPONENTS + " components") {
                @Override
                public boolean test(JavaClass c) {
                    return c.isRecord()
                            && c.getFields().stream()
                                            .filter(f -> !f.getModifiers().contains(JavaModifier.STATIC))
                                            .count()
                                    > MOST_COMPONENTS;
                }
            })
            .should()
            .notBeAnnotatedWith(Wide.class);

    @ArchTest
    static final ArchRule noControlWithoutItsStyle = noClasses()
            .should()
            .dependOnClassesThat(
                    new DescribedPredicate<JavaClass>("are controls whose style is left out of the theme") {
                        @Override
                        public boolean test(JavaClass c) {
                            String styleClass = c.getSimpleName()
                                    .replaceAll("(?<=[a-z])(?=[A-Z])", "-")
                                    .toLowerCase(Locale.ROOT);
                            return c.getPackageName().startsWith("javafx.scene")
                                    && StyleCompiler.UNUSED.contains(styleClass);
                        }
                    });
}
