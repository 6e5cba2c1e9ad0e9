package io.causticon.core.model.plan;

import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Soap that is melted down again, with what is added to it. Its alkali is what the scraps bring: no lye is weighed.
 * With {@code A_i} what the fats of a scrap take and {@code s_i} its superfat, {@code f} what a gram of the added fat
 * takes and {@code m} its mass, the superfat is {@code 1 - sum A_i (1 - s_i) / (sum A_i + f m)}. Source: stoichiometry,
 * the balance of moles.
 *
 * @param scraps what goes in, at least one
 * @param added fats that are added
 * @param water that is added so that it melts
 * @param way how it is heated
 */
public record Rework(List<ScrapPortion> scraps, List<FatPortion> added, Mass water, Way way) {

    /** How a mash is heated. */
    public enum Way {
        /** Over hot water, or in a slow cooker. */
        POT,
        /** Covered, in an oven. */
        OVEN,
        /** In bursts. */
        MICROWAVE
    }

    /** So much is left over at the worst guess of what the scraps hold, or there is alkali in the hand. */
    public static final Share LEAST_SUPERFAT = Share.percent(2);

    /**
     * Of what the fats take: with more than this the fat that is wanted makes another soap of it, and what is left
     * unmixed burns (a judgement).
     */
    public static final Share MOST_EXCESS = Share.percent(25);

    /** Nineteen times out of twenty there is not more alkali than this many standard deviations above the middle. */
    public static final double WORST_SIGMAS = 1.645;

    /**
     * Water that a mash wants to become even, of all of it: cured soap and a quarter of its mass (a judgement, 26 to 32
     * %).
     */
    private static final double MASH_WATER = 0.28;

    /** Of the soap: some steams away before it is soft, and more than this stays soft for weeks (judgements). */
    private static final double LEAST_WATER = 0.05;

    private static final double MOST_WATER = 0.30;

    public Rework {
        scraps = List.copyOf(scraps);
        added = List.copyOf(added);
    }

    /** All scraps together. */
    public Mass soap() {
        return scraps.stream().map(ScrapPortion::mass).reduce(Mass.ZERO, Mass::plus);
    }

    /** Whether a scrap holds more alkali than may be melted down with anything. */
    public boolean isHopeless() {
        return scraps.stream().anyMatch(s -> -s.superfat().value() > MOST_EXCESS.fraction());
    }

    /** Whether a scrap is so young that it is caustic still. */
    public boolean isFresh() {
        return scraps.stream().anyMatch(s -> !s.reacted());
    }

    /** Whether a scrap may hold free alkali: then the mash is tested before it is spooned. */
    public boolean isDoubtful() {
        return isFresh()
                || scraps.stream()
                        .anyMatch(s -> s.superfat().probabilityBelow(0) >= Superfat.ALARMING_EXCESS.fraction());
    }

    /** Everything but additives. */
    public Mass total() {
        return soap().plus(addedFat()).plus(water);
    }

    public Mass addedFat() {
        return added.stream().map(FatPortion::mass).reduce(Mass.ZERO, Mass::plus);
    }

    /** Water in the mash, of all of it. */
    public Share waterShare() {
        Mass all = scraps.stream().map(ScrapPortion::waterMass).reduce(water, Mass::plus);
        return Share.fraction(total().isPositive() ? all.dividedBy(total()) : 0);
    }

    /** Water that these scraps want, in whole grams: little where they are fresh. */
    public static Mass waterFor(List<ScrapPortion> scraps) {
        double soap = scraps.stream().mapToDouble(s -> s.mass().grams()).sum();
        double there = scraps.stream().mapToDouble(s -> s.waterMass().grams()).sum();
        double missing = (MASH_WATER * soap - there) / (1 - MASH_WATER);
        return Mass.grams(Math.rint(Math.max(LEAST_WATER * soap, Math.min(MOST_WATER * soap, missing))));
    }

