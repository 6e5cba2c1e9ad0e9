package io.causticon.web.places.plan;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.science.cook.CookPlan;
import io.causticon.web.shared.Formats;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** What cooking a batch takes, as it is shown on the plan and on the sheet. */
final class CookWords {

    /** US liquid quart, exact. */
    private static final double LITRES_PER_QUART = 0.946352946;

    private CookWords() {}

    /** Empty where nothing is cooked. */
    static List<String> of(BatchPlan plan, Formats formats) {
        if (plan.process() != Process.HOT) {
            return List.of();
        }
        CookPlan cook = CookPlan.of(plan);
        List<String> lines = new ArrayList<>();
        lines.add("A pot of " + volume(cook.leastPotLitres(), formats)
                + " or more: it swells to twice its size. Lid on, near " + formats.temperature(CookPlan.POT) + ", "
                + hours(cook) + " from lye-in, until it is clear all through.");
        lines.add("Of its " + formats.roughMass(cook.water()) + " of water an open pot loses some "
                + formats.roughMass(cook.waterLostHourly())
                + " an hour, under a lid far less; the scale under the pot tells how much.");
        if (!cook.after().isEmpty()) {
            lines.add("After the cook, once a test is calm: " + names(cook.after(), formats) + ". "
                    + (cook.lyeIsLeftOver()
                            ? "The lye still takes part of it."
                            : "It stays what it is; the cook itself leaves "
                                    + formats.percent(cook.superfatOfTheCook(), 1) + " of the fats in the pot."));
        }
        return lines;
    }

    private static String volume(double litres, Formats formats) {
        return formats.units().mass() == Units.MassUnit.GRAM
                ? Formats.number(litres, 1) + " l"
                : Formats.number(litres / LITRES_PER_QUART, 1) + " qt";
    }

    private static String hours(CookPlan cook) {
        return Formats.number(cook.hours().low(), 1) + " to "
                + Formats.number(cook.hours().high(), 1) + " h";
    }

    private static String names(List<FatPortion> fats, Formats formats) {
        return fats.stream()
                .map(f -> formats.mass(f.mass()) + " " + f.fat().name())
                .collect(Collectors.joining(", "));
    }
}
