package io.causticon.core.workshop.preflight;

import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.wording.Phrase;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/** What this workshop brings: allergens that the mould held last, lots past their use-by. */
final class WorkshopRisks {

    private WorkshopRisks() {}

    static void find(Flight f) {
        WorkshopFacts.LastBatch last = f.workshop.lastInMould();
        if (last != null) {
            Set<String> carried = new TreeSet<>(last.allergens());
            carried.removeAll(f.plan.allergens());
            if (!carried.isEmpty()) {
                f.bite(
                        Phrase.of("The mould last held {}", String.join(" and ", carried)),
                        Phrase.of("{} was made in it; this recipe has none.", last.batch()),
                        Phrase.of("Wash it out, or say so on the label"));
            }
        }
        List<String> past = f.formula.fats().stream()
                .map(FatPortion::lot)
                .filter(lot -> lot != null && f.workshop.lotsPastUse().contains(lot))
                .toList();
        if (!past.isEmpty()) {
            f.bite(
                    Phrase.of("Past its use-by: {}", String.join(", ", past)),
                    Phrase.of("Old fat brings free acid, which takes up lye, and goes stale sooner."),
                    Phrase.of("Smell it; open the next lot"));
        }
    }
}
