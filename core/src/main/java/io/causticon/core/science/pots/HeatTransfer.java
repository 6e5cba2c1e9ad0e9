package io.causticon.core.science.pots;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.formula.SettingFat;

/**
 * Hot liquor on solid fats: the temperature they come to, and whether the hardest fat melts.
 *
 * <p>Heat that the liquor gives is heat that the fats take, with 120 J/g for what is solid below its melting range
 * (latent heats of fats: 80-150 J/g) and 2.0 J/(g K) for fats. Losses to bowl and air are left out: the true mix is 2-4
 * K cooler.
 *
 * @param mix temperature of the mix
 * @param melts whether all fats are clear in it
 * @param hardest name of the fat that sets first; empty when none can
 * @param clearFrom temperature from which that fat is clear; the room's when none is solid
 */
public record HeatTransfer(Temperature mix, boolean melts, String hardest, Temperature clearFrom) {

    /** Of melted fats, J/(g K). */
    static final double FAT_CAPACITY = 2.0;

    private static final double LATENT = 120;

    /** For a formula whose fats stand at the room's temperature and whose liquor is poured hot. */
    public static HeatTransfer of(Formula formula, Temperature liquor, Temperature room) {
        AlkaliBalance balance = AlkaliBalance.of(formula);
        double solution = balance.lye().plus(balance.water()).grams();
        double w = balance.lye().grams() / solution;
        double hot = solution * LyeSolution.heatCapacity(w);
        double cold = formula.fatMass().grams() * FAT_CAPACITY;
        double latent =
                formula.fats().stream().mapToDouble(p -> latent(p, room)).sum();
        double mix = (hot * liquor.celsius() + cold * room.celsius() - latent) / (hot + cold);
        Temperature mixed = Temperature.celsius(mix);
        return SettingFat.of(formula).stream()
                .findFirst()
                .map(s -> new HeatTransfer(mixed, !s.setsAt(mixed), s.fat().shortName(), s.clearFrom()))
                .orElseGet(() -> new HeatTransfer(mixed, true, "", room));
    }

    private static double latent(FatPortion p, Temperature room) {
        return p.fat().meltingRange() != null
                        && room.celsius() < p.fat().meltingRange().low()
                ? p.mass().grams() * LATENT
                : 0;
    }
}
