package io.causticon.core.science.making;

import io.causticon.core.model.log.Stage;
import io.causticon.core.model.substance.Additive;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/**
 * What is known of how batters come to trace: the prior of {@link Term}, of the ladder and of the tables of additives,
 * corrected by the workshop's own batches.
 *
 * <p>One regression on the logarithm of minutes holds all of it. A batch gives up to three kinds of rows: its time to
 * light trace (or to the rung that was tapped nearest to it), with everything in it from the start; the ratio of other
 * rungs to that; and for something that went in on the way, how the minutes that remained to the next rung compare with
 * what was to be expected without it, with the uncertainty of that expectation.
 */
public final class TraceKnowledge {

    /** Error of one batch around the forecast that its terms give, logarithm. */
    static final double NOISE = 0.30;

    /** Half the number of batches that {@link #NOISE} stands for. */
    private static final double NOISE_SHAPE = 10;

    /** A rung is tapped early or late by about this, logarithm. */
    static final double TAPPING = 0.12;

    private static final double LOT_DEVIATION = 0.15;

    /**
     * As many as a workshop has open in a year or two; a regression whose columns grew with every lot would take longer
     * with each.
     */
    static final int MOST_LOTS = 60;

    /** Error of a rung's place on the ladder in one batch, as a multiple of the variance from batch to batch. */
    private static final double LADDER_VARIANCE = 1;

    /** A tap soon after an addition is early or late by about this, logarithm of the minutes since. */
    private static final double SOON_TAPPING = 0.25;

    /** A rung that was due within this part of its whole time tells nothing of an addition. */
    private static final double LEAST_LEFT = 0.12;

    /** Nobody taps sooner than this after an addition, min. */
    private static final double SOONEST = 0.3;

    private static final Map<Stage, double[]> LADDER = ladder();

    /** What is believed before any batch was logged. */
    public static final TraceKnowledge PRIOR = learned(List.of());

    private final Columns columns;
    private final RobustRegression fit;
    private final int batches;

    private TraceKnowledge(Columns columns, RobustRegression fit, int batches) {
        this.columns = columns;
        this.fit = fit;
        this.batches = batches;
    }

    /**
     * Middle and deviation, before any batch: for rungs before light trace of ln(minutes to it / minutes to light
     * trace), for those after it of ln(minutes from light trace to it / minutes to light trace), so that a later rung
     * never comes before.
     */
    private static Map<Stage, double[]> ladder() {
        Map<Stage, double[]> ladder = new EnumMap<>(Stage.class);
        for (TraceRung rung : TraceRung.values()) {
            ladder.put(rung.stage(), new double[] {rung.ladder(), rung.deviation()});
        }
        return ladder;
    }

    /** ln(minutes to a rung / minutes to light trace) where the ladder has this value. */
    static double logRatio(Stage stage, double ladder) {
        return stage.compareTo(Stage.LIGHT) > 0 ? Math.log1p(Math.exp(ladder)) : ladder;
    }

    /** A middle with its central 80 %, of a logarithm. */
    public record Known(double middle, double deviation, double low, double high) {

        static Known of(RobustRegression.Belief b) {
            double half = b.half(0.8);
            return new Known(b.middle(), b.standardDeviation(), b.middle() - half, b.middle() + half);
        }
    }

    /** The columns of the regression: terms, rungs, then ingredients and lots as they turn up. */
    private static final class Columns {

        private final List<Double> means = new ArrayList<>();
        private final List<Double> deviations = new ArrayList<>();
        private final Map<String, Integer> byName = new LinkedHashMap<>();
        private int lots;

        Columns() {
            for (Term term : Term.values()) {
                add(term.name(), term.mean(), term.deviation());
            }
            LADDER.forEach((stage, prior) -> {
                if (stage != Stage.LIGHT) {
                    add(stage.name(), prior[0], prior[1]);
                }
            });
        }

        /** As they are now: a fit knows only the columns it was made with. */
        Columns copy() {
            Columns copy = new Columns();
            byName.forEach((name, j) -> copy.add(name, means.get(j), deviations.get(j)));
            copy.lots = lots;
            return copy;
        }

