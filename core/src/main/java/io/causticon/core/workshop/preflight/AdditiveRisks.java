package io.causticon.core.workshop.preflight;

import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.List;

/** Additives and fragrances: doses, tempers, colours that alkali changes, powders that clump. */
final class AdditiveRisks {

    private static final double QUICK_MINUTES = 12;
    private static final double COOLER = 6;
    private static final Share WETTER_LYE = Share.percent(30);
    private static final Share ROUNDING = Share.percent(0.01);
    private static final double BLEND_LIMIT = 1.0;
    private static final double NOTABLE_POWDER = 10;

    private AdditiveRisks() {}

    static void find(Flight f) {
        f.formula.additives().forEach(a -> overdose(f, a));
        blend(f);
        f.formula.additives().forEach(a -> temper(f, a));
        f.formula.additives().forEach(a -> divided(f, a));
        f.formula.additives().forEach(a -> dispersion(f, a));
        f.formula.additives().forEach(a -> colour(f, a));
    }

    private static void overdose(Flight f, AdditivePortion portion) {
        Mass fats = f.formula.fatMass();
        Double cap = portion.additive().cap();
        if (cap == null || !portion.isBeyondCap(fats, ROUNDING)) {
            return;
        }
        double dose = portion.dosePerKilogram(fats);
        Mass most = fats.times(cap / 1000);
        Phrase title = Phrase.of("{}, too much", portion.additive().name());
        Phrase reason = Phrase.of(
                "{} of the fats; harm is known from {}.", Share.fraction(dose / 1000), Share.fraction(cap / 1000));
        PlanChange less = Flight.additives(
                "less-of-" + portion.additive().id(),
                Phrase.of("Make it {}", most),
                Flight.only(portion.additive().id(), a -> a.weighing(most)));
        if (portion.additive().isFragrance()) {
            f.danger(title, reason, Phrase.of("The supplier\u2019s own limit for skin decides"), less);
        } else {
            f.bite(title, reason, less);
        }
    }

    /**
     * Oils of one blend may share what is limited in each, so their parts of the limits are added up: the safe side.
     */
    private static void blend(Flight f) {
        List<AdditivePortion> scents = f.formula.additives().stream()
                .filter(a -> a.additive().isFragrance() && a.additive().cap() != null)
                .toList();
        double used = scents.stream().mapToDouble(a -> part(f, a)).sum();
        boolean oneAlone = scents.stream().anyMatch(a -> part(f, a) > BLEND_LIMIT);
        if (scents.size() > 1 && used > BLEND_LIMIT * 1.0001 && !oneAlone) {
            f.danger(
                    Phrase.of("The blend as a whole is too strong"),
                    Phrase.of(
                            "Each oil is below its own limit, together they use {} of it; they can share what is"
                                    + " limited.",
                            Share.fraction(used)),
                    Phrase.of("The suppliers\u2019 certificates decide"),
                    Flight.additives(
                            "thinner-blend",
                            Phrase.of("Thin the blend to fit"),
                            a -> scents.contains(a) ? a.weighing(a.mass().times(1 / used)) : a));
        }
    }

    private static double part(Flight f, AdditivePortion portion) {
        Double cap = portion.additive().cap();
        return cap == null ? 0 : portion.dosePerKilogram(f.formula.fatMass()) / cap;
    }

