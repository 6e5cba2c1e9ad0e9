package io.causticon.core.science.making;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MixMethod;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.formula.BatterAmount;
import io.causticon.core.science.formula.Composition;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * Everything about a batch that moves its trace, in the units of {@link Term}.
 *
 * @param values of each term, counted from its origin; the base is one
 * @param fromStart additives that are in the batter from the beginning
 * @param later additives that the plan puts in later, in its order
 */
public record Situation(Map<Term, Double> values, List<Dosed> fromStart, List<Dosed> later) {

    private static final double USUAL_SECONDS_PER_KILOGRAM = 30;
    private static final double FAT_CAPACITY = 2.0;
    private static final double LYE_CAPACITY = 3.4;

    public Situation {
        values = Map.copyOf(values);
        fromStart = List.copyOf(fromStart);
        later = List.copyOf(later);
    }

    /** As planned: mixed at its temperature, with the bursts of a stick blender that are usual. */
    public static Situation planned(BatchPlan plan) {
        return of(
                plan,
                plan.mixAt(),
                AlkaliBalance.of(plan.formula()).concentration(),
                plan.formula().superfat(),
                MixMethod.STICK,
                0);
    }

    /** As planned, stirred in the way that it was. */
    static Situation planned(BatchFacts facts) {
        BatchPlan plan = facts.plan();
        return of(
                plan,
                plan.mixAt(),
                AlkaliBalance.of(plan.formula()).concentration(),
                plan.formula().superfat(),
                method(facts),
                0);
    }

    /** As it was made: temperatures, weights, method and blending by the log, by the plan where that says nothing. */
    public static Situation asMade(BatchFacts facts) {
        BatchPlan plan = facts.plan();
        Share concentration = facts.asWeighed().isComplete()
                ? facts.concentration()
                : AlkaliBalance.of(plan.formula()).concentration();
        Share superfat = facts.asWeighed().isComplete()
                ? Superfat.of(facts.asWeighed().weights(), plan.formula().alkali())
                : plan.formula().superfat();
        return of(plan, mixedAt(facts).orElse(plan.mixAt()), concentration, superfat, method(facts), blending(facts));
    }

    /**
     * Temperature at which fats and lye met: the mean of the last readings of the two pots, by their heat; that of the
     * fats alone otherwise.
     */
    public static Optional<Temperature> mixedAt(BatchFacts facts) {
        return facts.log().first(Entry.LyeIntoFats.class).flatMap(in -> {
            Optional<Temperature> fats = facts.lastBefore(MeasurementPoint.FATS, in.at());
            Optional<Temperature> lye = facts.lastBefore(MeasurementPoint.LYE, in.at());
            double f = facts.asWeighed().weights().fatMass().grams() * FAT_CAPACITY;
            double l = facts.asWeighed()
                            .weights()
                            .lye()
                            .plus(facts.asWeighed().weights().water())
                            .grams()
                    * LYE_CAPACITY;
            return fats.flatMap(a -> lye.map(b -> Temperature.celsius((a.celsius() * f + b.celsius() * l) / (f + l))))
                    .or(() -> fats);
        });
    }

    static MixMethod method(BatchFacts facts) {
        return facts.log()
                .last(Entry.MixedWith.class)
                .map(m -> m.entry().method())
                .orElse(MixMethod.STICK);
    }

    /**
     * Doublings of the usual seconds per kilogram; none when no burst was logged. A batter that is not yet at light
     * trace will get the rest of its bursts, so it counts as usual until it had more.
     */
    private static double blending(BatchFacts facts) {
        double perKilogram = secondsPerKilogram(facts);
        double doublings = perKilogram == 0 ? 0 : Math.log(perKilogram / USUAL_SECONDS_PER_KILOGRAM) / Math.log(2);
        boolean underWay =
                !facts.log().has(Entry.StageReached.class, s -> s.stage().isAtLeast(Stage.LIGHT));
        return underWay ? Math.max(0, doublings) : doublings;
    }

    /** Seconds of the blender until light trace, or so far, for each kilogram of batter. */
    public static double secondsPerKilogram(BatchFacts facts) {
        var light = facts.log().first(Entry.StageReached.class, s -> s.stage().isAtLeast(Stage.LIGHT));
        int seconds = facts.log()
                .of(Entry.BlenderBurst.class)
                .filter(b -> light.isEmpty() || !b.at().isAfter(light.get().at()))
                .mapToInt(b -> b.entry().seconds())
                .sum();
        return seconds / (BatterAmount.of(facts.plan().formula()).mass().grams() / 1000);
    }

