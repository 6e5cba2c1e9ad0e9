package io.causticon.core.model.said.entry;

import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.model.substance.Catalogue;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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
 * @param taken portions that were taken from the bowl so far
 */
public record QuickContext(
        BatchPlan plan,
        Instant begun,
        Instant now,
        ZoneId zone,
        Units units,
        Map<String, String> findings,
        KnownVessels vessels,
        Catalogue substances,
        List<Named> taken) {

    public QuickContext {
        findings = Map.copyOf(findings);
        taken = List.copyOf(taken);
    }

    /** Of a batch that was not divided. */
    public QuickContext(
            BatchPlan plan,
            Instant begun,
            Instant now,
            ZoneId zone,
            Units units,
            Map<String, String> findings,
            KnownVessels vessels,
            Catalogue substances) {
        this(plan, begun, now, zone, units, findings, vessels, substances, List.of());
    }

    /** Of a workshop that has nothing of its own. */
    public QuickContext(
            BatchPlan plan, Instant begun, Instant now, ZoneId zone, Units units, Map<String, String> findings) {
        this(plan, begun, now, zone, units, findings, KnownVessels.NONE, Catalogue.standard());
    }

    /** A portion that was planned or taken; empty for a name that this batch does not know. */
    Optional<Named> portion(String called) {
        return names().plannedPortion(called)
                .or(() -> taken.stream()
                        .filter(p -> p.isCalled(called))
                        .findFirst()
                        .map(p -> new Named(p.id(), called.trim())));
    }

    Names names() {
        return new Names(plan, substances);
    }
}
