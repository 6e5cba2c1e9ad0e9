package io.causticon.core.science.formula;

import io.causticon.core.model.plan.Rework;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;

/**
 * Tells everything that keeps scraps from being melted down. Fields are named {@code scraps}, {@code water},
 * {@code fatMass}.
 */
public final class ReworkCheck {

    /** More does not fit the pots of a workshop. */
    public static final Mass MOST = Mass.grams(50_000);

    private ReworkCheck() {}

    public static Problems of(Rework rework) {
        Problems problems = new Problems();
        if (!rework.soap().isPositive()
                || rework.scraps().stream()
                        .anyMatch(s -> !s.mass().isPositive() || s.fats().isEmpty())) {
            problems.add("scraps", ProblemKey.NO_SCRAPS);
        }
        amount("scraps", "Scraps", rework.soap(), problems);
        amount("water", "Water", rework.water(), problems);
        rework.added().forEach(f -> amount("fatMass", f.fat().name(), f.mass(), problems));
        if (problems.isEmpty() && rework.water().isMoreThan(rework.soap())) {
            problems.add("water", ProblemKey.TOO_HIGH, "Water", rework.water(), rework.soap());
        }
        if (problems.isEmpty() && rework.superfat().value() > FormulaCheck.MOST_SUPERFAT.fraction()) {
            problems.add(
                    "fatMass",
                    ProblemKey.TOO_HIGH,
                    "The superfat",
                    Share.fraction(rework.superfat().value()),
                    FormulaCheck.MOST_SUPERFAT);
        }
        return problems;
    }

    private static void amount(String field, String what, Mass mass, Problems problems) {
        if (mass.grams() < 0) {
            problems.add(field, ProblemKey.TOO_LOW, what, mass, Mass.ZERO);
        } else if (mass.isMoreThan(MOST)) {
            problems.add(field, ProblemKey.TOO_HIGH, what, mass, MOST);
        }
    }
}
