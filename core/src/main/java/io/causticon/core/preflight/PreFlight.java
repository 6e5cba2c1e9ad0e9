package io.causticon.core.preflight;

import io.causticon.core.forecast.LyePeak;
import io.causticon.core.formula.BatchPlan;
import io.causticon.core.heat.LoafEnsemble;
import java.util.List;
import java.util.Optional;

/** Looks for what will bite in this combination, dangerous things first. */
public final class PreFlight {

    private PreFlight() {}

    public static List<Bite> of(
            BatchPlan plan, LyePeak peak, Optional<LoafEnsemble> loaf, WorkshopFacts workshop) {
        Flight flight = new Flight(plan, peak, loaf, workshop);
        AlkaliBites.find(flight);
        LiquorBites.find(flight);
        BatterBites.find(flight);
        AdditiveBites.find(flight);
        SettingBites.find(flight);
        KeepingBites.find(flight);
        WorkshopBites.find(flight);
        return flight.bites();
    }
}
