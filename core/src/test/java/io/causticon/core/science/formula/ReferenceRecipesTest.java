package io.causticon.core.science.formula;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.AlkaliChoice;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Share;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;

/**
 * Recipes worked step by step, apart from this code, from saponification values (mg KOH per g) and molar masses (KOH
 * 56.106, NaOH 39.997 g/mol; acetic 60.052, lactic 90.078, citric 192.124 with three equivalents), each with its
 * working above it. They agree to 0.1 g.
 */
class ReferenceRecipesTest {

    private static final double TOLERANCE = 0.1;
    private static final Units GRAMS = Units.METRIC;

    @ParameterizedTest(name = "{0}")
    @CsvFileSource(resources = "reference-recipes.csv", delimiter = '|')
    void agreeWithTheHand(
            String name,
            String fats,
            double superfat,
            double naohShare,
            double naohPurity,
            double kohPurity,
            String target,
            String liquids,
            String additives,
            double naoh,
            double koh,
            double water,
            double liquid,
            double firstStep) {
        Formula formula = new Formula(
                fats(fats),
                new AlkaliChoice(Share.percent(naohShare), Share.percent(naohPurity), Share.percent(kohPurity)),
                Share.percent(superfat),
                target(target),
                liquids(liquids),
                additives(additives));
        assertThat(FormulaCheck.of(formula).all()).isEmpty();
        AlkaliBalance balance = AlkaliBalance.of(formula);
        assertThat(balance.naoh().grams()).as("NaOH").isCloseTo(naoh, within(TOLERANCE));
        assertThat(balance.koh().grams()).as("KOH").isCloseTo(koh, within(TOLERANCE));
        assertThat(balance.water().grams()).as("water").isCloseTo(water, within(TOLERANCE));
        assertThat(balance.liquidMass().grams()).as("liquid").isCloseTo(liquid, within(TOLERANCE));
        assertThat(balance.firstConcentration().inPercent()).as("first step").isCloseTo(firstStep, within(0.02));
        assertThat(Superfat.of(Weights.planned(formula), formula.alkali()).inPercent())
                .as("superfat as weighed")
                .isCloseTo(superfat, within(1e-9));
    }

    private static List<FatPortion> fats(String text) {
        List<FatPortion> fats = new ArrayList<>();
        for (String part : text.split("\\+")) {
            String[] words = part.trim().split(" ", 2);
            fats.add(new FatPortion(Catalogue.standard().fat(words[0]), MassNotation.read("fat", words[1], GRAMS)));
        }
        return fats;
    }

    private static List<LiquidPart> liquids(String text) {
        List<LiquidPart> parts = new ArrayList<>();
        for (String part : text.split("\\+")) {
            String[] words = part.trim().split(" ");
            AdditionStage joins = words.length > 2 ? AdditionStage.EMULSION : AdditionStage.LYE;
            parts.add(new LiquidPart(
                    Catalogue.standard().liquid(words[0]),
                    Share.percent(Double.parseDouble(words[1])),
                    LiquidState.LIQUID,
                    joins));
        }
        return parts;
    }

    private static List<AdditivePortion> additives(String text) {
        if (text == null) {
            return List.of();
        }
        String[] words = text.trim().split(" ");
        return List.of(new AdditivePortion(
                Catalogue.standard().additive(words[0]), MassNotation.read("additive", words[1], GRAMS)));
    }

    private static LiquidTarget target(String text) {
        double value = Double.parseDouble(text.substring(2));
        return switch (text.charAt(0)) {
            case 'C' -> LiquidTarget.concentration(value / 100);
            case 'R' -> LiquidTarget.ratio(value);
            default -> LiquidTarget.ofFats(value / 100);
        };
    }
}
