package io.causticon.core.science.pots;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Temperature;
import java.util.List;
import java.util.Optional;

/**
 * How hot the lye pot will get.
 *
 * @param without the peak without any loss of heat: the safe side, and what limits are judged by
 * @param expected the peak in the plan's own vessel, fed at the pace that is usual for this liquor
 * @param likely central 80 % of that, C
 * @param limit above which this liquor scorches; empty for clear water
 * @param boils where this liquor boils
 * @param notAllMelts whether some of the ice stays ice
 */
public record LyePeak(
        Temperature without,
        Temperature expected,
        Interval likely,
        Optional<Temperature> limit,
        Temperature boils,
        boolean notAllMelts) {

    /** The forecast for a plan in a room of this temperature. */
    public static LyePeak of(BatchPlan plan, Temperature room) {
        PotContents contents = PotContents.beforeTheLye(
                Weights.planned(plan.formula()), plan.formula().alkali());
        LyePot pot = contents.pot(room, plan.freezer(), Optional.empty());
        Optional<Temperature> limit = contents.limit();
        LyePotSetup setup = PotSoFar.usual(plan, pot, room, limit.isPresent());
        Temperature without = pot.adiabaticPeak();
        // What the bench will say before the first portion: the same runs.
        PotForecast forecast = PotForecast.of(setup, PotOutlook.LOOK_AHEAD, List.of());
        return new LyePeak(
                without,
                Temperature.celsius(forecast.peakCelsiusAhead()),
                forecast.peakBand(),
                limit,
                Temperature.celsius(pot.boilingCelsius()),
                without.isBelow(LyePot.NOT_ALL_MELTS));
    }

    /** The peak without any loss of heat alone. */
    public static Temperature withoutLosses(BatchPlan plan, Temperature room) {
        return PotContents.beforeTheLye(
                        Weights.planned(plan.formula()), plan.formula().alkali())
                .pot(room, plan.freezer(), Optional.empty())
                .adiabaticPeak();
    }

    /** By the balance without losses: what a slow hand or an ice bath takes away is not counted on. */
    public boolean passesLimit() {
        return limit.map(without::isAbove).orElse(false);
    }

    /** Whether it may well boil over in this vessel at this pace. */
    public boolean mayBoilOver() {
        return likely.high() > boils.celsius();
    }
}
