package io.causticon.core.science.loaf;

import io.causticon.core.quantity.LeastSquares;
import java.util.List;
import java.util.Optional;

/**
 * The model of the loaf fitted to what was read in its middle: the loss of the mould, the rate of the batter and how
 * far it had reacted at the pour, with the priors that they had (Levenberg-Marquardt on weighted residuals, the inverse
 * of the normal matrix for the spread). A reading that is far off counts for little, and readings that no such loaf
 * explains change nothing.
 */
public final class LoafFit {

    /**
     * A reading in the middle.
     *
     * @param hours after the pour
     * @param celsius what was read
     */
    public record Reading(double hours, double celsius) {}

    /** Fewer are not enough to tell a loss from a rate, nor a slip of the probe from either. */
    public static final int FEWEST = 3;

    /** K: a thermometer's 0.7 and a tip that is not quite in the middle (a judgement). */
    private static final double NOISE = 1.5;

    /** Residuals beyond so many standard deviations grow with their logarithm only. */
    private static final double ROBUST_FROM = 2;

    /** Root mean square of the residuals, in standard deviations, above which nothing is believed of the readings. */
    private static final double EXPLAINED = 2.5;

    /** Of the share that had reacted at the pour, as a logarithm: between a thin and a thick trace (a judgement). */
    private static final double CONVERTED_SPREAD = 0.45;

    private static final double STEP = 0.02;
    private static final int EVALUATIONS = 40;
    private static final double MARGIN_HOURS = 0.25;
    private static final double CLOSE = 1e-3;
    private static final int PRIORS = 3;
    private static final double MOST_CONVERTED = 0.3;

    private final LoafSetup setup;
    private final List<Reading> readings;
    private final LoafHeat.Span span;

    private LoafFit(LoafSetup setup, List<Reading> readings) {
        this.setup = setup;
        this.readings = readings;
        this.span = LoafHeat.Span.untilCold(
                readings.stream().mapToDouble(Reading::hours).max().orElseThrow() + MARGIN_HOURS);
    }

    /**
     * What is to be expected of the loaf after its readings, from what was expected of it before.
     *
     * @param readings after the pour, in any order
     * @return the loaf as it most likely is, with what is to be expected of it now; empty with fewer than
     *     {@link #FEWEST} readings, and where no such loaf has them
     */
    public static Optional<LoafSetup> of(LoafSetup setup, List<Reading> readings) {
        return readings.size() < FEWEST ? Optional.empty() : new LoafFit(setup, readings).fitted();
    }

    private Optional<LoafSetup> fitted() {
        LoafExpectation before = setup.expected();
        LeastSquares found = LeastSquares.of(
                this::residuals,
                new double[] {before.logLoss(), before.logRate(), 0},
                new LeastSquares.Search(STEP, CLOSE, EVALUATIONS));
        double[] best = found.best();
        if (offBy(best) > EXPLAINED) {
            return Optional.empty();
        }
        return Optional.of(setup.pouredAt(converted(best))
                .expecting(new LoafExpectation(
                        best[0],
                        Math.sqrt(found.covariance().getEntry(0, 0)),
                        best[1],
                        Math.sqrt(found.covariance().getEntry(1, 1)))));
    }

    private double offBy(double[] p) {
        double[] off = off(p);
        double sum = 0;
        for (double o : off) {
            sum += o * o;
        }
        return Math.sqrt(sum / off.length);
    }

    private double[] residuals(double[] p) {
        LoafExpectation before = setup.expected();
        double[] off = off(p);
        double[] r = new double[off.length + PRIORS];
        for (int i = 0; i < off.length; i++) {
            r[i] = robust(off[i]);
        }
        r[off.length] = (p[0] - before.logLoss()) / before.lossSpread();
        r[off.length + 1] = (p[1] - before.logRate()) / before.rateSpread();
        r[off.length + 2] = p[2] / CONVERTED_SPREAD;
        return r;
    }

    /** How far each reading is from the model, in standard deviations. */
    private double[] off(double[] p) {
        LoafDraw run = LoafHeat.draw(
                setup.pouredAt(converted(p)).with(setup.batter().with(1, 0, Math.exp(p[1])), Math.exp(p[0])),
                span,
                LoafHeat.Parameters.USUAL,
                LoafHeat.Resolution.COARSE);
        return readings.stream()
                .mapToDouble(r -> (run.coreCelsiusAt(r.hours()) - r.celsius()) / NOISE)
                .toArray();
    }

    private double converted(double[] p) {
        return Math.min(MOST_CONVERTED, setup.converted() * Math.exp(p[2]));
    }

    /** As a Cauchy distribution would have it. */
    private static double robust(double off) {
        return Math.signum(off) * ROBUST_FROM * Math.sqrt(Math.log1p(off * off / (ROBUST_FROM * ROBUST_FROM)));
    }
}
