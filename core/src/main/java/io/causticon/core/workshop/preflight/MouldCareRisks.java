package io.causticon.core.workshop.preflight;

import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.Dose;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.formula.OxidationIndex;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.List;

/** How the bar keeps. */
final class MouldCareRisks {

    private static final Share LOWER_SUPERFAT = Share.percent(4);
    private static final Share ANTIOXIDANT = Share.percent(0.1);

    private MouldCareRisks() {}

    static void find(Flight f) {
        OxidationIndex staleness = OxidationIndex.of(f.formula);
        if (staleness.index() <= OxidationIndex.SPOTS_WITHIN_THE_YEAR
                || OxidationIndex.isGuarded(f.formula.additives())) {
            return;
        }
        List<PlanChange> changes = new ArrayList<>();
        if (f.formula.superfat().compareTo(LOWER_SUPERFAT) > 0) {
            changes.add(PlanChange.to(
                    "lower-superfat",
                    Phrase.of("Superfat {}", LOWER_SUPERFAT),
                    p -> p.with(p.formula().withSuperfat(LOWER_SUPERFAT))));
        }
        Additive rosemary = Catalogue.standard().additive("rosemary-antioxidant");
        changes.add(PlanChange.to("antioxidant", Phrase.of("Add {} of rosemary extract", ANTIOXIDANT), p -> {
            List<AdditivePortion> more = new ArrayList<>(p.formula().additives());
            more.add(AdditivePortion.dosed(
                    rosemary,
                    Dose.ofFats(ANTIOXIDANT),
                    AdditionStage.FATS,
                    p.formula().fatMass()));
            return p.with(p.formula().withAdditives(more));
        }));
        f.bite(
                Phrase.of("It goes stale early"),
                Phrase.of(
                        "{} linoleic and {} linolenic acid with {} superfat: orange spots within the year.",
                        staleness.linoleic(),
                        staleness.linolenic(),
                        f.formula.superfat()),
                changes.toArray(new PlanChange[0]));
    }
}
