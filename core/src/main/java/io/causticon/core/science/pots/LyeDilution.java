package io.causticon.core.science.pots;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;

/**
 * A liquid joins lye that is dissolved and has cooled: the highest temperature that can come to, as no heat is lost.
 *
 * <p>The same enthalpy balance as {@link LyePot}:
 * {@code T = 25 + (H_lye + H_liquid + 56 kJ/mol acid - 1000 n dHs(after)) / ((m_water + m_lye) cp(w) + C_inert)}, where
 * {@code H_lye} holds the heat of solution of the strong lye, so that the heat of diluting it comes out by itself.
 * Diluting 50 % lye gives about 0.65 kJ a gram of water, twice what melting a gram of ice takes: frozen it barely
 * warms, thawed it can pass 45 C.
 *
 * @param lye dissolved, g of dry lye
 * @param blend what that is made of
 * @param firstWater water that it is dissolved in, g, more than nothing
 * @param lyeAt temperature of the lye
 * @param water liquid water that joins, g
 * @param waterAt its temperature
 * @param ice frozen water that joins, g
 * @param iceAt its temperature, 0 C or below
 * @param solids that come with it, g, at the temperature of what they come in
 * @param acidMoles moles of acid equivalents that come with it
 */
record LyeDilution(
        Mass lye,
        LyeBlend blend,
        Mass firstWater,
        Temperature lyeAt,
        Mass water,
        Temperature waterAt,
        Mass ice,
        Temperature iceAt,
        Mass solids,
        double acidMoles) {

    private static final int HALVINGS = 30;
    private static final double COLDEST = -20;
    private static final double HOTTEST = 100;

    /** The same with all of it thawed, at this temperature. */
    public LyeDilution thawedAt(Temperature at) {
        return new LyeDilution(lye, blend, firstWater, lyeAt, water.plus(ice), at, Mass.ZERO, iceAt, solids, acidMoles);
    }

    public LyeDilution withLyeAt(Temperature other) {
        return new LyeDilution(lye, blend, firstWater, other, water, waterAt, ice, iceAt, solids, acidMoles);
    }

    /** The temperature once all has joined and no heat was lost. */
    public Temperature mixed() {
        double before = firstWater.grams();
        double after = before + water.grams() + ice.grams();
        double inert = solids.grams() * LyePot.SOLIDS_HEAT_CAPACITY;
        Temperature solidsAt = ice.isMoreThan(water) ? iceAt : waterAt;
        double heat = solution(before)
                + (before + lye.grams()) * capacity(before) * above(lyeAt)
                + water.grams() * LyePot.WATER_HEAT_CAPACITY * above(waterAt)
                + ice.grams() * LyePot.icePerGram(iceAt)
                + inert * above(solidsAt)
                + Math.min(acidMoles, blend.moles(lye.grams())) * LyePot.HEAT_OF_NEUTRALISATION
                - solution(after);
        return Temperature.celsius(LyePot.REFERENCE + heat / ((after + lye.grams()) * capacity(after) + inert));
    }

    /**
     * The highest on the way there: frozen liquid first warms strong lye, as the water that melts dilutes it before the
     * ice has taken its heat, and liquid that joins warms it to the end. Frozen, the way is that of {@link LyePotRun}
     * without losses.
     */
    public Temperature highest() {
        if (!ice.isPositive()) {
            Temperature end = mixed();
            return end.isAbove(lyeAt) ? end : lyeAt;
        }
        LyePot contents = new LyePot(lye, blend, lyeAt, firstWater, lyeAt, ice, iceAt, solids, 0);
        double onTheWay = LyePotRun.run(
                        new LyePotSetup(contents, true, 0, PotVessel.NONE, lyeAt, lyeAt, false, false),
                        LyePotRun.MELTING_MINUTES)
                .peakCelsius();
        Temperature end = mixed();
        return Temperature.celsius(Math.max(onTheWay, Math.max(end.celsius(), lyeAt.celsius())));
    }

    /**
     * How warm the lye may be so that it stays below a limit; the coldest that can be where even that is not enough.
     */
    public Temperature warmestLye(Temperature limit) {
        double low = COLDEST;
        double high = HOTTEST;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (withLyeAt(Temperature.celsius(middle)).highest().isAbove(limit)) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return Temperature.celsius(low);
    }

    /** Heat of solution of the lye in so much water, J. */
    private double solution(double gramsOfWater) {
        return blend.kilojoulesPerMoleDissolved(lye.grams(), gramsOfWater);
    }

    private double capacity(double gramsOfWater) {
        return blend.heatCapacity(lye.grams() / (lye.grams() + gramsOfWater));
    }

    private static double above(Temperature at) {
        return at.celsius() - LyePot.REFERENCE;
    }
}
