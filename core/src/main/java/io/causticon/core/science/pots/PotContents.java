package io.causticon.core.science.pots;

import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliChoice;
import io.causticon.core.model.plan.LiquidPortion;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.formula.ScorchLimit;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * What is in the lye pot while the lye dissolves, also what was stirred into the liquid before: acids with their heat
 * and the alkali they take, sugar and protein with the temperature at which they scorch.
 */
final class PotContents {

    private final Weights weights;
    private final AlkaliChoice alkali;
    private final AdditionStage joining;
    private final List<LiquidPortion> liquids;
    private final List<AdditivePortion> additives;

    private PotContents(Weights weights, AlkaliChoice alkali, AdditionStage joining) {
        this.weights = weights;
        this.alkali = alkali;
        this.joining = joining;
        this.liquids =
                weights.liquids().stream().filter(l -> l.joins() == joining).toList();
        this.additives =
                weights.additives().stream().filter(a -> a.joins() == joining).toList();
    }

    /** What the lye is dissolved in. */
    static PotContents beforeTheLye(Weights weights, AlkaliChoice alkali) {
        return new PotContents(weights, alkali, AdditionStage.LYE);
    }

    /** What joins the lye once that has cooled. */
    static PotContents intoCooledLye(Weights weights, AlkaliChoice alkali) {
        return new PotContents(weights, alkali, AdditionStage.COOLED_LYE);
    }

    boolean isEmpty() {
        return liquids.isEmpty();
    }

    List<LiquidPortion> liquids() {
        return liquids;
    }

    /** Both alkalis, as weighed. */
    Mass lye() {
        return weights.naoh().plus(weights.koh());
    }

    LyeBlend blend() {
        return LyeBlend.of(weights.naoh().grams(), weights.koh().grams(), alkali.kohPurity());
    }

    Mass water() {
        return sum(l -> l.water().minus(l.ice()));
    }

    Mass ice() {
        return sum(LiquidPortion::ice);
    }

    /**
     * Milk's and juice's. What was stirred in takes up little heat; leaving that out errs by a kelvin or two on the
     * safe side.
     */
    Mass solids() {
        return sum(l -> l.mass().minus(l.water()));
    }

    double acidMoles() {
        return liquids.stream().mapToDouble(LiquidPortion::acidMoles).sum()
                + additives.stream()
                        .mapToDouble(a -> a.additive().alkaliMoles(a.mass()))
                        .sum();
    }

    /**
     * As warm as it was read; where nothing was read, as the room and the freezer are.
     *
     * @param read of the liquid before the lye
     */
    LyePot pot(Temperature room, Temperature freezer, Optional<Temperature> read) {
        Temperature iceStart =
                read.map(t -> Temperature.celsius(Math.min(0, t.celsius()))).orElseGet(() -> iceStart(freezer));
        // Water beside ice is no colder than it freezes.
        double least = ice().isPositive() ? 0 : Double.NEGATIVE_INFINITY;
        Temperature waterStart =
                read.map(t -> Temperature.celsius(Math.max(least, t.celsius()))).orElseGet(() -> waterStart(room));
        return new LyePot(lye(), blend(), room, water(), waterStart, ice(), iceStart, solids(), acidMoles());
    }

    /** Of all that is liquid in it, mixed. */
    Temperature waterStart(Temperature room) {
        return mean(l -> l.water().minus(l.ice()), l -> l.temperatureOfWater(room), room);
    }

    /** Of all that is ice in it. */
    Temperature iceStart(Temperature freezer) {
        return mean(LiquidPortion::ice, l -> l.temperatureOfIce(freezer), freezer);
    }

    private Temperature mean(
            Function<LiquidPortion, Mass> of, Function<LiquidPortion, Temperature> at, Temperature otherwise) {
        double grams = sum(of).grams();
        return grams <= 0
                ? otherwise
                : Temperature.celsius(liquids.stream()
                                .mapToDouble(
                                        l -> of.apply(l).grams() * at.apply(l).celsius())
                                .sum()
                        / grams);
    }

    /** Above which it scorches; empty for what does not. */
    Optional<Temperature> limit() {
        return ScorchLimit.of(weights, joining);
    }

    private Mass sum(Function<LiquidPortion, Mass> of) {
        return liquids.stream().map(of).reduce(Mass.ZERO, Mass::plus);
    }
}
