package io.causticon.core.workshop.preflight;

import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.pots.LyePeak;
import io.causticon.core.science.pots.SecondFeed;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/** The lye pot: its heat against what is in it, its strength, what it stands in. */
final class LyeLiquidRisks {

    private static final Share STRONG = Share.percent(40);
    private static final Share OWN_MASS_OF_WATER = Share.percent(50);
    private static final Share USUAL = Share.percent(33);
    private static final Temperature HOT = Temperature.celsius(95);
    private static final Temperature CALM = Temperature.celsius(60);
    private static final double NOTABLE_ALCOHOL = 0.01;
    private static final double NOTABLE_SCORCHING = 0.01;
    private static final int HALVINGS = 20;

    private LyeLiquidRisks() {}

    static void find(Flight f) {
        vessels(f);
        scorching(f);
        secondFeed(f);
        boiling(f);
        strength(f);
        alcohol(f);
    }

    private static void vessels(Flight f) {
        Vessel lye = f.plan.lyeVessel();
        Vessel fats = f.plan.fatsVessel();
        if (lye != null) {
            if (lye.material().isAttackedByAlkali()) {
                eaten(f, Phrase.of("Lye eats the {}", lye.name()), v -> plan -> plan.with(PlanFields.LYE_VESSEL, v));
            } else if (lye.material().mayShatter()) {
                f.bite(
                        Phrase.of("The {} may shatter", lye.name()),
                        Phrase.of("Glass that met hot lye a few times breaks without warning."),
                        Phrase.of("Steel or polypropylene"),
                        others(f, v -> plan -> plan.with(PlanFields.LYE_VESSEL, v)));
            }
        }
        if (fats != null && fats.material().isAttackedByAlkali()) {
            eaten(f, Phrase.of("Batter eats the {}", fats.name()), v -> plan -> plan.with(PlanFields.FATS_VESSEL, v));
        }
        if (lye != null && fats != null && lye.name().equals(fats.name())) {
            f.bite(
                    Phrase.of("Lye and fats are both in the {}", lye.name()),
                    Phrase.of("They wait side by side until they are poured together."),
                    Phrase.of("Another vessel for one of them"),
                    others(f, v -> plan -> plan.with(PlanFields.LYE_VESSEL, v)));
        }
    }

    private static void eaten(Flight f, Phrase what, Function<Vessel, UnaryOperator<BatchPlan>> move) {
        f.danger(
                what,
                Phrase.of("Aluminium, zinc and tin dissolve in it and give off hydrogen; polyester cracks."),
                Phrase.of("Steel, polypropylene or HDPE"),
                others(f, move));
    }

    /** The largest vessel of the workshop, by its mass, that alkali leaves alone and that is not taken already. */
    private static PlanChange[] others(Flight f, Function<Vessel, UnaryOperator<BatchPlan>> move) {
        return f.workshop.vessels().stream()
                .filter(v -> !v.material().isAttackedByAlkali() && !v.material().mayShatter())
                .filter(v -> !v.equals(f.plan.lyeVessel()) && !v.equals(f.plan.fatsVessel()))
                .max(Comparator.comparing(v -> v.mass().grams()))
                .stream()
                .map(v -> PlanChange.to("vessel-" + v.name(), Phrase.of("Use the {}", v.name()), move.apply(v)))
                .toArray(PlanChange[]::new);
    }

    private static void scorching(Flight f) {
        if (!f.peak.passesLimit()) {
            return;
        }
        Temperature limit = f.peak.limit().orElseThrow();
        f.bite(
                Phrase.of("The liquid meets warm lye"),
                Phrase.of(
                        "It can reach {} and scorches from {}; fed slowly in ice water it likely stays between {} and"
                                + " {}.",
                        f.peak.without(),
                        limit,
                        Temperature.celsius(f.peak.likely().low()),
                        Temperature.celsius(f.peak.likely().high())),
                PlanChange.to("freeze", Phrase.of("Freeze it"), LyeLiquidRisks::frozen),
                PlanChange.to(
                        "split-liquid", Phrase.of("Lye in water first, the rest at emulsion"), LyeLiquidRisks::split));
    }