        int add(String name, double mean, double deviation) {
            return byName.computeIfAbsent(name, n -> {
                means.add(mean);
                deviations.add(deviation);
                return means.size() - 1;
            });
        }

        int ingredient(Additive additive) {
            double[] prior = priorOf(additive);
            return add("ingredient " + additive.id(), prior[0], prior[1]);
        }

        /** Empty for a lot that came after as many as are kept apart. */
        OptionalInt lot(Additive additive, String lot) {
            String name = "lot " + additive.id() + " " + lot;
            if (!byName.containsKey(name) && lots == MOST_LOTS) {
                return OptionalInt.empty();
            }
            lots += byName.containsKey(name) ? 0 : 1;
            return OptionalInt.of(add(name, 0, LOT_DEVIATION));
        }
    }

    /**
     * What an additive does to the logarithm of the minutes that remain, before any batch of this workshop: by the
     * effects that its table names.
     */
    static double[] priorOf(Additive a) {
        if (a.isMover()) {
            return new double[] {-1.2, 0.7};
        }
        if (a.effects().contains("slows")) {
            return new double[] {0.2, 0.3};
        }
        if (a.isMildMover() && !a.effects().contains("absorbs_water")) {
            return new double[] {-0.35, 0.4};
        }
        return a.isFragrance() ? new double[] {-0.15, 0.6} : new double[] {0, 0.15};
    }

    /**
     * Learns from batches. The lots of those that come first are kept apart, up to {@link #MOST_LOTS}: give the
     * youngest first, and the lots that stand on the shelf are among them. What an older lot did counts for its
     * ingredient, with the spread that lots have.
     */
    public static TraceKnowledge learned(List<MixRecord> batches) {
        Columns columns = new Columns();
        List<SparseRow> rows = new ArrayList<>();
        int counted = 0;
        for (MixRecord batch : batches) {
            List<SparseRow> told = calmRows(columns, batch);
            rows.addAll(told);
            counted += told.isEmpty() ? 0 : 1;
        }
        // What an addition did shows only against what was to be expected without it, so that comes first.
        TraceKnowledge calm = fitted(columns, rows, counted);
        for (MixRecord batch : batches) {
            for (int i = 0; i < batch.additions().size(); i++) {
                addition(columns, calm, batch, i, rows);
            }
        }
        return fitted(columns, rows, counted);
    }

    private record SparseRow(Map<Integer, Double> x, double y, double variance) {

        RobustRegression.Row dense(int width) {
            double[] all = new double[width];
            x.forEach((j, v) -> all[j] = v);
            return new RobustRegression.Row(all, y, variance);
        }
    }

    private static TraceKnowledge fitted(Columns columns, List<SparseRow> rows, int batches) {
        int width = columns.means.size();
        return new TraceKnowledge(
                columns.copy(),
                RobustRegression.fit(
                        columns.means.stream().mapToDouble(Double::doubleValue).toArray(),
                        columns.deviations.stream()
                                .mapToDouble(Double::doubleValue)
                                .toArray(),
                        NOISE,
                        NOISE_SHAPE,
                        rows.stream().map(r -> r.dense(width)).toList()),
                batches);
    }

    /** Time to light trace, and how other rungs stand to it, before anything went in on the way. */
    private static List<SparseRow> calmRows(Columns columns, MixRecord batch) {
        List<SparseRow> rows = new ArrayList<>();
        List<MixRecord.Seen> calm = batch.seenBefore(0);
        MixRecord.Seen anchor = calm.stream()
                .min(Comparator.comparingDouble(s -> Math.abs(logRatio(s.stage(), LADDER.get(s.stage())[0]))))
                .orElse(null);
        if (anchor == null) {
            return rows;
        }
        double[] prior = LADDER.get(anchor.stage());
        double ratio = logRatio(anchor.stage(), prior[0]);
        double doubt = anchor.stage() == Stage.LIGHT
                ? 0
                : square(slope(anchor.stage(), prior[0])) * (square(prior[1] / NOISE) + LADDER_VARIANCE);
        rows.add(new SparseRow(base(columns, batch.situation()), Math.log(anchor.minute()) - ratio, 1 + doubt));
        if (anchor.stage() == Stage.LIGHT) {
            for (MixRecord.Seen other : calm) {
                double ladder = other.minute() / anchor.minute();
                double spaced = other.stage().compareTo(Stage.LIGHT) > 0 ? ladder - 1 : ladder;
                if (other != anchor && spaced > 0) {
                    rows.add(new SparseRow(
                            new LinkedHashMap<>(
                                    Map.of(columns.byName.get(other.stage().name()), 1.0)),
                            Math.log(spaced),
                            LADDER_VARIANCE));
                }
            }
        }
        return rows;
    }

