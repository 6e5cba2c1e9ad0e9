package io.causticon.core.science.trial;

import io.causticon.core.model.log.SensoryScale;
import io.causticon.core.quantity.Interval;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.QRDecomposer;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.linear.SingularValueDecomposition;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;

/**
 * What grades come to: a linear mixed model of one scale,
 * {@code y = round + arm at its age + place b + (judge and arm) + error}. Each round of a judge has a level of its own,
 * so that strict judges and tired days cancel; what a judge has for or against an arm is random; its share of the
 * variance is fitted by restricted maximum likelihood (Patterson and Thompson, Biometrika 58, 1971). Where it is not
 * nothing, degrees of freedom are those of judges and arms together, fewer and on the safe side.
 */
public final class PanelEffects {

    private static final double NINE_OF_TEN = 0.95;
    private static final double FOUND_BELOW = 0.10;
    private static final double MOST_RATIO = 50;
    private static final double NO_RATIO = 1e-3;
    private static final double MOST_MISSING = 99;
    private static final double SINGULAR = 1e-9;

    /**
     * What is felt is told in whole grades: that alone makes a twelfth of a grade squared, however well judges agree.
     */
    private static final double STEP_VARIANCE = 1.0 / 12;

    private PanelEffects() {}

    /**
     * All differences from the control, by scale, age and arm in the order in which they come; grades of an arm that
     * the control was not graded beside are left out.
     *
     * @param control name of the arm that the others are compared with
     */
    public static List<Effect> of(List<Sitting> sittings, String control) {
        List<Effect> effects = new ArrayList<>();
        Map<SensoryScale, List<Sitting>> scales = new LinkedHashMap<>();
        sittings.stream()
                .sorted(Comparator.comparing(Sitting::scale))
                .forEach(s -> scales.computeIfAbsent(s.scale(), k -> new ArrayList<>())
                        .add(s));
        scales.values().forEach(s -> effects.addAll(new Model(s, control).effects()));
        return effects;
    }

    /** One scale. */
    private static final class Model {

        private final List<Sitting> data;
        private final SensoryScale scale;
        private final List<String> rounds;
        private final List<String[]> cells = new ArrayList<>();
        private final List<String> pairs;
        private final RealMatrix design;
        private final RealVector grades;
        private final int places;

        Model(List<Sitting> all, String control) {
            this.scale = all.get(0).scale();
            Set<String> withControl = new LinkedHashSet<>();
            all.stream().filter(s -> s.arm().equals(control)).forEach(s -> withControl.add(round(s)));
            this.data = all.stream().filter(s -> withControl.contains(round(s))).toList();
            this.rounds = data.stream().map(Model::round).distinct().toList();
            this.pairs = data.stream().map(Model::pair).distinct().toList();
            data.stream()
                    .filter(s -> !s.arm().equals(control))
                    .map(s -> s.age() + "\u0000" + s.arm())
                    .distinct()
                    .forEach(c -> cells.add(c.split("\u0000", 2)));
            // A slope over the places wants rounds whose order differs.
            this.places = data.stream()
                                    .map(s -> s.arm() + "\u0000" + s.place())
                                    .distinct()
                                    .count()
                            > data.stream().map(Sitting::arm).distinct().count()
                    ? 1
                    : 0;
            this.design = MatrixUtils.createRealMatrix(
                    Math.max(1, data.size()), Math.max(1, cells.size() + rounds.size() + places));
            double[] y = new double[Math.max(1, data.size())];
            for (int i = 0; i < data.size(); i++) {
                Sitting s = data.get(i);
                for (int c = 0; c < cells.size(); c++) {
                    design.setEntry(i, c, cells.get(c)[0].equals(s.age()) && cells.get(c)[1].equals(s.arm()) ? 1 : 0);
                }
                design.setEntry(i, cells.size() + rounds.indexOf(round(s)), 1);
                if (places == 1) {
                    design.setEntry(i, design.getColumnDimension() - 1, s.place());
                }
                y[i] = s.grade();
            }
            this.grades = MatrixUtils.createRealVector(y);
        }

        private static String round(Sitting s) {
            return s.judge() + "\u0000" + s.age();
        }

        private static String pair(Sitting s) {
            return s.judge() + "\u0000" + s.arm();
        }

        /**
         * What a variance ratio gives: coefficients, their covariance without the error's variance, that variance, the
         * restricted likelihood.
         */
        private record Fit(RealVector coefficients, RealMatrix covariance, double variance, double likelihood) {}

