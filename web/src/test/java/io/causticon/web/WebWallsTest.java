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
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.Repository;

/** The walls between the places, as their package-info tells them. */
class WebWallsTest {

    private static final String ROOT = "io.causticon.web";

    private static final JavaClasses WEB = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("io.causticon.web");

    @Test
    void placesHaveNoCycles() {
        slices().matching("io.causticon.web.(*)..").should().beFreeOfCycles().check(WEB);
    }

    /** What a package may use stands in its package-info: no more, and nothing that it does not. */
    @Test
    void usesOnlyTheNeighboursThatItDeclares() throws IOException {
        Map<String, Set<String>> used = new TreeMap<>();
        WEB.stream().filter(c -> !c.getSimpleName().equals("package-info") && !c.getPackageName().equals(ROOT)).forEach(c -> {
            Set<String> neighbours = used.computeIfAbsent(place(c.getPackageName()), p -> new TreeSet<>());
            c.getDirectDependenciesFromSelf().stream()
                    .map(d -> d.getTargetClass().getPackageName())
                    .filter(p -> p.startsWith(ROOT + ".") && !p.equals(c.getPackageName()))
                    .forEach(p -> neighbours.add(place(p)));
        });
        for (Map.Entry<String, Set<String>> one : used.entrySet()) {
            assertThat(declared(one.getKey())).as(one.getKey()).isEqualTo(one.getValue());
        }
    }

    private static String place(String packageName) {
        return packageName.substring(ROOT.length() + 1);
    }

    private static Set<String> declared(String place) throws IOException {
        String info = Files.readString(Path.of("src/main/java", (ROOT + "." + place).replace('.', '/'), "package-info.java"));
        Matcher uses = Pattern.compile("May use\\s+(.*?)\\.\\s", Pattern.DOTALL).matcher(info);
        assertThat(uses.find()).as(place + " says what it may use").isTrue();
        return Pattern.compile("\\{@code ([a-z.]+)}").matcher(uses.group(1)).results().map(m -> m.group(1)).collect(Collectors.toCollection(TreeSet::new));
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
