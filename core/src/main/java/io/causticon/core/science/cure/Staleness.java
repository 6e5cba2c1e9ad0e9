package io.causticon.core.science.cure;

import io.causticon.core.model.log.BarStock;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.substance.FattyAcid;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.formula.Composition;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How long bars keep before orange dots and the smell of crayons come. Unsaturated fat takes up oxygen: oleic, linoleic
 * and linolenic acid as 1 to 10.3 to 21.6 (Fatemi and Hammond, Lipids 15, 1980), whatever is left as fat most of all,
 * half as fast with every ten kelvins less. How many months that comes to is a judgement, wide on purpose: factor two
 * either way holds four bars of five.
 *
 * @param from when the earliest of ten such bars may show it
 * @param likely when half of them do
 * @param to when nine of ten do
 * @param because what shortens it, the worst first
 */
public record Staleness(Instant from, Instant likely, Instant to, List<Phrase> because) {

    private static final Map<FattyAcid, Double> TAKES_UP = Map.of(
            FattyAcid.OLEIC,
            1.0,
            FattyAcid.LINOLEIC,
            10.3,
            FattyAcid.ALPHA_LINOLENIC,
            21.6,
            FattyAcid.GAMMA_LINOLENIC,
            21.6);

    /** Of soap, as if so much of its fat were free (a judgement: soap of linoleic acid yellows, too, only later). */
    private static final double BOUND_COUNTS = 0.05;

    /**
     * Days at 20 C of a bar in which acids times free fat come to one (a judgement: 24 months of a plain olive bar at 5
     * %).
     */
    private static final double DAYS = 98;

    /** Of a logarithm: 1.282 of it are factor two. */
    private static final double SPREAD = 0.54;

    private static final double SIGMAS_OF_A_TENTH = 1.2816;
    private static final double MOST_DAYS = 3650;
    private static final double REFERENCE = 20;
    private static final double KELVINS_THAT_DOUBLE = 10;

    /** What holds metals, and what catches radicals: each so much longer (judgements). */
    private static final double HELD_LONGER = 1.4;

    private static final double MUCH_POLY = 0.15;
    private static final double MUCH_SUPERFAT = 0.07;
    private static final Set<String> PROTECTING = Set.of("chelator", "antioxidant");
    private static final Set<String> SIGNS = Set.of("orange-dots", "crayon-smell");
    private static final double SECONDS_A_DAY = 86_400;

    /** Dots grow over weeks. */
    private static final Duration AGAIN_AFTER = Duration.ofDays(56);

    public Staleness {
        because = List.copyOf(because);
    }

    /**
     * Of a batch.
     *
     * @param plan as it was made
     * @return empty before the pour
     */
    public static Optional<Staleness> of(BatchPlan plan, BatchLog log) {
        BatchFacts facts = BatchFacts.of(plan, log, Instant.MAX);
        Weights weights = facts.weightsNow();
        List<FatPortion> fats = weights.allFats().toList();
        if (facts.poured().isEmpty() || fats.isEmpty()) {
            return Optional.empty();
        }
        double superfat = Math.max(0, facts.asWeighed().superfat().value());
        Temperature room = facts.room().orElse(Temperature.celsius(REFERENCE));
        double acids = TAKES_UP.entrySet().stream()
                .mapToDouble(
                        a -> a.getValue() * Composition.ofAcid(fats, a.getKey()).fraction())
                .sum();
        double days = DAYS
                / Math.max(1e-6, acids * (superfat + BOUND_COUNTS))
                * Math.pow(2, (REFERENCE - room.celsius()) / KELVINS_THAT_DOUBLE);
        long held = weights.additives().stream()
                .map(a -> a.additive().kind())
                .filter(PROTECTING::contains)
                .distinct()
                .count();
        days *= Math.pow(HELD_LONGER, held);
        Instant begin = facts.poured().get();
        return Optional.of(new Staleness(
                after(begin, days * Math.exp(-SIGMAS_OF_A_TENTH * SPREAD)),
                after(begin, days),
                after(begin, days * Math.exp(SIGMAS_OF_A_TENTH * SPREAD)),
                reasons(fats, superfat, room, held)));
    }

    private static Instant after(Instant begin, double days) {
        return begin.plus(Duration.ofSeconds(Math.round(SECONDS_A_DAY * Math.min(MOST_DAYS, days))));
    }

    private static List<Phrase> reasons(List<FatPortion> fats, double superfat, Temperature room, long held) {
        List<Phrase> because = new ArrayList<>();
        double poly = Composition.ofAcid(fats, FattyAcid.LINOLEIC).fraction()
                + Composition.ofAcid(fats, FattyAcid.ALPHA_LINOLENIC).fraction()
                + Composition.ofAcid(fats, FattyAcid.GAMMA_LINOLENIC).fraction();
        if (poly >= MUCH_POLY) {
            because.add(Phrase.of("linoleic and linolenic acid {}", Share.fraction(poly)));
        }
        if (superfat >= MUCH_SUPERFAT) {
            because.add(Phrase.of("superfat {}", Share.fraction(superfat)));
        }
        if (room.celsius() > REFERENCE + KELVINS_THAT_DOUBLE / 2) {
            because.add(Phrase.of("a room of {}", room));
        }
        if (held > 0) {
            because.add(Phrase.of("a chelator or antioxidant keeps it longer"));
        }
        return because;
    }

    /** When somebody last looked for it, and whether it was there; empty when nobody did. */
    static Optional<BatchLog.Timed<Entry.Observed>> lastLook(BatchLog log) {
        return log.of(Entry.Observed.class)
                .filter(o -> SIGNS.contains(o.entry().finding()))
                .reduce((earlier, later) -> later);
    }

    /** Whether it was seen. */
    public static boolean isSeen(BatchLog log) {
        return log.of(Entry.Observed.class)
                .anyMatch(o -> SIGNS.contains(o.entry().finding()) && o.entry().presence() == Presence.SEEN);
    }

    /** When its bars are to be looked at next; empty where none is left, or where it was seen. */
    public Optional<Instant> nextLook(BatchLog log) {
        BarStock stock = BarStock.of(log);
        if (isSeen(log) || stock.cut() > 0 && stock.left() <= 0) {
            return Optional.empty();
        }
        Optional<Instant> looked =
                lastLook(log).map(BatchLog.Timed::at).filter(at -> !at.isBefore(from.minus(AGAIN_AFTER)));
        return Optional.of(looked.map(at -> at.plus(AGAIN_AFTER)).orElse(from));
    }
}
