package org.eskiz.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import jakarta.persistence.Entity;
import org.springframework.data.repository.Repository;
import org.springframework.web.bind.annotation.RestController;

/** The boundaries that are easy to cross by accident. */
@AnalyzeClasses(packages = "org.eskiz", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule featuresDoNotDependOnEachOtherInCircles =
            slices().matching("org.eskiz.server.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule coreSubjectsDoNotEither =
            slices().matching("org.eskiz.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule theCoreKnowsNoFramework = noClasses()
            .that()
            .resideInAPackage("org.eskiz.core..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.eskiz.server..", "org.springframework..", "jakarta..", "tools.jackson..", "java.sql..");

    /** Instruments are reached over a socket, whether they are stand-ins or not. */
    @ArchTest
    static final ArchRule standInsAreSpokenToLikeAnyInstrument = noClasses()
            .that()
            .resideInAnyPackage("org.eskiz.server..", "org.eskiz.core..")
            .and()
            .haveSimpleNameNotEndingWith("Test")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.eskiz.instruments..");

    @ArchTest
    static final ArchRule controllersDoNotTouchRepositoriesOrEntities = noClasses()
            .that()
            .areAnnotatedWith(RestController.class)
            .should()
            .dependOnClassesThat()
            .areAssignableTo(Repository.class)
            .orShould()
            .dependOnClassesThat()
            .areAnnotatedWith(Entity.class);

    @ArchTest
    static final ArchRule entitiesStayInTheirPackage =
            classes().that().areAnnotatedWith(Entity.class).should().bePackagePrivate();

    @ArchTest
    static final ArchRule repositoriesStayInTheirPackage =
            classes().that().areAssignableTo(Repository.class).should().bePackagePrivate();
}
