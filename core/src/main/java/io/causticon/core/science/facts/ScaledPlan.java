package io.causticon.core.science.facts;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.plan.BatchPlan;

/** The plan of a batch after the maker chose, at the scale, to let the rest grow with what was too much. */
public final class ScaledPlan {

    private ScaledPlan() {}

    /**
     * @param original as it was when the batch was begun
     * @param log the batch's; what was scaled after the lye went into the fats is not counted, as then there is no
     *     rest; scraps are weighed as they are there
     */
    public static BatchPlan of(BatchPlan original, BatchLog log) {
        double factor = factor(log);
        return factor == 1 || original.isRework()
                ? original
                : original.with(
                        original.formula().scaledTo(original.formula().fatMass().times(factor)));
    }

    private static double factor(BatchLog log) {
        var lyeIn = log.first(Entry.LyeIntoFats.class).map(BatchLog.Timed::at);
        return log.of(Entry.RestScaled.class)
                .filter(s -> lyeIn.isEmpty() || !s.at().isAfter(lyeIn.get()))
                .mapToDouble(s -> s.entry().factor())
                .reduce(1, (a, b) -> a * b);
    }
}
