package io.causticon.core.science.making;

import io.causticon.core.model.log.Stage;
import io.causticon.core.quantity.Interval;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.DecompositionSolver;

/**
 * A batter on its way: what the rungs that were tapped say of the minutes that are left.
 *
 * <p>Four thousand batters are drawn from what is known (fixed seed) and moved onto the rungs tapped so far, a tap
 * being early or late by about an eighth. What goes in on the way makes a batter's own time run faster or slower from
 * then on; each draw is then weighed by how well it fits the rungs after it, which so tell of its effect at the same
 * time. Draws that should have been thick long since, while nobody tapped it, count little.
 */
public final class LiveTrace {

    private static final int DRAWS = 4000;
    private static final int LEAST_EFFECTIVE = 60;
    private static final int WIDENINGS = 6;
    private static final long SEED = 31_415;
    private static final double UNTAPPED = 0.15;
    private static final int TAIL_FREEDOM = 3;

    /** Scale of that Student t at which it is as wide in its middle as the normal one. */
    private static final double TAIL_SCALE = 0.85;

    private static final double AIM = 0.3;
    private static final double COMMON = 0.9;
    private static final int HALVINGS = 50;

    private final TraceKnowledge knowledge;
    private final MixRecord record;
    private final double now;
    private final double[] base;
    /** ln(minutes to a rung / minutes to light trace) of each draw. */
    private final Map<Stage, double[]> rungs = new EnumMap<>(Stage.class);

    private final double[][] effects;
    private final List<MixRecord.Seen> calm;
    private final double[] proposal = new double[DRAWS];
    private final double[] weights = new double[DRAWS];

    private LiveTrace(TraceKnowledge knowledge, MixRecord record, double now) {
        this.knowledge = knowledge;
        this.record = record;
        this.now = now;
        Random random = new Random(SEED);
        TraceKnowledge.Known light = knowledge.logMinutes(record.situation());
        this.base = drawn(random, light);
        drawLadder(random);
        this.effects = new double[record.additions().size()][DRAWS];
        // Up to light trace all is linear.
        this.calm = record.seenBefore(0).stream()
                .filter(s -> s.stage().compareTo(Stage.LIGHT) <= 0)
                .toList();
        condition(random, light);
        drawEffects(random);
        weigh();
    }

    /**
     * @param record the batter until now
     * @param now minutes since lye-in
     */
    public static LiveTrace of(TraceKnowledge knowledge, MixRecord record, double now) {
        return new LiveTrace(knowledge, record, now);
    }

    /** Rungs after light trace lie wide or close together: mostly one reason for all of them. */
    private void drawLadder(Random random) {
        double[] common = drawn(random, new TraceKnowledge.Known(0, 1, 0, 0));
        for (Stage stage : Stage.values()) {
            if (stage.isRung() && stage != Stage.STREAKS) {
                TraceKnowledge.Known known = knowledge.ladder(stage);
                double[] values = new double[DRAWS];
                for (int i = 0; i < DRAWS; i++) {
                    double z = stage.compareTo(Stage.LIGHT) > 0
                            ? COMMON * common[i] + Math.sqrt(1 - COMMON * COMMON) * random.nextGaussian()
                            : random.nextGaussian();
                    values[i] = TraceKnowledge.logRatio(stage, known.middle() + known.deviation() * z);
                }
                rungs.put(stage, values);
            }
        }
    }

    private static double[] drawn(Random random, TraceKnowledge.Known known) {
        double[] values = new double[DRAWS];
        for (int i = 0; i < DRAWS; i++) {
            values[i] = known.middle() + known.deviation() * random.nextGaussian();
        }
        return values;
    }

    /**
     * Effects of what went in on the way. A fragrance mostly does little, and now and then far more than a normal
     * distribution allows: Student t with three degrees of freedom. So that what is rare is drawn often enough to be
     * found, every second draw takes the effect that would bring this batter to the next rung when it was tapped, or
     * near it, and is weighed by how likely that was beforehand.
     */
    private void drawEffects(Random random) {
        for (int a = 0; a < effects.length; a++) {
            MixRecord.Addition addition = record.additions().get(a);
            TraceKnowledge.Known known = knowledge.effect(addition.additive(), addition.lot(), addition.strength());
            MixRecord.Seen next = record.firstAfter(a).orElse(null);
            for (int i = 0; i < DRAWS; i++) {
                double free = known.middle() + TAIL_SCALE * known.deviation() * studentT(random);
                double wanted = next == null ? Double.NaN : effectThatBrings(i, a, next);
                boolean aimed = !Double.isNaN(wanted);
                double effect = aimed && i % 2 == 0 ? wanted + AIM * random.nextGaussian() : free;
                effects[a][i] = effect;
                if (aimed) {
                    double before = tailDensity((effect - known.middle()) / (TAIL_SCALE * known.deviation()))
                            / (TAIL_SCALE * known.deviation());
                    double off = (effect - wanted) / AIM;
                    double aim = Math.exp(-off * off / 2) / (AIM * Math.sqrt(2 * Math.PI));
                    proposal[i] += Math.log(before / ((before + aim) / 2));
                }
            }
        }
    }

