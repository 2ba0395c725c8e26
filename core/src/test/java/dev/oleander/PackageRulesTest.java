package dev.oleander;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import dev.oleander.work.Kinds;
import dev.oleander.work.Work;
import java.util.List;

/** A package uses those above it in the list, never those below. */
@AnalyzeClasses(packages = "dev.oleander", importOptions = ImportOption.DoNotIncludeTests.class)
class PackageRulesTest {

    private static final List<String> LOWEST_FIRST =
            List.of(
                    "progress",
                    "quantity",
                    "geometry",
                    "drawing",
                    "machine",
                    "value",
                    "plan",
                    "nesting",
                    "motion",
                    "material",
                    "price",
                    "proof",
                    "dialect",
                    "winding",
                    "work");

    @ArchTest
    static void usesOnlyPackagesAbove(JavaClasses classes) {
        for (int i = 0; i < LOWEST_FIRST.size(); i++) {
            String[] below =
                    LOWEST_FIRST.subList(i + 1, LOWEST_FIRST.size()).stream()
                            .map(p -> "dev.oleander." + p + "..")
                            .toArray(String[]::new);
            if (below.length > 0) {
                noClasses()
                        .that()
                        .resideInAPackage("dev.oleander." + LOWEST_FIRST.get(i) + "..")
                        .should()
                        .dependOnClassesThat()
                        .resideInAnyPackage(below)
                        .allowEmptyShould(true)
                        .check(classes);
            }
        }
    }

    /** What is alike in all kinds of work knows none of them, and no kind knows another. */
    @ArchTest
    static void kindsStandAlone(JavaClasses classes) {
        for (Work<?, ?> kind : Kinds.all()) {
            String own = kind.getClass().getPackageName() + "..";
            noClasses()
                    .that()
                    .resideOutsideOfPackage(own)
                    .should()
                    .dependOnClassesThat()
                    .resideInAPackage(own)
                    .check(classes);
        }
    }

    @ArchTest
    static final ArchRule hasNoCycles =
            slices().matching("dev.oleander.(**)").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule knowsNoInterface =
            noClasses()
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(
                            "org.springframework..", "jakarta..", "java.sql..", "javax.swing..");
}
