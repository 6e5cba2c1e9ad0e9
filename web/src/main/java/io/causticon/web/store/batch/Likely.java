package io.causticon.web.store.batch;

import io.causticon.core.science.diagnosis.ConditionReport;

/**
 * A condition and how likely it is.
 *
 * @param name of it; empty for none
 * @param probability 0 to 1
 */
public record Likely(String name, double probability) {

    public static final Likely NOTHING = new Likely("", 0);

    static Likely of(ConditionReport report) {
        return new Likely(report.condition().name(), report.probability());
    }
}
