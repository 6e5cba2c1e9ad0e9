package io.causticon.core.science.facts;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * What is weighed after what: each fat, each liquid, the alkali; then liquids and alkali a second time, as nothing
 * later shows a slip in them; then what goes in later.
 *
 * @param targets planned masses as the scales can show them, in that order
 * @param next the first that was not weighed yet
 * @param again the first liquid or alkali that was weighed but not a second time; empty once the lye is being fed, when
 *     it is too late
 */
public record WeighingOrder(Map<Weighable, Mass> targets, Optional<Weighable> next, Optional<Weighable> again) {

    public WeighingOrder {
        targets = Collections.unmodifiableMap(new LinkedHashMap<>(targets));
    }

    public static WeighingOrder of(BatchPlan plan, BatchLog log) {
        Map<Weighable, Mass> targets = plan.rework() == null
                ? targets(Weights.planned(plan.formula()).shownOn(plan.scales()))
                : targets(plan.rework(), plan.formula(), plan.scales());
        Map<Weighable, Mass> weighed = AsWeighed.sums(log);
        return new WeighingOrder(
                targets,
                targets.keySet().stream().filter(w -> !weighed.containsKey(w)).findFirst(),
                targets.keySet().stream()
                        .filter(w -> !plan.isRework())
                        .filter(w -> w.kind() == Weighable.Kind.ALKALI || w.kind() == Weighable.Kind.LIQUID)
                        .filter(weighed::containsKey)
                        .filter(w -> !isTooLate(log))
                        .filter(w ->
                                !log.has(Entry.WeighedAgain.class, e -> e.what().equals(w)))
                        .findFirst());
    }

    /** What the scale is wanted for now. */
    public Optional<Weighable> onTheScale() {
        return next.filter(w -> w.kind() != Weighable.Kind.ADDITIVE)
                .or(() -> again)
                .or(() -> next);
    }

    /** Whether that is wanted a second time. */
    public boolean isForTheSecondTime() {
        return again.isPresent() && onTheScale().equals(again);
    }

    private static boolean isTooLate(BatchLog log) {
        return log.first(Entry.PortionFed.class).isPresent()
                || log.first(Entry.LyeClear.class).isPresent()
                || log.first(Entry.LyeIntoFats.class).isPresent();
    }

    /** Scraps, then what goes into them. */
    private static Map<Weighable, Mass> targets(Rework rework, Formula formula, Scales scales) {
        Map<Weighable, Mass> targets = new LinkedHashMap<>();
        rework.scraps().forEach(s -> targets.merge(Weighable.scrap(s.id()), scales.shown(s.mass()), Mass::plus));
        rework.added().forEach(f -> targets.merge(Weighable.fat(f.fat().id()), scales.shown(f.mass()), Mass::plus));
        if (rework.water().isPositive()) {
            targets.put(Weighable.liquid(formula.liquidParts().get(0).liquid().id()), scales.shown(rework.water()));
        }
        formula.additives()
                .forEach(a -> targets.merge(Weighable.additive(a.additive().id()), a.mass(), Mass::plus));
        return targets;
    }

    /**
     * What is planned of everything, in the order of weighing; a liquid that is there both frozen and not stands once.
     */
    static Map<Weighable, Mass> targets(Weights planned) {
        Map<Weighable, Mass> targets = new LinkedHashMap<>();
        planned.fats().forEach(f -> targets.merge(Weighable.fat(f.fat().id()), f.mass(), Mass::plus));
        planned.liquids().forEach(l -> targets.merge(Weighable.liquid(l.liquid().id()), l.mass(), Mass::plus));
        if (planned.naoh().isPositive()) {
            targets.put(Weighable.NAOH, planned.naoh());
        }
        if (planned.koh().isPositive()) {
            targets.put(Weighable.KOH, planned.koh());
        }
        planned.additives()
                .forEach(a -> targets.merge(Weighable.additive(a.additive().id()), a.mass(), Mass::plus));
        return targets;
    }
}
