package io.causticon.core.science.formula;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.util.HashSet;
import java.util.Set;

/**
 * Tells everything that keeps a formula from being made. Fields are named {@code fats}, {@code superfat},
 * {@code purity}, {@code liquid}, {@code liquidParts}.
 */
public final class FormulaCheck {

    /**
     * Above this share of lye in the liquor some stays undissolved near room temperature; NaOH-water phase diagram,
     * 20-25 C.
     */
    public static final Share STRONGEST_LYE = Share.percent(52);

    public static final Mass MOST_OF_ONE_FAT = Mass.grams(50_000);
    public static final Share LEAST_SUPERFAT = Share.percent(-5);
    public static final Share MOST_SUPERFAT = Share.percent(40);
    public static final Share LEAST_PURITY = Share.percent(50);
    private static final Share USUAL_SUPERFAT = Share.percent(5);
    private static final double SUM_TOLERANCE = 0.0005;

    private FormulaCheck() {}

    public static Problems of(Formula formula) {
        Problems problems = new Problems();
        checkFats(formula, problems);
        if (formula.fixed().lye() == null) {
            checkRange("superfat", formula.superfat(), LEAST_SUPERFAT, MOST_SUPERFAT, problems);
        }
        checkRange("purity", formula.alkali().naohPurity(), LEAST_PURITY, Share.WHOLE, problems);
        checkRange("kohPurity", formula.alkali().kohPurity(), LEAST_PURITY, Share.WHOLE, problems);
        checkLiquidParts(formula, problems);
        if (problems.isEmpty()) {
            checkBalance(formula, problems);
        }
        return problems;
    }

    private static void checkFats(Formula formula, Problems problems) {
        if (formula.fats().isEmpty() || !formula.fatMass().isPositive()) {
            problems.add("fats", ProblemKey.NO_FATS);
        }
        Set<String> seen = new HashSet<>();
        for (FatPortion portion : formula.fats()) {
            if (!seen.add(portion.fat().id())) {
                problems.add("fats", ProblemKey.TWICE, portion.fat().name());
            }
            if (portion.mass().grams() < 0) {
                problems.add("fats", ProblemKey.TOO_LOW, portion.fat().name(), portion.mass(), Mass.ZERO);
            }
            if (portion.mass().isMoreThan(MOST_OF_ONE_FAT)) {
                problems.add("fats", ProblemKey.TOO_HIGH, portion.fat().name(), portion.mass(), MOST_OF_ONE_FAT);
            }
        }
    }

    /** What follows from a mass of lye; the parts of the liquid are a whole by now. */
    private static void checkGivenLye(Formula formula, Problems problems) {
        Mass lye = formula.fixed().lye();
        boolean low = formula.superfat().compareTo(LEAST_SUPERFAT) < 0;
        boolean high = formula.superfat().compareTo(MOST_SUPERFAT) > 0;
        if (lye == null || !(low || high)) {
            return;
        }
        Mass usual = AlkaliBalance.of(formula.withSuperfat(USUAL_SUPERFAT)).lye();
        problems.add(
                "lyeMass", low ? ProblemKey.LYE_TOO_MUCH : ProblemKey.LYE_TOO_LITTLE, lye, formula.superfat(), usual);
    }

    private static void checkRange(String field, Share value, Share least, Share most, Problems problems) {
        if (value.compareTo(least) < 0) {
            problems.add(field, ProblemKey.TOO_LOW, field, value, least);
        } else if (value.compareTo(most) > 0) {
            problems.add(field, ProblemKey.TOO_HIGH, field, value, most);
        }
    }

    private static void checkLiquidParts(Formula formula, Problems problems) {
        double sum = formula.liquidParts().stream()
                .mapToDouble(p -> p.share().fraction())
                .sum();
        if (Math.abs(sum - 1) > SUM_TOLERANCE) {
            problems.add("liquidParts", ProblemKey.SHARES_DO_NOT_SUM, Share.fraction(sum));
        }
        if (formula.liquidTarget().value() <= 0) {
            problems.add(
                    "liquid",
                    ProblemKey.TOO_LOW,
                    "liquid",
                    formula.liquidTarget().value(),
                    0.0);
        }
    }

    private static void checkBalance(Formula formula, Problems problems) {
        try {
            checkGivenLye(formula, problems);
            AlkaliBalance balance = AlkaliBalance.of(formula);
            if (!balance.firstWater().isPositive()) {
                problems.add("liquidParts", ProblemKey.NOTHING_DISSOLVES_LYE);
                return;
            }
            // Potassium hydroxide dissolves in less than its own mass of water, so the limit is for sodium's part.
            boolean mostlySodium = balance.naoh().isMoreThan(balance.koh());
            if (mostlySodium && balance.firstConcentration().compareTo(STRONGEST_LYE) > 0) {
                problems.add(
                        "liquid",
                        ProblemKey.LYE_CANNOT_DISSOLVE,
                        balance.lye(),
                        balance.firstWater(),
                        balance.firstConcentration(),
                        STRONGEST_LYE);
            }
        } catch (ProblemsException e) {
            problems.addAll(e.problems());
        }
    }
}
