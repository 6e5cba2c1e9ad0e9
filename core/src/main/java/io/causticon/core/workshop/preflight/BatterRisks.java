package io.causticon.core.workshop.preflight;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.formula.Composition;
import io.causticon.core.science.formula.SettingFat;
import io.causticon.core.wording.Phrase;
import java.util.List;
import java.util.Locale;

/** The batter: fats that set too early, castor with much water. */
final class BatterRisks {

    private static final double TACKY_CASTOR = 0.105;
    private static final double RUBBERY_CASTOR = 0.075;
    private static final double MUCH_WATER = 2.3;
    private static final Share CALM_CASTOR = Share.percent(6);
    private static final Share USUAL = Share.percent(33);

    private BatterRisks() {}

    static void find(Flight f) {
        SettingFat.of(f.formula).stream().filter(s -> s.setsAt(f.plan.mixAt())).forEach(s -> setsEarly(f, s));
        castor(f);
    }

    private static void setsEarly(Flight f, SettingFat fat) {
        // Scales of temperature are read in whole degrees: a little more than it takes.
        Temperature enough = Temperature.celsius(Math.ceil(fat.clearFrom().celsius()));
        f.bite(
                Phrase.of("{} sets before it soaps", fat.fat().shortName()),
                Phrase.of("It stays clear from {}, you mix at {}: false trace, white spots.", enough, f.plan.mixAt()),
                PlanChange.to("warmer", Phrase.of("Mix at {}", enough), p -> p.with(PlanFields.MIX_AT, enough)));
    }

    private static void castor(Flight f) {
        double ricinoleic = f.composition.of(Family.RICINOLEIC).fraction();
        AlkaliBalance balance = f.balance;
        if (ricinoleic > RUBBERY_CASTOR && balance.waterPerLye() > MUCH_WATER) {
            f.bite(
                    Phrase.of("Castor with much water turns rubbery"),
                    Phrase.of(
                            "{} of ricinoleic acid and {} of water to the lye.",
                            Share.fraction(ricinoleic),
                            ratio(balance)),
                    LyeLiquidRisks.concentration(USUAL),
                    lessCastor());
        } else if (ricinoleic > TACKY_CASTOR) {
            f.bite(
                    Phrase.of("Much castor stays tacky"),
                    Phrase.of("{} of ricinoleic acid; from about a tenth the bar clings.", Share.fraction(ricinoleic)),
                    lessCastor());
        }
    }

    private static String ratio(AlkaliBalance balance) {
        return String.format(Locale.ROOT, "%.1f parts", balance.waterPerLye());
    }

    private static PlanChange lessCastor() {
        return PlanChange.to("less-castor", Phrase.of("Castor {}, the rest to the others", CALM_CASTOR), p -> {
            Formula formula = p.formula();
            double castor = Composition.of(formula.fats()).of(Family.RICINOLEIC).fraction();
            double keep = CALM_CASTOR.fraction() / castor;
            double total = formula.fatMass().grams();
            double castorNow = formula.fats().stream()
                    .filter(BatterRisks::isCastor)
                    .mapToDouble(f -> f.mass().grams())
                    .sum();
            double others = (total - castorNow * keep) / (total - castorNow);
            List<FatPortion> fats = formula.fats().stream()
                    .map(f -> f.weighing(f.mass().times(isCastor(f) ? keep : others)))
                    .toList();
            return p.with(formula.withFats(fats));
        });
    }

    private static boolean isCastor(FatPortion portion) {
        return portion.fat().shareOf(Family.RICINOLEIC).fraction() > 0.5;
    }
}
