package io.causticon.core.science.trial;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Dose;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidPortion;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.model.substance.Liquid;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.formula.PortionAmounts;
import io.causticon.core.science.formula.Portions;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Plans of the arms of a trial: of one part of a batch as if it were all of one, and of batches or cups that differ
 * from a plan in one thing.
 */
public final class ArmPlan {

    /** What the arm without anything is called. */
    public static final String PLAIN = "plain";

    private static final @Nullable Mould NOWHERE = null;

    private ArmPlan() {}

    /** Something that an arm has, as the maker calls it. */
    public record Calling<T>(String name, T what) {}

    /**
     * One part as a batch of its own, of the whole plan's fats: its own liquids and additives go into all of it.
     * Superfat and lye concentration are those that the part had, so that the lye is what it was: nothing is put right
     * that was judged.
     *
     * @param portion its name; empty for the whole plan
     * @return empty where the plan cannot be divided or has no such part
     */
    public static Optional<BatchPlan> of(BatchPlan plan, String portion) {
        if (portion.isEmpty() || plan.isRework()) {
            return Optional.of(plan);
        }
        if (!Portions.check(plan).isEmpty()) {
            return Optional.empty();
        }
        return Portions.of(plan).amounts().stream()
                .filter(a -> a.portion().name().equals(portion))
                .findFirst()
                .map(a -> whole(plan, a));
    }

    private static BatchPlan whole(BatchPlan plan, PortionAmounts part) {
        Formula formula = plan.formula();
        Mass partFats = part.weights().fats().stream().map(FatPortion::mass).reduce(Mass.ZERO, Mass::plus);
        double times = formula.fatMass().dividedBy(partFats);
        Mass liquid = part.weights().liquids().stream().map(LiquidPortion::mass).reduce(Mass.ZERO, Mass::plus);
        List<LiquidPart> liquids = part.weights().liquids().stream()
                .map(l -> new LiquidPart(l.liquid(), Share.fraction(l.mass().dividedBy(liquid)), l.state(), l.joins()))
                .toList();
        List<AdditivePortion> additives = new ArrayList<>(formula.additives());
        part.additives()
                .forEach(a -> additives.add(new AdditivePortion(
                        a.additive(),
                        a.mass().times(times),
                        Dose.ofFats(Share.fraction(a.mass().dividedBy(partFats))),
                        a.joins())));
        Formula whole = new Formula(
                formula.fats(),
                formula.alkali(),
                part.superfat(),
                LiquidTarget.concentration(part.concentration().fraction()),
                liquids,
                additives);
        return plan.with(whole).with(undivided(plan.pouring()));
    }

    private static Pouring undivided(Pouring pouring) {
        Pouring.SizedBy sized = pouring.sizedBy() == Pouring.SizedBy.CUPS ? Pouring.SizedBy.WEIGHTS : pouring.sizedBy();
        return new Pouring(
                sized, pouring.fillHeight(), pouring.overage(), pouring.spare(), pouring.thickness(), Portioning.WHOLE);
    }

    /** One batter in equal cups, each with a liquid of its own in the batter. */
    public static BatchPlan cupsOfLiquids(BatchPlan base, List<Calling<Liquid>> liquids, Share ofFats) {
        return cups(
                base,
                liquids.stream()
                        .map(l -> cup(l.name(), liquids.size()).with(l.what(), Dose.ofFats(ofFats)))
                        .toList());
    }

    /** One batter in equal cups, the first of them plain, each other with an additive of its own. */
    public static BatchPlan cupsOfAdditives(BatchPlan base, List<Calling<Additive>> additives, Share ofFats) {
        List<Portion> cups = new ArrayList<>();
        cups.add(cup(PLAIN, additives.size() + 1));
        additives.forEach(a -> cups.add(cup(a.name(), additives.size() + 1).with(a.what(), Dose.ofFats(ofFats))));
        return cups(base, cups);
    }

    private static Portion cup(String name, int of) {
        return Portion.sharing(name, Share.fraction(1.0 / of));
    }

    private static BatchPlan cups(BatchPlan base, List<Portion> cups) {
        return small(base)
                .with(Pouring.PLAIN.divided(new Portioning(Portioning.Way.CUPS, cups, Portioning.USUALLY_STUCK)));
    }

    /**
     * A batch of one fat alone, with the superfat and the water of the plan, and nothing else in it that the plan has
     * beside fats, lye and liquid.
     */
    public static BatchPlan ofOneFat(BatchPlan base, Fat fat, Mass fats) {
        Formula formula = base.formula();
        return small(base)
                .with(new Formula(
                        List.of(new FatPortion(fat, fats)),
                        formula.alkali(),
                        formula.superfat(),
                        formula.liquidTarget(),
                        formula.liquidParts(),
                        List.of()));
    }

    /** The plan with one liquid in place of all of its own. */
    public static BatchPlan withLiquid(BatchPlan base, Liquid liquid, Mass fats) {
        Formula formula = base.formula().scaledTo(fats);
        LiquidPart first = formula.liquidParts().get(0);
        return small(base)
                .with(formula.withLiquid(
                        formula.liquidTarget(), List.of(new LiquidPart(liquid, Share.WHOLE, first.state()))));
    }

    /** The plan with one additive more. */
    public static BatchPlan withAdditive(BatchPlan base, Additive additive, Share ofFats, Mass fats) {
        Formula formula = base.formula().scaledTo(fats);
        List<AdditivePortion> additives = new ArrayList<>(formula.additives());
        additives.add(AdditivePortion.dosed(additive, Dose.ofFats(ofFats), AdditivePortion.advised(additive), fats));
        return small(base).with(formula.withAdditives(additives));
    }

    public static BatchPlan withSuperfat(BatchPlan base, Share superfat, Mass fats) {
        return small(base).with(base.formula().scaledTo(fats).withSuperfat(superfat));
    }

    public static BatchPlan mixedAt(BatchPlan base, Temperature at, Mass fats) {
        return small(base).with(base.formula().scaledTo(fats)).with(PlanFields.MIX_AT, at);
    }

    public static BatchPlan by(BatchPlan base, Process process, Mass fats) {
        return small(base).with(base.formula().scaledTo(fats)).with(process);
    }

    /** The plan undivided, for so much of fats. */
    public static BatchPlan as(BatchPlan base, Mass fats) {
        return small(base).with(base.formula().scaledTo(fats));
    }

    /** An arm goes where it fits, not into the mould of a whole batch. */
    private static BatchPlan small(BatchPlan base) {
        return base.with(NOWHERE).with(Pouring.PLAIN);
    }
}
