package io.causticon.core.formula;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.util.List;

/**
 * What a batch is to be made of. Everything else (lye, liquid, superfat's spread) follows from it.
 *
 * @param fats the fats with their masses, at least one
 * @param alkali which alkali and how pure
 * @param superfat share of the fats that is left without alkali; negative would be excess alkali
 * @param liquidTarget how much liquid
 * @param liquidParts what the liquid is; the shares make a whole
 * @param additives what else goes in
 */
public record Formula(
        List<FatPortion> fats,
        AlkaliChoice alkali,
        Share superfat,
        LiquidTarget liquidTarget,
        List<LiquidPart> liquidParts,
        List<AdditivePortion> additives) {

    public Formula {
        fats = List.copyOf(fats);
        liquidParts = List.copyOf(liquidParts);
        additives = List.copyOf(additives);
    }

    /** All fats together, without the fat that comes with liquids. */
    public Mass fatMass() {
        return fats.stream().map(FatPortion::mass).reduce(Mass.ZERO, Mass::plus);
    }

    /** The same recipe for another mass of fats. */
    public Formula scaledTo(Mass newFatMass) {
        double factor = newFatMass.dividedBy(fatMass());
        return new Formula(
                fats.stream().map(f -> new FatPortion(f.fat(), f.mass().times(factor))).toList(),
                alkali,
                superfat,
                liquidTarget,
                liquidParts,
                additives.stream()
                        .map(a -> new AdditivePortion(a.additive(), a.mass().times(factor)))
                        .toList());
    }

    /** Share of sugar in everything that goes in, per mass of fats: what makes a loaf heat. */
    public Share sugarOfFats() {
        double fromLiquid = AlkaliBalance.of(this).liquids().stream()
                .mapToDouble(l -> l.liquid().sugar().of(l.mass()).grams())
                .sum();
        double fromAdditives = additives.stream()
                .mapToDouble(a -> a.additive().sugar().of(a.mass()).grams())
                .sum();
        return Share.fraction((fromLiquid + fromAdditives) / fatMass().grams());
    }

    double additiveAcidMoles() {
        return additives.stream()
                .mapToDouble(a -> a.additive().alkaliMoles(a.mass()))
                .sum();
    }
}
