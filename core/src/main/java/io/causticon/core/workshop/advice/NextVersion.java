package io.causticon.core.workshop.advice;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.GelGoal;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a recipe's next version could do about what its last batch had. A proposal: the maker looks it over and keeps
 * it, or does not.
 *
 * <p>Only what a plan decides is changed, by steps as makers take them (judgements): water, the temperature of mixing,
 * gel, superfat. What was a slip of the hand is no matter of the recipe and goes into its note alone.
 *
 * @param plan the plan with the changes
 * @param changes what was changed, in words; empty where only the note was
 */
public record NextVersion(BatchPlan plan, List<Phrase> changes) {

    private static final Set<String> LESS_WATER =
            Set.of("soda-ash", "ash-between-layers", "glycerin-rivers", "slow-trace", "warped", "cure-cracks");
    private static final Set<String> MORE_WATER = Set.of("seized", "acceleration", "ricing", "crumbly");
    private static final Set<String> WARMER =
            Set.of("false-trace", "stearic-spots", "frost", "temperature-streaks", "grainy-layer");
    private static final Set<String> COOLER = Set.of("overheated", "heat-tunnels", "seized", "acceleration");
    private static final Set<String> TO_GEL = Set.of("partial-gel", "did-not-set");
    private static final Set<String> LESS_HEAT = Set.of("overheated", "heat-tunnels", "oven-pocks");
    private static final Set<String> LESS_SUPERFAT = Set.of("soft-sticky", "mushy", "stale-spots");

    private static final Share STRONG = Share.percent(36);
    private static final Share WEAK = Share.percent(30);

    /** A fifth of a point; what is nearer to the aim is there already. */
    private static final double NEAR = 0.002;

    /**
     * One step of the temperature of mixing, K, and how far steps go, C: hard fats set below, and lye scorches above.
     */
    private static final double STEP_KELVIN = 5;

    private static final double WARMEST = 55;
    private static final double COOLEST = 27;
    private static final Share LOW_SUPERFAT = Share.percent(5);

    public NextVersion {
        changes = List.copyOf(changes);
    }

    /**
     * The next version after a batch that had something.
     *
     * @param condition its id
     * @param plan what the recipe says now
     * @param note what is added to its note
     */
    public static NextVersion after(String condition, BatchPlan plan, String note) {
        List<Phrase> changes = new ArrayList<>();
        BatchPlan next = liquid(condition, plan, changes);
        next = temperature(condition, next, changes);
        next = gel(condition, next, changes);
        next = superfat(condition, next, changes);
        return new NextVersion(next.noting(note(plan.note(), note)), changes);
    }

    /** The ids of all conditions that a step is for. */
    static Set<String> stepped() {
        return Stream.of(LESS_WATER, MORE_WATER, WARMER, COOLER, TO_GEL, LESS_HEAT, LESS_SUPERFAT)
                .flatMap(Set::stream)
                .collect(Collectors.toSet());
    }

    /** The newest stands last; what would be too long loses its beginning. */
    private static String note(String before, String added) {
        if (before.contains(added)) {
            return before;
        }
        String all = before.isBlank() ? added : before.strip() + "\n" + added;
        return all.length() <= BatchPlan.LONGEST_NOTE ? all : all.substring(all.length() - BatchPlan.LONGEST_NOTE);
    }

    private static BatchPlan liquid(String condition, BatchPlan plan, List<Phrase> changes) {
        Formula formula = plan.formula();
        Share now = AlkaliBalance.of(formula).concentration();
        boolean stronger = LESS_WATER.contains(condition) && now.fraction() < STRONG.fraction() - NEAR;
        boolean weaker = MORE_WATER.contains(condition) && now.fraction() > WEAK.fraction() + NEAR;
        if (!stronger && !weaker) {
            return plan;
        }
        Share then = stronger ? STRONG : WEAK;
        changes.add(Phrase.of("lye concentration {} instead of {}", then, now));
        return plan.with(formula.withLiquid(LiquidTarget.concentration(then.fraction()), formula.liquidParts()));
    }

    private static BatchPlan temperature(String condition, BatchPlan plan, List<Phrase> changes) {
        double now = plan.mixAt().celsius();
        double then = WARMER.contains(condition)
                ? Math.max(now, Math.min(WARMEST, now + STEP_KELVIN))
                : COOLER.contains(condition) ? Math.min(now, Math.max(COOLEST, now - STEP_KELVIN)) : now;
        if (then == now) {
            return plan;
        }
        changes.add(Phrase.of("mix at {} instead of {}", Temperature.celsius(then), plan.mixAt()));
        return plan.with(PlanFields.MIX_AT, Temperature.celsius(then));
    }

    private static BatchPlan gel(String condition, BatchPlan plan, List<Phrase> changes) {
        if (TO_GEL.contains(condition) && plan.gel() != GelGoal.FORCE) {
            changes.add(Phrase.of("keep it warm until all of it has gelled"));
            return plan.with(GelGoal.FORCE);
        }
        if (LESS_HEAT.contains(condition) && plan.gel() == GelGoal.FORCE) {
            changes.add(Phrase.of("let gel come or not, without warming it"));
            return plan.with(GelGoal.ALLOW);
        }
        return plan;
    }

    private static BatchPlan superfat(String condition, BatchPlan plan, List<Phrase> changes) {
        Share now = plan.formula().superfat();
        if (!LESS_SUPERFAT.contains(condition) || now.fraction() <= LOW_SUPERFAT.fraction() + NEAR) {
            return plan;
        }
        changes.add(Phrase.of("superfat {} instead of {}", LOW_SUPERFAT, now));
        return plan.with(plan.formula().withSuperfat(LOW_SUPERFAT));
    }
}
