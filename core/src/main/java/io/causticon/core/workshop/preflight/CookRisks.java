package io.causticon.core.workshop.preflight;

import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.Process;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.cook.CookPlan;
import io.causticon.core.wording.Phrase;

/** What a cook does to fats, scents and water. */
final class CookRisks {

    private CookRisks() {}

    static void find(Flight f) {
        if (f.plan.process() != Process.HOT) {
            return;
        }
        CookPlan cook = CookPlan.of(f.plan);
        fatThatIsEaten(f, cook);
        scent(f);
        water(f);
    }

    private static void fatThatIsEaten(Flight f, CookPlan cook) {
        if (!cook.lyeIsLeftOver()) {
            return;
        }
        Formula formula = f.formula;
        // Every gram after the cook stays free only if the pot's own fats are enough for the lye.
        double needed = 1
                - formula.fats().stream()
                                .filter(p -> !p.afterCook())
                                .mapToDouble(FatPortion::alkaliMoles)
                                .sum()
                        / formula.fats().stream()
                                .mapToDouble(FatPortion::alkaliMoles)
                                .sum();
        Share enough = Share.fraction(Math.ceil(1000 * needed) / 1000);
        f.bite(
                Phrase.of("The lye eats into what comes after the cook"),
                Phrase.of(
                        "It is for {} more than the fats in the pot: the paste stays caustic until {} of fat goes in,"
                                + " and part of that is soap then.",
                        Share.fraction(-cook.superfatOfTheCook().fraction()),
                        cook.afterMass()),
                Phrase.of("No test of the paste can be calm before. Or less of it after the cook"),
                PlanChange.to(
                        "cook-all-free",
                        Phrase.of("Superfat {}, so that all of it stays free", enough),
                        p -> p.with(p.formula().withSuperfat(enough))));
    }

    private static void scent(Flight f) {
        for (AdditivePortion a : f.formula.additives()) {
            boolean cooked = a.joins().compareTo(AdditionStage.AFTER_COOK) < 0;
            if (a.additive().isFragrance() && cooked) {
                f.bite(
                        Phrase.of("{} would be cooked off", a.additive().name()),
                        Phrase.of("What smells leaves a pot at {} with the steam.", CookPlan.POT),
                        PlanChange.to(
                                "cook-scent-" + a.additive().id(),
                                Phrase.of("Into the paste, after the cook"),
                                p -> p.with(p.formula()
                                        .withAdditives(p.formula().additives().stream()
                                                .map(Flight.only(
                                                        a.additive().id(), x -> x.joining(AdditionStage.AFTER_COOK)))
                                                .toList()))));
            }
        }
    }

    private static void water(Flight f) {
        if (f.balance.concentration().fraction() > CookPlan.STRONGEST_LYE.fraction()) {
            f.bite(
                    Phrase.of("The paste will be stiff"),
                    Phrase.of(
                            "At {} lye, and with what steams away, it sets in the pot before it can be spooned.",
                            f.balance.concentration()),
                    PlanChange.to(
                            "cook-water",
                            Phrase.of("Lye at {}", CookPlan.COOKING_LYE),
                            p -> p.with(p.formula()
                                    .withLiquid(
                                            LiquidTarget.concentration(CookPlan.COOKING_LYE.fraction()),
                                            p.formula().liquidParts()))));
        }
    }
}
