package io.causticon.core.science.fit;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntToDoubleFunction;
import org.hipparchus.exception.MathIllegalArgumentException;
import org.hipparchus.exception.MathIllegalStateException;
import org.hipparchus.optim.linear.LinearConstraint;
import org.hipparchus.optim.linear.LinearConstraintSet;
import org.hipparchus.optim.linear.LinearObjectiveFunction;
import org.hipparchus.optim.linear.NonNegativeConstraint;
import org.hipparchus.optim.linear.Relationship;
import org.hipparchus.optim.linear.SimplexSolver;
import org.hipparchus.optim.nonlinear.scalar.GoalType;

/**
 * Finds shares of fats that meet what the maker wants with the least change.
 *
 * <p>A linear programme over the shares {@code x}: minimise
 * {@code sum(w |x - x0|) + sum cost(family(x) - family(x0)) + P sum(slack)} subject to shares that make a whole, limits
 * on each, and every aim's mean at or below its limit plus its slack. The first term keeps the recipe hers (the sum of
 * absolute changes favours few changes). The second keeps the bar's character: it is cheap within six points of a
 * family of acids and dear beyond, so that an aim that is out of reach does not turn the recipe upside down. The third
 * lets an aim that cannot be reached come as near as it is worth. Solved by the simplex method.
 */
public final class Fitter {

    private static final double SMALLEST_MOVE = 0.003;
    private static final double PER_SHARE = 0.2;
    private static final double NEWCOMER = 0.25;
    private static final double PER_FAMILY = 1;
    private static final double FAMILY_FREEDOM = 0.06;
    private static final double PER_FAMILY_BEYOND = 12;
    private static final double PER_MISS = 3;
    private static final double MISSED = 1e-4;
    private static final double MOST_OF_NEWCOMER = 0.35;
    private static final double MOST_RICINOLEIC_FAT = 0.10;
    private static final double ROUNDING = 200;

    private final BatchPlan plan;
    private final Goals goals;
    private final List<Fat> fats;
    private final double[] before;
    private final List<Aim> aims;
    private final int families = Family.values().length;

    private Fitter(BatchPlan plan, Collection<Fat> pantry, Goals goals) {
        this.plan = plan;
        this.goals = goals;
        Map<String, Fat> all = new LinkedHashMap<>();
        plan.formula().fats().forEach(p -> all.put(p.fat().id(), p.fat()));
        pantry.forEach(f -> all.putIfAbsent(f.id(), f));
        this.fats = List.copyOf(all.values());
        this.before = new double[fats.size()];
        for (FatPortion p : plan.formula().fats()) {
            before[indexOf(p.fat())] = p.mass().dividedBy(plan.formula().fatMass());
        }
        this.aims = Aim.of(plan, goals);
    }

    /**
     * @param plan what there is
     * @param pantry fats that may join
     * @param goals what is wanted
     * @throws ProblemsException if a locked fat is one that must go, or nothing is left to make soap of
     */
    public static Proposal fit(BatchPlan plan, Collection<Fat> pantry, Goals goals) {
        return new Fitter(plan, pantry, goals).solve();
    }

    private Proposal solve() {
        List<LinearConstraint> constraints = new ArrayList<>();
        constraints.add(row(Relationship.EQ, 1, i -> 1, -1, 0));
        for (int i = 0; i < fats.size(); i++) {
            limit(constraints, i);
        }
        for (int f = 0; f < families; f++) {
            Family family = Family.values()[f];
            double now =
                    Aim.mean(plan.formula().fats(), fat -> fat.shareOf(family).fraction());
            double[] c = new double[variables()];
            for (int i = 0; i < fats.size(); i++) {
                c[i] = fats.get(i).shareOf(family).fraction();
            }
            c[familyUp(f)] = -1;
            c[familyUp(f) + 1] = 1;
            c[familyUp(f) + 2] = -1;
            c[familyUp(f) + 3] = 1;
            constraints.add(new LinearConstraint(c, Relationship.EQ, now));
            constraints.add(single(familyUp(f), Relationship.LEQ, FAMILY_FREEDOM));
            constraints.add(single(familyUp(f) + 1, Relationship.LEQ, FAMILY_FREEDOM));
        }
        for (int a = 0; a < aims.size(); a++) {
            Aim aim = aims.get(a);
            constraints.add(row(
                    Relationship.LEQ,
                    aim.limit(),
                    i -> aim.ofFat().applyAsDouble(fats.get(i)),
                    slack(a),
                    -aim.scale()));
        }
        try {
            double[] point = new SimplexSolver()
                    .optimize(
                            objective(),
                            new LinearConstraintSet(constraints),
                            GoalType.MINIMIZE,
                            new NonNegativeConstraint(true))
                    .getPoint();
            return proposal(point);
        } catch (MathIllegalStateException | MathIllegalArgumentException e) {
            throw ProblemsException.of("fit", ProblemKey.LIMITS_EXCLUDE_ALL);
        }
    }

