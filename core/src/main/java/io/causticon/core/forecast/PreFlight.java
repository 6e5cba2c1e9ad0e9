package io.causticon.core.forecast;

import io.causticon.core.formula.AdditivePortion;
import io.causticon.core.formula.AlkaliBalance;
import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.Formula;
import io.causticon.core.formula.GelGoal;
import io.causticon.core.formula.Mould;
import io.causticon.core.formula.Superfat;
import io.causticon.core.formula.Weights;
import io.causticon.core.heat.LoafEnsemble;
import io.causticon.core.heat.LoafHistory.Extent;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.substance.Fat;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Looks for what will bite in this combination, dangerous things first. */
public final class PreFlight {

    private static final double NOTABLE_EXCESS = 0.005;
    private static final double STRONG_LYE = 0.40;
    private static final double UNCERTAIN_GEL = 0.25;
    private static final double STRUCTURAL_SHARE = 0.05;
    private static final double TOO_HOT_A_LOAF = 90;

    private final BatchPlan plan;
    private final AlkaliBalance balance;
    private final LyePeak peak;
    private final Optional<LoafEnsemble> loaf;
    private final List<Bite> bites = new ArrayList<>();

    private PreFlight(BatchPlan plan, LyePeak peak, Optional<LoafEnsemble> loaf) {
        this.plan = plan;
        this.balance = AlkaliBalance.of(plan.formula());
        this.peak = peak;
        this.loaf = loaf;
    }

    public static List<Bite> of(BatchPlan plan, LyePeak peak, Optional<LoafEnsemble> loaf) {
        PreFlight flight = new PreFlight(plan, peak, loaf);
        flight.superfat();
        flight.liquor();
        flight.lye();
        flight.fill();
        flight.additives();
        flight.meltingPoint();
        flight.gel();
        return List.copyOf(flight.bites);
    }

    private void superfat() {
        Formula formula = plan.formula();
        Estimate superfat = Superfat.distribution(Weights.planned(formula), formula.alkali(), plan.scales());
        double excess = superfat.probabilityBelow(0);
        if (excess > NOTABLE_EXCESS) {
            bites.add(new Bite(
                    "Superfat reaches below zero",
                    words("One batch in %.0f would have excess alkali, from scale, fats and purity alone.", 1 / excess),
                    words("A finer scale, a larger batch, or %.0f %% more superfat", 1 + 100 * superfat.halfWidth95()),
                    true));
        }
    }

    private void liquor() {
        if (peak.passesLimit()) {
            bites.add(new Bite(
                    "The liquid meets warm lye",
                    words(
                            "All at once it peaks near %.0f \u00b0C and scorches from %.0f \u00b0C.",
                            peak.expected().celsius(),
                            peak.limit().orElseThrow().celsius()),
                    "Freeze it, or dissolve the lye in water first",
                    false));
        }
    }

    private void lye() {
        if (peak.expected().celsius() > 95) {
            bites.add(new Bite(
                    "The lye pot comes near boiling",
                    words("About %.0f \u00b0C if all lye goes in at once.", peak.expected().celsius()),
                    "Feed the lye by the spoon into cold water or ice",
                    true));
        }
        if (balance.concentration().fraction() > STRONG_LYE) {
            bites.add(new Bite(
                    "Strong lye",
                    words("%.0f %%: it thickens fast and can crystallise below 15 \u00b0C.",
                            balance.concentration().inPercent()),
                    "33 % gives more time",
                    false));
        }
    }

    private void fill() {
        Mould mould = plan.mould();
        if (mould == null) {
            return;
        }
        Mass batter = LoafForecast.batterMass(plan);
        if (batter.isMoreThan(mould.capacity())) {
            bites.add(new Bite(
                    "It runs over",
                    words("%.0f g of batter, the %s holds %.0f g.",
                            batter.grams(), mould.name(), mould.capacity().grams()),
                    "A spare cavity, or less fat",
                    false));
        }
    }

    private void additives() {
        for (AdditivePortion portion : plan.formula().additives()) {
            Double cap = portion.additive().cap();
            double dose = portion.dosePerKilogram(plan.formula().fatMass());
            if (cap != null && dose > cap) {
                bites.add(new Bite(
                        portion.additive().name() + ", too much",
                        words("%.0f g per kg of fats; harm is known from %.0f g.", dose, cap),
                        words("Make it %.0f g", cap * plan.formula().fatMass().grams() / 1000),
                        portion.additive().isFragrance()));
            }
            if (portion.additive().isMover()) {
                bites.add(new Bite(
                        portion.additive().name() + " may seize the batter",
                        "It thickens within a minute or two of going in.",
                        "Stir it into the last cup by hand, or into the fats",
                        false));
            }
        }
    }

    private void meltingPoint() {
        for (var portion : plan.formula().fats()) {
            Fat fat = portion.fat();
            boolean matters = portion.mass().dividedBy(plan.formula().fatMass()) >= STRUCTURAL_SHARE;
            if (fat.meltingRange() != null && matters && plan.mixAt().isBelow(Temperature.celsius(fat.meltingRange().low()))) {
                bites.add(new Bite(
                        fat.shortName() + " sets before it soaps",
                        words("It melts from %.0f \u00b0C, you mix at %.0f \u00b0C: false trace, white spots.",
                                fat.meltingRange().low(), plan.mixAt().celsius()),
                        words("Mix at %.0f \u00b0C", fat.meltingRange().high()),
                        false));
            }
        }
    }

    private void gel() {
        loaf.ifPresent(l -> {
            double partial = l.probabilityOf(Extent.PARTIAL);
            if (partial > UNCERTAIN_GEL) {
                bites.add(new Bite(
                        "Gel may stop half-way",
                        words("Full %.0f %%, partial %.0f %%, none %.0f %% in this mould and room.",
                                100 * l.probabilityOf(Extent.FULL), 100 * partial, 100 * l.probabilityOf(Extent.NONE)),
                        plan.gel() == GelGoal.PREVENT ? "Pour cooler" : "Insulate it, or keep it cold",
                        false));
            }
            double hot = l.probabilityPeakAbove(TOO_HOT_A_LOAF);
            if (hot > UNCERTAIN_GEL) {
                bites.add(new Bite(
                        "The loaf may overheat",
                        words("%.0f in 100 that the core passes 90 \u00b0C.", 100 * hot),
                        "No towels, pour cooler, or the fridge",
                        false));
            }
        });
    }

    private static String words(String pattern, Object... values) {
        return String.format(Locale.ROOT, pattern, values);
    }
}