    /**
     * The effect of an addition with which a draw comes to a rung when it was seen; not a number if it was due before.
     */
    private double effectThatBrings(int draw, int addition, MixRecord.Seen next) {
        double at = record.additions().get(addition).minute();
        double left = Math.exp(base[draw] + rungs.get(next.stage())[draw]) - ownTime(draw, at, addition);
        double pace = 0;
        for (int a = 0; a < addition; a++) {
            pace -= effects[a][draw];
        }
        return left <= 0 ? Double.NaN : pace + Math.log((next.minute() - at) / left);
    }

    private static double studentT(Random random) {
        double squares = 0;
        for (int f = 0; f < TAIL_FREEDOM; f++) {
            double z = random.nextGaussian();
            squares += z * z;
        }
        return random.nextGaussian() / Math.sqrt(squares / TAIL_FREEDOM);
    }

    /** Density of Student t with three degrees of freedom. */
    private static double tailDensity(double t) {
        return 2 / (Math.PI * Math.sqrt(3) * Math.pow(1 + t * t / 3, 2));
    }

    /**
     * Moves every draw onto the rungs that were tapped before anything went in. Until then all is linear and normal, so
     * a draw of the prior is made one of the posterior by adding the gain times what it is off by (Matheron's rule).
     */
    private void condition(Random random, TraceKnowledge.Known light) {
        int n = calm.size();
        if (n == 0) {
            return;
        }
        double[][] covariance = new double[n][n];
        double common = light.deviation() * light.deviation();
        double[] own = new double[n];
        for (int j = 0; j < n; j++) {
            own[j] = Math.pow(knowledge.ladder(calm.get(j).stage()).deviation(), 2);
            Arrays.fill(covariance[j], common);
            covariance[j][j] += own[j] + TraceKnowledge.TAPPING * TraceKnowledge.TAPPING;
        }
        DecompositionSolver solver = new CholeskyDecomposition(new Array2DRowRealMatrix(covariance)).getSolver();
        for (int i = 0; i < DRAWS; i++) {
            double[] off = new double[n];
            for (int j = 0; j < n; j++) {
                MixRecord.Seen seen = calm.get(j);
                double told = base[i] + rungs.get(seen.stage())[i] + TraceKnowledge.TAPPING * random.nextGaussian();
                off[j] = Math.log(seen.minute()) - told;
            }
            double[] gain = solver.solve(new ArrayRealVector(off)).toArray();
            base[i] += common * Arrays.stream(gain).sum();
            for (int j = 0; j < n; j++) {
                rungs.get(calm.get(j).stage())[i] += own[j] * gain[j];
            }
        }
    }

    private void weigh() {
        double spread = TraceKnowledge.TAPPING;
        for (int widening = 0; widening < WIDENINGS; widening++) {
            double effective = weigh(spread);
            if (effective >= LEAST_EFFECTIVE) {
                return;
            }
            // Nothing that was thought possible fits what was tapped: then taps are trusted less exactly, not the prior
            // forever.
            spread *= 2;
        }
    }

