package io.causticon.core.science.diagnosis;

import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Remedy;
import java.util.List;

/**
 * All that is said of one condition. The report holds every condition, also those ruled out, so that "why not" can be
 * answered.
 *
 * @param condition which
 * @param probability how likely after everything, 0 to 1
 * @param ledger how it came to that
 * @param causes what would explain it, likeliest first
 * @param remedy what to do
 */
public record ConditionReport(
        Condition condition, double probability, Ledger ledger, List<Cause> causes, Remedy remedy) {

    public ConditionReport {
        causes = List.copyOf(causes);
    }
}
