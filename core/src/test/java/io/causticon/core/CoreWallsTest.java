package io.causticon.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
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

/** The walls between the packages of the core, as their package-info tells them. */
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
                .resideInAnyPackage("org.springframework..", "jakarta..", "org.hibernate..", "java.sql..", "org.thymeleaf..")
                .check(CORE);
        noClasses().should().callMethod(java.time.Instant.class, "now").check(CORE);
        noClasses().should().callMethod(System.class, "currentTimeMillis").check(CORE);
    }

    @Test
    void hasNoCyclesBetweenPackages() {
        slices().matching("io.causticon.core.(*)..").should().beFreeOfCycles().check(CORE);
    }

    /** What a package may use stands in its package-info: no more, and nothing that it does not. */
    @Test
    void usesOnlyTheNeighboursThatItDeclares() throws IOException {
        Map<String, Set<String>> used = new TreeMap<>();
        CORE.stream().filter(c -> !c.getSimpleName().equals("package-info")).forEach(c -> {
            Set<String> neighbours = used.computeIfAbsent(place(c.getPackageName()), p -> new TreeSet<>());
            c.getDirectDependenciesFromSelf().stream()
                    .map(d -> d.getTargetClass().getPackageName())
                    .filter(p -> p.startsWith(ROOT + ".") && !p.equals(c.getPackageName()))
                    .forEach(p -> neighbours.add(place(p)));
        });
        Map<String, Set<String>> told = new TreeMap<>();
        for (String place : used.keySet()) {
            told.put(place, declared(place));
        }
        assertThat(told).isEqualTo(used);
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
    void hidesMostOfWhatItsPackagesAreMadeOf() {
        long all = CORE.stream().filter(c -> c.isTopLevelClass() && !c.getSimpleName().equals("package-info")).count();
        long hidden = CORE.stream()
                .filter(c -> c.isTopLevelClass() && !c.getSimpleName().equals("package-info"))
                .filter(c -> !c.getModifiers().contains(com.tngtech.archunit.core.domain.JavaModifier.PUBLIC))
                .count();
        assertThat(hidden).as("hidden of " + all + " types").isGreaterThan(all / 6);
    }
}