    private static void temper(Flight f, AdditivePortion portion) {
        Additive additive = portion.additive();
        WorkshopFacts.Tried tried = f.workshop.tried().getOrDefault(additive.id(), new WorkshopFacts.Tried(0, 0));
        boolean quick = f.time.minutes() < QUICK_MINUTES;
        if (portion.joins() == AdditionStage.LAST && (additive.isMover() || tried.troubled() > 0)) {
            // A fast ending on purpose is a plan, not an error.
            return;
        }
        if (additive.isMover()) {
            f.bite(
                    Phrase.of("{} may seize the batter", additive.name()),
                    Phrase.of("It thickens within a minute or two of going in."),
                    Phrase.of("Last of all, by hand, straight into the mould"),
                    intoFats(portion),
                    Flight.additives(
                            "ending-" + additive.id(),
                            Phrase.of("Plan it as a fast ending"),
                            Flight.only(additive.id(), a -> a.joining(AdditionStage.LAST))));
        } else if (additive.isFragrance() && tried.troubled() > 0) {
            f.bite(
                    Phrase.of("{} was trouble before", additive.name()),
                    tried.did().isEmpty()
                            ? Phrase.of(
                                    "It thickened or riced in {} of {} batches here.",
                                    tried.troubled(),
                                    tried.batches())
                            : Phrase.of(
                                    "In {} of {} batches here: {}.", tried.troubled(), tried.batches(), tried.did()),
                    calmer(f, portion));
        } else if (additive.isFragrance() && quick && (tried.batches() == 0 || additive.isMildMover())) {
            String how = tried.batches() == 0 ? "was never tried here" : "moves a little";
            f.bite(
                    Phrase.of("{} {}, in a quick batter", additive.name(), how),
                    Phrase.of(
                            "Light trace in {} min, {} to {}, before any push from it.",
                            f.time.minutes(),
                            f.time.band().low(),
                            f.time.band().high()),
                    calmer(f, portion));
        }
    }

    private static PlanChange[] calmer(Flight f, AdditivePortion portion) {
        List<PlanChange> changes = new ArrayList<>(List.of(intoFats(portion)));
        Temperature cooler = Temperature.celsius(Math.max(27, f.plan.mixAt().celsius() - COOLER));
        boolean staysClear = f.formula.fats().stream()
                .allMatch(p -> p.fat().meltingRange() == null
                        || !cooler.isBelow(
                                Temperature.celsius(p.fat().meltingRange().low())));
        if (cooler.isBelow(f.plan.mixAt()) && staysClear) {
            changes.add(PlanChange.to(
                    "cooler-for-scents", Phrase.of("Mix at {}", cooler), p -> p.with(PlanFields.MIX_AT, cooler)));
        }
        if (f.balance.concentration().compareTo(WETTER_LYE) > 0) {
            changes.add(LyeLiquidRisks.concentration(WETTER_LYE));
        }
        return changes.toArray(new PlanChange[0]);
    }

    private static PlanChange intoFats(AdditivePortion portion) {
        return Flight.additives(
                "into-fats-" + portion.additive().id(),
                Phrase.of("Put it into the fats"),
                Flight.only(portion.additive().id(), a -> a.joining(AdditionStage.FATS)));
    }

    /** What is stirred into all of a batter that is then divided costs its working time twice. */
    private static void divided(Flight f, AdditivePortion portion) {
        boolean calm = !portion.additive().isMover();
        if (portion.additive().isFragrance()
                && calm
                && portion.joins() == AdditionStage.TRACE
                && f.plan.pouring().portioning().way() != Portioning.Way.WHOLE) {
            f.bite(
                    Phrase.of("{} into a divided batter", portion.additive().name()),
                    Phrase.of("Stirred in at trace it takes minutes that the parts then lack."),
                    Phrase.of("In the fats before the lye it is there from the start"),
                    intoFats(portion));
        }
    }

    private static void dispersion(Flight f, AdditivePortion portion) {
        boolean dry = portion.joins() == AdditionStage.TRACE || portion.joins() == AdditionStage.EMULSION;
        if (portion.additive().wantsWetting()
                && dry
                && portion.dosePerKilogram(f.formula.fatMass()) >= NOTABLE_POWDER) {
            f.bite(
                    Phrase.of(
                            "{} clumps when it goes in dry", portion.additive().name()),
                    Phrase.of("{} of powder; blending the lumps out later over-blends the batter.", portion.mass()),
                    Phrase.of("Wet it in two to three times its mass of water or fat first"),
                    intoFats(portion));
        }
    }

    private static void colour(Flight f, AdditivePortion portion) {
        if (portion.additive().isColourant() && portion.additive().effects().contains("morphs_colour")) {
            f.bite(
                    Phrase.of("Alkali changes {}", portion.additive().name()),
                    Phrase.of("The colour in the pot is not the colour of the bar, and it fades in light."),
                    Phrase.of("Try it in a cup; oxides and ultramarines stay"));
        }
    }
}
