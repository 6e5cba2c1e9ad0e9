package io.causticon.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** The walls between the packages of the core, as their package-info tells them. */
class CoreWallsTest {

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("io.causticon.core");

    @Test
    void knowsNoFrameworkNoDatabaseAndNoClock() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.springframework..", "jakarta..", "org.hibernate..", "java.sql..", "org.thymeleaf..")
                .check(CORE);
        noClasses().should().callMethod(java.time.Instant.class, "now").check(CORE);
        noClasses().should().callMethod(System.class, "currentTimeMillis").check(CORE);
    }

    @Test
    void hasNoCyclesBetweenPackages() {
        slices().matching("io.causticon.core.(*)..").should().beFreeOfCycles().check(CORE);
    }

    @Test
    void quantitiesDependOnNothingOfOurs() {
        noClasses()
                .that()
                .resideInAPackage("..core.quantity..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("..core.problem..", "..core.substance..", "..core.formula..", "..core.observation..")
                .check(CORE);
    }

    @Test
    void hidesMostOfWhatItsPackagesAreMadeOf() {
        long all = CORE.stream().filter(c -> c.isTopLevelClass() && !c.getSimpleName().equals("package-info")).count();
        long hidden = CORE.stream()
                .filter(c -> c.isTopLevelClass() && !c.getSimpleName().equals("package-info"))
                .filter(c -> !c.getModifiers().contains(com.tngtech.archunit.core.domain.JavaModifier.PUBLIC))
                .count();
        Assertions.assertThat(hidden).as("hidden of " + all + " types").isGreaterThan(all / 6);
    }
}
