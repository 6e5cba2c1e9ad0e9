package io.causticon.core.science.diagnosis;

import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.diagnosis.network.Conditions;
import io.causticon.core.science.facts.BatchFacts;
import java.util.Comparator;
import java.util.Optional;

/**
 * Melting a soap down again with the fat that its alkali wants. By the balance of moles: with A what the fats in it
 * take, L what is beyond that, f the saponification value of the fat that is added, the superfat after m of it is 1 -
 * (A + L) / (A + f m).
 *
 * @param fat which fat is added: the one that there is most of
 * @param mass how much: enough for the planned superfat if the excess is what it most likely is, and for
 *     {@link Rework#LEAST_SUPERFAT} if it is the most that it may be; nothing where there is no alkali too much
 * @param water to melt it in, a quarter of the soap
 * @param superfat what it then has nine times out of ten, fractions
 * @param tooMuch whether there is more alkali than a rebatch can be trusted with: then it is discarded
 */
public record Rebatch(Fat fat, Mass mass, Mass water, Interval superfat, boolean tooMuch) {

    /** Of the soap as it was weighed in: between the 20 and 30 % that a mash wants to melt evenly (a judgement). */
    private static final double WATER = .25;

    /**
     * For a hazard that melting down again can mend; empty where none is likely enough to act on, or there are no fats.
     */
    public static Optional<Rebatch> of(BatchFacts facts, Diagnosis diagnosis) {
        Optional<FatPortion> most = facts.weightsNow().fats().stream()
                .max(Comparator.comparing(f -> f.mass().grams()));
        boolean hazard = diagnosis.reports().stream()
                .anyMatch(r -> r.condition().hazard() && r.probability() >= Diagnosis.HOLD_FROM);
        return hazard && most.filter(f -> f.mass().isPositive()).isPresent()
                ? Optional.of(with(most.get().fat(), facts, diagnosis))
                : Optional.empty();
    }

    private static Rebatch with(Fat fat, BatchFacts facts, Diagnosis diagnosis) {
        Weights weights = facts.weightsNow();
        double needed = weights.allFats().mapToDouble(FatPortion::alkaliMoles).sum();
        double molesPerGram = new FatPortion(fat, Mass.grams(1)).alkaliMoles();
        boolean lyeHeavy = diagnosis.of(Conditions.LYE_HEAVY).probability() >= Diagnosis.HOLD_FROM;
        Excess excess = diagnosis.excess();
        double planned = facts.plan().formula().superfat().fraction();
        Share target = Share.fraction(Math.max(planned, Rework.LEAST_SUPERFAT.fraction()));
        Mass likely = Superfat.fatFor(needed, needed * (1 + excess.middle().fraction()), target, fat);
        Mass worst = Superfat.fatFor(needed, needed * (1 + excess.band().high()), Rework.LEAST_SUPERFAT, fat);
        Mass mass = !lyeHeavy ? Mass.ZERO : worst.isMoreThan(likely) ? worst : likely;
        double all = needed + molesPerGram * mass.grams();
        Interval becomes = lyeHeavy
                ? Interval.between(
                        1 - needed * (1 + excess.band().high()) / all,
                        1 - needed * (1 + excess.band().low()) / all)
                : Interval.between(planned, planned);
        Mass soap = weights.total();
        return new Rebatch(
                fat,
                mass,
                soap.times(WATER),
                becomes,
                lyeHeavy && excess.middle().fraction() > Rework.MOST_EXCESS.fraction());
    }
}
