package io.causticon.core.science.making;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.LiquidPortion;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import java.util.List;
import java.util.stream.Stream;

/**
 * Something that goes into a pot before lye and fats meet: into the liquid before the lye, into the cooled lye, into
 * the fats.
 *
 * @param name of it
 * @param mass how much
 * @param when at which point of the work
 * @param done whether the log says that it is in
 */
public record PotAddition(String name, Mass mass, AdditionStage when, boolean done) {

    /**
     * All of a plan, in the order of the work. Liquids that join cooled lye go in by portions and are not among them.
     */
    public static List<PotAddition> of(BatchPlan plan, BatchLog log) {
        Weights planned = Weights.planned(plan.formula());
        return Stream.of(AdditionStage.LYE, AdditionStage.COOLED_LYE, AdditionStage.FATS)
                .flatMap(when -> Stream.concat(
                        planned.liquids().stream()
                                .filter(l -> when == AdditionStage.FATS && l.joins() == when)
                                .map(l -> new PotAddition(l.liquid().name(), l.mass(), when, isIn(l, log))),
                        planned.additives().stream()
                                .filter(a -> a.joins() == when)
                                .map(a -> new PotAddition(a.additive().name(), a.mass(), when, isIn(a, log)))))
                .toList();
    }

    /** What is still to go in before this may be done; what was put in but not logged is asked about as well. */
    public static List<PotAddition> missingBefore(Entry next, BatchPlan plan, BatchLog log) {
        boolean lye = next instanceof Entry.PortionFed
                        && log.first(Entry.LyeClear.class).isEmpty()
                || next instanceof Entry.LyeClear;
        boolean fats = next instanceof Entry.LyeIntoFats;
        if (!lye && !fats) {
            return List.of();
        }
        return of(plan, log).stream()
                .filter(a -> !a.done())
                .filter(a -> fats || a.when() == AdditionStage.LYE)
                .toList();
    }

    private static boolean isIn(LiquidPortion l, BatchLog log) {
        return log.has(
                Entry.Added.class,
                a -> l.liquid().id().equals(a.what().id())
                        || a.what().isCalled(l.liquid().name()));
    }

    private static boolean isIn(AdditivePortion portion, BatchLog log) {
        return log.has(
                Entry.Added.class,
                a -> a.what()
                        .isSubstance(portion.additive().id(), portion.additive().name()));
    }
}
