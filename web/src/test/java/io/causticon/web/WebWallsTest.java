package io.causticon.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import jakarta.persistence.Entity;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.Repository;

/** The walls between the places, as their package-info tells them. */
class WebWallsTest {

    private static final JavaClasses WEB = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("io.causticon.web");

    @Test
    void placesHaveNoCycles() {
        slices().matching("io.causticon.web.(*)..").should().beFreeOfCycles().check(WEB);
    }

    @Test
    void whatIsSharedKnowsNoPlace() {
        noClasses()
                .that()
                .resideInAPackage("..web.shared..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "..web.account..", "..web.batch..", "..web.plan..", "..web.bench..", "..web.casebook..", "..web.rack..", "..web.demo..", "..web.shelf..")
                .check(WEB);
    }

    @Test
    void nothingButTheDemoKnowsTheDemo() {
        noClasses()
                .that()
                .resideOutsideOfPackage("..web.demo..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("..web.demo..")
                .check(WEB);
    }

    @Test
    void rowsAndRepositoriesAreHidden() {
        classes().that().areAnnotatedWith(Entity.class).should().notBePublic().check(WEB);
        classes().that().areAssignableTo(Repository.class).should().notBePublic().check(WEB);
    }

    @Test
    void mostOfAPlaceIsHidden() {
        long all = WEB.stream().filter(c -> c.isTopLevelClass() && !c.getSimpleName().equals("package-info")).count();
        long open = WEB.stream()
                .filter(c -> c.isTopLevelClass() && c.getModifiers().contains(JavaModifier.PUBLIC))
                .count();
        assertThat(open).as("public of " + all + " types").isLessThan(all * 6 / 10);
    }
}