    private double weigh(double spread) {
        double[] logs = new double[DRAWS];
        double highest = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < DRAWS; i++) {
            double log = proposal[i];
            for (MixRecord.Seen seen :
                    record.stages().subList(calm.size(), record.stages().size())) {
                double off = (Math.log(ownTime(i, seen.minute())) - base[i] - rungs.get(seen.stage())[i]) / spread;
                log -= off * off / 2;
            }
            log += untapped(i, Stage.LIGHT) + untapped(i, Stage.THICK);
            logs[i] = log;
            highest = Math.max(highest, log);
        }
        double total = 0;
        double squares = 0;
        for (int i = 0; i < DRAWS; i++) {
            weights[i] = Math.exp(logs[i] - highest);
            total += weights[i];
            squares += weights[i] * weights[i];
        }
        return total * total / squares;
    }

    private double untapped(int draw, Stage stage) {
        boolean tapped = record.firstAtLeast(stage).isPresent();
        if (tapped) {
            return 0;
        }
        double late = Math.log(Math.max(now, 1e-3) / Math.max(minuteOf(draw, stage), 1e-3));
        return late <= 0 ? 0 : -late * late / (2 * UNTAPPED * UNTAPPED);
    }

    /** A batter's own time at a minute of the clock: it runs on by exp(-effect) after each addition. */
    private double ownTime(int draw, double minute) {
        return ownTime(draw, minute, effects.length);
    }

    /** With the first so many additions alone. */
    private double ownTime(int draw, double minute, int additions) {
        double own = 0;
        double pace = 1;
        double from = 0;
        for (int a = 0; a < additions; a++) {
            double at = Math.min(minute, record.additions().get(a).minute());
            own += pace * (at - from);
            from = at;
            pace *= Math.exp(-effects[a][draw]);
        }
        return Math.max(1e-3, own + pace * Math.max(0, minute - from));
    }

    /** The minute of the clock at which a draw comes to a rung. */
    private double minuteOf(int draw, Stage stage) {
        double goal = Math.exp(base[draw] + rungs.get(stage)[draw]);
        double own = 0;
        double pace = 1;
        double from = 0;
        for (int a = 0; a < effects.length; a++) {
            double at = record.additions().get(a).minute();
            double next = own + pace * (at - from);
            if (next >= goal) {
                break;
            }
            own = next;
            from = at;
            pace *= Math.exp(-effects[a][draw]);
        }
        return from + (goal - own) / pace;
    }

    /**
     * Minutes that are left.
     *
     * @param median middle, 0 if it is there
     * @param band central 80 %
     */
    public record Left(double median, Interval band) {}

    /** Minutes until a rung, from now. */
    public Left until(Stage stage) {
        if (record.firstAtLeast(stage).isPresent()) {
            return new Left(0, Interval.between(0, 0));
        }
        double[] minutes = new double[DRAWS];
        for (int i = 0; i < DRAWS; i++) {
            minutes[i] = Math.max(0, minuteOf(i, stage) - now);
        }
        return new Left(quantile(minutes, 0.5), Interval.between(quantile(minutes, 0.1), quantile(minutes, 0.9)));
    }

    /** Minutes until it will not pour any more. */
    public Left workable() {
        return until(Stage.THICK);
    }

    /** Probability that it comes to a rung within so many minutes. */
    public double probabilityWithin(Stage stage, double minutes) {
        double total = 0;
        double within = 0;
        for (int i = 0; i < DRAWS; i++) {
            total += weights[i];
            within += minuteOf(i, stage) <= now + minutes ? weights[i] : 0;
        }
        return record.firstAtLeast(stage).isPresent() ? 1 : within / total;
    }

    /**
     * What is now believed of something that went in: factor of the minutes that remained after it.
     *
     * @param addition what and when
     * @param factor middle
     * @param band central 80 %
     * @param hurried probability that it hurried the batter at all
     */
    public record Attributed(MixRecord.Addition addition, double factor, Interval band, double hurried) {}

    /** What went in on the way, and what is to be laid to each. */
    public List<Attributed> attributed() {
        List<Attributed> all = new ArrayList<>();
        for (int a = 0; a < effects.length; a++) {
            MixRecord.Addition addition = record.additions().get(a);
            double[] e = effects[a];
            double total = 0;
            double hurried = 0;
            for (int i = 0; i < DRAWS; i++) {
                total += weights[i];
                hurried += e[i] < 0 ? weights[i] : 0;
            }
            all.add(new Attributed(
                    addition,
                    Math.exp(quantile(e, 0.5)),
                    Interval.between(Math.exp(quantile(e, 0.1)), Math.exp(quantile(e, 0.9))),
                    hurried / total));
        }
        return all;
    }

    /** Weighted quantile by halving: a sort of pairs takes ten times as long. */
    private double quantile(double[] values, double q) {
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        double total = 0;
        for (int i = 0; i < DRAWS; i++) {
            low = Math.min(low, values[i]);
            high = Math.max(high, values[i]);
            total += weights[i];
        }
        for (int halving = 0; halving < HALVINGS && high > low; halving++) {
            double middle = (low + high) / 2;
            double below = 0;
            for (int i = 0; i < DRAWS; i++) {
                below += values[i] <= middle ? weights[i] : 0;
            }
            if (below >= q * total) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return high;
    }
}
