package io.causticon.core.science.pots;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoublePredicate;

/** What keeps a lye pot below a limit: how much of the liquid must be frozen, or how slowly the lye must go in. */
final class ColdPlan {

    private static final int HALVINGS = 40;
    private static final double SLOWEST = 40;
    private static final double AFTER_FEEDING = 8;
    private static final int PACE_HALVINGS = 10;

    private ColdPlan() {}

    /**
     * The smallest part of the water that must go in as ice, by the balance without losses: the safe side. The peak
     * falls as the part grows, so halving finds it.
     *
     * @param contents with all its water liquid
     * @param iceStart temperature of the freezer, 0 C or below
     * @return empty if even all of it frozen is not enough
     */
    public static Optional<Share> leastFrozen(LyePot contents, Temperature iceStart, Temperature limit) {
        DoublePredicate stays =
                part -> !frozen(contents, part, iceStart).adiabaticPeak().isAbove(limit);
        if (!stays.test(1)) {
            return Optional.empty();
        }
        return Optional.of(Share.fraction(stays.test(0) ? 0 : least(stays, 0, 1, HALVINGS)));
    }

    /** The same pot with a part of its water as ice. */
    public static LyePot frozen(LyePot c, double part, Temperature iceStart) {
        double all = c.water().grams() + c.ice().grams();
        return new LyePot(
                c.lye(),
                c.blend(),
                c.lyeStart(),
                Mass.grams(all * (1 - part)),
                c.waterStart(),
                Mass.grams(all * part),
                iceStart,
                c.solids(),
                c.acidMoles());
    }

    /** The fewest minutes to feed the lye over so that the pot stays below a limit; empty if forty are not enough. */
    public static OptionalDouble leastMinutes(LyePotSetup setup, Temperature limit) {
        DoublePredicate stays = minutes ->
                LyePotRun.run(setup.fedOver(minutes), minutes + AFTER_FEEDING).peakCelsius() <= limit.celsius();
        if (!stays.test(SLOWEST)) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(stays.test(0) ? 0 : least(stays, 0, SLOWEST, PACE_HALVINGS));
    }

    private static double least(DoublePredicate holds, double fails, double does, int halvings) {
        double low = fails;
        double high = does;
        for (int i = 0; i < halvings; i++) {
            double middle = (low + high) / 2;
            if (holds.test(middle)) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return high;
    }
}
