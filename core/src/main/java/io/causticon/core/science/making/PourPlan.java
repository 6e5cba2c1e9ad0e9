package io.causticon.core.science.making;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.formula.BatterAmount;
import io.causticon.core.science.formula.PortionAmounts;
import io.causticon.core.science.formula.Portions;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How the mould fills.
 *
 * @param parts from the bottom up, or in the order of the pour
 * @param inLayers whether each must hold the next
 * @param next the first that is not in, empty when all are
 * @param holds minutes until what is in holds the next layer; empty when nothing must be waited for
 * @param overflow what does not fit into the mould
 * @param spare the mould that takes it; null without
 * @param spareFill part of the spare mould that it fills
 */
public record PourPlan(
        List<Part> parts,
        boolean inLayers,
        Optional<Part> next,
        Optional<LiveTrace.Left> holds,
        Mass overflow,
        @Nullable Mould spare,
        double spareFill) {

    /**
     * One part.
     *
     * @param name of the portion; the batch's own for an undivided batter
     * @param mass that goes into the mould
     * @param fill height of the batter after it, mm, up to the brim
     * @param poured whether it is in
     */
    public record Part(String name, Mass mass, double fill, boolean poured) {}

    public PourPlan {
        parts = List.copyOf(parts);
    }

    /**
     * @param live the batter as it is; empty before lye-in
     */
    public static PourPlan of(BatchPlan plan, BatchLog log, Optional<LiveTrace> live) {
        Mould mould = plan.mould();
        double density = BatterAmount.of(plan.formula()).density();
        boolean divided = plan.pouring().portioning().way() != Portioning.Way.WHOLE
                && Portions.check(plan).isEmpty();
        boolean allIn = log.first(Entry.Poured.class).isPresent();
        List<Part> parts = new ArrayList<>();
        double grams = 0;
        if (divided) {
            for (PortionAmounts p : Portions.of(plan).amounts()) {
                grams += p.poured().grams();
                String name = p.portion().name();
                boolean in = allIn
                        || log.has(Entry.LayerPoured.class, l -> l.portion().isCalled(name));
                parts.add(new Part(name, p.poured(), fill(mould, grams, density), in));
            }
        } else {
            grams = BatterAmount.of(plan.formula()).mass().grams();
            parts.add(new Part(plan.name(), Mass.grams(grams), fill(mould, grams, density), allIn));
        }
        double brim = mould == null
                ? grams
                : mould.filledTo(plan.pouring().fillHeightOf(mould), density).grams();
        Mass overflow = Mass.grams(Math.max(0, grams - brim));
        Mould spare = plan.pouring().spare();
        double spareFill = spare == null || !overflow.isPositive() ? 0 : overflow.dividedBy(spare.capacity(density));
        boolean inLayers = plan.pouring().portioning().way() == Portioning.Way.LAYERS;
        Optional<Part> next = parts.stream().filter(p -> !p.poured()).findFirst();
        boolean mustHold = inLayers && next.isPresent() && parts.indexOf(next.get()) > 0;
        return new PourPlan(
                parts,
                inLayers,
                next,
                mustHold ? live.map(l -> l.until(Stage.MEDIUM)) : Optional.empty(),
                overflow,
                spare,
                spareFill);
    }

    private static double fill(@Nullable Mould mould, double grams, double density) {
        return mould == null ? 0 : Math.min(mould.height(), mould.fillHeight(Mass.grams(grams), density));
    }
}
