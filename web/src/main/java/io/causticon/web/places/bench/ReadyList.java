package io.causticon.web.places.bench;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.LiquidPortion;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.Vessel;
import io.causticon.web.store.batch.Batch;
import java.util.ArrayList;
import java.util.List;

/**
 * What to look at before the lye, from the batch.
 *
 * @param checks short, each something that hands or eyes can do
 */
record ReadyList(List<String> checks) {

    static ReadyList of(Batch batch) {
        AlkaliBalance balance = AlkaliBalance.of(batch.plan().formula());
        Vessel vessel = batch.plan().lyeVessel();
        List<String> checks = new ArrayList<>();
        checks.add("goggles, gloves, sleeves on");
        checks.add("air moving, children and animals out");
        checks.add("running water and the first-aid card at hand");
        checks.add(
                vessel == null
                        ? "steel or PP jug, never aluminium"
                        : vessel.material().isAttackedByAlkali()
                                ? "NOT the " + vessel.name() + ": lye eats it"
                                : vessel.name() + " dry and clean, big enough to stir");
        Vessel fats = batch.plan().fatsVessel();
        if (fats != null && fats.material().isAttackedByAlkali()) {
            checks.add("NOT the " + fats.name() + " for the fats: batter eats it");
        }
        if (balance.liquids().stream().anyMatch(l -> l.state().hasIce() && l.dissolvesLye())) {
            balance.liquids().stream()
                    .filter(l -> l.state().hasIce() && l.dissolvesLye())
                    .forEach(l -> checks.add((l.state() == LiquidState.FROZEN ? "frozen solid: " : "still slush: ")
                            + l.liquid().name()));
            checks.add("ice bath standing ready");
        }
        if (balance.liquids().stream()
                .filter(LiquidPortion::dissolvesLye)
                .anyMatch(l -> l.liquid().alcohol().fraction() > 0.005)) {
            checks.add("alcohol simmered off, tall jug");
        }
        if (balance.isSplit()) {
            checks.add("only the water in the jug; the rest joins later");
        }
        checks.add("lye goes into the liquid, never the reverse");
        return new ReadyList(checks);
    }
}
