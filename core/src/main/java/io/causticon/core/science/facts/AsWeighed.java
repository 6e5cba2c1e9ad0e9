package io.causticon.core.science.facts;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.Alkali;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.LiquidPortion;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.model.plan.ScrapPortion;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What went into a batch by the log. What was not logged is taken as planned and named in {@link #notLogged}: it is a
 * question to ask, not a fact.
 *
 * @param weights logged masses, planned ones where none was logged
 * @param superfat superfat of these weights as a fraction, with its spread
 * @param notLogged what the plan has and the log has not
 * @param notPlanned what the log has and the plan has not
 * @param unknown what the log has and nobody knows what it is; it counts for nothing
 */
public record AsWeighed(
        Weights weights,
        Estimate superfat,
        List<Weighable> notLogged,
        List<Weighable> notPlanned,
        List<Weighable> unknown) {

    public static AsWeighed of(BatchPlan plan, BatchLog log) {
        Rework rework = plan.rework();
        return rework == null ? new Reader(plan, log).read() : new ReworkReader(plan, rework, log).read();
    }

    /** Whether every fat, scrap and the lye were logged, so that the superfat is one of weights, not of hopes. */
    public boolean isComplete() {
        return notLogged.stream()
                .noneMatch(w -> w.kind() == Weighable.Kind.FAT
                        || w.kind() == Weighable.Kind.ALKALI
                        || w.kind() == Weighable.Kind.SCRAP);
    }

    /** Sums of all weighings, by what was weighed. */
    public static Map<Weighable, Mass> sums(BatchLog log) {
        Map<Weighable, Mass> sums = new LinkedHashMap<>();
        log.of(Entry.Weighed.class)
                .forEach(w -> sums.merge(w.entry().what(), w.entry().mass(), Mass::plus));
        return sums;
    }

    /** The same of scraps: nobody weighs the lye in them. */
    private static final class ReworkReader {

        private final BatchPlan plan;
        private final Rework rework;
        private final Map<Weighable, Mass> logged;
        private final Set<Weighable> targets;
        private final Catalogue substances;
        private final Set<Weighable> missing = new LinkedHashSet<>();

        ReworkReader(BatchPlan plan, Rework rework, BatchLog log) {
            this.plan = plan;
            this.rework = rework;
            this.logged = sums(log);
            this.targets = WeighingOrder.of(plan, log).targets().keySet();
            this.substances = log.substances();
        }

        AsWeighed read() {
            List<ScrapPortion> scraps = rework.scraps().stream()
                    .map(s -> s.weighing(take(Weighable.scrap(s.id()), s.mass())))
                    .toList();
            List<FatPortion> added = new ArrayList<>(rework.added().stream()
                    .map(f -> f.weighing(take(Weighable.fat(f.fat().id()), f.mass())))
                    .toList());
            List<AdditivePortion> additives = new ArrayList<>(plan.formula().additives().stream()
                    .map(a -> a.weighing(take(Weighable.additive(a.additive().id()), a.mass())))
                    .toList());
            Weighable liquid = Weighable.liquid(
                    plan.formula().liquidParts().get(0).liquid().id());
            Mass water =
                    rework.water().isPositive() ? take(liquid, rework.water()) : logged.getOrDefault(liquid, Mass.ZERO);
            List<Weighable> unplanned = new ArrayList<>();
            List<Weighable> unknown = new ArrayList<>();
            for (Map.Entry<Weighable, Mass> other : logged.entrySet()) {
                Weighable what = other.getKey();
                if (targets.contains(what) || what.equals(liquid)) {
                    continue;
                }
                if (what.kind() == Weighable.Kind.FAT && what.isIn(substances)) {
                    unplanned.add(what);
                    added.add(new FatPortion(substances.fat(what.id()), other.getValue()));
                } else if (what.kind() == Weighable.Kind.LIQUID && what.isIn(substances)) {
                    unplanned.add(what);
                    water = water.plus(
                            new LiquidPortion(substances.liquid(what.id()), other.getValue(), LiquidState.LIQUID)
                                    .water());
                } else if (what.kind() == Weighable.Kind.ADDITIVE && what.isIn(substances)) {
                    unplanned.add(what);
                    additives.add(new AdditivePortion(substances.additive(what.id()), other.getValue()));
                } else if (what.kind() == Weighable.Kind.ALKALI && what.isIn(substances)) {
                    unplanned.add(what);
                } else {
                    unknown.add(what);
                }
            }
            Rework weighed = new Rework(scraps, added, water, rework.way());
            return new AsWeighed(
                    withLye(Weights.planned(weighed.formula(additives))),
                    leaner(weighed),
                    List.copyOf(missing),
                    unplanned,
                    unknown);
        }

        /** Lye that somebody put into scraps after all is in it. */
        private Weights withLye(Weights weights) {
            return weights.withNaoh(weights.naoh().plus(lye(Weighable.NAOH)))
                    .withKoh(weights.koh().plus(lye(Weighable.KOH)));
        }

        /** As lean as it makes them, taken as pure: that is the safe side. */
        private Estimate leaner(Rework weighed) {
            double moles = Alkali.NAOH.moles(lye(Weighable.NAOH)) + Alkali.KOH.moles(lye(Weighable.KOH));
            double needed =
                    weighed.fats().stream().mapToDouble(FatPortion::alkaliMoles).sum();
            Estimate superfat = weighed.superfat();
            return new Estimate(superfat.value() - moles / needed, superfat.standardDeviation());
        }

        private Mass lye(Weighable what) {
            return logged.getOrDefault(what, Mass.ZERO);
        }

        private Mass take(Weighable what, Mass planned) {
            Mass found = logged.get(what);
            if (found == null) {
                missing.add(what);
            }
            return found == null ? planned : found;
        }
    }

    private static final class Reader {

        private final BatchPlan plan;
        private final Weights planned;
        private final Map<Weighable, Mass> targets;
        private final Map<Weighable, Mass> logged;
        private final Catalogue substances;
        private final Set<Weighable> missing = new LinkedHashSet<>();

        Reader(BatchPlan plan, BatchLog log) {
            this.plan = plan;
            this.planned = Weights.planned(plan.formula());
            this.targets = WeighingOrder.targets(planned);
            this.logged = sums(log);
            this.substances = log.substances();
        }

        AsWeighed read() {
            List<FatPortion> fats = new ArrayList<>();
            planned.fats()
                    .forEach(f -> fats.add(f.weighing(take(Weighable.fat(f.fat().id()), f.mass()))));
            List<LiquidPortion> liquids = new ArrayList<>();
            planned.liquids()
                    .forEach(l -> liquids.add(
                            l.weighing(take(Weighable.liquid(l.liquid().id()), l.mass()))));
            List<AdditivePortion> additives = new ArrayList<>();
            planned.additives()
                    .forEach(a -> additives.add(
                            a.weighing(take(Weighable.additive(a.additive().id()), a.mass()))));
            Mass naoh = takeAlkali(Weighable.NAOH, planned.naoh());
            Mass koh = takeAlkali(Weighable.KOH, planned.koh());
            List<Weighable> unplanned = extra(true);
            List<Weighable> unknown = extra(false);
            unplanned.forEach(w -> addUnplanned(w, fats, liquids, additives));
            Weights weights = new Weights(fats, naoh, koh, liquids, additives);
            Estimate superfat = Superfat.distribution(weights, plan.formula().alkali(), plan.scales());
            return new AsWeighed(weights, superfat, List.copyOf(missing), unplanned, unknown);
        }

        private List<Weighable> extra(boolean known) {
            return logged.keySet().stream()
                    .filter(w -> !targets.containsKey(w) && !(w.equals(Weighable.NAOH) || w.equals(Weighable.KOH)))
                    .filter(w -> w.isIn(substances) == known)
                    .toList();
        }

        /** What was logged of it; of something that stands in the plan more than once, in the plan's proportions. */
        private Mass take(Weighable what, Mass portion) {
            Mass found = logged.get(what);
            if (found == null) {
                missing.add(what);
                return portion;
            }
            Mass target = targets.getOrDefault(what, Mass.ZERO);
            return target.isPositive() ? found.times(portion.dividedBy(target)) : found;
        }

        private Mass takeAlkali(Weighable what, Mass portion) {
            return !portion.isPositive() && !logged.containsKey(what) ? portion : take(what, portion);
        }

        private void addUnplanned(
                Weighable what, List<FatPortion> fats, List<LiquidPortion> liquids, List<AdditivePortion> additives) {
            Mass mass = logged.getOrDefault(what, Mass.ZERO);
            switch (what.kind()) {
                case FAT -> fats.add(new FatPortion(substances.fat(what.id()), mass));
                case LIQUID -> liquids.add(new LiquidPortion(substances.liquid(what.id()), mass, LiquidState.LIQUID));
                case ADDITIVE -> additives.add(new AdditivePortion(substances.additive(what.id()), mass));
                case ALKALI, SCRAP -> throw new IllegalStateException("Impossible state: alkali is always taken");
            }
        }
    }
}
