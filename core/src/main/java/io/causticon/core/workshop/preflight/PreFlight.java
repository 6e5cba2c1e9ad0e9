package io.causticon.core.workshop.preflight;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.pots.LyePeak;
import java.util.List;
import java.util.Optional;

/** Looks for what will bite in this combination, dangerous things first. */
public final class PreFlight {

    private PreFlight() {}

    public static List<PlanRisk> of(BatchPlan plan, LyePeak peak, Optional<LoafEnsemble> loaf, WorkshopFacts workshop) {
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
