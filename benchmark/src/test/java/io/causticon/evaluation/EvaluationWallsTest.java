package io.causticon.evaluation;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import org.junit.jupiter.api.Test;

/** What is drawn must not know what the diagnosis goes by: else it would be judged by its own opinion. */
class EvaluationWallsTest {

    private static final JavaClasses EVALUATION = new ClassFileImporter().importPackages("io.causticon.evaluation");

    @Test
    void batchesAreDrawnWithoutTheKnowledge() {
        noClasses()
                .that()
                .haveSimpleNameStartingWith("Drawn")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("io.causticon.core.diagnosis..")
                .check(EVALUATION);
    }
}
