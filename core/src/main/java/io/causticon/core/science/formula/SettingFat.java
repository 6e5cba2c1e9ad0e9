package io.causticon.core.science.formula;

import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.model.substance.FatKind;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A fat that sets in the batter when that is too cool: what looks like trace then is a fat that has become solid. The
 * one answer for plan and bench.
 *
 * <p>By itself a fat is clear from the upper end of its melting range. Dissolved in liquid fats it clears earlier, the
 * earlier the less of it there is (ideal solubility of a solid in a melt): up to half of the fats it is taken to be
 * clear from the lower end, which is rather late, and from there on in proportion to its share. A wax and a free fatty
 * acid clear near the lower end, and matter from half a per cent on.
 *
 * @param fat which
 * @param clearFrom the batter's temperature from which it stays clear
 */
public record SettingFat(Fat fat, Temperature clearFrom) {

    private static final Share STRUCTURAL = Share.percent(5);
    private static final Share WAX = Share.percent(0.5);

    /** All that can set, the one that sets first before the others. */
    public static List<SettingFat> of(Formula formula) {
        return formula.fats().stream()
                .flatMap(p -> of(p.fat(), Share.fraction(p.mass().dividedBy(formula.fatMass()))).stream())
                .sorted(Comparator.comparing((SettingFat s) -> s.clearFrom().celsius())
                        .reversed())
                .toList();
    }

    /** The one that sets first, of those that would at this temperature of the batter. */
    public static Optional<SettingFat> at(Formula formula, Temperature batter) {
        return of(formula).stream().findFirst().filter(s -> s.setsAt(batter));
    }

    public boolean setsAt(Temperature batter) {
        return batter.isBelow(clearFrom);
    }

    public boolean isWax() {
        return isWax(fat);
    }

    private static boolean isWax(Fat fat) {
        return fat.kind() == FatKind.WAX_ESTER || fat.kind() == FatKind.FREE_FATTY_ACID;
    }

    private static Optional<SettingFat> of(Fat fat, Share share) {
        Interval melts = fat.meltingRange();
        if (melts == null || share.compareTo(isWax(fat) ? WAX : STRUCTURAL) < 0) {
            return Optional.empty();
        }
        double part = isWax(fat) ? 0 : Math.max(0, 2 * share.fraction() - 1);
        return Optional.of(new SettingFat(fat, Temperature.celsius(melts.low() + part * (melts.high() - melts.low()))));
    }
}