    /** The superfat of all of it, a fraction, with how far it can be off. */
    public Estimate superfat() {
        double needed = neededMoles();
        double there = scraps.stream().mapToDouble(ScrapPortion::alkaliMoles).sum();
        double share = there / needed;
        // Scraps of one batch are wrong together, those of others by themselves.
        Map<String, Double> bySource = scraps.stream()
                .collect(Collectors.groupingBy(
                        ScrapPortion::source,
                        Collectors.summingDouble(
                                s -> s.neededMoles() * s.superfat().standardDeviation())));
        double variance = bySource.values().stream()
                .mapToDouble(m -> m / needed)
                .map(e -> e * e)
                .sum();
        for (ScrapPortion s : scraps) {
            // More water in it is less soap: it shifts the mixture by as much as the scrap differs from it.
            double moles = s.neededMoles()
                    * s.water().standardDeviation()
                    / Math.max(0.05, 1 - s.water().value());
            double shift = moles / needed * ((1 - s.superfat().value()) - share);
            variance += shift * shift;
        }
        for (FatPortion f : added) {
            double shift = share
                    * f.alkaliMoles()
                    / needed
                    * f.fat().saponificationSpread().fraction()
                    / Estimate.SIGMAS_IN_95_PERCENT;
            variance += shift * shift;
        }
        return new Estimate(1 - share, Math.sqrt(variance));
    }

    /**
     * How much of a fat makes it as fat as is wanted if the scraps hold what they most likely do, and leaves
     * {@link #LEAST_SUPERFAT} if they hold the most alkali that they may. In whole grams, up; nothing where they are
     * fat enough.
     */
    public Mass fatFor(Fat fat, Share target) {
        double needed = neededMoles();
        Estimate now = superfat();
        double likely = needed * (1 - now.value());
        double most = needed * (1 - (now.value() - WORST_SIGMAS * now.standardDeviation()));
        Mass wanted = Superfat.fatFor(needed, likely, target, fat);
        Mass least = Superfat.fatFor(needed, most, LEAST_SUPERFAT, fat);
        return wanted.isMoreThan(least) ? wanted : least;
    }

    private double neededMoles() {
        return Stream.concat(
                        scraps.stream().mapToDouble(ScrapPortion::neededMoles).boxed(),
                        added.stream().map(FatPortion::alkaliMoles))
                .mapToDouble(m -> m)
                .sum();
    }

    /**
     * The fats of all scraps and those that are added, each once; one that came by several certificates with their mean
     * value.
     */
    public List<FatPortion> fats() {
        Map<String, FatPortion> by = new LinkedHashMap<>();
        Stream.concat(scraps.stream().flatMap(s -> s.fatsInIt().stream()), added.stream())
                .forEach(f -> by.merge(f.fat().id(), f, Rework::together));
        return List.copyOf(by.values());
    }

    private static FatPortion together(FatPortion a, FatPortion b) {
        Mass mass = a.mass().plus(b.mass());
        double sum = a.mass().grams() * a.fat().saponificationValue()
                + b.mass().grams() * b.fat().saponificationValue();
        boolean same = a.fat().saponificationValue() == b.fat().saponificationValue() || !mass.isPositive();
        return new FatPortion(same ? a.fat() : a.fat().certified(sum / mass.grams()), mass);
    }

    /** What it comes to as a formula: the alkali and the water are those that are in it. */
    public Formula formula(List<AdditivePortion> additives) {
        List<FatPortion> fats = fats();
        Mass fatMass = fats.stream().map(FatPortion::mass).reduce(Mass.ZERO, Mass::plus);
        double naoh = scraps.stream()
                .mapToDouble(s -> s.naohShare().fraction() * s.alkaliGrams())
                .sum();
        double all = scraps.stream().mapToDouble(ScrapPortion::alkaliGrams).sum();
        return new Formula(
                fats,
                new AlkaliChoice(
                        all > 0 ? Share.fraction(Math.min(1, naoh / all)) : Share.WHOLE,
                        Share.WHOLE,
                        Share.WHOLE,
                        true),
                Share.fraction(superfat().value()),
                LiquidTarget.ofFats(waterShare().fraction() * total().grams() / fatMass.grams()),
                List.of(new LiquidPart(
                        Catalogue.standard().liquid("distilled-water"), Share.WHOLE, LiquidState.LIQUID)),
                additives);
    }

    /** Allergens that came with the scraps. */
    public SortedSet<String> allergens() {
        return scraps.stream().flatMap(s -> s.allergens().stream()).collect(Collectors.toCollection(TreeSet::new));
    }

    /** The batches and things that it is made from, each once. */
    public List<String> sources() {
        return scraps.stream().map(ScrapPortion::source).distinct().toList();
    }
}
