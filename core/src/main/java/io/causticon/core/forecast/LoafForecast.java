package io.causticon.core.forecast;

import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.BatterAmount;
import io.causticon.core.formula.Process;
import io.causticon.core.loaf.Batter;
import io.causticon.core.loaf.LoafEnsemble;
import io.causticon.core.loaf.LoafSetup;
import io.causticon.core.loaf.Programme;
import io.causticon.core.mould.Mould;
import io.causticon.core.mould.MouldKind;
import io.causticon.core.observation.BatchFacts;
import io.causticon.core.observation.MouldCare;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import java.time.Instant;
import java.util.Optional;

/** The heat of the loaf to come, from a plan or from what was logged of its pouring. */
public final class LoafForecast {

    /** What makers set an oven to for soap in its mould, an hour long (a judgement: 65 to 75 C, one to two hours). */
    public static final Temperature OVEN = Temperature.celsius(70);

    /** Long enough to cool. */
    private static final double HOURS = 36;

    /** Long enough for the peak and for gel, which is all that a plan asks for. */
    private static final double HOURS_TO_PEAK = 12;

    private LoafForecast() {}

    /** As planned. Empty without a mould, for one whose shape is not known, and for what is cooked before it comes into a mould. */
    public static Optional<LoafEnsemble> planned(BatchPlan plan, Temperature room) {
        LoafSetup.Wrap wrap =
                switch (plan.gel()) {
                    case FORCE -> LoafSetup.Wrap.INSULATED;
                    case ALLOW -> LoafSetup.Wrap.COVERED;
                    case PREVENT -> LoafSetup.Wrap.OPEN;
                };
        // Nothing is wrapped round a mould in an oven.
        LoafSetup.Wrap inOven = plan.process() == Process.OVEN && wrap == LoafSetup.Wrap.INSULATED ? LoafSetup.Wrap.COVERED : wrap;
        return run(plan, batterMass(plan), inOven, plan.mixAt(), MouldStays.planned(plan, room), HOURS_TO_PEAK);
    }

    /** As poured: the logged temperatures and the way it was kept. Empty before the pour. */
    public static Optional<LoafEnsemble> poured(BatchFacts facts, Temperature usualRoom) {
        return facts.poured().flatMap(at -> poured(facts, at, usualRoom));
    }

    private static Optional<LoafEnsemble> poured(BatchFacts facts, Instant at, Temperature usualRoom) {
        LoafSetup.Wrap wrap = facts.was(MouldCare.INSULATED)
                ? LoafSetup.Wrap.INSULATED
                : facts.was(MouldCare.COVERED) ? LoafSetup.Wrap.COVERED : LoafSetup.Wrap.OPEN;
        Temperature room = facts.roomAtTheSet().orElse(usualRoom);
        Temperature poured = facts.pouredAt().orElse(facts.plan().mixAt());
        return run(facts.plan(), batterMass(facts.plan()), wrap, poured, MouldStays.logged(facts, at, room), HOURS);
    }

    /**
     * If it were poured now.
     *
     * @param batter its temperature
     * @param covered with film or a lid, else open
     */
    public static Optional<LoafEnsemble> asIf(BatchPlan plan, Temperature batter, Temperature room, boolean covered) {
        LoafSetup.Wrap wrap = covered ? LoafSetup.Wrap.COVERED : LoafSetup.Wrap.OPEN;
        return run(plan, batterMass(plan), wrap, batter, Programme.at(room), HOURS_TO_PEAK);
    }

    /** Everything that goes into the mould. */
    public static Mass batterMass(BatchPlan plan) {
        return BatterAmount.of(plan.formula()).mass();
    }

    private static Optional<LoafEnsemble> run(
            BatchPlan plan, Mass batter, LoafSetup.Wrap wrap, Temperature poured, Programme around, double hours) {
        Mould mould = plan.mould();
        if (mould == null || mould.kind() == MouldKind.CUSTOM || plan.process() == Process.HOT) {
            return Optional.empty();
        }
        LoafSetup setup = LoafSetup.in(
                mould, mould.fillHeight(batter, BatterAmount.of(plan.formula()).density()), Batter.of(plan.formula()), wrap, poured, around);
        return Optional.of(hours > HOURS_TO_PEAK ? LoafEnsemble.of(setup, hours) : LoafEnsemble.toThePeak(setup, hours));
    }
}
