package io.causticon.web.store.batch;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.said.entry.Names;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Instant;

/**
 * A batch as it stands.
 *
 * @param id names it
 * @param code its short name for labels
 * @param plan the plan it was made from, as it was then, grown if the maker scaled the rest at the scale
 * @param version version of the recipe
 * @param log everything that happened to it
 */
public record Batch(BatchId id, String code, BatchPlan plan, int version, BatchLog log) {

    public String name() {
        return plan.name();
    }

    /** What things are called in it. */
    public Names names() {
        return new Names(plan, log.substances());
    }

    /** The same, what its lines name looked up among these substances. */
    Batch readWith(Catalogue substances) {
        return log.substances() == substances ? this : new Batch(id, code, plan, version, log.readWith(substances));
    }

    public Purpose purpose() {
        return Purpose.of(log);
    }

    public Life life() {
        return Life.of(log);
    }

    public boolean isHeld() {
        return Life.isHeld(log);
    }

    public BatchFacts facts(Instant now) {
        return BatchFacts.of(plan, log, now);
    }
}
