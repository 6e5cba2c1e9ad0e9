package io.causticon.core.workshop.preflight;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.wording.Phrase;
import java.util.function.UnaryOperator;

/**
 * A change of a plan that one tap makes.
 *
 * @param id by which a tap names it; two changes of one plan that are called alike do the same
 * @param label what it does, as a verb
 * @param change the plan before to the plan after
 */
public record PlanChange(String id, Phrase label, UnaryOperator<BatchPlan> change) {

    static PlanChange to(String id, Phrase label, UnaryOperator<BatchPlan> change) {
        return new PlanChange(id, label, change);
    }

    public BatchPlan applyTo(BatchPlan plan) {
        return change.apply(plan);
    }
}
