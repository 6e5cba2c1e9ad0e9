package io.causticon.core.science.formula;

import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.LiquidPortion;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * What goes into the jug of one layer or cup that is made by itself, from fats that are melted together.
 *
 * @param portion as planned
 * @param share its part of everything
 * @param fats to pour from the pot: its fats, and what was stirred into all of them before they are divided
 * @param fatsAfter what the pot then still holds, without the pot itself
 * @param naoh of a solution of its own; nothing where there is one for all
 * @param koh of a solution of its own; nothing where there is one for all
 * @param liquids of a solution of its own; none where there is one for all
 * @param lyeAdditives what is stirred into its lye alone
 * @param solution its lye solution: to make, or to pour from the one for all; without {@code lyeAdditives} where it is
 *     poured
 * @param solutionAfter what the jug of the one for all then still holds; nothing where each has its own
 * @param fatAdditives what is stirred into its fats alone
 * @param later what joins its batter: its part of what joins all, and its own
 * @param superfat its own
 * @param concentration its own lye concentration
 */
public record Jug(
        Portion portion,
        Share share,
        Mass fats,
        Mass fatsAfter,
        Mass naoh,
        Mass koh,
        List<LiquidPortion> liquids,
        List<AdditivePortion> lyeAdditives,
        Mass solution,
        Mass solutionAfter,
        List<AdditivePortion> fatAdditives,
        List<Addition> later,
        Share superfat,
        Share concentration) {

    /** Something that joins the batter of one jug. */
    public record Addition(String name, Mass mass) {}

    public Jug {
        liquids = List.copyOf(liquids);
        lyeAdditives = List.copyOf(lyeAdditives);
        fatAdditives = List.copyOf(fatAdditives);
        later = List.copyOf(later);
    }

    /** In the order of the portions; empty for a batter that is mixed as one. */
    public static List<Jug> of(BatchPlan plan) {
        Portioning portioning = plan.pouring().portioning();
        if (portioning.route() == Portioning.LyeRoute.TOGETHER
                || portioning.portions().isEmpty()) {
            return List.of();
        }
        Weights whole = Weights.planned(plan.formula());
        Mass fats = whole.fatMass().plus(joining(whole, AdditionStage.FATS));
        Mass lye = whole.lye().plus(joining(whole, AdditionStage.LYE)).plus(joining(whole, AdditionStage.COOLED_LYE));
        List<Jug> jugs = new ArrayList<>();
        Mass fatsLeft = fats;
        Mass lyeLeft = lye;
        for (PortionAmounts amounts : Portions.of(plan).amounts()) {
            Share share = amounts.share();
            fatsLeft = fatsLeft.minus(share.of(fats));
            lyeLeft = lyeLeft.minus(share.of(lye));
            jugs.add(
                    portioning.route() == Portioning.LyeRoute.MASTER
                            ? poured(whole, amounts, share.of(fats), fatsLeft, share.of(lye), lyeLeft)
                            : dissolved(whole, amounts, share.of(fats), fatsLeft, share.of(lye)));
        }
        return List.copyOf(jugs);
    }

    private static Jug poured(
            Weights whole, PortionAmounts amounts, Mass fats, Mass fatsAfter, Mass lye, Mass lyeAfter) {
        return new Jug(
                amounts.portion(),
                amounts.share(),
                fats,
                fatsAfter,
                Mass.ZERO,
                Mass.ZERO,
                List.of(),
                inLye(amounts.additives()),
                lye,
                lyeAfter,
                at(amounts.additives(), AdditionStage.FATS),
                later(whole, amounts),
                amounts.superfat(),
                amounts.concentration());
    }

    private static Jug dissolved(Weights whole, PortionAmounts amounts, Mass fats, Mass fatsAfter, Mass lye) {
        Share share = amounts.share();
        List<AdditivePortion> dissolvedInAll = inLye(whole.additives()).stream()
                .map(a -> a.weighing(share.of(a.mass())))
                .toList();
        List<AdditivePortion> stirredIn = Stream.concat(dissolvedInAll.stream(), inLye(amounts.additives()).stream())
                .toList();
        Mass own =
                inLye(amounts.additives()).stream().map(AdditivePortion::mass).reduce(Mass.ZERO, Mass::plus);
        return new Jug(
                amounts.portion(),
                share,
                fats,
                fatsAfter,
                share.of(whole.naoh()),
                share.of(whole.koh()),
                whole.liquids().stream()
                        .filter(Jug::isInLye)
                        .map(l -> l.weighing(share.of(l.mass())))
                        .toList(),
                stirredIn,
                lye.plus(own),
                Mass.ZERO,
                at(amounts.additives(), AdditionStage.FATS),
                later(whole, amounts),
                amounts.superfat(),
                amounts.concentration());
    }

    /** What joins the batter, its part of what joins all first. */
    private static List<Addition> later(Weights whole, PortionAmounts amounts) {
        Share share = amounts.share();
        List<Addition> later = new ArrayList<>();
        whole.liquids().stream()
                .filter(l -> isAtBatter(l.joins()))
                .forEach(l -> later.add(new Addition(l.liquid().name(), share.of(l.mass()))));
        whole.additives().stream()
                .filter(a -> isAtBatter(a.joins()))
                .forEach(a -> later.add(new Addition(a.additive().name(), share.of(a.mass()))));
        amounts.liquids().forEach(l -> later.add(new Addition(l.liquid().name(), l.mass())));
        amounts.additives().stream()
                .filter(a -> isAtBatter(a.joins()))
                .forEach(a -> later.add(new Addition(a.additive().name(), a.mass())));
        return later;
    }

    private static boolean isAtBatter(AdditionStage joins) {
        return joins == AdditionStage.EMULSION
                || joins == AdditionStage.TRACE
                || joins == AdditionStage.AFTER_COOK
                || joins == AdditionStage.LAST;
    }

    private static boolean isInLye(LiquidPortion l) {
        return l.joins() == AdditionStage.LYE || l.joins() == AdditionStage.COOLED_LYE;
    }

    private static List<AdditivePortion> inLye(List<AdditivePortion> additives) {
        return additives.stream()
                .filter(a -> a.joins() == AdditionStage.LYE || a.joins() == AdditionStage.COOLED_LYE)
                .toList();
    }

    private static List<AdditivePortion> at(List<AdditivePortion> additives, AdditionStage stage) {
        return additives.stream().filter(a -> a.joins() == stage).toList();
    }

    private static Mass joining(Weights whole, AdditionStage stage) {
        return sum(whole.liquids(), l -> l.joins() == stage, LiquidPortion::mass)
                .plus(sum(whole.additives(), a -> a.joins() == stage, AdditivePortion::mass));
    }

    private static <T> Mass sum(List<T> of, Predicate<T> which, Function<T, Mass> mass) {
        return of.stream().filter(which).map(mass).reduce(Mass.ZERO, Mass::plus);
    }
}