        private Fit fit(double ratio) {
            int n = data.size();
            int p = design.getColumnDimension();
            RealMatrix v = MatrixUtils.createRealIdentityMatrix(n);
            for (int i = 0; i < n; i++) {
                for (int j = 0; j < n; j++) {
                    if (pair(data.get(i)).equals(pair(data.get(j)))) {
                        v.addToEntry(i, j, ratio);
                    }
                }
            }
            CholeskyDecomposition cholesky = new CholeskyDecomposition(v);
            RealMatrix inverse = cholesky.getSolver().getInverse();
            RealMatrix information = design.transposeMultiply(inverse).multiply(design);
            RealMatrix covariance =
                    new QRDecomposer(SINGULAR).decompose(information).getInverse();
            RealVector coefficients =
                    covariance.operate(design.transposeMultiply(inverse).operate(grades));
            RealVector residual = grades.subtract(design.operate(coefficients));
            double squares = residual.dotProduct(inverse.operate(residual));
            double variance = Math.max(STEP_VARIANCE, squares / (n - p));
            double likelihood = -0.5
                    * ((n - p) * Math.log(variance)
                            + logDeterminant(cholesky)
                            + Math.log(new LUDecomposition(information).getDeterminant()));
            return new Fit(coefficients, covariance, variance, likelihood);
        }

        private static double logDeterminant(CholeskyDecomposition cholesky) {
            double sum = 0;
            RealMatrix l = cholesky.getL();
            for (int i = 0; i < l.getRowDimension(); i++) {
                sum += 2 * Math.log(l.getEntry(i, i));
            }
            return sum;
        }

        List<Effect> effects() {
            if (cells.isEmpty()) {
                return List.of();
            }
            int free = data.size() - design.getColumnDimension();
            boolean solvable = new SingularValueDecomposition(design).getRank() == design.getColumnDimension();
            if (free < 1 || !solvable) {
                return withoutError();
            }
            boolean several = data.stream().map(Sitting::judge).distinct().count() > 1 && pairs.size() < data.size();
            double ratio = several ? ratio() : 0;
            Fit fit = fit(ratio);
            long judges = data.stream().map(Sitting::judge).distinct().count();
            long arms = data.stream().map(Sitting::arm).distinct().count();
            double degrees = ratio > NO_RATIO ? Math.min(free, Math.max(1, (judges - 1) * (arms - 1))) : free;
            TDistribution t = new TDistribution(degrees);
            double reach = t.inverseCumulativeProbability(NINE_OF_TEN);
            List<Effect> effects = new ArrayList<>();
            double[] chances = new double[cells.size()];
            for (int c = 0; c < cells.size(); c++) {
                double error =
                        Math.sqrt(Math.max(0, fit.variance() * fit.covariance().getEntry(c, c)));
                double difference = fit.coefficients().getEntry(c);
                double real =
                        error > 0 ? t.cumulativeProbability(Math.abs(difference) / error) : difference == 0 ? 0.5 : 1;
                chances[c] = 2 * (1 - real);
                double sure = reach * error;
                int missing = Math.abs(difference) >= sure || difference == 0
                        ? 0
                        : (int) Math.ceil(Math.min(MOST_MISSING, rounds.size() * (Math.pow(sure / difference, 2) - 1)));
                effects.add(new Effect(
                        cells.get(c)[1],
                        scale,
                        cells.get(c)[0],
                        difference,
                        Interval.between(difference - sure, difference + sure),
                        real,
                        false,
                        missing));
            }
            return found(effects, chances);
        }

        private double ratio() {
            return new BrentOptimizer(1e-6, 1e-8)
                    .optimize(
                            new MaxEval(200),
                            new UnivariateObjectiveFunction(r -> fit(r).likelihood()),
                            GoalType.MAXIMIZE,
                            new SearchInterval(0, MOST_RATIO, 0.5))
                    .getPoint();
        }

        /** By Holm: the smallest chance counts as often as there are comparisons, the next once less. */
        private static List<Effect> found(List<Effect> effects, double[] chances) {
            List<Integer> order = new ArrayList<>();
            for (int i = 0; i < chances.length; i++) {
                order.add(i);
            }
            order.sort(Comparator.comparingDouble(i -> chances[i]));
            List<Effect> told = new ArrayList<>(effects);
            for (int k = 0; k < order.size() && chances[order.get(k)] * (order.size() - k) <= FOUND_BELOW; k++) {
                Effect e = effects.get(order.get(k));
                told.set(
                        order.get(k),
                        new Effect(
                                e.arm(),
                                e.scale(),
                                e.age(),
                                e.difference(),
                                e.interval(),
                                e.chanceReal(),
                                true,
                                e.roundsMissing()));
            }
            return told;
        }

        /** One judge, once: the differences stand, and nothing tells chance by. */
        private List<Effect> withoutError() {
            List<Effect> effects = new ArrayList<>();
            for (String[] cell : cells) {
                double sum = 0;
                int count = 0;
                for (Sitting s : data) {
                    if (s.age().equals(cell[0]) && s.arm().equals(cell[1])) {
                        Sitting beside = data.stream()
                                .filter(o -> round(o).equals(round(s)) && !isCompared(o))
                                .findFirst()
                                .orElseThrow();
                        sum += s.grade() - beside.grade();
                        count++;
                    }
                }
                effects.add(new Effect(cell[1], scale, cell[0], sum / count, null, 0.5, false, 1));
            }
            return effects;
        }

        private boolean isCompared(Sitting other) {
            return cells.stream().anyMatch(c -> c[1].equals(other.arm()));
        }
    }
}
