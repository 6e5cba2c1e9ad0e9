package io.causticon.core.forecast;

import io.causticon.core.formula.AlkaliBalance;
import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.LiquidPortion;
import io.causticon.core.heat.LyePot;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.substance.Liquid;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * How hot the lye pot will get.
 *
 * @param without the peak without any loss of heat: the safe side
 * @param expected the peak in a jug on the table, fed within some minutes
 * @param limit above which this liquor scorches; empty for clear water
 * @param notAllMelts whether some of the ice stays ice
 */
public record LyePeak(Temperature without, Temperature expected, Optional<Temperature> limit, boolean notAllMelts) {

    /** Part of the rise that a jug of about 300 ml keeps (dynamic model: 0.86 for plastic, 0.78 for glass). */
    private static final double KEPT = 0.86;

    private static final Temperature MILK_SCORCHES = Temperature.celsius(40);
    private static final Temperature SUGAR_SCORCHES = Temperature.celsius(60);
    private static final double NOTABLE_PROTEIN = 0.002;
    private static final double NOTABLE_SUGAR = 0.01;
    private static final Temperature FREEZER = Temperature.celsius(-18);

    /** The forecast for a plan in a room of this temperature. */
    public static LyePeak of(BatchPlan plan, Temperature room) {
        AlkaliBalance balance = AlkaliBalance.of(plan.formula());
        double water = 0;
        double ice = 0;
        double solids = 0;
        double acid = 0;
        for (LiquidPortion portion : inThePot(balance)) {
            double waterIn = portion.water().grams();
            water += portion.frozen() ? 0 : waterIn;
            ice += portion.frozen() ? waterIn : 0;
            solids += portion.mass().grams() - waterIn;
            acid += portion.acidMoles();
        }
        // Potassium hydroxide dissolves with about as much heat a mole; the balance counts it as sodium's.
        Mass asSodium = balance.naoh().plus(balance.koh().times(40.0 / 56.1));
        LyePot pot = new LyePot(
                asSodium, room, Mass.grams(water), room, Mass.grams(ice), FREEZER, Mass.grams(solids), acid);
        Temperature without = pot.adiabaticPeak();
        double rise = without.celsius() - room.celsius();
        Temperature expected = rise > 0 ? Temperature.celsius(room.celsius() + KEPT * rise) : without;
        return new LyePeak(without, expected, limit(balance), without.isBelow(LyePot.NOT_ALL_MELTS));
    }

    public boolean passesLimit() {
        return limit.map(expected::isAbove).orElse(false);
    }

    /** What joins later is not in the pot. */
    private static List<LiquidPortion> inThePot(AlkaliBalance balance) {
        return balance.liquids().stream().filter(LiquidPortion::dissolvesLye).toList();
    }

    private static Optional<Temperature> limit(AlkaliBalance balance) {
        if (share(balance, Liquid::protein) > NOTABLE_PROTEIN) {
            return Optional.of(MILK_SCORCHES);
        }
        return share(balance, Liquid::sugar) > NOTABLE_SUGAR ? Optional.of(SUGAR_SCORCHES) : Optional.empty();
    }

    private static double share(AlkaliBalance balance, Function<Liquid, Share> of) {
        double all = 0;
        double part = 0;
        for (LiquidPortion portion : inThePot(balance)) {
            all += portion.mass().grams();
            part += of.apply(portion.liquid()).of(portion.mass()).grams();
        }
        return all == 0 ? 0 : part / all;
    }
}
