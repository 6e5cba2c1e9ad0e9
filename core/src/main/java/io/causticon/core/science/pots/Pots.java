package io.causticon.core.science.pots;

import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.plan.VesselMaterial;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import org.jspecify.annotations.Nullable;

/**
 * Lye and fats of a batch as they stand on the bench, in the vessels that its plan names. Where it names none the lye
 * is taken to be in a plastic jug and the fats in a steel pot, which is known much less well.
 */
public final class Pots {

    private static final Mass LEAST = Mass.grams(1);

    private Pots() {}

    /**
     * How a pot is expected to cool in a room, before anything was read of it.
     *
     * @param spot of the lye, or of the fats
     */
    public static PotCooling inRoom(BatchPlan plan, Weights weights, MeasurementPoint spot, Temperature room) {
        PotCooling cooling = standing(plan, weights, spot).inRoom(room);
        return named(plan, spot) == null ? cooling.ofUnknownVessel() : cooling;
    }

    /** How it is expected to come to a bath. */
    public static PotCooling inBath(BatchPlan plan, Weights weights, MeasurementPoint spot) {
        return standing(plan, weights, spot).inBath();
    }

    private static PotHeatLoss standing(BatchPlan plan, Weights weights, MeasurementPoint spot) {
        if (spot == MeasurementPoint.FATS) {
            return PotHeatLoss.fats(atLeast(weights.fatMass()), vessel(plan.fatsVessel(), PotVessel.STEEL));
        }
        Mass liquor = atLeast(weights.lye().plus(weights.water()));
        return PotHeatLoss.lye(
                liquor, Share.fraction(weights.lye().dividedBy(liquor)), vessel(plan.lyeVessel(), PotVessel.PLASTIC));
    }

    private static @Nullable Vessel named(BatchPlan plan, MeasurementPoint spot) {
        return spot == MeasurementPoint.FATS ? plan.fatsVessel() : plan.lyeVessel();
    }

    private static Mass atLeast(Mass mass) {
        return mass.isMoreThan(LEAST) ? mass : LEAST;
    }

    /** What a vessel of the workshop is as far as heat goes. */
    static PotVessel vessel(@Nullable Vessel vessel, PotVessel otherwise) {
        return vessel == null ? otherwise : of(vessel.material());
    }

    private static PotVessel of(VesselMaterial material) {
        return switch (material) {
            case POLYPROPYLENE, HDPE, PET -> PotVessel.PLASTIC;
            case STAINLESS_STEEL, ALUMINIUM, GALVANISED_OR_TIN -> PotVessel.STEEL;
            case ENAMEL -> PotVessel.ENAMEL;
            case GLASS -> PotVessel.GLASS;
            case WOOD -> PotVessel.WOOD;
        };
    }
}
