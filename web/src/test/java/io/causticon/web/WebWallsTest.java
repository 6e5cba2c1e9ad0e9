package io.causticon.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.constructors;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
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
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.Repository;

/** The walls between the places, as their packages declare them. */
class WebWallsTest {

    private static final String ROOT = "io.causticon.web";
    private static final String CORE = "io.causticon.core";
    private static final Pattern CREATED = Pattern.compile("(?i)create table (?:if not exists )?\"?([a-z_]+)");

    private static final JavaClasses WEB = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("io.causticon.web");

    @Test
    void hasNoCyclesBetweenPackages() {
        slices().matching("io.causticon.web.(**)").should().beFreeOfCycles().check(WEB);
    }

    /** What is kept knows no page, a page no road out of the house; what all share knows none of them. */
    @Test
    void standsOnFloors() {
        layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .layer("shared")
                .definedBy(ROOT + ".shared..")
                .layer("store")
                .definedBy(ROOT + ".store..")
                .layer("security")
                .definedBy(ROOT + ".security..")
                .layer("places")
                .definedBy(ROOT + ".places..")
                .layer("exchange")
                .definedBy(ROOT + ".exchange..")
                .layer("demo")
                .definedBy(ROOT + ".demo..", ROOT)
                .whereLayer("demo")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("exchange")
                .mayOnlyBeAccessedByLayers("demo")
                .whereLayer("places")
                .mayOnlyBeAccessedByLayers("exchange", "demo")
                .whereLayer("security")
                .mayOnlyBeAccessedByLayers("places", "exchange", "demo")
                .whereLayer("store")
                .mayOnlyBeAccessedByLayers("security", "places", "exchange", "demo")
                .ensureAllClassesAreContainedInArchitecture()
                .check(WEB);
    }

    /**
     * What a package may use stands on it as {@link io.causticon.core.MayUse}: no more, and nothing that it does not.
     * In the core too.
     */
    @Test
    void packagesUseOnlyTheNeighboursThatTheyDeclare() {
        assertThat(Neighbours.declared(WEB, ROOT)).isEqualTo(Neighbours.used(WEB, ROOT));
        JavaClasses core = new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages(CORE);
        assertThat(Neighbours.declared(core, CORE)).isEqualTo(Neighbours.used(core, CORE));
    }

    /** Whoever needs another's rows asks the store: no table is named in a string anywhere else. */
    @Test
    void onlyTheStoreNamesATable() throws IOException {
        Set<String> tables = new TreeSet<>();
        for (Path migration : files(Path.of("src/main/resources/db/migration"), ".sql")) {
            Matcher made = CREATED.matcher(Files.readString(migration));
            made.results().map(m -> m.group(1)).forEach(tables::add);
        }
        assertThat(tables).contains("batch", "log_revision", "vessel");
        Pattern named = Pattern.compile(
                "(?i)\"[^\"]*\\b(?:from|into|update|join|table)\\s+(?:" + String.join("|", tables) + ")\\b[^\"]*\"|\""
                        + tables.stream()
                                .filter(t -> t.contains("_"))
                                .map(Pattern::quote)
                                .collect(Collectors.joining("|", "(?:", ")"))
                        + "\"");
        Map<String, String> elsewhere = new TreeMap<>();
        for (Path source : files(Path.of("src/main/java"), ".java")) {
            Matcher found = named.matcher(Files.readString(source));
            if (!source.toString().contains("/web/store/") && found.find()) {
                elsewhere.put(source.toString(), found.group());
            }
        }
        assertThat(elsewhere).isEmpty();
        noClasses()
                .that()
                .resideOutsideOfPackage("..web.store..")
                .should()
                .dependOnClassesThat()
                .haveFullyQualifiedName("org.springframework.jdbc.core.simple.JdbcClient")
                .orShould()
                .dependOnClassesThat()
                .haveFullyQualifiedName("org.springframework.jdbc.core.JdbcTemplate")
                .orShould()
                .dependOnClassesThat()
                .haveFullyQualifiedName("jakarta.persistence.EntityManager")
                .check(WEB);
    }

    private static List<Path> files(Path under, String ending) throws IOException {
        try (Stream<Path> all = Files.walk(under)) {
            return all.filter(p -> p.toString().endsWith(ending)).sorted().toList();
        }
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

    /** Some rows are shown to their place as they are; none can be made or changed outside the store. */
    @Test
    void rowsAreWrittenByTheStoreAlone() {
        classes()
                .that()
                .areAssignableTo(Repository.class)
                .should()
                .notBePublic()
                .check(WEB);
        classes()
                .that()
                .areAnnotatedWith(Entity.class)
                .should()
                .resideInAPackage("..web.store..")
                .check(WEB);
        fields().that()
                .areDeclaredInClassesThat()
                .areAnnotatedWith(Entity.class)
                .should()
                .notBePublic()
                .check(WEB);
        constructors()
                .that()
                .areDeclaredInClassesThat()
                .areAnnotatedWith(Entity.class)
                .should()
                .notBePublic()
                .check(WEB);
        methods()
                .that()
                .areDeclaredInClassesThat()
                .areAnnotatedWith(Entity.class)
                .and()
                .arePublic()
                .should()
                .notHaveRawReturnType(void.class)
                .check(WEB);
    }

    @Test
    void mostOfAPlaceIsHidden() {
        long all = WEB.stream()
                .filter(c -> c.isTopLevelClass() && !c.getSimpleName().equals("package-info"))
                .count();
        long open = WEB.stream()
                .filter(c -> c.isTopLevelClass() && c.getModifiers().contains(JavaModifier.PUBLIC))
                .count();
        assertThat(open).as("public of " + all + " types").isLessThan(all * 6 / 10);
    }
}