    private static Situation of(
            BatchPlan plan,
            Temperature mixedAt,
            Share concentration,
            Share superfat,
            MixMethod method,
            double blending) {
        Formula formula = plan.formula();
        Composition c = Composition.of(formula.fats());
        Map<Term, Double> values = new EnumMap<>(Term.class);
        values.put(Term.BASE, 1.0);
        put(values, Term.TEMPERATURE, mixedAt.celsius());
        put(values, Term.CONCENTRATION, concentration.fraction());
        put(values, Term.LONG_SATURATED, c.of(Family.LONG_SATURATED).fraction());
        put(values, Term.MONO, c.of(Family.MONO_UNSATURATED).fraction());
        put(values, Term.POLY, c.of(Family.POLY_UNSATURATED).fraction());
        put(values, Term.RICINOLEIC, c.of(Family.RICINOLEIC).fraction());
        put(values, Term.SUPERFAT, superfat.fraction());
        put(values, Term.SUGAR, sugarFromTheStart(formula));
        put(values, Term.POWDER, dose(formula, a -> !isSalt(a) && a.effects().contains("absorbs_water")));
        put(values, Term.SALT, dose(formula, Situation::isSalt));
        put(values, Term.BLENDING, blending);
        put(values, Term.STAND_MIXER, method == MixMethod.STAND_MIXER ? 1 : 0);
        put(values, Term.WHISK, method == MixMethod.WHISK ? 1 : 0);
        put(values, Term.HAND, method == MixMethod.HAND ? 1 : 0);
        put(values, Term.BOTTLE, method == MixMethod.BOTTLE ? 1 : 0);
        List<Dosed> fromStart = formula.additives().stream()
                .filter(Situation::isFromTheStart)
                .filter(a -> mayMove(a.additive()))
                .map(a -> dosed(a, formula))
                .toList();
        List<Dosed> later = Stream.concat(
                        formula.additives().stream()
                                .filter(a -> !isFromTheStart(a)
                                        && a.joins() != AdditionStage.TOP
                                        && a.joins() != AdditionStage.AFTER_COOK)
                                .map(a -> dosed(a, formula)),
                        plan.pouring().portioning().portions().stream()
                                .flatMap(p -> p.additives().stream())
                                .map(Portion.OwnAdditive::additive)
                                .map(a -> new Dosed(a, 1)))
                .distinct()
                .toList();
        return new Situation(values, fromStart, later);
    }

    /** What has a term of its own (sugar, powders that drink water) or only colours is not counted a second time. */
    private static boolean mayMove(Additive a) {
        boolean hasItsTerm = a.sugar().fraction() > 0 || a.effects().contains("absorbs_water");
        return a.isFragrance() || a.isMover() || a.isMildMover() && !hasItsTerm;
    }

    private static boolean isSalt(Additive a) {
        return a.id().contains("salt") && !a.isFragrance();
    }

    private static Dosed dosed(AdditivePortion portion, Formula formula) {
        return Dosed.of(portion.additive(), portion.dosePerKilogram(formula.fatMass()));
    }

    private static boolean isFromTheStart(AdditivePortion portion) {
        return portion.joins().compareTo(AdditionStage.FATS) <= 0;
    }

    /**
     * Sugar per mass of fats that is there when lye and fats meet: what joins at trace cannot have hurried the way to
     * it.
     */
    private static double sugarFromTheStart(Formula formula) {
        double later = formula.additives().stream()
                .filter(a -> !isFromTheStart(a))
                .mapToDouble(a -> a.additive().sugar().of(a.mass()).grams())
                .sum();
        return formula.sugarOfFats().fraction() - later / formula.fatMass().grams();
    }

    /** Of what is in from the start, g per kg of fats. What joins later acts by itself, and after. */
    private static double dose(Formula formula, Predicate<Additive> which) {
        return formula.additives().stream()
                .filter(a -> isFromTheStart(a) && which.test(a.additive()))
                .mapToDouble(a -> a.dosePerKilogram(formula.fatMass()))
                .sum();
    }

    private static void put(Map<Term, Double> values, Term term, double value) {
        values.put(term, value - term.origin());
    }

    /** What the plan's additives are by name, for the words of a log. */
    static Map<String, Additive> additives(BatchPlan plan) {
        Map<String, Additive> byId = new LinkedHashMap<>();
        List<Additive> all = new ArrayList<>(plan.formula().additives().stream()
                .map(AdditivePortion::additive)
                .toList());
        plan.pouring().portioning().portions().forEach(p -> p.additives().forEach(a -> all.add(a.additive())));
        all.forEach(a -> byId.putIfAbsent(a.id(), a));
        return byId;
    }
}
