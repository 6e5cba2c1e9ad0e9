package io.causticon.core.science.loaf;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What the cores that were logged in earlier batches tell of a workshop's moulds and recipes. The loss goes with the
 * mould, the rate with the main fats. From day to day one mould differs by a tenth (other towels, another draught), one
 * recipe by 0.15 (other lots); conjugate, so the order of the batches does not matter.
 *
 * @param told by each batch
 */
public record LoafKnowledge(List<Told> told) {

    /** Nothing was measured yet. */
    public static final LoafKnowledge NONE = new LoafKnowledge(List.of());

    private static final double MOULD_DAY_TO_DAY = 0.10;
    private static final double RECIPE_DAY_TO_DAY = 0.15;
    private static final double MAIN_FAT = 0.1;

    public LoafKnowledge {
        told = List.copyOf(told);
    }

    /**
     * What the readings of one batch told, without what was expected before.
     *
     * @param mould its name
     * @param family the main fats
     * @param told spreads are wide where the readings told little
     */
    public record Told(String mould, String family, LoafExpectation told) {

        /** @param fitted to readings of a loaf of which the usual was expected */
        public static Told of(Mould mould, Formula formula, LoafExpectation fitted) {
            return new Told(mould.name(), mainFats(formula), LoafExpectation.USUAL.toldBy(fitted));
        }
    }

    /** The fats that make a tenth or more: what recipes of one rate have in common. */
    private static String mainFats(Formula formula) {
        return formula.fats().stream()
                .filter(f -> f.mass().dividedBy(formula.fatMass()) >= MAIN_FAT)
                .map(FatPortion::fat)
                .map(f -> f.id())
                .collect(Collectors.collectingAndThen(
                        Collectors.toCollection(TreeSet::new), ids -> String.join(" ", ids)));
    }

    /** What to expect of this batter in this mould. */
    public LoafExpectation of(@Nullable Mould mould, Formula formula) {
        LoafExpectation expected = mould == null ? LoafExpectation.USUAL : of(mould);
        String family = mainFats(formula);
        double precision = LoafExpectation.precision(expected.rateSpread());
        double usual = precision;
        double weighted = 0;
        for (Told t : told) {
            if (t.family().equals(family)) {
                double p = 1 / (square(t.told().rateSpread()) + square(RECIPE_DAY_TO_DAY));
                precision += p;
                weighted += p * t.told().logRate();
            }
        }
        return precision == usual
                ? expected
                : expected.rate(weighted / precision, spread(precision, RECIPE_DAY_TO_DAY, expected.rateSpread()));
    }

    /** The loss of a mould, whatever is in it. */
    public LoafExpectation of(Mould mould) {
        LoafExpectation usual = LoafExpectation.USUAL;
        double precision = LoafExpectation.precision(usual.lossSpread());
        double weighted = 0;
        for (Told t : told) {
            if (t.mould().equals(mould.name())) {
                double p = 1 / (square(t.told().lossSpread()) + square(MOULD_DAY_TO_DAY));
                precision += p;
                weighted += p * t.told().logLoss();
            }
        }
        return batchesIn(mould) == 0
                ? usual
                : usual.loss(weighted / precision, spread(precision, MOULD_DAY_TO_DAY, usual.lossSpread()));
    }

    /** How many batches told of it. */
    public int batchesIn(Mould mould) {
        return (int) told.stream().filter(t -> t.mould().equals(mould.name())).count();
    }

    /** Of the next batch: what is known of the mould or the recipe, and that no two days are the same. */
    private static double spread(double precision, double dayToDay, double usual) {
        return Math.min(usual, Math.sqrt(1 / precision + square(dayToDay)));
    }

    private static double square(double x) {
        return x * x;
    }
}