    /** Strong lye first, milk later: a feeding of its own. */
    private static void secondFeed(Flight f) {
        SecondFeed.planned(f.plan, f.workshop.room()).ifPresent(second -> {
            String what = second.liquids().get(0).liquid().name();
            if (second.passesLimit()) {
                f.bite(
                        Phrase.of("{} meets strong lye", what),
                        Phrase.of(
                                "It can reach {} and scorches from {}: diluting strong lye gives heat of its own.",
                                second.peak(),
                                second.limit().orElseThrow()),
                        Phrase.of("Lye no warmer than {}", second.warmestLye().orElseThrow()),
                        PlanChange.to("freeze", Phrase.of("Freeze it"), LyeLiquidRisks::frozen),
                        PlanChange.to("at-emulsion", Phrase.of("At emulsion instead"), LyeLiquidRisks::atEmulsion));
            } else if (second.ifThawed().isPresent()
                    && second.limit()
                            .map(l -> second.ifThawed().get().isAbove(l))
                            .orElse(false)) {
                f.bite(
                        Phrase.of(second.isSolid() ? "{} must stay frozen solid" : "{} must stay slush", what),
                        Phrase.of(
                                "{} it comes to {}; thawed in the fridge it would reach {}, and it scorches from {}.",
                                second.isSolid() ? "Frozen" : "As slush",
                                second.peak(),
                                second.ifThawed().get(),
                                second.limit().orElseThrow()),
                        Phrase.of("Out of the freezer portion by portion"),
                        PlanChange.to("at-emulsion", Phrase.of("At emulsion instead"), LyeLiquidRisks::atEmulsion));
            }
        });
    }

    private static BatchPlan atEmulsion(BatchPlan plan) {
        return withParts(
                plan,
                plan.formula().liquidParts().stream()
                        .map(p -> p.joins() == AdditionStage.COOLED_LYE
                                ? new LiquidPart(p.liquid(), p.share(), LiquidState.LIQUID, AdditionStage.EMULSION)
                                : p)
                        .toList());
    }

    private static BatchPlan frozen(BatchPlan plan) {
        List<LiquidPart> parts = plan.formula().liquidParts();
        return withParts(
                plan,
                parts.stream()
                        .map(p -> scorches(p) && meetsLye(p) || isWaterOfAPowder(p, parts)
                                ? new LiquidPart(p.liquid(), p.share(), LiquidState.FROZEN, p.joins())
                                : p)
                        .toList());
    }

    private static boolean meetsLye(LiquidPart p) {
        return p.joins() == AdditionStage.LYE || p.joins() == AdditionStage.COOLED_LYE;
    }

    /** What a milk powder is stirred into is frozen with it: of a powder there is nothing to freeze. */
    private static boolean isWaterOfAPowder(LiquidPart part, List<LiquidPart> parts) {
        return meetsLye(part)
                && parts.stream()
                        .anyMatch(p -> p.joins() == part.joins() && p.liquid().isPowder() && scorches(p));
    }

    /** Lye in its own mass of water, all that scorches at emulsion. */
    private static BatchPlan split(BatchPlan plan) {
        List<LiquidPart> parts = plan.formula().liquidParts();
        double water = parts.stream()
                .filter(p -> !scorches(p))
                .mapToDouble(p -> p.share().fraction())
                .sum();
        double least = 1 / waterPerLye(plan);
        double share = Math.min(1, Math.max(water, least));
        double rest = parts.stream()
                .filter(LyeLiquidRisks::scorches)
                .mapToDouble(p -> p.share().fraction())
                .sum();
        List<LiquidPart> changed = new ArrayList<>();
        if (water == 0) {
            changed.add(new LiquidPart(
                    Catalogue.standard().liquid("distilled-water"), Share.fraction(share), LiquidState.LIQUID));
        }
        for (LiquidPart p : parts) {
            double factor = scorches(p) ? (1 - share) / rest : share / Math.max(water, 1e-9);
            changed.add(new LiquidPart(
                    p.liquid(),
                    Share.fraction(p.share().fraction() * factor),
                    LiquidState.LIQUID,
                    scorches(p) ? AdditionStage.EMULSION : AdditionStage.LYE));
        }
        return withParts(plan, changed);
    }

    private static double waterPerLye(BatchPlan plan) {
        return Math.max(1, AlkaliBalance.of(plan.formula()).waterPerLye() * 0.98);
    }

    private static boolean scorches(LiquidPart part) {
        return part.liquid().scorching().fraction() > NOTABLE_SCORCHING;
    }

