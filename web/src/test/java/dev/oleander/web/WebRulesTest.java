package dev.oleander.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** Features of the web module do not lean on each other in circles. */
@AnalyzeClasses(packages = "dev.oleander.web", importOptions = ImportOption.DoNotIncludeTests.class)
class WebRulesTest {

    @ArchTest
    static final ArchRule featuresHaveNoCycles =
            slices().matching("dev.oleander.web.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule jobsKnowNoPages =
            noClasses()
                    .that()
                    .resideInAnyPackage("dev.oleander.web.job..", "dev.oleander.web.release..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(
                            "dev.oleander.web.bench..",
                            "dev.oleander.web.board..",
                            "dev.oleander.web.api..");
}