    /** What a share may be, and its change split into up and down. */
    private void limit(List<LinearConstraint> constraints, int i) {
        Fat fat = fats.get(i);
        boolean mustGo = mustGo(fat);
        boolean locked = goals.locked().contains(fat.id());
        if (mustGo && locked && before[i] > 0) {
            throw ProblemsException.of("fit", ProblemKey.LIMITS_EXCLUDE_ALL);
        }
        double most = goals.mostChange().fraction();
        double low = mustGo ? 0 : locked ? before[i] : Math.max(0, before[i] - most);
        double high = mustGo ? 0 : locked ? before[i] : Math.min(ceiling(fat, before[i]), before[i] + room(i, most));
        constraints.add(single(i, Relationship.GEQ, low));
        constraints.add(single(i, Relationship.LEQ, Math.max(low, high)));
        double[] change = new double[variables()];
        change[i] = 1;
        change[up(i)] = -1;
        change[up(i) + 1] = 1;
        constraints.add(new LinearConstraint(change, Relationship.EQ, before[i]));
    }

    /** What must go has to go somewhere: the others may take up as much more. */
    private double room(int i, double most) {
        double gone = 0;
        for (int j = 0; j < fats.size(); j++) {
            gone += mustGo(fats.get(j)) ? before[j] : 0;
        }
        return Math.max(most, Math.min(1, gone + most / 2));
    }

    private static double ceiling(Fat fat, double before) {
        boolean castor = fat.shareOf(Family.RICINOLEIC).fraction() > 0.5;
        double most = castor ? MOST_RICINOLEIC_FAT : before > 0 ? 1 : MOST_OF_NEWCOMER;
        return Math.max(before, most);
    }

    private boolean mustGo(Fat fat) {
        return goals.wishes().contains(Wish.NO_ANIMAL) && fat.animal()
                || goals.wishes().contains(Wish.NO_PALM) && fat.palm()
                || fat.allergens().stream().anyMatch(goals.without()::contains)
                // A fat of unknown price cannot be held to a cost, so it does not join; one that is in the recipe stays
                // at its price of nothing.
                || goals.mostPerKilogram().isPresent()
                        && !goals.prices().containsKey(fat.id())
                        && before[indexOf(fat)] == 0;
    }

    private LinearObjectiveFunction objective() {
        double[] c = new double[variables()];
        for (int i = 0; i < fats.size(); i++) {
            double weight = before[i] > 0 ? PER_SHARE : NEWCOMER;
            c[up(i)] = weight;
            c[up(i) + 1] = weight;
        }
        for (int f = 0; f < families; f++) {
            c[familyUp(f)] = PER_FAMILY;
            c[familyUp(f) + 1] = PER_FAMILY;
            c[familyUp(f) + 2] = PER_FAMILY_BEYOND;
            c[familyUp(f) + 3] = PER_FAMILY_BEYOND;
        }
        for (int a = 0; a < aims.size(); a++) {
            c[slack(a)] = PER_MISS;
        }
        return new LinearObjectiveFunction(c, 0);
    }

