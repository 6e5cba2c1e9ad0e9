package io.causticon.core.science.pots;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.LiquidPortion;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.AsWeighed;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A liquid that joins the lye once that has cooled: strong lye first, milk later. It is a feeding of its own, with its
 * own limit.
 *
 * @param liquids what joins
 * @param limit above which it scorches; empty for what does not
 * @param peak the highest it can come to from where the lye is, as the liquid is planned
 * @param ifThawed the same if all that is to be frozen has thawed in the fridge; empty where nothing is to be frozen
 * @param warmestLye how warm the lye may be so that it stays below its limit; empty without one
 * @param portions in how many it goes in
 * @param fed how many are in
 */
public record SecondFeed(
        List<LiquidPortion> liquids,
        Optional<Temperature> limit,
        Temperature peak,
        Optional<Temperature> ifThawed,
        Optional<Temperature> warmestLye,
        int portions,
        int fed) {

    private static final int CALM_PORTIONS = 3;
    private static final int CAREFUL_PORTIONS = 6;

    public SecondFeed {
        liquids = List.copyOf(liquids);
    }

    /**
     * For a plan, from lye that has cooled to where it is to be mixed, or to the room where that is warmer.
     *
     * @return empty if nothing joins cooled lye
     */
    public static Optional<SecondFeed> planned(BatchPlan plan, Temperature room) {
        Weights weights = Weights.planned(plan.formula());
        Temperature lye = plan.mixAt().isAbove(room) ? plan.mixAt() : room;
        return of(plan, weights, room, lye, OptionalInt.empty(), 0);
    }

    /**
     * At the bench.
     *
     * @param lye what the lye was read at last; the plan's temperature where it was not
     */
    public static Optional<SecondFeed> of(BatchPlan plan, BatchLog log, Temperature room, Optional<Temperature> lye) {
        Weights weights = AsWeighed.of(plan, log).weights();
        List<Entry.PortionFed> fed = log.first(Entry.LyeClear.class)
                .map(clear -> log.of(Entry.PortionFed.class)
                        .filter(p -> !p.at().isBefore(clear.at()))
                        .map(BatchLog.Timed::entry)
                        .toList())
                .orElse(List.of());
        OptionalInt portions = fed.stream().mapToInt(Entry.PortionFed::of).findFirst();
        int in = fed.stream().mapToInt(Entry.PortionFed::portion).max().orElse(0);
        return of(plan, weights, room, lye.orElse(plan.mixAt()), portions, in);
    }

    private static Optional<SecondFeed> of(
            BatchPlan plan, Weights weights, Temperature room, Temperature lye, OptionalInt portions, int fed) {
        PotContents joining = PotContents.intoCooledLye(weights, plan.formula().alkali());
        PotContents first = PotContents.beforeTheLye(weights, plan.formula().alkali());
        Mass firstWater = first.water().plus(first.ice());
        if (joining.isEmpty() || !firstWater.isPositive()) {
            return Optional.empty();
        }
        LyeDilution dilution = new LyeDilution(
                joining.lye(),
                joining.blend(),
                firstWater,
                lye,
                joining.water(),
                joining.waterStart(room),
                joining.ice(),
                joining.iceStart(plan.freezer()),
                joining.solids(),
                joining.acidMoles());
        Optional<Temperature> limit = joining.limit();
        return Optional.of(new SecondFeed(
                joining.liquids(),
                limit,
                dilution.highest(),
                joining.ice().isPositive()
                        ? Optional.of(dilution.thawedAt(LiquidState.FRIDGE).highest())
                        : Optional.empty(),
                limit.map(dilution::warmestLye),
                portions.orElse(limit.isPresent() ? CAREFUL_PORTIONS : CALM_PORTIONS),
                fed));
    }

    /** Whether all that is ice in it is frozen hard. */
    public boolean isSolid() {
        return liquids.stream().noneMatch(l -> l.state() == LiquidState.SLUSH);
    }

    public boolean passesLimit() {
        return limit.map(peak::isAbove).orElse(false);
    }

    public boolean isDone() {
        return fed >= portions;
    }
}
