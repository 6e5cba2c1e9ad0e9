package io.causticon.core.science.formula;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import io.causticon.core.Recipes;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.quantity.Mass;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Amounts of which a scale shows nothing. */
class PlanCheckTest {

    private static BatchPlan plan(double grams, double fatStep, double lyeStep) {
        BatchPlan plan = Recipes.recipe()
                .fat("olive-oil", grams)
                .liquid("distilled-water", 100)
                .purity(98)
                .plan();
        return plan.with(new Scales(Mass.grams(fatStep), Mass.grams(lyeStep)));
    }

    @ParameterizedTest
    @CsvSource({
        // Rounded to even, half a step is none.
        "0.5, 1, 0.01, fatStep",
        "0.4, 1, 0.01, fatStep",
        // 3 g of olive oil take 0.39 g of lye.
        "3, 0.1, 1, lyeStep",
        "20, 0.1, 10, lyeStep"
    })
    void areTold(double grams, double fatStep, double lyeStep, String field) {
        List<Problem> problems = PlanCheck.of(plan(grams, fatStep, lyeStep)).all();
        assertThat(problems)
                .extracting(Problem::field, Problem::key)
                .containsExactly(tuple(field, ProblemKey.SCALE_SHOWS_NOTHING));
    }

    @Test
    void whatItShowsIsNot() {
        assertThat(PlanCheck.of(plan(0.51, 1, 0.01)).isEmpty()).isTrue();
        assertThat(PlanCheck.of(plan(4, 1, 1)).isEmpty()).isTrue();
    }
}