    /** How much the logarithm of a rung's minutes follows its place on the ladder. */
    private static double slope(Stage stage, double ladder) {
        return stage.compareTo(Stage.LIGHT) > 0 ? Math.exp(ladder) / (1 + Math.exp(ladder)) : 1;
    }

    /**
     * ln(minutes that remained) against what was to be expected, linear in the effect and in how far the rung is from
     * light trace: that is not known for sure either, and wrong in the same direction for all batches, so it must not
     * pass for the ingredient's doing.
     */
    private static void addition(Columns columns, TraceKnowledge calm, MixRecord batch, int i, List<SparseRow> rows) {
        MixRecord.Addition addition = batch.additions().get(i);
        MixRecord.Seen next = batch.firstAfter(i).orElse(null);
        if (next == null) {
            return;
        }
        double paceBefore = 0;
        double ownTime = 0;
        double from = 0;
        for (int earlier = 0; earlier < i; earlier++) {
            MixRecord.Addition e = batch.additions().get(earlier);
            ownTime += Math.exp(paceBefore) * (e.minute() - from);
            from = e.minute();
            paceBefore -= calm.effect(e.additive(), e.lot(), e.strength()).middle();
        }
        ownTime += Math.exp(paceBefore) * (addition.minute() - from);
        Pace pace = calm.pace(batch, batch.seenBefore(0));
        double ladder = next.stage() == Stage.LIGHT
                ? 0
                : calm.fit.coefficient(columns.byName.get(next.stage().name())).middle();
        double goal = Math.exp(pace.middle() + logRatio(next.stage(), ladder));
        double left = goal - ownTime;
        if (left < LEAST_LEFT * goal) {
            // It was due at any moment; how soon it came tells nothing.
            return;
        }
        double byPace = goal / left;
        double byLadder = next.stage() == Stage.LIGHT ? 0 : byPace * slope(next.stage(), ladder);
        Map<Integer, Double> x = new LinkedHashMap<>();
        x.put(columns.ingredient(addition.additive()), addition.strength());
        OptionalInt lot =
                addition.lot() == null ? OptionalInt.empty() : columns.lot(addition.additive(), addition.lot());
        lot.ifPresent(j -> x.put(j, addition.strength()));
        double apart = addition.lot() != null && lot.isEmpty() ? square(LOT_DEVIATION * addition.strength()) : 0;
        if (byLadder > 0) {
            x.put(columns.byName.get(next.stage().name()), byLadder);
        }
        double observed = Math.log(Math.max(SOONEST, next.minute() - addition.minute()));
        double expected = Math.log(left) - paceBefore;
        double variance = square(byPace * pace.deviation())
                + LADDER_VARIANCE * square(NOISE * byLadder)
                + square(SOON_TAPPING)
                + apart;
        rows.add(new SparseRow(x, observed - expected + byLadder * ladder, variance / square(NOISE)));
    }

    /** A batch's own ln(minutes to light trace), with the rungs that were tapped taken in. */
    record Pace(double middle, double deviation) {}

    Pace pace(MixRecord batch, List<MixRecord.Seen> seen) {
        Known prior = logMinutes(batch.situation());
        double precision = 1 / square(prior.deviation());
        double weighted = precision * prior.middle();
        for (MixRecord.Seen s : seen) {
            Known rung = ladder(s.stage());
            double told = 1 / (square(slope(s.stage(), rung.middle()) * rung.deviation()) + square(TAPPING));
            precision += told;
            weighted += told * (Math.log(s.minute()) - logRatio(s.stage(), rung.middle()));
        }
        return new Pace(weighted / precision, Math.sqrt(1 / precision));
    }

