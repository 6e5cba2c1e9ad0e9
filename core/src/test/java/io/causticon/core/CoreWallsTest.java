package io.causticon.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The walls between the packages of the core, as their packages declare them. */
class CoreWallsTest {

    private static final String ROOT = "io.causticon.core";

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("io.causticon.core");

    @Test
    void knowsNoFrameworkNoDatabaseAndNoClock() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.springframework..", "jakarta..", "org.hibernate..", "java.sql..", "org.thymeleaf..")
                .check(CORE);
        noClasses().should().callMethod(java.time.Instant.class, "now").check(CORE);
        noClasses().should().callMethod(System.class, "currentTimeMillis").check(CORE);
    }

    @Test
    void hasNoCyclesBetweenPackages() {
        slices().matching("io.causticon.core.(**)").should().beFreeOfCycles().check(CORE);
    }

    /**
     * The model knows no science, science no workshop: a judgement may change without a formula changing, and a formula
     * without a word of the log.
     */
    @Test
    void standsOnThreeFloors() {
        layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .layer("ground")
                .definedBy(ROOT + ".quantity", ROOT + ".problem", ROOT + ".wording")
                .layer("model")
                .definedBy(ROOT + ".model..")
                .layer("science")
                .definedBy(ROOT + ".science..")
                .layer("workshop")
                .definedBy(ROOT + ".workshop..")
                .whereLayer("workshop")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("science")
                .mayOnlyBeAccessedByLayers("workshop")
                .whereLayer("model")
                .mayOnlyBeAccessedByLayers("science", "workshop")
                .whereLayer("ground")
                .mayOnlyBeAccessedByLayers("model", "science", "workshop")
                .ensureAllClassesAreContainedInArchitectureIgnoring(ROOT)
                .check(CORE);
    }

    @Test
    void hidesMostOfWhatItsPackagesAreMadeOf() {
        long all = CORE.stream()
                .filter(c -> c.isTopLevelClass() && !c.getSimpleName().equals("package-info"))
                .count();
        long hidden = CORE.stream()
                .filter(c -> c.isTopLevelClass() && !c.getSimpleName().equals("package-info"))
                .filter(c -> !c.getModifiers().contains(com.tngtech.archunit.core.domain.JavaModifier.PUBLIC))
                .count();
        assertThat(hidden).as("hidden of " + all + " types").isGreaterThan(all / 6);
    }
}
