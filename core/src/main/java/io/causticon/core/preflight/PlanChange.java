package io.causticon.core.preflight;

import io.causticon.core.formula.BatchPlan;
import io.causticon.core.wording.Phrase;
import java.util.function.UnaryOperator;

/**
 * A change of a plan that one tap makes.
 *
 * @param label what it does, as a verb
 * @param change the plan before to the plan after
 */
public record PlanChange(Phrase label, UnaryOperator<BatchPlan> change) {

    static PlanChange to(Phrase label, UnaryOperator<BatchPlan> change) {
        return new PlanChange(label, change);
    }

    public BatchPlan applyTo(BatchPlan plan) {
        return change.apply(plan);
    }
}
