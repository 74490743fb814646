package org.eskiz.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.Architectures.LayeredArchitecture;
import jakarta.persistence.Entity;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.data.repository.Repository;
import org.springframework.web.bind.annotation.RestController;

/** The boundaries that are easy to cross by accident. */
@AnalyzeClasses(packages = "org.eskiz", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    private static final Map<String, List<String>> PACKAGES = Map.of(
            "org.eskiz.core",
            List.of("unit", "cable", "run", "receive", "exposure", "choice", "bench", "kit", "site"),
            "org.eskiz.server",
            List.of(
                    "problem",
                    "web",
                    "store",
                    "operator",
                    "happening",
                    "backup",
                    "exchange",
                    "catalogue",
                    "document",
                    "assessment",
                    "comparison",
                    "plan",
                    "bench",
                    "instrument",
                    "locker",
                    "site",
                    "device",
                    "transfer"));

    /** What every feature stands on. */
    private static final String[] EVERYWHERE = {"problem", "web", "store", "operator"};

    /** The arrows of the core. A package that is not named here, or an arrow that is not, fails. */
    @ArchTest
    static final ArchRule theCoreGoesByItsArrows = arrows("org.eskiz.core")
            .whereLayer("unit")
            .mayNotAccessAnyLayer()
            .whereLayer("cable")
            .mayOnlyAccessLayers("unit")
            .whereLayer("run")
            .mayOnlyAccessLayers("unit", "cable")
            .whereLayer("receive")
            .mayOnlyAccessLayers("unit", "cable", "run")
            .whereLayer("exposure")
            .mayOnlyAccessLayers("unit", "cable", "run")
            .whereLayer("choice")
            .mayOnlyAccessLayers("unit", "cable", "run", "receive", "exposure")
            .whereLayer("bench")
            .mayOnlyAccessLayers("unit", "cable", "run")
            .whereLayer("kit")
            .mayOnlyAccessLayers("unit", "cable")
            .whereLayer("site")
            .mayOnlyAccessLayers("unit", "cable", "kit");

    /** The arrows of the server: first what knows no feature, then the features by what they are made of. */
    @ArchTest
    static final ArchRule theServerGoesByItsArrows = arrows("org.eskiz.server")
            .whereLayer("problem")
            .mayNotAccessAnyLayer()
            .whereLayer("web")
            .mayOnlyAccessLayers("problem")
            .whereLayer("store")
            .mayOnlyAccessLayers("problem")
            .whereLayer("operator")
            .mayOnlyAccessLayers("problem", "web", "store")
            .whereLayer("happening")
            .mayOnlyAccessLayers("problem", "web", "store", "operator")
            .whereLayer("backup")
            .mayNotAccessAnyLayer()
            .whereLayer("exchange")
            .mayOnlyAccessLayers("problem", "web")
            .whereLayer("catalogue")
            .mayOnlyAccessLayers(EVERYWHERE)
            .whereLayer("document")
            .mayOnlyAccessLayers(and("catalogue"))
            .whereLayer("assessment")
            .mayOnlyAccessLayers(and("catalogue", "document"))
            .whereLayer("comparison")
            .mayOnlyAccessLayers(and("catalogue", "document", "assessment"))
            .whereLayer("plan")
            .mayOnlyAccessLayers(and("catalogue", "document", "assessment", "comparison"))
            .whereLayer("bench")
            .mayOnlyAccessLayers(and("catalogue", "exchange"))
            .whereLayer("instrument")
            .mayOnlyAccessLayers(and("bench"))
            .whereLayer("locker")
            .mayOnlyAccessLayers(and("catalogue", "document", "comparison", "plan", "bench"))
            .whereLayer("site")
            .mayOnlyAccessLayers(and("catalogue", "document", "assessment", "comparison", "plan", "locker"))
            .whereLayer("device")
            .mayOnlyAccessLayers(and("catalogue", "document"))
            .whereLayer("transfer")
            .mayOnlyAccessLayers(and("catalogue", "plan", "bench", "locker", "site", "device"));

    private static String[] and(String... features) {
        return Stream.concat(Arrays.stream(EVERYWHERE), Arrays.stream(features)).toArray(String[]::new);
    }

    private static LayeredArchitecture arrows(String root) {
        LayeredArchitecture architecture = layeredArchitecture().consideringOnlyDependenciesInLayers();
        for (String name : PACKAGES.get(root)) {
            architecture = architecture.layer(name).definedBy(root + "." + name + "..");
        }
        return architecture;
    }

    /** What has no room of its own would have no arrows either. */
    @ArchTest
    static final ArchRule everyPackageIsNamedAbove = classes()
            .that()
            .resideInAnyPackage("org.eskiz.core..", "org.eskiz.server.*..")
            .should()
            .resideInAnyPackage(PACKAGES.entrySet().stream()
                    .flatMap(e -> e.getValue().stream().map(name -> e.getKey() + "." + name + ".."))
                    .toArray(String[]::new));

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
