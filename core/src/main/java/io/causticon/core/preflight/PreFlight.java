package io.causticon.core.preflight;

import io.causticon.core.formula.BatchPlan;
import io.causticon.core.loaf.LoafEnsemble;
import io.causticon.core.pots.LyePeak;
import java.util.List;
import java.util.Optional;

/** Looks for what will bite in this combination, dangerous things first. */
public final class PreFlight {

    private PreFlight() {}

    public static List<PlanRisk> of(
            BatchPlan plan, LyePeak peak, Optional<LoafEnsemble> loaf, WorkshopFacts workshop) {
        Flight flight = new Flight(plan, peak, loaf, workshop);
        AlkaliRisks.find(flight);
        LyeLiquidRisks.find(flight);
        BatterRisks.find(flight);
        AdditiveRisks.find(flight);
        CookRisks.find(flight);
        SettingRisks.find(flight);
        MouldCareRisks.find(flight);
        WorkshopRisks.find(flight);
        return flight.bites();
    }
}
