package io.causticon.core.workshop.preflight;

import io.causticon.core.model.plan.Vessel;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.loaf.LoafKnowledge;
import io.causticon.core.science.making.TraceKnowledge;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What the workshop knows that a plan does not say.
 *
 * @param room usual temperature of the room
 * @param tried fragrances that went into earlier batches, by id
 * @param vessels what the lye can be dissolved in
 * @param lastInMould what the mould held last; null when that is not known
 * @param lotsPastUse labels of lots that are past their use-by
 * @param trace how batters come to trace here
 * @param loaves what logged cores told of moulds and recipes
 */
public record WorkshopFacts(
        Temperature room,
        Map<String, Tried> tried,
        List<Vessel> vessels,
        @Nullable LastBatch lastInMould,
        Set<String> lotsPastUse,
        TraceKnowledge trace,
        LoafKnowledge loaves) {

    /** Of a workshop whose batches told nothing of working times and loaves yet. */
    public WorkshopFacts(
            Temperature room,
            Map<String, Tried> tried,
            List<Vessel> vessels,
            @Nullable LastBatch lastInMould,
            Set<String> lotsPastUse) {
        this(room, tried, vessels, lastInMould, lotsPastUse, TraceKnowledge.PRIOR, LoafKnowledge.NONE);
    }

    /**
     * How a fragrance behaved so far.
     *
     * @param batches how many batches it went into
     * @param troubled in how many of them the batter seized, riced or thickened within minutes of it
     * @param did what it did, with counts; may be empty
     */
    public record Tried(int batches, int troubled, String did) {

        public Tried(int batches, int troubled) {
            this(batches, troubled, "");
        }
    }

    /**
     * What was made in a vessel last.
     *
     * @param batch what it was called
     * @param allergens food allergens in it
     */
    public record LastBatch(String batch, Set<String> allergens) {}

    public static WorkshopFacts unknown(Temperature room) {
        return new WorkshopFacts(room, Map.of(), List.of(), null, Set.of());
    }
}
