package io.causticon.core.workshop.preflight;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.GelGoal;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Process;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.cure.Schedule;
import io.causticon.core.science.formula.Portions;
import io.causticon.core.science.formula.Sizing;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.loaf.LoafHistory.Extent;
import io.causticon.core.wording.Phrase;
import java.util.Locale;

/** The mould and what happens in it: fill, drawing, heat, sugar, salt. */
final class SettingRisks {

    private static final double UNCERTAIN_GEL = 0.25;
    private static final double MUCH_SUGAR = 0.03;
    private static final double SALT_BAR = 0.15;
    private static final double DRAWING_TOLERANCE = 0.04;
    private static final double COOLER = 6;
    private static final double COOLEST = 27;

    private SettingRisks() {}

    static void find(Flight f) {
        fill(f);
        drawing(f);
        ovenCavities(f);
        gel(f);
        sugar(f);
        salt(f);
    }

    private static void fill(Flight f) {
        Mould mould = f.plan.mould();
        if (mould == null) {
            return;
        }
        Mass capacity = mould.capacity(f.batter.density());
        // What is meant to be left over is no surprise.
        Mass over = f.batter
                .mass()
                .times(1 / (1 + f.plan.pouring().overage().fraction()))
                .minus(capacity);
        if (over.grams() > 1 && f.plan.pouring().spare() == null) {
            f.bite(
                    Phrase.of("It runs over"),
                    Phrase.of("{} of batter, the {} holds {}.", f.batter.mass(), mould.name(), capacity),
                    Phrase.of("Or have a spare cavity ready"),
                    PlanChange.to(
                            "fit-the-mould",
                            Phrase.of("Make it fit"),
                            p -> p.with(Sizing.toFill(p.formula(), mould, p.pouring()))));
        }
    }

    private static void drawing(Flight f) {
        Mould mould = f.plan.mould();
        if (mould == null
                || f.plan.pouring().portioning().way() != Portioning.Way.LAYERS
                || f.plan.pouring().portioning().portions().isEmpty()
                || !Portions.check(f.plan).isEmpty()) {
            return;
        }
        Portions portions = Portions.of(f.plan);
        Mass made = portions.whole()
                .minus(portions.stuck())
                .times(1 / (1 + f.plan.pouring().overage().fraction()));
        double wrong = portions.drawn().dividedBy(made) - 1;
        if (Math.abs(wrong) > DRAWING_TOLERANCE) {
            f.bite(
                    wrong > 0 ? Phrase.of("Not enough for the drawing") : Phrase.of("More than the drawing takes"),
                    Phrase.of("The layers take {}, the batch makes {}.", portions.drawn(), made),
                    PlanChange.to(
                            "as-drawn",
                            Phrase.of("Make as much as is drawn"),
                            p -> p.with(p.formula()
                                    .scaledTo(p.formula()
                                            .fatMass()
                                            .times(portions.drawn().dividedBy(made))))));
        }
    }

    private static void ovenCavities(Flight f) {
        Mould mould = f.plan.mould();
        if (mould != null && mould.kind() == MouldKind.CAVITIES && f.plan.process() == Process.OVEN) {
            f.bite(
                    Phrase.of("Silicone cavities in an oven come out pocked"),
                    Phrase.of("Air in the silicone blisters every face that touches it."),
                    Phrase.of("A wooden or HDPE mould, or no oven"),
                    process(Process.COLD));
        }
    }

    private static PlanChange process(Process process) {
        return PlanChange.to("no-oven", Phrase.of("No oven"), p -> p.with(process));
    }

    private static void gel(Flight f) {
        f.loaf.ifPresent(l -> {
            double partial = l.probabilityOf(Extent.PARTIAL);
            if (partial > UNCERTAIN_GEL) {
                f.bite(
                        Phrase.of("Gel may stop half-way"),
                        Phrase.of(
                                "Full {}, partial {}, none {} in this mould and room.",
                                Share.fraction(l.probabilityOf(Extent.FULL)),
                                Share.fraction(partial),
                                Share.fraction(l.probabilityOf(Extent.NONE))),
                        goal("Insulate it", GelGoal.FORCE),
                        goal("Keep it cold", GelGoal.PREVENT));
            }
            double hot = l.probabilityPeakAbove(LoafEnsemble.TOO_HOT);
            if (hot > UNCERTAIN_GEL) {
                f.bite(
                        Phrase.of("The loaf may overheat"),
                        Phrase.of(
                                "{} that the core passes {}.",
                                Share.fraction(hot),
                                Temperature.celsius(LoafEnsemble.TOO_HOT)),
                        goal("No towels", GelGoal.ALLOW),
                        goal("Keep it cold", GelGoal.PREVENT),
                        cooler(f));
            }
        });
    }

    private static PlanChange cooler(Flight f) {
        Temperature cooler =
                Temperature.celsius(Math.max(COOLEST, f.plan.mixAt().celsius() - COOLER));
        return PlanChange.to("cooler-loaf", Phrase.of("Mix at {}", cooler), p -> p.with(PlanFields.MIX_AT, cooler));
    }

    private static PlanChange goal(String label, GelGoal goal) {
        return PlanChange.to("gel-" + goal.name().toLowerCase(Locale.ROOT), Phrase.of(label), p -> p.with(goal));
    }

    private static void sugar(Flight f) {
        double sugar = f.formula.sugarOfFats().fraction();
        boolean wrapped = f.plan.gel() == GelGoal.FORCE || f.plan.process() == Process.OVEN;
        if (sugar > MUCH_SUGAR && wrapped) {
            f.bite(
                    Phrase.of("Sugar and insulation"),
                    Phrase.of(
                            "{} of sugar in the fats gels by itself; wrapped it can heave, crack or erupt.",
                            Share.fraction(sugar)),
                    goal("No towels", GelGoal.ALLOW),
                    goal("Keep it cold", GelGoal.PREVENT));
        }
    }

    private static void salt(Flight f) {
        double salt = f.formula.additives().stream()
                .filter(a -> a.additive().id().startsWith("salt-"))
                .mapToDouble(a -> a.mass().dividedBy(f.formula.fatMass()))
                .sum();
        Mould mould = f.plan.mould();
        if (salt > SALT_BAR && mould != null && mould.kind().isCut()) {
            f.bite(
                    Phrase.of("Salt bars shatter when cut late"),
                    Phrase.of(
                            "{} of salt; it lets go after about {} h and is brittle the next day.",
                            Share.fraction(salt),
                            (double) Schedule.of(f.plan).unmould().toHours()),
                    Phrase.of("Stay near it, or pour into cavities"));
        }
    }
}
