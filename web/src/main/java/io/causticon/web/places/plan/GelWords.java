package io.causticon.web.places.plan;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.loaf.LoafHistory.Extent;
import io.causticon.core.workshop.advice.GelAdvice;
import io.causticon.core.workshop.preflight.WorkshopFacts;
import io.causticon.web.shared.Formats;
import java.util.List;

/**
 * What would make a loaf gel all through, or not at all, as it is shown.
 *
 * @param title what is wanted
 * @param roads to it, the best first
 */
record GelWords(String title, List<RoadWords> roads) {

    /** A change that is taken with one tap. */
    record RoadWords(String id, String words, String chance) {}

    static List<GelWords> of(BatchPlan plan, WorkshopFacts workshop, Formats formats) {
        return List.of(
                new GelWords("All through", roads(Extent.FULL, plan, workshop, formats)),
                new GelWords("Not at all", roads(Extent.NONE, plan, workshop, formats)));
    }

    private static List<RoadWords> roads(Extent extent, BatchPlan plan, WorkshopFacts workshop, Formats formats) {
        return GelAdvice.towards(extent, plan, workshop).stream()
                .map(r ->
                        new RoadWords(r.change().id(), formats.phrase(r.change().label()), chance(r, formats)))
                .toList();
    }

    private static String chance(GelAdvice.Road road, Formats formats) {
        String hot = road.tooHot() < 0.01
                ? ""
                : "; " + Formats.counted(road.tooHot()) + " that it passes "
                        + formats.temperature(Temperature.celsius(LoafEnsemble.TOO_HOT));
        return (road.extent() == Extent.FULL ? "full " : "none ") + Formats.counted(road.chance()) + hot;
    }
}
