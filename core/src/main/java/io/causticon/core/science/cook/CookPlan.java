package io.causticon.core.science.cook;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.formula.BatterAmount;
import io.causticon.core.science.loaf.Batter;
import io.causticon.core.science.loaf.LoafExpectation;
import io.causticon.core.science.loaf.RateLaw;
import java.util.List;

/**
 * A cook, from the plan alone.
 *
 * @param after fats that go in after the cook and stay what they are
 * @param superfatOfTheCook share of the cooked fats that the lye leaves; below zero the lye takes of those that come
 *     after, too
 * @param hours from lye-in until 95 of 100 are soap at {@link #POT}, central 80 %
 * @param water in the pot at the start
 * @param waterLostHourly what an open pot loses in an hour; under a lid far less (estimate, half to twice)
 * @param leastPotLitres volume of the pot: soap swells to twice its size while it cooks
 */
public record CookPlan(
        List<FatPortion> after,
        Share superfatOfTheCook,
        Interval hours,
        Mass water,
        Mass waterLostHourly,
        double leastPotLitres) {

    /**
     * Where a pot is kept: hot enough to go on by itself, below where it boils over (a judgement, as makers keep it: 70
     * to 90 C).
     */
    public static final Temperature POT = Temperature.celsius(80);

    /** Stronger lye leaves a paste too stiff to stir or to spoon (a judgement). */
    public static final Share STRONGEST_LYE = Share.percent(29);

    /** With so much of water to one of alkali a paste stays soft until it is spooned (a judgement). */
    public static final Share COOKING_LYE = Share.percent(26);

    /**
     * Scents leave a paste that is hotter than this quicker than they are stirred in (a judgement; flash points are
     * told by the supplier).
     */
    public static final Temperature SCENT_BELOW = Temperature.celsius(70);

    static final double AT_LYE_IN = 0.05;

    /** As soap: what is left goes on in the mould. */
    static final double COOKED = 0.95;

    private static final double SWELLS = 2;

    /** Rates of recipes differ by a third either way: 1.28 standard deviations for 80 of 100. */
    static final double SPREAD = Math.exp(1.28 * LoafExpectation.USUAL.rateSpread());

    /**
     * kg of water a square metre and hour from an open pot at 80 C, stirred now and then: Dalton's law with 0.0075 m/s,
     * half of it under a skin.
     */
    private static final double EVAPORATES = 4;

    /** A pot is about as wide as it is high when it is half full. */
    private static final double WIDTH_TO_HEIGHT = 2;

    private static final double LITRES_PER_CUBIC_METRE = 1000;

    public CookPlan {
        after = List.copyOf(after);
    }

    public static CookPlan of(BatchPlan plan) {
        Formula formula = plan.formula();
        List<FatPortion> after =
                formula.fats().stream().filter(FatPortion::afterCook).toList();
        List<FatPortion> cooked =
                formula.fats().stream().filter(f -> !f.afterCook()).toList();
        AlkaliBalance balance = AlkaliBalance.of(formula);
        double moles =
                formula.fats().stream().mapToDouble(FatPortion::alkaliMoles).sum();
        double inPot = cooked.stream().mapToDouble(FatPortion::alkaliMoles).sum();
        double lye = moles * (1 - formula.superfat().fraction());
        Share ofTheCook = Share.fraction(inPot > 0 ? 1 - lye / inPot : -1);
        double usual = RateLaw.hoursBetween(
                AT_LYE_IN, COOKED, POT.celsius(), Batter.of(formula).rate());
        Interval hours = Interval.between(usual / SPREAD, usual * SPREAD);
        Mass water = balance.water();
        return new CookPlan(
                after,
                ofTheCook,
                hours,
                water,
                lostHourly(plan),
                SWELLS * BatterAmount.of(formula).volume() / 1000);
    }

    /** Of an open pot that is as wide as it is high when half full. */
    private static Mass lostHourly(BatchPlan plan) {
        double volume = SWELLS * BatterAmount.of(plan.formula()).volume() / 1000 / LITRES_PER_CUBIC_METRE;
        double radius = Math.cbrt(volume / (Math.PI * WIDTH_TO_HEIGHT / 2));
        return Mass.grams(1000 * EVAPORATES * Math.PI * radius * radius);
    }

    /** All that comes after the cook. */
    public Mass afterMass() {
        return after.stream().map(FatPortion::mass).reduce(Mass.ZERO, Mass::plus);
    }

    /** Whether what comes after the cook is eaten by lye that is left over. */
    public boolean lyeIsLeftOver() {
        return superfatOfTheCook.fraction() < 0;
    }
}
