package io.causticon.core.model.plan;

import io.causticon.core.model.substance.Additive;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.util.List;
import java.util.Map;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a batch is to be made of. Everything else (lye, liquid, superfat's spread) follows from it.
 *
 * @param fats the fats with their masses, at least one
 * @param alkali which alkali and how pure
 * @param superfat share of the fats that is left without alkali; negative would be excess alkali
 * @param liquidTarget how much liquid
 * @param liquidParts what the liquid is; the shares make a whole
 * @param additives what else goes in
 * @param fixed what was given as a mass: superfat and target are what follows from it
 */
public record Formula(
        List<FatPortion> fats,
        AlkaliChoice alkali,
        Share superfat,
        LiquidTarget liquidTarget,
        List<LiquidPart> liquidParts,
        List<AdditivePortion> additives,
        FixedAmounts fixed) {

    /** One in which no mass but those of the fats is given: lye and liquid follow. */
    public Formula(
            List<FatPortion> fats,
            AlkaliChoice alkali,
            Share superfat,
            LiquidTarget liquidTarget,
            List<LiquidPart> liquidParts,
            List<AdditivePortion> additives) {
        this(fats, alkali, superfat, liquidTarget, liquidParts, additives, FixedAmounts.NONE);
    }

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
                fats.stream().map(f -> f.weighing(f.mass().times(factor))).toList(),
                alkali,
                superfat,
                liquidTarget,
                liquidParts,
                additives.stream().map(a -> a.scaledBy(factor)).toList(),
                fixed.scaledBy(factor));
    }

    /** The same with lye or liquid as a mass. */
    public Formula fixing(FixedAmounts amounts) {
        return amounts.follow(new Formula(fats, alkali, superfat, liquidTarget, liquidParts, additives, amounts));
    }

    /** Other fats keep the superfat: a lye that was given as a mass was for those before. */
    public Formula withFats(List<FatPortion> others) {
        return new Formula(others, alkali, superfat, liquidTarget, liquidParts, additives)
                .redosed()
                .fixing(fixed.withoutLye());
    }

    /** A superfat that is chosen leads from now on, and the lye follows. */
    public Formula withSuperfat(Share other) {
        return new Formula(fats, alkali, other, liquidTarget, liquidParts, additives).fixing(fixed.withoutLye());
    }

    private static Map<String, Share> amounts(List<LiquidPart> parts) {
        return parts.stream()
                .collect(Collectors.toMap(
                        p -> p.liquid().id(),
                        LiquidPart::share,
                        (a, b) -> Share.fraction(a.fraction() + b.fraction())));
    }

    /**
     * Another target or other liquids lead from now on; the same ones, frozen or joining later, leave what was given as
     * a mass.
     */
    public Formula withLiquid(LiquidTarget target, List<LiquidPart> parts) {
        boolean same = target.equals(liquidTarget) && amounts(parts).equals(amounts(liquidParts));
        return new Formula(fats, alkali, superfat, target, parts, additives).fixing(same ? fixed : FixedAmounts.NONE);
    }

    public Formula withAdditives(List<AdditivePortion> others) {
        Formula other = new Formula(fats, alkali, superfat, liquidTarget, liquidParts, others);
        return other.fixing(other.additiveAcidMoles() == additiveAcidMoles() ? fixed : fixed.withoutLye());
    }

    /** Doses that go by the fats, worked out again for the fats as they are now. */
    private Formula redosed() {
        Mass mass = fatMass();
        return withAdditives(additives.stream()
                .map(a -> AdditivePortion.dosed(a.additive(), a.dose(), a.joins(), mass))
                .toList());
    }

    /** Share of sugar in everything that goes in, per mass of fats. */
    public Share sugarOfFats() {
        return sugarOfFats(Additive::sugar);
    }

    /** Share of the sugars that lye takes apart, per mass of fats: what makes a loaf heat. */
    public Share reducingSugarOfFats() {
        return sugarOfFats(Additive::reducingSugar);
    }

    private Share sugarOfFats(Function<Additive, Share> ofAdditive) {
        double fromLiquid = AlkaliBalance.of(this).liquids().stream()
                .mapToDouble(l -> l.liquid().sugar().of(l.mass()).grams())
                .sum();
        double fromAdditives = additives.stream()
                .mapToDouble(a -> ofAdditive.apply(a.additive()).of(a.mass()).grams())
                .sum();
        return Share.fraction((fromLiquid + fromAdditives) / fatMass().grams());
    }

    /** Food allergens that go in, by name. */
    public SortedSet<String> allergens() {
        return Stream.of(
                        fats.stream().flatMap(p -> p.fat().allergens().stream()),
                        liquidParts.stream().flatMap(p -> p.liquid().allergens().stream()),
                        additives.stream().flatMap(p -> p.additive().allergens().stream()))
                .flatMap(s -> s)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** Fragrance allergens that labels name, as far as the tables know. */
    public SortedSet<String> scentAllergens() {
        return additives.stream()
                .flatMap(p -> p.additive().scentAllergens().stream())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    double additiveAcidMoles() {
        return additives.stream()
                .mapToDouble(a -> a.additive().alkaliMoles(a.mass()))
                .sum();
    }
}
