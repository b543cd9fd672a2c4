package mussel.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "mussel.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule noScreensNoSqlNoFilesNoThreads = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "javafx..",
                    "java.awt..",
                    "javax.swing..",
                    "java.sql..",
                    "java.nio.file..",
                    "java.io..",
                    "java.net..",
                    "java.util.concurrent..");

    @ArchTest
    static final ArchRule noClock = noClasses()
            .should()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(System.class, "nanoTime")
            .orShould()
            .dependOnClassesThat()
            .haveFullyQualifiedName("java.time.Clock");

    @ArchTest
    static final ArchRule roomsWithoutCycles =
            slices().matching("mussel.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule enginesDoNotKnowJobsNorEachOther = classes()
            .that()
            .resideInAnyPackage(
                    "mussel.core.drain..",
                    "mussel.core.leak..",
                    "mussel.core.verdict..",
                    "mussel.core.pump..",
                    "mussel.core.plan..",
                    "mussel.core.parts..",
                    "mussel.core.shim..",
                    "mussel.core.torque..",
                    "mussel.core.estimate..",
                    "mussel.core.fill..",
                    "mussel.core.lives..",
                    "mussel.core.fleet..",
                    "mussel.core.log..")
            .should()
            .onlyDependOnClassesThat(
                    com.tngtech.archunit.base.DescribedPredicate.describe(
                            "are in their own room, in language, measure or sheet, or of a library",
                            c -> !c.getPackageName().startsWith("mussel.core")
                                    || c.getPackageName()
                                            .matches(
                                                    "mussel\\.core\\.(language|measure|sheet|drain|leak|verdict|pump|plan|parts|shim|torque|estimate|fill|log|lives|fleet)")))
            .andShould(new SameRoom());

    @ArchTest
    static final ArchRule measureKnowsNoTrade = noClasses()
            .that()
            .resideInAPackage("mussel.core.measure..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "mussel.core.sheet..",
                    "mussel.core.job..",
                    "mussel.core.drain..",
                    "mussel.core.fill..",
                    "mussel.core.plan..",
                    "mussel.core.log..");

    /** An engine's class may use no other engine. */
    private static final class SameRoom
            extends com.tngtech.archunit.lang.ArchCondition<com.tngtech.archunit.core.domain.JavaClass> {
        SameRoom() {
            super("use no other engine");
        }

        @Override
        public void check(
                com.tngtech.archunit.core.domain.JavaClass item, com.tngtech.archunit.lang.ConditionEvents events) {
            item.getDirectDependenciesFromSelf().forEach(d -> {
                String target = d.getTargetClass().getPackageName();
                boolean other = target.matches(
                                "mussel\\.core\\.(drain|leak|verdict|pump|plan|parts|shim|torque|estimate|fill|log|lives|fleet)")
                        && !target.equals(item.getPackageName());
                if (other) {
                    events.add(com.tngtech.archunit.lang.SimpleConditionEvent.violated(item, d.getDescription()));
                }
            });
        }
    }
}
