package io.causticon.core.entry;

import io.causticon.core.formula.BatchPlan;
import io.causticon.core.notation.Units;
import io.causticon.core.observation.KnownVessels;
import io.causticon.core.substance.Catalogue;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Map;

/**
 * What the quick line needs to know to understand a maker.
 *
 * @param plan the batch's plan, whose substances are looked for first
 * @param begun when the batch was begun
 * @param now this moment
 * @param zone the workshop's time zone
 * @param units what a bare number means
 * @param findings words for findings, in small letters, with the finding each means
 * @param vessels those that the workshop knows
 * @param substances what it has beyond the plan: the tables, and its own
 */
public record QuickContext(
        BatchPlan plan, Instant begun, Instant now, ZoneId zone, Units units, Map<String, String> findings, KnownVessels vessels, Catalogue substances) {

    public QuickContext {
        findings = Map.copyOf(findings);
    }

    /** Of a workshop that has nothing of its own. */
    public QuickContext(BatchPlan plan, Instant begun, Instant now, ZoneId zone, Units units, Map<String, String> findings) {
        this(plan, begun, now, zone, units, findings, KnownVessels.NONE, Catalogue.standard());
    }

    Names names() {
        return new Names(plan, substances);
    }
}
