package io.causticon.core.science.formula;

import io.causticon.core.model.mould.Line;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.mould.Silhouette;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.LiquidPortion;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A batter divided among layers, colours or cups.
 *
 * @param amounts what each portion takes, in the order in which they are taken from the bowl
 * @param whole the batter before it is divided
 * @param stuck what stays on bowls and spatulas
 * @param drawn mass that the drawn layers take; zero when nothing is drawn
 */
public record Portions(List<PortionAmounts> amounts, Mass whole, Mass stuck, Mass drawn) {

    public static final int MOST = 24;
    private static final double SUM_TOLERANCE = 0.0005;

    /**
     * Everything that keeps a portioning from being made; fields {@code portion0}, {@code portion1} ... and
     * {@code portions}.
     */
    public static Problems check(BatchPlan plan) {
        Problems problems = new Problems();
        Portioning portioning = plan.pouring().portioning();
        if (portioning.portions().size() > MOST) {
            problems.add("portions", ProblemKey.TOO_MANY, portioning.portions().size(), MOST);
        }
        switch (portioning.way()) {
            case WHOLE, CUPS -> {}
            case SHARES -> checkShares(portioning, problems);
            case LAYERS -> checkLayers(plan, problems);
        }
        return problems;
    }

    /** @throws IllegalArgumentException for a plan that {@link #check} refuses */
    public static Portions of(BatchPlan plan) {
        Portioning portioning = plan.pouring().portioning();
        Mass whole = BatterAmount.of(plan.formula()).mass().minus(onTop(plan.formula()));
        // What is made in a jug of its own is not taken from a bowl: what sticks is its own.
        Mass stuck = portioning.route() == Portioning.LyeRoute.TOGETHER
                ? portioning.stuck().of(whole)
                : Mass.ZERO;
        Mass divided = whole.minus(stuck);
        List<Share> shares = shares(plan);
        List<PortionAmounts> amounts = new ArrayList<>();
        Mass left = whole;
        for (int i = 0; i < shares.size(); i++) {
            Mass batter = shares.get(i).of(divided);
            left = left.minus(batter);
            Share ofWhole = Share.fraction(batter.dividedBy(whole));
            amounts.add(amounts(plan, portioning.portions().get(i), shares.get(i), ofWhole, batter, left));
        }
        return new Portions(List.copyOf(amounts), whole, stuck, drawn(plan));
    }

    private static PortionAmounts amounts(
            BatchPlan plan, Portion portion, Share share, Share ofWhole, Mass batter, Mass left) {
        Weights whole = Weights.planned(plan.formula());
        double part = ofWhole.fraction();
        List<FatPortion> fats =
                whole.fats().stream().map(f -> f.weighing(f.mass().times(part))).toList();
        Mass fatMass = fats.stream().map(FatPortion::mass).reduce(Mass.ZERO, Mass::plus);
        List<AdditivePortion> own = portion.additives().stream()
                .map(a -> AdditivePortion.dosed(a.additive(), a.dose(), a.joins(), fatMass))
                .toList();
        List<LiquidPortion> ownLiquids = portion.liquids().stream()
                .map(l -> new LiquidPortion(
                        l.liquid(), l.dose().of(null, fatMass), LiquidState.LIQUID, AdditionStage.TRACE))
                .toList();
        Weights weights = new Weights(
                fats,
                whole.naoh().times(part),
                whole.koh().times(part),
                Stream.concat(
                                whole.liquids().stream()
                                        .map(l -> l.weighing(l.mass().times(part))),
                                ownLiquids.stream())
                        .toList(),
                Stream.concat(
                                whole.additives().stream()
                                        .map(a -> a.weighing(a.mass().times(part))),
                                own.stream())
                        .toList());
        Share concentration =
                Share.fraction(weights.lye().dividedBy(weights.lye().plus(weights.water())));
        return new PortionAmounts(
                portion,
                share,
                batter,
                left,
                weights,
                own,
                ownLiquids,
                Superfat.of(weights, plan.formula().alkali()),
                concentration);
    }

    private static List<Share> shares(BatchPlan plan) {
        Portioning portioning = plan.pouring().portioning();
        int count = portioning.portions().size();
        return switch (portioning.way()) {
            case WHOLE -> List.of();
            case SHARES -> portioning.portions().stream().map(Portion::share).toList();
            case CUPS ->
                IntStream.range(0, count)
                        .mapToObj(i -> Share.fraction(1.0 / count))
                        .toList();
            case LAYERS -> silhouette(plan).shares();
        };
    }

    private static Silhouette silhouette(BatchPlan plan) {
        Mould mould = Objects.requireNonNull(plan.mould(), "Impossible state: layers without a mould");
        List<Line> lines = plan.pouring().portioning().portions().stream()
                .map(p -> Objects.requireNonNull(p.top(), "Impossible state: a layer without a line"))
                .toList();
        return new Silhouette(mould.width(), lines);
    }

    /** Mass that the drawing takes: its area times the length of the mould. */
    private static Mass drawn(BatchPlan plan) {
        Mould mould = plan.mould();
        if (plan.pouring().portioning().way() != Portioning.Way.LAYERS || mould == null) {
            return Mass.ZERO;
        }
        double meanHeight = silhouette(plan).area() / mould.width();
        return mould.filledTo(meanHeight, BatterAmount.of(plan.formula()).density());
    }

    private static Mass onTop(Formula formula) {
        return formula.additives().stream()
                .filter(a -> !a.joins().isBeforePortions())
                .map(AdditivePortion::mass)
                .reduce(Mass.ZERO, Mass::plus);
    }

    private static void checkShares(Portioning portioning, Problems problems) {
        double sum = 0;
        for (int i = 0; i < portioning.portions().size(); i++) {
            Share share = portioning.portions().get(i).share();
            sum += share.fraction();
            if (share.fraction() < 0) {
                problems.add("portion" + i, ProblemKey.TOO_LOW, "A share", share, Share.NONE);
            }
        }
        if (!portioning.portions().isEmpty() && Math.abs(sum - 1) > SUM_TOLERANCE) {
            problems.add("portions", ProblemKey.SHARES_DO_NOT_SUM, Share.fraction(sum));
        }
    }

    private static void checkLayers(BatchPlan plan, Problems problems) {
        Mould mould = plan.mould();
        if (mould == null) {
            problems.add("mould", ProblemKey.MISSING);
            return;
        }
        List<Portion> layers = plan.pouring().portioning().portions();
        for (int i = 0; i < layers.size(); i++) {
            Line top = layers.get(i).top();
            if (top == null) {
                problems.add("portion" + i, ProblemKey.MISSING);
            } else if (!top.isFlat() && !mould.kind().isPrism()) {
                problems.add("portion" + i, ProblemKey.NOT_FLAT, layers.get(i).name());
            }
        }
        if (problems.isEmpty() && mould.kind() != MouldKind.CUSTOM) {
            List<String> fields = IntStream.range(0, layers.size())
                    .mapToObj(i -> "portion" + i)
                    .toList();
            problems.addAll(silhouette(plan)
                    .check(
                            mould.height(),
                            fields,
                            layers.stream().map(Portion::name).toList())
                    .all());
        }
    }
}
