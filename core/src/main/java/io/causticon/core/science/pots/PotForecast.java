package io.causticon.core.science.pots;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Memo;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * Where a lye pot is going, from the model and from what was read so far.
 *
 * <p>A hundred runs with heat, losses, dissolving and melting drawn around their usual values; each is weighed by how
 * well it meets the readings (normal, 1.5 K for thermometer and stirring, wider as long as fewer than eight runs would
 * count), and what is left of the difference at the last reading fades out over ten minutes. Without readings it is the
 * model's own spread.
 */
public final class PotForecast {

    /**
     * A reading of the liquor.
     *
     * @param minute since the first lye went in
     * @param celsius what was read
     */
    public record Reading(double minute, double celsius) {}

    /** Plan, sheet and bench ask for the same pot many times while one reading after another comes in. */
    private static final Memo<Asked, List<LyePotCurve>> LAST = new Memo<>(8);

    private record Asked(LyePotSetup setup, double minutes) {}

    private static final int RUNS = 100;
    private static final long SEED = 8424;
    private static final double LOG_HEAT = 0.03;
    private static final double LOG_LOSS = 0.25;
    private static final double LOG_DISSOLVING = 0.35;
    private static final double LOG_MELTING = 0.40;
    private static final double READING_SIGMA = 1.5;
    private static final double LEAST_EFFECTIVE = 8;
    private static final double FADES = 10;

    private final List<LyePotCurve> curves;
    private final double[] weights;
    private final double[] offsets;
    private final double lastMinute;
    private final double[] peaks;

    private PotForecast(List<LyePotCurve> curves, List<Reading> readings) {
        this.curves = curves;
        this.weights = weigh(readings);
        Reading last = readings.stream()
                .max(Comparator.comparingDouble(Reading::minute))
                .orElse(null);
        this.lastMinute = last == null ? 0 : last.minute();
        this.offsets = curves.stream()
                .mapToDouble(c -> last == null ? 0 : last.celsius() - c.celsiusAt(last.minute()))
                .toArray();
        this.peaks = peaks();
    }

    /**
     * @param setup the pot as far as it is known
     * @param minutes how far to look from the first lye
     * @param readings in any order; may be empty
     */
    public static PotForecast of(LyePotSetup setup, double minutes, List<Reading> readings) {
        return new PotForecast(LAST.get(new Asked(setup, minutes), PotForecast::run), readings);
    }

    private static List<LyePotCurve> run(Asked asked) {
        Random random = new Random(SEED);
        List<LyePotRun.Variation> variations = IntStream.range(0, RUNS)
                .mapToObj(i -> new LyePotRun.Variation(
                        Math.exp(LOG_HEAT * random.nextGaussian()),
                        Math.exp(LOG_LOSS * random.nextGaussian()),
                        Math.exp(LOG_DISSOLVING * random.nextGaussian()),
                        Math.exp(LOG_MELTING * random.nextGaussian())))
                .toList();
        // Somebody stands there with lye in the spoon: all processors at once.
        return variations.parallelStream()
                .map(v -> LyePotRun.run(asked.setup, asked.minutes, v))
                .toList();
    }

    /** Central 80 % of the temperature at a minute, C. */
    public Interval band(double minute) {
        return middleOf80(
                IntStream.range(0, RUNS).mapToDouble(i -> corrected(i, minute)).toArray());
    }

    /** Median temperature at a minute, C. */
    public double middle(double minute) {
        return quantile(
                IntStream.range(0, RUNS).mapToDouble(i -> corrected(i, minute)).toArray(), 0.5);
    }

    /** Median of the highest temperature that is still to come, C. */
    public double peakCelsiusAhead() {
        return quantile(peaks, 0.5);
    }

    /** Central 80 % of the highest temperature that is still to come, C. */
    public Interval peakBand() {
        return middleOf80(peaks);
    }

    /** Probability that it will be above a limit, from now on. */
    public double probabilityAbove(double limit) {
        double above = 0;
        for (int i = 0; i < RUNS; i++) {
            above += peaks[i] > limit ? weights[i] : 0;
        }
        return above;
    }

    /** Median minute at which all but a hundredth of the lye is dissolved; infinite if that is not to come. */
    public double dissolvedMinute() {
        return quantile(
                curves.stream().mapToDouble(LyePotCurve::dissolvedMinute).toArray(), 0.5);
    }

    /** Minutes until the median passes a limit; infinite if it does not. */
    public double minuteAbove(double limit) {
        for (double minute = lastMinute; minute <= curves.get(0).minutes(); minute += 0.25) {
            if (middle(minute) > limit) {
                return minute;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    public double minutes() {
        return curves.get(0).minutes();
    }

    private double corrected(int run, double minute) {
        double faded = minute <= lastMinute ? 1 : Math.exp(-(minute - lastMinute) / FADES);
        return curves.get(run).celsiusAt(minute) + offsets[run] * faded;
    }

    private double[] peaks() {
        return IntStream.range(0, RUNS)
                .mapToDouble(i -> {
                    double peak = corrected(i, lastMinute);
                    for (double m = lastMinute; m <= curves.get(i).minutes(); m += 0.5) {
                        peak = Math.max(peak, corrected(i, m));
                    }
                    return peak;
                })
                .toArray();
    }

    private double[] weigh(List<Reading> readings) {
        double sigma = READING_SIGMA;
        double[] weighed = weigh(readings, sigma);
        while (effective(weighed) < LEAST_EFFECTIVE && sigma < 50) {
            sigma *= 1.5;
            weighed = weigh(readings, sigma);
        }
        return weighed;
    }

    private double[] weigh(List<Reading> readings, double sigma) {
        double[] weighed = new double[curves.size()];
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < weighed.length; i++) {
            for (Reading reading : readings) {
                double z = (reading.celsius() - curves.get(i).celsiusAt(reading.minute())) / sigma;
                weighed[i] -= z * z / 2;
            }
            most = Math.max(most, weighed[i]);
        }
        double sum = 0;
        for (int i = 0; i < weighed.length; i++) {
            weighed[i] = Math.exp(weighed[i] - most);
            sum += weighed[i];
        }
        for (int i = 0; i < weighed.length; i++) {
            weighed[i] /= sum;
        }
        return weighed;
    }

    /** How many runs carry the weight (Kish's effective sample size). */
    private static double effective(double[] weighed) {
        return 1 / Arrays.stream(weighed).map(w -> w * w).sum();
    }

    private Interval middleOf80(double[] values) {
        int[] order = ascending(values);
        return Interval.between(quantile(values, order, 0.1), quantile(values, order, 0.9));
    }

    private double quantile(double[] values, double part) {
        return quantile(values, ascending(values), part);
    }

    private double quantile(double[] values, int[] order, double part) {
        double sum = 0;
        for (int i : order) {
            sum += weights[i];
            if (sum >= part) {
                return values[i];
            }
        }
        return values[order[order.length - 1]];
    }

    /**
     * Places of the values from the lowest to the highest; by insertion, which for a hundred is faster than boxing
     * them.
     */
    private static int[] ascending(double[] values) {
        int[] order = new int[values.length];
        for (int i = 0; i < values.length; i++) {
            int at = i;
            while (at > 0 && values[order[at - 1]] > values[i]) {
                order[at] = order[at - 1];
                at--;
            }
            order[at] = i;
        }
        return order;
    }
}