    private static void boiling(Flight f) {
        Temperature low = Temperature.celsius(f.peak.likely().low());
        Temperature high = Temperature.celsius(
                Math.min(f.peak.likely().high(), f.peak.boils().celsius()));
        PlanChange ice =
                PlanChange.to("ice", Phrase.of("Take part of the water as ice"), p -> iced(p, f.workshop.room()));
        if (f.peak.mayBoilOver()) {
            f.danger(
                    Phrase.of("The lye pot may boil over"),
                    Phrase.of(
                            "Likely {} or more in this vessel, fed over a few minutes; it boils near {}.",
                            low,
                            f.peak.boils()),
                    Phrase.of("Feed the lye by the spoon, lye into liquid and never the reverse"),
                    ice);
        } else if (f.peak.expected().isAbove(HOT)) {
            // So does every ordinary liquor: said, with its number, and no alarm.
            f.bite(
                    Phrase.of("The lye pot gets hot"),
                    Phrase.of(
                            "Likely {} to {}, fed over a few minutes; {} if no heat is lost.",
                            low,
                            high,
                            f.peak.without()),
                    Phrase.of("Steam and fumes: small portions, air, lye into liquid and never the reverse"),
                    ice);
        }
    }

    /** As much of the clear water as ice as keeps the pot calm; all of it when that is not enough. */
    private static BatchPlan iced(BatchPlan plan, Temperature room) {
        double low = 0;
        double high = 1;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            boolean calm = !LyePeak.withoutLosses(withIce(plan, middle), room).isAbove(CALM);
            high = calm ? middle : high;
            low = calm ? low : middle;
        }
        return withIce(plan, Math.ceil(high * 20) / 20);
    }

    private static BatchPlan withIce(BatchPlan plan, double part) {
        List<LiquidPart> changed = new ArrayList<>();
        for (LiquidPart p : plan.formula().liquidParts()) {
            boolean clear = p.joins() == AdditionStage.LYE && !p.state().hasIce() && !scorches(p);
            if (clear && part < 1) {
                changed.add(new LiquidPart(
                        p.liquid(), Share.fraction(p.share().fraction() * (1 - part)), p.state(), p.joins()));
            }
            if (clear && part > 0) {
                changed.add(new LiquidPart(
                        Catalogue.standard().liquid("ice"),
                        Share.fraction(p.share().fraction() * part),
                        LiquidState.FROZEN,
                        p.joins()));
            }
            if (!clear) {
                changed.add(p);
            }
        }
        return withParts(plan, changed);
    }

    private static void strength(Flight f) {
        Share first = f.balance.firstConcentration();
        if (first.compareTo(OWN_MASS_OF_WATER) > 0) {
            f.danger(
                    Phrase.of("Less water than lye"),
                    Phrase.of(
                            "{} lye: below its own mass of water some stays undissolved and ends as pockets in the"
                                    + " bar.",
                            first),
                    Phrase.of("Strain it, and never pour off crystals"),
                    concentration(STRONG));
        } else if (f.balance.concentration().compareTo(STRONG) > 0) {
            f.bite(
                    Phrase.of("Strong lye"),
                    Phrase.of(
                            "{}: it thickens fast, and below {} it can crystallise.",
                            f.balance.concentration(),
                            Temperature.celsius(15)),
                    concentration(USUAL));
        }
    }

    static PlanChange concentration(Share share) {
        return PlanChange.to(
                "concentration-" + Math.round(share.inPercent()),
                Phrase.of("Lye concentration {}", share),
                p -> p.with(p.formula()
                        .withLiquid(
                                LiquidTarget.concentration(share.fraction()),
                                p.formula().liquidParts())));
    }

    private static void alcohol(Flight f) {
        double alcohol = f.balance.liquids().stream()
                .filter(l -> l.dissolvesLye())
                .mapToDouble(l -> l.liquid().alcohol().of(l.mass()).grams())
                .sum();
        if (alcohol > NOTABLE_ALCOHOL * f.balance.liquidMass().grams()) {
            f.danger(
                    Phrase.of("Alcohol in the lye pot boils up"),
                    Phrase.of(
                            "{} of alcohol; it foams over when lye goes in, and speeds the batter.",
                            Mass.grams(alcohol)),
                    Phrase.of("Simmer it off and freeze it first, and use a tall jug"));
        }
    }

    private static BatchPlan withParts(BatchPlan plan, List<LiquidPart> parts) {
        return plan.with(plan.formula().withLiquid(plan.formula().liquidTarget(), parts));
    }
}