    private static Map<Integer, Double> base(Columns columns, Situation situation) {
        Map<Integer, Double> x = new LinkedHashMap<>();
        situation.values().forEach((term, value) -> x.put(columns.byName.get(term.name()), value));
        situation.fromStart().forEach(a -> x.put(columns.ingredient(a.additive()), a.strength()));
        return x;
    }

    /** How many batches it learned from. */
    public int batches() {
        return batches;
    }

    /** ln(minutes from lye-in to light trace), with everything that is in from the start. */
    public Known logMinutes(Situation situation) {
        return Known.of(next(situation));
    }

    private RobustRegression.Belief next(Situation situation) {
        double unknown = situation.fromStart().stream()
                .filter(a -> !isKnown(a))
                .mapToDouble(a -> square(a.strength() * priorOf(a.additive())[1]))
                .sum();
        double shift = situation.fromStart().stream()
                .filter(a -> !isKnown(a))
                .mapToDouble(a -> a.strength() * priorOf(a.additive())[0])
                .sum();
        RobustRegression.Belief b = fit.next(known(situation), 1 + unknown / square(fit.noise()));
        return new RobustRegression.Belief(b.middle() + shift, b.scale(), b.freedom());
    }

    private boolean isKnown(Dosed dosed) {
        return columns.byName.containsKey("ingredient " + dosed.additive().id());
    }

    private double[] known(Situation situation) {
        double[] x = new double[columns.means.size()];
        situation.values().forEach((term, value) -> x[columns.byName.get(term.name())] = value);
        situation.fromStart().forEach(a -> {
            Integer j = columns.byName.get("ingredient " + a.additive().id());
            if (j != null) {
                x[j] = a.strength();
            }
        });
        return x;
    }

    /** Where a rung of one batch stands on the ladder; {@link #logRatio} makes it a ratio of minutes. */
    Known ladder(Stage stage) {
        if (stage == Stage.LIGHT) {
            return new Known(0, 0, 0, 0);
        }
        RobustRegression.Belief b = fit.coefficient(columns.byName.get(stage.name()));
        return normal(b.middle(), Math.hypot(b.standardDeviation(), fit.noise() * Math.sqrt(LADDER_VARIANCE)));
    }

    /**
     * What an additive at its usual dose, of a lot if one is said, does to the logarithm of the minutes that remain.
     *
     * @param lot label, null for any
     */
    public Known effect(Additive additive, @Nullable String lot) {
        return effect(additive, lot, 1);
    }

    /**
     * The same at another dose.
     *
     * @param strength its dose against the usual one, see {@link Dosed}
     */
    Known effect(Additive additive, @Nullable String lot, double strength) {
        Integer ingredient = columns.byName.get("ingredient " + additive.id());
        double[] prior = priorOf(additive);
        if (ingredient == null) {
            return normal(strength * prior[0], strength * Math.hypot(prior[1], lot == null ? 0 : LOT_DEVIATION));
        }
        double[] x = new double[columns.means.size()];
        x[ingredient] = strength;
        Integer ofLot = lot == null ? null : columns.byName.get("lot " + additive.id() + " " + lot);
        if (ofLot != null) {
            x[ofLot] = strength;
        }
        Known known = Known.of(fit.combination(x));
        return lot == null || ofLot != null
                ? known
                : normal(known.middle(), Math.hypot(known.deviation(), strength * LOT_DEVIATION));
    }

    /** What a term does to the logarithm of the minutes in a situation. */
    double moved(Term term, Situation situation) {
        return fit.coefficient(columns.byName.get(term.name())).middle()
                * situation.values().getOrDefault(term, 0.0);
    }

    /** A term's coefficient, for what is learned of it. */
    Known coefficient(Term term) {
        return Known.of(fit.coefficient(columns.byName.get(term.name())));
    }

    /** A coefficient by its name, for checks. */
    RobustRegression.Belief belief(String column) {
        return fit.coefficient(columns.byName.get(column));
    }

    private static Known normal(double mean, double deviation) {
        double half = 1.2816 * deviation;
        return new Known(mean, deviation, mean - half, mean + half);
    }

    private static double square(double x) {
        return x * x;
    }
}
