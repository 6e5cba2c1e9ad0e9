package io.causticon.evaluation;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What is drawn must not know what the diagnosis goes by: else it would be judged by its own opinion. */
class EvaluationWallsTest {

    private static final JavaClasses EVALUATION = new ClassFileImporter().importPackages("io.causticon.evaluation");

    /** Packages of the core that a class uses, with all that stands within it. */
    private static Set<String> used(Class<?> by) {
        return EVALUATION.stream()
                .filter(c -> c.getName().equals(by.getName()) || c.getName().startsWith(by.getName() + "$"))
                .flatMap(c -> c.getDirectDependenciesFromSelf().stream())
                .map(d -> d.getTargetClass().getPackageName())
                .filter(p -> p.startsWith("io.causticon.core"))
                .collect(Collectors.toSet());
    }

    @Test
    void batchesAreDrawnWithoutTheKnowledge() {
        // What else is drawn stands in the core, whose walls say the same.
        assertThat(used(DrawnBatch.class))
                .isNotEmpty()
                .noneMatch(p -> p.startsWith("io.causticon.core.science.diagnosis"));
    }

    /** Else the wall above would be one round nothing. */
    @Test
    void theyAreJudgedWithIt() {
        assertThat(used(Evaluation.class)).anyMatch(p -> p.startsWith("io.causticon.core.science.diagnosis"));
    }
}
