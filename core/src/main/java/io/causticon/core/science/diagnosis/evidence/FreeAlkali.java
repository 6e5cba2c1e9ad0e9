package io.causticon.core.science.diagnosis.evidence;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.GelExtent;
import io.causticon.core.model.log.Titration;
import io.causticon.core.model.plan.Alkali;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * What all titrations of one soap come to together. Free alkali at a time t is what has not reacted yet and what the
 * fats cannot take, {@code F(t) = (1 - x(t)) A0 + E}: what is read of young soap says little of what stays, and each
 * reading has an error. What air binds at the face is left out, which is the safe side for samples from the core.
 *
 * @param percent per cent NaOH of the soap's mass, each reading weighed by its error
 * @param readings how many there are of soap that has reacted
 */
public record FreeAlkali(Estimate percent, int readings) {

    /**
     * Free caustic alkali as NaOH that toilet soap may hold, per cent of its mass, by ISO 456 (IS 2888:2004 and others
     * set this limit).
     */
    public static final double LIMIT_PERCENT = 0.05;

    /**
     * Of a result that was told without how it was found: a drop, and a share of what is found (judgements). Per cent
     * NaOH, one standard deviation.
     */
    private static final double DROP = .05;

    private static final double SHARE = .15;

    /** No titration at a kitchen table is better than that (a judgement). Per cent NaOH. */
    private static final double LEAST_ERROR = .015;

    /** What has not reacted, decimal logarithm, after a day, three and seven at 20 C without gel (judgements, wide). */
    private static final double[] DAYS = {0, 1, 3, 7};

    private static final double[] UNREACTED = {0, -1.52, -2.3, -3};

    /** With gel all through, or cooked, it is as far after a day as otherwise after seven. */
    private static final double GELLED_RUNS_FASTER = 7;

    /** Where more than this has not reacted soap is young. */
    private static final double YOUNG_SHARE = .01;

    private static final double SECONDS_A_DAY = 86_400;
    private static final double ROUNDING = 1e-9;

    /** Joined from every titration that says anything; empty where there is none. */
    public static Optional<FreeAlkali> of(BatchFacts facts) {
        double weight = 0;
        double sum = 0;
        int readings = 0;
        for (BatchLog.Timed<Entry.Titrated> t : said(facts)) {
            double error = error(t.entry());
            double young = youngPercent(facts, t.at());
            double variance = error * error + young * young;
            weight += 1 / variance;
            sum += Math.max(0, t.entry().freeAlkaliPercent() - young) / variance;
            readings++;
        }
        return readings == 0
                ? Optional.empty()
                : Optional.of(new FreeAlkali(new Estimate(sum / weight, Math.sqrt(1 / weight)), readings));
    }

    private static List<BatchLog.Timed<Entry.Titrated>> said(BatchFacts facts) {
        return facts.log()
                .of(Entry.Titrated.class)
                .filter(t -> facts.isMeasurement(t.at()))
                .toList();
    }

    /** Whether it is within the limit, by the best estimate. */
    boolean isWithinLimit() {
        return percent.value() <= LIMIT_PERCENT;
    }

    /** Whether it is beyond the limit by more than its error. */
    boolean isBeyondLimit() {
        return percent.value() - percent.standardDeviation() > LIMIT_PERCENT;
    }

    /** Whether one reading by itself is beyond the limit by more than its error, of soap of that age. */
    static boolean isBeyondLimit(Entry.Titrated titrated, BatchFacts facts, Instant at) {
        double young = isYoung(facts, at) ? youngPercent(facts, at) : 0;
        return titrated.freeAlkaliPercent() - young - smallestError(titrated) >= LIMIT_PERCENT - ROUNDING;
    }

    /** One standard deviation of a titration, per cent NaOH. */
    static double error(Entry.Titrated titrated) {
        return titrated.by() == null ? Math.hypot(DROP, SHARE * titrated.freeAlkaliPercent()) : smallestError(titrated);
    }

    /** Of a titration that found nothing, per cent NaOH: a drop, where nobody said how it was done. */
    static double smallestError(Entry.Titrated titrated) {
        Titration by = titrated.by();
        return by == null ? DROP : Math.max(LEAST_ERROR, by.freeAlkaliPercent().standardDeviation());
    }

    /**
     * Free alkali that is there only because soap is young, per cent NaOH of its mass; all of it before lye met fats.
     */
    static double youngPercent(BatchFacts facts, Instant at) {
        return unreacted(facts, at) * weighedPercent(facts.weightsNow());
    }

    private static double weighedPercent(Weights weights) {
        double naoh = weights.allFats()
                .mapToDouble(f -> f.alkaliMoles() * Alkali.NAOH.molarMass())
                .sum();
        double total = weights.total().grams();
        return total > 0 ? 100 * naoh / total : 0;
    }

    /**
     * Share of the alkali that has not reacted, 0 to 1; nothing where nobody knows when lye met the fats. What scraps
     * brought with them reacted long ago, and what was melted down as well.
     */
    static double unreacted(BatchFacts facts, Instant at) {
        Optional<Instant> since = facts.soapSince();
        if (since.isEmpty() || facts.plan().isRework() || facts.rebatchedAt().isPresent()) {
            return 0;
        }
        double days = Duration.between(since.get(), at).toSeconds() / SECONDS_A_DAY;
        boolean fast = facts.isCookedThrough()
                || facts.gel().filter(g -> g == GelExtent.FULL).isPresent();
        return Math.pow(10, exponent(Math.max(0, days) * (fast ? GELLED_RUNS_FASTER : 1)));
    }

    /** Whether what burns may say no more than that soap is young. */
    static boolean isYoung(BatchFacts facts, Instant at) {
        return unreacted(facts, at) > YOUNG_SHARE;
    }

    /** Straight between the points, and on as steeply behind the last. */
    private static double exponent(double days) {
        int i = 1;
        while (i < DAYS.length - 1 && days > DAYS[i]) {
            i++;
        }
        return UNREACTED[i - 1] + (days - DAYS[i - 1]) / (DAYS[i] - DAYS[i - 1]) * (UNREACTED[i] - UNREACTED[i - 1]);
    }
}