    private Proposal proposal(double[] point) {
        double[] after = rounded(point);
        Formula formula = plan.formula();
        List<FatPortion> portions = new ArrayList<>();
        List<Proposal.Move> moves = new ArrayList<>();
        for (int i = 0; i < fats.size(); i++) {
            Fat fat = fats.get(i);
            if (after[i] > 0) {
                portions.add(portion(fat).weighing(formula.fatMass().times(after[i])));
            }
            if (Math.abs(after[i] - before[i]) >= SMALLEST_MOVE) {
                moves.add(new Proposal.Move(
                        fat,
                        Share.fraction(before[i]),
                        Share.fraction(after[i]),
                        buys(fat, after[i] - before[i], after)));
            }
        }
        moves.sort(Comparator.comparingDouble(
                (Proposal.Move m) -> -Math.abs(m.to().fraction() - m.from().fraction())));
        List<String> unmet = new ArrayList<>();
        for (int a = 0; a < aims.size(); a++) {
            if (point[slack(a)] > MISSED) {
                unmet.add(aims.get(a).name());
            }
        }
        return new Proposal(formula.withFats(portions), List.copyOf(moves), List.copyOf(unmet));
    }

    private FatPortion portion(Fat fat) {
        return plan.formula().fats().stream()
                .filter(p -> p.fat().id().equals(fat.id()))
                .findFirst()
                .orElseGet(() -> new FatPortion(fat, Mass.ZERO));
    }

    /** To half a per cent, as makers write recipes; what rounding leaves goes to the largest share that may move. */
    private double[] rounded(double[] point) {
        double[] after = new double[fats.size()];
        double sum = 0;
        int largest = 0;
        for (int i = 0; i < after.length; i++) {
            boolean moved = Math.abs(point[i] - before[i]) >= SMALLEST_MOVE / 2;
            after[i] = moved ? Math.rint(point[i] * ROUNDING) / ROUNDING : before[i];
            sum += after[i];
            boolean free = !goals.locked().contains(fats.get(i).id());
            boolean largestLocked = goals.locked().contains(fats.get(largest).id());
            if (free && (largestLocked || after[i] > after[largest])) {
                largest = i;
            }
        }
        after[largest] += 1 - sum;
        return after;
    }

    /**
     * As shares sum to one, a change is measured against the mean of the recipe: what it does by taking the place of
     * the others.
     */
    private List<Proposal.Buy> buys(Fat fat, double change, double[] after) {
        List<Proposal.Buy> buys = new ArrayList<>();
        for (Aim aim : aims) {
            double now = Aim.mean(plan.formula().fats(), aim.ofFat());
            double then = 0;
            for (int i = 0; i < after.length; i++) {
                then += after[i] * aim.ofFat().applyAsDouble(fats.get(i));
            }
            double gained = now - then;
            if (Math.abs(gained) > 1e-6) {
                buys.add(new Proposal.Buy(aim.name(), (now - aim.ofFat().applyAsDouble(fat)) * change / gained));
            }
        }
        return buys;
    }

    private LinearConstraint row(
            Relationship relation, double value, IntToDoubleFunction of, int extra, double extraValue) {
        double[] c = new double[variables()];
        for (int i = 0; i < fats.size(); i++) {
            c[i] = of.applyAsDouble(i);
        }
        if (extra >= 0) {
            c[extra] = extraValue;
        }
        return new LinearConstraint(c, relation, value);
    }

    private LinearConstraint single(int i, Relationship relation, double value) {
        double[] c = new double[variables()];
        c[i] = 1;
        return new LinearConstraint(c, relation, value);
    }

    private int indexOf(Fat fat) {
        for (int i = 0; i < fats.size(); i++) {
            if (fats.get(i).id().equals(fat.id())) {
                return i;
            }
        }
        throw new IllegalArgumentException("Impossible state: " + fat.id() + " is not among the fats");
    }

    private int up(int i) {
        return fats.size() + 2 * i;
    }

    private int familyUp(int f) {
        return 3 * fats.size() + 4 * f;
    }

    private int slack(int a) {
        return 3 * fats.size() + 4 * families + a;
    }

    private int variables() {
        return 3 * fats.size() + 4 * families + aims.size();
    }
}
